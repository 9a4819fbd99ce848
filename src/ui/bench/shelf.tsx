'use client'
import Link from 'next/link'
import { useState, type RefObject } from 'react'
import type { Gear } from '@/core/plan/gear'
import type { GearKind } from '@/core/plan/rating'
import { IN_STATE } from '@/core/review/finding'
import { firstPlace, weightRoom } from '@/core/survey/room'
import type { Survey } from '@/core/survey/survey'
import { Glyph } from '@/ui/drawing/glyph'
import { Quantity } from '@/ui/quantity/quantity'
import { useStock } from '@/ui/shell/stock'
import { usePlan } from './plan-store'

export const KIND_WORD: Readonly<Record<GearKind, string>> = {
  box: 'Boxes',
  basket: 'Baskets',
  platform: 'Platforms',
  boat: 'Boats',
  board: 'Boards',
  bike: 'Bikes',
  skis: 'Skis',
  tent: 'Tents',
  awning: 'Awnings',
  bag: 'Bags',
  can: 'Cans',
  lumber: 'Lumber',
  ladder: 'Ladders',
  tool: 'Tools',
  wheel: 'Wheels',
  person: 'People',
  carrier: 'Carriers',
  other: 'Other',
}

/** Puts a thing on a rack at its first free place, and picks it. */
export function putOn(survey: Survey, gear: Gear, rackId: string): void {
  const { run, pick } = usePlan.getState()
  const id = `${gear.id}-${crypto.randomUUID().slice(0, 8)}`
  const known = survey.plan.gear.find((each) => each.id === gear.id)
  const placement = firstPlace(survey, known ?? gear, rackId, id)
  if (placement && run({ do: 'mount', gear: known ?? gear, placement })) pick({ kind: 'thing', id })
}

function WeightMark({ survey, gear, rackId }: { survey: Survey; gear: Gear; rackId: string }) {
  const room = weightRoom(survey, gear, rackId)
  if (!room) return <span>no figure to judge its weight by</span>
  if (room.leftKg >= -1e-6)
    return (
      <span>
        leaves <Quantity dimension="mass" value={Math.max(0, room.leftKg)} /> {IN_STATE[room.state]}
      </span>
    )
  return (
    <span className="text-base-content font-semibold">
      {room.addableKg <= 1e-6 ? (
        <>no room {IN_STATE[room.state]}</>
      ) : (
        <>
          <Quantity dimension="mass" value={-room.leftKg} /> too heavy {IN_STATE[room.state]}
        </>
      )}
    </span>
  )
}

/** Gear to put on, each judged by its weight against what the rack may still take. */
export function Shelf({ survey, search }: { survey: Survey; search: RefObject<HTMLInputElement | null> }) {
  const { gear } = useStock()
  const [words, setWords] = useState('')
  const [chosen, setChosen] = useState<string>()
  const racks = survey.racks.map(({ rack }) => rack)
  const rackId = racks.some((rack) => rack.id === chosen) ? chosen : racks[0]?.id
  const wanted = words.trim().toLowerCase()
  const found = gear.filter(
    (each) =>
      wanted === '' ||
      each.name.toLowerCase().includes(wanted) ||
      KIND_WORD[each.kind].toLowerCase().includes(wanted),
  )
  const kinds = [...new Set(found.map((each) => each.kind))]
  return (
    <section aria-label="Shelf" className="flex min-h-0 flex-1 flex-col">
      <div className="space-y-2 p-3">
        <label className="block">
          <span className="field-label">Find gear</span>
          <span className="relative block">
            <input
              ref={search}
              type="search"
              className="field"
              value={words}
              onChange={(event) => {
                setWords(event.target.value)
              }}
              onKeyDown={(event) => {
                if (event.key === 'Escape') event.currentTarget.blur()
              }}
            />
            <kbd className="field-key" aria-hidden>
              /
            </kbd>
          </span>
        </label>
        {racks.length > 1 && (
          <label className="block">
            <span className="field-label">Put it on</span>
            <select
              className="field"
              value={rackId}
              onChange={(event) => {
                setChosen(event.target.value)
              }}
            >
              {racks.map((rack) => (
                <option key={rack.id} value={rack.id}>
                  {rack.name}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
      <div className="min-h-0 flex-1 overflow-y-auto pb-4" tabIndex={-1}>
        {rackId === undefined && (
          <p className="px-3">No rack yet: put one on the vehicle, then gear on the rack.</p>
        )}
        {kinds.map((kind) => (
          <div key={kind}>
            <h3 className="shelf-kind">{KIND_WORD[kind]}</h3>
            <ul>
              {found
                .filter((each) => each.kind === kind)
                .map((each) => (
                  <li key={each.id}>
                    <button
                      type="button"
                      className="shelf-item"
                      disabled={rackId === undefined}
                      onClick={() => {
                        if (rackId !== undefined) putOn(survey, each, rackId)
                      }}
                    >
                      <Glyph gear={each} />
                      <span className="min-w-0">
                        <span className="block leading-tight font-semibold">{each.name}</span>
                        <span className="text-ink2 block text-[12.5px] leading-tight">
                          <Quantity dimension="mass" value={each.mass.kg} />
                          {rackId !== undefined && (
                            <>
                              , <WeightMark survey={survey} gear={each} rackId={rackId} />
                            </>
                          )}
                        </span>
                      </span>
                    </button>
                  </li>
                ))}
            </ul>
          </div>
        ))}
        {found.length === 0 && (
          <p className="px-3 py-2">
            {gear.length === 0 ? 'The shelf is empty.' : `Nothing on the shelf is called “${words}”.`}
          </p>
        )}
        <p className="px-3 pt-3">
          <Link href={`/gear?job=${survey.plan.id}`} className="plain w-full justify-center">
            Enter your own gear
          </Link>
        </p>
      </div>
    </section>
  )
}
