'use client'
import { PageBar } from '@/ui/app/page-bar'
import { TextBox } from '@/ui/kit/field'
import { ButtonLink, TextLink } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import { BAY_RULES } from '@/core/api/fit'
import { CHECKS, type Finding, OUTCOME_RANK, type Rule, type RuleSource, STATE_WORD } from '@/core/api/assess'
import { LOCAL_RULES, type Plan } from '@/core/api/plan'
import { useEffect, useState } from 'react'
import { assessmentOf } from '@/ui/state/assessment'
import { PhraseLine } from '@/ui/figures/quantity'
import { fetchDemo, useSettings } from '@/ui/state/settings-store'
import { SeverityTag } from '@/ui/figures/severity-tag'

const SOURCE_WORD: Readonly<Record<RuleSource['kind'], string>> = {
  published: 'Published standard',
  handbook: 'Engineering handbook',
  practice: 'Common practice',
}

interface Example {
  readonly finding: Finding
  readonly job: { readonly id: string; readonly name: string }
}

/** For every rule the gravest thing that it says of any job of the demo, judged as the page opens. */
function examples(plans: readonly Plan[]): ReadonlyMap<string, Example> {
  const found = new Map<string, Example>()
  const rank = ({ severity }: Finding) => OUTCOME_RANK[severity]
  for (const plan of plans)
    for (const finding of assessmentOf(plan).review.findings) {
      const cached = found.get(finding.rule)
      if (!cached || rank(finding) < rank(cached.finding))
        found.set(finding.rule, { finding, job: { id: plan.id, name: plan.job.name } })
    }
  return found
}

/** Every rule: what it asks, by what formula, from what source, and what it says of a job of the demo. */
export function RulesScreen() {
  const seeded = useSettings((store) => store.settings.seeded)
  const [words, setWords] = useState('')
  const [demo, setDemo] = useState<ReadonlyMap<string, Example> | 'fetching' | 'failed'>('fetching')
  useEffect(() => {
    fetchDemo().then(
      ({ plans }) => setDemo(examples(plans)),
      () => setDemo('failed'),
    )
  }, [])
  const wanted = words.trim().toLowerCase()
  const has = ({ title, question, formula, source }: Rule) =>
    `${title} ${question} ${formula} ${source.text}`.toLowerCase().includes(wanted)
  const shown = CHECKS.filter(has)
  const inBay = BAY_RULES.filter(has)
  return (
    <div>
      <PageBar screen="rules" about="each with its formula and source">
        <ButtonLink variant="quiet" href={to('board')}>
          All jobs
        </ButtonLink>
      </PageBar>
      <main className="mx-auto max-w-5xl px-4 py-4">
        <p className="max-w-3xl">
          Every finding comes from one of these {CHECKS.length} rules, and during fitting from one of{' '}
          {BAY_RULES.length} more. The vehicle’s manual, the makers’ instructions and local law take
          precedence.
        </p>
        <TextBox label="Find a rule" className="mt-3  w-72" type="search" value={words} onText={setWords} />
        <ol className="mt-4">
          {shown.map((check) => {
            const example = typeof demo === 'string' ? undefined : demo.get(check.id)
            return (
              <li
                key={check.id}
                id={check.id}
                className="grid gap-x-[1.5rem] gap-y-[0.5rem] py-[0.9rem] px-0 border-t-1 border-t-hair min-[760px]:grid-cols-[17rem_1fr]"
              >
                <div>
                  <h2 className="text-head">{check.title}</h2>
                  <p className="mt-1">{check.question}</p>
                </div>
                <dl className="grid grid-cols-[9.5rem_1fr] gap-x-[0.75rem] gap-y-[0.25rem] [&_dt]:text-ink2">
                  <dt>Formula</dt>
                  <dd>{check.formula}</dd>
                  <dt>{SOURCE_WORD[check.source.kind]}</dt>
                  <dd>{check.source.text}</dd>
                  <dt>In the demo</dt>
                  <dd>
                    {example ? (
                      <>
                        <SeverityTag severity={example.finding.severity} />{' '}
                        {example.finding.state === 'all' ? '' : `${STATE_WORD[example.finding.state]}: `}
                        <PhraseLine phrase={example.finding.sentence} />{' '}
                        {seeded ? (
                          <TextLink href={to('load', { job: example.job.id })}>{example.job.name}</TextLink>
                        ) : (
                          <span className="text-ink2">({example.job.name})</span>
                        )}
                      </>
                    ) : demo === 'fetching' ? (
                      'Fetching the demo.'
                    ) : demo === 'failed' ? (
                      'The demo could not be fetched.'
                    ) : (
                      check.nothing
                    )}
                  </dd>
                </dl>
              </li>
            )
          })}
        </ol>
        {inBay.length > 0 && (
          <>
            <h2 className="mt-6 text-head">During fitting</h2>
            <ol className="mt-2">
              {inBay.map(({ id, title, question, formula, source, nothing }) => (
                <li
                  key={id}
                  id={id}
                  className="grid gap-x-[1.5rem] gap-y-[0.5rem] py-[0.9rem] px-0 border-t-1 border-t-hair min-[760px]:grid-cols-[17rem_1fr]"
                >
                  <div>
                    <h3 className="text-head">{title}</h3>
                    <p className="mt-1">{question}</p>
                  </div>
                  <dl className="grid grid-cols-[9.5rem_1fr] gap-x-[0.75rem] gap-y-[0.25rem] [&_dt]:text-ink2">
                    <dt>Formula</dt>
                    <dd>{formula}</dd>
                    <dt>{SOURCE_WORD[source.kind]}</dt>
                    <dd>{source.text}</dd>
                    <dt>Does not apply when</dt>
                    <dd>{nothing}</dd>
                  </dl>
                </li>
              ))}
            </ol>
          </>
        )}
        {shown.length + inBay.length === 0 && <p>No rule has those words.</p>}
        <h2 className="mt-6 text-head">Local rules in Ypsos</h2>
        <p className="text-ink2">Each is a summary from memory, no legal advice: check your local rules.</p>
        <ul className="mt-2 list-disc pl-5">
          {LOCAL_RULES.map(({ id, place, source, mark }) => (
            <li key={id}>
              <strong>{place}</strong>: {mark} ({source})
            </li>
          ))}
        </ul>
      </main>
    </div>
  )
}
