'use client'
import { STATE_WORD, WORK_WORD } from '@/core/api/assess'
import { STATES } from '@/core/api/plan'
import Link from 'next/link'
import { memo, useState } from 'react'
import { dropPlan } from '@/storage/drop-plan'
import { SmallPicture } from '@/ui/drawing/thumbnail'
import { Button, TextLink } from '@/ui/kit/button'
import { SeverityTag } from '@/ui/figures/severity-tag'
import { besideVerdict } from '@/ui/figures/verdict-words'
import { to } from '@/ui/routes'
import { useUnits } from '@/ui/state/settings-store'
import type { BoardCard } from '@/workers/board-messages'
import { dueBy, type ReadCard } from './board-order'

/** What can be done with a job from the board. */
export interface CardDeeds {
  readonly archived: ReadonlySet<string>
  readonly onGone: () => void
  readonly onArchive: (jobId: string, away: boolean) => void
}

/** When a job is due, or once it is fitted, when its car has to come back; overdue says so. */
export function DueWords({ card, day }: { card: ReadCard; day: string }) {
  const { summary, backOn } = card
  const overdue = dueBy(card, day) === 'overdue'
  if (backOn === undefined)
    return (
      <span className={`text-aside whitespace-nowrap ${overdue ? 'text-stopline font-bold' : 'text-ink2'}`}>
        {summary.due === undefined ? 'No date' : `${overdue ? 'Overdue' : 'Due'} ${summary.due}`}
      </span>
    )
  return (
    <TextLink
      href={to('log', { vehicle: summary.carId })}
      className={`text-aside whitespace-nowrap ${overdue ? 'text-stopline font-bold' : ''}`}
    >
      {overdue ? 'Overdue' : 'Back'} {backOn}
    </TextLink>
  )
}

/** Putting a job away or out again, and deleting it, which asks first. */
export function CardKeys({
  card: { id, summary },
  deeds: { archived, onGone, onArchive },
}: {
  card: ReadCard
  deeds: CardDeeds
}) {
  const [asking, setAsking] = useState(false)
  const isAway = archived.has(id)
  return asking ? (
    <span className="flex gap-1">
      <Button className="bg-error! text-error-content!" onClick={() => void dropPlan(id).then(onGone)}>
        Delete it
      </Button>
      <Button onClick={() => setAsking(false)}>Keep it</Button>
    </span>
  ) : (
    <span className="flex">
      <Button
        variant="word"
        aria-label={isAway ? `Take ${summary.name} out of the archive` : `Archive ${summary.name}`}
        onClick={() => onArchive(id, !isAway)}
      >
        {isAway ? 'Take out' : 'Archive'}
      </Button>
      <Button variant="word" aria-label={`Delete ${summary.name}`} onClick={() => setAsking(true)}>
        Delete
      </Button>
    </span>
  )
}

/** A job at a glance: its drawing, its verdicts, how far its work is and its date. */
export const JobCard = memo(function JobCard({
  card,
  day,
  deeds,
}: {
  card: ReadCard
  day: string
  deeds: CardDeeds
}) {
  const units = useUnits()
  const { summary, picture, work } = card
  return (
    <li className="flex flex-col border-1 border-hair bg-base-100">
      <Link href={to('load', { job: summary.id })} className="block bg-paper pb-[0.4rem] hover:bg-base-200">
        <SmallPicture picture={picture} />
        <span className="block px-3 pt-1">
          <span className="block text-head leading-tight font-semibold">{summary.name}</span>
          <span className="text-ink2 block text-aside">
            {summary.vehicle}
            {summary.customer === undefined ? '' : ` · ${summary.customer}`}
            {summary.number === undefined ? '' : ` · job ${summary.number}`}
          </span>
        </span>
      </Link>
      <dl className="grid grid-cols-3 gap-1 px-3 py-2">
        {STATES.map((state) => (
          <div key={state}>
            <dt className="text-ink2 text-note">{STATE_WORD[state]}</dt>
            <dd className="text-aside leading-tight">
              <SeverityTag severity={summary.states[state].verdict} />
              <span className="block">{besideVerdict(summary.states[state], units) ?? ''}</span>
            </dd>
          </div>
        ))}
      </dl>
      {summary.notLooked.length > 0 && (
        <p className="text-ink2 px-3 pb-2 text-note leading-tight">
          Not looked at: {summary.notLooked.join(', ')}
        </p>
      )}
      <div className="border-hair border-t-1 mt-auto flex min-h-12 items-center justify-between px-3">
        <span>
          {work !== 'planned' && (
            <span className="block text-aside leading-tight font-semibold">{WORK_WORD[work]}</span>
          )}
          <DueWords card={card} day={day} />
        </span>
        <CardKeys card={card} deeds={deeds} />
      </div>
    </li>
  )
})

/** A job that is kept and no longer reads: it can be taken out as it lies. */
export function Unreadable({ card: { id, reason } }: { card: Extract<BoardCard, { ok: false }> }) {
  const take = async () => {
    const [{ planShelf }, { downloadText }] = await Promise.all([
      import('@/storage/database'),
      import('@/ui/kit/download'),
    ])
    const raw: unknown = await planShelf.getItem(id)
    downloadText(`${id}.json`, `${JSON.stringify(raw, null, 2)}\n`, 'application/json')
  }
  return (
    <li className="flex flex-col border-1 border-hair bg-base-100 p-3">
      <p className="font-semibold">A job that cannot be read any more</p>
      <p className="text-ink2 text-aside">It is stored unchanged. {reason}</p>
      <Button className="mt-2 self-start" onClick={() => void take()}>
        Download it as stored
      </Button>
    </li>
  )
}
