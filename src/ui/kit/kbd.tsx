import type { ReactNode } from 'react'

/** A key of the keyboard; of no use where there is none. */
export function Kbd({ children, ...rest }: { children: ReactNode; 'aria-hidden'?: boolean }) {
  return (
    <kbd className="kbd kbd-sm text-note text-ink2 ml-1 h-auto font-medium max-wide:hidden" {...rest}>
      {children}
    </kbd>
  )
}
