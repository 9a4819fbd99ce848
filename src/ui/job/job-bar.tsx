'use client'
import { FileDown, Redo2, Undo2 } from 'lucide-react'
import dynamic from 'next/dynamic'
import { memo, useDeferredValue, useEffect, useEffectEvent, useState, type ReactNode } from 'react'
import type { Plan, Stop } from '@/core'
import { pressed } from './actions'
import { Button } from '@/ui/kit/button'
import { Kbd } from '@/ui/kit/kbd'
import { Wordmark } from '@/ui/kit/mark'
import { downloadPlan } from '@/ui/kit/open-file'
import { SkipLinks, type SkipPlace } from '@/ui/kit/skip-links'
import { StateSwitch } from '@/ui/kit/state-switch'
import { assessedOf } from '@/ui/state/assessed'
import { useDialog } from '@/ui/state/dialog-store'
import { usePlan } from '@/ui/state/plan-store'
import { lastOwnStep } from '@/ui/state/whose-step'
import { useSettings, useUnits } from '@/ui/state/settings-store'
import { JobMenu } from './job-menu'
import { NextLine } from './next-line'
import { StopsNav } from './stops-nav'
import type { Way } from './use-way'
import { VerdictSaid } from './verdict-said'

const NEXT_UNITS = { metric: 'us', us: 'both', both: 'metric' } as const
const UNITS_WORD = { metric: 'mm kg', us: 'in lb', both: 'mm + in' } as const

/** On a phone the menu has these. */
const WIDE = 'max-[44rem]:hidden'

/** What the log says of a job is fetched after the job itself is there. */
const WayReader = dynamic(() => import('./way-reader').then((module) => module.WayReader), { ssr: false })

const fetchDialogs = () => import('./job-dialogs')
const JobDialogs = dynamic(fetchDialogs, { ssr: false })
/** The dialogs are not part of the first load, but are there by the time a hand finds a key. */
const FETCH_DIALOGS_AFTER_MS = 1200

/** What the bench has besides its bar. */
const ON_BENCH: readonly SkipPlace[] = [
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
    <span className="text-ink2 shrink-0 text-note font-normal" aria-live="polite">
      {saving.at === 'saved' ? 'saved' : 'saving'}
    </span>
  )
}

/** The keys that hold at every screen of a job; on the bench all of them. */
function useJobKeys(plan: Plan, onBench: boolean): void {
  const units = useUnits()
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const { survey } = assessedOf(plan)
    pressed({ survey, units, show: useDialog.getState().show }, onBench, event)
  })
  useEffect(() => {
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
}

function JobName({ plan, screen }: { plan: Plan; screen: string | undefined }) {
  const racks = plan.racks.map((rack) => rack.name).join(' + ')
  return (
    <div className="min-w-0 flex-1 basis-52 max-[44rem]:basis-28">
      <h1 className="flex items-baseline gap-2 text-lead leading-tight">
        <span className="truncate">
          {screen !== undefined && <span className="sr-only">{screen}: </span>}
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
  const { undo, redo } = usePlan.getState()
  const { show } = useDialog.getState()
  const canUndo = usePlan((store) => lastOwnStep(store.past) >= 0)
  const canRedo = usePlan((store) => store.future.length > 0)
  const units = useSettings((store) => store.settings.units)
  const change = useSettings((store) => store.change)
  return (
    <div className="flex">
      <Button
        look="quiet"
        className={WIDE}
        aria-label={`Units: ${UNITS_WORD[units]}. Change to ${UNITS_WORD[NEXT_UNITS[units]]}`}
        onClick={() => change({ units: NEXT_UNITS[units] })}
      >
        {UNITS_WORD[units]}
      </Button>
      <Button look="quiet" disabled={!canUndo} onClick={undo} aria-label="Undo">
        <Undo2 size={18} aria-hidden />
      </Button>
      <Button look="quiet" disabled={!canRedo} onClick={redo} aria-label="Redo">
        <Redo2 size={18} aria-hidden />
      </Button>
      <Button look="quiet" className={WIDE} aria-label="Download" onClick={() => downloadPlan(plan)}>
        <FileDown size={18} aria-hidden />
      </Button>
      <JobMenu plan={plan} />
      <Button
        look="quiet"
        className="max-wide:hidden"
        aria-label="Everything by name"
        onClick={() => show('palette')}
      >
        <Kbd aria-hidden>Ctrl K</Kbd>
      </Button>
    </div>
  )
}

/** The bar's first line, which is as it was while something is dragged. */
const BarTop = memo(function BarTop({
  plan,
  at,
  screen,
  stops,
}: {
  plan: Plan
  at: Stop
  screen: string | undefined
  stops: Way['stops'] | undefined
}) {
  return (
    <div className="border-hair flex flex-wrap items-center gap-x-3 border-b px-3">
      <Wordmark short />
      <JobName plan={plan} screen={screen} />
      <StopsNav plan={plan} at={at} way={stops} />
      <JobTools plan={plan} />
    </div>
  )
})

/**
 * The bar over every screen of a job: its name, the stops of the work with how each stands, units, undo and redo, its
 * menu and everything by name; below it the most useful next thing, and the verdicts.
 */
export const JobBar = memo(function JobBar({
  plan,
  at,
  screen,
  children,
}: {
  readonly plan: Plan
  readonly at: Stop
  /** What the screen is called, where it is not the job itself. */
  readonly screen?: string
  /** What can be done with all of the screen. */
  readonly children?: ReactNode
}) {
  const [way, setWay] = useState<Way>()
  const later = useDeferredValue(plan)
  // Under a moving hand neither the way nor a verdict is said anew: both follow when it lets go.
  const resting = usePlan((store) => store.dragFrom) ?? later
  const dialog = useDialog((store) => store.dialog)
  const onBench = at === 'load' && screen === undefined
  useJobKeys(plan, onBench)
  useEffect(() => {
    const timer = setTimeout(() => void fetchDialogs(), FETCH_DIALOGS_AFTER_MS)
    return () => clearTimeout(timer)
  }, [])
  useEffect(() => () => useDialog.setState({ dialog: undefined }), [])
  return (
    <header className="no-print bg-base-100 col-span-full">
      <SkipLinks {...(onBench && { places: ON_BENCH })} />
      <BarTop plan={resting} at={at} screen={screen} stops={way?.stops} />
      <div className="border-base-content flex flex-wrap items-center gap-x-4 border-b-[1.5px] px-3">
        <NextLine plan={resting} at={at} onBench={onBench} next={way?.next} />
        <StateSwitch judged={assessedOf(plan)} />
      </div>
      {children !== undefined && (
        <div className="border-hair flex flex-wrap items-center gap-x-3 border-b px-3">{children}</div>
      )}
      <VerdictSaid plan={resting} />
      <WayReader plan={resting} onWay={setWay} />
      {dialog !== undefined && <JobDialogs plan={plan} dialog={dialog} onBench={onBench} />}
    </header>
  )
})
