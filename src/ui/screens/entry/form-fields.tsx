'use client'
import { useId } from 'react'
import { get, useFormContext } from 'react-hook-form'
import { FieldNote } from '@/ui/kit/field-note'

function useProblem(name: string): string | undefined {
  const { formState } = useFormContext()
  const error: unknown = get(formState.errors, name)
  return typeof error === 'object' &&
    error !== null &&
    'message' in error &&
    typeof error.message === 'string'
    ? error.message
    : undefined
}

/** A text of the form with its label, and what is wrong with it. */
export function FormText({ name, label, hint }: { name: string; label: string; hint?: string }) {
  const { register } = useFormContext()
  const id = useId()
  const problem = useProblem(name)
  const note = problem ?? hint
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="field-label">
        {label}
      </label>
      <input
        id={id}
        className="field"
        autoComplete="off"
        aria-invalid={problem !== undefined}
        aria-describedby={note === undefined ? undefined : `${id}-note`}
        {...register(name)}
      />
      <FieldNote id={`${id}-note`} problem={problem} hint={hint} />
    </div>
  )
}

export function FormChoice({
  name,
  label,
  options,
  onChosen,
}: {
  name: string
  label: string
  options: readonly (readonly [string, string])[]
  onChosen?: (value: string) => void
}) {
  const { register } = useFormContext()
  const id = useId()
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="field-label">
        {label}
      </label>
      <select
        id={id}
        className="field"
        {...register(
          name,
          onChosen
            ? { onChange: (event: { target: { value: string } }) => onChosen(event.target.value) }
            : {},
        )}
      >
        {options.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
    </div>
  )
}

export function FormTick({ name, label }: { name: string; label: string }) {
  const { register } = useFormContext()
  const id = useId()
  return (
    <label htmlFor={id} className="flex min-h-11 items-center gap-2">
      <input id={id} type="checkbox" className="h-6 w-6" {...register(name)} />
      {label}
    </label>
  )
}

/** Figures for road, trail and parked; an empty one is a figure nobody has found yet, and is said so. */
export function FormFigures({ name, title }: { name: string; title: string }) {
  return (
    <fieldset className="border-edge border p-2">
      <legend className="px-1 font-semibold">{title}</legend>
      <p className="field-note mb-1">
        Leave a figure empty when it is not known: it becomes a thing to find out.
      </p>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        <FormText name={`${name}.road`} label="Road" />
        <FormText name={`${name}.trail`} label="Trail" />
        <FormText name={`${name}.parked`} label="Parked" />
        <FormChoice
          name={`${name}.per`}
          label="For"
          options={[
            ['set', 'the set'],
            ['each', 'each one'],
          ]}
        />
        <FormChoice
          name={`${name}.counts`}
          label="Counts"
          options={[
            ['unsaid', 'Source does not say'],
            ['load', 'Only what stands on it'],
            ['everything', 'Rack and parts included'],
          ]}
        />
        <FormText name={`${name}.page`} label="Page it was read on" />
      </div>
    </fieldset>
  )
}
