'use client'
import { FieldSwitch } from './field-switch'
import { Button } from '@/ui/kit/button'
import { foldedTogether, isOpen } from '@/core/api/assess'
import type { Plan } from '@/core/api/plan'
import dynamic from 'next/dynamic'
import { useDeferredValue, useEffect, useState } from 'react'
import { openFindings } from '@/ui/figures/finding-rows'
import { Findings } from './findings'
import { KEY_PLACE } from '@/ui/job/actions'
import { JobBar } from '@/ui/job/job-bar'
import { to } from '@/ui/routes'
import { dialogStore } from '@/ui/state/dialog-store'
import { showFinding, wantedFindingStore } from '@/ui/state/wanted-finding'
import { assessmentOf } from '@/ui/state/assessment'
import { LoadPathTable } from './load-path'
import { useOpening } from '@/ui/state/opening-store'
import { Openings } from './openings'
import { usePlan, type Picked } from '@/ui/state/plan-store'
import { Sheet } from './sheet'
import type { SheetMarks } from './sheet-views'
import { Shelf } from './shelf'
import { Strip } from './strip'
import { ZoomButtons } from './zoom-buttons'
import { useSearch } from '@/ui/state/use-search'

const CellSum = dynamic(() => import('./cell-sum').then((module) => module.CellSum))

/** What the drawing marks: the picked thing, what the focused finding speaks of, and what is there in this state. */
function useMarks(plan: Plan): SheetMarks {
  const { survey, review } = assessmentOf(plan)
  const picked = usePlan((store) => store.picked)
  const focus = usePlan((store) => store.focus)
  const state = usePlan((store) => store.state)
  const demanded = useOpening((store) => store.opening)
  // A finding that its fix has cleared no longer points at anything, though its row may have had the focus.
  const finding = review.findings.find((each) => each.id === focus && isOpen(each))
  const { obstacleId, placementIds, barId } = finding?.subject ?? {}
  const pointsAt = obstacleId ?? (finding?.rule === 'tent' ? placementIds?.[0] : undefined)
  const opens = pointsAt ?? demanded
  const layer = survey.loadPath.layers.find((each) => each.id === finding?.subject.layerId)
  return {
    picked,
    pointedThings: new Set(finding?.subject.placementIds),
    opening:
      opens === undefined
        ? undefined
        : { id: opens, metId: pointsAt === undefined ? undefined : (barId ?? placementIds?.[0]) },
    pointedRacks: new Set(layer?.group === 'rack' ? layer.rackIds : []),
    presentThings: new Set(
      survey.masses.flatMap((mass) =>
        mass.of === 'gear' && mass.states.includes(state) ? [mass.thing.placement.id] : [],
      ),
    ),
  }
}

/** The panels beside the drawing follow it a moment later, so that a drag never waits for them. */
function ShelfOf({ plan }: { plan: Plan }) {
  return <Shelf survey={assessmentOf(plan).survey} />
}

function PanelsOf({ plan }: { plan: Plan }) {
  const { survey, review } = assessmentOf(plan)
  return (
    <>
      <LoadPathTable survey={survey} review={review} />
      <Findings plan={plan} review={review} show={dialogStore.getState().show} />
    </>
  )
}

/** A picked thing's fields are many: they are made after the thing itself has answered the hand. */
function StripOf({ plan, picked }: { plan: Plan; picked: Picked | undefined }) {
  return <Strip survey={assessmentOf(plan).survey} picked={picked} />
}

/** The plan as all round the drawing shows it: at once, but during a drag only when the hand pauses. */
function useShown(): Plan | undefined {
  const resting = usePlan((store) => (store.dragFrom ? undefined : store.plan))
  const paused = useDeferredValue(usePlan((store) => store.pausedAt ?? store.dragFrom))
  const from = usePlan((store) => store.dragFrom)
  return resting ?? paused ?? from
}

type Drawer = 'none' | 'shelf' | 'path'

