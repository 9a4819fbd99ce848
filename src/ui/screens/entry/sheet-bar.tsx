'use client'
import type { Plan, Stop } from '@/core'
import { JobBar } from '@/ui/job/job-bar'
import { ButtonLink } from '@/ui/kit/button'
import { PageBar } from '@/ui/kit/page-bar'

/** The bar over a sheet: the job's own at its stop, or the shop's with the way back. */
export function SheetBar({
  title,
  job,
  at,
  back,
}: {
  title: string
  job: Plan | undefined
  at: Stop
  back: string
}) {
  return job ? (
    <JobBar plan={job} at={at} screen={title} />
  ) : (
    <PageBar title={title} at="jobs">
      <ButtonLink look="quiet" href={back}>
        Back
      </ButtonLink>
    </PageBar>
  )
}
