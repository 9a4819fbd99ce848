import type { Survey } from '../../survey/survey'
import type { Finding } from '../../review/finding'

/** One hole: where it is in the vehicle frame (mm), and how it is made. What the sheet leaves out is left out. */
interface Hole {
  readonly name: string
  readonly xMm: number
  readonly yMm: number
  readonly pilotMm: number | undefined
  readonly finalMm: number | undefined
  /** What is done to it, in order, where its sheet says. */
  readonly operations: readonly string[]
}

interface DrillPlan {
  readonly rackId: string
  readonly partId: string
  readonly partName: string
  readonly holes: readonly Hole[]
  /** What the sheet counts; the points on the vehicle may be more or fewer. */
  readonly asked: number
  /** Holes that the sheet names and the vehicle has no point for. */
  readonly unplaced: readonly string[]
  readonly layers: readonly string[]
  readonly template: string | undefined
  readonly seal: string | undefined
  readonly paint: string | undefined
  readonly reversible: boolean
}

/** Where a kit is drilled: a hole at each point on either side, with sizes, layers, seal and paint as its sheet has them. */
export function drillPlans({ racks }: Survey): DrillPlan[] {
  return racks.flatMap(({ rack, attachments }) =>
    rack.parts.flatMap((part): DrillPlan[] => {
      const drills = part.kit?.drills
      if (!drills) return []
      const points = attachments.flatMap((each) => ('points' in each ? each.points : []))
      const holes = points.flatMap(({ xMm, yMm }, i) =>
        (['left', 'right'] as const).map((side): Hole => {
          const name = `Point ${i + 1}, ${side}`
          const own = drills.each?.find((each) => each.name.toLowerCase() === name.toLowerCase())
          return {
            name,
            xMm,
            yMm: side === 'left' ? -yMm : yMm,
            pilotMm: own?.pilotMm ?? drills.pilotMm,
            finalMm: own?.finalMm ?? drills.finalMm,
            operations: own?.operations ?? [],
          }
        }),
      )
      return [
        {
          rackId: rack.id,
          partId: part.id,
          partName: part.name,
          holes,
          asked: drills.holes,
          unplaced: (drills.each ?? [])
            .map(({ name }) => name)
            .filter((name) => !holes.some((hole) => hole.name.toLowerCase() === name.toLowerCase())),
          layers: drills.layers ?? [],
          template: drills.template,
          seal: drills.seal,
          paint: drills.paint,
          reversible: drills.reversible,
        },
      ]
    }),
  )
}

/** What a drill plan still lacks. A hole is not undone: nothing here is taken for granted. */
export function drillFindings(plan: DrillPlan): Finding[] {
  const lacks = [
    plan.holes.some(({ pilotMm }) => pilotMm === undefined) ? 'the pilot’s size' : undefined,
    plan.holes.some(({ finalMm }) => finalMm === undefined) ? 'the final size' : undefined,
    plan.layers.length === 0 ? 'the layers that are drilled and the space behind them' : undefined,
    plan.seal === undefined ? 'what seals it' : undefined,
    plan.paint === undefined ? 'what protects the bare edge' : undefined,
  ].filter((each) => each !== undefined)
  const common = {
    rule: 'drilling',
    state: 'all',
    subject: { partId: plan.partId, placementIds: [] },
  } as const
  const lost = plan.unplaced.map((name): Finding => ({
    ...common,
    id: `drill unplaced ${plan.partId} ${name}`,
    severity: 'findOut',
    sentence: [
      `${plan.partName}: its sheet names ${name}, and the vehicle has no such point. Find out the place of that hole.`,
    ],
  }))
  const missing: Finding[] =
    lacks.length === 0
      ? []
      : [
          {
            ...common,
            id: `drill lacks ${plan.partId}`,
            severity: 'findOut',
            sentence: [`${plan.partName}: before any hole, find out ${lacks.join(', ')}.`],
          },
        ]
  const differs: Finding[] =
    plan.holes.length === plan.asked
      ? []
      : [
          {
            ...common,
            id: `drill count ${plan.partId}`,
            severity: 'findOut',
            sentence: [
              `${plan.partName}: its sheet asks for ${plan.asked} holes, the vehicle’s points make ${plan.holes.length}.`,
            ],
          },
        ]
  return [...missing, ...differs, ...lost]
}
