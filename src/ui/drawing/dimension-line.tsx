const HEAD = 7
const BARB = 2.3

const head = (x: number, y: number, towards: number) =>
  `M ${x} ${y} l ${towards * HEAD} ${BARB} v ${-2 * BARB} Z`

/** The line of a dimension between two places on the sheet (px), level, with true arrowheads. */
export function DimensionLine({ from, to, y }: { from: number; to: number; y: number }) {
  const [left, right] = from <= to ? [from, to] : [to, from]
  const inwards = right - left < 2 * HEAD + 4 ? -1 : 1
  return (
    <>
      <path d={`M ${left} ${y} H ${right}`} className="dimension" />
      <path d={`${head(left, y, inwards)} ${head(right, y, -inwards)}`} className="dimension-head" />
    </>
  )
}
