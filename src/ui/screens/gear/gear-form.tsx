'use client'
import { replaceableOfGear } from '@/core/api/fit'
import { Note } from '@/ui/kit/field-note'
import { Button } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import {
  type Gear,
  GEAR_KINDS,
  gearSchema,
  kindsOf,
  roomOn,
  startingGear,
  type UnitSystem,
} from '@/core/api/plan'
import { GEAR_FIELD } from '@/core/api/fields'
import { gearAsks, gearWith } from '@/core/api/files'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { saveInStock } from '@/storage/own-stock'
import { assessmentOf } from '@/ui/state/assessment'
import { usePlan, planStore } from '@/ui/state/plan-store'
import { SheetBar } from '@/ui/job/sheet-bar'
import { putOn, rackFor } from '@/ui/forms/put-on'
import { PasteSheet } from '@/ui/forms/paste-sheet'
import { SheetForm } from '@/ui/forms/sheet-form'
import { useSheet } from '@/ui/forms/use-sheet'
import { GearDrawing } from '@/ui/drawing/gear-drawing'
import { useSearch } from '@/ui/state/use-search'
import { useSettings } from '@/ui/state/settings-store'

/** A piece of gear of one's own: its size and weight, how it is held, and what it carries when it is a carrier. */
export function GearForm({
  was,
  job,
  system,
}: {
  was: Gear | undefined
  job: string | undefined
  system: UnitSystem
}) {
  const router = useRouter()
  const reloadOwn = useSettings((store) => store.reloadOwn)
  const [id] = useState(() => was?.id ?? `gear-${crypto.randomUUID().slice(0, 8)}`)
  // The sheet goes by which start it is, not by what is in it.
  const onRack = useSearch('rack')
  const plan = usePlan((store) => store.plan)
  const here = job !== undefined && plan?.id === job ? plan : undefined
  const rack = here?.racks.find((each) => each.id === onRack) ?? here?.racks[0]
  const [room] = useState(() => rack && roomOn(rack))
  const start = useMemo(() => was ?? startingGear('box', id, room), [was, id, room])
  const sheet = useSheet(`sheet/gear/${was?.id ?? 'new'}`, GEAR_FIELD, gearSchema, start, was, system)
  const { read } = sheet
  const [problem, setProblem] = useState<string>()
  const placed = here !== undefined && was !== undefined && here.gear.some((gear) => gear.id === was.id)
  const inStock = useSettings((store) => store.own.gear.some((gear) => gear.id === id))

  const save = (thenPutOn: boolean) =>
    sheet.form.handleSubmit(async () => {
      const saving = sheet.toSave()
      if (!saving.ok) {
        setProblem(saving.problem)
        return
      }
      const gear = saving.value
      if (placed) {
        if (!planStore.getState().run({ do: 'setGear', gear })) {
          setProblem(planStore.getState().refusal ?? 'This cannot be taken.')
          return
        }
        await planStore.getState().saveNow()
      }
      if (!placed || inStock) {
        const saved = await saveInStock('gear', gear, placed ? undefined : was)
        if (!saved.ok) {
          setProblem(saved.reason)
          return
        }
        await reloadOwn()
      }
      sheet.forget()
      const { survey } = here ? assessmentOf(here) : { survey: undefined }
      const asked = survey?.racks.find(({ rack }) => rack.id === onRack)?.rack.id
      const rackId = asked ?? (thenPutOn && survey ? rackFor(survey, gear) : undefined)
      if (thenPutOn && survey && rackId !== undefined) {
        putOn(survey, gear, rackId)
        await planStore.getState().saveNow()
      }
      router.push(job === undefined ? to('board') : to('load', { job }))
    })

  return (
    <SheetForm
      {...sheet}
      bar={
        <SheetBar
          screen="gear"
          about={was ? was.name : 'Your own gear'}
          job={here}
          at="load"
          back={to('board')}
        />
      }
      field={GEAR_FIELD}
      system={system}
      drawing={read.value && <GearDrawing gear={read.value} />}
      problem={problem}
      onSave={() => void save(here !== undefined && !placed)()}
      around={{
        gates: (read.value?.gates ?? []).map((gate) => [gate.id, gate.question] as const),
        ownSteps: read.value ? replaceableOfGear(read.value) : [],
        steps: (read.value?.work?.steps ?? []).map((step) => [step.id, step.title] as const),
      }}
      paste={
        <PasteSheet
          sheetOf="gear"
          job={job}
          place={(_, reading) => {
            const asks = read.value && gearAsks(read.value, reading)
            return asks && { group: 'gear', asks }
          }}
          onTake={({ takenFor, all, from }) => {
            if (read.value) sheet.take(gearWith(read.value, takenFor('gear'), all, from))
          }}
        />
      }
      chosen={{
        kind: (chosen) => {
          const kind = kindsOf(GEAR_KINDS).find((each) => each === chosen)
          if (kind)
            sheet.restart({ ...startingGear(kind, id, room), ...(was && { name: was.name, mass: was.mass }) })
        },
      }}
      actions={
        placed ? (
          <Button type="submit" variant="solid">
            Save and go back to Load
          </Button>
        ) : (
          <>
            {here && (
              <Button type="submit" variant="solid">
                Save and place it
              </Button>
            )}
            <Button
              type={here ? 'button' : 'submit'}
              variant={here ? 'plain' : 'solid'}
              {...(here ? { onClick: () => void save(false)() } : {})}
            >
              Save to stock
            </Button>
          </>
        )
      }
    >
      {!was && (
        <Note>
          Sizes start at what such a thing usually is
          {room && rack ? `, no wider than ${rack.name} takes` : ''}. Measure and replace them.
        </Note>
      )}
    </SheetForm>
  )
}
