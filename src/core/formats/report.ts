import * as z from '../units/schema'
import { STATES, stateSchema, type State } from '../units/scalars'
import { WHERES } from '../review/ask'
import { phraseText, type Amount } from '../units/phrase'
import { findingHeadSchema, SEVERITIES, type Finding } from '../review/finding'
import { fixesLeftOut } from '../remedies/fixes-limit'
import type { Remedy } from '../remedies/remedies'
import { type Review, layerSeverity } from '../review/review'
import { commandSchema } from '../plan/commands/command'
import { cellParts, type Cell } from '../survey/load-path/limit'
import type { LoadedBar } from '../survey/statics/bending'
import type { Survey } from '../survey/survey'
import type { UnitChoice } from '../units/format'

/** What other software gets: stable names, every number in the unit its name ends in. */

const severitySchema = z.enum(SEVERITIES)
/** No rack and no gear: there is no verdict, only that nothing is planned. */
const verdictSchema = z.enum([...SEVERITIES, 'unplanned'])
const statewise = <T extends z.ZodMiniType>(of: T) => z.strictObject({ road: of, trail: of, parked: of })

const limitSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('published'), kg: z.number(), ratingId: z.string() }),
  z.strictObject({ kind: z.literal('driving'), kg: z.number(), ratingId: z.string() }),
  z.strictObject({
    kind: z.literal('assumed'),
    kg: z.number(),
    ratingId: z.string(),
    by: z.enum(['derate', 'ruleOfThree']),
    factor: z.number(),
  }),
  z.strictObject({ kind: z.literal('missing') }),
])

const layerSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  role: z.string(),
  group: z.enum(['carrier', 'rack', 'vehicle']),
  rackIds: z.array(z.string()),
  states: z.array(
    z.strictObject({
      state: stateSchema,
      idle: z.boolean(),
      per: z.enum(['set', 'each']),
      unit: z.string(),
      counts: z.enum(['load', 'everything']),
      countedKg: z.number(),
      withoutMarginKg: z.number(),
      limit: limitSchema,
      leftKg: z.nullable(z.number()),
      parts: z.array(
        z.strictObject({
          name: z.string(),
          basis: z.string(),
          massKg: z.number(),
          share: z.number(),
          countedKg: z.number(),
        }),
      ),
    }),
  ),
})

const governingSchema = z.nullable(
  z.strictObject({ layerId: z.string(), name: z.string(), leftKg: z.number() }),
)

const rangeKg = z.strictObject({ least: z.number(), most: z.number() })

export const surveyReportSchema = z.strictObject({
  format: z.literal('ypsos-survey'),
  version: z.literal(1),
  plan: z.strictObject({ id: z.string(), name: z.string() }),
  states: z.array(stateSchema),
  layers: z.array(layerSchema),
  governing: statewise(governingSchema),
  allowance: z.array(
    z.strictObject({
      rackId: z.string(),
      state: stateSchema,
      kind: z.enum(['known', 'atLeast', 'unknown']),
      kg: z.nullable(z.number()),
      layerId: z.nullable(z.string()),
    }),
  ),
  feet: z.array(
    z.strictObject({
      id: z.string(),
      corner: z.string(),
      rackId: z.string(),
      xMm: z.number(),
      yMm: z.number(),
      loadKg: statewise(z.number()),
      withRackKg: statewise(z.number()),
      /** The least and the most of all load cases of motion; negative is uplift. */
      inMotionKg: z.strictObject({ road: rangeKg, trail: rangeKg }),
    }),
  ),
  bars: z.array(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      rackId: z.string(),
      xMm: z.number(),
      states: statewise(
        z.strictObject({
          carriesKg: z.number(),
          feetKg: z.array(z.number()),
          momentNm: z.number(),
          stressMPa: z.nullable(z.number()),
          downMm: z.nullable(z.number()),
        }),
      ),
    }),
  ),
  things: z.array(
    z.strictObject({
      placementId: z.string(),
      name: z.string(),
      x0Mm: z.number(),
      x1Mm: z.number(),
      y0Mm: z.number(),
      y1Mm: z.number(),
      z0Mm: z.number(),
      z1Mm: z.number(),
    }),
  ),
  heightsMm: statewise(z.strictObject({ topMm: z.number(), name: z.string() })),
})
type SurveyReport = z.infer<typeof surveyReportSchema>

