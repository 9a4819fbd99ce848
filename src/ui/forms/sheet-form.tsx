'use client'
// The form library writes into what it gives out: what is worked out of that may not be kept by the compiler.
'use no memo'
import { Alert } from '@/ui/kit/alert'
import { Problem } from '@/ui/kit/field-note'
import { Button } from '@/ui/kit/button'
import { type Group, SOURCE_CHOICES, type Variants } from '@/core/api/fields'
import type { UnitSystem } from '@/core/api/plan'
import { useEffect, useRef, type ReactNode } from 'react'
import { FormProvider, type UseFormReturn } from 'react-hook-form'
import { Choice } from '@/ui/kit/choice'
import { useSearch } from '@/ui/state/use-search'
import { FieldView } from './fields'
import { type SheetOf, SheetProvider } from './sheet-context'
import type { MetAgain } from './use-sheet'

const FROM_CHOICES: readonly (readonly [string, string])[] = [['', 'not said'], ...SOURCE_CHOICES]

const when = (at: string) =>
  new Date(at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })

function Again({ again }: { again: MetAgain }) {
  return (
    <Alert variant="mind">
      <span className="flex-1">
        {again.stale
          ? `A draft of ${when(again.at)} was not saved. The sheet has changed since.`
          : `This draft of ${when(again.at)} is not saved yet.`}
      </span>
      {again.stale && <Button onClick={again.takeUp}>Restore it anyway</Button>}
      <Button onClick={again.discard}>Discard it</Button>
    </Alert>
  )
}

interface SheetProps {
  readonly field: Group | Variants
  readonly form: UseFormReturn
  readonly system: UnitSystem
  readonly from: string
  readonly setFrom: (from: string) => void
  readonly again: MetAgain | undefined
  readonly problem: string | undefined
  readonly problems: number
  readonly actions: ReactNode
  readonly onSave: () => void
  readonly around?: SheetOf['around']
  readonly chosen?: SheetOf['chosen']
  readonly only?: SheetOf['only']
  readonly starts?: SheetOf['starts']
  readonly stock?: SheetOf['stock']
  readonly children?: ReactNode
  /** A way to fill several fields at once. */
  readonly paste?: ReactNode
  /** What stands beside the fields. */
  readonly beside?: ReactNode
}

/** The fields of one thing, what is met again of them, and the keys that save them. */
export function SheetFields({
  field,
  form,
  system,
  from,
  setFrom,
  again,
  problem,
  problems,
  actions,
  onSave,
  around = {},
  chosen = {},
  only = {},
  starts = {},
  stock = {},
  children,
  paste,
  beside,
}: SheetProps) {
  const sentTo = useSearch('field')
  const shown = useRef<HTMLFormElement>(null)
  useEffect(() => {
    if (sentTo === undefined) return
    const at = CSS.escape(sentTo)
    const found = shown.current?.querySelector<HTMLElement>(`[name="${at}"], [name^="${at}."]`)
    found?.scrollIntoView({ block: 'center' })
    found?.focus()
  }, [sentTo])
  return (
    <FormProvider {...form}>
      <SheetProvider value={{ system, from, around, chosen, only, starts, stock, sentTo }}>
        <form
          ref={shown}
          className={
            beside === undefined
              ? ''
              : 'form-page [&_:is(input,_select,_textarea,_summary,_button)]:[scroll-margin-bottom:5rem] max-wide:grid-cols-[minmax(0,1fr)]'
          }
          noValidate
          onSubmit={(event) => {
            event.preventDefault()
            onSave()
          }}
        >
          <div className="min-w-0 space-y-4">
            {again && <Again again={again} />}
            <div className="flex flex-wrap items-end gap-3">
              <Choice
                className="w-80"
                label="Source of these figures"
                value={from}
                options={FROM_CHOICES}
                onChange={setFrom}
              />
              {paste}
            </div>
            <FieldView field={field} at="" bare />
            {children}
            <div className="border-base-content bg-base-200 in-[dialog]:bg-base-100 sticky bottom-0 z-5 flex flex-wrap items-center gap-2 border-t py-2">
              {problem !== undefined && <Problem>{problem}</Problem>}
              {actions}
              {form.formState.isSubmitted && problems > 0 && (
                <Problem>
                  {problems === 1 ? 'One field needs another look.' : `${problems} fields need another look.`}
                </Problem>
              )}
            </div>
          </div>
          {beside}
        </form>
      </SheetProvider>
    </FormProvider>
  )
}

/** A page of fields beside the live drawing of what they describe. */
export function SheetForm({
  bar,
  drawing,
  ...sheet
}: Omit<SheetProps, 'beside'> & {
  /** What stands over the page: the shop's bar, or the job's. */
  readonly bar: ReactNode
  readonly drawing: ReactNode
}) {
  return (
    <>
      {bar}
      <main>
        <SheetFields
          {...sheet}
          beside={
            <aside
              className="sticky top-[1rem] h-[min(36rem,_calc(100dvh_-_7rem))] border border-base-content max-wide:static max-wide:order-[-1] max-wide:h-[17rem]"
              aria-label="Drawing"
            >
              {drawing}
            </aside>
          }
        />
      </main>
    </>
  )
}
