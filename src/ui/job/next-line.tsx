'use client'
import { memo, useEffect, useState } from 'react'
import { type Finding, type NextThing, type Plan, type Remedy, type Stop } from '@/core'
import { toTheShelf } from './actions'
import { Button, ButtonLink } from '@/ui/kit/button'
import { PhraseLine } from '@/ui/kit/quantity'
import { to } from '@/ui/routes'
import { firstFix } from '@/ui/state/fixes'
import { usePlan } from '@/ui/state/plan-store'
import { showFinding } from '@/ui/state/wanted-finding'
import { stopAddress } from './way-links'

/** A finding's first fix, once the bench has looked for it. */
function useFirstFix(plan: Plan, finding: Finding | undefined, onBench: boolean): Remedy | undefined {
  const [found, setFound] = useState<{
    readonly plan: Plan
    readonly id: string
    readonly fix: Remedy | undefined
  }>()
  const wanted = onBench && finding?.severity === 'stop' ? finding : undefined
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

function NextKey({ plan, at, onBench, next }: { plan: Plan; at: Stop; onBench: boolean; next: NextThing }) {
  const { finding } = next
  const fix = useFirstFix(plan, finding, onBench)
  if (fix)
    return (
      <Button look="word" onClick={() => usePlan.getState().run(fix.command)}>
        <span>
          <PhraseLine phrase={fix.message} />
        </span>
      </Button>
    )
  if (finding)
    return onBench ? (
      <Button look="word" onClick={() => showFinding(finding.id)}>
        {next.key}
      </Button>
    ) : (
      <ButtonLink look="word" href={to('bench', { job: plan.id, finding: finding.id })}>
        {next.key}
      </ButtonLink>
    )
  if (onBench && next.stop === 'load')
    return (
      <Button look="word" onClick={toTheShelf}>
        {next.key}
      </Button>
    )
  if (next.stop === at && (at !== 'load' || onBench))
    return <span className="text-ink2 px-2">{next.key}</span>
  return (
    <ButtonLink look="word" href={stopAddress(next.stop, plan)}>
      {next.key}
    </ButtonLink>
  )
}

/** One quiet line: the most useful next thing, and the key that does it or leads there. */
export const NextLine = memo(function NextLine({
  plan,
  at,
  onBench,
  next,
}: {
  plan: Plan
  at: Stop
  onBench: boolean
  next: NextThing | undefined
}) {
  return (
    <div
      className="flex min-h-11 min-w-0 flex-1 basis-80 flex-wrap items-center text-said leading-tight"
      data-next
    >
      {next && (
        <>
          <p>
            <span className="text-ink2">Next: </span>
            <PhraseLine phrase={next.say} />
          </p>
          <NextKey plan={plan} at={at} onBench={onBench} next={next} />
        </>
      )}
    </div>
  )
})