const amountSchema = z.nullable(
  z.strictObject({ dimension: z.string(), value: z.number(), unit: z.string() }),
)

export const reviewReportSchema = z.strictObject({
  format: z.literal('ypsos-review'),
  version: z.literal(2),
  plan: z.strictObject({ id: z.string(), name: z.string() }),
  planned: z.boolean(),
  verdict: verdictSchema,
  states: statewise(z.strictObject({ verdict: verdictSchema, governing: governingSchema })),
  /** What could have been looked at and was not, by name of the check. */
  notLookedAt: z.array(z.string()),
  layers: z.array(
    z.strictObject({ id: z.string(), name: z.string(), severity: statewise(z.nullable(severitySchema)) }),
  ),
  findings: z.array(
    z.strictObject({
      ...findingHeadSchema.shape,
      measured: amountSchema,
      limit: amountSchema,
      margin: amountSchema,
      sentence: z.string(),
      /** Where the answer to a Find out is read. */
      where: z.nullable(z.enum(WHERES)),
      /** Who set a Find out aside for this job, and why. */
      aside: z.nullable(z.strictObject({ by: z.string(), reason: z.string(), on: z.string() })),
      remedies: z.array(z.strictObject({ say: z.string(), command: commandSchema })),
    }),
  ),
  cautions: z.array(z.string()),
  /** Why no fixes were looked for, where the plan is too large for it. */
  fixesLeftOut: z.optional(z.string()),
})
type ReviewReport = z.infer<typeof reviewReportSchema>

const CORE_UNIT: Readonly<Record<Amount['dimension'], string>> = {
  length: 'mm',
  mass: 'kg',
  torque: 'N·m',
  volume: 'l',
  speed: 'km/h',
  angle: 'deg',
  areaDensity: 'kg/m²',
  force: 'N',
  stress: 'MPa',
  energy: 'kWh',
}

/** A thousandth of a unit: far below any scale or tape, and free of the noise of floating point. */
const tidy = (value: number) => Math.round(value * 1000) / 1000 + 0

const amount = (value: Amount | undefined) =>
  value === undefined
    ? null
    : { dimension: value.dimension, value: tidy(value.value), unit: CORE_UNIT[value.dimension] }

function perState<T>(of: (state: State) => T): Record<State, T> {
  return { road: of('road'), trail: of('trail'), parked: of('parked') }
}

const governing = (cell: Cell | undefined) =>
  cell?.leftKg === undefined
    ? null
    : { layerId: cell.layer.id, name: cell.layer.name, leftKg: tidy(cell.leftKg) }

function limitReport({ limit }: Cell): z.infer<typeof limitSchema> {
  if (limit.kind === 'missing') return { kind: 'missing' }
  const amounts = { kg: tidy(limit.kg), ratingId: limit.rating.id }
  return limit.kind === 'assumed'
    ? { kind: 'assumed', ...amounts, by: limit.by, factor: tidy(limit.factor) }
    : { kind: limit.kind, ...amounts }
}

function inMotion(survey: Survey, footIndex: number, state: 'road' | 'trail') {
  const foot = survey.motion.feet().find((each) => each.footIndex === footIndex && each.state === state)
  return { least: tidy(foot?.least.kg ?? 0), most: tidy(foot?.most.kg ?? 0) }
}

function barReport(loaded: LoadedBar | undefined) {
  return {
    carriesKg: tidy(loaded?.carriesKg ?? 0),
    feetKg: (loaded?.beam.reactions ?? []).map(tidy),
    momentNm: tidy(loaded?.moment.nm ?? 0),
    stressMPa: loaded?.stressMPa === undefined ? null : tidy(loaded.stressMPa),
    downMm: loaded?.lowest ? tidy(loaded.lowest.downMm) : null,
  }
}

