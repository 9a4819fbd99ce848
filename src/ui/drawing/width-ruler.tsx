import { type BarWidth, contactYs, type Survey } from '@/core/api/assess'
import { formatQuantity, type UnitChoice } from '@/core/api/plan'
import { toSheet, type SheetLayout } from '@/drawing/layout'
import { widthRowsOf } from './sheet-places'

function Row({
  width,
  layout,
  y,
  units,
}: {
  width: BarWidth
  layout: SheetLayout
  y: number
  units: UnitChoice
}) {
  const { bar, usable, taken, free } = width
  const px = (mm: number) => toSheet(layout, 'rear', mm, 0)[0]
  const half = bar.bar.lengthMm / 2
  const named = (mm: number) => formatQuantity('length', mm, units)
  const spoken = [
    `Width ruler, ${bar.bar.name}: ${named(usable[1] - usable[0])} usable`,
    taken.length === 0 ? 'nothing on it' : `${taken.map(({ thing }) => thing.gear.name).join(', ')} on it`,
    free.length === 0 ? 'nothing left' : `${free.map(([from, to]) => named(to - from)).join(' and ')} left`,
  ].join('; ')
  return (
    <g role="img" tabIndex={-1} data-roving="ruler" aria-label={spoken} className="ruler-focus">
      <path d={`M ${px(-half)} ${y} H ${px(half)}`} className="width-bar" />
      {taken.map(({ thing, from, to }) => {
        const ys = contactYs(thing)
        const out = Math.min(...ys) < usable[0] - 1e-6 || Math.max(...ys) > usable[1] + 1e-6
        return (
          <rect
            key={thing.placement.id}
            x={px(from)}
            y={y - 4.5}
            width={Math.max(1, px(to) - px(from))}
            height={9}
            className={out ? 'width-taken width-over' : 'width-taken'}
          />
        )
      })}
      <path
        d={`M ${px(usable[0])} ${y - 8} V ${y + 8} M ${px(usable[1])} ${y - 8} V ${y + 8}`}
        className="width-end"
      />
      {bar.bar.feetYMm.map((foot) => (
        <path
          key={foot}
          d={`M ${px(foot) - 4} ${y + 10} L ${px(foot)} ${y + 4} L ${px(foot) + 4} ${y + 10} Z`}
          className="width-foot"
        />
      ))}
    </g>
  )
}

/** Each bar's width under the rear view: what is usable, the feet, what is taken, and what is left. */
export function WidthRuler({
  survey,
  layout,
  units,
}: {
  survey: Survey
  layout: SheetLayout
  units: UnitChoice
}) {
  return (
    <g>
      {widthRowsOf(survey, layout).rows.map(({ width, y }) => (
        <Row key={width.bar.bar.id} width={width} layout={layout} y={y} units={units} />
      ))}
    </g>
  )
}
