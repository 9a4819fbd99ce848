'use client'
import { STATE_WORD, STATES } from '@/core'
import Link from 'next/link'
import { memo, useState } from 'react'
import { dropPlan } from '@/storage/drop-plan'
import { SmallPicture } from '@/ui/drawing/thumbnail'
import { Button, TextLink } from '@/ui/kit/button'
import { SeverityTag } from '@/ui/kit/severity-tag'
import { besideVerdict } from '@/ui/kit/verdict-words'
import { to } from '@/ui/routes'
import { useUnits } from '@/ui/state/settings-store'
import type { BoardCard } from '@/workers/board-messages'

type Read = Extract<BoardCard, { ok: true }>

/** When a job is due, or once it is fitted, when its car has to come back; overdue says so. */
function DueWords({ card: { glance, backOn }, day }: { card: Read; day: string }) {
  if (backOn === undefined)
    return (
      <span className="text-ink2 text-aside">
        {glance.due === undefined ? 'No date' : `Due ${glance.due}`}
      </span>
    )
  const late = backOn < day
  return (
    <TextLink
      href={to('log', { vehicle: glance.carId })}
      className={`text-aside ${late ? 'text-stopline font-bold' : ''}`}
    >
      {late ? 'Overdue' : 'Back'} {backOn}
    </TextLink>
  )
}

/** A job at a glance: its drawing, its verdicts and its date. */
export const JobCard = memo(function JobCard({
  card,
  day,
  onGone,
}: {
  card: Read
  day: string
  onGone: () => void
}) {
  const units = useUnits()
  const { glance, picture } = card
  const [asking, setAsking] = useState(false)
  return (
    <li className="flex flex-col border border-hair bg-base-100">
      <Link href={to('bench', { job: glance.id })} className="block bg-paper pb-[0.4rem] hover:bg-base-200">
        <SmallPicture picture={picture} />
        <span className="block px-3 pt-1">
          <span className="block text-head leading-tight font-semibold">{glance.name}</span>
          <span className="text-ink2 block text-aside">
            {glance.vehicle}
            {glance.customer === undefined ? '' : ` · ${glance.customer}`}
            {glance.number === undefined ? '' : ` · job ${glance.number}`}
          </span>
        </span>
      </Link>
      <dl className="grid grid-cols-3 gap-1 px-3 py-2">
        {STATES.map((state) => (
          <div key={state}>
            <dt className="text-ink2 text-note">{STATE_WORD[state]}</dt>
            <dd className="text-aside leading-tight">
              <SeverityTag severity={glance.states[state].verdict} />
              <span className="block">{besideVerdict(glance.states[state], units) ?? ''}</span>
            </dd>
          </div>
        ))}
      </dl>
      {glance.notLooked.length > 0 && (
        <p className="text-ink2 px-3 pb-2 text-note leading-tight">
          Not looked at: {glance.notLooked.join(', ')}
        </p>
      )}
      <div className="border-hair border-t mt-auto flex min-h-12 items-center justify-between px-3">
        <DueWords card={card} day={day} />
        {asking ? (
          <span className="flex gap-1">
            <Button
              className="bg-error! text-error-content!"
              onClick={() => void dropPlan(glance.id).then(onGone)}
            >
              Delete it
            </Button>
            <Button onClick={() => setAsking(false)}>Keep it</Button>
          </span>
        ) : (
          <Button look="word" aria-label={`Delete ${glance.name}`} onClick={() => setAsking(true)}>
            Delete
          </Button>
        )}
      </div>
    </li>
  )
})

/** A job that is kept and no longer reads: it can be taken out as it lies. */
export function Unreadable({ card: { id, reason } }: { card: Extract<BoardCard, { ok: false }> }) {
  const take = async () => {
    const [{ planShelf }, { downloadText }] = await Promise.all([
      import('@/storage/shelves'),
      import('@/ui/kit/download'),
    ])
    const raw: unknown = await planShelf.getItem(id)
    downloadText(`${id}.json`, `${JSON.stringify(raw, null, 2)}\n`, 'application/json')
  }
  return (
    <li className="flex flex-col border border-hair bg-base-100 p-3">
      <p className="font-semibold">A job that cannot be read any more</p>
      <p className="text-ink2 text-aside">It is kept as it is. {reason}</p>
      <Button className="mt-2 self-start" onClick={() => void take()}>
        Take it out as it lies
      </Button>
    </li>
  )
}
