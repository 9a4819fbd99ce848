'use client'
import { FileDown, Redo2, Undo2 } from 'lucide-react'
import dynamic from 'next/dynamic'
import { useDeferredValue, useEffect, useLayoutEffect, useState, type ReactNode } from 'react'
import type { Plan } from '@/core/api/plan'
import { type Stage, STAGE_WORD } from '@/core/api/assess'
import { pressed } from './actions'
import { Button } from '@/ui/kit/button'
import { Kbd } from '@/ui/kit/kbd'
import { Wordmark } from '@/ui/app/wordmark'
import { downloadPlan } from '@/ui/app/open-file'
import { SkipLinks, type SkipPlace } from '@/ui/kit/skip-links'
import { usePageKeys } from '@/ui/kit/use-page-keys'
import { StateSwitch } from './state-switch'
import { assessmentOf } from '@/ui/state/assessment'
import { useDialog, dialogStore } from '@/ui/state/dialog-store'
import { usePlan, planStore } from '@/ui/state/plan-store'
import { lastOwnStep } from '@/ui/state/whose-step'
import { useSettings, useUnits, settingsStore } from '@/ui/state/settings-store'
import { JobMenu } from './job-menu'
import { NextLine } from './next-line'
import { StageNav } from './stage-nav'
import type { JobStages } from './use-stages'
import { VerdictAnnouncer } from './verdict-announcer'

const NEXT_UNITS = { metric: 'us', us: 'both', both: 'metric' } as const
const UNITS_WORD = { metric: 'mm kg', us: 'in lb', both: 'mm + in' } as const

/** On a phone the menu has these. */
const WIDE = 'max-[44rem]:hidden'

/** On a phone in the bay the step has the screen: its own line says where the job stands. */
const HANDS_BUSY = 'max-[44rem]:hidden'

/** What the log says of a job is fetched after the job itself is there. */
const StageReader = dynamic(() => import('./stage-reader').then((module) => module.StageReader), {
  ssr: false,
})

const fetchDialogs = () => import('./job-dialogs')
const JobDialogs = dynamic(fetchDialogs, { ssr: false })
/** The dialogs are not part of the first load, but are there by the time a hand finds a key. */
const FETCH_DIALOGS_AFTER_MS = 1200

/** What Load has besides its bar. */
const ON_LOAD: readonly SkipPlace[] = [
  ['To the drawing', '[data-roving][tabindex="0"]'],
  ['To the findings', '[data-finding], [data-finding-group]'],
  ['To the load path', '#path table button[tabindex="0"]'],
  ['To the shelf', '#shelf input[type=search]'],
  ['To the picked thing', '#picked :is(input, select, button)'],
]

function SavedWord() {
  const saving = usePlan((store) => store.saving)
  if (saving.at === 'failed') return null
  return (
    <span className="text-ink2 shrink-0 text-note font-normal">
      {saving.at === 'saved' ? 'saved' : 'saving'}
    </span>
  )
}

/** The keys that hold on every screen of a job; on Load all of them. */
function useJobKeys(plan: Plan, onLoad: boolean): void {
  const units = useUnits()
  usePageKeys((event) => {
    const { survey } = assessmentOf(plan)
    const { bareKeys } = settingsStore.getState().settings
    pressed({ survey, units, show: dialogStore.getState().show }, onLoad, bareKeys, event)
  })
}

function JobName({ plan, screen }: { plan: Plan; screen: string }) {
  const racks = plan.racks.map((rack) => rack.name).join(' + ')
  return (
    <div className="min-w-0 flex-1 basis-52 max-[44rem]:basis-28">
      <h1 className="flex items-baseline gap-2 text-lead leading-tight">
        <span className="truncate">
          <span className="sr-only">{screen}: </span>
          {plan.job.name}
        </span>
        <SavedWord />
      </h1>
      <p className="text-ink2 truncate text-aside leading-tight">
        {plan.vehicle.name} · {racks === '' ? 'no rack yet' : racks}
        {plan.job.number === undefined ? '' : ` · job ${plan.job.number}`}
      </p>
    </div>
  )
}

