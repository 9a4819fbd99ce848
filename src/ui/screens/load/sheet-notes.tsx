import {
  formatQuantity,
  missing,
  mm,
  phraseText,
  type State,
  toSpare,
  type UnitChoice,
} from '@/core/api/plan'
import type { Survey } from '@/core/api/assess'
import { toSheet, type SheetLayout } from '@/drawing/layout'
import { doorsOf } from '@/ui/drawing/load-labels'
import { HeightRuler, LengthRuler } from '@/ui/drawing/rulers'
import { rulerYOf } from '@/ui/drawing/sheet-places'
import { SpreadSpans } from '@/ui/drawing/spread-ruler'
import { WidthRuler } from '@/ui/drawing/width-ruler'

interface Props {
  readonly survey: Survey
  readonly layout: SheetLayout
  readonly units: UnitChoice
  readonly state: State
}

/** The top of the load, and every door and garage in sight as a line right across. */
function Heights({ survey, layout, state }: Props) {
  const { side, rear, stacked } = layout
  const right = stacked ? side.left + side.width : rear.left + rear.width
  const [, topY] = toSheet(layout, 'side', 0, survey.heights[state].topMm)
  return (
    <g>
      {doorsOf(survey).inSight.map(({ clearance, passes }) => {
        const [, y] = toSheet(layout, 'side', 0, clearance.heightMm)
        if (y < side.top - 12 || y > side.top + side.height) return null
        return (
          <path
            key={clearance.id}
            d={`M ${side.left} ${y} H ${right}`}
            className={passes ? 'ceiling' : 'ceiling ceiling-bad'}
          />
        )
      })}
      {topY > side.top && topY < side.top + side.height && (
        <path d={`M ${side.left - 18} ${topY} H ${side.left}`} className="mark" />
      )}
    </g>
  )
}

/** Where each bar stands on the ruler of lengths. */
function BarMarks({ survey, layout }: Pick<Props, 'survey' | 'layout'>) {
  const { left, width } = layout.side
  const y = rulerYOf(layout)
  return survey.bars.map(({ bar }) => {
    const [x] = toSheet(layout, 'side', bar.xMm, 0)
    return x < left || x > left + width ? null : (
      <path key={bar.id} d={`M ${x} ${y - 24} V ${y}`} className="mark" />
    )
  })
}

/** The height ruler in words: the top of the load, and every door to pass. */
function spokenHeights({ drivingTop, clearances }: Survey, units: UnitChoice): string {
  const length = (mm: number) => formatQuantity('length', mm, units)
  const doors = clearances.map(({ clearance, spareMm }) =>
    spareMm < 0
      ? `${clearance.name} ${phraseText([missing(mm(-spareMm))], units)} too low`
      : `${clearance.name} ${phraseText([toSpare(mm(spareMm))], units)} to spare`,
  )
  return [`Height ruler: ${length(drivingTop.topMm)} driving, ${drivingTop.name} is highest`, ...doors].join(
    '; ',
  )
}

/** The lines over the views: rulers, ceilings, ground. Their words are placed apart, all together. */
export function SheetNotes(props: Props) {
  const { layout, units, survey } = props
  const { side, rear, plan } = layout
  const [, zeroY] = toSheet(layout, 'plan', 0, 0)
  return (
    <g className="pointer-events-none">
      <path
        d={`M ${side.left} ${toSheet(layout, 'side', 0, 0)[1]} h ${side.width} M ${rear.left} ${toSheet(layout, 'rear', 0, 0)[1]} h ${rear.width}`}
        className="ground"
      />
      <g
        role="img"
        tabIndex={-1}
        data-roving="ruler"
        aria-label={spokenHeights(survey, units)}
        className="ruler-focus"
      >
        <HeightRuler layout={layout} units={units} />
      </g>
      <LengthRuler layout={layout} units={units} y={rulerYOf(layout)} />
      <BarMarks survey={survey} layout={layout} />
      <SpreadSpans survey={survey} layout={layout} />
      <WidthRuler survey={survey} layout={layout} units={units} />
      <Heights {...props} />
      <path d={`M ${plan.left - 22} ${zeroY} h 12`} className="mark" />
    </g>
  )
}
