'use client'
import {
  ATTACHMENTS,
  BODIES,
  type Body,
  choicesOf,
  loadsRoof,
  newPlan,
  survey,
  type UnitSystem,
  type Vehicle,
} from '@/core'
import { to } from '@/ui/routes'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { useFieldArray } from 'react-hook-form'
import { keepInStock } from '@/storage/own-stock'
import { StillSheet } from '@/ui/drawing/still-sheet'
import { usePlan } from '@/ui/state/plan-store'
import { useSettings } from '@/ui/state/settings-store'
import { AddOne } from './add-one'
import { FormChoice, FormFigures, FormText } from './form-fields'
import { BalanceFields } from './balance-fields'
import { FormFrame } from './form-frame'
import { useDraftForm } from './use-draft-form'
import {
  ATTACHMENT_CHOICES,
  liftAttachments,
  startingAttachment,
  type AttachmentDraft,
} from './attachment-draft'
import { OBSTACLE_CHOICES, startingObstacle } from './obstacle-draft'
import { ObstacleFields } from './obstacle-fields'
import { readVehicle, startingVehicleDraft, vehicleToDraft } from './vehicle-draft'

const BODY_CHOICES = choicesOf(BODIES, ({ label }) => label)

function AttachmentFields({ at, draft, remove }: { at: string; draft: AttachmentDraft; remove: () => void }) {
  const { kind } = draft
  const { feet, asks } = ATTACHMENTS[kind]
  const gauge =
    feet === 'along' || asks.some(({ overBed }) => overBed)
      ? 'Left rail to right rail'
      : 'Left point to right point'
  return (
    <fieldset className="border-edge space-y-2 border p-2">
      <legend className="px-1 font-semibold">
        {ATTACHMENT_CHOICES.find(([each]) => each === kind)?.[1]}
      </legend>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        <FormText name={`${at}.name`} label="Name" />
        {feet === 'along' && (
          <>
            <FormText
              name={`${at}.from`}
              label="Feet may go from"
              hint="Behind the windscreen's upper edge"
            />
            <FormText name={`${at}.to`} label="to" />
            <FormText
              name={`${at}.notches`}
              label="Only in notches at"
              hint="Empty: anywhere. Several: 300; 600"
            />
          </>
        )}
        {(feet === 'points' || feet === 'doors') && (
          <FormText name={`${at}.points`} label="Points at" hint="Semicolons between: 310; 1030" />
        )}
        {feet === 'seam' && (
          <FormText name={`${at}.from`} label="Seam at" hint="Behind the windscreen's upper edge" />
        )}
        {feet !== 'seam' && <FormText name={`${at}.gauge`} label={gauge} />}
        {asks.map(({ key, label, hint }) => (
          <FormText
            key={key}
            name={`${at}.more.${key}`}
            label={label}
            {...(hint !== undefined && { hint })}
          />
        ))}
        {loadsRoof(kind) && (
          <FormChoice
            name={`${at}.ratedBy`}
            label="Its figure"
            options={[
              ['roof', 'The manual rates it with the roof'],
              ['own', 'It has figures of its own'],
            ]}
          />
        )}
      </div>
      {draft.ratedBy === 'own' && <FormFigures name={`${at}.figures`} title="What it may carry" />}
      <button type="button" className="plain" onClick={remove}>
        Remove this
      </button>
    </fieldset>
  )
}

