'use client'
import type { Plan } from '@/core/api/plan'
import type { Stage } from '@/core/api/assess'
import { ButtonLink } from '@/ui/kit/button'
import { PageBar } from '@/ui/app/page-bar'
import type { RouteName } from '@/ui/routes'
import { JobBar } from './job-bar'

/** The bar over a sheet: the bar of its job at its stage, or the bar of the shop with the way back. */
export function SheetBar({
  screen,
  about,
  job,
  at,
  back,
}: {
  screen: RouteName
  /** What the sheet describes. */
  about: string
  job: Plan | undefined
  at: Stage
  back: string
}) {
  return job ? (
    <JobBar plan={job} at={at} screen={about} />
  ) : (
    <PageBar screen={screen} about={about}>
      <ButtonLink variant="quiet" href={back}>
        Back
      </ButtonLink>
    </PageBar>
  )
}
