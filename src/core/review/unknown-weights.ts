import type { State } from '../units/scalars'
import type { Survey } from '../survey/survey'
import { listed, plural } from '../units/words'
import { askMass } from './ask-mass'
import type { Check } from './check'
import type { Finding } from './finding'

function weighWords(labels: readonly string[]): string {
  const names = [...new Set(labels)]
  return `${listed(names)} ${plural(names.length, 'weighs', 'weigh')}`
}

/**
 * Turns a passing answer into "not looked at" while a weight is unknown, if mass matters to its check and no link's sum
 * covers it. A Stop or a Mind at the least possible weight stays.
 */
export function onUnknownWeights(survey: Survey): ((check: Check, finding: Finding) => Finding) | undefined {
  const unknown = survey.masses.filter(({ basis }) => basis === 'unknown')
  if (unknown.length === 0) return undefined
  const matters = (state: State | 'all') =>
    unknown.filter(({ states }) => state === 'all' || states.includes(state))
  return (check, finding) => {
    const { severity, subject } = finding
    const passes = severity === 'clear' || (severity === 'nothing' && check.mass === 'onlyWith')
    if (check.law === 'notOfMass' || check.mass === 'hardly' || !passes || subject.layerId !== undefined)
      return finding
    const these = matters(finding.state)
    const [first] = these
    if (!first) return finding
    const ask = askMass(first)
    const { measured: _, limit: _limit, margin: _margin, ...rest } = finding
    return {
      ...rest,
      id: severity === 'nothing' ? `${check.id} not looked` : finding.id,
      severity: 'notLooked',
      sentence: [
        `${check.title}: not looked at, because nobody knows yet what ${weighWords(these.map(({ label }) => label))}.`,
      ],
      ...(ask ? { ask } : {}),
    }
  }
}
