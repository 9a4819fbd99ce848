import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import type { Provenance } from '../../kinds/provenance'
import type { Plan } from '../../plan/schema/plan'
import { survey } from '../survey'

/** The weights of the demo's first rack with its first part's known in a way. */
function first(by: Provenance | undefined) {
  const [rack, ...racks] = boatAndBox.racks
  const [part, ...parts] = rack!.parts
  const cached = { known: by && { eachKg: { by } } }
  const plan = {
    ...boatAndBox,
    racks: [{ ...rack!, parts: [{ ...part!, ...cached }, ...parts] }, ...racks],
  } as Plan
  return survey(plan).masses.filter((mass) => mass.of === 'part' && mass.partId === part!.id)
}

describe('a part’s weight', () => {
  it('counts as what somebody said of it: a guess with the house’s margin, weighed without, unsaid as told', () => {
    const of = (by: Provenance | undefined) => {
      const [mass] = first(by)
      return [mass?.basis, (mass?.factor ?? 0) > 1]
    }
    expect(of('guess')).toEqual(['guess', true])
    expect(of('start')).toEqual(['start', true])
    expect(of('weighed')).toEqual(['weighed', false])
    expect(of('told')).toEqual(['told', false])
    expect(of('label')).toEqual(['maker', false])
    expect(of(undefined)).toEqual(['told', false])
  })
})
