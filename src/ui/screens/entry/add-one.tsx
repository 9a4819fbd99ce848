'use client'
import { useState } from 'react'

/** Choose what kind of thing to add to a form, and add it. */
export function AddOne<K extends string>({
  label,
  button,
  choices,
  start,
  onAdd,
}: {
  label: string
  button: string
  choices: readonly (readonly [K, string])[]
  start: K
  onAdd: (kind: K) => void
}) {
  const [kind, setKind] = useState<K>(start)
  return (
    <div className="flex flex-wrap items-end gap-2">
      <label className="min-w-60">
        <span className="field-label">{label}</span>
        <select
          className="field"
          value={kind}
          onChange={(event) => {
            const chosen = choices.find(([each]) => each === event.target.value)
            if (chosen) setKind(chosen[0])
          }}
        >
          {choices.map(([each, words]) => (
            <option key={each} value={each}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <button
        type="button"
        className="plain"
        onClick={() => {
          onAdd(kind)
        }}
      >
        {button}
      </button>
    </div>
  )
}
