import { peak, settle, UNSETTLED } from '@/core/api/fit'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { DeviceSays } from './driver'
import { hanging, noiseFrom, pulling, simulatedScale, simulatedWrench } from './simulated'

beforeEach(() => {
  vi.useFakeTimers()
})
afterEach(() => {
  vi.useRealTimers()
})

async function said(driver: typeof simulatedScale, play: string, target: number): Promise<DeviceSays[]> {
  const list: DeviceSays[] = []
  const connection = await driver.connect((what) => list.push(what))
  driver.play(play, target)
  vi.advanceTimersByTime(5000)
  connection.close()
  return list
}

describe('the simulated scale', () => {
  it('swings, comes to rest at the load within its noise, and settles', () => {
    const readings = hanging(18.2, 26, noiseFrom(1))
    expect(readings[0]).toBeLessThan(1)
    expect(Math.abs(readings.at(-1)! - 18.2)).toBeLessThan(0.02)
    const settled = readings.reduce((so, value) => settle(so, value, 0.03), UNSETTLED)
    expect(settled.settled).toBeCloseTo(18.2, 1)
  })

  it('has the same noise every time from the same seed, and it is never more than half', () => {
    const list = (seed: number) => Array.from({ length: 200 }, noiseFrom(seed))
    expect(list(3)).toEqual(list(3))
    expect(list(3)).not.toEqual(list(4))
    for (const each of list(3)) expect(Math.abs(each)).toBeLessThanOrEqual(0.5)
  })

  it('drops its connection in the middle, and is silent until it is connected anew', async () => {
    const list = await said(simulatedScale, 'drop', 18)
    expect(list.filter(({ kind }) => kind === 'reading').length).toBeGreaterThan(3)
    expect(list.at(-1)?.kind).toBe('lost')
    expect((await said(simulatedScale, 'hang', 18)).every(({ kind }) => kind === 'reading')).toBe(true)
  })

  it('says nothing once it is closed', async () => {
    const list: DeviceSays[] = []
    const connection = await simulatedScale.connect((what) => list.push(what))
    simulatedScale.play('hang', 10)
    vi.advanceTimersByTime(200)
    const before = list.length
    connection.close()
    vi.advanceTimersByTime(5000)
    expect(list.length).toBe(before)
  })
})

describe('the simulated wrench', () => {
  const peakOf = (list: readonly DeviceSays[]) =>
    list.reduce<number | undefined>(
      (so, what) => (what.kind === 'reading' ? peak(so, what.value, 0.4) : so),
      undefined,
    )

  it('rises to the figure and is let go', async () => {
    const list = await said(simulatedWrench, 'pull', 6)
    expect(peakOf(list)).toBeCloseTo(6, 1)
    expect(list.at(-1)).toMatchObject({ kind: 'reading', value: 0 })
    expect(peakOf(await said(simulatedWrench, 'over', 6))).toBeCloseTo(9, 1)
  })

  it('never reads less than nothing', () => {
    for (const value of pulling(0.1, 20, noiseFrom(9))) expect(value).toBeGreaterThanOrEqual(0)
  })
})
