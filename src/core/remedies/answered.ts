import { kindsOf } from '../kinds/kind'
import { PANE_MOVES } from '../kinds/obstacle'
import { isOnFrame, mayReinforce } from '../plan/schema/attachment-traits'
import type { RatingOwner } from '../plan/commands/rating-commands'
import type { Command } from '../plan/commands/command'
import { weighedAnew, whichHolds } from '../plan/schema/gear-mass'
import type { Load } from '../plan/schema/placement'
import type { Plan } from '../plan/schema/plan'
import { PROVENANCES } from '../kinds/provenance'
import { figureHolds, conflictingFigures, type FigureSheet } from '../provenance/conflicting-figures'
import type { Part } from '../plan/schema/rack'
import { spreadHolds } from './spread-holds'
import type { Mass, Rating, Source } from '../plan/schema/rating'
import type { Attachment, Obstacle } from '../plan/schema/vehicle'
import type { Ask, AskTarget, Where } from '../review/ask'

/** What was answered: a number in the core's unit with the words typed, or a choice. */
export type Answer =
  | { readonly kind: 'number'; readonly value: number; readonly typed: string }
  | { readonly kind: 'choice'; readonly value: string }

const SOURCE: Readonly<Record<Where, Source['kind']>> = {
  manual: 'manual',
  sheet: 'sheet',
  label: 'label',
  tape: 'measured',
  scale: 'measured',
  look: 'measured',
  person: 'told',
  house: 'told',
}

const partOf = (plan: Plan, partId: string): Part | undefined =>
  plan.racks.flatMap(({ parts }) => parts).find(({ id }) => id === partId)

/** The ratings of whoever an edit is about. */
function ratingsOf(plan: Plan, owner: RatingOwner): readonly Rating[] {
  switch (owner.of) {
    case 'roof':
      return plan.vehicle.roof.ratings
    case 'attachment': {
      const found = plan.vehicle.attachments.find(({ id }) => id === owner.id)
      if (!found) return []
      if (!('rated' in found)) return found.ratings
      return found.rated.by === 'own' ? found.rated.ratings : []
    }
    case 'part': {
      const rated = partOf(plan, owner.id)?.rated
      return rated?.by === 'own' ? rated.ratings : []
    }
    case 'gear': {
      const rated = plan.gear.find(({ id }) => id === owner.id)?.carries?.rated
      return rated?.by === 'own' ? rated.ratings : []
    }
  }
}

/** The first id of a family that nobody has. */
function freeId(taken: readonly { readonly id: string }[], stem: string): string {
  const ids = new Set(taken.map(({ id }) => id))
  let at = 1
  while (ids.has(`${stem}-${at}`)) at += 1
  return `${stem}-${at}`
}

const loadOf = (plan: Plan, of: { placementId: string; loadId: string }): Load | undefined =>
  plan.placements.find(({ id }) => id === of.placementId)?.loads.find(({ id }) => id === of.loadId)

const weighed = ({ value, typed }: Extract<Answer, { kind: 'number' }>): Mass => ({
  kg: value,
  basis: 'weighed',
  typed: { kg: typed },
})

/** One attachment of the vehicle with a fact more; the others as they are. */
const onAttachment = (
  { vehicle }: Plan,
  id: string,
  edit: (attachment: Attachment) => Attachment,
): Command => ({
  do: 'setVehicle',
  vehicle: {
    ...vehicle,
    attachments: vehicle.attachments.map((each) => (each.id === id ? edit(each) : each)),
  },
})

const onObstacle = ({ vehicle }: Plan, id: string, edit: (obstacle: Obstacle) => Obstacle): Command => ({
  do: 'setVehicle',
  vehicle: { ...vehicle, obstacles: vehicle.obstacles.map((each) => (each.id === id ? edit(each) : each)) },
})

/** The edit that puts a sheet as a plan has it. */
function sheetSet({ vehicle, racks, gear }: Plan, sheet: FigureSheet): Command | undefined {
  if (sheet.of === 'vehicle') return { do: 'setVehicle', vehicle }
  if (sheet.of === 'rack') {
    const rack = racks.find(({ id }) => id === sheet.id)
    return rack && { do: 'setRack', rack }
  }
  const own = gear.find(({ id }) => id === sheet.id)
  return own && { do: 'setGear', gear: own }
}

