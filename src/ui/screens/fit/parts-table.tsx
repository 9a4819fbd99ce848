'use client'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { Table } from '@/ui/kit/table'
import { Problem } from '@/ui/kit/field-note'
import { Button } from '@/ui/kit/button'
import { type BayProgress, partsCheck, type PartsLine } from '@/core/api/fit'
import { moneyText, type Plan } from '@/core/api/plan'
import type { Survey } from '@/core/api/assess'
import { useId, useState } from 'react'
import { logFor } from '@/ui/state/log-store'

const BOX = { inBox: 'in its box', notInBox: 'not in the box', unsaid: 'box not stated' } as const
const HAVE = { have: 'have', toBuy: 'to buy', unsaid: 'unknown' } as const

function Count({ plan, line, counted }: { plan: Plan; line: PartsLine; counted: number | undefined }) {
  const [problem, setProblem] = useState<string>()
  const id = useId()
  const count = (value: number) => {
    setProblem(undefined)
    logFor(plan, { kind: 'counted', lineId: line.id, what: line.what, count: value })
  }
  const take = (text: string) => {
    const value = Number(text)
    if (text === '' || value === counted) setProblem(undefined)
    else if (Number.isInteger(value) && value >= 0 && value <= 4000) count(value)
    else setProblem('Count in whole pieces, 0 or more.')
  }
  return (
    <>
      <div className="flex items-center gap-1.5">
        <input
          key={counted}
          className={`${CONTROL_CLASS.input} w-20! text-right ${counted !== undefined && counted < line.count ? 'border-error border-[2.5px]' : ''}`}
          inputMode="numeric"
          autoComplete="off"
          aria-label={`Counted: ${line.what}, ${line.box}`}
          aria-invalid={problem !== undefined}
          aria-describedby={problem === undefined ? undefined : id}
          defaultValue={counted ?? ''}
          onBlur={(event) => take(event.target.value.trim())}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur()
          }}
        />
        <Button
          aria-label={`All ${line.count} there: ${line.what}, ${line.box}`}
          disabled={counted === line.count}
          onClick={() => count(line.count)}
        >
          {counted === line.count ? '✓' : 'All'}
        </Button>
      </div>
      {problem !== undefined && <Problem id={id}>{problem}</Problem>}
    </>
  )
}

/** The parts check: every piece with how its count comes about, whose box it comes in, and what was counted. */
export function PartsTable({
  plan,
  survey,
  progress,
}: {
  plan: Plan
  survey: Survey
  progress: BayProgress
}) {
  const check = partsCheck(survey)
  const money = (amount: number) => moneyText(amount, plan.rules.currency)
  const open = check.lines.filter(({ id }) => !progress.counted.has(id))
  return (
    <section aria-label="Parts check">
      <p className="mb-2 flex flex-wrap items-center gap-x-6 gap-y-2">
        <span>
          {check.lines.length - open.length} of {check.lines.length} lines counted
        </span>
        <span>
          {check.priced === 0
            ? 'No prices are given'
            : `All ${money(check.total)}, still to buy ${money(check.toBuy)}${check.unpriced > 0 ? `, and ${check.unpriced} without a price` : ''}`}
          {check.unstated > 0
            ? `; stock of ${check.unstated} ${check.unstated === 1 ? 'line' : 'lines'} unknown`
            : ''}
        </span>
        <span>
          {check.bolts} {check.bolts === 1 ? 'bolt' : 'bolts'}
          {check.clicks > 0 ? `, ${check.clicks} clicks` : ''} in all
        </span>
        {open.length > 0 && (
          <Button
            onClick={() => {
              logFor(
                plan,
                ...open.map((line) => ({
                  kind: 'counted' as const,
                  lineId: line.id,
                  what: line.what,
                  count: line.count,
                })),
              )
            }}
          >
            All the others are there
          </Button>
        )}
      </p>
      <div className="overflow-x-auto" role="region" aria-label="Parts" tabIndex={0}>
        <Table cards className="[&_:is(th,td)]:align-middle!">
          <thead>
            <tr>
              <th scope="col">Part</th>
              <th scope="col">How many</th>
              <th scope="col">From</th>
              <th scope="col">Have</th>
              <th scope="col">Price</th>
              <th scope="col">Counted</th>
            </tr>
          </thead>
          <tbody>
            {check.lines.map((line) => (
              <tr
                key={line.id}
                className={
                  line.kind === 'part' || line.kind === 'gear' || line.kind === 'fitKit'
                    ? ''
                    : '[&_th]:pl-[1.4rem] [&_th]:font-[450]'
                }
              >
                <th scope="row">{line.what}</th>
                <td>
                  <strong>{line.count}</strong>{' '}
                  <span className="text-ink2">
                    {line.counted}
                    {line.at.length > 0 ? `: ${line.at.join(' ')}` : ''}
                  </span>
                </td>
                <td>
                  {line.box}{' '}
                  <span className={line.inBox === 'notInBox' ? 'font-semibold' : 'text-ink2'}>
                    {BOX[line.inBox]}
                  </span>
                </td>
                <td className={line.have === 'toBuy' ? 'font-semibold' : 'text-ink2'}>{HAVE[line.have]}</td>
                <td {...(line.price !== undefined && { 'data-label': 'Price' })}>
                  {line.price !== undefined && money(line.price)}
                </td>
                <td>
                  <Count plan={plan} line={line} counted={progress.counted.get(line.id)} />
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      </div>
      {check.unused.length > 0 && (
        <p className="mt-2">
          In a box and not used here:{' '}
          {check.unused.map(({ what, count, box }) => `${count} × ${what} (${box})`).join(', ')}. Put them
          aside now.
        </p>
      )}
    </section>
  )
}
