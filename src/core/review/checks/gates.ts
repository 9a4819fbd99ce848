import { fails, overBy } from '../../facts/comparison'
import { gateDoubt, impliedHeld } from '../../facts/gates'
import { PROVENANCES } from '../../kinds/provenance'
import type { Survey } from '../../survey/survey'
import type { Ask } from '../ask'
import { ladderLengthFindings } from '../ladder-lengths'
import { helperMayWeigh, helperWeight } from '../helper-weight'
import { type FindingDraft, check, practice } from '../check'
import { impliedGates, type GateAt, type GateOwner, type Implied } from '../../survey/mounting/gates'
import { kg, mm, missing, rangePhrase, toSpare, type Amount, type Phrase } from '../../units/phrase'

/** What a gate asks for, as it follows “asks”. */
export function asksWhat(gate: GateAt['gate']): Phrase {
  return gate.ask.kind === 'gauge' ? asked(gate) : ['for ', ...asked(gate)]
}

const bounds = (
  from: number | undefined,
  to: number | undefined,
  amount: (value: number) => Amount,
): Phrase =>
  from !== undefined && to !== undefined
    ? rangePhrase(amount(from), amount(to))
    : from !== undefined
      ? ['at least ', amount(from)]
      : ['at most ', amount(to ?? 0)]

/** The bounds of a gate, in words with its datum. */
function asked({ ask }: GateAt['gate']): Phrase {
  switch (ask.kind) {
    case 'length':
      return [
        ...bounds(ask.fromMm, ask.toMm, mm),
        ...(ask.softFromMm === undefined ? [] : [', better from ', mm(ask.softFromMm)]),
        ...(ask.softToMm === undefined ? [] : [', better up to ', mm(ask.softToMm)]),
        ...(ask.datum === '' ? [] : [`, ${ask.datum}`]),
      ]
    case 'mass':
      return bounds(ask.fromKg, ask.toKg, kg)
    case 'gauge':
      return [`that ${ask.gauge} ${ask.must === 'go' ? 'goes in' : 'does not go in'}`]
  }
}

function amountOf({ stand }: GateAt): Amount | undefined {
  if (stand.kind === 'unmeasured') return undefined
  const { value } = stand
  return value.kind === 'length' ? mm(value.mm) : value.kind === 'mass' ? kg(value.kg) : undefined
}

function answered({ stand }: GateAt): Phrase {
  if (stand.kind === 'unmeasured') return []
  const { value } = stand
  if (value.kind === 'mass') return [kg(value.kg)]
  if (value.kind === 'gauge') return [value.went === 'go' ? 'it goes in' : 'it does not go in']
  return value.readings === 1
    ? [mm(value.mm)]
    : [mm(value.mm), ` (mean of ${value.readings} readings, `, mm(value.scatterMm), ' apart)']
}

/** What a gate asks in: a mass or a length. */
const amountFor = ({ ask }: GateAt['gate']) => (ask.kind === 'mass' ? kg : mm)

function findingOf(survey: Survey, at: GateAt, placementIds: readonly string[]): FindingDraft {
  const { of, gate, stand, measurement } = at
  const measured = amountOf(at)
  const common = {
    about: `${of.id} ${gate.id}`,
    state: 'all',
    subject: { placementIds, ...(measurement ? { measurementId: measurement.id } : {}) },
    ...(measured ? { measured } : {}),
  } as const
  const lead = `${of.name}, ${gate.question}: `
  const ask: Ask = {
    where: gate.ask.kind === 'mass' ? 'scale' : gate.ask.kind === 'gauge' ? 'look' : 'tape',
    label: `${of.name}, ${gate.question}`,
    target: { open: 'measuring' },
  }
  switch (stand.kind) {
    case 'unmeasured':
      return {
        ...common,
        severity: 'findOut',
        ask,
        sentence: [lead, 'not measured yet. It asks ', ...asksWhat(gate), '.', ...helperMayWeigh(survey, at)],
      }
    case 'outside':
      return {
        ...common,
        severity: 'stop',
        ask,
        sentence: [
          lead,
          ...answered(at),
          '; it asks ',
          ...asksWhat(gate),
          ...(stand.by === undefined ? ['.'] : ['; ', missing(amountFor(gate)(stand.by)), ' off.']),
          ' Measure it again, or fit a part that takes what was measured.',
        ],
      }
    case 'between':
      return {
        ...common,
        severity: 'mind',
        sentence: [
          lead,
          ...answered(at),
          ', between the ends of a bound that its sheet prints as a range: ',
          ...asked(gate),
          '.',
        ],
      }
    case 'within':
      return {
        ...common,
        severity: 'clear',
        sentence: [
          lead,
          ...answered(at),
          gate.ask.kind === 'gauge' ? ', as it asks' : ', within ',
          ...(gate.ask.kind === 'gauge' ? [] : asked(gate)),
          ...(stand.spare === undefined
            ? ['.']
            : ['; ', toSpare(amountFor(gate)(stand.spare)), ' to spare.']),
        ],
      }
  }
}

