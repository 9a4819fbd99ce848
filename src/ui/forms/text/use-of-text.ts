'use client'
import { useState } from 'react'

/** What a person said of one text: of another text nothing is said yet. */
export function useOfText<T>(text: string, start: T): [T, (next: T) => void] {
  const [kept, setKept] = useState({ text, said: start })
  return [kept.text === text ? kept.said : start, (said) => setKept({ text, said })]
}