function OpenBench({ plan }: { plan: Plan }) {
  const { survey, review } = assessmentOf(plan)
  const [drawer, setDrawer] = useState<Drawer>('none')
  const cell = usePlan((store) => store.cell)
  const later = useDeferredValue(plan)
  const dragFrom = usePlan((store) => store.dragFrom)
  const standing = useDeferredValue(dragFrom ?? plan)
  const marks = useMarks(plan)
  const stripPicked = useDeferredValue(marks.picked)
  const wanted = useSearch('finding')
  useEffect(() => {
    if (wanted === undefined) return
    showFinding(wanted)
    // Asked once: going back or reloading does not ask again.
    window.history.replaceState(null, '', to('load', { job: plan.id }))
  }, [wanted, plan.id])
  useEffect(() => wantedFindingStore.subscribe(({ id }) => id !== undefined && setDrawer('path')), [])
  const count = foldedTogether(openFindings(review)).length
  return (
    <div className="load-page">
      <JobBar plan={plan} at="load" />
      <div
        className={`area-shelf [contain:layout_paint] flex min-h-0 flex-col border-r border-r-base-content bg-base-200 max-wide:hidden max-wide:fixed max-wide:inset-x-0 max-wide:bottom-16 max-wide:h-[72dvh] max-wide:border-0 max-wide:border-t-[2.5px] max-wide:border-t-base-content max-wide:z-20 ${drawer === 'shelf' ? 'max-wide:flex!' : ''}`}
        id="shelf"
        {...KEY_PLACE}
      >
        <ShelfOf plan={standing} />
      </div>
      <main className="area-drawing flex min-h-0 min-w-0 flex-col max-wide:block">
        <div {...KEY_PLACE} className="relative min-h-0 flex-1">
          <Sheet marks={marks} />
        </div>
        <div className="bg-paper flex flex-wrap justify-between px-2">
          <ZoomButtons survey={survey} picked={marks.picked} />
          <div className="flex flex-wrap">
            <FieldSwitch />
            <Openings survey={survey} />
          </div>
        </div>
        <StripOf plan={plan} picked={stripPicked} />
      </main>
      <aside
        className={`area-path [contain:layout_paint] min-h-0 overflow-y-auto border-l border-l-base-content bg-base-200 max-wide:overflow-visible max-wide:border-0 max-wide:border-t max-wide:border-t-base-content max-[44rem]:hidden max-[44rem]:fixed max-[44rem]:inset-x-0 max-[44rem]:bottom-16 max-[44rem]:h-[72dvh] max-[44rem]:overflow-y-auto max-[44rem]:border-t-[2.5px] max-[44rem]:z-20 ${drawer === 'path' ? 'max-[44rem]:block!' : ''}`}
        aria-label="Load path and findings"
        id="path"
        {...KEY_PLACE}
      >
        <PanelsOf plan={later} />
      </aside>
      <div
        role="group"
        className="hidden max-wide:fixed max-wide:inset-x-0 max-wide:bottom-0 max-wide:z-21 max-wide:flex max-wide:gap-[0.5rem] max-wide:p-[0.6rem] max-wide:border-t max-wide:border-t-base-content max-wide:bg-base-100"
        aria-label="Panels"
      >
        <Button
          className="flex-1"
          aria-expanded={drawer === 'shelf'}
          aria-controls="shelf"
          onClick={() => setDrawer(drawer === 'shelf' ? 'none' : 'shelf')}
        >
          {drawer === 'shelf' ? 'Close the shelf' : 'Shelf'}
        </Button>
        <Button
          variant="solid"
          className="flex-1 min-[44rem]:hidden"
          aria-expanded={drawer === 'path'}
          aria-controls="path"
          onClick={() => setDrawer(drawer === 'path' ? 'none' : 'path')}
        >
          {drawer === 'path'
            ? 'Close the load path'
            : `Load path, ${count} ${count === 1 ? 'finding' : 'findings'}`}
        </Button>
      </div>
      {cell !== undefined && <CellSum survey={survey} />}
    </div>
  )
}

/** The load of one job: drawing, load path, findings and shelf. Only the drawing itself follows every move of a hand. */
export function LoadScreen() {
  const plan = useShown()
  return plan && <OpenBench plan={plan} />
}
