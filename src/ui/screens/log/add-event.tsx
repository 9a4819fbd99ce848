'use client'
import { Choice } from '@/ui/kit/choice'
import { Problem } from '@/ui/kit/field-note'
import { TextBox } from '@/ui/kit/field'
import { Button } from '@/ui/kit/button'
import { daySchema, type Rack, refitValues } from '@/core'
import { useState } from 'react'
import { useLog, type NewEvent } from '@/ui/state/log-store'

const KINDS = [
  ['found', 'Found'],
  ['lost', 'Lost'],
  ['replaced', 'Replaced'],
  ['removed', 'Rack taken off'],
  ['refitted', 'Rack put on again'],
  ['loadChanged', 'Load changed'],
  ['checked', 'Checked'],
  ['firstTrip', 'First trip made'],
  ['dated', 'Set a date'],
] as const
type Kind = (typeof KINDS)[number][0]

const ON_RACK: readonly Kind[] = ['removed', 'refitted']

interface Draft {
  readonly kind: Kind
  readonly what: string
  readonly other: string
  readonly count: string
  readonly rackId: string
  readonly note: string
}

/** What is written for a draft, or what it lacks. */
export function eventOf(draft: Draft, racks: readonly Rack[]): NewEvent | string {
  const what = draft.what.trim()
  const note = draft.note.trim() === '' ? {} : { note: draft.note.trim() }
  if (ON_RACK.includes(draft.kind)) {
    const rack = racks.find(({ id }) => id === draft.rackId)
    if (!rack) return 'Choose which rack.'
    // What it takes to put it back as it was is written down when it comes off.
    const values = draft.kind === 'removed' && draft.note.trim() === '' ? refitValues(rack) : ''
    return {
      kind: draft.kind as 'removed' | 'refitted',
      rackId: rack.id,
      what: rack.name,
      ...(values === '' ? note : { note: values }),
    }
  }
  if (what === '') return 'Say what.'
  switch (draft.kind) {
    case 'lost':
    case 'found': {
      const count = Number(draft.count)
      return Number.isInteger(count) && count >= 1
        ? { kind: draft.kind, what, count, ...note }
        : 'How many? A whole number from 1.'
    }
    case 'replaced':
      return draft.other.trim() === ''
        ? 'Say what it was replaced by.'
        : { kind: 'replaced', what, with: draft.other.trim(), ...note }
    case 'firstTrip':
      return daySchema.safeParse(draft.other).success
        ? { kind: 'firstTrip', what, on: draft.other, ...note }
        : 'Choose the day.'
    case 'dated':
      return daySchema.safeParse(draft.other).success
        ? { kind: 'dated', what, due: draft.other, ...note }
        : 'Choose the day.'
    case 'checked':
    case 'loadChanged':
    case 'removed':
    case 'refitted':
      return { kind: draft.kind as 'checked' | 'loadChanged', what, ...note }
  }
}

const EMPTY: Draft = { kind: 'checked', what: '', other: '', count: '1', rackId: '', note: '' }

/** A new entry by hand: found, lost, replaced, taken off, put on again, checked, or a date to keep. */
export function AddEvent({ vehicleId, racks }: { vehicleId: string; racks: readonly Rack[] }) {
  const add = useLog((store) => store.add)
  const [draft, setDraft] = useState(EMPTY)
  const [problem, setProblem] = useState<string>()
  const set = (patch: Partial<Draft>) => setDraft({ ...draft, ...patch })
  const onRack = ON_RACK.includes(draft.kind)
  const field = (label: string, key: 'what' | 'other' | 'count' | 'note', type = 'text') => (
    <TextBox
      label={label}
      type={type}
      maxLength={key === 'note' ? 1000 : 120}
      value={draft[key]}
      onText={(text) => set({ [key]: text })}
    />
  )
  return (
    <section
      aria-label="New entry"
      className="border-t-[1.5px] border-t-base-content pt-[0.8rem] px-0 pb-[0.6rem] mt-[0.8rem] min-w-0 grid gap-2"
    >
      <h3 className="text-head">New entry</h3>
      <Choice label="Kind" value={draft.kind} options={KINDS} onChange={(kind) => set({ kind, other: '' })} />
      {onRack ? (
        <Choice
          label="Which rack"
          value={draft.rackId}
          unsaid="choose"
          options={racks.map(({ id, name }) => [id, name] as const)}
          onChange={(rackId) => set({ rackId })}
        />
      ) : (
        field('What', 'what')
      )}
      {(draft.kind === 'lost' || draft.kind === 'found') && field('How many', 'count')}
      {draft.kind === 'replaced' && field('By what', 'other')}
      {draft.kind === 'dated' && field('Due', 'other', 'date')}
      {draft.kind === 'firstTrip' && field('On', 'other', 'date')}
      {field('Note', 'note')}
      {problem !== undefined && <Problem>{problem}</Problem>}
      <Button
        look="solid"
        onClick={() => {
          const event = eventOf(draft, racks)
          if (typeof event === 'string') {
            setProblem(event)
            return
          }
          setProblem(undefined)
          setDraft({ ...EMPTY, kind: draft.kind })
          void add({ vehicleId }, [event])
        }}
      >
        Add to the log
      </Button>
    </section>
  )
}
