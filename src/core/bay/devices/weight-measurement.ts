/** A mass as a scale sent it: kg, with what else the frame carried. */
interface WeightMeasurement {
  readonly kg: number
  readonly unit: 'kg' | 'lb'
  /** When, by the scale's own clock, where it sends one. */
  readonly at: string | undefined
  readonly userId: number | undefined
  readonly bmi: number | undefined
  readonly heightM: number | undefined
}

type Decoded<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly reason: string }

const POUND_KG = 0.45359237
/** What the format sends where the measurement did not come off. */
const FAILED = 0xffff

/**
 * The Weight Measurement characteristic, 0x2A9D, of the Bluetooth Weight Scale Service. Published: Bluetooth SIG, from
 * memory. Flags: bit 0 pounds (else kilograms), 1 time stamp, 2 user, 3 BMI and height. Little-endian; resolution
 * 0.005 kg or 0.01 lb; time as year, month, day, hours, minutes, seconds; BMI in tenths; height in mm or tenths of an inch.
 */
export function decodeWeight(bytes: Uint8Array): Decoded<WeightMeasurement> {
  const refuse = (reason: string) => ({ ok: false, reason }) as const
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  if (bytes.length < 3) return refuse(`a weight takes 3 bytes at least, here are ${bytes.length}`)
  const flags = view.getUint8(0)
  const [pounds, timed, user, body] = [1, 2, 4, 8].map((bit) => (flags & bit) !== 0)
  const wanted = 3 + (timed ? 7 : 0) + (user ? 1 : 0) + (body ? 4 : 0)
  if (bytes.length < wanted) return refuse(`its flags promise ${wanted} bytes, here are ${bytes.length}`)
  const raw = view.getUint16(1, true)
  if (raw === FAILED) return refuse('the scale says the measurement did not come off')
  let at = 3
  let stamp: string | undefined
  if (timed) {
    const [year, month, day] = [view.getUint16(at, true), view.getUint8(at + 2), view.getUint8(at + 3)]
    const two = (value: number) => String(value).padStart(2, '0')
    const clock = [4, 5, 6].map((offset) => two(view.getUint8(at + offset))).join(':')
    // A year, month or day of 0 is not known.
    stamp = year === 0 || month === 0 || day === 0 ? undefined : `${year}-${two(month)}-${two(day)}T${clock}`
    at += 7
  }
  const userId = user ? view.getUint8(at) : undefined
  if (user) at += 1
  const bmi = body ? view.getUint16(at, true) / 10 : undefined
  const height = body ? view.getUint16(at + 2, true) : undefined
  return {
    ok: true,
    value: {
      kg: pounds ? raw * 0.01 * POUND_KG : raw * 0.005,
      unit: pounds ? 'lb' : 'kg',
      at: stamp,
      userId,
      bmi,
      heightM: height === undefined ? undefined : pounds ? (height / 10) * 0.0254 : height / 1000,
    },
  }
}
