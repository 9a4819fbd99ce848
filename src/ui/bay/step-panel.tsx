'use client'
import { loadingOrder } from '@/core/bay/channel'
import { cutList } from '@/core/bay/cut/strips'
import type { Outcome } from '@/core/bay/proof'
import type { BayProgress } from '@/core/bay/log/replay'
import type { Step, WeighTarget } from '@/core/bay/steps/step'
import type { SingleCommand } from '@/core/plan/command'
import type { Plan } from '@/core/plan/plan'
import { bayRulesOf } from '@/core/rules/house'
import type { Survey } from '@/core/survey/survey'
import { usePlan } from '@/ui/bench/plan-store'
import { logFor } from '@/ui/log/log-store'
import { Quantity } from '@/ui/quantity/quantity'
import { QuantityField } from '@/ui/quantity/quantity-field'
import { DeviceReader } from './devices/device-reader'
import { isDemo, type ReadBy } from './devices/driver'
import { MeasurePanel } from './measure-panel'
import { TorquePanel } from './torque-panel'

interface Props {
  readonly plan: Plan
  readonly survey: Survey
  readonly step: Step
  readonly progress: BayProgress
}

/** The plan takes what the scale read. */
function massCommand(plan: Plan, target: WeighTarget, kg: number): SingleCommand {
  const mass = { kg, basis: 'weighed' } as const
  if (target.of === 'gear') return { do: 'setGearMass', gearId: target.gearId, mass }
  const { placementId, loadId } = target
  const load = plan.placements.find(({ id }) => id === placementId)?.loads.find(({ id }) => id === loadId)
  if (!load) throw new Error(`there is no load ${loadId} on ${placementId}`)
  return { do: 'setLoad', placementId, load: { ...load, what: { kind: 'mass', mass } } }
}

function Weigh({ plan, step, progress }: Props) {
  if (step.doing.kind !== 'weigh') return null
  const { target, targetId, name, guessKg } = step.doing
  const weighed = (kg: number, by?: ReadBy) => {
    const rounded = Math.round(kg * 100) / 100
    usePlan.getState().run(massCommand(plan, target, rounded))
    logFor(plan, {
      kind: 'weighed',
      targetId,
      what: name,
      kg: rounded,
      ...(by && { note: by.name }),
      ...(by?.simulated && { simulated: true }),
    })
  }
  return (
    <>
      <QuantityField
        label={`Weight of the ${name.toLowerCase()}`}
        dimension="mass"
        value={progress.weighed.get(targetId)}
        onValue={(kg) => {
          if (kg <= 0) return 'It weighs more than nothing.'
          if (kg > 2000) return 'No hanging scale reads that much: look at the unit.'
          weighed(kg)
          return undefined
        }}
      />
      <DeviceReader reads="mass" target={guessKg * 1.07} simulated={isDemo(plan)} onReading={weighed} />
    </>
  )
}

function ChannelList({ step }: Props) {
  if (step.doing.kind !== 'channel') return null
  const { channel, unsure } = step.doing.channel
  return (
    <>
      <ol className="list-decimal pl-6">
        {loadingOrder(channel).map((entry) => (
          <li key={entry.nut.id} className="hair-b py-1.5">
            {entry.nut.name}, to <Quantity dimension="length" value={Math.abs(entry.nut.atMm)} />
            {entry.kind === 'enters'
              ? ` from the middle, in at the ${channel.ends[entry.end]}`
              : `: blocked by ${entry.by.name}; take that off first`}
          </li>
        ))}
      </ol>
      {unsure.length > 0 && (
        <p className="field-note mt-2">
          Nobody gave the places of {unsure.join(', ').toLowerCase()}: taken at its sides. Tape them before
          you slide anything in.
        </p>
      )}
    </>
  )
}

