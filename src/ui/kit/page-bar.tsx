import Link from 'next/link'
import type { ReactNode } from 'react'
import { type RouteName, SHOP_SCREENS, to } from '@/ui/routes'
import { Wordmark } from './mark'
import { SkipLinks } from './skip-links'

/** What stands over every screen outside a job: the mark, the shop's screens, what this one is about, and what can be done with all of it. */
export function PageBar({
  title,
  at,
  children,
}: {
  title: ReactNode
  /** Which of the shop's screens it belongs to. */
  at: RouteName
  children?: ReactNode
}) {
  return (
    <header className="no-print border-base-content bg-base-100 border-b-[1.5px] px-3">
      <SkipLinks />
      <div className="flex flex-wrap items-center gap-x-3">
        <Wordmark />
        <nav aria-label="The shop" className="flex flex-wrap">
          {SHOP_SCREENS.map(({ route, word }) => (
            <Link
              key={route}
              href={to(route)}
              prefetch={false}
              aria-current={route === at ? 'page' : undefined}
              className="aria-[current]:border-base-content hover:bg-base-200 flex min-h-11 items-center border-b-[3px] border-transparent px-2.5 font-semibold"
            >
              {word}
            </Link>
          ))}
        </nav>
        <h1 className="text-ink2 min-w-0 flex-1 truncate text-lead leading-tight font-normal">{title}</h1>
        {children}
      </div>
    </header>
  )
}
