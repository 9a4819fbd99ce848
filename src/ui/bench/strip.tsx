'use client'
import Link from 'next/link'
import { useState } from 'react'
import type { Host } from '@/core/plan/placement'
import type { Survey } from '@/core/survey/survey'
import { STATES } from '@/core/plan/scalars'
import { STATE_WORD } from '@/core/review/finding'
import { Quantity } from '@/ui/quantity/quantity'
import { LIKED_SPREAD_MM } from '@/core/rules/hints'
import { barEnds, spreadBehind } from '@/core/survey/bar-ends'
import { hostsFor, placeOn } from '@/core/survey/room'
import type { BarAt, ThingAt } from '@/core/survey/arrangement'
import { Choice } from '@/ui/quantity/choice'
import { QuantityField } from '@/ui/quantity/quantity-field'
import { AddLoad, WHEN_CHOICES } from './add-load'
import { BASIS_CHOICES, LoadField, typedMass } from './load-field'
import { setOnEdge, turnOn } from './edits'
import { usePlan, type Picked } from './plan-store'

const refused = (ok: boolean): string | undefined =>
  ok ? undefined : (usePlan.getState().refusal ?? 'This cannot be taken.')

function ThingStrip({ thing, survey }: { thing: ThingAt; survey: Survey }) {
  const { run } = usePlan.getState()
  const [adding, setAdding] = useState(false)
  const { placement, gear } = thing
  const { id: placementId } = placement
  const hosts = hostsFor(survey.plan, placementId)
  const now = hosts.findIndex(({ host }) => sameHost(host, placement.host))
  const options = hosts.map(({ name }, i) => [String(i), name] as const)
  const move = (patch: { xMm?: number; yMm?: number }, typed: Record<string, string>) =>
    refused(run({ do: 'move', placementId, xMm: placement.xMm, yMm: placement.yMm, ...patch, typed }))
  const nested = thing.parent !== undefined
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-3 gap-y-1">
        <h2 className="min-w-28 self-center text-[16px] leading-tight">
          {gear.name}
          {thing.parent && (
            <span className="text-ink2 block text-[12px] font-normal">
              in {thing.parent.gear.name.toLowerCase()}
            </span>
          )}
        </h2>
        <div className="w-26">
          <QuantityField
            compact
            label={nested ? 'x in its place' : 'x, middle'}
            dimension="length"
            value={placement.xMm}
            typed={placement.typed?.['xMm']}
            onValue={(xMm, typed) => move({ xMm }, { xMm: typed, ...keep(placement.typed, 'yMm') })}
          />
        </div>
        <div className="w-26">
          <QuantityField
            compact
            label={nested ? 'y in its place' : 'y, right +'}
            dimension="length"
            value={placement.yMm}
            typed={placement.typed?.['yMm']}
            onValue={(yMm, typed) => move({ yMm }, { yMm: typed, ...keep(placement.typed, 'xMm') })}
          />
        </div>
        <button
          type="button"
          className="plain"
          disabled={gear.turns.length < 2}
          onClick={() => {
            turnOn(thing)
          }}
        >
          Turn {placement.turn}°
        </button>
        {gear.onEdge && (
          <button
            type="button"
            className="plain"
            aria-pressed={placement.onEdge}
            onClick={() => {
              setOnEdge(thing)
            }}
          >
            {placement.onEdge ? 'Lay flat' : 'On edge'}
          </button>
        )}
        <div className="w-48">
          <Choice
            label="Stands on"
            value={String(now)}
            options={now < 0 ? [['-1', 'as it is'] as const, ...options] : options}
            onChange={(index) => {
              const chosen = hosts[Number(index)]
              if (chosen)
                run({ do: 'rehost', placementId, host: chosen.host, ...placeOn(survey, thing, chosen.host) })
            }}
          />
        </div>
        <div className="w-32">
          <Choice
            label="On board"
            value={placement.when}
            options={WHEN_CHOICES}
            onChange={(when) => run({ do: 'setWhen', placementId, when })}
          />
        </div>
        <Link className="plain" href={`/gear?job=${survey.plan.id}&from=${gear.id}`}>
          Its sheet
        </Link>
        <button type="button" className="plain" onClick={() => run({ do: 'takeOff', placementId })}>
          Take off
        </button>
      </div>
      <div className="mt-1 flex flex-wrap items-end gap-x-3 gap-y-1">
        <div className="flex items-end gap-1">
          <div className="w-26">
            <QuantityField
              compact
              label="Its own weight"
              dimension="mass"
              value={gear.mass.kg}
              typed={gear.mass.typed?.['kg']}
              onValue={(kg, typed) =>
                refused(run({ do: 'setGearMass', gearId: gear.id, mass: typedMass(gear.mass, kg, typed) }))
              }
            />
          </div>
          <div className="w-36">
            <Choice
              label="Own weight: known by"
              value={gear.mass.basis}
              options={BASIS_CHOICES}
              onChange={(basis) => run({ do: 'setGearMass', gearId: gear.id, mass: { ...gear.mass, basis } })}
            />
          </div>
        </div>
        {placement.loads.map((load) => (
          <LoadField key={load.id} placementId={placementId} load={load} />
        ))}
        <button
          type="button"
          className="plain"
          onClick={() => {
            setAdding(true)
          }}
        >
          Add a load
        </button>
      </div>
      {adding && (
        <AddLoad
          placementId={placementId}
          onClose={() => {
            setAdding(false)
          }}
        />
      )}
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

function BarStrip({ at, survey }: { at: BarAt; survey: Survey }) {
  const { run } = usePlan.getState()
  const { bar, rack } = at
  const ends = barEnds(bar)
  const spread = spreadBehind(survey, bar.id)
  const set = (patch: Partial<typeof bar>, field: keyof typeof bar, typed: string) =>
    refused(run({ do: 'setBar', bar: { ...bar, ...patch, typed: { ...bar.typed, [field]: typed } } }))
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-3 gap-y-1">
        <h2 className="min-w-28 self-center text-[16px] leading-tight">
          {bar.name}
          <span className="text-ink2 block text-[12px] font-normal">{rack.name}</span>
        </h2>
        <div className="w-30">
          <QuantityField
            compact
            label="x, middle of bar"
            dimension="length"
            value={bar.xMm}
            typed={bar.typed?.['xMm']}
            onValue={(xMm, typed) =>
              refused(run({ do: 'moveBar', barId: bar.id, xMm, typed: { xMm: typed } }))
            }
          />
        </div>
        <div className="w-30">
          <QuantityField
            compact
            label="Length overall"
            dimension="length"
            value={bar.lengthMm}
            typed={bar.typed?.['lengthMm']}
            onValue={(lengthMm, typed) =>
              set({ lengthMm, usableMm: Math.min(bar.usableMm, lengthMm) }, 'lengthMm', typed)
            }
          />
        </div>
        <div className="w-30">
          <QuantityField
            compact
            label="Usable width"
            dimension="length"
            value={bar.usableMm}
            typed={bar.typed?.['usableMm']}
            onValue={(usableMm, typed) => set({ usableMm }, 'usableMm', typed)}
          />
        </div>
        <div className="w-30">
          <QuantityField
            compact
            label="Room under it"
            dimension="length"
            value={bar.riseMm}
            typed={bar.typed?.['riseMm']}
            onValue={(riseMm, typed) => set({ riseMm }, 'riseMm', typed)}
          />
        </div>
      </div>
      <dl className="mt-2 flex flex-wrap gap-x-8 gap-y-2">
        <div>
          <dt className="field-label">Past the outer feet, from their centres</dt>
          <dd>
            left <Quantity dimension="length" value={ends.leftMm} />, right{' '}
            <Quantity dimension="length" value={ends.rightMm} />
          </dd>
        </div>
        {spread !== undefined && (
          <div>
            <dt className="field-label">Spread to the next bar, centre to centre</dt>
            <dd>
              <Quantity dimension="length" value={spread} />
            </dd>
            <dd className="field-note">
              most gear likes <Quantity dimension="length" value={LIKED_SPREAD_MM.from} /> to{' '}
              <Quantity dimension="length" value={LIKED_SPREAD_MM.to} />: a hint, no rule
            </dd>
          </div>
        )}
      </dl>
    </>
  )
}

