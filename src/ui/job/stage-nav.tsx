'use client'
import Link from 'next/link'
import { useState } from 'react'
import type { Plan } from '@/core/api/plan'
import { type Stage, STAGE_WORD, STAGES, type StageState, stageWords } from '@/core/api/assess'
import { Button } from '@/ui/kit/button'
import { dayWords } from '@/ui/kit/day-words'
import { stageAddress } from './stage-links'

const VARIANT: Readonly<Record<StageState['at'], string>> = {
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

/** The stages of a job in the order of the work, each with its state. On a phone all but the present one are a press away. */
export function StageNav({
  plan,
  at,
  stages,
}: {
  plan: Plan
  at: Stage
  stages: Readonly<Record<Stage, StageState>> | undefined
}) {
  const [open, setOpen] = useState(false)
  const words = (stage: Stage) => (stages ? stageWords(stage, stages[stage], dayWords) : '')
  return (
    <nav aria-label="Stages of this job" className="flex flex-wrap max-wide:order-6 max-wide:w-full">
      <Button
        variant="quiet"
        className="hidden w-full justify-between max-[44rem]:flex"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <span>
          {STAGE_WORD[at]} {words(at)}
        </span>
        <span className="text-ink2">{open ? 'Fewer' : 'All stages'}</span>
      </Button>
      <ol className={`flex flex-wrap max-[44rem]:w-full ${open ? '' : 'max-[44rem]:hidden'}`}>
        {STAGES.map((stage) => (
          <li key={stage} className="max-[44rem]:w-1/2">
            <Link
              href={stageAddress(stage, plan)}
              prefetch={false}
              aria-current={stage === at ? 'step' : undefined}
              className="aria-[current]:border-base-content hover:bg-base-200 flex min-h-11 min-w-11 flex-col items-center justify-center border-b-[3px] border-transparent px-2 text-center leading-tight whitespace-nowrap"
            >
              <span className="text-plain font-semibold">{STAGE_WORD[stage]}</span>{' '}
              <span className={`min-h-[1.1em] text-note ${stages ? VARIANT[stages[stage].at] : ''}`}>
                {words(stage)}
              </span>
            </Link>
          </li>
        ))}
      </ol>
    </nav>
  )
}
