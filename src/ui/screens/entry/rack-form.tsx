'use client'
import { to } from '@/ui/routes'
import { newPlan, type Rack, RACK_KINDS, rackKindsFor, survey, type UnitSystem, type Vehicle } from '@/core'

import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { useFieldArray } from 'react-hook-form'
import { keepInStock } from '@/storage/own-stock'
import { usePlan } from '@/ui/state/plan-store'
import { StillSheet } from '@/ui/drawing/still-sheet'
import { useSettings } from '@/ui/state/settings-store'
import { FormChoice, FormFigures, FormText } from './form-fields'
import { FormFrame } from './form-frame'
import { MATERIAL_CHOICES } from './section-draft'
import { GateFields } from './gate-fields'
import {
  nextBar,
  rackToDraft,
  readRack,
  ROLE_CHOICES,
  startingPart,
  startingRackDraft,
  type PartDraft,
  type RackDraft,
} from './rack-draft'
import { JointFields } from './joint-fields'
import { useDraftForm } from './use-draft-form'

const PROFILES = [
  ['aero', 'Aero (wing)'],
  ['square', 'Square'],
  ['round', 'Round'],
  ['flat', 'Flat, heavy-duty'],
  ['factory', 'Factory'],
] as const

function PartFields({ at, draft, remove }: { at: string; draft: PartDraft; remove: () => void }) {
  return (
    <fieldset className="border-edge space-y-2 border p-2">
      <legend className="px-1 font-semibold">{draft.name === '' ? 'Part' : draft.name}</legend>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        <FormChoice name={`${at}.role`} label="What it is" options={ROLE_CHOICES} />
        <FormText name={`${at}.name`} label="Name" />
        <FormText name={`${at}.count`} label="How many" />
        <FormText name={`${at}.each`} label="Weight of each" />
        <FormText name={`${at}.price`} label="Price of all" />
        <FormChoice
          name={`${at}.ratedBy`}
          label="Its figure"
          options={[
            ['own', 'It has figures of its own'],
            ['with', 'Its sheet rates it with another part'],
          ]}
        />
      </div>
      {draft.ratedBy === 'with' && (
        <FormText
          name={`${at}.ratedWith`}
          label="Rated with"
          hint="By its name here: the feet, the bars, the roof. It must end at a part with figures."
        />
      )}
      {draft.ratedBy === 'own' && (
        <FormFigures
          name={`${at}.figures`}
          title={`What ${draft.name === '' ? 'it' : draft.name.toLowerCase()} may carry`}
        />
      )}
      <JointFields at={`${at}.joint`} of={draft.name} />
      <button type="button" className="plain" onClick={remove}>
        Remove this part
      </button>
    </fieldset>
  )
}

function BarFields({
  count,
  drafts,
  remove,
}: {
  count: number
  drafts: readonly { key: string }[]
  remove: (i: number) => void
}) {
  return (
    <ul className="space-y-2">
      {drafts.map((bar, i) => (
        <li key={bar.key} className="border-edge border p-2">
          <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
            <FormText name={`bars.${i}.x`} label={`Bar ${i + 1}: behind the windscreen's edge`} />
            <FormText name={`bars.${i}.length`} label="Length overall" />
            <FormText name={`bars.${i}.usable`} label="Usable width" />
            <FormText name={`bars.${i}.feet`} label="Foot to foot" />
            <FormText name={`bars.${i}.rise`} label="Room under it" />
            {count > 1 && (
              <button
                type="button"
                className="plain self-end"
                onClick={() => {
                  remove(i)
                }}
              >
                Remove bar {i + 1}
              </button>
            )}
          </div>
        </li>
      ))}
    </ul>
  )
}

function KindFields({ draft }: { draft: RackDraft }) {
  if (draft.kind === 'ladder')
    return (
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        <FormText name="ladderTop" label="Top over the ground" />
        <FormText name="ladderBottom" label="Foot over the ground" />
        <FormText name="ladderX" label="Behind the windscreen's edge" />
        <FormText name="ladderY" label="Right of the centreline" hint="Left is negative" />
      </div>
    )
  if (draft.kind === 'platform')
    return (
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        <FormText name="deckLength" label="Deck length" />
        <FormText name="deckWidth" label="Deck width" />
        <FormText name="deckHeight" label="Deck thickness" />
        <FormText name="deckX" label="Deck's middle at" />
      </div>
    )
  return draft.kind === 'bed' ? (
    <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
      <FormText name="sideHeight" label="Height of the sides" />
    </div>
  ) : null
}

const attachmentOf = (vehicle: Vehicle, id: string) => vehicle.attachments.find((each) => each.id === id)

