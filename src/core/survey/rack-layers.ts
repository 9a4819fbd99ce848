import type { Part, PartRole } from '../plan/rack'
import { STATES } from '../plan/scalars'
import type { RackAt } from './arrangement'
import type { Layer } from './layer'
import type { MassPoint } from './mass-points'
import { byBar, byFoot, bySide, members, onRacks, SIDES, type Spread } from './spreading'

/** The parts of a rack from the top down: a rating that counts everything counts what stands above it here. */
const STACK: Readonly<Record<PartRole, number>> = {
  deck: 1,
  panels: 1,
  bars: 2,
  ladder: 2,
  trusses: 3,
  legs: 3,
  feet: 4,
  fitKit: 5,
  rails: 6,
  whole: 9,
}

const ROLE_WORD: Readonly<Record<PartRole, string>> = {
  deck: 'deck',
  panels: 'side panels',
  bars: 'bars',
  ladder: 'ladder',
  trusses: 'trusses',
  legs: 'legs',
  feet: 'feet',
  fitKit: 'fit kit',
  rails: 'rails',
  whole: 'whole rack',
}

function rolePlan(
  part: Part,
  rack: RackAt,
): { units: string[]; spread: Spread; holds: (mass: MassPoint) => boolean } {
  const cargo = (mass: MassPoint) => mass.of !== 'part' && mass.of !== 'occupant'
  const footUnits = rack.feet.map((foot) => foot.corner)
  if (rack.feet.length === 0) return { units: ['set'], spread: onRacks(new Set([rack.index])), holds: cargo }
  switch (part.role) {
    case 'bars':
      return {
        units: rack.bars.map(({ bar }) => bar.name),
        spread: byBar(rack),
        holds: (mass) => cargo(mass) && 'via' in mass && (mass.via === 'bars' || mass.via === 'deck'),
      }
    case 'deck':
      return {
        units: ['deck'],
        spread: onRacks(new Set([rack.index])),
        holds: (mass) => 'via' in mass && mass.via === 'deck',
      }
    case 'panels':
      return {
        units: [...SIDES],
        spread: bySide(rack.feet),
        holds: (mass) => 'via' in mass && mass.via === 'panel',
      }
    case 'trusses':
    case 'rails':
      return { units: [...SIDES], spread: bySide(rack.feet), holds: cargo }
    case 'feet':
    case 'fitKit':
    case 'legs':
      return { units: footUnits, spread: byFoot(rack.feet), holds: cargo }
    case 'ladder':
    case 'whole':
      return { units: ['set'], spread: onRacks(new Set([rack.index])), holds: cargo }
  }
}

/** The parts of one rack with figures of their own, from the top down. */
export function rackLayers(rack: RackAt, masses: readonly MassPoint[]): Layer[] {
  return rack.rack.parts
    .filter((part) => part.rated.by === 'own')
    .toSorted((a, b) => STACK[a.role] - STACK[b.role])
    .map((part): Layer => {
      const { units, spread, holds } = rolePlan(part, rack)
      const above = (mass: MassPoint) =>
        mass.of === 'part' && STACK[mass.role] <= STACK[part.role] && mass.racks[0]?.[0] === rack.index
      return {
        id: `part:${part.id}`,
        group: 'rack',
        role: part.role,
        name: part.name,
        detail: part.count > 1 ? `${ROLE_WORD[part.role]}, set of ${part.count}` : ROLE_WORD[part.role],
        rackIds: [rack.rack.id],
        owner: { of: 'part', id: part.id },
        ratings: part.rated.by === 'own' ? part.rated.ratings : [],
        units,
        states: STATES,
        usualCounting: part.role === 'rails' ? 'everything' : 'load',
        load: members(masses.filter(holds), spread),
        own: members(masses.filter(above), spread),
        governs: part.role !== 'panels',
      }
    })
}
