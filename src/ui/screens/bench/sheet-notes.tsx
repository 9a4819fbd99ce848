'use client'
import { type ClearanceAt, formatQuantity, type State, type Survey, type UnitChoice } from '@/core'
import { DimensionLine } from '@/ui/drawing/dimension-line'
import { CEILING_IN_SIGHT_MM, toSheet, type SheetLayout } from '@/ui/drawing/layout'
import { HeightRuler, LengthRuler } from '@/ui/drawing/rulers'
import { SheetText } from '@/ui/drawing/sheet-text'
import { SpreadSpans } from '@/ui/drawing/spread-ruler'
import { WidthRuler } from '@/ui/drawing/width-ruler'
import type { Picked } from '@/ui/state/plan-store'

interface Props {
  readonly survey: Survey
  readonly layout: SheetLayout
  readonly units: UnitChoice
  readonly state: State
  readonly picked: Picked | undefined
}

const single = (units: UnitChoice): UnitChoice =>
  units.show === 'both' ? { ...units, show: 'metric' } : units

/** The top of the load, and every door and garage as a line right across. */
function Heights({ survey, layout, units, state }: Props) {
  const { clearances, drivingTop, heights } = survey
  const { side, rear, stacked } = layout
  const right = stacked ? side.left + side.width : rear.left + rear.width
  const top = heights[state].topMm
  const [, topY] = toSheet(layout, 'side', 0, top)
  const length = (mm: number) => formatQuantity('length', mm, single(units))
  const isInSight = ({ clearance }: ClearanceAt) =>
    clearance.heightMm <= drivingTop.topMm + CEILING_IN_SIGHT_MM
  const inSight = clearances.filter(isInSight)
  const above = clearances.filter((each) => !isInSight(each))
  const words = ({ clearance: { name, heightMm }, spareMm, passes }: ClearanceAt) =>
    spareMm < 0
      ? `${name} ${length(heightMm)}, ${length(-spareMm)} too high`
      : `${name} ${length(heightMm)}, ${passes ? '' : 'only '}${length(spareMm)} to spare`
  return (
    <g>
      {inSight.map((each) => {
        const { clearance, passes } = each
        const [, y] = toSheet(layout, 'side', 0, clearance.heightMm)
        if (y < side.top - 12 || y > side.top + side.height) return null
        return (
          <g key={clearance.id}>
            <path
              d={`M ${side.left} ${y} L ${right} ${y}`}
              className={passes ? 'ceiling' : 'ceiling ceiling-bad'}
            />
            <SheetText
              x={side.left + side.width - 4}
              y={y - 4}
              text={words(each)}
              anchor="end"
              look={passes ? '' : 'sheet-stop'}
            />
          </g>
        )
      })}
      {above.length > 0 && !stacked && (
        <SheetText
          x={side.left + side.width - 4}
          y={side.top - 14}
          anchor="end"
          look="sheet-quiet"
          text={above.map(words).join(' · ')}
        />
      )}
      {topY > side.top && topY < side.top + side.height && (
        <g>
          <path d={`M ${side.left - 18} ${topY} L ${side.left} ${topY}`} className="mark" />
          <SheetText
            x={side.left - 21}
            y={topY + 4}
            text={length(top).replace(/ (mm|in)$/, '')}
            anchor="end"
          />
        </g>
      )}
    </g>
  )
}

/** From bar to bar along each rack, centre to centre. */
function BarSpreads({ survey, layout, units, y }: Omit<Props, 'state' | 'picked'> & { y: number }) {
  const xs = survey.bars.map(({ bar }) => bar.xMm).toSorted((a, b) => a - b)
  const { side } = layout
  const inPane = (x: number) => x >= side.left && x <= side.left + side.width
  return (
    <g>
      {xs.map((x, i) => {
        const [at] = toSheet(layout, 'side', x, 0)
        const [before] = toSheet(layout, 'side', xs[i - 1] ?? x, 0)
        return (
          <g key={`${i}-${x}`}>
            {inPane(at) && <path d={`M ${at} ${y - 24} L ${at} ${y}`} className="mark" />}
            {i > 0 && inPane(at) && inPane(before) && at - before > 2 && (
              <DimensionLine
                from={[before, y - 9]}
                to={[at, y - 9]}
                text={formatQuantity('length', x - (xs[i - 1] ?? x), single(units)).replace(/ (mm|in)$/, '')}
              />
            )}
          </g>
        )
      })}
    </g>
  )
}

/** A name takes about so many px a letter. */
const LETTER_PX = 6.2

/** Names on what is there, the largest first, where there is room for them and none is written over another. */
function Names({ survey, layout, picked }: Props) {
  const { plan } = layout
  const taken: { left: number; right: number; y: number }[] = []
  const chosen = (id: string) => picked?.kind === 'thing' && picked.id === id
  const area = ({ box }: Survey['things'][number]) => (box.x1 - box.x0) * (box.y1 - box.y0)
  const sorted = survey.things.toSorted(
    (a, b) => Number(chosen(b.placement.id)) - Number(chosen(a.placement.id)) || area(b) - area(a),
  )
  return sorted.map(({ placement, gear, box }) => {
    const [left, bottom] = toSheet(layout, 'plan', Math.max(box.x0, -30_000), box.y0)
    const [right, top] = toSheet(layout, 'plan', box.x1, box.y1)
    const half = (gear.name.length * LETTER_PX) / 2
    if (!chosen(placement.id) && (bottom - top < 15 || right - left < half * 2 + 8)) return null
    const from = Math.max(left, plan.left)
    const to = Math.min(right, plan.left + plan.width)
    const y = (top + bottom) / 2 + 4
    if (y < plan.top || y > plan.top + plan.height || to - from < half) return null
    const middles = [(from + to) / 2, to - half - 10, from + half + 10]
    const x = middles.find(
      (at) =>
        !taken.some(
          (other) => Math.abs(other.y - y) < 14 && at - half < other.right && at + half > other.left,
        ),
    )
    if (x === undefined) return null
    taken.push({ left: x - half, right: x + half, y })
    return <SheetText key={placement.id} x={x} y={y} text={gear.name} anchor="middle" look="sheet-name" />
  })
}

