'use client'
import { Kbd } from '@/ui/kit/kbd'
import { Button } from '@/ui/kit/button'
import type { Review, Survey } from '@/core'
import { Redo2, Undo2 } from 'lucide-react'
import { Wordmark } from '@/ui/kit/mark'
import { downloadPlan } from '@/ui/kit/open-file'
import { useSettings } from '@/ui/state/settings-store'
import type { DialogName } from '@/ui/actions'
import { usePlan } from '@/ui/state/plan-store'
import { StateSwitch } from '@/ui/kit/state-switch'

const NEXT_UNITS = { metric: 'us', us: 'both', both: 'metric' } as const
const UNITS_WORD = { metric: 'mm kg', us: 'in lb', both: 'mm + in' } as const

function SavedWord() {
  const saving = usePlan((store) => store.saving)
  if (saving.at === 'failed') return null
  return (
    <span className="text-ink2 shrink-0 text-[12px] font-normal" aria-live="polite">
      {saving.at === 'saved' ? 'saved' : 'saving'}
    </span>
  )
}

/** Job, vehicle, verdicts, undo, units, and the rest behind one button. */
export function Header({
  survey,
  review,
  show,
}: {
  survey: Survey
  review: Review
  show: (dialog: DialogName) => void
}) {
  const { undo, redo } = usePlan.getState()
  const canUndo = usePlan((store) => store.past.length > 0)
  const canRedo = usePlan((store) => store.future.length > 0)
  const units = useSettings((store) => store.settings.units)
  const change = useSettings((store) => store.change)
  const { plan } = survey
  const racks = plan.racks.map((rack) => rack.name).join(' + ')
  return (
    <header className="border-base-content bg-base-100 col-span-full flex flex-wrap items-center gap-3 border-b-[1.5px] px-3.5 py-1">
      <Wordmark />
      <div className="min-w-0 flex-1">
        <h1 className="flex items-baseline gap-2 text-[16px] leading-tight">
          <span className="truncate">{plan.job.name}</span>
          <SavedWord />
        </h1>
        <p className="text-ink2 truncate text-[13px] leading-tight">
          {plan.vehicle.name} · {racks === '' ? 'no rack yet' : racks}
          {plan.job.number === undefined ? '' : ` · job ${plan.job.number}`}
        </p>
      </div>
      <StateSwitch judged={{ plan, survey, review }} />
      <div className="flex gap-1.5">
        <Button
          look="quiet"
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
        <Button look="quiet" onClick={() => downloadPlan(plan)}>
          Download
        </Button>
        <Button look="quiet" onClick={() => show('palette')}>
          More<Kbd aria-hidden>Ctrl K</Kbd>
        </Button>
      </div>
    </header>
  )
}
