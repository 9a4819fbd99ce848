'use client'
import { useSettings } from '@/ui/state/settings-store'

const TOOLS = [
  ['wrench', 'Wrench in hand'],
  ['scale', 'Scale in hand'],
] as const

/** Who works here and with what, said once a shift: it signs what goes into the log from now on. */
export function ShiftFields() {
  const settings = useSettings((store) => store.settings)
  const change = useSettings((store) => store.change)
  return (
    <fieldset className="grid gap-2">
      <legend className="field-label">This shift</legend>
      <label className="block">
        <span className="field-label">Who fits it</span>
        <input
          className="field"
          value={settings.fitter}
          maxLength={80}
          onChange={(event) => {
            change({ fitter: event.target.value })
          }}
        />
        <span className="field-note">signs what goes into the log from now on</span>
      </label>
      {TOOLS.map(([tool, label]) => (
        <div key={tool} className="grid gap-2">
          <label className="block">
            <span className="field-label">{label}</span>
            <input
              className="field"
              value={settings[tool]?.name ?? ''}
              maxLength={120}
              onChange={(event) => {
                const name = event.target.value
                change({ [tool]: name === '' ? undefined : { ...settings[tool], name } })
              }}
            />
          </label>
          <label className="block">
            <span className="field-label">calibrated until</span>
            <input
              type="date"
              className="field"
              aria-label={`${label}: calibrated until`}
              disabled={settings[tool] === undefined}
              value={settings[tool]?.until ?? ''}
              onChange={(event) => {
                const until = event.target.value
                const name = settings[tool]?.name ?? ''
                change({ [tool]: until === '' ? { name } : { name, until } })
              }}
            />
          </label>
        </div>
      ))}
    </fieldset>
  )
}
