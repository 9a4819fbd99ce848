'use client'
// The form library writes into what it gives out: what is worked out of that may not be kept by the compiler.
'use no memo'
import { isEmpty, type Draft, type Group } from '@/core/api/fields'
import { useState } from 'react'
import { get, useFormContext, useWatch } from 'react-hook-form'
import { fieldAt, under } from './field-parts'
import { useLeftOut, useSheetOf } from './sheet-context'

/**
 * The paths of what is left out of a group, with those that are left out above it. What was shown once stays until its kind
 * changes: a field that somebody empties does not vanish under the hand.
 */
export function useLeftOutOf(group: Group, at: string): ReadonlySet<string> {
  const above = useLeftOut()
  const { all, standsOn, sentTo } = useSheetOf()
  const { formState, getValues } = useFormContext()
  const likely = group.likely ?? []
  const chosen: readonly unknown[] = useWatch({ name: likely.map(({ by }) => under(at, by)) })
  const kinds = chosen.map((each) => (typeof each === 'string' ? each : ''))
  const stamp = [standsOn ?? '', ...kinds].join('/')
  const [shown, setShown] = useState<{ readonly of: string; readonly paths: ReadonlySet<string> }>({
    of: stamp,
    paths: new Set(),
  })
  if (likely.length === 0 || all) return above
  const unlikely = likely.flatMap(({ unlikely: of }, i) => of(kinds[i] ?? '', standsOn))
  const before = shown.of === stamp ? shown.paths : new Set<string>()
  const isAsked = (path: string) =>
    sentTo === path || (sentTo?.startsWith(`${path}.`) ?? false) || get(formState.errors, path) !== undefined
  const saying = unlikely.filter((key) => {
    const field = fieldAt(group, key)
    const path = under(at, key)
    return (
      before.has(path) || isAsked(path) || (field && !isEmpty(field, getValues(path) as Draft | undefined))
    )
  })
  const paths = saying.map((key) => under(at, key))
  if (shown.of !== stamp || paths.some((path) => !shown.paths.has(path)))
    setShown({ of: stamp, paths: new Set(paths) })
  return new Set([...above, ...unlikely.filter((key) => !saying.includes(key)).map((key) => under(at, key))])
}