function CutPanel({ plan, survey, step }: Props) {
  if (step.doing.kind !== 'cut') return null
  const { rackId } = step.doing
  const rules = bayRulesOf(plan.rules)
  const list = cutList(survey, rules)
  const bars = new Set(survey.bars.filter(({ rack }) => rack.id === rackId).map(({ bar }) => bar.id))
  const own = list.strips.filter(({ barId }) => bars.has(barId))
  return (
    <>
      <ul>
        {own.map((strip) => (
          <li
            key={`${strip.barId} ${strip.kind} ${strip.fromMm}`}
            className="hair-b flex justify-between gap-3 py-1.5"
          >
            <span>
              {strip.barName},{' '}
              {strip.kind === 'infill'
                ? 'in the slot'
                : strip.kind === 'spacer'
                  ? 'between the feet'
                  : 'outside a foot'}
            </span>
            <strong>
              <Quantity dimension="length" value={strip.cutMm} />
            </strong>
          </li>
        ))}
      </ul>
      {list.plans.map(({ kind, plan: cut }) => (
        <div key={kind} className="mt-2">
          {cut.kind === 'tooLong' ? (
            <p className="field-problem">No stock length holds {cut.piecesMm.join(', ')} mm.</p>
          ) : (
            cut.cuts.map((each, i) => (
              <p key={i}>
                From <Quantity dimension="length" value={each.stockMm} />: {each.piecesMm.join(' + ')} mm,{' '}
                <Quantity dimension="length" value={each.wasteMm} /> left
              </p>
            ))
          )}
        </div>
      ))}
      {list.unsure.length > 0 && (
        <p className="field-problem mt-1">
          {list.unsure.join(', ')}: measure how wide a foot is before the strips underneath are cut.
        </p>
      )}
      <p className="field-note mt-1">
        Each {rules.stripShrinkPercent} % longer than its gap, for shrinkage (house rule); least bought for
        the whole job.
      </p>
    </>
  )
}

const OUTCOMES: readonly (readonly [Outcome, string])[] = [
  ['good', 'Good'],
  ['notGood', 'Not good'],
  ['notNow', 'Not now'],
]

function ProvePanel({ plan, step, progress }: Props) {
  if (step.doing.kind !== 'prove') return null
  const { item } = step.doing
  const now = progress.proved.get(item.id)
  return (
    <>
      {item.kmH !== undefined && (
        <p className="mb-2">
          At <Quantity dimension="speed" value={item.kmH} />
        </p>
      )}
      <div className="grid gap-2" role="group" aria-label="How it went">
        {OUTCOMES.map(([outcome, words]) => (
          <button
            key={outcome}
            type="button"
            className={`plain min-h-14! text-[17px] ${now === outcome ? 'solid' : ''}`}
            aria-pressed={now === outcome}
            onClick={() => {
              logFor(plan, { kind: 'proved', item: item.id, what: item.title, outcome })
            }}
          >
            {words}
          </button>
        ))}
      </div>
    </>
  )
}

/** What is typed, read or looked up at a step. */
export function StepPanel(props: Props) {
  const { step } = props
  switch (step.doing.kind) {
    case 'measure':
      return <MeasurePanel plan={props.plan} step={step} progress={props.progress} />
    case 'torque':
      return <TorquePanel plan={props.plan} step={step} progress={props.progress} />
    case 'weigh':
      return <Weigh {...props} />
    case 'channel':
      return <ChannelList {...props} />
    case 'cut':
      return <CutPanel {...props} />
    case 'prove':
      return <ProvePanel {...props} />
    case 'tell':
      return (
        <ul className="list-disc pl-5">
          {step.doing.what.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ul>
      )
    case 'start':
      return (
        <ul>
          {step.doing.groups.map(({ joint }) => (
            <li key={joint.id} className="hair-b py-2">
              <strong>{joint.name}</strong>: {joint.fastener.count} × {joint.startTurns} turns
              <span className="text-ink2 block text-[13px]">
                {joint.washers}; {joint.security}
              </span>
            </li>
          ))}
        </ul>
      )
    case 'do':
    case 'count':
    case 'confirm':
      return step.tools.length === 0 ? null : (
        <p>
          <span className="field-label">Tools</span>
          {step.tools.join(', ')}
        </p>
      )
  }
}
