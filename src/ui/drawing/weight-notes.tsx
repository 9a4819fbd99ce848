import { formatQuantity, IN_STATE, LIFTED_KG, type State, type Survey, type UnitChoice } from '@/core'
import { toSheet, type SheetLayout, type ViewName } from './layout'
import { SheetText } from './sheet-text'

interface Props {
  readonly survey: Survey
  readonly layout: SheetLayout
  readonly units: UnitChoice
  readonly state: State
}

const single = (units: UnitChoice): UnitChoice =>
  units.show === 'both' ? { ...units, show: 'metric' } : units

const within = (layout: SheetLayout, view: ViewName, x: number, y: number) => {
  const pane = layout[view]
  return x > pane.left && x < pane.left + pane.width && y > pane.top && y < pane.top + pane.height
}

/** An arrow as the load goes: down into the foot, or up where it lifts. px. */
function arrow(x: number, y: number, up: boolean): string {
  const [tail, head] = up ? [y, y - 16] : [y - 16, y]
  const barb = up ? 5 : -5
  return `M ${x} ${tail} V ${head} M ${x - 3.5} ${head + barb} L ${x} ${head} L ${x + 3.5} ${head + barb}`
}

/** What each foot bears in the state shown, in the plan and, for the last bar of all, from behind. */
function Feet({ survey, layout, units, state }: Props) {
  const lastX = Math.max(...survey.feet.map((foot) => foot.xMm))
  const kg = (value: number) =>
    formatQuantity('mass', Math.abs(value), single(units)).replace(/ (kg|lb)$/, '')
  return survey.feet.map((foot) => {
    const load = survey.footLoads[foot.index]?.loadKg[state] ?? 0
    if (Math.abs(load) < LIFTED_KG) return null
    const lifts = load < 0
    const text = lifts ? `lifts ${kg(load)}` : kg(load)
    const look = lifts ? 'sheet-small sheet-stop' : 'sheet-small'
    const [x, y] = toSheet(layout, 'plan', foot.xMm, foot.yMm)
    const outward = foot.side === 'right' ? -1 : 1
    const [rearX, rearY] = toSheet(layout, 'rear', foot.yMm, foot.topZMm)
    const isLast = foot.xMm === lastX
    return (
      <g key={foot.id}>
        {within(layout, 'plan', x, y) && (
          <SheetText x={x} y={y + 4 + outward * 15} text={text} anchor="middle" look={look} />
        )}
        {isLast && within(layout, 'rear', rearX, rearY) && (
          <>
            <path
              d={arrow(rearX, rearY + (lifts ? 4 : 8), lifts)}
              className={lifts ? 'force force-up' : 'force'}
            />
            <SheetText
              x={rearX + (foot.side === 'right' ? 8 : -8)}
              y={rearY + 18}
              text={text}
              anchor={foot.side === 'right' ? 'start' : 'end'}
              look={look}
            />
          </>
        )}
      </g>
    )
  })
}

const RADIUS = 7

/** A centre of gravity as drawings have it: a circle in quarters, two of them filled. */
function Quartered({ at: [x, y] }: { at: readonly [number, number] }) {
  const quarter = (dx: number, dy: number) =>
    `M ${x} ${y} L ${x + dx * RADIUS} ${y} A ${RADIUS} ${RADIUS} 0 0 ${dx === dy ? 1 : 0} ${x} ${y + dy * RADIUS} Z`
  return (
    <g>
      <circle cx={x} cy={y} r={RADIUS} className="gravity-ring" />
      <path d={`${quarter(1, -1)} ${quarter(-1, 1)}`} className="gravity-fill" />
      <circle cx={x} cy={y} r={RADIUS} className="gravity-line" />
    </g>
  )
}

/** Where all that a rack carries has its centre of gravity, in all three views. */
function Centres({ survey, layout, state }: Props) {
  return survey.statics
    .evenness()
    .filter((each) => each.state === state)
    .map(({ rack, centre }) => {
      const places = [
        ['plan', toSheet(layout, 'plan', centre.xMm, centre.yMm)],
        ['side', toSheet(layout, 'side', centre.xMm, centre.zMm)],
        ['rear', toSheet(layout, 'rear', centre.yMm, centre.zMm)],
      ] as const
      return (
        <g key={rack.rack.id}>
          {places.map(([view, at]) =>
            within(layout, view, at[0], at[1]) ? <Quartered key={view} at={at} /> : null,
          )}
        </g>
      )
    })
}

const GRID = { rows: 6, columns: 4 } as const

/** What each spot of every rack would still take, written where it is; darker the less it is. */
function KiloField({ survey, layout, units, state }: Props) {
  const text = (value: number) => formatQuantity('mass', Math.floor(value), single(units))
  return survey.racks.map((rack) => {
    const field = survey.statics.nextKiloField(rack, state, GRID)
    const spots = field.flat()
    const [first, ...rest] = spots
    if (!first) return null
    const most = rest.reduce((so, { kg }) => Math.max(so, kg), first.kg)
    const least = rest.reduce((so, { kg }) => Math.min(so, kg), first.kg)
    if (!Number.isFinite(most)) return null
    const stepX = Math.abs((field[1]?.[0]?.xMm ?? first.xMm) - first.xMm)
    const stepY = Math.abs((field[0]?.[1]?.yMm ?? first.yMm) - first.yMm)
    const unrated = first.unrated.length > 0 ? 'at most, since a link has no figure, ' : ''
    return (
      <g
        key={rack.rack.id}
        role="img"
        tabIndex={0}
        className="ruler-focus"
        aria-label={`${rack.rack.name}, next kilogram ${IN_STATE[state]}: ${unrated}${text(least)} at its worst spot, ${text(most)} at its best`}
      >
        {spots.map(({ xMm, yMm, kg }) => {
          const [left, top] = toSheet(layout, 'plan', xMm - stepX / 2, yMm + stepY / 2)
          const [right, bottom] = toSheet(layout, 'plan', xMm + stepX / 2, yMm - stepY / 2)
          const [x, y] = [(left + right) / 2, (top + bottom) / 2]
          if (!within(layout, 'plan', x, y)) return null
          return (
            <g key={`${xMm} ${yMm}`}>
              <rect
                x={left}
                y={top}
                width={right - left}
                height={bottom - top}
                className="kilo"
                style={{ fillOpacity: most > 0 ? 0.06 + 0.3 * (1 - kg / most) : 0.36 }}
              />
              {right - left > 18 && (
                <SheetText
                  x={x}
                  y={y + 4}
                  text={text(kg).replace(/ (kg|lb)$/, '')}
                  anchor="middle"
                  look="sheet-small"
                />
              )}
            </g>
          )
        })}
      </g>
    )
  })
}

/** Where the weight lands, written on the drawing: feet, centres of gravity and, on demand, what each spot still takes. */
export function WeightNotes({ field, ...props }: Props & { readonly field: boolean }) {
  return (
    <g className="pointer-events-none">
      {field && <KiloField {...props} />}
      <Centres {...props} />
      <Feet {...props} />
    </g>
  )
}
