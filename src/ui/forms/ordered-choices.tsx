'use client'
// The form library writes into what it gives out: what is worked out of that may not be kept by the compiler.
'use no memo'
import { ArrowUp, X } from 'lucide-react'
import { useId } from 'react'
import { useFormContext, useWatch } from 'react-hook-form'
import { type Choices, entriesOf, type Several } from '@/core/api/fields'
import { Button } from '@/ui/kit/button'
import { Choice } from '@/ui/kit/choice'
import { FieldNote } from '@/ui/kit/field-note'
import { Fieldset } from '@/ui/kit/fieldset'
import { useProblem } from './problem'

/** Several of a closed list in an order that counts; two alike may stand in it. */
export function OrderedChoices({ field, choices, at }: { field: Several; choices: Choices; at: string }) {
  const { setValue } = useFormContext()
  const now: unknown = useWatch({ name: at })
  const chosen = typeof now === 'string' ? entriesOf(now) : []
  const problem = useProblem(at)
  const id = useId()
  const set = (next: readonly string[]) => setValue(at, next.join('; '), { shouldDirty: true })
  const words = (value: string) => choices.find(([each]) => String(each) === value)?.[1] ?? value
  return (
    <Fieldset title={field.label} wide>
      <div data-place={at} tabIndex={-1} className="flex flex-wrap items-end gap-x-4 gap-y-2">
        {chosen.length > 0 && (
          <ol className="flex flex-wrap gap-x-8">
            {chosen.map((value, i) => (
              <li key={i} className="flex items-center">
                {i + 1}. {words(value)}
                {i > 0 && (
                  <Button
                    variant="word"
                    className="px-0"
                    aria-label={`Move ${words(value)}, ${i + 1}, up`}
                    onClick={() =>
                      set([...chosen.slice(0, i - 1), value, ...chosen.toSpliced(i, 1).slice(i - 1)])
                    }
                  >
                    <ArrowUp size={16} aria-hidden />
                  </Button>
                )}
                <Button
                  variant="word"
                  className="px-0"
                  aria-label={`Remove ${words(value)}, ${i + 1}`}
                  onClick={() => set(chosen.toSpliced(i, 1))}
                >
                  <X size={16} aria-hidden />
                </Button>
              </li>
            ))}
          </ol>
        )}
        <Choice
          className="w-48"
          label={chosen.length === 0 ? 'First' : 'Next'}
          value=""
          unstated="Choose one"
          options={choices.map(([value, each]) => [String(value), each] as const)}
          onChange={(value) => set([...chosen, value])}
        />
      </div>
      <FieldNote id={id} problem={problem} hint={field.hint} />
    </Fieldset>
  )
}
