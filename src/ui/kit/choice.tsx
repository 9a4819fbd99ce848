import { ParsedField } from './parsed-field'
import { CONTROL_CLASS } from './control-class'
import { Labelled } from './labelled'

/** One of a few words to choose, with its label. */
export function Choice<T extends string>({
  label,
  value,
  options,
  unstated,
  onChange,
  className = '',
}: {
  label: string
  value: T | ''
  /** What is offered while nothing is chosen. */
  unstated?: string
  options: readonly (readonly [T, string])[]
  onChange: (value: T) => void
  className?: string
}) {
  return (
    <Labelled label={label} className={className}>
      {(control) => (
        <select
          {...control}
          className={CONTROL_CLASS.select}
          value={value}
          onChange={(event) => {
            const chosen = options.find(([each]) => each === event.target.value)
            if (chosen) onChange(chosen[0])
          }}
        >
          {unstated !== undefined && <option value="">{unstated}</option>}
          {options.map(([each, words]) => (
            <option key={each} value={each}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Labelled>
  )
}

/** A line of text to type, taken when it is left. */
export function TextField({
  value,
  max = 120,
  ...rest
}: {
  label: string
  value: string
  onValue: (value: string) => void
  max?: number
  className?: string
}) {
  return <ParsedField text={value} maxLength={max} read={(text) => ({ ok: true, value: text })} {...rest} />
}
