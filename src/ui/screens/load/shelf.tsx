'use client'
import { GearWeight } from '@/ui/drawing/gear-weight'
import { Kbd } from '@/ui/kit/kbd'
import { Choice } from '@/ui/kit/choice'
import { TextBox } from '@/ui/kit/field'
import { ButtonLink } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import { type Compatible, IN_STATE, type Survey, weightRoom } from '@/core/api/assess'
import { type Gear, GEAR_KINDS, kg, missing, phraseText, toSpare, type UnitChoice } from '@/core/api/plan'
import { Ban, Check, Wrench } from 'lucide-react'
import { useRef, useState, type PointerEvent } from 'react'
import { Glyph } from '@/ui/drawing/glyph'
import { Quantity } from '@/ui/figures/quantity'
import { useUnits } from '@/ui/state/settings-store'
import { useStock } from '@/ui/state/stock'
import { putOn } from '@/ui/forms/put-on'
import { pointUnder, shelfDragStore } from './shelf-drag'
import { SHELF_GROUP_WORD, SHELF_GROUPS, shelfGroups } from './shelf-groups'
import { alongList, useRoving } from '@/ui/kit/use-roving'
import { Problem } from '@/ui/kit/field-note'
import { useShelfAnswers } from './use-shelf-answers'

function WeightMark({ survey, gear, rackId }: { survey: Survey; gear: Gear; rackId: string }) {
  const room = weightRoom(survey, gear, rackId)
  if (!room) return <span>no figure to judge its weight by</span>
  if (room.leftKg >= -1e-6)
    return (
      <span>
        leaves {room.known ? '' : 'at most '}
        <Quantity {...toSpare(kg(room.leftKg))} /> {IN_STATE[room.state]}
      </span>
    )
  return (
    <span className="text-base-content font-semibold">
      {room.addableKg <= 1e-6 ? (
        <>no room {IN_STATE[room.state]}</>
      ) : (
        <>
          <Quantity {...missing(kg(-room.leftKg))} /> too heavy {IN_STATE[room.state]}
        </>
      )}
    </span>
  )
}

const FIT_MARK = { fits: Check, fitsIf: Wrench, cannot: Ban } as const
const FIT_LOOK = { fits: '', fitsIf: 'text-mindline', cannot: 'text-ink2' } as const
const FIT_WORD = { fits: 'fits', fitsIf: 'fits', cannot: 'no' } as const

/** Whether it goes on this rack: a sign and its words, never the sign alone. */
function FitMark({ answer, units }: { answer: Compatible; units: UnitChoice }) {
  const Sign = FIT_MARK[answer.kind]
  const words =
    answer.kind === 'fitsIf'
      ? ` ${phraseText(answer.say, units)}`
      : answer.kind === 'cannot'
        ? `: ${phraseText(answer.why, units)}`
        : ''
  return (
    <span className={`block text-note leading-[1.2] ${FIT_LOOK[answer.kind]}`}>
      <Sign size={13} aria-hidden className="inline align-[-2px]" /> {FIT_WORD[answer.kind]}
      {words}
    </span>
  )
}

/** A hand that moves this far with a thing from the shelf carries it. px. */
const CARRY_PX = 6

interface ItemProps {
  readonly survey: Survey
  readonly gear: Gear
  readonly rackId: string | undefined
  readonly answer: Compatible | undefined
  readonly units: UnitChoice
}

/** One thing on the shelf: press to put it on, or carry it over the drawing. */
function ShelfItem({ survey, gear, rackId, answer, units }: ItemProps) {
  const from = useRef<{ left: number; top: number; carried: boolean }>(undefined)
  const { hold } = shelfDragStore.getState()
  const onPointerMove = (event: PointerEvent<HTMLButtonElement>) => {
    const start = from.current
    if (!start || rackId === undefined) return
    if (!start.carried && Math.hypot(event.clientX - start.left, event.clientY - start.top) < CARRY_PX) return
    start.carried = true
    const near = pointUnder(event.clientX, event.clientY)
    hold(near && { gear, rackId, near })
  }
  return (
    <button
      type="button"
      tabIndex={-1}
      data-shelf-item
      className="[content-visibility:auto] [contain-intrinsic-size:auto_5rem] flex w-full min-h-[3rem] items-center gap-[0.5rem] py-[0.35rem] px-[0.9rem] text-left cursor-pointer border-b-1 border-b-hair enabled:hover:bg-gear disabled:cursor-default focus-visible:outline-offset-[-3px]"
      disabled={rackId === undefined}
      onPointerDown={(event) => {
        if (event.button !== 0 || event.pointerType === 'touch') return
        from.current = { left: event.clientX, top: event.clientY, carried: false }
        event.currentTarget.setPointerCapture(event.pointerId)
      }}
      onPointerMove={onPointerMove}
      onPointerUp={() => {
        const { held } = shelfDragStore.getState()
        if (held) putOn(survey, held.gear, held.rackId, held.near)
        hold(undefined)
      }}
      onPointerCancel={() => {
        from.current = undefined
        hold(undefined)
      }}
      onClick={() => {
        const carried = from.current?.carried === true
        from.current = undefined
        if (!carried && rackId !== undefined) putOn(survey, gear, rackId)
      }}
    >
      <Glyph gear={gear} />
      <span className="min-w-0">
        <span className="block leading-tight font-semibold">{gear.name}</span>
        {answer && <FitMark answer={answer} units={units} />}
        <span className="text-ink2 block text-note leading-tight">
          <GearWeight mass={gear.mass} />
          {rackId !== undefined && (
            <>
              , <WeightMark survey={survey} gear={gear} rackId={rackId} />
            </>
          )}
        </span>
      </span>
    </button>
  )
}

