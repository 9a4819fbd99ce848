'use client'
// The form library writes into what it gives out: what is worked out of that may not be kept by the compiler.
'use no memo'
import { Fieldset } from '@/ui/kit/fieldset'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { TickBox } from '@/ui/kit/field'
import {
  type Around,
  type Choices,
  entriesOf,
  HOW_CHOICES,
  nextEntries,
  type Several,
  type Single,
} from '@/core/api/fields'
import { BASES, kindsOf, parseDay, type Provenance, PROVENANCES } from '@/core/api/plan'
import { useId, useState, type ReactNode } from 'react'
import { useFormContext, useWatch } from 'react-hook-form'
import { DAY_EXAMPLE, DayPicker } from '@/ui/kit/day-picker'
import { FieldNote } from '@/ui/kit/field-note'
import { under } from './field-parts'
import { OrderedChoices } from './ordered-choices'
import { OtherFigures, useOtherFigures } from './other-figures'
import { useProblem } from './problem'
import { markPath, othersPath, useOwner, useSheetOf } from './sheet-context'

/** The mark beside a label that says how its figure is known, and changes it. */
function KnownMark({
  at,
  label,
  onAnother,
}: {
  at: string
  /** The id of the field's label. */
  label: string
  /** Puts another figure beside this one; nothing where it is but a part of a value. */
  onAnother?: () => void
}) {
  const owner = useOwner()
  const { setValue } = useFormContext()
  const path = owner === undefined ? '' : markPath(owner, at)
  const [text, by] = useWatch({ name: [at, path] }) as [unknown, unknown]
  if (owner === undefined || typeof text !== 'string' || text.trim() === '') return null
  const now = typeof by === 'string' ? by : ''
  const choices = HOW_CHOICES.some(([how]) => how === now)
    ? HOW_CHOICES
    : [[now, Object.hasOwn(PROVENANCES, now) ? PROVENANCES[now as Provenance].word : now], ...HOW_CHOICES]
  return (
    <select
      aria-label="How it is known"
      aria-describedby={label}
      className={`min-h-[1.6rem] touch:min-h-11 w-24 shrink-0 text-note text-ink2 text-right ${now === 'start' || now === 'target' ? 'mind-hatch' : ''}`}
      value={now}
      onChange={(event) => {
        if (event.target.value === ANOTHER) onAnother?.()
        else setValue(path, event.target.value, { shouldDirty: true })
      }}
    >
      {choices.map(([how, words]) => (
        <option key={how} value={how}>
          {words}
        </option>
      ))}
      {onAnother && <option value={ANOTHER}>another figure exists…</option>}
    </select>
  )
}

const ANOTHER = 'another'

function Frame({
  id,
  at,
  label,
  hint,
  mark,
  children,
}: {
  id: string
  at: string
  label: string
  hint: string | undefined
  mark?: ReactNode
  children: ReactNode
}) {
  const problem = useProblem(at)
  return (
    <div className="group min-w-0">
      <div className="flex min-h-[1.6rem] items-end justify-between gap-2">
        <label id={`${id}-label`} htmlFor={id} className={CONTROL_CLASS.label}>
          {label}
        </label>
        {mark}
      </div>
      {children}
      <FieldNote id={`${id}-note`} problem={problem} hint={hint} />
    </div>
  )
}

/** The calendar of a day's field. */
function FieldCalendar({ at, label }: { at: string; label: string }) {
  const { setValue } = useFormContext()
  const now: unknown = useWatch({ name: at })
  const day = parseDay(typeof now === 'string' ? now : '')
  return (
    <DayPicker
      label={label}
      value={day.ok ? day.value : ''}
      onDay={(next) => setValue(at, next, { shouldDirty: true, shouldValidate: true })}
    />
  )
}

const PROVENANCE_KINDS = kindsOf(PROVENANCES)

