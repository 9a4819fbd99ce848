import type { ReactNode } from 'react'
import { CONTROL_CLASS } from './control-class'

/** Something worth knowing in a list of such: what it is, its value, and where that is from. */
export function Fact({
  title,
  note,
  framed = false,
  children,
}: {
  title: ReactNode
  note?: ReactNode
  /** Large and in a frame, to be written down somewhere. */
  framed?: boolean
  children: ReactNode
}) {
  return (
    <div>
      <dt className={CONTROL_CLASS.label}>{title}</dt>
      <dd
        className={framed ? 'border-base-content inline-block border-2 px-2.5 text-[1.5rem] font-bold' : ''}
      >
        {children}
      </dd>
      {note !== undefined && <dd className="text-ink2 text-note">{note}</dd>}
    </div>
  )
}
