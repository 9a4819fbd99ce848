'use client'
import { Note } from '@/ui/kit/field-note'
import { bayRulesOf, cutList, type Plan, type Step, type Survey } from '@/core'
import { Quantity } from '@/ui/kit/quantity'

/** The strips of a rack, what each is cut to and from what; and what has to be measured before any is. */
export function CutPanel({ plan, survey, step }: { plan: Plan; survey: Survey; step: Step }) {
  if (step.task.kind !== 'cut') return null
  const { rackId } = step.task
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
            className="border-hair border-b flex justify-between gap-3 py-1.5"
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
            <p className="text-stopline font-semibold">No stock length holds {cut.piecesMm.join(', ')} mm.</p>
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
      {list.unsure.map(({ barName, say }) => (
        <p key={`${barName} ${say}`} className="text-stopline mt-1 font-semibold">
          {barName}: {say}
        </p>
      ))}
      <Note className="mt-1">
        The slot is taken to run from inside the one cap to inside the other: tape it before you cut. Each
        strip is {rules.stripShrinkPercent} % longer than its gap, for shrinkage (house rule); least bought
        for the whole job.
      </Note>
    </>
  )
}
