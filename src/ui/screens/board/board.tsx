'use client'
import { Alert } from '@/ui/kit/alert'
import { FileButton } from '@/ui/kit/file-button'
import { PageBar } from '@/ui/kit/page-bar'
import { Button, ButtonLink } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import { carsByJob, notLookedAt, type Plan, STATE_WORD, STATES } from '@/core'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect, useMemo, useState } from 'react'
import { whenKept } from '@/storage/kept-elsewhere'
import { dropPlan } from '@/storage/drop-plan'
import { loadPlans, type StoredPlan } from '@/storage/plans'
import { type Room, roomLeft, roomWords } from '@/storage/room'
import { whyNotKept } from '@/storage/shelves'
import { assessedOf } from '@/ui/state/assessed'
import { verdictWords } from '@/ui/kit/state-switch'
import { useLog } from '@/ui/state/log-store'
import { SeverityTag } from '@/ui/kit/severity-tag'
import { useOpenFile } from '@/ui/kit/open-file'
import { RemovedDialog } from './removed-dialog'
import { SettingsDialog } from '@/ui/kit/settings-dialog'
import { useSettings, useUnits } from '@/ui/state/settings-store'
import { BackupDialog } from './backup-dialog'
import { DueWords } from './due-words'
import { Thumbnail } from '@/ui/drawing/thumbnail'

function JobCard({
  plan,
  cars,
  onGone,
}: {
  plan: Plan
  cars: ReadonlyMap<string, string>
  onGone: () => void
}) {
  const units = useUnits()
  const { survey, review } = assessedOf(plan)
  const [asking, setAsking] = useState(false)
  return (
    <li className="flex flex-col border border-hair bg-base-100">
      <Link href={to('bench', { job: plan.id })} className="block bg-paper pb-[0.4rem] hover:bg-base-200">
        <Thumbnail survey={survey} />
        <span className="block px-3 pt-1">
          <span className="block text-[17px] leading-tight font-semibold">{plan.job.name}</span>
          <span className="text-ink2 block text-[13px]">
            {plan.vehicle.name}
            {plan.job.customer === undefined ? '' : ` · ${plan.job.customer}`}
            {plan.job.number === undefined ? '' : ` · job ${plan.job.number}`}
          </span>
        </span>
      </Link>
      <dl className="grid grid-cols-3 gap-1 px-3 py-2">
        {STATES.map((state) => (
          <div key={state}>
            <dt className="text-ink2 text-[12px]">{STATE_WORD[state]}</dt>
            <dd className="text-[13px] leading-tight">
              <SeverityTag severity={review.states[state]} />
              <span className="block">{verdictWords(survey, review, state, units).split(', ')[1] ?? ''}</span>
            </dd>
          </div>
        ))}
      </dl>
      {review.planned && review.notLooked.length > 0 && (
        <p className="text-ink2 px-3 pb-2 text-[12px] leading-tight">
          Not looked at: {notLookedAt(review).join(', ')}
        </p>
      )}
      <div className="border-hair border-t mt-auto flex min-h-12 items-center justify-between px-3">
        <DueWords plan={plan} cars={cars} />
        {asking ? (
          <span className="flex gap-1">
            <Button
              className="bg-error! text-error-content!"
              onClick={() => void dropPlan(plan.id).then(onGone)}
            >
              Delete it
            </Button>
            <Button onClick={() => setAsking(false)}>Keep it</Button>
          </span>
        ) : (
          <Button look="word" aria-label={`Delete ${plan.job.name}`} onClick={() => setAsking(true)}>
            Delete
          </Button>
        )}
      </div>
    </li>
  )
}

function Unreadable({ stored }: { stored: Extract<StoredPlan, { ok: false }> }) {
  return (
    <li className="flex flex-col border border-hair bg-base-100 p-3">
      <p className="font-semibold">A job that cannot be read any more</p>
      <p className="text-ink2 text-[13px]">It is kept as it is. {stored.problems[0]?.text}</p>
    </li>
  )
}

type Board =
  | { readonly at: 'loading' }
  | { readonly at: 'failed'; readonly reason: string }
  | { readonly at: 'there'; readonly plans: readonly StoredPlan[] }

/** Worst first, then the one due soonest, then by name. */
function ordered(plans: readonly StoredPlan[]): readonly StoredPlan[] {
  const dueOf = (stored: StoredPlan) => (stored.ok ? (stored.plan.job.due ?? '9999') : '0')
  const nameOf = (stored: StoredPlan) => (stored.ok ? stored.plan.job.name : '')
  return plans.toSorted((a, b) => dueOf(a).localeCompare(dueOf(b)) || nameOf(a).localeCompare(nameOf(b)))
}

