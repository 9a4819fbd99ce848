'use client'
import { carOf, type Disagreement, disagreements, type LogEvent, previewLogImport } from '@/core/api/fit'
import { changesBetween, clashWords } from '@/core/api/plan'
import {
  type Copy,
  compareCopies,
  type CopyComparison,
  type OtherStep,
  type JobBundle,
} from '@/core/api/files'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import { loadCarLogs, whoseIn } from '@/storage/car-logs'
import { type SavedCopy, loadCopy, importBundle } from '@/storage/job-bundle'
import { whyNotSaved } from '@/storage/save-result'
import { to } from '@/ui/routes'
import { logStore } from '@/ui/state/log-store'
import { planStore } from '@/ui/state/plan-store'
import { Button } from '@/ui/kit/button'
import { ChangeList } from './change-list'
import { Problem } from '@/ui/kit/field-note'
import { addLastWords, type Holds, LogDisagreements } from './log-disagreements'
import { Modal } from '@/ui/kit/modal'
import { whenWords } from '@/ui/kit/day-words'

/** What is here of a job bundle's job, and how the two stand to each other. */
interface Looked {
  readonly mine: SavedCopy | undefined
  readonly comparison: CopyComparison | { readonly at: 'new'; readonly after: Copy }
  readonly fresh: readonly LogEvent[]
  readonly differing: number
  /** Of how many entries the log of another car would grow, by that car. */
  readonly otherCars: readonly (readonly [car: string, count: number])[]
  readonly conflict: readonly Disagreement[]
}

