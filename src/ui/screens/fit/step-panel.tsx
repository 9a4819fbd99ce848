'use client'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import type { BayProgress, Step } from '@/core/api/fit'
import type { Plan } from '@/core/api/plan'
import type { Survey } from '@/core/api/assess'
import { ChannelPanel } from './channel-panel'
import { CutPanel } from './cut-panel'
import { MarksPanel } from './marks-panel'
import { MeasurePanel } from './measure-panel'
import { ProvePanel } from './prove-panel'
import { TorquePanel } from './torque-panel'
import { WeighPanel } from './weigh-panel'

interface Props {
  readonly plan: Plan
  readonly survey: Survey
  readonly step: Step
  readonly progress: BayProgress
}

/** What is typed, read or looked up at a step. */
export function StepPanel(props: Props) {
  const { step } = props
  switch (step.task.kind) {
    case 'marks':
      return <MarksPanel plan={props.plan} step={step} progress={props.progress} />
    case 'measure':
      return <MeasurePanel plan={props.plan} step={step} progress={props.progress} />
    case 'torque':
      return <TorquePanel plan={props.plan} step={step} progress={props.progress} />
    case 'weigh':
      return <WeighPanel plan={props.plan} step={step} progress={props.progress} />
    case 'channel':
      return <ChannelPanel plan={props.plan} step={step} progress={props.progress} />
    case 'cut':
      return <CutPanel plan={props.plan} survey={props.survey} step={step} />
    case 'prove':
      return <ProvePanel plan={props.plan} step={step} progress={props.progress} />
    case 'tell':
      return (
        <ul className="list-disc pl-5">
          {step.task.what.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ul>
      )
    case 'start':
      return (
        <ul>
          {step.task.groups.map(({ joint, count }) => (
            <li key={joint.id} className="border-hair border-b-1 py-2">
              <strong>{joint.name}</strong>: {count}
              {joint.torque.kind === 'latch' ? ', by hand' : ` × ${joint.startTurns} turns`}
              <span className="text-ink2 block text-aside">
                {[joint.washers, joint.security].filter((each) => each !== '').join('; ')}
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
          <span className={CONTROL_CLASS.label}>Tools</span>
          {step.tools.join(', ')}
        </p>
      )
  }
}
