'use client'
import dynamic from 'next/dynamic'
import { Button } from '@/ui/kit/button'
import type { FindingStates, Remedy } from '@/core/api/assess'
import { phraseText } from '@/core/api/plan'
import { memo, useState, type KeyboardEvent } from 'react'
import { PhraseLine } from '@/ui/figures/quantity'
import { SeverityTag } from '@/ui/figures/severity-tag'
import { AnswerField } from './answer-field'
import type { DialogName } from '@/ui/state/dialog-store'
import { firstFix } from '@/ui/state/fixes'
import { usePlan, planStore } from '@/ui/state/plan-store'

const SetAsideDialog = dynamic(() => import('./set-aside-dialog').then((module) => module.SetAsideDialog))

type Props = FindingStates & {
  readonly remedies: readonly Remedy[] | undefined
  readonly show: (dialog: DialogName) => void
}

/** A finding is a new object with every review: its row is drawn again only when it reads otherwise. */
function readsTheSame(a: Props, b: Props): boolean {
  return (
    a.finding.id === b.finding.id &&
    a.finding.severity === b.finding.severity &&
    a.finding.aside === b.finding.aside &&
    a.remedies === b.remedies &&
    a.states.join() === b.states.join() &&
    a.all.every((each, i) => phraseText(each.sentence) === phraseText(b.all[i]?.sentence ?? []))
  )
}

/** Answer fields: one for each state that asks for a figure of its own, one where one answer does for all. */
const answersOf = ({ all }: FindingStates) => [
  ...new Map(all.flatMap(({ ask }) => (ask ? [[JSON.stringify(ask.target), ask] as const] : []))).values(),
]

/**
 * The fixes of one finding, each its key. While the plan is being changed and new ones are looked for, those of before
 * keep their place so that the list stays still under the eye, and cannot be pressed.
 */
function FixKeys({ remedies }: { remedies: readonly Remedy[] | undefined }) {
  const [last, setLast] = useState(remedies)
  if (remedies && remedies !== last) setLast(remedies)
  const shown = remedies ?? last
  if (!shown || shown.length === 0) return null
  const { run } = planStore.getState()
  return (
    <div className={`mt-1.5 flex flex-wrap gap-1.5 ${remedies ? '' : 'opacity-60'}`} inert={!remedies}>
      {shown.map((remedy, i) => (
        <Button key={i} variant={i === 0 ? 'solid' : 'word'} onClick={() => run(remedy.command)}>
          <span>
            <PhraseLine phrase={remedy.message} />
          </span>
        </Button>
      ))}
    </div>
  )
}

/** One finding with its states: what it says, its fixes, and for a question the field that answers it. */
export const FindingRow = memo(function FindingRow({ remedies, show, ...row }: Props) {
  const { finding, states } = row
  const { run, focusFinding } = planStore.getState()
  const focused = usePlan((store) => store.focus === finding.id)
  const [settingAside, setSettingAside] = useState(false)
  const onKeyDown = (event: KeyboardEvent<HTMLLIElement>) => {
    if (event.key !== 'Enter' || event.target !== event.currentTarget) return
    event.preventDefault()
    const { plan } = planStore.getState()
    if (!plan) return
    void firstFix(plan, finding).then((first) => {
      if (first) run(first.command)
    })
  }
  const answers = answersOf(row)
  return (
    <li
      className={`[content-visibility:auto] [contain-intrinsic-size:auto_6rem] border-b-1 border-b-hair pt-[0.55rem] pb-[0.6rem] pl-[0.5rem] border-l-[3px] ${focused ? 'border-l-base-content' : 'border-l-transparent'}`}
      data-finding={finding.id}
      tabIndex={0}
      onMouseEnter={() => focusFinding(finding.id)}
      onMouseLeave={() => focusFinding(undefined)}
      onFocus={() => focusFinding(finding.id)}
      onBlur={() => focusFinding(undefined)}
      onKeyDown={onKeyDown}
    >
      <p className="leading-snug">
        <SeverityTag severity={finding.severity} />{' '}
        <span className="text-ink2 text-note">{states.join(', ')}</span>{' '}
        <PhraseLine phrase={finding.sentence} />
      </p>
      {finding.aside && (
        <p className="mt-1 text-aside">
          Set aside by {finding.aside.by} on {finding.aside.on}: {finding.aside.reason}{' '}
          <Button
            variant="word"
            onClick={() => {
              for (const each of row.all) run({ do: 'askAgain', findingId: each.id })
            }}
          >
            Ask again
          </Button>
        </p>
      )}
      {answers.length > 0 && !finding.aside && (
        <div className="mt-1.5 flex flex-wrap items-end gap-1.5">
          {answers.map((ask) => (
            <AnswerField key={JSON.stringify(ask.target)} ask={ask} show={show} />
          ))}
        </div>
      )}
      <FixKeys remedies={remedies} />
      {remedies?.length === 0 && finding.severity === 'stop' && answers.length === 0 && (
        <p className="text-ink2 mt-1 text-aside">
          None of the changes tried clears this alone. See the other findings about the same thing.
        </p>
      )}
      {finding.severity === 'findOut' && !finding.aside && (
        <Button variant="word" onClick={() => setSettingAside(true)}>
          Set aside for this job
        </Button>
      )}
      {settingAside && <SetAsideDialog findings={row.all} onClose={() => setSettingAside(false)} />}
    </li>
  )
}, readsTheSame)
