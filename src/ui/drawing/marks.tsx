import type { Mark } from '@/drawing/mark'

/** Lines of a drawing, one over the other. */
export function Marks({ marks }: { readonly marks: readonly Mark[] }) {
  return marks.map(({ d, variant, at }, i) => <path key={i} d={d} className={variant} transform={at} />)
}
