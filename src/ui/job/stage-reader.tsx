'use client'
import type { Plan } from '@/core/api/plan'
import { useEffect } from 'react'
import { useStages, type JobStages } from './use-stages'

/** Computes the stages of a job and reports them; it shows nothing itself. */
export function StageReader({ plan, onRead }: { plan: Plan; onRead: (read: JobStages) => void }) {
  const read = useStages(plan)
  useEffect(() => onRead(read), [read, onRead])
  return null
}
