import { type Box, formatQuantity, panelAt, type Swept, type Swing, type UnitChoice } from '@/core/api/plan'
import {
  type Hatch,
  openedTent,
  slideBox,
  type Sunroof,
  type Survey,
  type SwingCollision,
  swingsOf,
  type ThingAt,
  tiltOf,
} from '@/core/api/assess'
import { toSheet, type SheetLayout } from '@/drawing/layout'
import { type LabelBox, spotAmong } from './place-labels'
import { single } from './sheet-figures'
import { SheetText } from './sheet-text'

interface Props {
  readonly survey: Survey
  readonly layout: SheetLayout
  readonly units: UnitChoice
  /** The obstacle or the tent that opens. */
  readonly id: string
  /** What a focused finding says it meets; else what it meets first. */
  readonly metId: string | undefined
  /** Where words and marks stand already. */
  readonly taken: readonly LabelBox[]
}

type Px = readonly [number, number]

const chain = (points: readonly Px[]) => `M ${points.map(([x, y]) => `${x} ${y}`).join(' L ')}`

/** A panel turning from rest to where it ends, its tip's arc, and the panel at rest as a thin line. */
function Turning({ swing, toDeg, layout }: { swing: Swing; toDeg: number; layout: SheetLayout }) {
  const px = ([x, z]: readonly [number, number]): Px => toSheet(layout, 'side', x, z)
  const rest = swing.panel.map(px)
  const [hx, hy] = px(swing.hinge)
  // On the sheet heights run down, so a panel that opens upwards turns counter-clockwise there too.
  const degrees = swing.direction === 'up' ? -toDeg : toDeg
  const tip = swing.panel.at(-1) ?? swing.hinge
  const arc = Array.from({ length: 25 }, (_, i) => panelAt({ ...swing, panel: [tip] }, (toDeg * i) / 24))
    .flat()
    .map(px)
  return (
    <g>
      <path d={chain(arc)} className="opening-arc" />
      <path d={chain(rest)} className="opening-rest" />
      <path
        d={chain(rest)}
        className="opening-panel opening-turns"
        style={{ transformOrigin: `${hx}px ${hy}px`, ['--open' as string]: `${degrees}deg` }}
      />
    </g>
  )
}

/** Where it touches: a cross on the spot, with words; or the least gap as a dimension between the two points. */
function Result({
  swept,
  name,
  layout,
  units,
  taken,
}: Pick<Props, 'layout' | 'units' | 'taken'> & {
  swept: Swept
  name: string
}) {
  if (swept.kind === 'touches') {
    const [x, y] = toSheet(layout, 'side', swept.point[0], swept.point[1])
    const late = x > layout.side.left + layout.side.width * 0.55
    const beside = (over: number) =>
      ({ x: late ? x - 14 : x + 14, y: y + over, anchor: late ? 'end' : 'start' }) as const
    const words = `touches ${name} at ${formatQuantity('angle', swept.atDeg, single(units))}`
    return (
      <g>
        <circle cx={x} cy={y} r={9} className="opening-touch" />
        <path d={`M ${x - 13} ${y} H ${x + 13} M ${x} ${y - 13} V ${y + 13}`} className="opening-touch" />
        <SheetText
          {...spotAmong('stop', words, [beside(-16), ...[-32, -46, -60, 26, 40, 54].map(beside)], taken)}
          text={words}
          variant="sheet-stop"
        />
      </g>
    )
  }
  const [ax, ay] = toSheet(layout, 'side', swept.nearest.panel[0], swept.nearest.panel[1])
  const [bx, by] = toSheet(layout, 'side', swept.nearest.box[0], swept.nearest.box[1])
  const words = `${formatQuantity('length', swept.gapMm, single(units))} to ${name}`
  const beside = (over: number) =>
    ({ x: Math.max(ax, bx) + 8, y: (ay + by) / 2 + over, anchor: 'start' }) as const
  return (
    <g>
      <path d={`M ${ax} ${ay} L ${bx} ${by}`} className="opening-gap" />
      <circle cx={ax} cy={ay} r={2.5} className="opening-dot" />
      <circle cx={bx} cy={by} r={2.5} className="opening-dot" />
      <SheetText
        {...spotAmong('plain', words, [beside(-6), ...[-22, -36, 12, 26, 40].map(beside)], taken)}
        text={words}
      />
    </g>
  )
}

