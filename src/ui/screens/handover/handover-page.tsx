'use client'
import { jobScreen } from '@/ui/job/job-screen'

/** What goes with the vehicle: to look at, to print, as a PDF, as a calendar, and as a placard. */
export const HandoverPage = jobScreen(() =>
  import('./handover-screen').then(({ HandoverScreen }) => HandoverScreen),
)
