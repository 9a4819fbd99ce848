'use client'
import { to } from '@/ui/routes'
import { choicesOf, type Gear, GEAR_KINDS, kindsOf, type UnitSystem, WHENS } from '@/core'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { keepInStock } from '@/storage/own-stock'
import { assessedOf } from '@/ui/state/assessed'
import { BASIS_CHOICES } from '@/ui/forms/load-field'
import { usePlan } from '@/ui/state/plan-store'
import { putOn } from '@/ui/forms/put-on'
import { GearDrawing } from '@/ui/drawing/gear-drawing'
import { useSettings } from '@/ui/state/settings-store'
import { FormChoice, FormFigures, FormText, FormTick } from './form-fields'
import { FormFrame } from './form-frame'
import { GateFields } from './gate-fields'
import { MountFields } from './mount-fields'
import { gearToDraft, readGear, startingGearDraft } from './gear-draft'
import { useDraftForm } from './use-draft-form'

const KIND_CHOICES = choicesOf(GEAR_KINDS, ({ many }) => many)

/** A piece of gear of one's own: its size and weight, and what it carries when it is a carrier. */
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
  const start = useMemo(
    () => (was ? gearToDraft(was, system) : startingGearDraft('box', system)),
    [was, system],
  )
  const { form, read, draft, forget } = useDraftForm(`gear/${was?.id ?? 'new'}`, start, (each) =>
    readGear(each, system, id, was),
  )
  const [problem, setProblem] = useState<string>()
  const plan = usePlan((store) => store.plan)
  const here = job !== undefined && plan?.id === job ? plan : undefined
  const placed = here !== undefined && was !== undefined && here.gear.some((gear) => gear.id === was.id)
  const inStock = useSettings((store) => store.own.gear.some((gear) => gear.id === id))

  const save = (thenPutOn: boolean) =>
    form.handleSubmit(async () => {
      const gear = readGear(form.getValues(), system, id, was).value
      if (placed) {
        if (!usePlan.getState().run({ do: 'setGear', gear })) {
          setProblem(usePlan.getState().refusal ?? 'This cannot be taken.')
          return
        }
        await usePlan.getState().saveNow()
      }
      if (!placed || inStock) {
        const kept = await keepInStock('gear', gear)
        if (!kept.ok) {
          setProblem(kept.reason)
          return
        }
        await reloadOwn()
      }
      forget()
      const { survey } = here ? assessedOf(here) : { survey: undefined }
      const rackId = survey?.racks[0]?.rack.id
      if (thenPutOn && survey && rackId !== undefined) {
        putOn(survey, gear, rackId)
        await usePlan.getState().saveNow()
      }
      router.push(job === undefined ? to('jobs') : to('bench', { job: job }))
    })

  const restart = (kind: string) => {
    const chosen = kindsOf(GEAR_KINDS).find((each) => each === kind)
    if (!chosen) return
    const now = form.getValues()
    form.reset(
      { ...startingGearDraft(chosen, system), name: now.name, mass: now.mass, basis: now.basis },
      { keepDefaultValues: true },
    )
  }

  return (
    <FormFrame
      title={was ? `Gear: ${was.name}` : 'Your own gear'}
      form={form}
      back={
        job === undefined
          ? { href: '/', words: 'All jobs' }
          : { href: to('bench', { job: job }), words: 'Back to the bench' }
      }
      drawing={<GearDrawing gear={read.value} />}
      problem={problem}
      problems={Object.keys(read.problems).length}
      onSave={() => void save(here !== undefined && !placed)()}
      actions={
        placed ? (
          <button type="submit" className="plain solid">
            Save and go back to the bench
          </button>
        ) : (
          <>
            {here && (
              <button type="submit" className="plain solid">
                Save and put it on
              </button>
            )}
            <button
              type={here ? 'button' : 'submit'}
              className={here ? 'plain' : 'plain solid'}
              {...(here ? { onClick: () => void save(false)() } : {})}
            >
              Save to the shelf
            </button>
          </>
        )
      }
    >
      <section className="grid grid-cols-2 gap-2 sm:grid-cols-3" aria-label="Gear">
        <FormText name="name" label="Name" />
        <FormChoice name="kind" label="Kind" options={KIND_CHOICES} onChosen={restart} />
        <p className="field-note self-end pb-2">
          Sizes start at what such a thing usually is. Measure and replace them.
        </p>
        <FormText name="length" label="Length, along the vehicle" />
        <FormText name="width" label="Width, across it" />
        <FormText name="height" label="Height" />
        <FormText name="stand" label="Stands over the bar by" hint="What its mounts lift it" />
        <FormText name="mass" label="Its own weight" />
        <FormChoice name="basis" label="Weight known by" options={BASIS_CHOICES} />
        <FormText name="wet" label="More when wet" hint="Empty when none" />
        <FormText name="maxSpeed" label="Its own top speed" hint="Empty when none" />
        <FormChoice
          name="turns"
          label="May lie"
          options={[
            ['all', 'along or across'],
            ['ends', 'along, either way round'],
            ['none', 'only as it is'],
          ]}
        />
        <FormChoice name="when" label="On board" options={choicesOf(WHENS, ({ word }) => word)} />
        <FormTick name="onEdge" label="May stand on edge" />
        <FormTick name="carries" label="It carries something" />
      </section>
      <MountFields draft={draft.fit} />
      {draft.kind === 'tent' && (
        <section className="grid grid-cols-2 gap-2 sm:grid-cols-3" aria-label="How it opens">
          <FormChoice
            name="opens.toward"
            label="Opens to the"
            options={[
              ['left', 'left'],
              ['right', 'right'],
              ['front', 'front'],
              ['rear', 'rear'],
            ]}
          />
          <FormText name="opens.reach" label="Reaches past its closed box by" hint="Empty when not known" />
          <FormText name="opens.floor" label="Open floor over its underside" />
          <FormText name="opens.ladderFrom" label="Ladder spans from" hint="Floor to ground" />
          <FormText name="opens.ladderTo" label="Ladder spans to" />
          <FormText name="opens.ladderOut" label="Ladder stands out by" />
          <FormText name="opens.coverGap" label="Room to reach its cover" hint="Empty when none" />
        </section>
      )}
      <GateFields />
      {draft.carries && <FormFigures name="figures" title="What may be in it or on it" />}
    </FormFrame>
  )
}
