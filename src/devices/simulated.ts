import type { Connection, DeviceSays, SimulatedDriver } from './driver'

const EVERY_MS = 60

/** The same noise every time: a small congruential generator, so that a demo can be told and a test repeated. */
export function noiseFrom(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 0x1_0000_0000 - 0.5
  }
}

/** Readings of a load being hung on a scale: a swing that dies away over the first of them, and noise of a few grams. kg. */
export function hanging(target: number, count: number, noise: () => number): number[] {
  return Array.from({ length: count }, (_, i) =>
    Math.max(0, target * (1 - Math.exp(-i / 2.5) * Math.cos(i)) + noise() * 0.01),
  )
}

/** Readings of one pull on a wrench: rising to the target, and let go. N·m. */
export function pulling(target: number, count: number, noise: () => number): number[] {
  return Array.from({ length: count }, (_, i) => {
    const way = i / (count - 3)
    return way > 1 ? 0 : Math.max(0, target * Math.sin((way * Math.PI) / 2) + noise() * 0.02)
  })
}

interface Play {
  readonly id: string
  readonly name: string
  readonly readings: (target: number, noise: () => number) => readonly number[]
  readonly steadyFrom: number
  readonly drops?: true
}

function simulated(
  id: string,
  name: string,
  reads: 'mass' | 'torque',
  plays: readonly Play[],
): SimulatedDriver {
  let listener: ((what: DeviceSays) => void) | undefined
  let timer: ReturnType<typeof setInterval> | undefined
  const noise = noiseFrom(7)
  const stop = () => {
    clearInterval(timer)
    timer = undefined
  }
  return {
    id,
    name,
    reads,
    available: () => true,
    connect(says): Promise<Connection> {
      listener = says
      return Promise.resolve({
        close() {
          stop()
          listener = undefined
        },
      })
    },
    plays: plays.map((play) => ({ id: play.id, name: play.name })),
    play(playId, target) {
      stop()
      const play = plays.find((each) => each.id === playId)
      if (!play || !listener) return
      const readings = play.readings(target, noise)
      let at = 0
      timer = setInterval(() => {
        const value = readings[at]
        if (value === undefined) {
          stop()
          if (play.drops) {
            listener?.({ kind: 'lost', reason: 'The connection dropped.' })
            listener = undefined
          }
          return
        }
        listener?.({ kind: 'reading', value, steady: at >= play.steadyFrom })
        at += 1
      }, EVERY_MS)
    },
  }
}

export const simulatedScale = simulated('simulated-scale', 'Simulated hanging scale', 'mass', [
  { id: 'hang', name: 'Hang it on', readings: (target, noise) => hanging(target, 26, noise), steadyFrom: 14 },
  {
    id: 'drop',
    name: 'Drop the connection',
    readings: (target, noise) => hanging(target, 6, noise),
    steadyFrom: 99,
    drops: true,
  },
])

export const simulatedWrench = simulated('simulated-wrench', 'Simulated torque wrench', 'torque', [
  {
    id: 'pull',
    name: 'Pull to the figure',
    readings: (target, noise) => pulling(target, 14, noise),
    steadyFrom: 0,
  },
  {
    id: 'over',
    name: 'Pull too far',
    readings: (target, noise) => pulling(target * 1.5, 14, noise),
    steadyFrom: 0,
  },
  {
    id: 'drop',
    name: 'Drop the connection',
    readings: (target, noise) => pulling(target * 0.4, 5, noise),
    steadyFrom: 0,
    drops: true,
  },
])