function chosen(plan: Plan, target: AskTarget, value: string): Command | undefined {
  if ('open' in target) return undefined
  switch (target.field) {
    case 'counts':
    case 'seen': {
      const rating = ratingsOf(plan, target.owner).find(({ id }) => id === target.ratingId)
      if (!rating) return undefined
      const changedRating: Partial<Rating> =
        target.field === 'counts'
          ? { counts: value === 'everything' ? 'everything' : 'load' }
          : { source: { kind: value === 'label' || value === 'manual' ? value : 'sheet' } }
      // The same figure entered twice is asked once: the answer is for both.
      const alike = JSON.stringify(rating)
      const [first, ...rest] = ratingsOf(plan, target.owner)
        .filter((each) => JSON.stringify({ ...each, id: rating.id }) === alike)
        .map((each) => ({
          do: 'setRating' as const,
          owner: target.owner,
          rating: { ...each, ...changedRating },
        }))
      return first && rest.length > 0 ? { do: 'together', commands: [first, ...rest] } : first
    }
    case 'holds': {
      const ids = target.options.map(([id]) => id)
      if (!ids.includes(value)) return undefined
      const holds = target.options.find(([id]) => id === value)?.[1] ?? 'another'
      return {
        do: 'together',
        commands: ratingsOf(plan, target.owner)
          .filter(({ id }) => ids.includes(id) && id !== value)
          .map((rating) => ({
            do: 'setRating',
            owner: target.owner,
            rating: { ...rating, unused: `looked at again: that of the ${holds} holds`.slice(0, 200) },
          })),
      }
    }
    case 'massHolds': {
      const { of } = target
      const place = target.options.findIndex(([at]) => at === value)
      if (place < 0) return undefined
      if ('gearId' in of) {
        const mass = plan.gear.find(({ id }) => id === of.gearId)?.mass
        return mass && { do: 'setGearMass', gearId: of.gearId, mass: whichHolds(mass, place) }
      }
      const load = loadOf(plan, of)
      if (load?.what.kind !== 'mass') return undefined
      const what = { ...load.what, mass: whichHolds(load.what.mass, place) }
      return { do: 'setLoad', placementId: of.placementId, load: { ...load, what } }
    }
    case 'figureHolds': {
      const place = target.options.findIndex(([at]) => at === value)
      const path = [...target.owner, target.name].join('.')
      const conflict = conflictingFigures(plan).find(
        ({ sheet, owner, field }) =>
          JSON.stringify(sheet) === JSON.stringify(target.sheet) && [...owner, field].join('.') === path,
      )
      if (!conflict || place < 0) return undefined
      return sheetSet(
        figureHolds(plan, conflict, place, (how) => PROVENANCES[how].word),
        target.sheet,
      )
    }
    case 'sheetSpread':
      return value === 'points' || value === 'sheet' ? spreadHolds(plan, target.rackId, value) : undefined
    case 'roofBears':
      return onAttachment(plan, target.attachmentId, (each) =>
        mayReinforce(each) ? { ...each, roofBears: value === 'yes' } : each,
      )
    case 'moves': {
      const ways = kindsOf(PANE_MOVES)
      const moves = ways.find((way) => way === value)
      return (
        moves &&
        onObstacle(plan, target.obstacleId, (each) => (each.kind === 'sunroof' ? { ...each, moves } : each))
      )
    }
    default:
      return undefined
  }
}

function numbered(
  plan: Plan,
  { target, where }: Ask,
  answer: Extract<Answer, { kind: 'number' }>,
): Command | undefined {
  if ('open' in target) return undefined
  const { value, typed } = answer
  const { vehicle } = plan
  switch (target.field) {
    case 'rating': {
      const { owner, state, per, insteadOf } = target
      const ratings = ratingsOf(plan, owner)
      const before = ratings.find((each) => each.id === insteadOf)
      const id = freeId(ratings, `answer-${state}`)
      const read = { kg: value, source: { kind: SOURCE[where] }, typed: { kg: typed } }
      return { do: 'setRating', owner, rating: before ? { ...before, ...read } : { id, state, per, ...read } }
    }
    case 'gearMass': {
      const mass = plan.gear.find(({ id }) => id === target.gearId)?.mass
      return mass && { do: 'setGearMass', gearId: target.gearId, mass: weighedAnew(mass, value, typed) }
    }
    case 'loadMass': {
      const load = loadOf(plan, target)
      if (!load || load.what.kind === 'fluid') return undefined
      const what =
        load.what.kind === 'mass'
          ? { kind: 'mass' as const, mass: weighedAnew(load.what.mass, value, typed) }
          : { ...load.what, each: weighed(answer) }
      return { do: 'setLoad', placementId: target.placementId, load: { ...load, what } }
    }
    case 'partMass': {
      const part = partOf(plan, target.partId)
      if (!part) return undefined
      return {
        do: 'swapPart',
        partId: part.id,
        part: {
          ...part,
          known: { ...part.known, eachKg: { by: 'weighed' } },
          eachKg: value,
          typed: { ...part.typed, eachKg: typed },
        },
      }
    }
    case 'vehicle':
      return {
        do: 'setVehicle',
        vehicle: {
          ...vehicle,
          ...(target.name === 'skinZMm'
            ? { roof: { ...vehicle.roof, skinZMm: value } }
            : { [target.name]: value }),
          typed: { ...vehicle.typed, [target.name]: typed },
        },
      }
    case 'seat':
      return onAttachment(plan, target.attachmentId, (each) =>
        isOnFrame(each) ? { ...each, seatZMm: value } : each,
      )
    case 'footWidth': {
      const rack = plan.racks.find(({ id }) => id === target.rackId)
      return rack && { do: 'setRack', rack: { ...rack, footWidthMm: value } }
    }
    case 'contacts':
    case 'base': {
      const gear = plan.gear.find(({ id }) => id === target.gearId)
      if (!gear) return undefined
      return {
        do: 'setGear',
        gear:
          target.field === 'base'
            ? { ...gear, fit: { ...gear.fit, baseMm: value } }
            : {
                ...gear,
                contactsMm: { along: gear.contactsMm?.along ?? [], across: [-value / 2, value / 2] },
              },
      }
    }
    case 'straps': {
      const straps = plan.placements.find(({ id }) => id === target.placementId)?.straps
      return (
        straps && { do: 'setStraps', placementId: target.placementId, straps: { ...straps, eachKg: value } }
      )
    }
    default:
      return undefined
  }
}

/** The edit that an answer makes; nothing where the plan no longer has what was asked about, or a form is asked for. */
export function answered(plan: Plan, ask: Ask, answer: Answer): Command | undefined {
  return answer.kind === 'choice' ? chosen(plan, ask.target, answer.value) : numbered(plan, ask, answer)
}
