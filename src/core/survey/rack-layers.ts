import type { Part, PartRole } from '../plan/rack'
import { STATES } from '../plan/scalars'
import type { RackAt } from './arrangement'
import type { Link } from './layer'
import type { MassPoint } from './mass-points'
import type { Via } from './statics/influence'
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

/** What sheets call such parts besides. */
const OTHER_WORDS: Readonly<Record<PartRole, readonly string[]>> = {
  deck: ['platform', 'tray'],
  panels: ['panels'],
  bars: ['crossbars', 'bar'],
  ladder: [],
  trusses: ['sides'],
  legs: ['leg'],
  feet: ['towers', 'foot'],
  fitKit: ['kit', 'fit kits'],
  rails: ['rail'],
  whole: ['rack', 'whole'],
}

interface RolePlan {
  readonly units: readonly string[]
  readonly spread: Spread
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
    .toSorted((a, b) => STACK[a.role] - STACK[b.role])
    .map((part): Link => {
      const { units, spread, takes } = rolePlan(part, rack)
      const holds = (mass: MassPoint) => 'via' in mass && takes(mass.via)
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
        names: [part.name, ROLE_WORD[part.role], ...OTHER_WORDS[part.role]],
        rated: part.rated,
        ratings: part.rated.by === 'own' ? part.rated.ratings : [],
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
