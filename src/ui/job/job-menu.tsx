'use client'
import dynamic from 'next/dynamic'
import type { Plan } from '@/core/api/plan'
import { Menu } from '@/ui/kit/menu'

const JobMenuItems = dynamic(() => import('./job-menu-items').then((module) => module.JobMenuItems))

/** What belongs to the job rather than to one thing in the drawing. */
export function JobMenu({ plan }: { plan: Plan }) {
  return <Menu label="This job">{() => <JobMenuItems plan={plan} />}</Menu>
}
