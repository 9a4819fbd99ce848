'use client'
import { jobNames } from '@/storage/job-abouts'
import { loadPlan } from '@/storage/plans'
import { JobPicker, type NamedJob } from '@/ui/app/job-picker'
import { Table } from '@/ui/kit/table'
import { PageBar } from '@/ui/app/page-bar'
import { ButtonLink, TextLink } from '@/ui/kit/button'
import { ROUTES, to } from '@/ui/routes'
import {
  type Account,
  accountOf,
  bindsWords,
  CHECKS,
  differencesOf,
  type Left,
  leftPhrase,
  OUTCOME_WORD,
  SEVERITIES,
  STATE_WORD,
} from '@/core/api/assess'
import { moneyText, type Plan, STATES } from '@/core/api/plan'
import { useRouter } from 'next/navigation'
import { useEffect, useState, type ReactNode } from 'react'
import { assessmentOf } from '@/ui/state/assessment'
import { Thumbnail } from '@/ui/drawing/thumbnail'
import { PhraseLine, Quantity } from '@/ui/figures/quantity'
import { useSettings } from '@/ui/state/settings-store'
import { SeverityTag } from '@/ui/figures/severity-tag'
import { useSearch } from '@/ui/state/use-search'

const byName = new Intl.Collator().compare
const TITLE = new Map(CHECKS.map(({ id, title }) => [id, title]))

function LeftCell({ left }: { left: Left | undefined }) {
  if (!left || left.kind === 'unknown') return <>no figure</>
  return (
    <>
      <PhraseLine phrase={leftPhrase(left)} />
      {left.by.length > 0 && <span className="text-ink2 block text-note">{bindsWords(left.by)}</span>}
    </>
  )
}

/** What the second has more or less than the first, with its sign. */
function Gain({ dimension, from, to }: { dimension: 'mass' | 'length'; from: number; to: number }) {
  const by = to - from
  if (Math.abs(by) < 0.05) return <>the same</>
  return (
    <>
      {by > 0 ? '+' : ''}
      <Quantity dimension={dimension} value={by} />
    </>
  )
}

function Row({ name, a, b, gain }: { name: string; a: ReactNode; b: ReactNode; gain?: ReactNode }) {
  return (
    <tr>
      <th scope="row">{name}</th>
      <td>{a}</td>
      <td>{b}</td>
      <td>{gain}</td>
    </tr>
  )
}

function Accounts({ a, b }: { a: Account; b: Account }) {
  const differences = differencesOf(a, b)
  const kg = (account: Account, state: (typeof STATES)[number]) => {
    const left = account.left[state]
    // “At most” less “at most” is no number: only what is known can be held against what is known.
    return left?.kind === 'known' ? left.kg : undefined
  }
  const money = ({ price, priced, unpriced, plan }: Account) =>
    priced === 0
      ? 'No prices are given'
      : `${moneyText(price, plan.rules.currency)}${unpriced > 0 ? `, ${unpriced} without a price` : ''}`
  return (
    <>
      <div className="overflow-x-auto">
        <Table>
          <thead>
            <tr>
              <th scope="col">
                <span className="sr-only">What</span>
              </th>
              {[a, b].map(({ plan }) => (
                <th key={plan.id} scope="col">
                  <TextLink href={to('load', { job: plan.id })}>{plan.job.name}</TextLink>
                  <span className="text-ink2 block text-note font-normal">
                    {plan.racks.map((rack) => rack.name).join(', ')}
                  </span>
                </th>
              ))}
              <th scope="col">Second minus first</th>
            </tr>
          </thead>
          <tbody>
            {STATES.map((state) => (
              <Row
                key={state}
                name={STATE_WORD[state]}
                a={<SeverityTag severity={a.verdicts[state]} />}
                b={<SeverityTag severity={b.verdicts[state]} />}
              />
            ))}
            {STATES.map((state) => {
              const [from, to] = [kg(a, state), kg(b, state)]
              return (
                <Row
                  key={state}
                  name={`May still be added, ${STATE_WORD[state].toLowerCase()}`}
                  a={<LeftCell left={a.left[state]} />}
                  b={<LeftCell left={b.left[state]} />}
                  gain={
                    from === undefined || to === undefined ? (
                      'not known'
                    ) : (
                      <Gain dimension="mass" from={from} to={to} />
                    )
                  }
                />
              )
            })}
            <Row
              name="Height, driving"
              a={<Quantity dimension="length" value={a.topMm} />}
              b={<Quantity dimension="length" value={b.topMm} />}
              gain={<Gain dimension="length" from={a.topMm} to={b.topMm} />}
            />
            <Row
              name="Mass of the racks"
              a={<Quantity dimension="mass" value={a.rackKg} />}
              b={<Quantity dimension="mass" value={b.rackKg} />}
              gain={<Gain dimension="mass" from={a.rackKg} to={b.rackKg} />}
            />
            <Row
              name="On the racks, road"
              a={<Quantity dimension="mass" value={a.onRacksKg.road} />}
              b={<Quantity dimension="mass" value={b.onRacksKg.road} />}
              gain={<Gain dimension="mass" from={a.onRacksKg.road} to={b.onRacksKg.road} />}
            />
            <Row
              name="Price, parts and gear"
              a={money(a)}
              b={money(b)}
              gain={
                a.plan.rules.currency !== b.plan.rules.currency
                  ? 'two currencies'
                  : a.price === b.price
                    ? 'the same'
                    : `${b.price > a.price ? '+' : ''}${moneyText(b.price - a.price, b.plan.rules.currency)}`
              }
            />
            {SEVERITIES.filter((severity) => severity !== 'clear').map((severity) => (
              <Row
                key={severity}
                name={`Findings: ${OUTCOME_WORD[severity]}`}
                a={a.counts[severity]}
                b={b.counts[severity]}
                gain={
                  a.counts[severity] === b.counts[severity]
                    ? 'the same'
                    : b.counts[severity] - a.counts[severity]
                }
              />
            ))}
          </tbody>
        </Table>
      </div>
      <section className="mt-5 grid gap-4 md:grid-cols-2" aria-label="What differs">
        <div>
          <h2 className="text-lead">Bars</h2>
          {differences.bars.length === 0 ? (
            <p>The same bars at the same places.</p>
          ) : (
            <ul>
              {differences.bars.map(({ name, a: inA, b: inB }) => (
                <li key={name} className="border-hair border-b-1 py-1">
                  {name}: <BarWords bar={inA} /> in the first, <BarWords bar={inB} /> in the second
                </li>
              ))}
            </ul>
          )}
          <h2 className="mt-3 text-lead">Only in one of them</h2>
          {differences.onlyA.length + differences.onlyB.length === 0 ? (
            <p>The same parts and gear.</p>
          ) : (
            <ul>
              {differences.onlyA.map((name) => (
                <li key={`a ${name}`}>{name}, in the first</li>
              ))}
              {differences.onlyB.map((name) => (
                <li key={`b ${name}`}>{name}, in the second</li>
              ))}
            </ul>
          )}
        </div>
        <div>
          <h2 className="text-lead">Rules with different results</h2>
          {differences.rules.length === 0 ? (
            <p>Both get the same result from every rule.</p>
          ) : (
            <ul>
              {differences.rules.map(({ rule, a: inA, b: inB }) => (
                <li key={rule} className="border-hair border-b-1 flex flex-wrap items-center gap-2 py-1">
                  <span className="min-w-40">{TITLE.get(rule)}</span>
                  <SeverityTag severity={inA} /> then <SeverityTag severity={inB} />
                </li>
              ))}
            </ul>
          )}
        </div>
      </section>
    </>
  )
}

