import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { NO_LINES, readLine, takeLines, type LineState } from './line-protocol'
import { peak, settle, UNSETTLED } from './settling'
import { decodeWeight } from './weight-measurement'

/** A frame by the format's own layout (Bluetooth Weight Scale Service, 0x2A9D, from memory), written out byte by byte. */
function frame(flags: number, raw: number): number[] {
  const bytes = [flags, raw & 0xff, raw >> 8]
  if (flags & 2) bytes.push(0xea, 0x07, 11, 25, 9, 5, 59)
  if (flags & 4) bytes.push(3)
  if (flags & 8) bytes.push(0xf5, 0x00, 0x2c, 0x01)
  return bytes
}

describe('the Weight Measurement characteristic', () => {
  const all = Array.from({ length: 16 }, (_, flags) => flags)
  it.each(all)('with flags %i', (flags) => {
    const read = decodeWeight(new Uint8Array(frame(flags, 3640)))
    if (!read.ok) throw new Error(read.reason)
    const pounds = (flags & 1) !== 0
    // 3640 × 0.005 kg = 18.2 kg; 3640 × 0.01 lb = 36.4 lb = 16.5108 kg.
    expect(read.value.kg).toBeCloseTo(pounds ? 16.510762 : 18.2, 6)
    expect(read.value.unit).toBe(pounds ? 'lb' : 'kg')
    expect(read.value.at).toBe(flags & 2 ? '2026-11-25T09:05:59' : undefined)
    expect(read.value.userId).toBe(flags & 4 ? 3 : undefined)
    expect(read.value.bmi).toBe(flags & 8 ? 24.5 : undefined)
    if (flags & 8) expect(read.value.heightM).toBeCloseTo(pounds ? 0.762 : 0.3, 9)
    else expect(read.value.heightM).toBeUndefined()
  })

  it.each(all)('with flags %i is refused at every length that is too short, and never throws', (flags) => {
    const whole = frame(flags, 100)
    for (let length = 0; length < whole.length; length += 1)
      expect(decodeWeight(new Uint8Array(whole.slice(0, length))).ok).toBe(false)
    expect(decodeWeight(new Uint8Array([...whole, 9, 9])).ok).toBe(true)
  })

  it('says when the measurement did not come off, and when the clock is not set', () => {
    expect(decodeWeight(new Uint8Array([0, 0xff, 0xff]))).toMatchObject({ ok: false })
    const noYear = decodeWeight(new Uint8Array([2, 100, 0, 0, 0, 11, 25, 9, 5, 59]))
    expect(noYear.ok && noYear.value.at).toBe(undefined)
  })

  it('reads from the middle of a larger buffer', () => {
    const buffer = new Uint8Array([9, 9, ...frame(0, 2000), 9])
    expect(decodeWeight(buffer.subarray(2, 5))).toMatchObject({ ok: true, value: { kg: 10 } })
  })
})

describe('a line of a scale or wrench', () => {
  it.each([
    ['ST,+0012.35 kg', 'mass', 12.35, true],
    ['US,GS, 12.35 kg', 'mass', 12.35, false],
    ['27.2 lb', 'mass', 12.337712, true],
    ['5.2 Nm', 'torque', 5.2, true],
    ['ST, 13 ft-lb', 'torque', 17.625633, true],
    ['4,5 N·m', 'torque', 4.5, true],
  ] as const)('%s', (line, dimension, value, steady) => {
    const read = readLine(line)
    expect(read).toMatchObject({ dimension, steady })
    expect(read?.value).toBeCloseTo(value, 5)
  })

  it.each(['', 'ERR', '12.3', 'kg', '12 parsecs', 'ST,--- kg'])('“%s” is none', (line) => {
    expect(readLine(line)).toBeUndefined()
  })

  it('is read the same however the stream is cut', () => {
    const text = 'ST,1.00 kg\r\nUS,2.00 kg\r\nnoise\r\n3.00 kg\n'
    const whole = takeLines(NO_LINES, text)
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1 }), (sizes) => {
        let state: LineState = NO_LINES
        const readings = []
        const refused = []
        let at = 0
        for (let i = 0; at < text.length; i += 1) {
          const size = sizes[i % sizes.length]!
          state = takeLines(state, text.slice(at, at + size))
          at += size
          readings.push(...state.readings)
          refused.push(...state.refused)
        }
        expect(readings).toEqual(whole.readings)
        expect(refused).toEqual(['noise'])
      }),
    )
    expect(whole.readings.map(({ value }) => value)).toEqual([1, 2, 3])
  })

  it('without end is thrown away, and the next one is read', () => {
    const long = takeLines(NO_LINES, 'x'.repeat(500))
    expect(long.rest).toBe('')
    expect(takeLines(long, '\n2 kg\n').readings).toHaveLength(1)
  })
})

describe('settling', () => {
  it('takes five readings that hold still, whatever came before', () => {
    const noisy = [0, 7, 18, 18.21, 18.19, 18.2, 18.2, 18.2]
    const states = noisy.reduce(
      (list, value) => [...list, settle(list.at(-1) ?? UNSETTLED, value, 0.05)],
      [UNSETTLED],
    )
    expect(states.map(({ settled }) => settled !== undefined)).toEqual([
      false,
      false,
      false,
      false,
      false,
      false,
      false,
      false,
      true,
    ])
    expect(states.at(-1)?.settled).toBe(18.2)
  })

  it('a wrench’s pull is the most it reached', () => {
    expect(
      [0.1, 2, 5.8, 6.1, 3, 0.2].reduce<number | undefined>((so, value) => peak(so, value, 0.5), undefined),
    ).toBe(6.1)
  })
})
