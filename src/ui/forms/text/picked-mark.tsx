'use client'
import { meaningsFor, readingWords, type SheetReading, type TextAmount } from '@/core/api/files'
import { Choice } from '@/ui/kit/choice'
import { PhraseLine } from '@/ui/figures/quantity'
import type { TextMark, PlaceOf } from './figures'

/** Why an amount of a text that was picked is not taken, and what a person may say that it is. */
export function PickedMark({
  text,
  mark: { at, to, reading, state },
  amount,
  place,
  onSay,
}: {
  text: string
  mark: TextMark
  amount: TextAmount | undefined
  place: PlaceOf
  onSay: (reading: SheetReading) => void
}) {
  const words = text.slice(at, to)
  const meanings = amount ? meaningsFor(text, amount).filter((meaning) => place(meaning.reading)) : []
  return (
    <div role="status" className="border-l-gear mt-2 border-l-[3px] pl-3">
      <p>
        <strong>{words}</strong>{' '}
        {reading ? (
          <>
            was read as: <PhraseLine phrase={readingWords(reading)} />.{' '}
            {state === 'source' ? 'It goes with every figure.' : 'These sheets have no place for it.'}
          </>
        ) : (
          'is left: its words do not say what it measures, or they speak of something else.'
        )}
      </p>
      {meanings.length > 0 && (
        <Choice
          className="mt-1 max-w-72"
          label={`What ${words} is`}
          value=""
          unstated="Leave it"
          options={meanings.map((meaning) => [meaning.id, meaning.words] as const)}
          onChange={(id) => {
            const said = meanings.find((meaning) => meaning.id === id)
            if (said) onSay(said.reading)
          }}
        />
      )}
    </div>
  )
}
