import { type Said, check, practice } from '../check'
import { HEIGHTS } from '../length-groups'
import { rootOf, type ThingAt } from '../../survey/frame/arrangement'
import { gapToCab, openedTent, opensToward } from '../../survey/openings/tent'
import type { Survey } from '../../survey/survey'
import { overlap } from '../../geometry/boxes'
import { shortOf, TOLERANCE } from '../../units/tolerance'
import { mm } from '../../units/phrase'

export const middleY = ({ box }: ThingAt) => (box.y0 + box.y1) / 2

function* ofTent(survey: Survey, thing: ThingAt): Iterable<Said> {
  const { opens, name, fit } = thing.gear
  const opened = openedTent(thing)
  const side = opensToward(thing)
  if (!opens || !opened || side === undefined) return
  const { rules, vehicle } = survey.plan
  const subject = { placementIds: [thing.placement.id] }
  const common = { state: 'parked', subject } as const
  const about = (what: string) => `${what} ${thing.placement.id}`

  const wantsSide = rules.tentOpens === 'side'
  const opensSide = side === 'left' || side === 'right'
  yield {
    ...common,
    about: about('opens'),
    toStop: Infinity,
    severity: wantsSide === opensSide && side !== 'front' ? 'clear' : 'mind',
    sentence: [
      wantsSide === opensSide && side !== 'front'
        ? `${name} opens to the ${side}, as the house has it.`
        : `${name} opens to the ${side}; the house has tents open to the ${rules.tentOpens}.`,
    ],
  }
  if (opens.ladder) {
    const { fromMm, toMm } = opens.ladder.dropMm
    const over = Math.max(fromMm - opened.dropMm, opened.dropMm - toMm)
    yield {
      ...common,
      about: about('ladder'),
      severity: over > TOLERANCE.lengthMm ? 'stop' : 'clear',
      measured: mm(opened.dropMm),
      limit: mm(opened.dropMm < fromMm ? fromMm : toMm),
      margin: mm(-over),
      sentence: [
        `${name}’s floor stands `,
        mm(opened.dropMm),
        ' over the ground; its ladder spans ',
        mm(fromMm),
        ' to ',
        mm(toMm),
        '.',
      ],
    }
  }
  for (const other of survey.things) {
    if (other === thing || rootOf(other) === rootOf(thing)) continue
    const floor = overlap(opened.floor, other.box)
    if (!floor && !(opened.ladder && overlap(opened.ladder, other.box))) continue
    yield {
      ...common,
      about: about(`meets ${other.placement.id}`),
      severity: floor ? 'stop' : 'mind',
      ...(floor ? {} : { toStop: Infinity }),
      subject: { placementIds: [thing.placement.id, other.placement.id] },
      sentence: [
        floor
          ? `${name} opens to the ${side} into ${other.gear.name}.`
          : `${name}’s ladder comes down where ${other.gear.name} is.`,
      ],
    }
  }
  const gap = opens.coverGapMm === undefined ? undefined : gapToCab(vehicle, survey.body, thing.box)
  if (opens.coverGapMm !== undefined && gap !== undefined)
    yield {
      ...common,
      about: about('cover'),
      toStop: Infinity,
      severity:
        vehicle.cabWallXMm === undefined ? 'findOut' : shortOf(gap, opens.coverGapMm) ? 'mind' : 'clear',
      ...(vehicle.cabWallXMm === undefined
        ? {
            ask: {
              where: 'tape',
              label: 'Windscreen’s upper edge to the cab’s rear wall',
              target: { field: 'vehicle', name: 'cabWallXMm' },
            } as const,
          }
        : {}),
      measured: mm(gap),
      limit: mm(opens.coverGapMm),
      margin: mm(gap - opens.coverGapMm),
      sentence: [
        `${name} stands `,
        mm(gap),
        ' behind the cab',
        vehicle.cabWallXMm === undefined
          ? ' as such bodies usually are, and nobody has measured where the cab ends; reaching its cover takes '
          : '; reaching its cover takes ',
        mm(opens.coverGapMm),
        '.',
      ],
    }
  const { mount } = fit
  const across = thing.turn === 90 || thing.turn === 270
  if (
    mount.kind === 'bracket' &&
    (mount.direction === 'across') !== across &&
    thing.placement.host.on === 'bars'
  ) {
    const { barIds } = thing.placement.host
    const usable = Math.min(
      ...survey.bars.filter(({ bar }) => barIds.includes(bar.id)).map(({ bar }) => bar.usableMm),
    )
    const left = usable - mount.spacingMm.fromMm
    yield {
      ...common,
      about: about('brackets'),
      state: 'all',
      severity: left < -TOLERANCE.lengthMm ? 'stop' : 'clear',
      measured: mm(usable),
      limit: mm(mount.spacingMm.fromMm),
      margin: mm(left),
      sentence: [
        `${name}’s brackets lie across the vehicle as it stands: they need `,
        mm(mount.spacingMm.fromMm),
        ' of bar at least; the shorter bar offers ',
        mm(usable),
        '.',
      ],
    }
  }
  const off = Math.abs(middleY(thing))
  yield {
    ...common,
    about: about('centred'),
    toStop: Infinity,
    state: 'all',
    severity: off > rules.tolerancesMm.parallel ? 'mind' : 'clear',
    measured: mm(off),
    limit: mm(rules.tolerancesMm.parallel),
    sentence:
      off > rules.tolerancesMm.parallel
        ? [
            `${name} stands `,
            mm(off),
            ` off the centreline, to the ${middleY(thing) < 0 ? 'left' : 'right'}.`,
          ]
        : [`${name} stands on the centreline. Lift it closed, its cover on.`],
  }
}

/** Does a tent open where the house wants it, reach the ground with its ladder, and leave its cover in reach? mm. */
export const tent = check({
  id: 'tent',
  title: 'Tents',
  question:
    'Does every tent open to the right side, is its ladder long enough, its cover in reach, and is it centred?',
  formula:
    'drop from the opened floor to the ground within the ladder’s range; room to the cab ≥ what the cover takes; brackets against the usable width; middle within the house’s tolerance',
  source: practice(
    'A tent opening over the tailgate blocks it; one opening to the side does not. Common practice, no source.',
  ),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  lengths: { of: { ...HEIGHTS, bar: /^(riseMm|usableMm|profile\.heightMm)$/, gear: /Mm$/ }, reach: 1 },
  nothing: 'No tent is on the plan, or none says how it opens.',
  *run(survey) {
    for (const thing of survey.things) yield* ofTent(survey, thing)
  },
})
