import { describe, expect, it } from 'vitest'
import { bedTentJob, boatAndBox, DEMO_PLANS, hatchJob, ridgeTent, yardVan } from '@/demo/plans'
import { ATTACHMENTS } from '../../kinds/attachment'
import { kindsOf } from '../../kinds/kind'
import type { FittingSchools, StepChange } from '../../plan/schema/fitting'
import { USUAL_BAY, type BayRules } from '../../plan/schema/house'
import type { Plan } from '../../plan/schema/plan'
import type { Rack } from '../../plan/schema/rack'
import type { WorkStep } from '../../plan/schema/work'
import { survey } from '../../survey/survey'
import { toFit } from '../../units/scalars'
import { phraseText } from '../../units/phrase'
import { NOTHING_DONE } from '../../log/record'
import { FACTS } from '../evidence-facts'
import { proofList } from '../proof'
import { ownStepChoices } from './fitting-orders'
import { jobSteps } from './job-steps'
import { mustTape, pairsOf } from './pairs'
import { plainJob } from './plain-job.testing'
import { waysOf } from './schools'
import type { Step } from './step'

const stepsOf = (plan: Plan, rules: BayRules = USUAL_BAY): readonly Step[] => {
  const order = jobSteps(survey(plan), rules)
  if (!order.ok) throw new Error(order.reason)
  return order.steps
}
const keysOf = (steps: readonly Step[], group: string) =>
  steps.flatMap(({ id }) => (id.startsWith(`${group}/`) ? [id.slice(group.length + 1)] : []))
const withRacks = (plan: Plan, edit: (rack: Rack) => Rack): Plan => ({ ...plan, racks: plan.racks.map(edit) })
const fitted = (plan: Plan, fitting: FittingSchools) => withRacks(plan, (rack) => ({ ...rack, fitting }))
const [hatchRack] = hatchJob.racks.filter(({ kind }) => kind === 'bars')
const rackId = hatchRack?.id ?? ''

describe('two ways of fitting', () => {
  it('feet are hung on the vehicle first where that is chosen, and the bars laid on them', () => {
    const built = keysOf(stepsOf(hatchJob), rackId)
    const hung = keysOf(stepsOf(fitted(hatchJob, { build: 'vehicle' })), rackId)
    expect(built).toContain('sub-assembly')
    expect(hung).not.toContain('sub-assembly')
    expect(hung).not.toContain('lift-on')
    expect(hung.indexOf('hang-feet')).toBeGreaterThan(hung.indexOf('prepare'))
    expect(hung.indexOf('feet-on-bars')).toBe(hung.indexOf('hang-feet') + 1)
  })

  it('the house chooses for its jobs, and a rack for itself', () => {
    const house: BayRules = { ...USUAL_BAY, fitting: { build: 'vehicle' } }
    expect(keysOf(stepsOf(hatchJob, house), rackId)).toContain('hang-feet')
    expect(keysOf(stepsOf(fitted(hatchJob, { build: 'bench' }), house), rackId)).not.toContain('hang-feet')
  })

  it('what squares itself is taped only where somebody asks', () => {
    const hooks = plainJob('hookPoint', 'bars')
    const spreads = (plan: Plan) => {
      const surveyed = survey(plan)
      return surveyed.racks.flatMap((rack) =>
        pairsOf(surveyed, rack).flatMap(({ taped }) => taped.filter((name) => name.startsWith('spread'))),
      )
    }
    expect(spreads(hooks)).toEqual([])
    expect(spreads(fitted(hooks, { squaring: 'taped' })).length).toBeGreaterThan(0)
    // The vehicle's points place the bars along, and their ends are measured all the same.
    const points = survey(plainJob('fixedPoint', 'bars'))
    expect(points.racks.map((rack) => waysOf(rack, USUAL_BAY).squaring)).toEqual(['itself'])
    expect(points.racks.flatMap((rack) => pairsOf(points, rack)).flatMap(({ taped }) => taped)).toEqual([
      'frontOverLeft',
      'frontOverRight',
      'rearOverLeft',
      'rearOverRight',
    ])
    expect(spreads(fitted(plainJob('fixedPoint', 'bars'), { squaring: 'taped' })).length).toBeGreaterThan(0)
    expect(spreads(hatchJob).length).toBeGreaterThan(0)
    expect(spreads(fitted(hatchJob, { squaring: 'itself' }))).toEqual([])
  })

  it('a mark that its sheet measures from is read whatever holds the bars', () => {
    const marked = withRacks(plainJob('hookPoint', 'bars'), (rack) => ({
      ...rack,
      sheetMark: { what: 'glass edge', frontMm: 231 },
    }))
    const surveyed = survey(marked)
    const [ask] = surveyed.racks.flatMap((rack) => pairsOf(surveyed, rack))
    if (!ask) throw new Error('Nothing is read.')
    expect(mustTape(ask).map(({ names }) => names)).toEqual([['frontAtLeft', 'frontAtRight']])
    expect(ask.taped.filter((name) => name.startsWith('spread'))).toEqual([])
    // Where bars are taped too, one does not stand for the other.
    const both = fitted(marked, { squaring: 'taped' })
    const [taped] = survey(both).racks.flatMap((rack) => pairsOf(survey(both), rack))
    expect(taped && mustTape(taped).map(({ say }) => say)).toEqual([
      'Measure at least both spreads',
      'Measure the front bar’s place at both feet',
    ])
    const own = stepsOf(marked).find(({ key }) => key === 'square')
    expect(own?.title).toBe('Measure from its sheet’s mark')
    expect(keysOf(stepsOf(plainJob('hookPoint', 'bars')), marked.racks[0]?.id ?? '')).not.toContain('square')
  })

  it('strips that place the feet are cut before the feet are on, or last where that is chosen (B10)', () => {
    const under = withRacks(hatchJob, (rack) =>
      rack.kind === 'bars'
        ? {
            ...rack,
            bars: rack.bars.map((bar) => ({ ...bar, profile: { ...bar.profile, hasUnderChannel: true } })),
          }
        : rack,
    )
    const first = keysOf(stepsOf(under), rackId)
    expect(first.indexOf('strips-under')).toBe(first.indexOf('feet-on-bars') - 1)
    const last = stepsOf(fitted(under, { strips: 'last' }))
    expect(keysOf(last, rackId)).not.toContain('strips-under')
    expect(last.find(({ id }) => id === `${rackId}/strips`)?.task).toMatchObject({ which: 'all' })
  })
})

