'use client'
import Link from 'next/link'
import dynamic from 'next/dynamic'
import { useState, type ReactNode } from 'react'
import { type RouteName, ROUTES, SHOP_SCREENS, to } from '@/ui/routes'
import { Button } from '@/ui/kit/button'
import { Kbd } from '@/ui/kit/kbd'
import { Wordmark } from './wordmark'
import { SkipLinks } from '@/ui/kit/skip-links'
import { usePageKeys } from '@/ui/kit/use-page-keys'

const ShopPalette = dynamic(() => import('./shop-palette'), { ssr: false })

/** Whether the bar itself names a screen. */
const inBar = (screen: RouteName) => (SHOP_SCREENS as readonly RouteName[]).includes(screen)

/** The bar over every screen outside a job: the mark, the shop's screens, the name of this one, and its actions. */
export function PageBar({
  screen,
  about,
  children,
}: {
  screen: RouteName
  /** What the screen shows, in a few words. */
  about: string
  children?: ReactNode
}) {
  const [asking, setAsking] = useState(false)
  usePageKeys((event) => {
    if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey)) return
    event.preventDefault()
    setAsking(true)
  })
  return (
    <header className="no-print border-base-content bg-base-100 border-b px-3">
      <SkipLinks />
      <div className="flex flex-wrap items-center gap-x-3">
        <Wordmark />
        <nav aria-label="The shop" className="flex flex-wrap">
          {SHOP_SCREENS.map((route) => (
            <Link
              key={route}
              href={to(route)}
              prefetch={false}
              aria-current={route === (inBar(screen) ? screen : 'board') ? 'page' : undefined}
              className="aria-[current]:border-base-content hover:bg-base-200 flex min-h-11 items-center border-b-[3px] border-transparent px-2.5 font-semibold"
            >
              {ROUTES[route].title}
            </Link>
          ))}
        </nav>
        <h1 className="min-w-0 flex-1 truncate text-lead leading-tight font-normal">
          <span className={inBar(screen) ? 'sr-only' : ''}>{ROUTES[screen].title}: </span>
          <span className="text-ink2">{about}</span>
        </h1>
        {children}
        <Button
          variant="quiet"
          className="max-wide:hidden"
          aria-label="Search everything"
          onClick={() => setAsking(true)}
        >
          <Kbd aria-hidden>Ctrl K</Kbd>
        </Button>
      </div>
      {asking && <ShopPalette onClose={() => setAsking(false)} />}
    </header>
  )
}
