'use client'
import { jobScreen } from '@/ui/kit/job-screen'

/** One job on the bench, or why it is not. */
export const BenchPage = jobScreen(() => import('./bench').then(({ Bench }) => Bench))