/** The board of jobs: each with its drawing, its verdicts and its date. */
export function JobsBoard() {
  const router = useRouter()
  const ready = useSettings((store) => store.ready)
  const putDemo = useSettings((store) => store.putDemo)
  const { open, opened } = useOpenFile()
  const [board, setBoard] = useState<Board>({ at: 'loading' })
  const [settings, setSettings] = useState(false)
  const [backup, setBackup] = useState(false)
  const [removed, setRemoved] = useState(false)
  const openLog = useLog((store) => store.open)
  const [loaded, setLoaded] = useState(0)
  useEffect(() => {
    if (!ready) return
    let current = true
    void openLog()
    loadPlans()
      .then((plans) => {
        if (current) setBoard({ at: 'there', plans: ordered(plans) })
      })
      .catch((error: unknown) => {
        if (current) setBoard({ at: 'failed', reason: whyNotKept(error) })
      })
    return () => {
      current = false
    }
  }, [ready, opened, loaded, openLog])
  const cars = useMemo(
    () => carsByJob(board.at === 'there' ? board.plans.flatMap((each) => (each.ok ? [each.plan] : [])) : []),
    [board],
  )
  const again = () => setLoaded((count) => count + 1)
  const [room, setRoom] = useState<Room>()
  useEffect(() => {
    if (ready) void roomLeft().then(setRoom)
  }, [ready])
  // A job kept or taken away in another tab is so here.
  useEffect(
    () =>
      whenKept(({ shelf }) => {
        if (shelf === 'plans') setLoaded((count) => count + 1)
      }),
    [],
  )
  return (
    <>
      <PageBar title="Jobs">
        <nav aria-label="Screens" className="flex flex-wrap gap-1.5">
          <ButtonLink look="quiet" href={to('stock')}>
            Stock
          </ButtonLink>
          <ButtonLink look="quiet" href={to('log')}>
            Log
          </ButtonLink>
          <ButtonLink look="quiet" href={to('compare')}>
            Compare
          </ButtonLink>
          <ButtonLink look="quiet" href={to('why')}>
            Why
          </ButtonLink>
        </nav>
        <ButtonLink href={to('start')} look="solid">
          Start a job
        </ButtonLink>
        <FileButton
          label="Open a file"
          says="Plan file to open"
          look="quiet"
          onFile={(file) =>
            void open(file).then((id) => {
              if (id !== undefined) router.push(to('bench', { job: id }))
            })
          }
        />
        <Button look="quiet" onClick={() => setBackup(true)}>
          Backup
        </Button>
        <Button look="quiet" onClick={() => setRemoved(true)}>
          What was removed
        </Button>
        <Button look="quiet" onClick={() => setSettings(true)}>
          Units and theme
        </Button>
      </PageBar>
      <main className="mx-auto max-w-[1500px] p-4">
        {room && roomWords(room).scarce && <Alert look="mind">{roomWords(room).words}</Alert>}
        {board.at === 'loading' && <p className="text-xl">Fetching the jobs from this browser.</p>}
        {board.at === 'failed' && (
          <p role="alert" className="text-xl">
            {board.reason} Jobs cannot be listed; a file can still be opened and worked on.
          </p>
        )}
        {board.at === 'there' &&
          (board.plans.length === 0 ? (
            <div className="max-w-xl">
              <p className="text-xl">No jobs yet.</p>
              <p className="mt-2 mb-4">
                Start one with a vehicle and its rack, open a plan file (or drop one anywhere), or look round
                the demo: an invented outfitter with jobs of its own.
              </p>
              <Button onClick={() => void putDemo().then(again)}>Put the demo's jobs on the board</Button>
            </div>
          ) : (
            <ul className="grid grid-cols-[repeat(auto-fill,minmax(290px,1fr))] gap-4" aria-label="Jobs">
              {board.plans.map((stored) =>
                stored.ok ? (
                  <JobCard key={stored.plan.id} plan={stored.plan} cars={cars} onGone={again} />
                ) : (
                  <Unreadable key={stored.id} stored={stored} />
                ),
              )}
            </ul>
          ))}
      </main>
      {removed && <RemovedDialog onClose={() => setRemoved(false)} onBack={again} />}
      {backup && <BackupDialog onClose={() => setBackup(false)} />}
      {settings && <SettingsDialog onClose={() => setSettings(false)} />}
    </>
  )
}
