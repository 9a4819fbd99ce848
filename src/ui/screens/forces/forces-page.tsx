'use client'
import { jobScreen } from '@/ui/job/job-screen'

/** Where a job's load lands and what driving does to it, with the limits drawn in and a table behind each picture. */
export const ForcesPage = jobScreen(() => import('./forces-screen').then(({ ForcesScreen }) => ForcesScreen))
