'use client'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { TextBox, TickBox } from '@/ui/kit/field'
import { Button } from '@/ui/kit/button'
import { type BayProgress, type Contents, loadingOrder, placeIn, type Step, withSeen } from '@/core/api/fit'
import { mm, type Plan } from '@/core/api/plan'
import { useState } from 'react'
import { logFor } from '@/ui/state/log-store'
import { PhraseLine } from '@/ui/figures/quantity'
import { QuantityField } from '@/ui/figures/quantity-field'

/** What lies in a channel before anything is loaded, and then the order in which the nuts go in past it. */
export function ChannelPanel({ plan, step, progress }: { plan: Plan; step: Step; progress: BayProgress }) {
  const [what, setWhat] = useState('')
  const [fixed, setFixed] = useState(false)
  if (step.task.kind !== 'channel') return null
  const { channel, barId } = step.task.channel
  const seen = progress.channels.get(barId)
  const say = (inside: readonly Contents[]) =>
    logFor(plan, { kind: 'channelSeen', barId, what: channel.name, inside: [...inside] })
  const loaded = withSeen(channel, seen ?? [])
  const name = what.trim()
  return (
    <>
      <fieldset className="grid gap-2">
        <legend className={CONTROL_CLASS.label}>Already in the channel</legend>
        {seen === undefined ? (
          <p>Check the channel first: anything in it blocks the way.</p>
        ) : seen.length === 0 ? (
          <p>Seen: the channel is empty.</p>
        ) : (
          <ul>
            {seen.map((each, i) => (
              <li
                key={`${each.what} ${each.fromLowMm}`}
                className="border-hair border-b-1 flex items-center gap-2 py-1"
              >
                <span className="flex-1">
                  {each.what}, <PhraseLine phrase={[mm(each.fromLowMm)]} /> from the {channel.ends.low}
                  {each.fixed ? ', fixed' : ', slides'}
                </span>
                <Button
                  variant="word"
                  aria-label={`Not there: ${each.what}`}
                  onClick={() => say(seen.filter((_, at) => at !== i))}
                >
                  Not there
                </Button>
              </li>
            ))}
          </ul>
        )}
        {(seen === undefined || seen.length === 0) && (
          <Button className="min-h-12!" pressed={seen !== undefined} onClick={() => say([])}>
            The channel is empty
          </Button>
        )}
        <TextBox label="Object in the channel" maxLength={80} value={what} onText={setWhat} />
        <TickBox checked={fixed} onTick={setFixed}>
          The object is fixed and does not slide
        </TickBox>
        <QuantityField
          key={seen?.length ?? 0}
          label={`Distance from the ${channel.ends.low}`}
          dimension="length"
          value={undefined}
          hint="adds it to the list"
          onValue={(value) => {
            if (name === '') return 'Name the object first.'
            if (value < 0 || value > channel.span.toMm - channel.span.fromMm)
              return 'That lies outside this channel.'
            say([...(seen ?? []), { what: name, fromLowMm: Math.round(value * 10) / 10, fixed }])
            setWhat('')
            setFixed(false)
            return undefined
          }}
        />
      </fieldset>
      <h3 className="pt-3 text-body">In this order</h3>
      <ol className="list-decimal pl-6">
        {loadingOrder(loaded).map((entry) => (
          <li key={entry.nut.id} className="border-hair border-b-1 py-1.5">
            {entry.nut.name}, to <PhraseLine phrase={placeIn(channel, entry.nut.atMm)} />
            {entry.kind === 'enters'
              ? `, in at the ${channel.ends[entry.end]}`
              : `: blocked by ${entry.by.name}; take that out first`}
          </li>
        ))}
      </ol>
    </>
  )
}
