'use client'
import { schoolsFor, waysOf } from '@/core/api/fit'
import { bayRulesOf, type Plan, SCHOOLS, toFit, type Ways, waysToChoose } from '@/core/api/plan'
import type { Survey } from '@/core/api/assess'
import { Choice } from '@/ui/kit/choice'
import { Panel } from '@/ui/kit/panel'
import { planStore } from '@/ui/state/plan-store'

/** In which of two ways each rack is fitted, and why: its steps follow. */
export function FittingWays({ plan, survey }: { plan: Plan; survey: Survey }) {
  const fitted = survey.racks.filter((at) => toFit(at.rack) && schoolsFor(at).length > 0)
  if (fitted.length === 0) return null
  return (
    <Panel
      title="How it is fitted"
      note="Where good fitters go about it in two ways. Common practice, no source; the maker’s sheet takes precedence. The steps follow what is chosen."
    >
      {fitted.map((at) => {
        const ways: Ways = waysOf(at, bayRulesOf(plan.rules))
        return (
          <fieldset key={at.rack.id} className="mb-2">
            <legend className="font-semibold">{at.rack.name}</legend>
            {schoolsFor(at).map((school) => (
              <Choice
                key={school}
                label={SCHOOLS[school].label}
                className="w-full"
                value={ways[school]}
                options={waysToChoose(school)}
                onChange={(way) =>
                  void planStore.getState().run({
                    do: 'setRack',
                    rack: { ...at.rack, fitting: { ...at.rack.fitting, [school]: way } },
                  })
                }
              />
            ))}
          </fieldset>
        )
      })}
    </Panel>
  )
}
