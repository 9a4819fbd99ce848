import { inUse } from '../../plan/schema/rating'
import { PART_ROLES } from '../../kinds/part-role'
import type { Part } from '../../plan/schema/rack'
import { STATES } from '../../units/scalars'
import type { RackAt } from '../frame/arrangement'
import type { Link } from './layer'
import type { MassPoint } from '../loads/mass-point'
import type { Via } from '../statics/influence'
import { byBar, byFoot, bySide, members, onRacks, SIDES, type Sharing } from '../loads/spreading'

interface RolePlan {
  readonly units: readonly string[]
  readonly spread: Sharing
  readonly takes: (via: Via) => boolean
}

const everyWay = () => true

const hasSides = ({ rack }: RackAt) => rack.parts.some(({ role }) => role === 'trusses' || role === 'legs')

function rolePlan(part: Part, rack: RackAt): RolePlan {
  const whole = onRacks(new Set([rack.index]))
  if (rack.feet.length === 0) return { units: ['set'], spread: whole, takes: everyWay }
  switch (part.role) {
    case 'bars':
      return {
        units: rack.bars.map(({ bar }) => bar.name),
        spread: byBar(rack),
        takes: (via) => via === 'bars' || via === 'deck',
      }
    case 'deck':
      return { units: ['deck'], spread: whole, takes: (via) => via === 'deck' }
    case 'panels':
      // On a bed rack without trusses or legs the panels are what the bars stand on.
      return {
        units: SIDES,
        spread: bySide(rack.feet),
        takes: rack.rack.kind === 'bed' && !hasSides(rack) ? everyWay : (via) => via === 'panel',
      }
    case 'trusses':
    case 'rails':
      return { units: SIDES, spread: bySide(rack.feet), takes: everyWay }
    case 'feet':
    case 'fitKit':
    case 'legs':
      return { units: rack.feet.map((foot) => foot.corner), spread: byFoot(rack.feet), takes: everyWay }
    case 'ladder':
    case 'whole':
      return { units: ['set'], spread: whole, takes: everyWay }
  }
}

/** The parts of one rack with figures of their own, from the top down. */
export function rackLayers(rack: RackAt, masses: readonly MassPoint[]): Link[] {
  return rack.rack.parts
    .toSorted((a, b) => PART_ROLES[a.role].stack - PART_ROLES[b.role].stack)
    .map((part): Link => {
      const { units, spread, takes } = rolePlan(part, rack)
      const holds = (mass: MassPoint) => 'via' in mass && takes(mass.via)
      const above = (mass: MassPoint) =>
        mass.of === 'part' &&
        PART_ROLES[mass.role].stack <= PART_ROLES[part.role].stack &&
        mass.racks[0]?.[0] === rack.index
      return {
        id: `part:${part.id}`,
        group: 'rack',
        role: part.role,
        name: part.name,
        detail:
          part.count > 1 ? `${PART_ROLES[part.role].word}, set of ${part.count}` : PART_ROLES[part.role].word,
        rackIds: [rack.rack.id],
        owner: { of: 'part', id: part.id },
        names: [part.name, PART_ROLES[part.role].word, ...PART_ROLES[part.role].alsoCalled],
        rated: part.rated,
        ratings: part.rated.by === 'own' ? inUse(part.rated.ratings) : [],
        units,
        states: STATES,
        usualCounting: part.role === 'rails' ? 'everything' : 'load',
        load: members(masses.filter(holds), spread),
        own: members(masses.filter(above), spread),
        spread,
        takes,
        governs: part.role !== 'panels',
      }
    })
}
