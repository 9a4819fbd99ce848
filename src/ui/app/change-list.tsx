'use client'
import { type Change, phraseText } from '@/core/api/plan'
import { useState } from 'react'
import { Button } from '@/ui/kit/button'
import { PhraseLine } from '@/ui/figures/quantity'

const SHOWN = 12

/** What differs between two states of a job, a line each; the rest is one press away. */
export function ChangeList({ changes, label }: { changes: readonly Change[]; label: string }) {
  const [all, setAll] = useState(false)
  const shown = all ? changes : changes.slice(0, SHOWN)
  return (
    <>
      <ul className="list-disc pl-5 text-plain" aria-label={label}>
        {shown.map(({ place, words }) => (
          <li key={`${place.join('/')} ${phraseText(words)}`}>
            <PhraseLine phrase={words} />
          </li>
        ))}
      </ul>
      {shown.length < changes.length && (
        <Button variant="word" onClick={() => setAll(true)}>
          and {changes.length - shown.length} more
        </Button>
      )}
    </>
  )
}
