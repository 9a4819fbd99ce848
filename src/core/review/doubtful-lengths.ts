import { howTraits } from '../kinds/how-known'
import { movesTogether } from '../facts/bracket'
import { lengthFacts, type LengthFact, type LengthsOf } from '../facts/length-facts'
import { trialOf, type Moved } from '../facts/trials'
import { keyWords } from '../plan/key-words'
import { barsOf } from '../plan/rack'
import type { Survey } from '../survey/survey'
import { mm, type Phrase } from '../units/phrase'
import type { Ask } from './ask'
import type { Check } from './check'
import type { Finding } from './finding'

/** Which lengths may turn a check's answers, by the path of their field, and how. */
export interface LengthsTrait {
  readonly of: Readonly<Partial<Record<LengthsOf, RegExp>>>
  /** By how many mm an answer comes nearer to a Stop at most for each mm that what turns is off; all else reaches as far as it is off. */
  readonly reach: number
  /** Lengths of which only the half reaches: a thing grows to both its sides. */
  readonly half?: RegExp
  /** Its answers may turn and turn back between the ends of what a length may be: nine points are looked at. */
  readonly turnsBack?: true
}

const SHARES = [1, 0.75, 0.5, 0.25] as const

/** Where a length is tried: at its ends, or also between them. mm off what stands. */
function pointsOf({ lessMm, moreMm }: LengthFact, { turnsBack }: LengthsTrait): readonly number[] {
  const shares = turnsBack ? SHARES : SHARES.slice(0, 1)
  return [
    ...(lessMm === 0 ? [] : shares.map((share) => -lessMm * share)),
    ...(moreMm === 0 ? [] : shares.map((share) => moreMm * share)),
  ]
}

const mostOff = ({ lessMm, moreMm }: LengthFact) => Math.max(lessMm, moreMm)

const isStop = ({ severity }: Finding) => severity === 'stop'
const isAnswer = ({ severity }: Finding) => severity === 'stop' || severity === 'clear' || severity === 'mind'

/** How near to a Stop an answer is, mm, negative past it, as far as a kind of length matters; nothing where its check does not say. */
function roomOf({ toStop, margin }: Finding, of?: LengthsOf): number | undefined {
  if (typeof toStop === 'number') return toStop
  if (toStop) return of === undefined ? Math.min(...Object.values(toStop)) : toStop[of]
  return margin?.dimension === 'length' ? margin.value : undefined
}

/** What the lengths of a survey make of one check's answers. */
interface Trials {
  readonly trait: LengthsTrait
  readonly facts: readonly LengthFact[]
  /** How near to a Stop an answer would be with lengths so much off; below nought it is one. */
  readonly room: (finding: Finding, moved: readonly Moved[]) => number
}

function trialsOf(
  survey: Survey,
  check: Check,
  trait: LengthsTrait,
  facts: readonly LengthFact[],
  findings: readonly Finding[],
): Trials {
  const asked = new Set(findings.map(({ id }) => id))
  const known = new Map<Survey, ReadonlyMap<string, Finding>>()
  const answers = (moved: readonly Moved[]) => {
    const trial = trialOf(survey, moved)
    const before = known.get(trial)
    if (before) return before
    const found = new Map(check.run(trial).map((finding) => [finding.id, finding]))
    known.set(trial, found)
    return found
  }
  return {
    trait,
    facts,
    room: ({ id, rest }, moved) => {
      const there = answers(moved)
      if (rest && [...there.values()].some((each) => isStop(each) && !asked.has(each.id)))
        return -Number.MIN_VALUE
      const found = there.get(id)
      if (!found) return Infinity
      const room = roomOf(found)
      if (isStop(found)) return Math.min(room ?? -1, -Number.MIN_VALUE)
      return Math.max(room ?? 1, 0)
    },
  }
}

/** Whether a length that is off may turn an answer at all. */
function mayTurn(finding: Finding, fact: LengthFact, trait: LengthsTrait): boolean {
  const room = roomOf(finding, fact.entry.of)
  return room === undefined || Math.abs(room) <= swingOf(fact, trait)
}

/** By how much an answer comes nearer to a Stop at most when a length is off as far as it may be. mm. */
const swingOf = (fact: LengthFact, { reach, half }: LengthsTrait): number =>
  mostOff(fact) * (fact.entry.of === 'obstacle' ? reach : 1) * (half?.test(fact.entry.field) ? 0.5 : 1)