/** The worst of what a hatch meets: the earliest touch, else the least gap. */
function worstOf(meetings: readonly SwingCollision[]): SwingCollision | undefined {
  const rank = ({ swept }: SwingCollision) => (swept.kind === 'touches' ? swept.atDeg - 1e6 : swept.gapMm)
  return meetings.toSorted((a, b) => rank(a) - rank(b))[0]
}

function HatchOpening({ survey, layout, units, hatch, metId, taken }: Omit<Props, 'id'> & { hatch: Hatch }) {
  const collisions = survey.fit.swings().filter((each) => each.hatch === hatch)
  const comparison = collisions.find(({ met }) => met.id === metId) ?? worstOf(collisions)
  const touch = worstOf(collisions)?.swept
  const toDeg = touch?.kind === 'touches' ? touch.atDeg : hatch.opensDeg
  return (
    <g>
      {swingsOf(hatch, survey.plan.vehicle.obstacles).map((swing, i) => (
        <Turning key={i} swing={swing} toDeg={toDeg} layout={layout} />
      ))}
      {comparison?.met.kind.startsWith('tent') && comparison.met.thing && (
        <TentOpening layout={layout} thing={comparison.met.thing} />
      )}
      {comparison && (
        <Result
          swept={comparison.swept}
          name={comparison.met.name}
          layout={layout}
          units={units}
          taken={taken}
        />
      )}
    </g>
  )
}

function outline(layout: SheetLayout, view: 'side' | 'plan', box: Box): string {
  const [v0, v1] = view === 'side' ? [box.z0, box.z1] : [box.y0, box.y1]
  return `${chain([
    toSheet(layout, view, box.x0, v0),
    toSheet(layout, view, box.x1, v0),
    toSheet(layout, view, box.x1, v1),
    toSheet(layout, view, box.x0, v1),
  ])} Z`
}

function SunroofOpening({
  survey,
  layout,
  sunroof,
}: Pick<Props, 'survey' | 'layout'> & { sunroof: Sunroof }) {
  const { vehicle } = survey.plan
  const tilt = tiltOf(sunroof, vehicle)
  const slide = slideBox(sunroof, vehicle)
  const half = sunroof.widthMm / 2
  const { fromMm, toMm } = sunroof.openingMm
  const opening: Box = { x0: fromMm, x1: toMm, y0: -half, y1: half, z0: 0, z1: 0 }
  return (
    <g>
      <path d={outline(layout, 'plan', opening)} className="opening-rest" />
      {tilt && <Turning swing={tilt} toDeg={tilt.opensDeg} layout={layout} />}
      {slide && (
        <>
          <path d={outline(layout, 'side', slide)} className="opening-arc" />
          <path d={outline(layout, 'plan', slide)} className="opening-arc" />
        </>
      )}
    </g>
  )
}

function TentOpening({ layout, thing }: Pick<Props, 'layout'> & { thing: ThingAt }) {
  const tent = openedTent(thing)
  if (!tent) return null
  const boxes = [tent.floor, ...(tent.ladder ? [tent.ladder] : [])]
  return (
    <g className="opening-fades">
      {boxes.map((box, i) => (
        <g key={i}>
          <path d={outline(layout, 'side', box)} className="opening-panel" />
          <path d={outline(layout, 'plan', box)} className="opening-panel" />
        </g>
      ))}
    </g>
  )
}

/** A hatch, tailgate, sunroof or tent as it opens, with where it touches or how much it clears by. */
export function OpeningView(props: Props) {
  const { survey, layout, id } = props
  const obstacle = survey.plan.vehicle.obstacles.find((each) => each.id === id)
  const thing = survey.thingById.get(id)
  return (
    <g aria-hidden data-opening={id}>
      {(obstacle?.kind === 'hatch' || obstacle?.kind === 'tailgate') && (
        <HatchOpening {...props} hatch={obstacle} />
      )}
      {obstacle?.kind === 'sunroof' && <SunroofOpening survey={survey} layout={layout} sunroof={obstacle} />}
      {thing && <TentOpening layout={layout} thing={thing} />}
    </g>
  )
}
