'use client'
import { useSearchParams } from 'next/navigation'

/** One parameter of the address, by the browser's own reckoning: a page kept for offline serves every job. */
export function useSearch(name: string): string | undefined {
  const value = useSearchParams().get(name)
  return value === null || value === '' ? undefined : value
}
