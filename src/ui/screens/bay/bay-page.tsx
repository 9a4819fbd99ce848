'use client'
import { jobScreen } from '@/ui/kit/job-screen'

/** The fitting job, one step at a time. */
export const BayPage = jobScreen(() => import('./bay-screen').then(({ BayScreen }) => BayScreen))
