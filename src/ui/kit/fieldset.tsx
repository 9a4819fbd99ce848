import type { ReactNode } from 'react'

/** What belongs together stands behind a line: boxes are only round what is typed. */
export function Fieldset({
  title,
  wide = false,
  children,
}: {
  title: ReactNode
  /** Across all columns of the sheet it stands in. */
  wide?: boolean
  children: ReactNode
}) {
  return (
    <fieldset
      className={`border-l-gear mt-1.5 space-y-2 border-l-[3px] pb-1 pl-3 ${wide ? 'col-span-full' : ''}`}
    >
      <legend className="font-[650]">{title}</legend>
      {children}
    </fieldset>
  )
}
