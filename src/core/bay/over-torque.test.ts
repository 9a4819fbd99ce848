import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import type { LogEvent } from '../log/event'
import { progressAfter, type UnsignedEvent } from '../log/job-progress.testing'
import type { BayProgress } from '../log/record'
import { USUAL_BAY } from '../plan/schema/house'
import { phraseText } from '../units/phrase'
import { survey } from '../survey/survey'
import { holdsOf } from './holds'
import { stepFindings } from './step-findings'
import { jobSteps } from './steps/job-steps'
import { torqueRows } from './torque/torque-rows'

const surveyed = survey(boatAndBox)
const order = jobSteps(surveyed, USUAL_BAY)
const step = order.ok ? order.steps.find(({ id }) => id === 'wing/torque-wing-feet-0') : undefined
if (step?.task.kind !== 'torque') throw new Error('The feet are tightened.')
const { joint, pulls } = step.task.group
const last = Math.max(...pulls.map(({ pass }) => pass))
const most = joint.torque.kind === 'sheet' ? joint.torque.toNm : 0

type Made =
  | Pick<Extract<LogEvent, { kind: 'torqued' }>, 'spot' | 'nm'>
  | { readonly spot: string; readonly found: string }
const after = (...made: readonly Made[]): BayProgress =>
  progressAfter(
    ...made.map((each): UnsignedEvent => {
      const place = { by: 'Wren', jointId: joint.id, what: joint.name, spot: each.spot }
      return 'found' in each
        ? { ...place, kind: 'overLooked', nm: 2 * most, found: each.found }
        : { ...place, kind: 'torqued', pass: last, percent: 100, nm: each.nm }
    }),
  )
const stops = (progress: BayProgress) =>
  stepFindings(step, surveyed, progress)
    .filter(({ severity }) => severity === 'stop')
    .map(({ sentence }) => phraseText(sentence))
const printed = (progress: BayProgress) =>
  torqueRows(surveyed, USUAL_BAY, progress)
    .map(({ read }) => phraseText(read))
    .join('\n')

describe('an over-torque (B2)', () => {
  const over = { spot: 'RHR', nm: 2 * most }
  const right = { spot: 'RHR', nm: most }

  it('is not forgiven by a lower reading: the joint stays stopped until somebody says what was found', () => {
    const [said] = stops(after(over, right))
    expect(said).toMatch(/^RHR, .*: it was tightened to .*Look at thread, pad and rail/)
    expect(
      holdsOf(step, surveyed, stepFindings(step, surveyed, after(over, right)), after(over, right))[0],
    ).toMatchObject({
      coverable: false,
      stops: true,
    })
    expect(printed(after(over, right))).toContain('nobody has said what was found')
    expect(stops(after(over, right, { spot: 'RHR', found: 'Thread sound, pad renewed' }))).toEqual([])
  })

  it('is printed with who looked and what was found, whatever is read later', () => {
    const sheet = printed(after(over, { spot: 'RHR', found: 'Thread sound, pad renewed' }, right))
    expect(sheet).toContain('RHR was tightened to')
    expect(sheet).toContain('looked at by Wren: Thread sound, pad renewed')
  })

  it('says the reading itself as long as that is over, and begins again with the next one', () => {
    expect(stops(after(over))).toHaveLength(1)
    expect(stops(after(over))[0]).toContain(' is over ')
    const again = after(over, { spot: 'RHR', found: 'Sound' }, over, right)
    expect(stops(again)).toHaveLength(1)
    expect(stops(after(right))).toEqual([])
  })
})
