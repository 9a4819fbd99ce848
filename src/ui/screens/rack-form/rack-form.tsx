'use client'
import { Button } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import {
  barsOf,
  bayRulesOf,
  kindsOf,
  newPlan,
  type Rack,
  RACK_KINDS,
  rackSchema,
  type UnitSystem,
  type Vehicle,
} from '@/core/api/plan'
import { partFor, partWith } from '@/core/api/files'
import { RACK_FIELD } from '@/core/api/fields'
import { jobSteps, replaceable, stepChoices } from '@/core/api/fit'
import { rackKindsFor, startingRack, assess, withFitSheet } from '@/core/api/assess'
import { useRouter } from 'next/navigation'
import { useDeferredValue, useMemo, useState } from 'react'
import { saveInStock } from '@/storage/own-stock'
import { usePlan, planStore } from '@/ui/state/plan-store'
import { SheetBar } from '@/ui/job/sheet-bar'
import { StillSheet } from '@/ui/drawing/still-sheet'
import { PasteSheet } from '@/ui/forms/paste-sheet'
import { SheetForm } from '@/ui/forms/sheet-form'
import { useSheet } from '@/ui/forms/use-sheet'
import { useSettings } from '@/ui/state/settings-store'
import { useStock } from '@/ui/state/stock'

/** A new part is taken to suit the kind of attachment it was entered for, and only that. */
function suited(rack: Rack, was: Rack | undefined, vehicle: Vehicle): Rack {
  const on = vehicle.attachments.find(({ id }) => id === rack.attachmentId)
  const old = new Set(was?.parts.map(({ id }) => id))
  return {
    ...rack,
    parts: rack.parts.map((part) =>
      part.suits === undefined && on && !old.has(part.id) ? { ...part, suits: [on.kind] } : part,
    ),
  }
}

/** A rack of one's own on a vehicle: bars or deck where they stand, and every part with its own figures. */
export function RackForm({
  vehicle,
  was,
  job,
  beside,
  system,
}: {
  vehicle: Vehicle
  was: Rack | undefined
  job: string | undefined
  /** The racks that were chosen before it for a new job, by their ids. */
  beside: string | undefined
  system: UnitSystem
}) {
  const router = useRouter()
  const reloadOwn = useSettings((store) => store.reloadOwn)
  const [id] = useState(() => was?.id ?? `rack-${crypto.randomUUID().slice(0, 8)}`)
  // The sheet goes by which start it is, not by what is in it.
  const begun = useMemo(() => {
    const [first] = vehicle.attachments
    return was ?? (first && startingRack(vehicle, first, rackKindsFor(first)[0] ?? 'bars', id))
  }, [vehicle, was, id])
  const sheet = useSheet(
    `sheet/rack/${vehicle.id}/${was?.id ?? 'new'}`,
    RACK_FIELD,
    rackSchema,
    begun,
    was,
    system,
  )
  const { read } = sheet
  const now = read.value ?? begun
  const stock = useStock()
  const [problem, setProblem] = useState<string>()
  const open = usePlan((store) => store.plan)
  const plan = job !== undefined && open?.id === job ? open : undefined
  const drawn = assess(
    newPlan({ id: 'drawing', job: { name: 'Drawing' }, vehicle, racks: now ? [now] : [] }),
  ).survey
  // The steps follow a moment later: a stroke never waits for them.
  const settled = useDeferredValue(drawn)
  const ownSteps = jobSteps(settled, bayRulesOf(settled.plan.rules))
  const attachment = vehicle.attachments.find((each) => each.id === now?.attachmentId)

  const profile = now && barsOf(now)[0]?.profile.kind
  // What the bars stood like by the fit sheet as it was: what still stands so goes with it.
  const [followed, setFollowed] = useState(begun)
  const followFitSheet = () => {
    if (!now) return
    const next = withFitSheet(now, followed ?? now)
    setFollowed(next)
    if (next !== now) sheet.take(next)
  }

  const restart = (attachmentId: string, kind: string) => {
    const on = vehicle.attachments.find((each) => each.id === attachmentId)
    if (!on) return
    const kinds = rackKindsFor(on)
    const chosen = kinds.find((each) => each === kind) ?? kinds[0]
    if (chosen) sheet.restart({ ...startingRack(vehicle, on, chosen, id), ...(was && { name: was.name }) })
  }

  const save = sheet.form.handleSubmit(async () => {
    const saving = sheet.toSave()
    if (!saving.ok) {
      setProblem(saving.problem)
      return
    }
    const rack = suited(saving.value, was, vehicle)
    if (job !== undefined) {
      const { run, saveNow } = planStore.getState()
      if (!run(was ? { do: 'setRack', rack } : { do: 'addRack', rack })) {
        setProblem(planStore.getState().refusal ?? 'This cannot be taken.')
        return
      }
      await saveNow()
    }
    if (!was) {
      const saved = await saveInStock('racks', rack)
      if (!saved.ok) {
        setProblem(saved.reason)
        return
      }
      await reloadOwn()
    }
    sheet.forget()
    const racks = [...(beside === undefined ? [] : [beside]), rack.id].join(',')
    router.push(job === undefined ? to('start', { vehicle: vehicle.id, rack: racks }) : to('load', { job }))
  })

  return (
    <SheetForm
      {...sheet}
      bar={
        <SheetBar
          screen="rackForm"
          about={was ? `Rack: ${was.name}` : `Your own rack on ${vehicle.name}`}
          job={plan}
          at="racks"
          back={to('start', { vehicle: vehicle.id, ...(beside !== undefined && { rack: beside }) })}
        />
      }
      field={RACK_FIELD}
      system={system}
      drawing={
        <StillSheet
          survey={drawn}
          label={`${now?.name ?? 'A rack'} on ${vehicle.name}, drawn from what is typed`}
        />
      }
      problem={problem}
      onSave={() => void save()}
      onLeave={(path) => {
        if (path.startsWith('fitSheet.')) followFitSheet()
      }}
      starts={{ 'fitSheet.rows': () => ({ profile: profile ?? 'aero' }) }}
      around={{
        attachments: vehicle.attachments.map((each) => [each.id, each.name] as const),
        gates: (now?.gates ?? []).map((gate) => [gate.id, gate.question] as const),
        steps: now ? stepChoices(now, ownSteps.ok ? ownSteps.steps : []) : [],
        ownSteps: now ? replaceable(now, ownSteps.ok ? ownSteps.steps : []) : [],
      }}
      standsOn={attachment?.kind}
      stock={{ parts: stock.parts, bars: stock.bars }}
      only={{
        kind: attachment ? rackKindsFor(attachment) : kindsOf(RACK_KINDS),
        attachmentId: vehicle.attachments.map((each) => each.id),
      }}
      paste={
        <PasteSheet
          sheetOf="rack"
          job={job}
          place={(chosen, reading) => {
            const found = partFor(now?.parts ?? [], chosen, reading)
            return found && { group: found.part.id, asks: found.asks }
          }}
          parts={(now?.parts ?? []).map(({ id: partId, name }) => [partId, name] as const)}
          onTake={({ takenFor, all, from }) => {
            if (!now) return
            sheet.take({
              ...now,
              parts: now.parts.map((part) => partWith(part, takenFor(part.id), all, from)),
            })
          }}
        />
      }
      chosen={{
        attachmentId: (chosen) => restart(chosen, now?.kind ?? ''),
        kind: (chosen) => restart(now?.attachmentId ?? '', chosen),
      }}
      actions={
        <Button type="submit" variant="solid">
          {job === undefined ? 'Save this rack' : 'Save and go back to Load'}
        </Button>
      }
    />
  )
}
