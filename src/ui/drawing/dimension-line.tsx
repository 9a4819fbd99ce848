import { SheetText } from './sheet-text'

const HEAD = 7

function arrow(x: number, y: number, dx: number, dy: number): string {
  const side = 2.3
  return `M ${x} ${y} L ${x + dx * HEAD + dy * side} ${y + dy * HEAD + dx * side} L ${x + dx * HEAD - dy * side} ${y + dy * HEAD - dx * side} Z`
}

/** A dimension between two places on the sheet (px), level or upright, with true arrowheads and its figure. */
export function DimensionLine({
  from,
  to,
  text,
}: {
  from: readonly [number, number]
  to: readonly [number, number]
  text: string
}) {
  const level = Math.abs(from[1] - to[1]) < 0.5
  const [first, last] = (level ? from[0] <= to[0] : from[1] <= to[1]) ? [from, to] : [to, from]
  const [ax, ay] = first
  const [bx, by] = last
  const length = level ? bx - ax : by - ay
  const outside = length < 2 * HEAD + 4
  const sign = outside ? -1 : 1
  const heads = level
    ? `${arrow(ax, ay, sign, 0)} ${arrow(bx, by, -sign, 0)}`
    : `${arrow(ax, ay, 0, sign)} ${arrow(bx, by, 0, -sign)}`
  const middle = [(ax + bx) / 2, (ay + by) / 2] as const
  return (
    <g aria-hidden>
      <path d={`M ${ax} ${ay} L ${bx} ${by}`} className="dimension" />
      <path d={heads} className="dimension-head" />
      {level ? (
        <SheetText x={middle[0]} y={middle[1] - 5} text={text} anchor="middle" />
      ) : (
        <SheetText x={middle[0] - 5} y={middle[1]} text={text} anchor="middle" turn={-90} />
      )}
    </g>
  )
}