function BarWords({ bar }: { bar: ReturnType<typeof differencesOf>['bars'][number]['a'] }) {
  if (!bar) return <>none</>
  return (
    <>
      <Quantity dimension="length" value={bar.lengthMm} /> long, {bar.profile}, at{' '}
      <Quantity dimension="length" value={bar.xMm} />
    </>
  )
}

/** One job as it is kept; nothing while it is fetched, or where it is not there or does not read. */
function useKeptPlan(id: string | undefined): Plan | undefined {
  const [saved, setKept] = useState<Plan>()
  useEffect(() => {
    if (id === undefined) return
    let current = true
    loadPlan(id).then(
      (stored) => current && setKept(stored?.ok ? stored.plan : undefined),
      () => current && setKept(undefined),
    )
    return () => {
      current = false
    }
  }, [id])
  return saved?.id === id ? saved : undefined
}

/** Two jobs side by side: what may still be added, how high, how heavy, how dear, and what the rules say. */
export function CompareScreen() {
  const a = useSearch('a')
  const b = useSearch('b')
  const router = useRouter()
  const ready = useSettings((store) => store.ready)
  const [jobs, setJobs] = useState<readonly NamedJob[]>()
  useEffect(() => {
    if (!ready) return
    let current = true
    void jobNames().then((names) => {
      if (current) setJobs(names.toSorted((x, y) => byName(x.name, y.name)))
    })
    return () => {
      current = false
    }
  }, [ready])
  const [first, second] = [useKeptPlan(ready ? a : undefined), useKeptPlan(ready ? b : undefined)]
  const accounts =
    first && second ? [accountOf(assessmentOf(first)), accountOf(assessmentOf(second))] : undefined
  const go = (to: { a?: string | undefined; b?: string | undefined }) => {
    const query = new URLSearchParams()
    if (to.a !== undefined) query.set('a', to.a)
    if (to.b !== undefined) query.set('b', to.b)
    router.replace(`${ROUTES.compare.path}?${query.toString()}`)
  }
  const [one, two] = accounts ?? []
  return (
    <div>
      <PageBar screen="compare" about="two jobs side by side">
        <ButtonLink variant="quiet" href={to('board')}>
          All jobs
        </ButtonLink>
      </PageBar>
      <main className="mx-auto max-w-5xl px-4 py-4">
        {!jobs ? (
          <p aria-busy>Fetching the jobs from this browser.</p>
        ) : (
          <>
            <div className="flex flex-wrap gap-3">
              <JobPicker label="First" jobs={jobs} chosen={a} onPick={(id) => go({ a: id, b })} />
              <JobPicker label="Second" jobs={jobs} chosen={b} onPick={(id) => go({ a, b: id })} />
            </div>
            {one && two ? (
              <>
                <div className="mt-3 grid grid-cols-2 gap-3">
                  {[one, two].map(({ plan }, i) => (
                    <div key={i} className="border-edge border-1">
                      <Thumbnail survey={assessmentOf(plan).survey} />
                    </div>
                  ))}
                </div>
                <Accounts a={one} b={two} />
              </>
            ) : (
              <p className="mt-4">
                Choose two jobs. To compare one load on two racks, copy the job, change the bars of the copy,
                and choose both here.
              </p>
            )}
          </>
        )}
      </main>
    </div>
  )
}
