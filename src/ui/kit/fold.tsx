import type { ComponentProps, ReactNode } from 'react'

interface FoldProps extends Omit<ComponentProps<'summary'>, 'children' | 'onClick' | 'title'> {
  /** The line that is always there. */
  readonly line: ReactNode
  readonly open: boolean
  readonly onOpen: (open: boolean) => void
  /** Of the whole; `className` is of the line. */
  readonly around?: string
  /** What is folded away is not made. */
  readonly children: () => ReactNode
}

/**
 * A line that opens when it is pressed. The page alone says whether it is open: pressed twice in a moment, it is never open
 * and empty.
 */
export function Fold({ line, open, onOpen, around, children, ...summary }: FoldProps) {
  return (
    <details className={around} open={open}>
      <summary
        {...summary}
        onClick={(event) => {
          event.preventDefault()
          onOpen(!open)
        }}
      >
        {line}
      </summary>
      {open && children()}
    </details>
  )
}
