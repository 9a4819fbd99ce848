'use client'
import { useEffect, useState } from 'react'
import type { Finding, NextThing, Remedy, Stage } from '@/core/api/assess'
import type { Plan } from '@/core/api/plan'
import { toTheShelf } from './actions'
import { Button, ButtonLink } from '@/ui/kit/button'
import { PhraseLine } from '@/ui/figures/quantity'
import { to } from '@/ui/routes'
import { firstFix } from '@/ui/state/fixes'
import { planStore } from '@/ui/state/plan-store'
import { showFinding } from '@/ui/state/wanted-finding'
import { stageAddress } from './stage-links'

/** A finding's first fix, once Load has looked for it. */
function useFirstFix(plan: Plan, finding: Finding | undefined, onLoad: boolean): Remedy | undefined {
  const [found, setFound] = useState<{
    readonly plan: Plan
    readonly id: string
    readonly fix: Remedy | undefined
  }>()
  const wanted = onLoad && finding?.severity === 'stop' ? finding : undefined
  useEffect(() => {
    if (!wanted) return
    let current = true
    void firstFix(plan, wanted).then((fix) => {
      if (current) setFound({ plan, id: wanted.id, fix })
    })
    return () => {
      current = false
    }
  }, [plan, wanted])
  return found?.plan === plan && found.id === wanted?.id ? found.fix : undefined
}

function NextKey({ plan, at, onLoad, next }: { plan: Plan; at: Stage; onLoad: boolean; next: NextThing }) {
  const { finding } = next
  const fix = useFirstFix(plan, finding, onLoad)
  if (fix)
    return (
      <Button variant="word" onClick={() => planStore.getState().run(fix.command)}>
        <span>
          <PhraseLine phrase={fix.message} />
        </span>
      </Button>
    )
  if (finding)
    return onLoad ? (
      <Button variant="word" onClick={() => showFinding(finding.id)}>
        {next.key}
      </Button>
    ) : (
      <ButtonLink variant="word" href={to('load', { job: plan.id, finding: finding.id })}>
        {next.key}
      </ButtonLink>
    )
  if (onLoad && next.stage === 'load')
    return (
      <Button variant="word" onClick={toTheShelf}>
        {next.key}
      </Button>
    )
  if (next.stage === at && (at !== 'load' || onLoad))
    return <span className="text-ink2 px-2">{next.key}</span>
  return (
    <ButtonLink variant="word" href={stageAddress(next.stage, plan)}>
      {next.key}
    </ButtonLink>
  )
}

/** One quiet line: the most useful next thing, and the key that does it or leads there. */
export function NextLine({
  plan,
  at,
  onLoad,
  next,
}: {
  plan: Plan
  at: Stage
  onLoad: boolean
  next: NextThing | undefined
}) {
  return (
    <div
      className="flex min-h-11 min-w-0 flex-1 basis-80 flex-wrap items-center text-body leading-tight"
      data-next
    >
      {next && (
        <>
          <p>
            <span className="text-ink2">Next: </span>
            <PhraseLine phrase={next.say} />
          </p>
          <NextKey plan={plan} at={at} onLoad={onLoad} next={next} />
        </>
      )}
    </div>
  )
}
