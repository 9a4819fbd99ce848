import type { Occupant, Use } from '../plan/schema/placement'
import { angle, group, ID, list, quantityOf, speed, text, type FieldsOf } from './field'
import { MASS } from './mass-field'

const OCCUPANT = group('Inside', {
  id: ID,
  name: text('Who or what'),
  mass: MASS('Weight'),
} satisfies FieldsOf<Occupant>)

/** What somebody weighs until it is said, kg. Common practice, no source. */
const PASSENGER_KG = 75

/** How the vehicle is used: speeds and slopes, snow, and who or what is inside. */
export const USE_FIELD = group(
  'Use',
  {
    roadKmH: speed('Speed on the road'),
    trailKmH: speed('Speed on the trail'),
    trailPitchDeg: angle('Slope on the trail, up or down'),
    trailRollDeg: angle('Side slope on the trail'),
    snowKgPerM2: quantityOf('areaDensity', 'Snow when parked'),
    occupants: list('Inside, counted against the payload', 'somebody or something inside', OCCUPANT, {
      start: (id) => ({ id, name: 'Passenger', mass: { kg: PASSENGER_KG, basis: 'guess' } }),
    }),
  } satisfies FieldsOf<Use>,
  {
    parts: [
      { keys: ['roadKmH', 'trailKmH', 'trailPitchDeg', 'trailRollDeg', 'snowKgPerM2'] },
      { title: 'Inside, counted against the payload', open: true, keys: ['occupants'] },
    ],
  },
)
