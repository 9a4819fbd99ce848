'use client'
import type { Settings } from '@/storage/settings'
import { Choice } from '@/ui/kit/choice'
import { TickBox } from '@/ui/kit/field'
import { Note } from '@/ui/kit/field-note'
import { Modal } from '@/ui/kit/modal'
import { useSettings } from '@/ui/state/settings-store'

/** How this browser shows every job. */
export function SettingsFields() {
  const { settings, change } = useSettings((store) => store)
  return (
    <div className="grid gap-3">
      <Choice<Settings['units']>
        label="Units"
        value={settings.units}
        options={[
          ['metric', 'Millimetres and kilograms'],
          ['us', 'Inches and pounds'],
          ['both', 'Both'],
        ]}
        onChange={(units) => change({ units })}
      />
      <Choice
        label="Inches to the nearest"
        value={String(settings.denominator)}
        options={[
          ['8', '1/8 in'],
          ['16', '1/16 in'],
          ['32', '1/32 in'],
        ]}
        onChange={(denominator) =>
          change({ denominator: denominator === '8' ? 8 : denominator === '32' ? 32 : 16 })
        }
      />
      <Choice<Settings['theme']>
        label="Theme"
        value={settings.theme}
        options={[
          ['system', 'Same as this device'],
          ['bay', 'Day bay, light'],
          ['night-bay', 'Night bay, dark'],
        ]}
        onChange={(theme) => change({ theme })}
      />
      <div>
        <TickBox checked={settings.bareKeys} onTick={(bareKeys) => change({ bareKeys })}>
          Keys of one character
        </TickBox>
        <Note>
          They act while the drawing, a list or the page itself has the focus. Turn them off for dictation.
        </Note>
      </div>
    </div>
  )
}

/** Units, theme and keys over any screen. */
export function SettingsDialog({ onClose }: { onClose: () => void }) {
  return (
    <Modal title="Units, theme and keys" onClose={onClose}>
      <SettingsFields />
    </Modal>
  )
}