/** A gate that its reading's own error may turn is measured again, closer. */
function underDoubt(at: GateAt, draft: FindingDraft, { plan }: Survey): FindingDraft {
  if (draft.severity !== 'clear' && draft.severity !== 'mind') return draft
  const doubt = gateDoubt(at, plan)
  if (!doubt) return draft
  const { use, needs, comparison } = doubt
  const amount = amountFor(at.gate)
  const difference = comparison.direction === 'atMost' ? ' more' : ' less'
  const why =
    use.how === 'measured'
      ? 'a reading may be off by '
      : `it is ${PROVENANCES[use.how === 'unknown' ? 'told' : use.how].word}, and may be off by `
  return {
    ...draft,
    severity: 'findOut',
    sentence: [
      ...draft.sentence,
      ` The verdict depends on the reading: ${why}`,
      amount(use.bracket),
      ', and ',
      amount(needs),
      `${difference} would turn it. Measure it again, closer.`,
    ],
    ask: {
      where: at.gate.ask.kind === 'mass' ? 'scale' : 'tape',
      label: `${at.of.name}, ${at.gate.question}`,
      target: { open: 'measuring' },
    },
  }
}

function impliedFinding(implied: Implied, placementIds: readonly string[]): FindingDraft {
  const { of, gate, other, ownMm, valueMm, plusFromMm, plusToMm, why } = implied
  const compared = impliedHeld(implied)
  const agrees = !fails(compared)
  return {
    about: `${of.id} ${gate.id} against ${other.id}`,
    severity: agrees ? 'clear' : 'findOut',
    ...(agrees
      ? {}
      : { ask: { where: 'tape', label: `${of.name}, ${gate.question}`, target: { open: 'measuring' } } }),
    state: 'all',
    subject: { placementIds },
    measured: mm(valueMm),
    sentence: [
      `${of.name}: ${gate.question} `,
      mm(ownMm),
      ' and ',
      ...rangePhrase(mm(plusFromMm), mm(plusToMm)),
      ` more (${why}) are `,
      ...rangePhrase(mm(ownMm + plusFromMm), mm(ownMm + plusToMm)),
      `; ${other.question} reads `,
      mm(valueMm),
      ...(agrees
        ? ['.']
        : [
            ', ',
            missing(mm(overBy(compared))),
            compared.direction === 'atLeast' ? ' too little' : ' too much',
            '. Measure both again.',
          ]),
    ],
  }
}

/** Are the conditions of gear and racks measured and met, and do the measurements agree with each other? */
export const gates = check({
  id: 'gates',
  title: 'Gates',
  question:
    'Is every gap and thickness that gear or rack requires measured on this vehicle and within bounds?',
  formula:
    'the middle of the readings within from … to; between the ends of a bound printed as a range is Mind; one gate against what another implies; a ladder’s own length against the height that it spans and the panel that it hangs down',
  source: practice(
    'Gaps and thicknesses to measure on the vehicle before ordering. Common practice, no source.',
  ),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'Nothing on the plan has conditions to measure.',
  *run(survey) {
    const all = survey.fit.gates()
    const placed = ({ owner, id }: GateOwner) =>
      owner === 'rack'
        ? []
        : survey.plan.placements.filter((each) => each.gearId === id).map((each) => each.id)
    for (const at of all) {
      yield underDoubt(at, findingOf(survey, at, placed(at.of)), survey)
      yield* helperWeight(survey, at)
    }
    yield* ladderLengthFindings(survey)
    for (const each of impliedGates(all)) yield impliedFinding(each, placed(each.of))
  },
})