/** A survey for other software. kg, mm, N·m, MPa. */
export function surveyReport(survey: Survey): SurveyReport {
  const { plan, loadPath } = survey
  return {
    format: 'ypsos-survey',
    version: 1,
    plan: { id: plan.id, name: plan.job.name },
    states: [...STATES],
    layers: loadPath.layers.map((layer) => ({
      id: layer.id,
      name: layer.name,
      role: layer.role,
      group: layer.group,
      rackIds: [...layer.rackIds],
      states: layer.states.flatMap((state) => {
        const cell = loadPath.cellAt(layer.id, state)
        if (!cell) return []
        return [
          {
            state,
            idle: cell.idle,
            per: cell.per,
            unit: layer.units[cell.unit] ?? 'set',
            counts: cell.counting,
            countedKg: tidy(cell.countedKg),
            withoutMarginKg: tidy(cell.kg),
            limit: limitReport(cell),
            leftKg: cell.leftKg === undefined ? null : tidy(cell.leftKg),
            parts: cellParts(cell).map((part) => ({
              name: part.mass.label,
              basis: part.mass.basis,
              massKg: tidy(part.mass.kg),
              share: tidy(part.fraction),
              countedKg: tidy(part.countedKg),
            })),
          },
        ]
      }),
    })),
    governing: perState((state) => governing(loadPath.governing[state])),
    allowance: survey.allowances.map((allowance) => ({
      rackId: allowance.rackId,
      state: allowance.state,
      kind: allowance.kind,
      kg: allowance.kind === 'unknown' ? null : tidy(allowance.kg),
      layerId: allowance.kind === 'unknown' ? null : allowance.binding.layer.id,
    })),
    feet: survey.feet.map((foot) => ({
      id: foot.id,
      corner: foot.corner,
      rackId: survey.racks[foot.rackIndex]?.rack.id ?? '',
      xMm: foot.xMm,
      yMm: foot.yMm,
      loadKg: perState((state) => tidy(survey.footLoads[foot.index]?.loadKg[state] ?? 0)),
      withRackKg: perState((state) => tidy(survey.footLoads[foot.index]?.withRackKg[state] ?? 0)),
      inMotionKg: {
        road: inMotion(survey, foot.index, 'road'),
        trail: inMotion(survey, foot.index, 'trail'),
      },
    })),
    bars: survey.bars.map(({ index, bar, rack }) => ({
      id: bar.id,
      name: bar.name,
      rackId: rack.id,
      xMm: bar.xMm,
      states: perState((state) => barReport(survey.statics.bar(index, state))),
    })),
    things: survey.things.map(({ placement, gear, box }) => ({
      placementId: placement.id,
      name: gear.name,
      x0Mm: tidy(box.x0),
      x1Mm: tidy(box.x1),
      y0Mm: tidy(box.y0),
      y1Mm: tidy(box.y1),
      z0Mm: tidy(box.z0),
      z1Mm: tidy(box.z1),
    })),
    heightsMm: perState((state) => ({
      topMm: tidy(survey.heights[state].topMm),
      name: survey.heights[state].name,
    })),
  }
}

/** A review for other software; remedies come from the caller, who decides how long to look for them. */
export function reviewReport(
  survey: Survey,
  review: Review,
  remediesOf: (finding: Finding) => readonly Remedy[],
  choice?: UnitChoice,
): ReviewReport {
  const { plan, loadPath } = survey
  const leftOut = fixesLeftOut(plan)
  return {
    format: 'ypsos-review',
    version: 2,
    plan: { id: plan.id, name: plan.job.name },
    planned: review.planned,
    verdict: review.verdict,
    states: perState((state) => ({
      verdict: review.states[state],
      governing: governing(loadPath.governing[state]),
    })),
    notLookedAt: review.notLooked.map(({ rule }) => rule),
    layers: loadPath.layers.map((layer) => ({
      id: layer.id,
      name: layer.name,
      severity: perState((state) => layerSeverity(review, layer.id, state) ?? null),
    })),
    findings: review.findings.map((finding) => ({
      id: finding.id,
      severity: finding.severity,
      rule: finding.rule,
      state: finding.state,
      subject: { ...finding.subject, placementIds: [...finding.subject.placementIds] },
      measured: amount(finding.measured),
      limit: amount(finding.limit),
      margin: amount(finding.margin),
      sentence: phraseText(finding.sentence, choice),
      where: finding.ask?.where ?? null,
      aside: finding.aside
        ? { by: finding.aside.by, reason: finding.aside.reason, on: finding.aside.on }
        : null,
      remedies: remediesOf(finding).map(({ message, command }) => ({
        say: phraseText(message, choice),
        command,
      })),
    })),
    cautions: [...review.cautions],
    ...(leftOut === undefined ? {} : { fixesLeftOut: leftOut }),
  }
}
