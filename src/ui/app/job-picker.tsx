'use client'
import { useState } from 'react'
import { Button } from '@/ui/kit/button'
import { TextBox } from '@/ui/kit/field'
import { searchPalette } from '@/ui/kit/palette-search'

/** A job by its name, as it stands in a list. */
export interface NamedJob {
  readonly id: string
  readonly name: string
}

const MOST_SHOWN = 6

/** Chooses one job of however many: a few letters of its name, and one press. */
export function JobPicker({
  label,
  jobs,
  chosen,
  onPick,
}: {
  readonly label: string
  readonly jobs: readonly NamedJob[]
  readonly chosen: string | undefined
  readonly onPick: (id: string) => void
}) {
  const [typed, setTyped] = useState('')
  const found = searchPalette(jobs, typed)
  const current = jobs.find(({ id }) => id === chosen)
  const listed = found.filter(({ id }) => id !== chosen).slice(0, MOST_SHOWN)
  const more = found.length - listed.length - (found.some(({ id }) => id === chosen) ? 1 : 0)
  return (
    <section aria-label={label} className="flex min-w-64 flex-1 flex-col gap-1.5">
      <TextBox label={`${label}: find a job`} type="search" value={typed} onText={setTyped} />
      {current && (
        <Button pressed className="w-full" onClick={() => onPick(current.id)}>
          {current.name}
        </Button>
      )}
      {(typed !== '' || !current) &&
        listed.map(({ id, name }) => (
          <Button
            key={id}
            className="w-full"
            onClick={() => {
              setTyped('')
              onPick(id)
            }}
          >
            {name}
          </Button>
        ))}
      <p role="status" className="text-ink2 text-aside">
        {found.length === 0
          ? 'No job has these words.'
          : more > 0 && (typed !== '' || !current)
            ? `${more} more: type to find one.`
            : ''}
      </p>
    </section>
  )
}