/** A text of a sheet. What is typed over a starting value is known as the sheet says. */
function TextInput({
  field,
  at,
  partOfOne,
}: {
  field: Single | Several | { is: 'pairs'; label: string; hint?: string }
  at: string
  partOfOne: boolean
}) {
  const { register, setValue, getValues } = useFormContext()
  // Whether the field was empty when it was come to.
  const [wasEmpty, setWasEmpty] = useState(false)
  const owner = useOwner()
  const { from, notes, wordings } = useSheetOf()
  const [offered, setOffered] = useState<{ words: readonly string[]; text: string }>({ words: [], text: '' })
  const id = useId()
  const problem = useProblem(at)
  const hint = notes[at] ?? field.hint
  const figure = field.is === 'quantity' || (field.is === 'several' && field.of.is === 'quantity')
  const othersAt =
    field.is === 'quantity' && owner !== undefined && !partOfOne ? othersPath(owner, at) : undefined
  const others = useOtherFigures(othersAt)
  const input = register(at, {
    onChange: () => {
      setWasEmpty(false)
      if (figure && owner !== undefined) setValue(markPath(owner, at), from)
      const source = PROVENANCE_KINDS.find((each) => each === from)
      if (field.is !== 'quantity' || field.saysHow === undefined || source === undefined) return
      // A weight says by itself how it is known: as the sheet says on top where nobody had typed it yet, else as somebody chose.
      const how = under(at.split('.').slice(0, -1).join('.'), field.saysHow)
      const isSaid = kindsOf(BASES).some((basis) => basis === getValues(how) && BASES[basis].said)
      if (wasEmpty || !isSaid) setValue(how, PROVENANCES[source].basis, { shouldDirty: true })
    },
  })
  const line = field.is === 'several' ? field.of : field
  const names = line.is === 'text' && line.givesName !== true ? line.names : undefined
  const words = field.is === 'several' ? nextEntries(offered.text, offered.words) : offered.words
  const shared = {
    id,
    className: CONTROL_CLASS.input,
    autoComplete: 'off',
    'aria-invalid': problem !== undefined,
    'aria-describedby': (problem ?? hint) === undefined ? undefined : `${id}-note`,
    ...input,
  }
  return (
    <Frame
      id={id}
      at={at}
      label={field.label}
      hint={hint}
      mark={
        figure && (
          <KnownMark
            at={at}
            label={`${id}-label`}
            {...(othersAt === undefined ? {} : { onAnother: others.add })}
          />
        )
      }
    >
      {'long' in field ? (
        <textarea {...shared} rows={3} className={CONTROL_CLASS.textarea} />
      ) : (
        <div className="flex gap-1">
          <input
            {...shared}
            type="text"
            {...(field.is === 'day' && { placeholder: DAY_EXAMPLE })}
            {...(names !== undefined && { list: `${id}-words` })}
            onFocus={({ target }) => {
              setWasEmpty(target.value.trim() === '')
              if (names !== undefined) setOffered({ words: wordings(names), text: target.value })
            }}
            onInput={({ currentTarget }) => {
              if (field.is === 'several' && names !== undefined)
                setOffered({ ...offered, text: currentTarget.value })
            }}
          />
          {names !== undefined && (
            <datalist id={`${id}-words`}>
              {words.map((word) => (
                <option key={word} value={word} />
              ))}
            </datalist>
          )}
          {field.is === 'day' && <FieldCalendar at={at} label={field.label} />}
        </div>
      )}
      {othersAt !== undefined && (
        <OtherFigures at={othersAt} label={field.label} rows={others.rows} onRemove={others.remove} />
      )}
    </Frame>
  )
}

/** One of a few; the first says that nobody has said. */
export function ChoiceInput({
  at,
  label,
  hint,
  choices,
  made = [],
  unstated = 'Not said',
  onChosen,
}: {
  at: string
  label: string
  hint?: string | undefined
  choices: Choices
  made?: readonly string[] | undefined
  unstated?: string
  onChosen?: ((value: string) => void) | undefined
}) {
  const { register } = useFormContext()
  const { chosen, only } = useSheetOf()
  const id = useId()
  const now: unknown = useWatch({ name: at })
  const follow = onChosen ?? chosen[at]
  const narrow = only[at]
  const offered = choices.filter(([value]) =>
    narrow ? narrow.includes(String(value)) : !made.includes(String(value)) || String(value) === now,
  )
  // What a file brought and no choice offers is shown as it is.
  const isForeign = typeof now === 'string' && now !== '' && offered.every(([value]) => String(value) !== now)
  return (
    <Frame id={id} at={at} label={label} hint={hint}>
      <select
        id={id}
        className={CONTROL_CLASS.select}
        {...register(
          at,
          follow ? { onChange: (event: { target: { value: string } }) => follow(event.target.value) } : {},
        )}
        value={typeof now === 'string' ? now : ''}
      >
        {!narrow && <option value="">{unstated}</option>}
        {isForeign && <option value={now}>{now}</option>}
        {offered.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
    </Frame>
  )
}

const YES_OR_NO = [
  ['yes', 'Yes'],
  ['no', 'No'],
] as const

/** Several of a closed list, ticked. */
function Ticks({ field, choices, at }: { field: Several; choices: Choices; at: string }) {
  const { setValue } = useFormContext()
  const now: unknown = useWatch({ name: at })
  const ticked = typeof now === 'string' ? entriesOf(now) : []
  const problem = useProblem(at)
  const id = useId()
  return (
    <Fieldset title={field.label} wide>
      <div className="flex flex-wrap gap-x-4" data-place={at} tabIndex={-1}>
        {choices.map(([value, words]) => (
          <TickBox
            key={value}
            checked={ticked.includes(String(value))}
            onTick={(on) => {
              const next = choices
                .map(([each]) => String(each))
                .filter((each) => (each === String(value) ? on : ticked.includes(each)))
              setValue(at, next.join('; '), { shouldDirty: true })
            }}
          >
            {words}
          </TickBox>
        ))}
      </div>
      <FieldNote id={id} problem={problem} hint={field.hint} />
    </Fieldset>
  )
}

/** The input of one field. */
export function FieldInput({
  field,
  at,
  partOfOne = false,
}: {
  field: Single | Several | { is: 'pairs'; label: string; hint?: string }
  at: string
  /** One of several inputs that make one value. */
  partOfOne?: boolean
}) {
  const { around } = useSheetOf()
  const choicesOf = (choices: Choices | Around): Choices =>
    typeof choices === 'string' ? (around[choices] ?? []) : choices
  if (field.is === 'several' && field.of.is === 'choice') {
    const choices = choicesOf(field.of.choices)
    return field.ordered ? (
      <OrderedChoices field={field} choices={choices} at={at} />
    ) : (
      <Ticks field={field} choices={choices} at={at} />
    )
  }
  // Where nothing around is to choose from, there is nothing to ask.
  if (field.is === 'choice' && choicesOf(field.choices).length === 0) return null
  if (field.is === 'choice')
    return (
      <ChoiceInput
        at={at}
        label={field.label}
        hint={field.hint}
        choices={choicesOf(field.choices)}
        made={field.made}
      />
    )
  if (field.is === 'flag')
    return <ChoiceInput at={at} label={field.label} hint={field.hint} choices={YES_OR_NO} />
  return <TextInput field={field} at={at} partOfOne={partOfOne} />
}
