import type { ReactNode } from 'react'
import { Wordmark } from './mark'

/** What stands over every screen: the mark, what the screen is about, and what can be done with all of it. */
export function PageBar({
  title,
  under,
  children,
}: {
  title: ReactNode
  /** A second, quiet line: the vehicle of a job. */
  under?: ReactNode
  children?: ReactNode
}) {
  return (
    <header className="no-print border-base-content bg-base-100 flex flex-wrap items-center gap-x-3 gap-y-1 border-b-[1.5px] px-4 py-1.5">
      <Wordmark />
      <div className="min-w-0 flex-1">
        <h1 className="truncate text-[17px] leading-tight">{title}</h1>
        {under !== undefined && <p className="text-ink2 truncate text-[13px] leading-tight">{under}</p>}
      </div>
      {children}
    </header>
  )
}
