'use client'
// The form library writes into what it gives out: what is worked out of that may not be kept by the compiler.
'use no memo'
import {
  carriedOver,
  withChanged,
  type Group,
  problemPlaces,
  type ProblemPlace,
  wholeReader,
  type DraftResult,
  toDraft,
  type Variants,
} from '@/core/api/fields'
import { mergeItems, placeWords, READ_FROM, type UnitSystem } from '@/core/api/plan'
import { useEffect, useMemo, useRef, useState } from 'react'
import {
  set,
  useForm,
  useWatch,
  type FieldErrors,
  type FieldValues,
  type UseFormReturn,
} from 'react-hook-form'
import type * as z from '@/core/units/schema'
import { dropDraft, saveDraft, loadDraft } from '@/storage/drafts'

type Values = FieldValues

/** What was typed into a sheet and not saved: from when it is, and of what it was a change. */
interface SavedDraft {
  readonly at: string
  readonly was: string
  readonly draft: Values
  /** Where it is from, as was said on top. */
  readonly from?: string
  /** What was met again and is neither taken up nor discarded yet: it waits beside what is typed now. */
  readonly waits?: SavedDraft
}

const isSavedDraft = (stored: unknown): stored is SavedDraft =>
  typeof stored === 'object' && stored !== null && 'at' in stored && 'was' in stored && 'draft' in stored

/** What this browser still has of a sheet: taken up again, or left aside because the thing changed meanwhile. */
export interface MetAgain {
  readonly at: string
  readonly stale: boolean
  readonly takeUp: () => void
  readonly discard: () => void
}

interface Sheet<T> {
  readonly form: UseFormReturn
  /** The thing as the sheet stands now, whole: what cannot be read keeps its last valid value. */
  readonly read: DraftResult<T>
  /** All that is wrong, each at the place that shows it. */
  readonly places: readonly ProblemPlace[]
  readonly again: MetAgain | undefined
  readonly from: string
  readonly setFrom: (from: string) => void
  /** Begins again from another thing: of another body, another kind. */
  readonly restart: (start: unknown) => void
  /** Shows the thing with more in it than the sheet has now: what was read of a pasted text goes over what stands there. */
  readonly take: (fuller: T) => void
  readonly forget: () => void
  /** What is to be saved: what was typed, beside what another tab has changed of it since; or why the two cannot stand together. */
  readonly toSave: () => Saving<T>
}

type Saving<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: string }

const KEEP_AFTER_MS = 400

/**
 * A sheet of fields over one thing: its texts are read by the core at every change. What was typed is kept in this
 * browser until it is saved or discarded, and never put over what changed meanwhile.
 */