/** What is worth knowing while nothing is picked: how high it all stands, and how much there is of it. */
function NothingPicked({ survey }: { survey: Survey }) {
  const { heights } = survey
  const top = heights.road.topMm >= heights.trail.topMm ? heights.road : heights.trail
  return (
    <>
      <p className="text-ink2 py-1">
        Pick a thing or a bar in the drawing: drag it, nudge it with the arrow keys, or type its numbers here.
      </p>
      <dl className="mt-2 flex flex-wrap gap-x-8 gap-y-2">
        <div>
          <dt className="field-label">Height label for the dash</dt>
          <dd className="height-label">
            <Quantity dimension="length" value={Math.ceil(top.topMm)} />
          </dd>
          <dd className="field-note">driving; {top.name.toLowerCase()} is highest</dd>
        </div>
        {survey.racks.map(({ rack, index }) => (
          <div key={rack.id}>
            <dt className="field-label">{rack.name}</dt>
            <dd>
              {STATES.map((state) => (
                <span key={state} className="mr-3">
                  {STATE_WORD[state]} <Quantity dimension="mass" value={survey.onRackKg(index, state)} />
                </span>
              ))}
            </dd>
            <dd className="field-note">stands on it, carriers and contents</dd>
          </div>
        ))}
      </dl>
    </>
  )
}

/** The one place where the picked thing's numbers are typed. */
export function Strip({ survey, picked }: { survey: Survey; picked: Picked | undefined }) {
  const refusal = usePlan((store) => store.refusal)
  const thing = picked?.kind === 'thing' ? survey.thingById.get(picked.id) : undefined
  const bar = picked?.kind === 'bar' ? survey.bars.find((at) => at.bar.id === picked.id) : undefined
  return (
    <section aria-label="The picked thing" className="strip">
      {refusal !== undefined && (
        <p role="alert" className="text-stopline mb-1 font-semibold">
          {refusal}
        </p>
      )}
      {thing ? (
        <ThingStrip key={thing.placement.id} thing={thing} survey={survey} />
      ) : bar ? (
        <BarStrip key={bar.bar.id} at={bar} survey={survey} />
      ) : (
        <NothingPicked survey={survey} />
      )}
    </section>
  )
}