/** A rack of one's own on a vehicle: bars or deck where they stand, and every part with its own figures. */
export function RackForm({
  vehicle,
  was,
  job,
  system,
}: {
  vehicle: Vehicle
  was: Rack | undefined
  job: string | undefined
  system: UnitSystem
}) {
  const router = useRouter()
  const reloadOwn = useSettings((store) => store.reloadOwn)
  const [id] = useState(() => was?.id ?? `rack-${crypto.randomUUID().slice(0, 8)}`)
  const first = vehicle.attachments[0]
  const start = useMemo(() => {
    if (was) return rackToDraft(was, system)
    const attachment = first ?? { kind: 'hatchSeam' as const, id: 'none', name: 'None', ratings: [], xMm: 0 }
    return startingRackDraft(vehicle, attachment, rackKindsFor(attachment)[0] ?? 'bars', id, system)
  }, [vehicle, first, was, id, system])
  const { form, read, draft, forget } = useDraftForm(
    `rack/${vehicle.id}/${was?.id ?? 'new'}`,
    start,
    (each) => readRack(each, system, id, was, attachmentOf(vehicle, each.attachmentId)),
  )
  const bars = useFieldArray({ control: form.control, name: 'bars', keyName: 'key' })
  const parts = useFieldArray({ control: form.control, name: 'parts', keyName: 'key' })
  const [problem, setProblem] = useState<string>()
  const drawn = useMemo(
    () => survey(newPlan({ id: 'drawing', job: { name: 'Drawing' }, vehicle, racks: [read.value] })),
    [vehicle, read.value],
  )
  const attachment = attachmentOf(vehicle, draft.attachmentId)
  const kinds = attachment ? rackKindsFor(attachment) : []

  const restart = (attachmentId: string, kind?: string) => {
    const on = vehicle.attachments.find((each) => each.id === attachmentId)
    if (!on) return
    const fitting = rackKindsFor(on)
    const chosen = fitting.find((each) => each === kind) ?? fitting[0]
    if (chosen)
      form.reset(
        { ...startingRackDraft(vehicle, on, chosen, id, system), name: form.getValues('name') },
        { keepDefaultValues: true },
      )
  }

  const save = form.handleSubmit(async () => {
    const typed = form.getValues()
    const rack = readRack(typed, system, id, was, attachmentOf(vehicle, typed.attachmentId)).value
    if (job !== undefined) {
      const { run, saveNow } = usePlan.getState()
      if (!run(was ? { do: 'setRack', rack } : { do: 'addRack', rack })) {
        setProblem(usePlan.getState().refusal ?? 'This cannot be taken.')
        return
      }
      await saveNow()
    }
    if (!was) {
      const kept = await keepInStock('racks', rack)
      if (!kept.ok) {
        setProblem(kept.reason)
        return
      }
      await reloadOwn()
    }
    forget()
    router.push(
      job === undefined ? to('start', { vehicle: vehicle.id, rack: rack.id }) : to('bench', { job: job }),
    )
  })

  return (
    <FormFrame
      title={was ? `Rack: ${was.name}` : `Your own rack on ${vehicle.name}`}
      form={form}
      back={
        job === undefined
          ? { href: to('start', { vehicle: vehicle.id }), words: 'Back' }
          : { href: to('bench', { job: job }), words: 'Back to the bench' }
      }
      drawing={
        <StillSheet
          survey={drawn}
          label={`${read.value.name} on ${vehicle.name}, drawn from what is typed`}
        />
      }
      problem={problem}
      problems={Object.keys(read.problems).length}
      onSave={() => void save()}
      actions={
        <button type="submit" className="plain solid">
          {job === undefined ? 'Save this rack' : 'Save and go back to the bench'}
        </button>
      }
    >
      <section className="grid grid-cols-2 gap-2 sm:grid-cols-3" aria-label="Rack">
        <FormText name="name" label="Name" />
        <FormChoice
          name="attachmentId"
          label="Stands on"
          options={vehicle.attachments.map((each) => [each.id, each.name] as const)}
          onChosen={(value) => {
            restart(value)
          }}
        />
        <FormChoice
          name="kind"
          label="Kind"
          options={kinds.map((kind) => [kind, RACK_KINDS[kind].choice] as const)}
          onChosen={(value) => {
            restart(form.getValues('attachmentId'), value)
          }}
        />
        {draft.kind !== 'ladder' && (
          <>
            <FormChoice name="profile" label="Bar profile" options={PROFILES} />
            <FormText name="profileWidth" label="Profile width" />
            <FormText name="profileHeight" label="Profile height" />
            <FormText name="slot" label="Slot of its channel" hint="Empty when it has none" />
            <FormText name="headRoom" label="Head room in the channel" hint="For a bolt’s head or a nut" />
            <FormText name="section.wall" label="Wall of the profile" hint="Empty when not known" />
            <FormChoice
              name="section.material"
              label="Made of"
              options={
                draft.section.material === 'asGiven'
                  ? [...MATERIAL_CHOICES, ['asGiven', 'As its sheet says']]
                  : MATERIAL_CHOICES
              }
            />
            <FormText name="section.yield" label="Yield" hint="From the sheet, 160 MPa say" />
            <FormText name="footWidth" label="Foot’s width along the bar" hint="Clamps stand clear of it" />
            <FormText name="towerFront" label="Tower spacing, front" hint="From the fit sheet’s row" />
            <FormText name="towerRear" label="Tower spacing, rear" hint="Empty when there is no sheet" />
            {draft.kind === 'platform' && (
              <FormText name="slatSlot" label="Slot between the slats" hint="Empty when not measured" />
            )}
          </>
        )}
      </section>
      <KindFields draft={draft} />
      {draft.kind !== 'ladder' && (
        <section aria-labelledby="bars-title" className="space-y-2">
          <h2 id="bars-title">{draft.kind === 'platform' ? 'Cross-members on their feet' : 'Bars'}</h2>
          <BarFields count={bars.fields.length} drafts={bars.fields} remove={bars.remove} />
          <button
            type="button"
            className="plain"
            onClick={() => {
              bars.append(nextBar(draft.bars, `${id}-bar-${crypto.randomUUID().slice(0, 6)}`, system))
            }}
          >
            Add a bar
          </button>
        </section>
      )}
      <section aria-labelledby="parts-title" className="space-y-3">
        <h2 id="parts-title">Parts, each with its own figures</h2>
        {parts.fields.map((field, i) => (
          <PartFields
            key={field.key}
            at={`parts.${i}`}
            draft={draft.parts[i] ?? field}
            remove={() => {
              parts.remove(i)
            }}
          />
        ))}
        <button
          type="button"
          className="plain"
          onClick={() => {
            parts.append(startingPart(`${id}-part-${crypto.randomUUID().slice(0, 6)}`))
          }}
        >
          Add a part
        </button>
      </section>
      <GateFields />
    </FormFrame>
  )
}