const turned = (finding: Finding, room: number) => room < 0 !== isStop(finding)

/** The length that turns an answer by itself, and how far off it does. */
function byOne(finding: Finding, { trait, facts, room }: Trials): readonly Moved[] | undefined {
  for (const fact of facts) {
    if (movesTogether(fact.how) || !mayTurn(finding, fact, trait)) continue
    for (const byMm of pointsOf(fact, trait))
      if (turned(finding, room(finding, [{ fact, byMm }]))) return [{ fact, byMm }]
  }
  return undefined
}

/** How much more several lengths may move an answer together than each by itself adds up to. */
const SURELY_MORE = 1.5

/** Whether an answer is further from its Stop than it stands now; of a Stop, no nearer to being none. */
function helps(finding: Finding, room: number): boolean {
  const now = roomOf(finding) ?? (isStop(finding) ? -1 : 1)
  return isStop(finding) ? room <= now : room >= now
}

const otherEnd = ({ lessMm, moreMm }: LengthFact, byMm: number): number => (byMm > 0 ? -lessMm : moreMm)

/** Lengths that turn an answer all at once, each at the end that is worse for it: better, where it is a Stop. */
function byAll(
  finding: Finding,
  facts: readonly LengthFact[],
  { trait, room }: Trials,
): readonly Moved[] | undefined {
  const rooms = facts.map(({ entry }) => roomOf(finding, entry.of) ?? 0)
  const reaching = facts.filter((_, i) => rooms[i] !== Infinity)
  const sum = reaching.reduce((so, fact) => so + swingOf(fact, trait), 0)
  if (reaching.length === 0 || Math.min(...rooms.map(Math.abs)) > sum) return undefined
  const now = roomOf(finding)
  let swings = 0
  const moved = reaching.map((fact): Moved => {
    const byMm = fact.moreMm || -fact.lessMm
    // One look says which way helps: the other end is the worse one then.
    const there = room(finding, [{ fact, byMm }])
    if (now !== undefined && Number.isFinite(there)) swings += Math.abs(there - now)
    return { fact, byMm: helps(finding, there) ? otherEnd(fact, byMm) : byMm }
  })
  // What all of them move together is about the sum of what each does: with half as much again it is looked at no further.
  if (now !== undefined && Math.abs(now) > swings * SURELY_MORE) return undefined
  // What may be off one way only, and that way helps, stays where it is.
  const off = moved.filter(({ byMm }) => byMm !== 0)
  return off.length > 0 && turned(finding, room(finding, off)) ? off : undefined
}

const isSkin = ({ entry }: LengthFact) => entry.field === 'roof.skinZMm' && entry.of === 'vehicle'

/** A length by what it belongs to and its field: “Bar 1’s usable width”. */
function nameOf(fact: LengthFact): string {
  if (isSkin(fact)) return 'the height of the roof’s skin'
  const { entry, name } = fact
  const key = entry.field.split('.').filter((each) => !/^\d+$/.test(each))
  const words = [...new Set(key.map(keyWords))].join(', ')
  return entry.of === 'vehicle' ? `the vehicle’s ${words}` : `${name}’s ${words}`
}

const saysOf = (fact: LengthFact, survey: Survey): string =>
  isSkin(fact) && survey.plan.vehicle.roof.skinZMm === undefined
    ? 'taken as the vehicle’s height'
    : (howTraits(fact.how).doubt ?? 'not measured')

/** The field that takes a length. */
function targetOf({ entry: { of, id, field } }: LengthFact, { plan }: Survey): Ask['target'] {
  const { vehicle, racks } = plan
  const at = (list: 'attachments' | 'obstacles') =>
    `${list}.${(vehicle[list] as readonly { readonly id: string }[]).findIndex((each) => each.id === id)}.${field}`
  switch (of) {
    case 'vehicle':
      return field === 'roof.skinZMm' ? { field: 'vehicle', name: 'skinZMm' } : { open: 'vehicle', at: field }
    case 'attachment':
      return { open: 'vehicle', at: at('attachments') }
    case 'obstacle':
      return { open: 'vehicle', at: at('obstacles') }
    case 'rack':
      return { open: 'rack', rackId: id, at: field }
    case 'bar': {
      const rack = racks.find((each) => barsOf(each).some((bar) => bar.id === id))
      const index = rack ? barsOf(rack).findIndex((bar) => bar.id === id) : 0
      return { open: 'rack', rackId: rack?.id ?? '', at: `bars.${index}.${field}` }
    }
    case 'gear':
      return { open: 'gear', gearId: id, at: field }
  }
}

