import type { Body } from '../../kinds/body'
import type { Basis } from '../../kinds/basis'
import {
  bar,
  gear,
  onBars as placedOnBars,
  part,
  ratings,
  type Figures,
  type Terms,
} from '../../plan/starting/templates'
import type { Gear } from '../../plan/schema/gear'
import { newPlan } from '../../plan/starting/new-plan'
import type { Load, Placement } from '../../plan/schema/placement'
import type { Plan } from '../../plan/schema/plan'
import type { Bar, Profile, Rack } from '../../plan/schema/rack'
import type { Rated, Rating } from '../../plan/schema/rating'
import type { Attachment, Vehicle } from '../../plan/schema/vehicle'
import { survey } from '../../survey/survey'
import { startingSizes } from '../../survey/frame/body/starting-sizes'
import type { State } from '../../units/scalars'
import { phraseText } from '../../units/phrase'
import { worse, type Severity } from '../finding'
import { remediesFor } from '../../remedies/remedies'
import { review } from '../review'

/** Jobs as a shop meets them, put together from few words: what is not said stays unsaid. */

export const LB = 0.45359237
export const IN = 25.4

export const AERO = { kind: 'aero', widthMm: 80, heightMm: 30 } as const

/** Figures of one sheet, counting what stands on it unless told otherwise. */
export const sheet = (id: string, figures: Figures, terms: Terms = { counts: 'load' }): Rated => ({
  by: 'own',
  ratings: ratings(id, figures, { kind: 'sheet' }, terms),
})
export const manual = (id: string, figures: Figures, terms: Terms = {}): Rating[] =>
  ratings(id, figures, { kind: 'manual' }, terms)
export const NO_FIGURE: Rated = { by: 'own', ratings: [] }
export const WITH_ROOF: Rated = { by: 'with', what: 'the roof', source: { kind: 'manual' } }

export function vehicleOf(
  body: Body,
  sizes: Partial<Vehicle> & { readonly roofFigures?: Rating[]; readonly roofToXMm?: number },
  attachments: Attachment[],
): Vehicle {
  const { roofFigures = [], roofToXMm, ...rest } = sizes
  const start = startingSizes(body)
  return {
    ...start,
    id: 'vehicle',
    name: 'Vehicle',
    attachments,
    obstacles: [],
    ...rest,
    roof: {
      ...start.roof,
      fromXMm: 0,
      ...(roofToXMm === undefined ? {} : { toXMm: roofToXMm }),
      ...rest.roof,
      ratings: roofFigures,
    },
  }
}

/** A bar by its place, its length and how far out its feet stand. mm */
export const barAt = (
  id: string,
  xMm: number,
  lengthMm: number,
  footMm: number,
  profile: Profile,
  more: Partial<Bar> = {},
): Bar => ({ ...bar(id, id, xMm, lengthMm, footMm, 60, profile), ...more })

export { part }
export type { Rack, Plan }

export const loadOf = (
  id: string,
  kg: number,
  basis: Basis = 'weighed',
  when: Load['when'] = 'always',
): Load => ({ id, name: id, when, what: { kind: 'mass', mass: { kg, basis } } })
export const people = (id: string, count: number, kg: number): Load => ({
  id,
  name: id,
  when: 'parked',
  what: { kind: 'people', count, each: { kg, basis: 'weighed' } },
})

/** A thing held by straps unless told otherwise. */
export const thingOf = (
  id: string,
  kg: number,
  size: readonly [number, number, number],
  more: Partial<Gear> = {},
  basis: Basis = 'maker',
): Gear =>
  gear({
    id,
    kind: 'other',
    name: id,
    shape: 'box',
    size,
    mass: { kg, basis },
    fit: { mount: { kind: 'strap' } },
    ...more,
  })

/** The only one of its kind on its bars. */
export const onBars = (
  gearId: string,
  barIds: readonly string[],
  xMm: number,
  yMm: number,
  more: Partial<Placement> = {},
): Placement => placedOnBars(gearId, gearId, barIds, xMm, yMm, more)

export function jobOf(
  vehicle: Vehicle,
  racks: Rack[],
  things: readonly (readonly [Gear, Placement])[],
  more: Partial<Plan> = {},
): Plan {
  const plan = newPlan({ id: 'plan', job: { name: 'Job' }, vehicle, racks })
  return {
    ...plan,
    gear: [...new Map(things.map(([each]) => [each.id, each] as const)).values()],
    placements: things.map(([, each]) => each),
    ...more,
    use: { ...plan.use, occupants: [], ...more.use },
  }
}

/** What a job answers. */
export function answers(plan: Plan) {
  const surveyed = survey(plan)
  const reviewed = review(surveyed)
  const cellAt = (layer: string, state: State) => {
    const found = surveyed.loadPath.cells.find(
      (each) => each.state === state && (each.layer.id.includes(layer) || each.layer.name === layer),
    )
    if (!found) throw new Error(`no link ${layer}`)
    return found
  }
  return {
    plan,
    survey: surveyed,
    review: reviewed,
    states: reviewed.states,
    left: (layer: string, state: State) => cellAt(layer, state).leftKg,
    counted: (layer: string, state: State) => cellAt(layer, state).countedKg,
    limit: (layer: string, state: State) => {
      const { limit } = cellAt(layer, state)
      return limit.kind === 'missing' ? undefined : limit.kg
    },
    governs: (state: State) => surveyed.loadPath.governing[state]?.layer.name,
    may: (rackId: string, state: State) =>
      surveyed.allowances.find((each) => each.rackId === rackId && each.state === state),
    says: (rule: string, severity?: Severity) =>
      reviewed.findings
        .filter((each) => each.rule === rule && (severity === undefined || each.severity === severity))
        .map((each) => phraseText(each.sentence).replaceAll('\u202f', ' ')),
    /** What the load path comes to in a state: no other check is asked. */
    path: (state: State): Severity =>
      reviewed.findings.reduce<Severity>(
        (worst, { severity, state: of, subject }) =>
          subject.layerId !== undefined && of === state ? worse(worst, severity) : worst,
        'clear',
      ),
  }
}

/** The fixes of the first finding of a rule that is not clear, in words. */
export function fixesOf(plan: Plan, rule: string): string[] {
  const { survey: surveyed, review: reviewed } = answers(plan)
  const finding = reviewed.findings.find((each) => each.rule === rule && each.severity !== 'clear')
  if (!finding) throw new Error(`nothing of ${rule} to mend`)
  return remediesFor(surveyed, reviewed, finding, { parts: [] }).map(({ message }) => phraseText(message))
}