export function useSheet<T>(
  key: string,
  field: Group | Variants,
  schema: z.ZodMiniType<T>,
  was: unknown,
  /** What is stored of it so far; nothing where it is new. */
  stored: unknown,
  system: UnitSystem,
): Sheet<T> {
  const [from, setFrom] = useState('')
  const [base, setBase] = useState(was)
  const [again, setAgain] = useState<SavedDraft & { readonly stale: boolean }>()
  const [looked, setLooked] = useState(false)
  const settled = useRef(false)
  const start = useMemo(
    () => toDraft(field, was, { system, typed: {}, rel: '' }) as Values,
    [field, was, system],
  )
  const source = READ_FROM.find((each) => each === from)
  const [reader] = useState(() => wholeReader(field, schema))
  const read = (values: Values) => reader(values, base, system, source)
  const form = useForm({
    defaultValues: start,
    mode: 'onTouched',
    resolver: (values) => {
      const places = problemPlaces(field, values, read(values).problems)
      const errors: FieldErrors = {}
      for (const { path, problem } of places) set(errors, path, { type: 'read', message: problem })
      return places.length === 0 ? { values, errors: {} } : { values: {}, errors }
    },
    // The form itself goes to the first that is wrong, once its part is open.
    shouldFocusError: false,
  })
  const draft: Values = useWatch({ control: form.control, compute: (values: Values) => values })
  const { reset } = form
  const [seen, setSeen] = useState(was)
  // What was undone, or changed in another tab, shows as long as nothing is typed over it.
  if (seen !== was && !form.formState.isDirty) {
    setSeen(was)
    setBase(was)
  }
  useEffect(() => {
    if (!form.formState.isDirty) reset(start)
  }, [start, reset, form])
  // The state of another tab that clashed with this one: saving again over that state puts what was typed here in its place.
  const [refusedOver, setRefusedOver] = useState<unknown>()
  const toSave = (): Saving<T> => {
    const { value } = read(form.getValues())
    if (value === undefined) return { ok: false, problem: 'Some fields are missing or wrong.' }
    if (stored === undefined || seen === was) return { ok: true, value }
    const merged = mergeItems(schema, seen as T, value, was as T, refusedOver === was ? 'mine' : 'ask')
    if (merged.ok) return { ok: true, value: merged.item }
    setRefusedOver(was)
    const places = merged.clashes.map(placeWords)
    return {
      ok: false,
      problem: `Another tab has changed this sheet meanwhile. ${places.length > 0 ? `It set: ${places.join('; ')}.` : merged.reason} Save again to replace its version with yours.`,
    }
  }
  const stamp = useMemo(() => JSON.stringify(stored ?? 'new'), [stored])

  useEffect(() => {
    let current = true
    void loadDraft(key).then((saved) => {
      if (!current) return
      if (isSavedDraft(saved)) {
        const stale = saved.was !== stamp
        const older = isSavedDraft(saved.waits) ? saved.waits : undefined
        setAgain(older && !stale ? { ...older, stale: true } : { ...saved, stale })
        if (!stale) {
          setFrom(saved.from ?? '')
          reset(saved.draft, { keepDefaultValues: true })
        }
      }
      setLooked(true)
    })
    return () => {
      current = false
    }
  }, [key, stamp, reset])

  const { isDirty } = form.formState
  const waits = again?.stale === true ? again : undefined
  useEffect(() => {
    if (!looked || (!isDirty && from === '')) return
    const timer = setTimeout(() => {
      // What was just saved is not kept as if it still had to be.
      if (!settled.current)
        void saveDraft(key, {
          at: new Date().toISOString(),
          was: stamp,
          draft,
          from,
          ...(waits && {
            waits: { at: waits.at, was: waits.was, draft: waits.draft, from: waits.from ?? '' },
          }),
        } satisfies SavedDraft)
    }, KEEP_AFTER_MS)
    return () => clearTimeout(timer)
  }, [key, draft, from, looked, isDirty, waits, stamp])

  const forget = () => {
    settled.current = true
    void dropDraft(key)
  }
  const now = read(draft)
  return {
    form,
    read: now,
    places: problemPlaces(field, draft, now.problems),
    from,
    setFrom,
    again: again && {
      at: again.at,
      stale: again.stale,
      takeUp: () => {
        setFrom(again.from ?? '')
        reset(again.draft, { keepDefaultValues: true })
        setAgain({ ...again, stale: false })
      },
      discard: () => {
        // What was typed since stays: only what waited goes.
        if (again.stale && isDirty) {
          setAgain(undefined)
          return
        }
        void dropDraft(key)
        setFrom('')
        setBase(was)
        reset(start)
        setAgain(undefined)
      },
    },
    restart: (next) => {
      const began = toDraft(field, base, { system, typed: {}, rel: '' })
      const anew = toDraft(field, next, { system, typed: {}, rel: '' })
      setBase(next)
      reset(carriedOver(form.getValues(), began, anew) as Values, { keepDefaultValues: true })
    },
    take: (fuller) => {
      const shown = (thing: unknown) => toDraft(field, thing, { system, typed: {}, rel: '' })
      const now = form.getValues()
      // What the taken thing has otherwise stands there; all else as it was typed.
      const anew = withChanged(now, shown(read(now).value), shown(fuller))
      setBase(fuller)
      reset(anew as Values, { keepDefaultValues: true })
    },
    forget,
    toSave,
  }
}
