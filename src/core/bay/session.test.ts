import { NOTHING_DONE, pullKey, type BayProgress, type Pulled } from '../log/record'
import { describe, expect, it } from 'vitest'
import type { Step } from './steps/step'
import { partsCheck } from './parts/parts-check'
import { survey } from '../survey/survey'
import { boatAndBox } from '@/demo/plans'
import { USUAL_BAY } from '../plan/schema/house'
import { phraseText } from '../units/phrase'
import { review } from '../review/review'
import type { LogEvent } from '../log/event'
import { holdsOf } from './holds'
import { badPull, nextPull, passPress } from './pulling'
import { signsWanted } from './wanted'
import { currentIndex, minutesLeft } from './session'
import { stepFindings } from './step-findings'
import { jobSteps } from './steps/job-steps'

const surveyed = survey(boatAndBox)
const order = jobSteps(surveyed, USUAL_BAY)
const steps = order.ok ? order.steps : []
const step = (id: string): Step => {
  const found = steps.find((each) => each.id === id)
  if (!found) throw new Error(`no step ${id}`)
  return found
}
const held = (of: Step, progress: BayProgress) =>
  holdsOf(of, surveyed, stepFindings(of, surveyed, progress), progress)[0]?.message
const count = step('job/count')
const square = step('wing/square')
const feet = step('wing/torque-wing-feet-0')
const joint = 'wing/wing-feet:0'
const pulled = (...pulls: [string, number, number?][]): BayProgress => ({
  ...NOTHING_DONE,
  torqued: new Map(
    pulls.map(([spot, pass, nm]) => [
      pullKey(joint, spot, pass),
      { nm, how: nm === undefined ? 'click' : 'reading' },
    ]),
  ),
})

const group = feet.task.kind === 'torque' ? feet.task.group : undefined
const made = (rest: Partial<NonNullable<typeof group>['joint']>): Step => ({
  ...feet,
  task: {
    kind: 'torque',
    group: {
      ...group!,
      joint: { ...group!.joint, ...rest },
      pulls: rest.torque ? group!.pulls.map((pull) => ({ ...pull, nm: undefined })) : group!.pulls,
    },
  },
})

/** The same feet where the sheet does not ask for the wrench to be read. */
const clicks = made({ signs: [] })

describe('where a job stands', () => {
  it('is its first step that is not done, and the last when all are', () => {
    expect(currentIndex(steps, NOTHING_DONE)).toBe(0)
    expect(currentIndex(steps, { ...NOTHING_DONE, done: new Set([steps[0]!.id]) })).toBe(1)
    const all = new Set(steps.map(({ id }) => id))
    expect(currentIndex(steps, { ...NOTHING_DONE, done: all })).toBe(steps.length - 1)
    expect(minutesLeft(steps, { ...NOTHING_DONE, done: all })).toEqual({ one: 0, two: 0 })
  })

  it('pulls corner to corner, pass after pass', () => {
    expect(nextPull(feet, NOTHING_DONE)).toMatchObject({ at: 'LHF', pass: 1, nm: 3 })
    expect(nextPull(feet, pulled(['LHF', 1]))).toMatchObject({ at: 'RHR', pass: 1 })
    expect(nextPull(feet, pulled(['LHF', 1], ['RHR', 1], ['RHF', 1], ['LHR', 1]))).toMatchObject({
      at: 'LHF',
      pass: 2,
      nm: 4.5,
    })
  })
})

describe('what holds a step back', () => {
  it('parts that were not counted, or are short', () => {
    expect(held(count, NOTHING_DONE)).toContain('Count every line')
    const all = new Map(partsCheck(surveyed).lines.map(({ id, count: many }) => [id, many]))
    expect(held(count, { ...NOTHING_DONE, counted: all })).toBeUndefined()
    expect(held(count, { ...NOTHING_DONE, counted: new Map([...all, ['wing-feet', 3]]) })).toContain(
      'Correct it',
    )
  })

  it('bars that were not taped, or are out', () => {
    expect(held(square, NOTHING_DONE)).toContain('Measure at least both spreads')
    const taped = (right: number): BayProgress => ({
      ...NOTHING_DONE,
      measured: new Map([['wing/square wing-front~wing-rear', { spreadLeft: [760], spreadRight: [right] }]]),
    })
    expect(held(square, taped(761))).toBeUndefined()
    expect(held(square, taped(770))).toContain('Correct it')
    const [stop] = stepFindings(square, surveyed, taped(770)).filter(({ severity }) => severity === 'stop')
    const said = (about: string[] | undefined): Extract<LogEvent, { kind: 'deviated' }> => ({
      kind: 'deviated',
      id: 'd',
      at: '',
      vehicleId: 'v',
      stepId: 'wing/square',
      title: 't',
      reason: 'r',
      about,
    })
    // What somebody said to differ lets pass what it is about, and nothing else (B4).
    expect(held(square, { ...taped(770), deviations: [said([stop!.id])] })).toBeUndefined()
    expect(held(square, { ...taped(770), deviations: [said(['measure'])] })).toContain('Correct it')
    expect(held(square, { ...taped(770), deviations: [said(undefined)] })).toContain('Correct it')
  })

  it('a last pull that read too much; an early one is not held to the full figure', () => {
    expect(held(clicks, pulled(['LHF', 1, 3]))).toBe('Pull LHF first, or say what differs.')
    // Over at the first pass is Stop at once, though something was said to differ there.
    const over = pulled(['LHF', 1, 7.5])
    const ids = stepFindings(feet, surveyed, over).map(({ id }) => id)
    const said = { kind: 'deviated', id: 'd', at: '', vehicleId: 'v', stepId: feet.id, title: 't' } as const
    expect(held(feet, { ...over, deviations: [{ ...said, reason: 'r', about: ids }] })).toContain(
      'Over torque',
    )
    const last = (nm: number) =>
      pulled(
        ...(['LHF', 'RHR', 'RHF', 'LHR'] as const).map((spot): [string, number, number] => [spot, 3, nm]),
      )
    // Its sheet asks for the click besides: read is not seen, and pulled again it is to be seen again.
    expect(held(feet, last(6))).toBe('Check its sign too, or say what differs.')
    const seen = new Set(['LHF', 'RHR', 'RHF', 'LHR'].map((spot) => `${joint} ${spot}`))
    expect(held(feet, { ...last(6), signs: seen })).toBeUndefined()
    expect(signsWanted(feet, last(6))).toEqual({ sign: 'one click', spots: ['LHF', 'RHF', 'LHR', 'RHR'] })
    expect(signsWanted(feet, { ...last(6), signs: seen })).toBeUndefined()
    expect(held(clicks, last(6))).toBeUndefined()
    expect(signsWanted(clicks, last(6))).toBeUndefined()
    expect(held(feet, last(9))).toContain('Over torque')
    expect(badPull(feet, last(9))).toMatchObject({ at: 'LHF', pass: 3 })
    expect(badPull(feet, last(6))).toBeUndefined()
  })

  it('proof that nobody gave', () => {
    const shake = step('prove/shake')
    expect(held(shake, NOTHING_DONE)).toBe('Enter the result.')
    expect(held(shake, { ...NOTHING_DONE, proved: new Map([['shake', 'good']]) })).toBeUndefined()
    expect(held(shake, { ...NOTHING_DONE, proved: new Map([['shake', 'notGood']]) })).toContain('Correct it')
  })
})

