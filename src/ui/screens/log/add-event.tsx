'use client'
import { Section } from '@/ui/kit/section'
import { Choice } from '@/ui/kit/choice'
import { Problem } from '@/ui/kit/field-note'
import { TextBox } from '@/ui/kit/field'
import { Button } from '@/ui/kit/button'
import { daySchema, type Rack } from '@/core/api/plan'
import { EVENT_WORD, type LogEvent, refitValues } from '@/core/api/fit'
import { useState } from 'react'
import { useLog, type NewEvent } from '@/ui/state/log-store'

/** What is entered by hand, in the order in which it is offered. */
const BY_HAND = [
  'found',
  'lost',
  'replaced',
  'removed',
  'refitted',
  'loadChanged',
  'checked',
  'firstTrip',
  'dated',
] as const satisfies readonly LogEvent['kind'][]
type Kind = (typeof BY_HAND)[number]

interface Draft {
  readonly kind: Kind
  readonly what: string
  readonly other: string
  readonly count: string
  readonly rackId: string
  readonly note: string
}

const isOnRack = (kind: Kind): kind is 'removed' | 'refitted' => kind === 'removed' || kind === 'refitted'

type Note = { readonly note?: string }

/** A rack that came off or went on again: what it takes to put it back as it was is written down when it comes off. */
function onRack(
  kind: 'removed' | 'refitted',
  { rackId }: Draft,
  note: Note,
  racks: readonly Rack[],
): NewEvent | string {
  const rack = racks.find(({ id }) => id === rackId)
  if (!rack) return 'Choose which rack.'
  const values = kind === 'removed' && note.note === undefined ? refitValues(rack) : ''
  return { kind, rackId: rack.id, what: rack.name, ...(values === '' ? note : { note: values }) }
}

/** What is written for a draft, or what it lacks. */
export function eventOf(draft: Draft, racks: readonly Rack[]): NewEvent | string {
  const { kind } = draft
  const what = draft.what.trim()
  const other = draft.other.trim()
  const note: Note = draft.note.trim() === '' ? {} : { note: draft.note.trim() }
  if (isOnRack(kind)) return onRack(kind, draft, note, racks)
  if (what === '') return 'Enter what.'
  switch (kind) {
    case 'lost':
    case 'found': {
      const count = Number(draft.count)
      return Number.isInteger(count) && count >= 1
        ? { kind, what, count, ...note }
        : 'How many? A whole number from 1.'
    }
    case 'replaced':
      return other === '' ? 'Enter the replacement.' : { kind, what, with: other, ...note }
    case 'firstTrip':
      return daySchema.safeParse(other).success ? { kind, what, on: other, ...note } : 'Choose the day.'
    case 'dated':
      return daySchema.safeParse(other).success ? { kind, what, due: other, ...note } : 'Choose the day.'
    case 'checked':
    case 'loadChanged':
      return { kind, what, ...note }
  }
}

const EMPTY: Draft = { kind: 'checked', what: '', other: '', count: '1', rackId: '', note: '' }

/** A new entry by hand: found, lost, replaced, taken off, put on again, checked, or a date to keep. */
export function AddEvent({ vehicleId, racks }: { vehicleId: string; racks: readonly Rack[] }) {
  const add = useLog((store) => store.add)
  const [draft, setDraft] = useState(EMPTY)
  const [problem, setProblem] = useState<string>()
  const set = (patch: Partial<Draft>) => setDraft({ ...draft, ...patch })
  const aboutRack = isOnRack(draft.kind)
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
    <Section level={3} id="log-new" title="New entry" className="grid gap-2">
      <Choice
        label="Kind"
        value={draft.kind}
        options={BY_HAND.map((kind) => [kind, EVENT_WORD[kind]] as const)}
        onChange={(kind) => set({ kind, other: '' })}
      />
      {aboutRack ? (
        <Choice
          label="Which rack"
          value={draft.rackId}
          unstated="choose"
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
        variant="solid"
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
    </Section>
  )
}
