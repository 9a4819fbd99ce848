import { Button } from '@/ui/kit/button'
import { TextBox } from '@/ui/kit/field'
import { searchPalette } from '@/ui/kit/palette-search'
import { useState } from 'react'

/** A car with a log, as it stands in the list. */
interface ListedCar {
  readonly id: string
  readonly name: string
  /** The day on which it is next due, if any. */
  readonly next: string | undefined
}

const MOST_SHOWN = 6

/** Finds a car by its kind, plate, number or customer; those due first stand there before anything is typed. */
export function CarPicker({
  cars,
  shown,
  day,
  onPick,
}: {
  cars: readonly ListedCar[]
  shown: string | undefined
  day: string
  onPick: (id: string) => void
}) {
  const [typed, setTyped] = useState('')
  const found = searchPalette(cars, typed)
  const current = found.find(({ id }) => id === shown)
  const others = found.filter(({ id }) => id !== shown)
  const listed = [...(current ? [current] : []), ...others].slice(0, MOST_SHOWN)
  const more = found.length - listed.length
  return (
    <nav aria-label="Cars" className="flex flex-wrap items-end gap-1.5 pt-3">
      <TextBox
        label="Find a car"
        className="w-56"
        type="search"
        placeholder="kind, plate, customer"
        value={typed}
        onText={setTyped}
      />
      {listed.map(({ id, name, next }) => (
        <Button key={id} className="max-w-full" pressed={shown === id} onClick={() => onPick(id)}>
          {name}
          {next !== undefined && <span className="font-normal">{next < day ? `overdue ${next}` : next}</span>}
        </Button>
      ))}
      <p role="status" className="text-ink2 self-center px-1 text-aside">
        {found.length === 0 ? 'No car has these words.' : more > 0 ? `${more} more: type to find one.` : ''}
      </p>
    </nav>
  )
}
