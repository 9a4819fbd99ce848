import type { BarAt, RackAt } from '../survey/frame/arrangement'
import { towerSpacing } from '../survey/bars/tower-spacing'
import type { Survey } from '../survey/survey'
import { atMost, type Compared } from './comparison'

type Spacing = ReturnType<typeof towerSpacing>

/** A bar's feet against its fit sheet: how far off its spacing, and off the middle. mm. */
export interface TowerFact {
  readonly rack: RackAt
  readonly at: BarAt
  readonly spacing: Exclude<Spacing, { kind: 'noSheet' | 'given' }> | Given
}

type Given = Extract<Spacing, { kind: 'given' }> & { readonly off: Compared; readonly offCentre: Compared }

/** Every bar of a rack with a fit sheet. */
export function towerSpacings(survey: Survey): readonly TowerFact[] {
  const tolerance = survey.plan.rules.tolerancesMm.parallel
  return survey.racks.flatMap((rack) =>
    rack.bars.flatMap((at): TowerFact[] => {
      const spacing = towerSpacing(rack, at)
      if (spacing.kind === 'noSheet') return []
      if (spacing.kind !== 'given') return [{ rack, at, spacing }]
      const off = atMost(Math.abs(spacing.nowMm - spacing.feet.towerMm), tolerance, 'exact')
      const offCentre = atMost(Math.abs(spacing.offCentreMm), tolerance, 'exact')
      return [{ rack, at, spacing: { ...spacing, off, offCentre } }]
    }),
  )
}
