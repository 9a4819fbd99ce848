import type { ThingAt } from '../../survey/frame/arrangement'
import { overBy, fails } from '../../facts/comparison'
import { heldAt, isTooShort, sizeOf } from '../../facts/mounts'
import type { Short } from '../../survey/mounting/match'
import type { Ask } from '../ask'
import { check, practice } from '../check'
import { barsOf } from '../../plan/schema/rack'
import type { Survey } from '../../survey/survey'
import { mm, type Phrase, missing, rangePhrase } from '../../units/phrase'

type MountAt = ReturnType<typeof heldAt>[number]

function byHowMuch(short: Short): Phrase {
  const { what, haveMm, wantFromMm, wantToMm } = short
  const size = sizeOf(short)
  const takes: Phrase =
    wantToMm === Infinity ? [mm(wantFromMm), ' or more'] : rangePhrase(mm(wantFromMm), mm(wantToMm))
  return [
    ` (${what} is `,
    mm(haveMm),
    '; it takes ',
    ...takes,
    ...(fails(size)
      ? [': ', missing(mm(overBy(size))), size.direction === 'atLeast' ? ' too little' : ' too much']
      : []),
    ')',
  ]
}

/** What a bolt must be at least. */
const stackWords = ({ neededMm }: { readonly neededMm: number }): Phrase => [
  'stack, washer, nut and two clear threads take ',
  missing(mm(neededMm)),
]

function sentenceOf(thing: ThingAt, { at, match }: MountAt): Phrase {
  const { name } = thing.gear
  switch (match.kind) {
    case 'doesNot':
      return [
        `${name} does not hold on ${at.name}: ${match.why}`,
        ...(match.short ? byHowMuch(match.short) : []),
        '.',
      ]
    case 'unknown':
      return [`${name} on ${at.name}: find out ${match.lacks}.`]
    case 'fitsWith':
      switch (match.change.kind) {
        case 'bolt':
          return [
            `${name}: its ${match.change.bolt.thread} bolt of `,
            mm(match.change.haveMm),
            ...(isTooShort(match.change)
              ? [
                  ' is too short: ',
                  ...stackWords(match.change.bolt),
                  ', ',
                  missing(mm(match.change.bolt.neededMm - match.change.haveMm)),
                  ' more',
                ]
              : [
                  ' is too long: its end would reach the floor of the channel or the bar’s far wall; ',
                  ...stackWords(match.change.bolt),
                ]),
            '; the next standard length is ',
            mm(match.change.bolt.standardMm),
            '.',
          ]
        case 'nut':
          return [`${name}: ${at.name} takes its other nut, for a slot of `, mm(match.change.slotMm), '.']
        case 'hole':
          return [`${name} fits hole ${match.change.index + 1} of ${at.name}, not the one chosen.`]
      }
    // falls through: every change above returns
    case 'fits':
      return match.bolt
        ? [
            `${name} holds on ${at.name} with ${match.bolt.thread} bolts of `,
            mm(match.bolt.lengthMm),
            ': ',
            ...stackWords(match.bolt),
            match.bolt.lengthMm === match.bolt.standardMm ? ', the next standard length' : '',
            '.',
          ]
        : [`${name} holds on ${at.name}.`]
  }
}

/** Whose sheet tells what is not known: the thing's, or that of the bar that holds it. */
function sheetThatTells(
  { bars }: Survey,
  { gear }: ThingAt,
  { at: { barId }, match }: MountAt,
): Ask['target'] {
  const at = bars.find(({ bar }) => bar.id === barId)
  if (match.kind !== 'unknown' || match.of !== 'holder' || !at)
    return { open: 'gear', gearId: gear.id, at: 'fit' }
  const index = barsOf(at.rack).findIndex(({ id }) => id === barId)
  return { open: 'rack', rackId: at.rack.id, at: `bars.${index}.profile.channel.slotMm` }
}

/** Does every mount close on its bar or enter its channel? Sizes in mm. */
export const mountMatch = check({
  id: 'mount-match',
  title: 'Mounts',
  question: 'Does every mount fit its support: clamp on bar, bolt in channel, slat, panel or place?',
  formula:
    'clamp: the bar’s section and the room under it within what the clamp takes; channel: slot and head room; bolt length ≥ stack + washer + nut + two threads, next standard length up',
  source: practice(
    'Bolt length and nut change with the bar. Thread sizes by ISO, from memory; the rule: common practice, no source.',
  ),
  law: 'balance',
  mass: 'hardly',
  stage: 'load',
  decidesPlace: 'ofEachThing',
  houseLook: 'none',
  turnedBy: { lengths: { of: { bar: /^riseMm$/, gear: /^fit\./ }, reach: 1 } },
  nothing: 'Nothing is mounted.',
  *run(survey) {
    for (const thing of survey.things) {
      const compared = heldAt(survey, thing)
      const [worst] = compared
      if (!worst) continue
      const { match } = worst
      const common = {
        about: thing.placement.id,
        state: 'all',
        subject: {
          placementIds: [thing.placement.id],
          ...(worst.at.barId === undefined ? {} : { barId: worst.at.barId }),
        },
        sentence: sentenceOf(thing, worst),
      } as const
      if (match.kind === 'fits') yield { ...common, severity: 'clear' }
      else if (match.kind === 'unknown')
        yield {
          ...common,
          severity: 'findOut',
          ask: {
            where: 'sheet',
            label: `How ${thing.gear.name} is held`,
            target: sheetThatTells(survey, thing, worst),
          },
        }
      else {
        const size = match.kind === 'doesNot' && match.short ? sizeOf(match.short) : undefined
        yield {
          ...common,
          severity: 'stop',
          ...(size
            ? { measured: mm(size.measure), limit: mm(size.limit), margin: mm(-Math.abs(overBy(size))) }
            : {}),
        }
      }
    }
  },
})
