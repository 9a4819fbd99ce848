'use client'
import { useEffect, useEffectEvent, useState } from 'react'

/** Between two of them the page draws, and hears. */
const pause = () => new Promise((resolve) => setTimeout(resolve))

interface Worked<R> {
  readonly of: readonly unknown[]
  readonly results: readonly R[]
}

/** Works through a list one after the other, again whenever something of `on` changes; what is worked out so far. */
export function useInTurn<T, R>(
  items: readonly T[],
  on: readonly [unknown, unknown],
  work: (item: T) => R,
): readonly R[] {
  const [worked, setWorked] = useState<Worked<R>>({ of: [], results: [] })
  const one = useEffectEvent(work)
  const [first, second] = on
  useEffect(() => {
    let current = true
    const of = [items, first, second]
    const all = async () => {
      const results: R[] = []
      for (const item of items) {
        results.push(one(item))
        await pause()
        if (!current) return
        setWorked({ of, results: [...results] })
      }
    }
    void all()
    return () => {
      current = false
    }
  }, [items, first, second])
  const [its, a, b] = worked.of
  return its === items && a === first && b === second ? worked.results : []
}
