'use client'
import { useEffect, useState } from 'react'
import {
  set,
  useForm,
  useWatch,
  type DefaultValues,
  type FieldErrors,
  type FieldValues,
  type UseFormReturn,
} from 'react-hook-form'
import { dropDraft, keepDraft, loadDraft } from '@/storage/drafts'
import type { ReadDraft } from './draft-reader'

interface DraftForm<D extends FieldValues, T> {
  readonly form: UseFormReturn<D>
  /** The thing as the form stands now: what cannot be read is replaced by its starting value. */
  readonly read: ReadDraft<T>
  readonly draft: D
  forget(): void
}

function sameShape(a: unknown, b: unknown): boolean {
  if (Array.isArray(a)) return Array.isArray(b)
  if (typeof a !== 'object' || a === null) return typeof a === typeof b
  if (typeof b !== 'object' || b === null) return false
  const there = b as Record<string, unknown>
  return Object.entries(a).every(([key, value]) => sameShape(value, there[key]))
}

const KEEP_AFTER_MS = 400

const asKept = (kept: unknown): unknown => kept

/**
 * A form whose texts are read by the core's parser at every change. What was typed is kept in this browser until it
 * is saved, so that a reload in the middle loses nothing.
 */
export function useDraftForm<D extends FieldValues, T>(
  key: string,
  start: D,
  read: (draft: D) => ReadDraft<T>,
  /** Brings what an earlier version kept into today's shape. */
  lift: (kept: unknown) => unknown = asKept,
): DraftForm<D, T> {
  const form = useForm<D>({
    defaultValues: start as DefaultValues<D>,
    mode: 'onTouched',
    resolver: (values) => {
      const { problems } = read(values)
      const errors: FieldErrors<D> = {}
      for (const [field, message] of Object.entries(problems)) set(errors, field, { type: 'read', message })
      return Object.keys(problems).length === 0 ? { values, errors: {} } : { values: {}, errors }
    },
  })
  const draft: D = useWatch({ control: form.control, compute: (values: D) => values })
  const [looked, setLooked] = useState(false)
  const { reset } = form

  useEffect(() => {
    let current = true
    void loadDraft(key).then((stored) => {
      if (!current) return
      const kept = lift(stored)
      if (kept !== undefined && kept !== null && sameShape(start, kept))
        reset(kept as D, { keepDefaultValues: true })
      setLooked(true)
    })
    return () => {
      current = false
    }
  }, [key, start, reset, lift])

  const { isDirty } = form.formState
  useEffect(() => {
    if (!looked || !isDirty) return
    const timer = setTimeout(() => void keepDraft(key, draft), KEEP_AFTER_MS)
    return () => {
      clearTimeout(timer)
    }
  }, [key, draft, looked, isDirty])

  return { form, read: read(draft), draft, forget: () => void dropDraft(key) }
}
