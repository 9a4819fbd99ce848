import type { ReactNode } from 'react'

/** What is wrong, said at once and read aloud. */
export function Problem({ id, children }: { id?: string; children: ReactNode }) {
  return (
    <p id={id} role="alert" className="text-stopline basis-full text-aside font-semibold">
      {children}
    </p>
  )
}

/** Small quiet words: a hint, or what a figure is from. */
export function Note({
  id,
  className = '',
  children,
}: {
  id?: string
  className?: string
  children: ReactNode
}) {
  return (
    <p id={id} className={`text-ink2 text-note ${className}`}>
      {children}
    </p>
  )
}

/** What stands under a field: what is wrong with it, said at once, or else a hint. */
export function FieldNote({
  id,
  problem,
  hint,
}: {
  id: string
  problem: string | undefined
  hint: string | undefined
}) {
  if (problem === undefined && hint === undefined) return null
  // Clear of the ring round a field that has the focus.
  return (
    <div className="pt-1">
      {problem === undefined ? <Note id={id}>{hint}</Note> : <Problem id={id}>{problem}</Problem>}
    </div>
  )
}
