'use client'
import { jobScreen } from '@/ui/job/job-screen'

/** The load of one job, or the reason why it cannot be shown. */
export const LoadPage = jobScreen(() => import('./load-screen').then(({ LoadScreen }) => LoadScreen))
