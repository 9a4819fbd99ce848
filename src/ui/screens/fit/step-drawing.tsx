import {
  badPull,
  type BayProgress,
  isPlaceRight,
  lastPass,
  loadingOrder,
  nextPull,
  placeAnswers,
  pullKey,
  signAt,
  type Step,
} from '@/core/api/fit'
import type { RackAt, Survey } from '@/core/api/assess'
import { DRAWN, type StepExtent, extentAround, frameOf, PLACE_PX } from './step-frame'

const { width: WIDTH, height: HEIGHT } = DRAWN
const CORNER = PLACE_PX

interface Spot {
  readonly name: string
  readonly x: number
  readonly y: number
}

/** What the bars of a rack take up, mm. */
function barsExtent({ bars }: RackAt): StepExtent {
  const xs = bars.map(({ bar }) => bar.xMm)
  const halfY = Math.max(...bars.map(({ bar }) => bar.lengthMm / 2), 400)
  const [x0, x1] = [Math.min(...xs), Math.max(...xs)]
  const wider = Math.max(0, 500 - (x1 - x0)) / 2
  return { x0: x0 - wider, x1: x1 + wider, y0: -halfY, y1: halfY }
}

/** How far ahead of the front bar its tape is drawn, where it is read from a mark. */
const FROM_MARK = 140

/** The step's own little drawing: which corners it is about, in which order they are pulled, and what is taped. */
export function StepDrawing({
  step,
  survey,
  progress,
}: {
  step: Step
  survey: Survey
  progress: BayProgress
}) {
  const rack = survey.racks.find((each) => each.rack.id === step.rackId)
  if (!rack || rack.bars.length === 0) return null
  return <RackDrawing rack={rack} step={step} progress={progress} />
}

function RackDrawing({ rack, step, progress }: { rack: RackAt; step: Step; progress: BayProgress }) {
  const { task } = step
  const bad = badPull(step, progress)
  const next = bad ?? nextPull(step, progress)
  const answered = placeAnswers(step, progress)
  // A joint's own places where they are known, the rack's feet for everything else.
  const own = task.kind === 'torque' && task.group.at.size > 0 ? task.group : undefined
  const { at } = frameOf(own ? extentAround([...own.at.values()]) : barsExtent(rack))
  const spots: Spot[] = own
    ? [...own.at].map(([name, { xMm, yMm }]) => ({ name, ...at(xMm, yMm) }))
    : rack.feet.map((foot) => ({ name: foot.corner, ...at(foot.xMm, foot.yMm) }))
  const order = own ? [...new Set(own.pulls.map(({ at: place }) => place))] : []
  const about = new Set(rack.feet.filter(({ id }) => step.footIds.includes(id)).map(({ corner }) => corner))
  const taped = new Set(task.kind === 'measure' ? task.pairs.flatMap((ask) => ask.taped) : [])
  const isSpread = taped.has('spreadLeft')
  const isFromMark = task.kind === 'measure' && task.pairs.some(({ pair }) => pair.sheetMark !== undefined)
  const corners = spots.length >= 4 ? [spots[0], spots[1], spots.at(-2), spots.at(-1)] : []
  const [lf, rf, lr, rr] = corners
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="flex-[1_1_12rem] min-h-[12rem] w-full mt-[0.4rem]"
      role="img"
      aria-label={`${rack.rack.name} from above, front to the left${next ? `; next is ${next.at}` : ''}`}
    >
      <path d={`M 24 ${HEIGHT / 2} H ${WIDTH - 24}`} className="draw-centre" />
      <path d={`M 24 ${HEIGHT / 2} l 18 -9 v 18 z`} className="draw-ink" />
      <text x={24} y={HEIGHT / 2 - 14} className="bay-note">
        front
      </text>
      <text x={WIDTH - 20} y={26} textAnchor="end" className="bay-note">
        right side
      </text>
      <text x={WIDTH - 20} y={HEIGHT - 14} textAnchor="end" className="bay-note">
        left side
      </text>
      {rack.bars.map(({ bar }) => {
        const [a, b] = [at(bar.xMm, -bar.lengthMm / 2), at(bar.xMm, bar.lengthMm / 2)]
        return <path key={bar.id} d={`M ${a.x} ${a.y} L ${b.x} ${b.y}`} className="bay-bar" />
      })}
      {task.kind === 'channel' &&
        loadingOrder(task.channel.channel).map((entry, i) => {
          const bar = rack.bars.find((each) => each.bar.id === task.channel.barId)
          const { x, y } = at(bar?.bar.xMm ?? entry.nut.atMm, bar ? entry.nut.atMm : 0)
          return (
            <g key={entry.nut.id}>
              <circle
                cx={x}
                cy={y}
                r={6}
                className={`bay-corner ${entry.kind === 'enters' ? '' : 'bay-nut-blocked'}`}
              />
              <text x={x + (i % 2 === 0 ? 30 : -30)} y={y + 7} textAnchor="middle" className="bay-nut">
                {entry.kind === 'enters' ? i + 1 : '×'}
              </text>
            </g>
          )
        })}
      {lf && rf && lr && rr && (
        <g className="bay-tape">
          {isSpread && <path d={`M ${lf.x} ${lf.y} L ${lr.x} ${lr.y}`} />}
          {isSpread && <path d={`M ${rf.x} ${rf.y} L ${rr.x} ${rr.y}`} />}
          {taped.has('diagonalLeft') && <path d={`M ${lf.x} ${lf.y} L ${rr.x} ${rr.y}`} />}
          {taped.has('diagonalRight') && <path d={`M ${rf.x} ${rf.y} L ${lr.x} ${lr.y}`} />}
          {isFromMark && <path d={`M ${lf.x - FROM_MARK} ${lf.y} H ${lf.x}`} />}
          {isFromMark && <path d={`M ${rf.x - FROM_MARK} ${rf.y} H ${rf.x}`} />}
        </g>
      )}
      {spots.map(({ name, x, y }) => {
        const key = task.kind === 'torque' && next ? pullKey(task.group.joint.id, name, next.pass) : ''
        // A place that was answered for was not pulled: it gets no tick.
        const unpulled = own !== undefined && answered.has(name)
        const sign = own && signAt(own, name, progress)
        const done =
          own !== undefined &&
          !unpulled &&
          bad?.at !== name &&
          (next === undefined || progress.torqued.has(key)) &&
          // At the last pass a place is done when all is there that its sheet wants.
          ((next !== undefined && next.pass < lastPass(own)) || isPlaceRight(own, name, progress))
        const isWrong = bad?.at === name || sign?.is === 'wrong'
        const current = own !== undefined && next?.at === name
        const label = done ? '✓' : isWrong ? '!' : unpulled ? '–' : own ? String(order.indexOf(name) + 1) : ''
        const up = y < HEIGHT / 2
        return (
          <g key={name}>
            {task.kind !== 'channel' && (
              <rect
                x={x - CORNER / 2}
                y={y - CORNER / 2}
                width={CORNER}
                height={CORNER}
                className={`bay-corner ${done ? 'bay-corner-done' : ''} ${current ? 'bay-corner-next' : ''} ${about.has(name) || own ? '' : 'bay-corner-quiet'}`}
              />
            )}
            <text x={x} y={y + 9} textAnchor="middle" className={`bay-order ${done ? 'bay-order-done' : ''}`}>
              {label}
            </text>
            <text
              x={x}
              y={up ? y - CORNER / 2 - 8 : y + CORNER / 2 + 27}
              textAnchor="middle"
              className={`bay-corner-name ${current ? 'font-bold' : ''}`}
            >
              {name}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
