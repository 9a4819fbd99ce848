import { any, mostBy } from '../../units/pick'
import type { Axle } from '../../facts/axles'
import { axleVerdicts } from '../../facts/axles'
import { unsettledLinks } from '../../facts/links'
import type { ComparisonVerdict } from '../../facts/judge-comparison'
import type { Survey } from '../../survey/survey'
import { STATES, type State } from '../../units/scalars'
import { kg, type Phrase } from '../../units/phrase'
import { check, practice, type FindingDraft } from '../check'
import { IN_STATE, type Finding } from '../finding'

/** Something that no fact alone turns and all of its facts together would. */
interface Together {
  readonly state: State | 'all'
  readonly facts: number
  readonly over: Phrase
  /** How far it would be over, as a part of its limit: the worst is told. */
  readonly share: number
  readonly layerId?: string
}

type Whole = Extract<ComparisonVerdict, { is: 'together' }>

const inKg = (name: string, state: State, { facts, overBy }: Whole, limitKg: number): Together => ({
  state,
  facts,
  over: [`${name} would be `, kg(overBy), ` over ${IN_STATE[state]}`],
  share: overBy / Math.max(limitKg, 1),
})

const axleName = (axle: Axle) => `The ${axle} axle`

function* togetherOf(survey: Survey, answers: readonly Finding[]): Iterable<Together> {
  for (const [cell, { verdict }] of unsettledLinks(survey))
    if (verdict.is === 'together')
      yield {
        ...inKg(cell.layer.name, cell.state, verdict, cell.limit.kind === 'missing' ? 1 : cell.limit.kg),
        layerId: cell.layer.id,
      }
  for (const { axle, state, verdict, comparison } of axleVerdicts(survey))
    if (verdict.is === 'together') yield inKg(axleName(axle), state, verdict, comparison.limit)
  for (const { together, state, sentence } of answers)
    yield {
      state,
      facts: together?.facts ?? 0,
      over: ['this would be a Stop: ', ...sentence],
      share: 0,
    }
}

function togetherFinding(state: State | 'all', { facts, over, layerId }: Together): FindingDraft {
  return {
    about: state,
    severity: 'mind',
    state,
    subject: { placementIds: [], ...(layerId === undefined ? {} : { layerId }) },
    sentence: [
      `${facts} facts are uncertain; none alone turns a verdict. With all of them at the worse end `,
      ...over,
      over.at(-1) === '.' ? '' : '.',
    ],
  }
}

/** Would all facts that are in doubt turn a verdict together, where none of them does alone? */
export const factsTogether = check({
  id: 'facts-together',
  title: 'All doubts at once',
  question: 'Would all uncertain facts together turn a verdict that none turns alone?',
  formula:
    'every fact of one comparison at the end of its bracket that is worse for it; one line a state, the worst',
  source: practice('Errors seldom fall all on one side; they may. Common practice, no source.'),
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'All doubts together turn no verdict.',
  *run(survey, answers) {
    const all = [...togetherOf(survey, answers)]
    if (!any(all)) return
    const worstIn = (states: readonly (State | 'all')[]) =>
      mostBy(
        all.filter(({ state }) => states.includes(state)),
        ({ share }) => share,
      )
    const own = STATES.filter((state) => all.some((each) => each.state === state))
    for (const state of own) {
      const worst = worstIn([state])
      if (worst) yield togetherFinding(state, worst)
    }
    const whole = worstIn(['all'])
    if (whole && own.length !== STATES.length)
      for (const state of own.length === 0
        ? (['all'] as const)
        : STATES.filter((each) => !own.includes(each)))
        yield togetherFinding(state, whole)
  },
})
