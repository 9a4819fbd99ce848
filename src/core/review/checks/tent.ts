import { whose } from '../../units/words'
import { fails, spareOf } from '../../facts/comparison'
import { tents } from '../../facts/tents'
import type { Survey } from '../../survey/survey'
import { mm } from '../../units/phrase'
import { type FindingDraft, check, practice } from '../check'
import { marginWords } from '../margin-words'
import { HEIGHTS } from '../length-groups'
import { verdictOf } from '../verdict'

/** What is never a Stop. */
const NEVER = { mm: Infinity } as const

const MEETS = { floor: 'stop', ladder: 'mind', neither: 'clear' } as const

type Tent = ReturnType<typeof tents>[number]

function* ofTent({ plan }: Survey, tent: Tent): Iterable<FindingDraft> {
  const { thing, side, ladder, floorUnknown, meets, cover, brackets, centred } = tent
  const { name } = thing.gear
  const { rules, vehicle } = plan
  const common = { state: 'parked', subject: { placementIds: [thing.placement.id] } } as const
  const about = (what: string) => `${what} ${thing.placement.id}`

  const wantsSide = rules.tentOpens === 'side'
  const opensSide = side === 'left' || side === 'right'
  const asWanted = wantsSide === opensSide && side !== 'front'
  yield {
    ...common,
    about: about('opens'),
    nearStop: NEVER,
    severity: asWanted ? 'clear' : 'mind',
    sentence: [
      asWanted
        ? `${name} opens to the ${side}, as the house has it.`
        : `${name} opens to the ${side}; the house has tents open to the ${rules.tentOpens}.`,
    ],
  }
  if (ladder)
    yield {
      ...common,
      about: about('ladder'),
      severity: verdictOf(ladder.compared, 'stop'),
      measured: mm(ladder.compared.measure),
      limit: mm(ladder.compared.limit),
      margin: mm(spareOf(ladder.compared)),
      sentence: [
        `${whose(name)} floor stands `,
        mm(ladder.compared.measure),
        ' over the ground; its ladder spans ',
        mm(ladder.fromMm),
        ' to ',
        mm(ladder.toMm),
        ...marginWords(ladder.compared),
      ],
    }
  if (floorUnknown)
    yield {
      ...common,
      about: about('floor'),
      severity: 'findOut',
      ask: {
        where: 'sheet',
        label: `${name}: open floor over its underside`,
        target: { open: 'gear', gearId: thing.gear.id, at: 'opens.floorMm' },
      },
      sentence: [
        `Find out how high the open floor of ${name} stands: whether its ladder reaches depends on it.`,
      ],
    }
  for (const { other, with: by, floorMm } of meets)
    yield {
      ...common,
      about: about(`meets ${other.placement.id}`),
      severity: MEETS[by],
      nearStop: { mm: floorMm },
      subject: { placementIds: [thing.placement.id, other.placement.id] },
      sentence:
        by === 'floor'
          ? [`${name} opens to the ${side} into ${other.gear.name}.`]
          : by === 'ladder'
            ? [`${whose(name)} ladder comes down where ${other.gear.name} is.`]
            : [`${name} opens to the ${side} past ${other.gear.name}, with `, mm(floorMm), ' between.'],
    }
  if (cover) {
    const guessed = vehicle.cabWallXMm === undefined
    yield {
      ...common,
      about: about('cover'),
      nearStop: NEVER,
      severity: guessed ? 'findOut' : verdictOf(cover, 'mind'),
      ...(guessed
        ? {
            ask: {
              where: 'tape',
              label: 'Windscreen’s upper edge to the cab’s rear wall',
              target: { field: 'vehicle', name: 'cabWallXMm' },
            } as const,
          }
        : {}),
      measured: mm(cover.measure),
      limit: mm(cover.limit),
      margin: mm(spareOf(cover)),
      sentence: [
        `${name} stands `,
        mm(cover.measure),
        ' behind the cab',
        guessed
          ? ' as such bodies usually are, and nobody has measured where the cab ends; reaching its cover takes '
          : '; reaching its cover takes ',
        mm(cover.limit),
        ...marginWords(cover),
      ],
    }
  }
  if (brackets)
    yield {
      ...common,
      about: about('brackets'),
      state: 'all',
      severity: verdictOf(brackets, 'stop'),
      measured: mm(brackets.measure),
      limit: mm(brackets.limit),
      margin: mm(spareOf(brackets)),
      sentence: [
        `${whose(name)} brackets lie across the vehicle as it stands: they need `,
        mm(brackets.limit),
        ' of bar at least; the shorter bar offers ',
        mm(brackets.measure),
        ...marginWords(brackets),
      ],
    }
  yield {
    ...common,
    about: about('centred'),
    nearStop: NEVER,
    state: 'all',
    severity: verdictOf(centred, 'mind'),
    measured: mm(centred.measure),
    limit: mm(centred.limit),
    sentence: fails(centred)
      ? [`${name} stands `, mm(centred.measure), ` off the centreline, to the ${tent.offTo}.`]
      : [`${name} stands on the centreline. Lift it closed, with its cover on.`],
  }
}

/** Does a tent open where the house wants it, reach the ground with its ladder, and leave its cover in reach? mm. */
export const tent = check({
  id: 'tent',
  title: 'Tents',
  question:
    'Does every tent open to the right side, with a long enough ladder, a reachable cover and a centred place?',
  formula:
    'drop from the opened floor to the ground within the ladder’s range; room to the cab ≥ what the cover takes; brackets against the usable width; middle within the house’s tolerance',
  source: practice(
    'A tent opening over the tailgate blocks it; one opening to the side does not. Common practice, no source.',
  ),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'ofAllThings',
  houseLook: 'none',
  turnedBy: {
    lengths: { of: { ...HEIGHTS, bar: /^(riseMm|usableMm|profile\.heightMm)$/, gear: /Mm$/ }, reach: 1 },
  },
  nothing: 'No tent is on the plan, or none with a known way of opening.',
  *run(survey) {
    for (const each of tents(survey)) yield* ofTent(survey, each)
  },
})
