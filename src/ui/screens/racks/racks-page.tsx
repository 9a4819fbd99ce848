'use client'
import { jobScreen } from '@/ui/job/job-screen'

/** The racks of a job: those it wears, and those that stock offers, each tried on this vehicle. */
export const RacksPage = jobScreen(() => import('./racks-screen').then(({ RacksScreen }) => RacksScreen))
