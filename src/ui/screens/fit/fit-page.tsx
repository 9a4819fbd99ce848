'use client'
import { jobScreen } from '@/ui/job/job-screen'

/** The fitting job, one step at a time. */
export const FitPage = jobScreen(() => import('./fit-screen').then(({ FitScreen: BayScreen }) => BayScreen))
