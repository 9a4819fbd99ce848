import { ATTACHMENTS } from '../kinds/attachment'
import {
  CAUTIONS,
  cautionTraits,
  DRIVER_MOMENTS,
  type BelongsTo,
  type CautionKind,
  type Moment,
} from '../kinds/caution'
import { gearTraits } from '../kinds/gear-kind'
import { shapeTraits } from '../kinds/gear-shape'
import { kindsOf } from '../kinds/kind'
import { mountTraits } from '../kinds/mount'
import { isStainless, clicksOf, securedBy, type Fastener } from '../plan/schema/fastening'
import type { OwnCaution } from '../plan/schema/house-cautions'
import { roofZ, type RackAt, type ThingAt } from '../survey/frame/arrangement'
import { roofHalfWidth } from '../survey/frame/roof-surface'
import type { MassPoint } from '../survey/loads/mass-point'
import type { Survey } from '../survey/survey'

/** What a caution is about on this plan: the job, or racks, joints or things by their ids. A joint's id is its owner's, a colon, and which it is. */
export interface CautionSubjects {
  readonly of: BelongsTo
  readonly ids: readonly string[]
}

/** What is heavier is not lifted over the head by one person, kg. Common practice, no source. */
const LIFT_KG = 20

/** A roof that is higher is not worked on from the ground, mm. Common practice, no source. */
const REACH_MM = 1600

const JOB: readonly string[] = ['job']

const racks = ({ racks: all }: Survey, test: (at: RackAt) => boolean): string[] =>
  all.filter(test).map(({ rack: { id } }) => id)

const things = ({ things: all }: Survey, test: (at: ThingAt) => boolean): string[] =>
  all.filter(test).map(({ placement: { id } }) => id)

const masses = (survey: Survey, test: (mass: MassPoint) => boolean): string[] => {
  const ids = survey.masses.flatMap((mass) =>
    'thing' in mass && test(mass) ? [mass.thing.placement.id] : [],
  )
  return [...new Set(ids)]
}

/** The joints of what is on the vehicle, of racks and of things, that are of some make. */
const joints = (survey: Survey, test: (fastener: Fastener) => boolean): string[] => {
  const owners = [
    ...survey.racks.flatMap(({ rack }) =>
      rack.parts.map(({ id, fasteners }) => ({ id: `${rack.id}/${id}`, fasteners })),
    ),
    ...survey.things.map(({ placement, gear }) => ({ id: placement.id, fasteners: gear.fasteners })),
  ]
  return owners.flatMap(({ id, fasteners = [] }) =>
    fasteners.flatMap((fastener, i): string[] => (test(fastener) ? [`${id}:${i}`] : [])),
  )
}

const stored = (mass: MassPoint) => ('thing' in mass ? mass.thing.gear.stored : undefined)