/** Gear to put on, each judged before it is put on: whether it goes on this rack, and what its weight leaves. */
export function Shelf({ survey }: { survey: Survey }) {
  const { gear, adapters } = useStock()
  const units = useUnits()
  const [words, setWords] = useState('')
  const [chosen, setChosen] = useState<string>()
  const racks = survey.racks.map(({ rack }) => rack)
  const rackId = racks.some((rack) => rack.id === chosen) ? chosen : racks[0]?.id
  const { answers, stopped } = useShelfAnswers(survey.plan, rackId, gear, adapters)
  const wanted = words.trim().toLowerCase()
  const found = gear.filter(
    (each) =>
      wanted === '' ||
      each.name.toLowerCase().includes(wanted) ||
      GEAR_KINDS[each.kind].many.toLowerCase().includes(wanted),
  )
  const groups = shelfGroups(survey, found, rackId, answers)
  const list = (items: readonly Gear[]) => (
    <ul>
      {items.map((each) => (
        <li key={each.id}>
          <ShelfItem
            survey={survey}
            gear={each}
            rackId={rackId}
            answer={answers.get(each.id)}
            units={units}
          />
        </li>
      ))}
    </ul>
  )
  const box = useRef<HTMLElement>(null)
  useRoving(box, '[data-shelf-item]:enabled', alongList, groups)
  return (
    <section ref={box} aria-label="Shelf" className="flex min-h-0 flex-1 flex-col">
      <div className="space-y-2 p-3">
        <ButtonLink
          href={to('gear', { job: survey.plan.id, ...(rackId !== undefined && { rack: rackId }) })}
          className="w-full"
        >
          Enter your own gear
        </ButtonLink>
        <TextBox
          label={
            <>
              Find gear <Kbd aria-hidden>/</Kbd>
            </>
          }
          type="search"
          value={words}
          onText={setWords}
          onKeyDown={(event) => {
            if (event.key === 'Escape') event.currentTarget.blur()
          }}
        />
        {racks.length > 1 && (
          <Choice
            label="Put it on"
            value={rackId ?? ''}
            options={racks.map((rack) => [rack.id, rack.name] as const)}
            onChange={setChosen}
          />
        )}
      </div>
      <div className="min-h-0 flex-1 overflow-y-auto pb-4" tabIndex={-1}>
        {stopped !== undefined && (
          <div className="px-3">
            <Problem>{stopped}</Problem>
          </div>
        )}
        {rackId === undefined && (
          <p className="px-3">No rack yet: put one on the vehicle, then gear on the rack.</p>
        )}
        {SHELF_GROUPS.map((group) => {
          const items = groups[group]
          if (items.length === 0) return null
          const title = rackId === undefined ? 'On the shelf' : SHELF_GROUP_WORD[group]
          return group === 'cannot' ? (
            <details key={`${group} ${wanted !== ''}`} open={wanted !== '' || items.length === found.length}>
              <summary className="text-ink2 min-h-11 cursor-pointer px-[0.9rem] py-2.5 text-aside font-semibold">
                {title}: {items.length}
              </summary>
              {list(items)}
            </details>
          ) : (
            <div key={group}>
              <h3 className="text-ink2 border-b-hair flex justify-between border-b-1 px-[0.9rem] pt-[0.6rem] pb-[0.2rem] text-aside font-semibold">
                {title} <span className="font-normal">{items.length}</span>
              </h3>
              {list(items)}
            </div>
          )
        })}
        {found.length === 0 && (
          <p className="px-3 py-2">
            {gear.length === 0 ? 'The shelf is empty.' : `Nothing on the shelf is called “${words}”.`}
          </p>
        )}
      </div>
    </section>
  )
}
