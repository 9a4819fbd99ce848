'use client'
import Link from 'next/link'
import { memo, useState } from 'react'
import { type Plan, type Stop, STOP_WORD, STOPS, type StopState, stopWords } from '@/core'
import { Button } from '@/ui/kit/button'
import { dayWords } from '@/ui/kit/when-words'
import { stopAddress } from './way-links'

const LOOK: Readonly<Record<StopState['at'], string>> = {
  stop: 'text-stopline font-semibold',
  findOut: 'text-accent font-semibold',
  mind: 'text-mindline font-semibold',
  empty: 'text-ink2',
  settled: 'text-ink2',
  working: 'text-ink2',
  done: 'text-ink2',
  due: 'text-ink2',
  quiet: 'text-ink2',
}

/** The stops of a job in the order of the work, each with how it stands. On a phone all but the present one are a press away. */
export const StopsNav = memo(function StopsNav({
  plan,
  at,
  way,
}: {
  plan: Plan
  at: Stop
  way: Readonly<Record<Stop, StopState>> | undefined
}) {
  const [open, setOpen] = useState(false)
  const stands = (stop: Stop) => (way ? stopWords(stop, way[stop], dayWords) : '')
  return (
    <nav aria-label="The way of this job" className="flex flex-wrap max-wide:order-6 max-wide:w-full">
      <Button
        look="quiet"
        className="hidden w-full justify-between max-[44rem]:flex"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <span>
          {STOP_WORD[at]} {stands(at)}
        </span>
        <span className="text-ink2">{open ? 'Fewer' : 'All stops'}</span>
      </Button>
      <ol className={`flex flex-wrap max-[44rem]:w-full ${open ? '' : 'max-[44rem]:hidden'}`}>
        {STOPS.map((stop) => (
          <li key={stop} className="max-[44rem]:w-1/2">
            <Link
              href={stopAddress(stop, plan)}
              prefetch={false}
              aria-current={stop === at ? 'step' : undefined}
              className="aria-[current]:border-base-content hover:bg-base-200 flex min-h-11 min-w-11 flex-col items-center justify-center border-b-[3px] border-transparent px-2 text-center leading-tight whitespace-nowrap"
            >
              <span className="text-plain font-semibold">{STOP_WORD[stop]}</span>{' '}
              <span className={`min-h-[1.1em] text-note ${way ? LOOK[way[stop].at] : ''}`}>
                {stands(stop)}
              </span>
            </Link>
          </li>
        ))}
      </ol>
    </nav>
  )
})
