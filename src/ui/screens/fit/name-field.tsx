'use client'
import { TextBox } from '@/ui/kit/field'
import { useState } from 'react'
import { useSettings } from '@/ui/state/settings-store'

/** Who works here this shift, and whether that has to be asked before anything is said on a name. */
export function useShiftName(): { readonly name: string; readonly asks: boolean } {
  const name = useSettings((store) => store.settings.fitter)
  const [asks] = useState(name === '')
  return { name, asks }
}

/** Whose word it is; signs every log entry from now on. */
export function NameField() {
  const fitter = useSettings((store) => store.settings.fitter)
  const change = useSettings((store) => store.change)
  return (
    <TextBox
      label="Who says so"
      className="mt-2"
      maxLength={80}
      value={fitter}
      onText={(text) => change({ fitter: text })}
    />
  )
}
