'use client'
import { Note } from '@/ui/kit/field-note'
import { bayRulesOf, type Plan } from '@/core/api/plan'
import { cutList, cutSumMm, isCutAt, stripsByBar, type Step } from '@/core/api/fit'
import type { Survey } from '@/core/api/assess'
import { Quantity } from '@/ui/figures/quantity'

function Pieces({ mm, with: between }: { mm: readonly number[]; with: string }) {
  return mm.map((each, i) => (
    <span key={i}>
      {i > 0 && between}
      <Quantity dimension="length" value={each} />
    </span>
  ))
}

/** The strips of a rack, what each is cut to and from what; and what has to be measured before any is. */
export function CutPanel({ plan, survey, step }: { plan: Plan; survey: Survey; step: Step }) {
  if (step.task.kind !== 'cut') return null
  const { rackId, which } = step.task
  const rules = bayRulesOf(plan.rules)
  const list = cutList(survey, rules)
  const bars = new Set(survey.bars.filter(({ rack }) => rack.id === rackId).map(({ bar }) => bar.id))
  const own = list.strips.filter(({ barId, kind }) => bars.has(barId) && isCutAt(kind, which))
  return (
    <>
      {stripsByBar(own).map(({ barId, barName, strips, sumMm }) => (
        <div key={barId} className="mt-2">
          <h4 className="font-semibold">{barName}</h4>
          <ul>
            {strips.map((strip) => (
              <li
                key={`${strip.kind} ${strip.fromMm}`}
                className="border-hair border-b-1 flex justify-between gap-3 py-1.5"
              >
                <span>
                  {strip.kind === 'infill'
                    ? 'in the slot'
                    : strip.kind === 'spacer'
                      ? 'underneath, between the feet: sets their distance'
                      : 'underneath, outside a foot'}
                </span>
                <strong>
                  <Quantity dimension="length" value={strip.cutMm} />
                </strong>
              </li>
            ))}
          </ul>
          <p className="text-ink2">
            Together <Quantity dimension="length" value={sumMm} />
          </p>
        </div>
      ))}
      {own.length > 0 && (
        <p className="mt-1 font-semibold">
          All strips of this rack: <Quantity dimension="length" value={cutSumMm(own)} />
        </p>
      )}
      {list.plans.map(({ kind, plan: cut }) => (
        <div key={kind} className="mt-2">
          {cut.kind === 'tooLong' ? (
            <p className="text-stopline font-semibold">
              No stock length holds <Pieces mm={cut.piecesMm} with=", " />.
            </p>
          ) : (
            cut.cuts.map((each, i) => (
              <p key={i}>
                From <Quantity dimension="length" value={each.stockMm} />:{' '}
                <Pieces mm={each.piecesMm} with=" + " />, <Quantity dimension="length" value={each.wasteMm} />{' '}
                left
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
        The slot is assumed to run between the insides of the two caps. Measure it before cutting. A strip in
        the slot is {rules.stripShrinkPercent} % longer than its gap, for shrinkage (house rule); strips
        underneath are as long as their gap, because they set the feet. The lengths are the least to buy for
        the whole job.
      </Note>
    </>
  )
}
