import { useId, type ComponentProps, type ReactNode, type Ref } from 'react'
import { FieldNote } from './field-note'

/** How labels and what is typed or chosen look, for controls that some library makes. */
export const LOOK_OF = {
  label: 'text-ink2 mb-0.5 block text-[0.86rem]',
  input: 'input w-full text-[1rem] font-medium',
  select: 'select w-full text-[0.94rem] font-medium [font-stretch:84%]',
  textarea: 'textarea w-full text-[1rem] font-medium',
} as const

interface BoxProps extends Omit<ComponentProps<'input'>, 'onChange' | 'className' | 'ref'> {
  readonly label: ReactNode
  readonly onText: (text: string) => void
  /** Of the label and the box together. */
  readonly className?: string
  readonly note?: ReactNode
  readonly problem?: string | undefined
  readonly at?: Ref<HTMLInputElement>
}

/** A box to type a line into, taken at every stroke. */
export function TextBox({ label, onText, className = '', note, problem, at, ...rest }: BoxProps) {
  const id = useId()
  return (
    <div className={`min-w-0 ${className}`}>
      <label htmlFor={id} className={LOOK_OF.label}>
        {label}
      </label>
      <input
        id={id}
        ref={at}
        className={LOOK_OF.input}
        autoComplete="off"
        aria-invalid={problem !== undefined}
        aria-describedby={problem === undefined ? undefined : `${id}-note`}
        onChange={(event) => onText(event.target.value)}
        {...rest}
      />
      {note}
      <FieldNote id={`${id}-note`} problem={problem} hint={undefined} />
    </div>
  )
}

interface TickProps extends Omit<ComponentProps<'input'>, 'onChange'> {
  readonly onTick: (ticked: boolean) => void
}

/** Something ticked or not, or one of a few with `type="radio"`; what it is stands beside it. */
export function TickBox({ onTick, className = '', children, type = 'checkbox', ...rest }: TickProps) {
  return (
    <label className={`flex min-h-11 items-center gap-2 ${className}`}>
      <input
        type={type}
        className={type === 'radio' ? 'radio' : 'checkbox'}
        onChange={(event) => onTick(event.target.checked)}
        {...rest}
      />
      {children}
    </label>
  )
}
