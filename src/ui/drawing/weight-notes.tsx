import { formatQuantity, type State, type UnitChoice } from '@/core/api/plan'
import { IN_STATE, LIFTED_KG, type Survey } from '@/core/api/assess'
import { GRAVITY_RADIUS_PX, type GravityMark } from './gravity-marks'
import type { KiloField } from './kilo-cells'
import { toSheet, type SheetLayout } from '@/drawing/layout'
import { inPane } from './load-labels'
import { single } from './sheet-figures'

/** An arrow as the load goes: down into the foot, or up where it lifts. px. */
function arrow(x: number, y: number, up: boolean): string {
  const [tail, head] = up ? [y, y - 16] : [y - 16, y]
  const barb = up ? 5 : -5
  return `M ${x} ${tail} V ${head} M ${x - 3.5} ${head + barb} L ${x} ${head} L ${x + 3.5} ${head + barb}`
}

/** Which way each foot of the last bar is pressed or pulled, from behind. */
export function FootArrows({ survey, layout, state }: { survey: Survey; layout: SheetLayout; state: State }) {
  const lastX = Math.max(...survey.feet.map((foot) => foot.xMm))
  return survey.feet.map((foot) => {
    const load = survey.footLoads[foot.index]?.loadKg[state] ?? 0
    const at = toSheet(layout, 'rear', foot.yMm, foot.topZMm)
    if (foot.xMm !== lastX || Math.abs(load) < LIFTED_KG || !inPane(layout, 'rear', at)) return null
    const lifts = load < 0
    return (
      <path
        key={foot.id}
        d={arrow(at[0], at[1] + (lifts ? 4 : 8), lifts)}
        className={lifts ? 'force force-up' : 'force'}
      />
    )
  })
}

/** Each foot in the plan, to be reached and read: its corner, its bar and what it bears. */
export function FootTargets({
  survey,
  layout,
  units,
  state,
}: {
  survey: Survey
  layout: SheetLayout
  units: UnitChoice
  state: State
}) {
  return survey.feet.map((foot) => {
    const [x, y] = toSheet(layout, 'plan', foot.xMm, foot.yMm)
    if (!inPane(layout, 'plan', [x, y])) return null
    const load = survey.footLoads[foot.index]?.loadKg[state] ?? 0
    const words = `${load < -LIFTED_KG ? 'lifts' : 'bears'} ${formatQuantity('mass', Math.abs(load), units)}`
    return (
      <g
        key={foot.id}
        role="img"
        tabIndex={-1}
        data-roving="foot"
        className="ruler-focus"
        aria-label={`Foot ${foot.corner}, ${survey.bars[foot.barIndex]?.bar.name ?? ''}: ${words} ${IN_STATE[state]}`}
      >
        <circle cx={x} cy={y} r={8} fill="none" />
      </g>
    )
  })
}

const RADIUS = GRAVITY_RADIUS_PX

/** A centre of gravity as drawings have it: a circle in quarters, two of them filled. */
export function Quartered({ at: [x, y] }: Pick<GravityMark, 'at'>) {
  const quarter = (dx: number, dy: number) =>
    `M ${x} ${y} L ${x + dx * RADIUS} ${y} A ${RADIUS} ${RADIUS} 0 0 ${dx === dy ? 1 : 0} ${x} ${y + dy * RADIUS} Z`
  return (
    <g data-gravity>
      <circle cx={x} cy={y} r={RADIUS} className="gravity-ring" />
      <path d={`${quarter(1, -1)} ${quarter(-1, 1)}`} className="gravity-fill" />
      <circle cx={x} cy={y} r={RADIUS} className="gravity-line" />
    </g>
  )
}

/** The spots of a rack, darker the less each still takes. */
export function KiloSpots({ field, units, state }: { field: KiloField; units: UnitChoice; state: State }) {
  const { rack, cells, leastKg, mostKg, atMost } = field
  const text = (value: number) => formatQuantity('mass', Math.floor(value), single(units))
  return (
    <g
      role="img"
      tabIndex={-1}
      data-roving="ruler"
      className="ruler-focus"
      aria-label={`${rack.rack.name}, next kilogram ${IN_STATE[state]}: ${atMost ? 'at most, since a link has no figure, ' : ''}${text(leastKg)} at its worst spot, ${text(mostKg)} at its best`}
    >
      {cells.map(({ key, kg, left, top, right, bottom }) => (
        <rect
          key={key}
          x={left}
          y={top}
          width={right - left}
          height={bottom - top}
          className="kilo"
          style={{ fillOpacity: mostKg > 0 ? 0.06 + 0.3 * (1 - kg / mostKg) : 0.36 }}
        />
      ))}
    </g>
  )
}
