import type { MassPoint } from '../survey/loads/mass-point'
import type { Survey } from '../survey/survey'

const has = (survey: Survey, test: (mass: MassPoint) => boolean) => survey.masses.some(test)

const LONG_LOAD_SHAPES = new Set(['hull', 'canoe', 'board', 'poles'])

const storedIn = (mass: MassPoint) => ('thing' in mass ? mass.thing.gear.stored : undefined)

interface Caution {
  readonly when: (survey: Survey) => boolean
  readonly say: string
}

/** What must be said wherever it matters. Common practice, no source; local law and the makers' manuals rule. */
const CAUTIONS: readonly Caution[] = [
  {
    when: () => true,
    say: "Never exceed the lowest rating. The vehicle's manual and the makers' instructions take precedence over this plan.",
  },
  {
    when: (survey) => survey.things.length > 0,
    say: 'A load on the roof raises the centre of gravity: go slower on bends, side slopes and in wind. Re-tighten after the first trip and regularly.',
  },
  {
    when: (survey) => has(survey, (mass) => 'thing' in mass && LONG_LOAD_SHAPES.has(mass.thing.gear.shape)),
    say: 'Long loads need bow and stern lines, and flags or lamps as local law asks.',
  },
  {
    when: (survey) =>
      has(
        survey,
        (mass) => mass.of === 'load' && mass.load?.what.kind === 'fluid' && mass.load.what.fluid !== 'water',
      ),
    say: 'Fuel on a roof: only in approved containers, as local rules allow.',
  },
  {
    when: (survey) => has(survey, (mass) => 'thing' in mass && mass.thing.gear.kind === 'tent'),
    say: 'Sleeping on a parked roof: level ground, brakes on, within the parked figure of every part and of the roof. Never drive with anyone on the roof.',
  },
  {
    when: (survey) => survey.racks.some(({ rack }) => rack.kind === 'ladder'),
    say: "People on ladders: within the ladder's limit and the hatch's, whichever is lower.",
  },
  {
    when: (survey) => has(survey, (mass) => storedIn(mass)?.energyWh !== undefined),
    say: 'A battery on a roof: fixed, dry, out of the sun, its poles covered, and as its maker lets it be carried.',
  },
  {
    when: (survey) => has(survey, (mass) => storedIn(mass)?.pressureBar !== undefined),
    say: 'A vessel under pressure: valve closed and covered, upright where its label asks, out of the sun, and as local rules allow.',
  },
  {
    when: (survey) => has(survey, (mass) => mass.of === 'gear' && mass.kg >= 20),
    say: 'Lifting overhead takes two.',
  },
]

/** The cautions that this plan calls for. */
export function cautionsFor(survey: Survey): string[] {
  return CAUTIONS.filter((caution) => caution.when(survey)).map((caution) => caution.say)
}
