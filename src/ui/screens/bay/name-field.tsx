'use client'
import { useState } from 'react'
import { useSettings } from '@/ui/state/settings-store'

/** Who works here this shift, and whether that has to be asked before anything is said on a name. */
export function useShiftName(): { readonly name: string; readonly asks: boolean } {
  const name = useSettings((store) => store.settings.fitter)
  const [asks] = useState(name === '')
  return { name, asks }
}

/** Whose word it is; signs what goes into the log from now on. */
export function NameField() {
  const fitter = useSettings((store) => store.settings.fitter)
  const change = useSettings((store) => store.change)
  return (
    <label className="mt-2 block">
      <span className="field-label">Who says so</span>
      <input
        className="field"
        maxLength={80}
        value={fitter}
        onChange={(event) => {
          change({ fitter: event.target.value })
        }}
      />
    </label>
  )
}
