'use client'
import { Note } from '@/ui/kit/field-note'
import { Button } from '@/ui/kit/button'
import {
  type AttachmentKind,
  BODIES,
  type Body,
  kindsOf,
  newPlan,
  type ObstacleKind,
  type UnitSystem,
  type Vehicle,
  vehicleSchema,
} from '@/core/api/plan'
import {
  startingAttachment,
  startingObstacle,
  startingSizes,
  panelsOnHinges,
  startingVehicle,
  startsOnRoof,
  startsWithinRoof,
  assess,
} from '@/core/api/assess'
import { VEHICLE_FIELD } from '@/core/api/fields'
import { vehicleAsks, vehicleWith } from '@/core/api/files'
import { to } from '@/ui/routes'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { saveInStock } from '@/storage/own-stock'
import { StillSheet } from '@/ui/drawing/still-sheet'
import { PasteSheet } from '@/ui/forms/paste-sheet'
import { SheetForm } from '@/ui/forms/sheet-form'
import { useSheet } from '@/ui/forms/use-sheet'
import { usePlan, planStore } from '@/ui/state/plan-store'
import { SheetBar } from '@/ui/job/sheet-bar'
import { useSettings } from '@/ui/state/settings-store'

/** A vehicle that is of another body after all: its sizes follow until they are typed, all else stays. */
const rebodied = (was: Vehicle, body: Body): Vehicle => {
  const { roof, ...sizes } = startingSizes(body)
  return { ...was, ...sizes, roof: { ...was.roof, ...roof, ratings: was.roof.ratings } }
}

/** A vehicle of one's own: what holds a rack, what the roof may carry, its dimensions, and all else that is known of it. */
export function VehicleForm({
  was,
  job,
  system,
}: {
  was: Vehicle | undefined
  job: string | undefined
  system: UnitSystem
}) {
  const router = useRouter()
  const reloadOwn = useSettings((store) => store.reloadOwn)
  const [id] = useState(() => was?.id ?? `vehicle-${crypto.randomUUID().slice(0, 8)}`)
  // The sheet goes by which start it is, not by what is in it.
  const start = useMemo(() => was ?? startingVehicle('estate', id), [was, id])
  const sheet = useSheet(
    `sheet/vehicle/${was?.id ?? 'new'}`,
    VEHICLE_FIELD,
    vehicleSchema,
    start,
    was,
    system,
  )
  const { read } = sheet
  const now = read.value ?? start
  const [problem, setProblem] = useState<string>()
  const open = usePlan((store) => store.plan)
  const plan = job !== undefined && open?.id === job ? open : undefined
  const drawn = assess(newPlan({ id: 'drawing', job: { name: 'Drawing' }, vehicle: now, racks: [] })).survey
  const { body } = now

  // What the sheet was when a field was left last: what hangs on that field goes with it.
  const [followed, setFollowed] = useState(start)
  // What was added since is followed from how it began.
  const added = (read.value?.obstacles ?? []).filter(
    ({ id }) => !followed.obstacles.some((each) => each.id === id),
  )
  if (added.length > 0) setFollowed({ ...followed, obstacles: [...followed.obstacles, ...added] })
  const follow = () => {
    if (!read.value) return
    const next = startsOnRoof(panelsOnHinges(read.value, followed))
    setFollowed(next)
    if (next !== read.value) sheet.take(next)
  }

  const save = sheet.form.handleSubmit(async () => {
    const saving = sheet.toSave()
    if (!saving.ok) {
      setProblem(saving.problem)
      return
    }
    if (job !== undefined) {
      if (!planStore.getState().run({ do: 'setVehicle', vehicle: saving.value })) {
        setProblem(planStore.getState().refusal ?? 'This cannot be taken.')
        return
      }
      await planStore.getState().saveNow()
      sheet.forget()
      router.push(to('load', { job }))
      return
    }
    const saved = await saveInStock('vehicles', saving.value, was)
    if (!saved.ok) {
      setProblem(saved.reason)
      return
    }
    sheet.forget()
    await reloadOwn()
    router.push(to('start', { vehicle: id }))
  })

  return (
    <SheetForm
      {...sheet}
      bar={
        <SheetBar
          screen="vehicle"
          about={was ? was.name : 'Your own vehicle'}
          job={plan}
          at="vehicle"
          back={to('start')}
        />
      }
      field={VEHICLE_FIELD}
      system={system}
      drawing={<StillSheet survey={drawn} label={`${now.name}, drawn from what is typed`} />}
      problem={problem}
      onSave={() => void save()}
      onLeave={follow}
      paste={
        <PasteSheet
          sheetOf="vehicle"
          job={job}
          place={(_, reading) => {
            const asks = vehicleAsks(reading)
            return asks && { group: 'vehicle', asks }
          }}
          onTake={({ takenFor, all, from }) => sheet.take(vehicleWith(now, takenFor('vehicle'), all, from))}
        />
      }
      chosen={{
        body: (chosen) => {
          const next = kindsOf(BODIES).find((each) => each === chosen)
          if (next) sheet.restart(was ? rebodied(was, next) : startingVehicle(next, id))
        },
      }}
      starts={{
        attachments: (each, kind) =>
          startsWithinRoof(startingAttachment(kind as AttachmentKind, body, each), now.roof),
        obstacles: (each, kind) => startingObstacle(kind as ObstacleKind, body, each),
      }}
      actions={
        <Button type="submit" variant="solid">
          {job === undefined ? 'Save this vehicle' : 'Save and go back to Load'}
        </Button>
      }
    >
      {!was && (
        <Note>
          Lengths start at the average of the body type and are marked so. Measure and replace them.
        </Note>
      )}
    </SheetForm>
  )
}