describe('handing over', () => {
  const tell = step('job/tell')
  const assessment = review(surveyed)
  const around = { steps: [], review: assessment, again: new Map<string, string>() }
  const stops = assessment.findings
    .filter(({ severity }) => severity === 'stop')
    .map(({ id }) => `plan ${id}`)
  const holds = (about: string[]) =>
    holdsOf(
      tell,
      surveyed,
      [],
      {
        ...NOTHING_DONE,
        deviations: [
          {
            id: 'd',
            at: '',
            stepId: tell.id,
            title: 't',
            reason: 'r',
            about,
          },
        ],
      },
      around,
    ).map(({ id }) => id)

  it('is shut by every Stop until a reason is given for that very one', () => {
    expect(stops.length).toBeGreaterThan(1)
    expect(holds([])).toEqual(stops)
    expect(holds(stops.slice(1))).toEqual(stops.slice(0, 1))
    expect(holds(stops)).toEqual([])
    expect(holdsOf(step('prove/shake'), surveyed, [], NOTHING_DONE, around).map(({ id }) => id)).toEqual([
      'prove',
    ])
  })
})

describe('one press for a pass', () => {
  it('names its places and how they are known; exceptions are pulled singly before it', () => {
    const press = passPress(feet, NOTHING_DONE)
    expect(phraseText(press!.message)).toBe('Clicked at 3 N·m, pass 1: LHF RHR RHF LHR')
    expect(press).toMatchObject({ how: 'click' })
    expect(passPress(feet, pulled(['LHF', 1, 3]))!.pulls.map(({ at }) => at)).toEqual(['RHR', 'RHF', 'LHR'])
  })

  it('is twelve presses at most for four feet in three passes with a click wrench', () => {
    let progress: BayProgress = NOTHING_DONE
    let presses = 0
    while (nextPull(clicks, progress)) {
      const press = passPress(clicks, progress)
      if (!press) throw new Error('a reading is wanted')
      presses += 1
      const given = press.pulls.map(({ at, pass }) => [pullKey(joint, at, pass), { how: press.how }] as const)
      progress = { ...progress, torqued: new Map<string, Pulled>([...progress.torqued, ...given]) }
    }
    expect(presses).toBe(3)
    expect(held(clicks, progress)).toBeUndefined()
  })

  it('is by feel, once, where there is no figure and no sign, and never "its sign seen" (B5)', () => {
    const press = passPress(made({ torque: { kind: 'unknown' }, signs: [] }), NOTHING_DONE)
    expect(press).toMatchObject({ how: 'feel' })
    expect(press!.pulls).toHaveLength(12)
    expect(phraseText(press!.message)).toBe('By feel: LHF RHR RHF LHR')
  })

  it('names the sign where that is all there is', () => {
    const press = passPress(made({ torque: { kind: 'unknown' }, signs: [{ kind: 'handle' }] }), NOTHING_DONE)
    expect(press).toMatchObject({ how: 'sign' })
    expect(phraseText(press!.message)).toBe('Seen, the handle has straightened: LHF RHR RHF LHR')
  })

  it('is not there at the last pass where the sheet wants the wrench read: each place is', () => {
    const read = made({ signs: [{ kind: 'reading' }] })
    const early = pulled(
      ...[1, 2].flatMap((pass) => ['LHF', 'RHR', 'RHF', 'LHR'].map((at): [string, number] => [at, pass])),
    )
    expect(passPress(read, NOTHING_DONE)).toBeDefined()
    expect(passPress(read, early)).toBeUndefined()
    expect(held(read, early)).toContain('Enter the wrench’s reading at LHF')
  })
})
