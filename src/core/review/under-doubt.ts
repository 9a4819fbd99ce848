import { movesTogether } from '../facts/bracket'
import { lengthFacts } from '../facts/length-facts'
import { massFacts, mostMassPart } from '../facts/mass-facts'
import { plainOf, trialOf, type Moved } from '../facts/trials'
import type { TriedFact } from '../facts/tried-fact'
import type { Survey } from '../survey/survey'
import { lazy } from '../units/memo'
import type { Check } from './check'
import { withDoubtWords } from './doubt-words'
import type { Finding } from './finding'
import { isStop, massesMayTurn, mayTurn, partTogether, triedAt, roomOf, type TurnedBy } from './turns'

const isAnswer = ({ severity }: Finding) => severity === 'stop' || severity === 'clear' || severity === 'mind'

/** What the facts of a survey make of one check's answers. */
interface Trials {
  readonly by: TurnedBy
  readonly facts: readonly TriedFact[]
  /** How near to a Stop an answer would be with facts so much off; below nought it is one. */
  readonly room: (finding: Finding, moved: readonly Moved[]) => number
}

/**
 * `baseOf` is what is tried from: masses as they are said, without the house's margin on guesses, where masses matter.
 * `survey` and `findings` are what the check answered already.
 */
function trialsOf(
  baseOf: () => Survey,
  check: Check,
  facts: readonly TriedFact[],
  { survey, findings }: { readonly survey: Survey; readonly findings: readonly Finding[] },
): Trials & {
  readonly plain: (finding: Finding) => Finding
} {
  const byId = (answers: readonly Finding[]) => new Map(answers.map((finding) => [finding.id, finding]))
  const cached = new Map<Survey, ReadonlyMap<string, Finding>>([[survey, byId(findings)]])
  const base = lazy(baseOf)
  const answersOf = (trial: Survey) => {
    const before = cached.get(trial)
    if (before) return before
    const found = byId(check.run(trial))
    cached.set(trial, found)
    return found
  }
  const asked = lazy(() => new Set(answersOf(base()).keys()))
  return {
    by: check.turnedBy,
    facts,
    plain: (finding) => answersOf(base()).get(finding.id) ?? finding,
    room: ({ id, nearStop }, moved) => {
      const there = answersOf(moved.length === 0 ? base() : trialOf(base(), moved))
      if (nearStop?.rest && [...there.values()].some((each) => isStop(each) && !asked().has(each.id)))
        return -Number.MIN_VALUE
      const found = there.get(id)
      if (!found) return Infinity
      const room = roomOf(found)
      if (isStop(found)) return Math.min(room ?? -1, -Number.MIN_VALUE)
      return Math.max(room ?? 1, 0)
    },
  }
}

const turned = (finding: Finding, room: number) => room < 0 !== isStop(finding)

/** The fact that turns an answer by itself, and how far off it does. */
function byOne(finding: Finding, { by, facts, room }: Trials): readonly Moved[] | undefined {
  for (const fact of facts) {
    if (movesTogether(fact.how) || !mayTurn(finding, fact, by)) continue
    for (const off of triedAt(fact, by))
      if (turned(finding, room(finding, [{ fact, by: off }]))) return [{ fact, by: off }]
  }
  return undefined
}

/** How much more several facts may move an answer together than each by itself adds up to. */
const SURELY_MORE = 1.5

/** Whether an answer is further from its Stop than it stands now; of a Stop, no nearer to being none. */
function helps(finding: Finding, room: number): boolean {
  const now = roomOf(finding) ?? (isStop(finding) ? -1 : 1)
  return isStop(finding) ? room <= now : room >= now
}

/** Whether a fact may be off one way only, and brings an answer no nearer to turning that way. */
const onlyHelps = (finding: Finding, fact: TriedFact, room: Trials['room']): boolean =>
  (fact.less === 0 || fact.more === 0) &&
  helps(finding, room(finding, [{ fact, by: fact.more > 0 ? fact.more : -fact.less }]))

/** Facts that turn an answer all at once, each at the end that is worse for it: better, where it is a Stop. */
function byAll(
  finding: Finding,
  facts: readonly TriedFact[],
  { by, room }: Trials,
): readonly Moved[] | undefined {
  const now = roomOf(finding)
  const may = (all: readonly TriedFact[]) => all.length > 0 && partTogether(finding, all, by) >= 1
  const near = facts.filter((fact) => partTogether(finding, [fact], by) > 0)
  if (!may(near)) return undefined
  const reaching = near.filter((fact) => !onlyHelps(finding, fact, room))
  if (!may(reaching)) return undefined
  let swings = 0
  const moved: Moved[] = []
  for (const fact of reaching) {
    let worst: { readonly by: number; readonly room: number } | undefined
    for (const off of [fact.more, -fact.less]) {
      // What may be off one way only stays where it is, where that way helps.
      if (off === 0) continue
      const there = room(finding, [{ fact, by: off }])
      if (turned(finding, there)) return [{ fact, by: off }]
      if (!helps(finding, there)) worst = { by: off, room: there }
      // One look says which way helps; the other is looked at then.
      if (worst) break
    }
    if (!worst) continue
    if (now !== undefined && Number.isFinite(worst.room)) swings += Math.abs(worst.room - now)
    moved.push({ fact, by: worst.by })
  }
  const turns = (all: readonly Moved[]) => all.length > 1 && turned(finding, room(finding, all))
  // What all of them move together is about the sum of what each does: with half as much again it is looked at no further.
  if ((now === undefined || Math.abs(now) <= swings * SURELY_MORE) && turns(moved)) return moved
  // What rests on the higher of two comes down with both of them alone: no one look shows that.
  const idle = reaching.filter((fact) => moved.every((each) => each.fact !== fact))
  if (idle.length === 0) return undefined
  return [
    [...moved, ...idle.map((fact) => ({ fact, by: -fact.less }))],
    [...moved, ...idle.map((fact) => ({ fact, by: fact.more }))],
  ].find(turns)
}

