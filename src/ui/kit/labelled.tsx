import { useId, type ReactNode } from 'react'
import { CONTROL_CLASS } from './control-class'
import { FieldNote } from './field-note'

export interface LabelledProps {
  readonly label: ReactNode
  readonly hint?: string | undefined
  readonly problem?: string | undefined
  /** Of the label and what it names together. */
  readonly className?: string
}

/** Something to type into or to choose from under its label, with what is wrong with it below, else a hint. */
export function Labelled({
  label,
  hint,
  problem,
  className = '',
  children,
}: LabelledProps & {
  readonly children: (control: {
    readonly id: string
    readonly 'aria-invalid': boolean
    readonly 'aria-describedby': string | undefined
  }) => ReactNode
}) {
  const id = useId()
  const noted = problem !== undefined || hint !== undefined
  return (
    <div className={`min-w-0 ${className}`}>
      <label htmlFor={id} className={CONTROL_CLASS.label}>
        {label}
      </label>
      {children({
        id,
        'aria-invalid': problem !== undefined,
        'aria-describedby': noted ? `${id}-note` : undefined,
      })}
      <FieldNote id={`${id}-note`} problem={problem} hint={hint} />
    </div>
  )
}
