import type { ComponentProps, Ref } from 'react'
import { Labelled, type LabelledProps } from './labelled'
import { CONTROL_CLASS } from './control-class'

type BoxProps = LabelledProps &
  Omit<ComponentProps<'input'>, 'onChange' | 'className' | 'ref'> & {
    readonly onText: (text: string) => void
    readonly at?: Ref<HTMLInputElement>
  }

/** A box to type a line into, taken at every stroke. */
export function TextBox({ label, hint, problem, className, onText, at, ...rest }: BoxProps) {
  return (
    <Labelled {...{ label, hint, problem, ...(className === undefined ? {} : { className }) }}>
      {(control) => (
        <input
          {...control}
          ref={at}
          className={CONTROL_CLASS.input}
          autoComplete="off"
          onChange={(event) => onText(event.target.value)}
          {...rest}
        />
      )}
    </Labelled>
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
