'use client'
import { useState, type ComponentProps, type ReactNode } from 'react'
import { CONTROL_CLASS } from './control-class'
import { Labelled } from './labelled'

/** What came of a typed text: its value, or why it is none. */
export type ParsedText<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly reason: string }

/**
 * A text that stands for something, read when it is left or entered. What cannot be read or taken stays, with the
 * reason; Escape gives back what was there.
 */
export function ParsedField<T>({
  label,
  text,
  read,
  onValue,
  hint,
  className = '',
  after,
  ...rest
}: {
  readonly label: string
  readonly text: string
  readonly read: (text: string) => ParsedText<T>
  /** Takes the value; a text given back says why it was refused. */
  readonly onValue: (value: T) => unknown
  readonly hint?: string | undefined
  readonly className?: string
  /** What stands beside the box: a calendar. */
  readonly after?: ReactNode
} & Pick<ComponentProps<'input'>, 'placeholder' | 'maxLength' | 'disabled'>) {
  const [draft, setDraft] = useState<string>()
  const [problem, setProblem] = useState<string>()
  const settle = (left: string | undefined, wrong: string | undefined) => {
    setDraft(left)
    setProblem(wrong)
  }
  const take = () => {
    const typed = draft?.trim()
    if (typed === undefined || typed === text) {
      settle(undefined, undefined)
      return
    }
    const taken = read(typed)
    const answer = taken.ok ? onValue(taken.value) : taken.reason
    const refused = typeof answer === 'string' ? answer : undefined
    settle(refused === undefined ? undefined : draft, refused)
  }
  return (
    <Labelled label={label} hint={hint} problem={problem} className={className}>
      {(control) => (
        <div className="flex gap-1">
          <input
            {...control}
            className={CONTROL_CLASS.input}
            autoComplete="off"
            value={draft ?? text}
            data-settled={draft === undefined ? '' : undefined}
            onChange={(event) => setDraft(event.target.value)}
            onBlur={take}
            onKeyDown={(event) => {
              if (event.key === 'Enter') {
                event.preventDefault()
                take()
              } else if (event.key === 'Escape' && draft !== undefined) {
                event.stopPropagation()
                settle(undefined, undefined)
              }
            }}
            {...rest}
          />
          {after}
        </div>
      )}
    </Labelled>
  )
}
