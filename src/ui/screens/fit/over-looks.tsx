'use client'
import { type BayProgress, type Joint, type JointGroup, wasOver } from '@/core/api/fit'
import { formatQuantity, type Plan } from '@/core/api/plan'
import { useState } from 'react'
import { Button } from '@/ui/kit/button'
import { ReasonDialog } from '@/ui/kit/reason-dialog'
import { logFor } from '@/ui/state/log-store'
import { useUnits } from '@/ui/state/settings-store'
import { NameField, useShiftName } from './name-field'

/** What is found at a place that was over its figure, by name: until then the joint stays stopped. */
function LookDialog({
  plan,
  joint,
  spot,
  nm,
  onClose,
}: {
  plan: Plan
  joint: Joint
  spot: string
  nm: number
  onClose: () => void
}) {
  const units = useUnits()
  const { name, asks } = useShiftName()
  return (
    <ReasonDialog
      title={`Over torque at ${spot}`}
      label="What you found, and what you renewed"
      without="Write what you found: the sheet prints it."
      lacks={name.trim() === '' ? 'Enter who looked. This needs a name.' : undefined}
      action="Put it in the log"
      onReason={(found) =>
        logFor(plan, { kind: 'overLooked', jointId: joint.id, what: joint.name, spot, nm, found })
      }
      onClose={onClose}
    >
      {joint.name} was tightened to {formatQuantity('torque', nm, units)} here. Look at its thread, the pad
      and the rail.
      {asks && <NameField />}
    </ReasonDialog>
  )
}

/** Each place of a joint that was over and reads less now, with a key to say what was found there. */
export function OverLooks({
  plan,
  group,
  progress,
}: {
  plan: Plan
  group: JointGroup
  progress: BayProgress
}) {
  const [at, setAt] = useState<string>()
  const open = wasOver(group, progress)
  const asked = open.find(({ spot }) => spot === at)
  if (open.length === 0) return null
  return (
    <div className="flex flex-wrap gap-2 py-2">
      {open.map(({ spot }) => (
        <Button key={spot} onClick={() => setAt(spot)}>
          Say what you found at {spot}
        </Button>
      ))}
      {asked && (
        <LookDialog
          plan={plan}
          joint={group.joint}
          spot={asked.spot}
          nm={asked.nm}
          onClose={() => setAt(undefined)}
        />
      )}
    </div>
  )
}