/** How far a fact must be off until it turns the answer, found by halves. In its own unit. */
function needsOf(finding: Finding, moved: readonly Moved[], { room }: Trials): number {
  const [first] = moved
  if (!first || moved.length > 1) return 0
  let [from, to] = [0, first.by]
  for (let i = 0; i < 6; i += 1) {
    const middle = (from + to) / 2
    if (turned(finding, room(finding, [{ fact: first.fact, by: middle }]))) to = middle
    else from = middle
  }
  return Math.abs(to)
}

/** The facts that may turn an answer about certain things: of gear those of the things, and of what they lie in. */
function ofItsGear(
  { thingById }: Survey,
  { subject, nearStop }: Finding,
  facts: readonly TriedFact[],
): readonly TriedFact[] {
  if (subject.placementIds.length === 0 || nearStop?.rest) return facts
  const gear = new Set<string>()
  for (const id of subject.placementIds)
    for (let thing = thingById.get(id); thing; thing = thing.parent) gear.add(thing.gear.id)
  return facts.filter((fact) => fact.in === 'kg' || fact.entry.of !== 'gear' || gear.has(fact.entry.id))
}

function findingUnderDoubt(survey: Survey, finding: Finding, trials: Trials): Finding {
  const loose = trials.facts.filter(({ how }) => movesTogether(how))
  const turning = byOne(finding, trials) ?? byAll(finding, loose, trials)
  if (turning) return withDoubtWords(survey, finding, turning, needsOf(finding, turning, trials))
  if (isStop(finding) || loose.length === trials.facts.length) return finding
  const all = byAll(finding, trials.facts, trials)
  return all ? { ...finding, together: { facts: all.length } } : finding
}

/**
 * Judges a check's answers under the lengths and masses that may be off. A fact moves by itself, all guesses and starting
 * values together. A pass that one of them makes a Stop is found out; one that only all of them at once do is said so.
 * What is over with the house's margin on guesses alone is no Stop: it depends on the guesses.
 */
export function underDoubt(survey: Survey): {
  readonly judge: (check: Check, findings: readonly Finding[]) => readonly Finding[]
  /** Of all that was judged so far: what no fact alone turns, and all of them together would. */
  readonly together: readonly Finding[]
} {
  const together: Finding[] = []
  const lengths = lengthFacts(survey)
  const mostMass = lazy(() => mostMassPart(survey))
  const all = lazy(() => massFacts(survey))
  const aboard = lazy(() => all().filter(({ entry }) => entry.of !== 'vehicle'))
  // Whose gear it is matters only where some gear has lengths that may be off.
  const ofGear = lengths.some(({ entry }) => entry.of === 'gear')
  const judge = (check: Check, findings: readonly Finding[]): readonly Finding[] => {
    const { lengths: of, masses: which } = check.turnedBy
    if (!of && !which) return findings
    const own = lengths.filter(({ entry }) => of?.of[entry.of]?.test(entry.field))
    if (own.length === 0 && !findings.some((finding) => massesMayTurn(finding, mostMass()))) return findings
    const relevant = [...own, ...(which === 'aboard' ? aboard() : which ? all() : [])]
    if (relevant.length === 0) return findings
    const trials = lazy(() =>
      trialsOf(() => (which ? plainOf(survey) : survey), check, relevant, { survey, findings }),
    )
    return findings.map((finding) => {
      if (finding.ask || !isAnswer(finding)) return finding
      const facts = ofGear ? ofItsGear(survey, finding, relevant) : relevant
      if (partTogether(finding, facts, check.turnedBy) < 1) return finding
      const plain = which ? trials().plain(finding) : finding
      const as = isStop(plain) === isStop(finding) ? finding : { ...finding, severity: plain.severity }
      const result = findingUnderDoubt(survey, as, { ...trials(), facts })
      if (result.together) together.push(result)
      return isStop(finding) && !isStop(as) && result === as ? { ...as, severity: 'findOut' } : result
    })
  }
  return { judge, together }
}