describe('joints in their order', () => {
  it('what stands on the vehicle is tightened before what stands on it', () => {
    const plan = withRacks(plainJob('framePoint', 'frame'), (rack) => ({
      ...rack,
      parts: rack.parts.map((part) => ({ ...part, fasteners: [{ thread: 'M8', count: 4 }] })),
    }))
    const steps = stepsOf(plan)
    const [frame] = plan.racks
    const torque = (role: string) => {
      const part = frame?.parts.find((each) => each.role === role)
      return steps.find(({ id }) => id === `${frame?.id}/torque-${part?.id}-0`)
    }
    expect(torque('bars')?.after).toContain(torque('legs')?.id)
    expect(torque('legs')?.after).not.toContain(torque('bars')?.id)
  })
})

describe('a part’s own sheet, the house and the job', () => {
  const own: WorkStep = {
    id: 'crane',
    stage: 'start',
    title: 'Lower it by the crane',
    replaces: '/lift-on',
  }
  const withOwn = (step: WorkStep) =>
    withRacks(hatchJob, (rack) =>
      rack.id === rackId
        ? {
            ...rack,
            parts: rack.parts.map((part, i) =>
              i === 0 ? { ...part, work: { ...part.work, steps: [step] } } : part,
            ),
          }
        : rack,
    )

  it('a part’s step stands in the place of a usual one: what came after that comes after it', () => {
    const steps = stepsOf(withOwn(own))
    const keys = keysOf(steps, rackId)
    expect(keys).not.toContain('lift-on')
    const crane = steps.find(({ title }) => title === own.title)
    expect(crane).toBeDefined()
    expect(steps.find(({ id }) => id === `${rackId}/start-by-hand`)?.after).toContain(crane?.id)
  })

  it('but never of one that asks for a reading, and one of a later phase holds nothing earlier', () => {
    expect(keysOf(stepsOf(withOwn({ ...own, replaces: '/square' })), rackId)).toContain('square')
    const late = stepsOf(withOwn({ ...own, stage: 'trim' }))
    expect(keysOf(late, rackId)).not.toContain('lift-on')
    const crane = late.find(({ title }) => title === own.title)
    expect(late.find(({ id }) => id === `${rackId}/start-by-hand`)?.after).not.toContain(crane?.id)
  })

  it('the house words a step, gives its minutes, puts it later and leaves it out', () => {
    const changes: StepChange[] = [
      { step: 'prepare', title: 'Wash it first', detail: 'Two buckets.', minutes: { from: 30, to: 40 } },
      { step: 'covers', leftOut: true },
      { step: 'square', leftOut: true },
      { step: 'prepare', attachment: 'gutter', title: 'Never here' },
      { step: 'sub-assembly', after: ['feet-on-bars'] },
    ]
    const steps = stepsOf(hatchJob, { ...USUAL_BAY, fitting: { steps: changes } })
    const prepare = steps.find(({ id }) => id === `${rackId}/prepare`)
    expect(prepare).toMatchObject({
      title: expect.stringContaining('Wash it first') as string,
      minutes: { from: 30, to: 40 },
    })
    expect(phraseText(prepare?.detail ?? [])).toMatch(/Two buckets\.$/)
    expect(keysOf(steps, rackId)).not.toContain('covers')
    expect(keysOf(steps, rackId)).toContain('square')
    const [later, first] = ['sub-assembly', 'feet-on-bars'].map((key) =>
      steps.find(({ id }) => id === `${rackId}/${key}`),
    )
    expect(later?.after).toContain(first?.id)
    expect(first?.after).not.toContain(later?.id)
  })

  it('the house breaks no order: it moves a step within its phase, and never leaves out a seat or a latch', () => {
    const sockets = plainJob('bedSocket', 'bed')
    const changes: StepChange[] = [
      { step: 'lift-on', after: ['start-by-hand', 'torque', 'covers'] },
      { step: 'try-latches', leftOut: true },
      { step: 'prepare', after: ['try-latches'] },
    ]
    const steps = stepsOf(sockets, { ...USUAL_BAY, fitting: { steps: changes } })
    const keys = keysOf(steps, 'rack')
    expect(keys.indexOf('lift-on')).toBe(keys.indexOf('start-by-hand') + 1)
    expect(keys).toContain('try-latches')
    expect(keys.indexOf('prepare')).toBe(0)
  })

  it('every step that a house may choose is one of some rack, thing or job', () => {
    const plans = [
      ...DEMO_PLANS,
      ...kindsOf(ATTACHMENTS).flatMap((on) => ATTACHMENTS[on].racks.map((kind) => plainJob(on, kind))),
    ]
    const drilled = withRacks(ridgeTent, (rack) => ({
      ...rack,
      parts: rack.parts.map((part) =>
        part.role === 'feet' ? { ...part, kit: { drills: { holes: 2, reversible: false } } } : part,
      ),
    }))
    const hung = [hatchJob, boatAndBox].map((plan) => fitted(plan, { build: 'vehicle' }))
    const under = withRacks(hatchJob, (rack) =>
      rack.kind === 'bars'
        ? {
            ...rack,
            bars: rack.bars.map((bar) => ({ ...bar, profile: { ...bar.profile, hasUnderChannel: true } })),
          }
        : rack,
    )
    const leaving = {
      ...boatAndBox,
      placements: boatAndBox.placements.map((each) => ({ ...each, status: 'comesOff' as const })),
    }
    const keys = new Set(
      [...plans, ...hung, drilled, under, leaving].flatMap((plan) => stepsOf(plan).map(({ key }) => key)),
    )
    for (const [key, words] of ownStepChoices()) expect(keys.has(key), words).toBe(true)
  })

  it('a part’s step of the same phase decides the spread before the bars are placed, and a thing’s own step centres it', () => {
    const decides = stepsOf(withOwn({ id: 'jig', stage: 'place', title: 'Lay the jig', decidesSpread: true }))
    const jig = decides.find(({ title }) => title.endsWith('Lay the jig'))
    expect(jig).toBeDefined()
    expect(decides.find(({ id }) => id === `${rackId}/place`)?.after).toContain(jig?.id)
    const laser: Plan = {
      ...bedTentJob,
      gear: bedTentJob.gear.map((gear) =>
        gear.opens
          ? {
              ...gear,
              work: {
                ...gear.work,
                steps: [{ id: 'laser', stage: 'place', title: 'By laser', replaces: '/centre' }],
              },
            }
          : gear,
      ),
    }
    const steps = stepsOf(laser)
    const own = steps.find(({ title }) => title === 'By laser')
    expect(steps.some(({ id }) => id.endsWith('/centre'))).toBe(false)
    expect(own?.after.some((id) => id.endsWith('/set'))).toBe(true)
    expect(steps.some(({ task, after }) => task.kind === 'torque' && after.includes(own?.id ?? ''))).toBe(
      true,
    )
  })

  it('minutes typed for the job go before the house’s', () => {
    const minutes = { from: 55, to: 60 }
    const plan: Plan = {
      ...hatchJob,
      job: { ...hatchJob.job, minutes: [{ step: `${rackId}/prepare`, minutes }] },
    }
    const house: BayRules = {
      ...USUAL_BAY,
      fitting: { steps: [{ step: 'prepare', minutes: { from: 1, to: 2 } }] },
    }
    expect(stepsOf(plan, house).find(({ id }) => id === `${rackId}/prepare`)?.minutes).toEqual(minutes)
    // No sheet prints them: what was told and handed over stands.
    const tell = stepsOf(plan).find(({ id }) => id === 'job/tell')
    const printed = (of: Plan) => FACTS.printed.of(tell!, survey(of), NOTHING_DONE)
    expect(printed(plan)).toEqual(printed(hatchJob))
  })
})

