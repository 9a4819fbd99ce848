'use client'
import { Section } from '@/ui/kit/section'
import { JobBar } from '@/ui/job/job-bar'
import { cautionsFor } from '@/core/api/assess'
import type { Plan } from '@/core/api/plan'
import { assessmentOf } from '@/ui/state/assessment'
import { BarForces } from './bar-forces'
import { ChancePanel } from './chance-panel'
import { EvennessList } from './evenness-list'
import { FeetForces } from './feet-forces'
import { LiftingList } from './lifting-list'
import { SecuringList } from './securing-list'
import { TipOverForces } from './tip-over-forces'
import { WindForces } from './wind-forces'

/** Where a job's load lands and what driving does to it, with the limits drawn in and a table behind each picture. */
export function ForcesScreen({ plan }: { plan: Plan }) {
  const { survey } = assessmentOf(plan)
  const cautions = cautionsFor(survey)
  return (
    <div>
      <JobBar plan={plan} at="forces" />
      <main className="mx-auto max-w-[1400px] px-4 pb-8">
        <div className="grid gap-x-8 lg:grid-cols-2">
          <div className="min-w-0">
            <FeetForces survey={survey} />
            <EvennessList survey={survey} />
          </div>
          <BarForces survey={survey} />
        </div>
        <ChancePanel survey={survey} />
        <div className="grid gap-x-8 lg:grid-cols-2">
          <div className="min-w-0">
            <TipOverForces survey={survey} />
            <WindForces survey={survey} />
          </div>
          <div className="min-w-0">
            <SecuringList survey={survey} />
            <LiftingList survey={survey} />
            <Section id="forces-cautions" title="Cautions">
              <ul className="list-disc pl-5">
                {cautions.map((caution) => (
                  <li key={caution}>{caution}</li>
                ))}
              </ul>
            </Section>
          </div>
        </div>
      </main>
    </div>
  )
}