function JobTools({ plan }: { plan: Plan }) {
  const { undo, redo } = planStore.getState()
  const { show } = dialogStore.getState()
  const canUndo = usePlan((store) => lastOwnStep(store.past) >= 0)
  const canRedo = usePlan((store) => store.future.length > 0)
  const units = useSettings((store) => store.settings.units)
  const change = useSettings((store) => store.change)
  return (
    <div className="flex">
      <Button
        variant="quiet"
        className={WIDE}
        aria-label={`Units: ${UNITS_WORD[units]}. Change to ${UNITS_WORD[NEXT_UNITS[units]]}`}
        onClick={() => change({ units: NEXT_UNITS[units] })}
      >
        {UNITS_WORD[units]}
      </Button>
      <Button variant="quiet" disabled={!canUndo} onClick={undo} aria-label="Undo">
        <Undo2 size={18} aria-hidden />
      </Button>
      <Button variant="quiet" disabled={!canRedo} onClick={redo} aria-label="Redo">
        <Redo2 size={18} aria-hidden />
      </Button>
      <Button variant="quiet" className={WIDE} aria-label="Download" onClick={() => downloadPlan(plan)}>
        <FileDown size={18} aria-hidden />
      </Button>
      <JobMenu plan={plan} />
      <Button
        variant="quiet"
        className="max-wide:hidden"
        aria-label="Search everything"
        onClick={() => show('palette')}
      >
        <Kbd aria-hidden>Ctrl K</Kbd>
      </Button>
    </div>
  )
}

/** The bar's first line, which is as it was while something is dragged. */
function BarTop({
  plan,
  at,
  screen,
  stages,
}: {
  plan: Plan
  at: Stage
  screen: string
  stages: JobStages['stages'] | undefined
}) {
  return (
    <div className="border-hair flex flex-wrap items-center gap-x-3 border-b-1 px-3">
      <Wordmark short />
      <JobName plan={plan} screen={screen} />
      <StageNav plan={plan} at={at} stages={stages} />
      <JobTools plan={plan} />
    </div>
  )
}

/**
 * The bar over every screen of a job: its name, the stages of the work with their states, units, undo and redo, its
 * menu and the command palette; below it the most useful next thing, and the verdicts.
 */
export function JobBar({
  plan,
  at,
  screen,
  children,
}: {
  readonly plan: Plan
  readonly at: Stage
  /** The title of a screen that is not the stage itself. */
  readonly screen?: string
  /** What can be done with all of the screen. */
  readonly children?: ReactNode
}) {
  const [read, setRead] = useState<JobStages>()
  const dragFrom = usePlan((store) => store.dragFrom)
  // The stages and the verdicts do not change during a drag. They follow when it ends.
  const resting = useDeferredValue(dragFrom ?? plan)
  const dialog = useDialog((store) => store.dialog)
  const onLoad = at === 'load' && screen === undefined
  useJobKeys(plan, onLoad)
  useEffect(() => {
    const timer = setTimeout(() => void fetchDialogs(), FETCH_DIALOGS_AFTER_MS)
    return () => clearTimeout(timer)
  }, [])
  // Before the next screen stands in the page: a dialog asked for there must not be closed by this one's going.
  useLayoutEffect(() => () => dialogStore.setState({ dialog: undefined }), [])
  return (
    <header className="no-print bg-base-100 area-bar">
      <SkipLinks {...(onLoad && { places: ON_LOAD })} />
      <BarTop plan={resting} at={at} screen={screen ?? STAGE_WORD[at]} stages={read?.stages} />
      <div
        className={`border-base-content flex flex-wrap items-center gap-x-4 border-b px-3 ${at === 'fit' ? HANDS_BUSY : ''}`}
      >
        <NextLine plan={resting} at={at} onLoad={onLoad} next={read?.next} />
        <StateSwitch assessment={assessmentOf(plan)} />
      </div>
      {children !== undefined && (
        <div className="border-hair flex flex-wrap items-center gap-x-3 border-b-1 px-3">{children}</div>
      )}
      <VerdictAnnouncer plan={resting} />
      <StageReader plan={resting} onRead={setRead} />
      {dialog !== undefined && <JobDialogs plan={plan} dialog={dialog} onLoad={onLoad} />}
    </header>
  )
}
