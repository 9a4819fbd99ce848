import { type Said, check, practice } from '../check'
import { TOLERANCE } from '../../units/tolerance'
import { nearest } from '../../geometry/intervals'
import type { SpreadMember, SpreadPair, Spreads, WantedSpread } from '../../survey/bars/spread'
import { missedBy, onlyMembers, solveSpread, type SpreadSolution } from '../../survey/bars/spread-problem'
import { mm, type Phrase } from '../../units/phrase'

const range = ({ from, to }: WantedSpread): Phrase => (from === to ? [mm(from)] : [mm(from), ' to ', mm(to)])

const named = (members: readonly SpreadMember[]) => {
  const names = members.map(({ name }) => name)
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`
}

/** By how much the vehicle's own places miss what one thing wants of a pair, mm. */
function shortBy(
  spreads: Spreads,
  able: SpreadSolution | undefined,
  set: readonly SpreadMember[],
): { pair: SpreadPair; byMm: number; able: number } | undefined {
  if (set.length !== 2 || !set.some(({ kind }) => kind === 'vehicle')) return undefined
  const id = set.find(({ kind }) => kind === 'thing')?.id
  for (const pair of spreads.pairs) {
    const want = pair.wants.find(({ member }) => member.id === id)
    const possible = able?.between(spreads.bars.indexOf(pair.front), spreads.bars.indexOf(pair.rear))
    if (!want || !possible) continue
    const middle = (want.from + want.to) / 2
    const closest = nearest(possible, middle)
    if (closest === undefined) continue
    const byMm = Math.max(want.from - closest, closest - want.to)
    if (byMm > TOLERANCE.lengthMm) return { pair, byMm, able: closest }
  }
  return undefined
}

function conflictFinding(
  spreads: Spreads,
  able: SpreadSolution | undefined,
  set: readonly SpreadMember[],
): Said {
  const short = shortBy(spreads, able, set)
  const thing = set.find(({ kind }) => kind === 'thing')
  const missed = short ? undefined : missedBy(onlyMembers(spreads.problem, new Set(set.map(({ id }) => id))))
  const sentence: Phrase =
    short && thing
      ? [
          `The vehicle puts ${short.pair.front.bar.name} and ${short.pair.rear.bar.name} `,
          mm(short.able),
          ` apart at best: ${thing.name} cannot be had by `,
          mm(short.byMm),
          '.',
        ]
      : [
          `No spread suits ${named(set)} together`,
          ...(missed === undefined ? [] : [': ', mm(missed), ' are missing']),
          '. One of them has to give way.',
        ]
  return {
    about: `conflict ${set.map(({ id }) => id).join(' ')}`,
    severity: 'stop',
    state: 'all',
    subject: { placementIds: set.filter(({ kind }) => kind === 'thing').map(({ id }) => id) },
    ...(short ? { margin: mm(-short.byMm) } : {}),
    sentence,
  }
}

/** Does the spread of the bars suit everything that stands on them? Centre to centre, mm. */
export const spread = check({
  id: 'spread',
  title: 'Spread',
  question: 'Does the spread of the bars suit everything on them, and can the vehicle give it?',
  formula:
    'what the vehicle leaves each bar ∩ what each thing wants from bar to neighbouring bar; empty: the smallest sets that conflict',
  source: practice('The gear decides the spread. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  lengths: {
    of: { attachment: /^(points|doorPositions)\.\d+\.xMm$/, rack: /^fitSheet/, gear: /^fit\./ },
    reach: 1,
  },
  nothing: 'Nothing asks for a spread.',
  *run(survey) {
    const spreads = survey.fit.spreads()
    const wrong: Said[] = []
    for (const pair of spreads.pairs) {
      const { front, rear, nowMm, wants } = pair
      for (const want of wants) {
        const over = Math.max(want.from - nowMm, nowMm - want.to)
        const fits = over <= TOLERANCE.lengthMm
        const common = {
          about: `${want.member.id} ${front.bar.id} ${rear.bar.id}`,
          state: 'all',
          subject: {
            placementIds: want.member.kind === 'thing' ? [want.member.id] : [],
            barId: rear.bar.id,
            rackId: rear.rack.id,
          },
          measured: mm(nowMm),
          limit: mm(nowMm < want.from ? want.from : want.to),
          margin: mm(-over),
        } as const
        const between: Phrase = [
          mm(nowMm),
          ` between ${front.bar.name} and ${rear.bar.name}; ${want.member.name} needs `,
          ...range(want),
          ...(want.or === undefined || want.or === 0 ? [] : [', the nearest of its spreads']),
        ]
        if (fits) yield { ...common, severity: 'clear', sentence: [...between, '.'] }
        else
          wrong.push({
            ...common,
            severity: 'stop',
            sentence: [...between, ': ', mm(over), nowMm < want.from ? ' too narrow.' : ' too wide.'],
          })
      }
    }
    if (wrong.length === 0) return
    const conflicts = spreads.conflicts()
    const able =
      conflicts.length === 0 ? undefined : solveSpread(onlyMembers(spreads.problem, new Set(['vehicle'])))
    const conflicting = conflicts.map((set) => conflictFinding(spreads, able, set))
    const saysTheSame = (conflict: Said) =>
      wrong.find(
        ({ subject, margin }) =>
          conflict.margin !== undefined &&
          Math.abs((margin?.value ?? 0) - conflict.margin.value) < 1e-6 &&
          subject.placementIds[0] === conflict.subject.placementIds[0],
      )
    for (const finding of wrong)
      yield conflicting.some((conflict) => saysTheSame(conflict) === finding)
        ? { ...finding, sentence: [...finding.sentence, ' The vehicle allows no better.'] }
        : finding
    for (const conflict of conflicting) if (!saysTheSame(conflict)) yield conflict
  },
})