describe('steps where they belong, and no others (B9, B10)', () => {
  it('name their rack where there are two', () => {
    const two = DEMO_PLANS.find(({ racks }) => racks.length > 1 && racks.every((rack) => toFit(rack)))
    if (!two) throw new Error('No demo job has two racks.')
    const titles = stepsOf(two).map(({ title }) => title)
    expect(new Set(titles).size).toBe(titles.length)
    expect(titles).toContain(`${two.racks[0]?.name}: Wipe and protect the vehicle`)
    expect(stepsOf(ridgeTent).map(({ title }) => title)).toContain('Wipe and protect the vehicle')
  })

  it('a pane is tried in the ways that it moves, and one that does not move in none', () => {
    const pane = {
      kind: 'sunroof',
      id: 'pane',
      name: 'Pane',
      openingMm: { fromMm: 300, toMm: 700 },
      widthMm: 800,
    } as const
    const tried = (moves: 'fixed' | 'tilts' | 'inside' | undefined) =>
      proofList(
        survey({
          ...yardVan,
          vehicle: { ...yardVan.vehicle, obstacles: [moves === undefined ? pane : { ...pane, moves }] },
        }),
        USUAL_BAY,
      ).flatMap(({ id }) => (id.startsWith('sunroof') ? [id] : []))
    expect(tried('fixed')).toEqual([])
    expect(tried('tilts')).toEqual(['sunroof-tilt-pane'])
    expect(tried('inside')).toEqual(['sunroof-slide-pane'])
    expect(tried(undefined)).toEqual(['sunroof-tilt-pane', 'sunroof-slide-pane'])
  })

  it('where everything comes off, nothing is shaken, looked at from the front or driven', () => {
    const off: Plan = {
      ...boatAndBox,
      racks: boatAndBox.racks.map((rack) => ({ ...rack, status: 'comesOff' })),
      placements: boatAndBox.placements.map((each) => ({ ...each, status: 'comesOff' })),
    }
    const proofs = proofList(survey(off), USUAL_BAY).map(({ id }) => id)
    for (const id of ['seat', 'shake', 'front', 'drive', 'after-drive']) expect(proofs).not.toContain(id)
    expect(proofList(survey(boatAndBox), USUAL_BAY).map(({ id }) => id)).toContain('shake')
  })

  it('what comes off makes room before anything of a rack is done on the vehicle, whichever way it is built', () => {
    const [own] = hatchJob.racks.filter(({ id }) => id === rackId)
    const old = { ...own!, id: 'old', name: 'Old rack', status: 'comesOff' as const }
    for (const build of ['bench', 'vehicle'] as const) {
      const plan = { ...fitted(hatchJob, { build }), racks: [old, { ...own!, fitting: { build } }] }
      const steps = stepsOf(plan).filter(({ id }) => id.startsWith(`${rackId}/`))
      const first = steps.filter(({ stage }) => stage === 'vehicle' || stage === 'start')
      expect(first.length).toBeGreaterThan(2)
      for (const { id, after } of first) expect(after, id).toContain('off/old')
    }
  })

  it('a thing holds the bars that it stands on, and those of no other rack', () => {
    const [first] = boatAndBox.placements.filter(({ host }) => host.on === 'bars')
    const gearId = first?.gearId
    const decides: Plan = {
      ...boatAndBox,
      racks: [...boatAndBox.racks, ...hatchJob.racks.filter(({ id }) => id === rackId)],
      vehicle: {
        ...boatAndBox.vehicle,
        attachments: [...boatAndBox.vehicle.attachments, ...hatchJob.vehicle.attachments],
      },
      gear: boatAndBox.gear.map((gear) =>
        gear.id === gearId
          ? {
              ...gear,
              work: {
                ...gear.work,
                steps: [{ id: 'built', stage: 'bench', title: 'Build it', decidesSpread: true }],
              },
            }
          : gear,
      ),
    }
    const steps = stepsOf(decides)
    const built = steps.find(({ title }) => title.endsWith('Build it'))
    const [ownRack] = boatAndBox.racks
    expect(built).toBeDefined()
    expect(steps.find(({ id }) => id === `${ownRack?.id}/place`)?.after).toContain(built?.id)
    expect(steps.find(({ id }) => id === `${rackId}/place`)?.after).not.toContain(built?.id)
  })
})