const counted = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`

const SAID: Readonly<Record<Looked['comparison']['at'], string>> = {
  new: 'This job is not here yet.',
  same: 'The job here is the same as in the bundle.',
  ahead: 'The job here already has everything in the bundle.',
  behind: 'The bundle continues the job here.',
  merged: 'Both were changed. The changes fit together.',
  apart: 'Both were changed, and the changes conflict.',
}

async function look(bundle: JobBundle): Promise<Looked> {
  const { plan } = bundle
  if (planStore.getState().plan?.id === plan.id) await planStore.getState().saveNow()
  const [mine, { events }] = await Promise.all([loadCopy(plan.id), loadCarLogs(whoseIn(bundle.events))])
  const cars = new Map([[plan.id, plan.car.id]])
  const { fresh, differing, byCar } = previewLogImport(events, bundle.events, (event) => carOf(event, cars))
  const theirs: Copy = { plan, steps: bundle.steps }
  return {
    mine,
    fresh,
    differing: differing.length,
    otherCars: [...byCar].filter(([car]) => car !== plan.car.id),
    conflict: disagreements(events, bundle.events),
    comparison: mine
      ? compareCopies(mine, theirs, new Date().toISOString(), bundle.by)
      : { at: 'new', after: theirs },
  }
}

/** What the other side did, step by step, with who and when. */
function OtherSteps({ steps }: { steps: readonly OtherStep[] }) {
  return (
    <ol className="my-2 max-h-[36dvh] overflow-y-auto" aria-label="Changes there">
      {steps.toReversed().map(({ before, after, at, by }, i) => (
        <li key={steps.length - i} className="border-hair border-b-1 py-1">
          <span className="text-ink2 block text-aside">
            {whenWords(at)}
            {by !== undefined && `, ${by}`}
          </span>
          <ChangeList changes={changesBetween(before, after)} label={`Step ${steps.length - i}`} />
        </li>
      ))}
    </ol>
  )
}

function BundleConflict({
  mine,
  comparison,
}: {
  mine: SavedCopy
  comparison: Extract<CopyComparison, { at: 'apart' }>
}) {
  const words = [...new Set(comparison.clashes.map((clash) => clashWords(mine.plan, clash)))]
  return (
    <>
      <p>{comparison.reason}</p>
      {words.length > 0 ? (
        <ul className="list-disc pl-5" aria-label="Set differently">
          {words.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ul>
      ) : (
        <ChangeList changes={changesBetween(mine.plan, comparison.theirs.plan)} label="What differs" />
      )}
      <p className="mt-2">The other version stays in the history of the job.</p>
    </>
  )
}

/** A job bundle of another device, looked at before anything of it is written: what was done there, by whom and when. */
export function JobBundleDialog({ bundle, onClose }: { bundle: JobBundle; onClose: () => void }) {
  const router = useRouter()
  const [looked, setLooked] = useState<Looked>()
  const [problem, setProblem] = useState<string>()
  const [chosen, setChosen] = useState<ReadonlyMap<string, Holds>>(new Map())
  useEffect(() => {
    let current = true
    look(bundle).then(
      (found) => current && setLooked(found),
      (error: unknown) => current && setProblem(whyNotSaved(error)),
    )
    return () => {
      current = false
    }
  }, [bundle])

  const take = async ({ mine, fresh, conflict }: Looked, copy: Copy | undefined) => {
    const { id, job } = bundle.plan
    const saved = await importBundle({
      id,
      name: job.name,
      over: mine?.revision,
      copy,
      events: fresh,
      pictures: bundle.pictures,
    })
    if (!saved.ok) {
      setProblem(`Nothing was changed. ${saved.reason}`)
      return
    }
    await logStore.getState().open({ carId: plan.car.id, jobId: id })
    await addLastWords(conflict, chosen)
    if (planStore.getState().plan?.id === id) await planStore.getState().open(id)
    onClose()
    router.push(to('load', { job: id }))
  }

  const { madeAt, by, plan, pictures } = bundle
  const comparison = looked?.comparison
  const others = comparison && 'others' in comparison ? comparison.others : []
  const after = comparison && 'after' in comparison ? comparison.after : undefined
  const open = looked?.conflict.some(({ subject }) => !chosen.has(subject)) ?? false
  const rest = looked ? looked.fresh.length + Object.keys(pictures).length : 0
  return (
    <Modal title={`Job bundle: ${plan.job.name}`} onClose={onClose} wide>
      <div className="grid gap-2">
        <p>
          {plan.vehicle.name}. Packed {whenWords(madeAt)}
          {by !== undefined && ` by ${by}`}.
        </p>
        {problem !== undefined && <Problem>{problem}</Problem>}
        {!looked && problem === undefined && <p aria-busy>Comparing it with this browser.</p>}
        {looked && comparison && (
          <>
            <p className="font-semibold">{SAID[comparison.at]}</p>
            {comparison.at === 'apart' && looked.mine && (
              <BundleConflict mine={looked.mine} comparison={comparison} />
            )}
            {others.length > 0 && (
              <>
                <h3 className="text-body">
                  {counted(others.length, 'step was made there', 'steps were made there')}
                </h3>
                <OtherSteps steps={others} />
              </>
            )}
            <p>
              {counted(looked.fresh.length, 'entry of the log is', 'entries of the log are')} not here yet;{' '}
              {counted(Object.keys(pictures).length, 'picture', 'pictures')} come along.
              {looked.differing > 0 &&
                ` ${counted(looked.differing, 'entry says', 'entries say')} something else here under the same name: what is here stays.`}
            </p>
            {looked.otherCars.map(([car, count]) => (
              <p key={car} role="alert" className="font-semibold">
                {counted(count, 'of them is', 'of them are')} about another car, {car}: its log grows too.
              </p>
            ))}
            <LogDisagreements
              conflicts={looked.conflict}
              chosen={chosen}
              onChoose={(subject, holds) => setChosen((before) => new Map(before).set(subject, holds))}
            />
            <div className="flex flex-wrap gap-2">
              {comparison.at === 'apart' ? (
                <>
                  <Button variant="solid" disabled={open} onClick={() => void take(looked, comparison.mine)}>
                    Keep the job as it is here
                  </Button>
                  <Button disabled={open} onClick={() => void take(looked, comparison.theirs)}>
                    Take the job in the bundle
                  </Button>
                </>
              ) : (
                (after ?? rest > 0) && (
                  <Button variant="solid" disabled={open} onClick={() => void take(looked, after)}>
                    {after ? 'Import' : 'Import the log and pictures'}
                  </Button>
                )
              )}
              <Button variant="word" onClick={onClose}>
                Leave it
              </Button>
            </div>
          </>
        )}
      </div>
    </Modal>
  )
}