/** Where the picked thing stands: from the centreline in the rear view, and its height over the ground. */
function PickedDimensions({ survey, layout, units, picked }: Props) {
  const thing = picked?.kind === 'thing' ? survey.thingById.get(picked.id) : undefined
  if (!thing) return null
  const { box } = thing
  const length = (mm: number) => formatQuantity('length', mm, single(units)).replace(/ (mm|in)$/, '')
  const y = (box.y0 + box.y1) / 2
  const first = survey.bars.find(
    ({ bar }) => thing.placement.host.on === 'bars' && thing.placement.host.barIds.includes(bar.id),
  )
  const [x0, low] = toSheet(layout, 'plan', box.x0, box.y0)
  const [x1] = toSheet(layout, 'plan', box.x1, box.y0)
  const under = low + 16
  const { plan } = layout
  return (
    <g>
      {Math.abs(y) > 1 && (
        <DimensionLine
          from={toSheet(layout, 'rear', 0, box.z1 + 90)}
          to={toSheet(layout, 'rear', y, box.z1 + 90)}
          text={length(Math.abs(y))}
        />
      )}
      {under < plan.top + plan.height && x0 > plan.left && x1 < plan.left + plan.width && (
        <DimensionLine from={[x0, under]} to={[x1, under]} text={length(box.x1 - box.x0)} />
      )}
      {first && box.x0 < first.bar.xMm && (
        <DimensionLine
          from={toSheet(layout, 'side', box.x0, box.z1 + 70)}
          to={toSheet(layout, 'side', first.bar.xMm, box.z1 + 70)}
          text={length(first.bar.xMm - box.x0)}
        />
      )}
    </g>
  )
}

/** The height ruler in words: the top of the load, and every door to pass. */
function spokenHeights({ drivingTop, clearances }: Survey, units: UnitChoice): string {
  const length = (mm: number) => formatQuantity('length', mm, units)
  const doors = clearances.map(({ clearance, spareMm }) =>
    spareMm < 0
      ? `${clearance.name} ${length(-spareMm)} too low`
      : `${clearance.name} ${length(spareMm)} to spare`,
  )
  return [`Height ruler: ${length(drivingTop.topMm)} driving, ${drivingTop.name} is highest`, ...doors].join(
    '; ',
  )
}

/** Everything written on the sheet over the views: rulers, names, dimensions, ceilings, sides. */
export function SheetNotes(props: Props) {
  const { layout, units, survey } = props
  const { side, rear, plan } = layout
  const rulerY = side.top + side.height + 34
  const [, zeroY] = toSheet(layout, 'plan', 0, 0)
  const half = survey.plan.vehicle.widthMm / 2
  const letter = (y: number, text: string) => {
    const [, top] = toSheet(layout, 'plan', 0, y)
    return top > plan.top + 4 && top < plan.top + plan.height + 6 ? (
      <SheetText x={plan.left - 16} y={top + 4} text={text} anchor="middle" look="sheet-letter" />
    ) : null
  }
  const rearLetter = (y: number, text: string) => {
    const [left, top] = toSheet(layout, 'rear', y, survey.body.sillZMm * 1.35)
    return left > rear.left && left < rear.left + rear.width && top < rear.top + rear.height ? (
      <SheetText x={left} y={top} text={text} anchor="middle" look="sheet-letter" />
    ) : null
  }
  return (
    <g className="pointer-events-none">
      <SheetText x={side.left} y={side.top - 14} text="Side" look="sheet-title" />
      <SheetText x={rear.left} y={rear.top - 14} text="Rear" look="sheet-title" />
      <SheetText x={plan.left - 50} y={plan.top + 12} text="Plan" look="sheet-title" />
      <path
        d={`M ${side.left} ${toSheet(layout, 'side', 0, 0)[1]} h ${side.width} M ${rear.left} ${toSheet(layout, 'rear', 0, 0)[1]} h ${rear.width}`}
        className="ground"
      />
      <g role="img" tabIndex={0} aria-label={spokenHeights(survey, units)} className="ruler-focus">
        <HeightRuler layout={layout} units={units} markedMm={survey.heights[props.state].topMm} />
      </g>
      <LengthRuler layout={layout} units={units} y={rulerY} />
      <BarSpreads {...props} y={rulerY} />
      <SpreadSpans survey={survey} layout={layout} units={units} y={rulerY + 26} />
      <WidthRuler survey={survey} layout={layout} units={units} />
      <Heights {...props} />
      <Names {...props} />
      <PickedDimensions {...props} />
      {letter(half * 0.72, 'R')}
      {letter(-half * 0.72, 'L')}
      {rearLetter(-half * 0.62, 'L')}
      {rearLetter(half * 0.62, 'R')}
      <path d={`M ${plan.left - 22} ${zeroY} h 12`} className="mark" />
    </g>
  )
}
