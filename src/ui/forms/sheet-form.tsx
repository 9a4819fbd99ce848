'use client'
// The form library writes into what it gives out: what is worked out of that may not be kept by the compiler.
'use no memo'
import { Alert } from '@/ui/kit/alert'
import { Problem } from '@/ui/kit/field-note'
import { Button } from '@/ui/kit/button'
import {
  keepsSources,
  mayLeaveOut,
  type DraftResult,
  type Group,
  type ProblemPlace,
  SOURCE_CHOICES,
  type Variants,
} from '@/core/api/fields'
import type { UnitSystem } from '@/core/api/plan'
import { useEffect, useEffectEvent, useMemo, useRef, useState, type ReactNode } from 'react'
import { FormProvider, type UseFormReturn } from 'react-hook-form'
import { Choice } from '@/ui/kit/choice'
import { useSearch } from '@/ui/state/use-search'
import { FieldView } from './fields'
import { type SheetOf, SheetProvider } from './sheet-context'
import type { MetAgain } from './use-sheet'
import { useWordings } from './use-wordings'

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

/** What a form has of a path: its field, the first under it, or what is said of a whole. */
function placeIn(form: HTMLFormElement, path: string): HTMLElement | null {
  const at = CSS.escape(path)
  return (
    form.querySelector<HTMLElement>(`[name="${at}"]`) ??
    form.querySelector<HTMLElement>(`[data-place="${at}"]`) ??
    form.querySelector<HTMLElement>(`[name^="${at}."]`)
  )
}

/** All fields that need another look, by name. Each leads to its field; what belongs to none is said here. */
function WrongPlaces({ places, onGo }: { places: readonly ProblemPlace[]; onGo: (path: string) => void }) {
  if (places.length === 0) return null
  return (
    <div className="basis-full" role="group" aria-label="Fields that need another look">
      <Problem>
        {places.length === 1 ? 'One field needs another look.' : `${places.length} fields need another look.`}
      </Problem>
      <ul className="flex max-h-28 flex-wrap gap-x-2 overflow-y-auto">
        {places.map(({ path, name, problem }, i) => (
          <li key={i}>
            {path === '' ? (
              <Problem>{problem}</Problem>
            ) : (
              <Button variant="word" onClick={() => onGo(path)}>
                {name === '' ? problem : name}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </div>
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
  /** All that is wrong with what is typed, each at the place that shows it. */
  readonly places: readonly ProblemPlace[]
  readonly read: Pick<DraftResult<unknown>, 'halves' | 'standIns'>
  readonly actions: ReactNode
  readonly onSave: () => void
  /** What follows when a field of this path is left. */
  readonly onLeave?: (path: string) => void
  readonly around?: SheetOf['around']
  readonly chosen?: SheetOf['chosen']
  readonly only?: SheetOf['only']
  readonly starts?: SheetOf['starts']
  readonly stock?: SheetOf['stock']
  readonly standsOn?: SheetOf['standsOn']
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
  places,
  read,
  actions,
  onSave,
  onLeave,
  around = {},
  chosen = {},
  only = {},
  starts = {},
  stock = {},
  standsOn,
  children,
  paste,
  beside,
}: SheetProps) {
  const sentTo = useSearch('field')
  const [all, setAll] = useState(false)
  const leavesOut = useMemo(() => mayLeaveOut(field), [field])
  const asksSource = useMemo(() => keepsSources(field), [field])
  const notes = { ...read.halves, ...read.standIns }
  const wordings = useWordings(form, field)
  const shown = useRef<HTMLFormElement>(null)
  useEffect(() => {
    if (sentTo === undefined) return
    const found = shown.current && placeIn(shown.current, sentTo)
    found?.scrollIntoView({ block: 'center' })
    found?.focus()
  }, [sentTo])
  const goTo = (path: string) => shown.current && placeIn(shown.current, path)?.focus()
  const { submitCount } = form.formState
  const first = places[0]?.path
  const goToFirst = useEffectEvent(() => first !== undefined && goTo(first))
  useEffect(() => {
    if (submitCount > 0) goToFirst()
  }, [submitCount])
  return (
    <FormProvider {...form}>
      <SheetProvider
        value={{ system, from, around, chosen, only, starts, stock, notes, all, standsOn, wordings, sentTo }}
      >
        <form
          ref={shown}
          className={
            beside === undefined
              ? ''
              : 'form-page [&_:is(input,_select,_textarea,_summary,_button)]:[scroll-margin-bottom:5rem] max-wide:grid-cols-[minmax(0,1fr)]'
          }
          noValidate
          onBlur={({ target }) => onLeave?.(target.getAttribute('name') ?? '')}
          onSubmit={(event) => {
            event.preventDefault()
            onSave()
          }}
        >
          <div className="@container min-w-0 space-y-4">
            {again && <Again again={again} />}
            <div className="flex flex-wrap items-end gap-3">
              {asksSource && (
                <Choice
                  className="w-80"
                  label="Source of these figures"
                  value={from}
                  options={FROM_CHOICES}
                  onChange={setFrom}
                />
              )}
              {paste}
              {leavesOut && (
                <Button pressed={all} onClick={() => setAll(!all)}>
                  All fields
                </Button>
              )}
            </div>
            <FieldView field={field} at="" bare />
            {children}
            <div className="border-base-content bg-base-200 in-[dialog]:bg-base-100 sticky bottom-0 z-5 flex flex-wrap items-center gap-2 border-t py-2">
              {problem !== undefined && <Problem>{problem}</Problem>}
              {actions}
              {form.formState.isSubmitted && <WrongPlaces places={places} onGo={goTo} />}
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
