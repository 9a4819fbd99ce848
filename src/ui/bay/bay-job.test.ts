import { describe, expect, it } from 'vitest'
import { NOTHING_DONE, pullKey, type BayProgress } from '@/core/bay/log/replay'
import type { Step } from '@/core/bay/steps/step'
import { partsCheck } from '@/core/bay/parts-check'
import { survey } from '@/core/survey/survey'
import { boatAndBox } from '@/stock/plans'
import { currentIndex, holdsBack, minutesLeft, nextPull, stepFindings, stepsOf } from './bay-job'
import { primaryOf } from './primary'

const surveyed = survey(boatAndBox)
const order = stepsOf(boatAndBox, NOTHING_DONE)
const steps = order.ok ? order.steps : []
const step = (id: string): Step => {
  const found = steps.find((each) => each.id === id)
  if (!found) throw new Error(`no step ${id}`)
  return found
}
const held = (of: Step, progress: BayProgress) =>
  holdsBack(of, surveyed, stepFindings(of, surveyed, progress), progress)
const count = step('job/count')
const square = step('wing/square')
const feet = step('wing/torque-wing-feet-0')
const joint = 'wing/wing-feet:0'
const pulled = (...pulls: [string, number, number?][]): BayProgress => ({
  ...NOTHING_DONE,
  torqued: new Map(pulls.map(([spot, pass, nm]) => [pullKey(joint, spot, pass), nm])),
})

describe('where a job stands', () => {
  it('is its first step that is not done, and the last when all are', () => {
    expect(currentIndex(steps, NOTHING_DONE)).toBe(0)
    expect(currentIndex(steps, { ...NOTHING_DONE, done: new Set([steps[0]!.id]) })).toBe(1)
    const all = new Set(steps.map(({ id }) => id))
    expect(currentIndex(steps, { ...NOTHING_DONE, done: all })).toBe(steps.length - 1)
    expect(minutesLeft(steps, { ...NOTHING_DONE, done: all })).toBe(0)
  })

  it('pulls corner to corner, pass after pass', () => {
    expect(nextPull(feet, NOTHING_DONE)).toMatchObject({ at: 'LHF', pass: 1, nm: 3 })
    expect(nextPull(feet, pulled(['LHF', 1]))).toMatchObject({ at: 'RHR', pass: 1 })
    expect(nextPull(feet, pulled(['LHF', 1], ['RHR', 1], ['RHF', 1], ['LHR', 1]))).toMatchObject({
      at: 'LHF',
      pass: 2,
      nm: 4.5,
    })
    expect(primaryOf(boatAndBox, feet, pulled(['LHF', 1])).words).toBe('RHR done, next RHF')
  })
})

describe('what holds a step back', () => {
  it('parts that were not counted, or are short', () => {
    expect(held(count, NOTHING_DONE)).toContain('Count every line')
    const all = new Map(partsCheck(surveyed).lines.map(({ id, count: many }) => [id, many]))
    expect(held(count, { ...NOTHING_DONE, counted: all })).toBeUndefined()
    expect(held(count, { ...NOTHING_DONE, counted: new Map([...all, ['wing-feet', 3]]) })).toContain(
      'Put it right',
    )
  })

  it('bars that were not taped, or are out', () => {
    expect(held(square, NOTHING_DONE)).toContain('Tape both spreads')
    const taped = (right: number): BayProgress => ({
      ...NOTHING_DONE,
      measured: new Map([['wing/square wing-front~wing-rear', { spreadLeft: [760], spreadRight: [right] }]]),
    })
    expect(held(square, taped(761))).toBeUndefined()
    expect(held(square, taped(770))).toContain('Put it right')
    const said = {
      kind: 'deviated',
      id: 'd',
      at: '',
      vehicleId: 'v',
      stepId: 'wing/square',
      title: 't',
      reason: 'r',
    } as const
    expect(held(square, { ...taped(770), deviations: [said] })).toBeUndefined()
  })

  it('a last pull that read too much; an early one is not held to the full figure', () => {
    expect(held(feet, pulled(['LHF', 1, 3]))).toBeUndefined()
    const last = (nm: number) =>
      pulled(
        ...(['LHF', 'RHR', 'RHF', 'LHR'] as const).map((spot): [string, number, number] => [spot, 3, nm]),
      )
    expect(held(feet, last(6))).toBeUndefined()
    expect(held(feet, last(9))).toContain('Put it right')
  })

  it('proof that nobody gave', () => {
    const shake = step('prove/shake')
    expect(held(shake, NOTHING_DONE)).toBe('Say how it went.')
    expect(held(shake, { ...NOTHING_DONE, proved: new Map([['shake', 'good']]) })).toBeUndefined()
    expect(held(shake, { ...NOTHING_DONE, proved: new Map([['shake', 'notGood']]) })).toContain(
      'Put it right',
    )
  })
})

describe('the last step', () => {
  it('writes what was told, that it is done, and that the rack is on', () => {
    const tell = step('job/tell')
    const done = { ...NOTHING_DONE, done: new Set(steps.slice(0, -1).map(({ id }) => id)) }
    const kinds = primaryOf(boatAndBox, tell, done).events.map(({ kind }) => kind)
    expect(kinds.filter((kind) => kind === 'told').length).toBeGreaterThan(0)
    expect(kinds.slice(-2)).toEqual(['stepDone', 'fitted'])
    expect(primaryOf(boatAndBox, tell, { ...done, done: new Set(steps.map(({ id }) => id)) }).events).toEqual(
      [],
    )
  })
})
