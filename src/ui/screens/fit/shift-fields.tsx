'use client'
import { DayField } from '@/ui/figures/day-field'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { TextBox } from '@/ui/kit/field'
import { useSettings } from '@/ui/state/settings-store'

const TOOLS = [
  ['wrench', 'Wrench in hand'],
  ['scale', 'Scale in hand'],
] as const

/** Who works here and with what, said once a shift: it signs every log entry from now on. */
export function ShiftFields() {
  const settings = useSettings((store) => store.settings)
  const change = useSettings((store) => store.change)
  return (
    <fieldset className="grid gap-2">
      <legend className={CONTROL_CLASS.label}>This shift</legend>
      <TextBox
        label="Who fits it"
        value={settings.fitter}
        maxLength={80}
        hint="signs every log entry from now on"
        onText={(fitter) => change({ fitter })}
      />
      {TOOLS.map(([tool, label]) => (
        <div key={tool} className="grid gap-2">
          <TextBox
            label={label}
            value={settings[tool]?.name ?? ''}
            maxLength={120}
            onText={(name) => change({ [tool]: name === '' ? undefined : { ...settings[tool], name } })}
          />
          <DayField
            label={`${label}: calibrated until`}
            disabled={settings[tool] === undefined}
            value={settings[tool]?.until ?? ''}
            onDay={(until) => {
              const name = settings[tool]?.name ?? ''
              change({ [tool]: until === '' ? { name } : { name, until } })
            }}
          />
        </div>
      ))}
    </fieldset>
  )
}