/** Where each caution belongs: none where it cannot happen. */
const WHERE: Readonly<Record<CautionKind, (survey: Survey) => readonly string[]>> = {
  'lowest-rating': () => JOB,
  'high-load': (survey) => things(survey, () => true),
  'behind-you': (survey) => things(survey, () => true),
  'long-lines': (survey) => things(survey, ({ gear }) => shapeTraits(gear.shape).long === true),
  'side-stops': (survey) =>
    things(
      survey,
      ({ gear }) =>
        shapeTraits(gear.shape).rolls === true && mountTraits(gear.fit.mount.kind).fitted === 'straps',
    ),
  fuel: (survey) =>
    masses(
      survey,
      (mass) => mass.of === 'load' && mass.load?.what.kind === 'fluid' && mass.load.what.fluid !== 'water',
    ),
  battery: (survey) => masses(survey, (mass) => stored(mass)?.energyWh !== undefined),
  vessel: (survey) => masses(survey, (mass) => stored(mass)?.pressureBar !== undefined),
  lifting: (survey) => masses(survey, ({ of, kg }) => of === 'gear' && kg >= LIFT_KG),
  sleeping: (survey) => things(survey, ({ gear }) => gearTraits(gear.kind).sleeps === true),
  'parked-sway': (survey) => things(survey, ({ gear }) => gearTraits(gear.kind).usedParked),
  climbing: (survey) => racks(survey, ({ rack }) => rack.kind === 'ladder'),
  'hatch-ladder': (survey) => racks(survey, ({ rack }) => rack.kind === 'ladder'),
  heads: (survey) =>
    racks(survey, ({ onRoof, bars }) =>
      bars.some(({ box }) => {
        const half = roofHalfWidth(survey.plan.vehicle, (box.x0 + box.x1) / 2)
        return onRoof && (box.y1 > half || box.y0 < -half)
      }),
    ),
  glass: (survey) =>
    racks(
      survey,
      ({ onRoof, attachments }) =>
        attachments.some(({ kind }) => ATTACHMENTS[kind].byGlass === true) ||
        (onRoof && survey.plan.vehicle.obstacles.some(({ kind }) => kind === 'sunroof')),
    ),
  'hand-screws': (survey) =>
    joints(
      survey,
      (fastener) =>
        fastener.handOnly === true &&
        (securedBy(fastener) ?? 'none') === 'none' &&
        clicksOf(fastener) === 0 &&
        !(fastener.washers ?? []).includes('lock'),
    ),
  'permanent-lock': (survey) => joints(survey, ({ threadlocker }) => threadlocker === 'permanent'),
  galling: (survey) => joints(survey, ({ grade }) => isStainless(grade)),
  'first-click': (survey) => joints(survey, (fastener) => clicksOf(fastener) > 1),
  prying: () => JOB,
  blades: () => JOB,
  footing: ({ plan, racks: all }) =>
    all.some(({ attachments }) =>
      attachments.some(({ kind }) => {
        const { on } = ATTACHMENTS[kind]
        return on === 'roof' ? roofZ(plan.vehicle) > REACH_MM : on === 'bed' || on === 'canopy'
      }),
    )
      ? JOB
      : [],
  drilling: () => JOB,
}

/** A caution where it belongs on this plan, in the house's words where it has its own. */
export interface CautionAt {
  readonly say: string
  readonly before: Moment
  readonly onSteps: readonly string[]
  readonly about: CautionSubjects
}

function ownAt(survey: Survey, { say, before = 'driving', gear, step }: OwnCaution): CautionAt {
  return {
    say,
    before: step === undefined ? before : 'work',
    onSteps: step === undefined ? [] : [step],
    about:
      gear === undefined
        ? { of: 'job', ids: JOB }
        : { of: 'thing', ids: things(survey, (thing) => thing.gear.kind === gear) },
  }
}

/** Every caution that this plan calls for and what it is about; the house's own after the usual ones. */
export function cautionsAt(survey: Survey): readonly CautionAt[] {
  const { words = [], own = [] } = survey.plan.rules.cautions ?? {}
  const usual = kindsOf(CAUTIONS).map((kind): CautionAt => {
    const { say, before, belongsTo, onSteps = [] } = cautionTraits(kind)
    return {
      say: words.find(({ caution }) => caution === kind)?.say ?? say,
      before,
      onSteps,
      about: { of: belongsTo, ids: WHERE[kind](survey) },
    }
  })
  return [...usual, ...own.map((each) => ownAt(survey, each))].filter(({ about }) => about.ids.length > 0)
}

/** What whoever drives is told, by the moment before which it is said. */
export const cautionsByMoment = (
  survey: Survey,
): readonly { readonly before: Moment; readonly says: readonly string[] }[] => {
  const all = cautionsAt(survey)
  return DRIVER_MOMENTS.map((moment) => ({
    before: moment,
    says: [...new Set(all.flatMap(({ before, say }) => (before === moment ? [say] : [])))],
  })).filter(({ says }) => says.length > 0)
}

/** The cautions that this plan calls for, for whoever drives. */
export const cautionsFor = (survey: Survey): string[] =>
  cautionsByMoment(survey).flatMap(({ says }) => [...says])
