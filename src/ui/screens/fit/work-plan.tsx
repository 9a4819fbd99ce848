'use client'
import { Fact } from '@/ui/kit/fact'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { drillFindings, drillPlans, estimate, marksOf, type Step } from '@/core/api/fit'
import type { Survey } from '@/core/api/assess'
import type { Plan } from '@/core/api/plan'
import { DataTableDisclosure, Panel } from '@/ui/kit/panel'
import { Quantity } from '@/ui/figures/quantity'
import { FindingList } from './finding-list'
import { FittingWays } from './fitting-ways'
import { hours } from './hours'
import { WorkBars } from './work-bars'

const HARD = { plain: 'plain work', careful: 'wants care', hard: 'hard' } as const

const span = ({ fromMin, toMin }: { readonly fromMin: number; readonly toMin: number }): string =>
  hours(fromMin) === hours(toMin) ? hours(toMin) : `${hours(fromMin)} to ${hours(toMin)}`

/** The job before it begins: how long, how hard, how many hands, which tools, what goes where, and what is drilled. */
export function WorkPlan({
  plan: job,
  survey,
  steps,
}: {
  plan: Plan
  survey: Survey
  steps: readonly Step[]
}) {
  const { one, two, handsOn, schedule, tools, difficulty, because } = estimate(steps)
  const marks = marksOf(survey)
  const drills = drillPlans(survey)
  const title = new Map(steps.map((step) => [step.id, step.title]))
  return (
    <div className="mx-auto max-w-[1100px] px-4 pb-8">
      <Panel
        title="How long it takes"
        note="From start to end, waiting included where nothing can be done beside it. Unpacking, measuring and the test drive are included; fetching missing parts is not."
      >
        <dl className="flex flex-wrap gap-x-10 gap-y-2">
          <Fact
            title="One fitter"
            framed
            note={schedule.helper.length > 0 ? `with a helper for ${schedule.helper.length} steps` : 'alone'}
          >
            {span(one)}
          </Fact>
          <Fact title="Two fitters" framed>
            {span(two)}
          </Fact>
          <Fact title="Hands on" framed note="without what soaks, dries or sets by itself">
            {span(handsOn)}
          </Fact>
          <Fact title="Difficulty" framed note={because.join('; ')}>
            {HARD[difficulty]}
          </Fact>
        </dl>
        <WorkBars schedule={schedule} steps={steps} />
        <DataTableDisclosure
          title="The steps along the time, slowest"
          head={['Step', 'From', 'Hands off', 'Hands', 'On the critical path']}
          rows={schedule.steps.map(({ id, fromMin, toMin }) => [
            title.get(id) ?? id,
            hours(fromMin),
            hours(toMin),
            steps.find((step) => step.id === id)?.hands === 2 ? 'two' : 'one',
            schedule.critical.includes(id) ? 'yes' : '',
          ])}
        />
        <p className="mt-1">
          <span className={CONTROL_CLASS.label}>Tools</span>
          {tools.join(', ')}
        </p>
      </Panel>
      <FittingWays plan={job} survey={survey} />
      <Panel title="What goes where">
        <ul>
          {marks.marks.map(({ what, say }) => (
            <li key={what}>
              <strong>{what}</strong>: {say}
            </li>
          ))}
          {marks.arrows.map(({ on, say }) => (
            <li key={on}>
              <strong>{on}</strong>: {say}
            </li>
          ))}
          {marks.bars.map(({ name, say }) => (
            <li key={name}>
              <strong>{name}</strong> {say}
            </li>
          ))}
          {[...marks.raising, ...marks.stored].map((line) => (
            <li key={line}>{line}</li>
          ))}
          {marks.keys.map(({ what, cores, say }) => (
            <li key={what}>
              <strong>{what}</strong>: {cores} cores, {say}
            </li>
          ))}
        </ul>
      </Panel>
      {drills.map((plan) => (
        <Panel
          key={plan.partId}
          title={`Holes: ${plan.partName}`}
          note={plan.reversible ? 'These can be plugged again.' : 'These cannot be undone.'}
        >
          <FindingList findings={drillFindings(plan)} />
          <DataTableDisclosure
            open
            title="Each hole"
            head={['Hole', 'Behind the windscreen', 'From the middle', 'Pilot', 'Final']}
            rows={plan.holes.map((hole) => [
              hole.name,
              <Quantity key="x" dimension="length" value={hole.xMm} />,
              <Quantity key="y" dimension="length" value={Math.abs(hole.yMm)} />,
              hole.pilotMm === undefined ? (
                'find out'
              ) : (
                <Quantity key="p" dimension="length" value={hole.pilotMm} />
              ),
              hole.finalMm === undefined ? (
                'find out'
              ) : (
                <Quantity key="f" dimension="length" value={hole.finalMm} />
              ),
            ])}
          />
        </Panel>
      ))}
    </div>
  )
}
