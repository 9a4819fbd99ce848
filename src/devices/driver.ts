import type { Calibration } from '@/core/api/fit'

/** What a device says: a reading (kg or N·m), something it sent that is none, or that it is gone. */
export type DeviceSays =
  | { readonly kind: 'reading'; readonly value: number; readonly steady: boolean }
  | { readonly kind: 'refused'; readonly reason: string }
  | { readonly kind: 'lost'; readonly reason: string }

export interface Connection {
  close(): void
}

/** A kind of device. Connecting asks the person where the browser wants that, and fails with a reason to show. */
export interface Driver {
  readonly id: string
  readonly name: string
  readonly reads: 'mass' | 'torque'
  /** Whether this browser has what it takes. */
  available(): boolean
  connect(says: (what: DeviceSays) => void): Promise<Connection>
}

/** A device that is only played: what hangs on it or how it is pulled is said by hand. */
export interface SimulatedDriver extends Driver {
  readonly plays: readonly { readonly id: string; readonly name: string }[]
  play(id: string, target: number): void
}

export const isSimulated = (driver: Driver): driver is SimulatedDriver => 'plays' in driver

/** What a reading came from, as the log keeps it. */
export interface ReadBy {
  readonly name: string
  readonly simulated: boolean
  readonly calibration?: Calibration | undefined
}

/** What a reading came from where it was typed: in which unit, off which tool. */
export type ByHand = { readonly [K in keyof ReadBy]?: ReadBy[K] | undefined } & {
  readonly typed?: string | undefined
}