/** A vehicle of one's own: dimensions, what holds a rack, and what the roof may carry. */
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
  const start = useMemo(
    () => (was ? vehicleToDraft(was, system) : startingVehicleDraft('estate', system)),
    [was, system],
  )
  const { form, read, draft, forget } = useDraftForm(
    `vehicle/${was?.id ?? 'new'}`,
    start,
    (each) => readVehicle(each, system, id, was),
    liftAttachments,
  )
  const { fields, append, remove } = useFieldArray({
    control: form.control,
    name: 'attachments',
    keyName: 'key',
  })
  const obstacles = useFieldArray({ control: form.control, name: 'obstacles', keyName: 'key' })
  const [problem, setProblem] = useState<string>()
  const drawn = useMemo(
    () => survey(newPlan({ id: 'drawing', job: { name: 'Drawing' }, vehicle: read.value, racks: [] })),
    [read.value],
  )

  const save = form.handleSubmit(async () => {
    const vehicle = readVehicle(form.getValues(), system, id, was).value
    if (job !== undefined) {
      if (!usePlan.getState().run({ do: 'setVehicle', vehicle })) {
        setProblem(usePlan.getState().refusal ?? 'This cannot be taken.')
        return
      }
      await usePlan.getState().saveNow()
      forget()
      router.push(to('bench', { job: job }))
      return
    }
    const kept = await keepInStock('vehicles', vehicle)
    if (!kept.ok) {
      setProblem(kept.reason)
      return
    }
    forget()
    await reloadOwn()
    router.push(to('start', { vehicle: vehicle.id }))
  })

  const restart = (body: string) => {
    const chosen = BODY_CHOICES.find(([each]) => each === body)
    if (!chosen) return
    const fresh = startingVehicleDraft(chosen[0], system)
    const now = form.getValues()
    form.reset(
      {
        ...fresh,
        name: now.name,
        yearFrom: now.yearFrom,
        doors: now.doors,
        trim: now.trim,
        has: now.has,
        hasNot: now.hasNot,
        kerb: now.kerb,
        gross: now.gross,
        balance: now.balance,
        figures: now.figures,
      },
      { keepDefaultValues: true },
    )
  }

  return (
    <FormFrame
      title={was ? `Vehicle: ${was.name}` : 'Your own vehicle'}
      form={form}
      back={
        job === undefined
          ? { href: to('start'), words: 'Back' }
          : { href: to('bench', { job: job }), words: 'Back to the bench' }
      }
      drawing={<StillSheet survey={drawn} label={`${read.value.name}, drawn from what is typed`} />}
      problem={problem}
      problems={Object.keys(read.problems).length}
      onSave={() => void save()}
      actions={
        <button type="submit" className="plain solid">
          {job === undefined ? 'Save this vehicle' : 'Save and go back to the bench'}
        </button>
      }
    >
      <section className="grid grid-cols-2 gap-2 sm:grid-cols-3" aria-label="Vehicle">
        <FormText name="name" label="Name" hint="By body and plate, say" />
        <FormChoice name="body" label="Body" options={BODY_CHOICES} onChosen={restart} />
        <p className="field-note self-end pb-2">
          Lengths start at the average of the body type. Measure and replace them.
        </p>
        <FormText name="length" label="Overall length" />
        <FormText name="width" label="Body width, no mirrors" />
        <FormText name="height" label="Height, unladen" />
        <FormText name="wheelbase" label="Wheelbase" />
        <FormText name="frontOverhang" label="Front overhang" hint="Nose to front axle" />
        <FormText name="noseToScreen" label="Nose to windscreen's upper edge" />
        <FormText name="wheelRadius" label="Wheel radius" />
        <FormText name="yearFrom" label="Built from" hint="The year on its plate" />
        <FormText name="doors" label="Doors" hint="Kits ask for them" />
        <FormText name="trim" label="Trim" hint="A lower one may lack the points" />
        <FormText name="has" label="It has" hint="What kits ask for: another bumper; …" />
        <FormText name="hasNot" label="It has not" hint="Semicolons between" />
        <FormText name="kerb" label="Kerb mass" hint="Empty when not known" />
        <FormText name="gross" label="Gross mass" hint="Empty when not known" />
      </section>
      <section aria-labelledby="roof-title" className="space-y-2">
        <h2 id="roof-title">Roof</h2>
        <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
          <FormText name="roofTo" label="Roof ends at" hint="Behind the windscreen's upper edge" />
          <FormText name="roofFront" label="Roof width, front" />
          <FormText name="roofRear" label="Roof width, rear" />
          <FormText name="crown" label="Crown" hint="Middle over edge" />
        </div>
        <FormFigures name="figures" title="What the roof may carry" />
      </section>
      <BalanceFields draft={draft.balance} />
      <section aria-labelledby="holds-title" className="space-y-3">
        <h2 id="holds-title">What holds a rack</h2>
        <p className="field-note">
          Rails run along the vehicle and belong to it; bars run across and belong to the rack.
        </p>
        {fields.map((field, i) => (
          <AttachmentFields
            key={field.key}
            at={`attachments.${i}`}
            draft={draft.attachments[i] ?? field}
            remove={() => {
              remove(i)
            }}
          />
        ))}
        <AddOne
          label="Something else that holds a rack"
          button="Add it"
          choices={ATTACHMENT_CHOICES}
          start="raisedRail"
          onAdd={(kind) => {
            append(
              startingAttachment(
                kind,
                draft.body satisfies Body,
                `attachment-${crypto.randomUUID().slice(0, 6)}`,
                system,
              ),
            )
          }}
        />
      </section>
      <section aria-labelledby="meets-title" className="space-y-3">
        <h2 id="meets-title">What the load may meet</h2>
        {obstacles.fields.map((field, i) => (
          <ObstacleFields
            key={field.key}
            at={`obstacles.${i}`}
            draft={draft.obstacles[i] ?? field}
            remove={() => {
              obstacles.remove(i)
            }}
          />
        ))}
        <AddOne
          label="Something the load may meet"
          button="Describe it"
          choices={OBSTACLE_CHOICES}
          start="hatch"
          onAdd={(kind) => {
            obstacles.append(
              startingObstacle(kind, draft.body, `obstacle-${crypto.randomUUID().slice(0, 6)}`, system),
            )
          }}
        />
      </section>
    </FormFrame>
  )
}
