import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import type { LogEvent } from '../log/event'
import { NOTHING_DONE, type BayProgress } from '../log/record'
import { replay } from '../log/replay'
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
  replay(
    made.map((each, i): LogEvent => {
      const common = {
        id: `e${i}`,
        at: '2027-03-12T09:00:00Z',
        turn: i + 1,
        vehicleId: 'v',
        jobId: 'j',
        by: 'Wren',
        jointId: joint.id,
        what: joint.name,
        spot: each.spot,
      }
      return 'found' in each
        ? { ...common, kind: 'overLooked', nm: 2 * most, found: each.found }
        : { ...common, kind: 'torqued', pass: last, percent: 100, nm: each.nm }
    }),
  ).jobs.get('j') ?? NOTHING_DONE
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
