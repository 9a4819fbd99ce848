'use client'
import { Button, ButtonLink } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import { PLACEMENT_FIELDS } from '@/core/api/fields'
import { choicesOf, type Host, WHENS } from '@/core/api/plan'
import { barNames, hostsFor, placeOn, type Survey, type ThingAt } from '@/core/api/assess'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import { StatusChoice } from '@/ui/forms/status-choice'
import { Choice } from '@/ui/kit/choice'
import { QuantityField } from '@/ui/figures/quantity-field'
import { setOnEdge, turnNext } from '@/ui/state/edits'
import { BarTicks } from './bar-ticks'
import { HeldByLine } from './held-by'
import { basisChoices, LoadField, typedMass } from '@/ui/forms/load-field'
import { refused, planStore } from '@/ui/state/plan-store'

// Forms are fetched when they are asked for.
const AddContents = dynamic(() => import('./add-contents').then((module) => module.AddContents), {
  ssr: false,
})
const ContentsDialog = dynamic(() => import('./contents-dialog').then((module) => module.ContentsDialog), {
  ssr: false,
})

/** The picked thing's numbers: where it stands, what it stands on, what it weighs and holds. */
export function ThingStrip({ thing, survey }: { thing: ThingAt; survey: Survey }) {
  const { run } = planStore.getState()
  const [adding, setAdding] = useState(false)
  const [more, setMore] = useState<string>()
  const opened = thing.placement.loads.find(({ id }) => id === more)
  const { placement, gear } = thing
  const { id: placementId } = placement
  // As on its sheet: what stands here already opens to the chosen side.
  const opening = survey.plan.gear.find(({ id }) => id === gear.id)?.opens
  const hosts = hostsFor(survey.plan, placementId)
  const now = hosts.findIndex(({ host }) => sameHost(host, placement.host))
  const options = hosts.map(({ name }, i) => [String(i), name] as const)
  const asItIs = barNames(survey.plan, placement.host) ?? 'as it is'
  const move = (patch: { xMm?: number; yMm?: number }, typed: Record<string, string>) =>
    refused(run({ do: 'move', placementId, xMm: placement.xMm, yMm: placement.yMm, ...patch, typed }))
  const nested = thing.parent !== undefined
  const place = (nestedLabel: string, field: 'xMm' | 'yMm', other: 'xMm' | 'yMm') => (
    <QuantityField
      className="w-26"
      label={nested ? nestedLabel : PLACEMENT_FIELDS[field].label}
      dimension="length"
      value={placement[field]}
      typed={placement.typed?.[field]}
      onValue={(mm, typed) => move({ [field]: mm }, { [field]: typed, ...keep(placement.typed, other) })}
    />
  )
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-3 gap-y-1">
        <h2 className="min-w-28 self-center text-lead leading-tight">
          {gear.name}
          {thing.parent && (
            <span className="text-ink2 block text-note font-normal">in {thing.parent.gear.name}</span>
          )}
        </h2>
        {place('x in its place', 'xMm', 'yMm')}
        {place('y in its place', 'yMm', 'xMm')}
        {placement.host.on === 'panel' && (
          <QuantityField
            className="w-30"
            label="Over the bed’s side"
            dimension="length"
            value={placement.host.zMm}
            onValue={(zMm) => {
              const { host, xMm, yMm } = placement
              return host.on === 'panel'
                ? refused(run({ do: 'rehost', placementId, host: { ...host, zMm }, xMm, yMm }))
                : undefined
            }}
          />
        )}
        <Button disabled={gear.turns.length < 2} onClick={() => turnNext(thing)}>
          {PLACEMENT_FIELDS.turn.label} {placement.turn}°
        </Button>
        {gear.onEdge && (
          <Button aria-pressed={placement.onEdge} onClick={() => setOnEdge(thing)}>
            {placement.onEdge ? 'Lay flat' : PLACEMENT_FIELDS.onEdge.label}
          </Button>
        )}
        {opening && (opening.orToward ?? []).length > 0 && (
          <Choice
            className="w-28"
            label={PLACEMENT_FIELDS.opensToward.label}
            value={placement.opensToward ?? opening.toward}
            options={[...new Set([opening.toward, ...(opening.orToward ?? [])])].map(
              (side) => [side, side] as const,
            )}
            onChange={(toward) => run({ do: 'setOpening', placementId, toward })}
          />
        )}
        <Choice
          className="w-48"
          label={PLACEMENT_FIELDS.host.label}
          value={String(now)}
          options={now < 0 ? [['-1', asItIs] as const, ...options] : options}
          onChange={(index) => {
            const chosen = hosts[Number(index)]
            if (chosen)
              run({ do: 'rehost', placementId, host: chosen.host, ...placeOn(survey, thing, chosen.host) })
          }}
        />
        <BarTicks thing={thing} survey={survey} />
        <Choice
          className="w-32"
          label={PLACEMENT_FIELDS.when.label}
          value={placement.when}
          options={choicesOf(WHENS, ({ word }) => word)}
          onChange={(when) => run({ do: 'setWhen', placementId, when })}
        />
        <StatusChoice
          status={placement.status}
          onChange={(status) => run({ do: 'setStatus', of: 'placement', id: placementId, status })}
        />
        <ButtonLink href={to('gear', { job: survey.plan.id, from: gear.id })}>Its sheet</ButtonLink>
        <Button onClick={() => run({ do: 'takeOff', placementId })}>Take off</Button>
      </div>
      <div className="mt-1 flex flex-wrap items-end gap-x-3 gap-y-1">
        <div className="flex items-end gap-1">
          <QuantityField
            className="w-26"
            label="Its own weight"
            dimension="mass"
            value={gear.mass.basis === 'unknown' && gear.mass.kg === 0 ? undefined : gear.mass.kg}
            typed={gear.mass.typed?.['kg']}
            onValue={(kg, typed) =>
              refused(run({ do: 'setGearMass', gearId: gear.id, mass: typedMass(gear.mass, kg, typed) }))
            }
          />
          <Choice
            className="w-36"
            label="Own weight: known by"
            value={gear.mass.basis}
            options={basisChoices(gear.mass.basis)}
            onChange={(basis) => run({ do: 'setGearMass', gearId: gear.id, mass: { ...gear.mass, basis } })}
          />
        </div>
        {placement.loads.map((load) => (
          <LoadField key={load.id} placementId={placementId} load={load} onMore={() => setMore(load.id)} />
        ))}
        <HeldByLine thing={thing} />
        <Button onClick={() => setAdding(true)}>Add contents</Button>
      </div>
      {opened && (
        <ContentsDialog placementId={placementId} load={opened} onClose={() => setMore(undefined)} />
      )}
      {adding && <AddContents placementId={placementId} onClose={() => setAdding(false)} />}
    </>
  )
}

function keep(typed: Record<string, string> | undefined, field: string): Record<string, string> {
  const text = typed?.[field]
  return text === undefined ? {} : { [field]: text }
}

function sameHost(a: Host, b: Host): boolean {
  return JSON.stringify(a) === JSON.stringify(b)
}