/** How far a length must be off until it turns the answer, found by halves. mm. */
function needsMm(finding: Finding, { fact, byMm }: Moved, { room }: Trials): number {
  let [from, to] = [0, byMm]
  for (let i = 0; i < 6; i += 1) {
    const middle = (from + to) / 2
    if (turned(finding, room(finding, [{ fact, byMm: middle }]))) to = middle
    else from = middle
  }
  return Math.abs(to)
}

/** An answer that hangs on lengths: a pass is found out, a Stop keeps the question beside it. */
function hung(survey: Survey, finding: Finding, moved: readonly Moved[], trials: Trials): Finding {
  const [first] = moved
  if (!first) return finding
  const ask: Ask = { where: 'tape', label: nameOf(first.fact), target: targetOf(first.fact, survey) }
  if (isStop(finding)) {
    const says: Phrase =
      moved.length > 1
        ? [' It hangs on lengths that nobody measured: measure them.']
        : [
            ` It hangs on ${nameOf(first.fact)}, ${saysOf(first.fact, survey)}: `,
            mm(needsMm(finding, first, trials)),
            ` ${first.byMm < 0 ? 'less' : 'more'} would clear it. Measure it.`,
          ]
    return { ...finding, sentence: [...finding.sentence, ...says], ask }
  }
  const what: Phrase =
    moved.length > 1
      ? [
          ` It hangs on ${moved.length} lengths that nobody measured, all together: ${moved.map(({ fact }) => nameOf(fact)).join(', ')}. Measure them.`,
        ]
      : [
          ` It hangs on ${nameOf(first.fact)}, ${saysOf(first.fact, survey)}: `,
          mm(needsMm(finding, first, trials)),
          ` ${first.byMm < 0 ? 'less' : 'more'} would turn it. Measure it.`,
        ]
  return { ...finding, severity: 'findOut', sentence: [...finding.sentence, ...what], ask }
}

function judged(survey: Survey, finding: Finding, trials: Trials): Finding {
  if (finding.ask || !isAnswer(finding)) return finding
  const one = byOne(finding, trials)
  if (one) return hung(survey, finding, one, trials)
  const loose = byAll(
    finding,
    trials.facts.filter(({ how }) => movesTogether(how)),
    trials,
  )
  if (loose) return hung(survey, finding, loose, trials)
  if (isStop(finding)) return finding
  const all = trials.facts.every(({ how }) => movesTogether(how))
    ? undefined
    : byAll(finding, trials.facts, trials)
  return all ? { ...finding, together: { facts: all.length } } : finding
}

/** The lengths that may turn an answer about certain things: of gear those of the things, and of what they lie in. */
function ofItsGear(
  { thingById }: Survey,
  { subject, rest }: Finding,
  facts: readonly LengthFact[],
): readonly LengthFact[] {
  if (subject.placementIds.length === 0 || rest) return facts
  const gear = new Set<string>()
  for (const id of subject.placementIds)
    for (let thing = thingById.get(id); thing; thing = thing.parent) gear.add(thing.gear.id)
  return facts.filter(({ entry }) => entry.of !== 'gear' || gear.has(entry.id))
}

/**
 * Judges a check's answers under the lengths that may be off. A length moves by itself, all guesses and starting values
 * together. A pass that one of them makes a Stop is found out; one that only all of them at once do is said so.
 */
export function lengthJudge(
  survey: Survey,
): (check: Check, findings: readonly Finding[]) => readonly Finding[] {
  const facts = lengthFacts(survey)
  if (facts.length === 0) return (_, findings) => findings
  return (check, findings) => {
    const trait = check.lengths
    if (!trait) return findings
    const relevant = facts.filter(({ entry }) => trait.of[entry.of]?.test(entry.field))
    if (relevant.length === 0) return findings
    const trials = trialsOf(survey, check, trait, relevant, findings)
    return findings.map((finding) =>
      judged(survey, finding, { ...trials, facts: ofItsGear(survey, finding, relevant) }),
    )
  }
}
