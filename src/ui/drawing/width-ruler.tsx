import { type BarWidth, contactYs, formatQuantity, type Survey, type UnitChoice } from '@/core'
import { toSheet, type SheetLayout } from './layout'
import { SheetText } from './sheet-text'

const ROW_PX = 40

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
  const single: UnitChoice = units.show === 'both' ? { ...units, show: 'metric' } : units
  const px = (mm: number) => toSheet(layout, 'rear', mm, 0)[0]
  const length = (mm: number) => formatQuantity('length', mm, single).replace(/ (mm|in)$/, '')
  const half = bar.bar.lengthMm / 2
  const named = (mm: number) => formatQuantity('length', mm, units)
  const spoken = [
    `Width ruler, ${bar.bar.name}: ${named(usable[1] - usable[0])} usable`,
    taken.length === 0 ? 'nothing on it' : `${taken.map(({ thing }) => thing.gear.name).join(', ')} on it`,
    free.length === 0 ? 'nothing left' : `${free.map(([from, to]) => named(to - from)).join(' and ')} left`,
  ].join('; ')
  return (
    <g role="img" tabIndex={0} aria-label={spoken} className="ruler-focus">
      <SheetText x={px(-half)} y={y - 11} text={bar.bar.name} look="sheet-small" />
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
      {free
        .filter(([from, to]) => px(to) - px(from) > 24)
        .map(([from, to], i) => (
          <SheetText
            key={i}
            x={(px(from) + px(to)) / 2}
            y={y + 15}
            text={length(to - from)}
            anchor="middle"
            look="sheet-small"
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
  const { rear, plan, stacked } = layout
  const bars = survey.fit.widths().flatMap((rack) => rack.bars)
  const top = rear.top + rear.height + 30
  const room = plan.top + plan.height - top
  const shown = stacked ? [] : bars.slice(0, Math.max(0, Math.floor(room / ROW_PX)))
  return (
    <g>
      {shown.length > 0 && (
        <SheetText x={rear.left} y={top - 2} text="Width on each bar" look="sheet-title" />
      )}
      {shown.map((width, i) => (
        <Row key={width.bar.bar.id} width={width} layout={layout} y={top + 26 + i * ROW_PX} units={units} />
      ))}
    </g>
  )
}
