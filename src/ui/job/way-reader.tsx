'use client'
import type { Plan } from '@/core'
import { useEffect } from 'react'
import { useWay, type Way } from './use-way'

/** Works out the way of a job and gives it back; it shows nothing itself. */
export function WayReader({ plan, onWay }: { plan: Plan; onWay: (way: Way) => void }) {
  const way = useWay(plan)
  useEffect(() => onWay(way), [way, onWay])
  return null
}
