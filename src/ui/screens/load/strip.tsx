'use client'
import { Problem } from '@/ui/kit/field-note'
import { Fact } from '@/ui/kit/fact'
import { STATE_WORD, type Survey } from '@/core/api/assess'
import { STATES } from '@/core/api/plan'
import { PhraseLine, Quantity } from '@/ui/figures/quantity'
import { BarStrip } from './bar-strip'
import { usePlan, type Picked } from '@/ui/state/plan-store'
import { ThingStrip } from './thing-strip'

/** What is worth knowing while nothing is picked: how high it all stands, and how much there is of it. */
function NothingPicked({ survey }: { survey: Survey }) {
  const top = survey.drivingTop
  return (
    <>
      <p className="text-ink2 py-1">
        Pick a thing or a bar in the drawing: drag it, nudge it with the arrow keys, or type its numbers here.
      </p>
      <dl className="mt-2 flex flex-wrap gap-x-8 gap-y-2">
        <Fact title="Height label for the dash" framed note={<>driving; {top.name} is highest</>}>
          <Quantity dimension="length" value={Math.ceil(top.topMm)} />
        </Fact>
        {survey.racks.map(({ rack, index }) => (
          <Fact key={rack.id} title={rack.name} note="stands on it, carriers and contents">
            {STATES.map((state) => (
              <span key={state} className="mr-3">
                {STATE_WORD[state]} <Quantity dimension="mass" value={survey.onRackKg(index, state)} />
              </span>
            ))}
          </Fact>
        ))}
      </dl>
    </>
  )
}

/** The one place where the picked thing's numbers are typed. */
export function Strip({ survey, picked }: { survey: Survey; picked: Picked | undefined }) {
  const refusal = usePlan((store) => store.refusal)
  const notice = usePlan((store) => store.notice)
  const thing = picked?.kind === 'thing' ? survey.thingById.get(picked.id) : undefined
  const bar = picked?.kind === 'bar' ? survey.bars.find((at) => at.bar.id === picked.id) : undefined
  return (
    <section
      id="picked"
      aria-label="The picked thing"
      className="border-t border-t-base-content bg-base-200 pt-[0.35rem] px-[0.9rem] pb-[0.6rem] min-h-[9.6rem] max-h-[15rem] flex-none overflow-y-auto max-wide:max-h-none"
    >
      <p role="status" className={notice === undefined ? 'sr-only' : 'mb-1 font-semibold'}>
        {notice !== undefined && <PhraseLine phrase={notice} />}
      </p>
      {refusal !== undefined && <Problem>{refusal}</Problem>}
      {thing ? (
        <ThingStrip key={thing.placement.id} thing={thing} survey={survey} />
      ) : bar ? (
        <BarStrip key={bar.bar.id} at={bar} survey={survey} />
      ) : (
        <NothingPicked survey={survey} />
      )}
    </section>
  )
}
