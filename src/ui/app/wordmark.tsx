import { to } from '@/ui/routes'
import Link from 'next/link'

/** The mark: a height between two limits, and the name, or without it where a job's own name stands. */
export function Wordmark({ short = false }: { readonly short?: boolean }) {
  return (
    <Link
      href={to('board')}
      className="flex min-h-11 min-w-11 items-center gap-2 pr-2"
      aria-label="Ypsos, all jobs"
    >
      <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden>
        <path
          d="M2 3h9M2 23h9M6.5 5v16M4 8l2.5-3L9 8M4 18l2.5 3L9 18"
          fill="none"
          stroke="currentColor"
          strokeWidth="1.6"
        />
        <path d="M13 4h11v4H13zM13 11h8v4h-8zM13 18h11v5H13z" fill="currentColor" />
      </svg>
      {!short && <span className="text-[21px] font-bold font-stretch-[118%]">Ypsos</span>}
    </Link>
  )
}
