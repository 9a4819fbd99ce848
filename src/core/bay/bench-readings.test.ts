import { NOTHING_DONE } from '../log/record'
import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import type { Plan } from '../plan/schema/plan'
import { USUAL_BAY } from '../plan/schema/house'
import { survey } from '../survey/survey'
import { spreadMeasured, withBenchReadings } from './bench-readings'
import { stepFindings } from './step-findings'
import { jobSteps } from './steps/job-steps'
import type { Step } from './steps/step'

const spread = (side: 'left' | 'right', mm: number, id = `m-${side}`): Plan['measurements'][number] => ({
  kind: 'length',
  id,
  of: { about: 'spread', frontBarId: 'wing-front', rearBarId: 'wing-rear', side },
  datum: 'centre to centre',
  readingsMm: [mm],
})
const plan: Plan = { ...boatAndBox, measurements: [spread('left', 760), spread('right', 771)] }
const surveyed = survey(plan)
const order = jobSteps(surveyed, USUAL_BAY)
const steps: readonly Step[] = order.ok ? order.steps : []
const step = (id: string) => steps.find((each) => each.id === id)!

describe('what was taped on the bench', () => {
  it('stands in the bay until it is taped there, and is judged as any reading', () => {
    const progress = withBenchReadings(NOTHING_DONE, steps, plan)
    expect(progress.measured.get('wing/square wing-front~wing-rear')).toEqual({
      spreadLeft: [760],
      spreadRight: [771],
    })
    expect(stepFindings(step('wing/square'), surveyed, progress).map(({ severity }) => severity)).toContain(
      'stop',
    )
    const taped = new Map([['wing/square wing-front~wing-rear', { spreadLeft: [760] }]])
    expect(withBenchReadings({ ...NOTHING_DONE, measured: taped }, steps, plan).measured).toEqual(taped)
  })

  it('never stands for the taping after it is tightened, and is nothing where nothing was taped', () => {
    const progress = withBenchReadings(NOTHING_DONE, steps, plan)
    expect(progress.measured.has('wing/square-again wing-front~wing-rear')).toBe(false)
    expect(withBenchReadings(NOTHING_DONE, steps, boatAndBox)).toBe(NOTHING_DONE)
  })

  it('is one measurement a side: the last of the two', () => {
    const { task } = step('wing/square')
    const ask = task.kind === 'measure' ? task.pairs[0]! : undefined
    const twice = { ...plan, measurements: [...plan.measurements, spread('left', 765, 'later')] }
    expect(spreadMeasured(twice, ask!, 'left')?.id).toBe('later')
    expect(spreadMeasured(boatAndBox, ask!, 'left')).toBeUndefined()
  })
})
