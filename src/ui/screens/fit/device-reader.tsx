'use client'
import { Note, Problem } from '@/ui/kit/field-note'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { Button } from '@/ui/kit/button'
import { peak, settle, UNSETTLED } from '@/core/api/fit'
import type { Plan } from '@/core/api/plan'
import { useIsDemo } from '@/ui/state/settings-store'
import { useEffect, useRef, useState } from 'react'
import { Quantity } from '@/ui/figures/quantity'
import { bluetoothScale } from '@/devices/bluetooth-scale'
import { isSimulated, type Connection, type DeviceSays, type Driver, type ReadBy } from '@/devices/driver'
import { serialLine } from '@/devices/serial-line'
import { simulatedScale, simulatedWrench } from '@/devices/simulated'

/** What is real comes first; what is only played is never chosen for anybody. */
const DRIVERS: readonly Driver[] = [
  bluetoothScale,
  serialLine('mass'),
  serialLine('torque'),
  simulatedScale,
  simulatedWrench,
]

/** A load has settled when five readings lie this near each other, kg; a pull is over below this, N·m. */
const SETTLED_WITHIN_KG = 0.03
const LET_GO_NM = 0.4

type Link =
  | { readonly at: 'none' }
  | { readonly at: 'connecting' }
  | { readonly at: 'there'; readonly driver: Driver }
  | { readonly at: 'lost'; readonly reason: string }

/**
 * Reads a scale or a wrench for a field: what has settled, or the most a pull came to, is handed on; what was taken
 * before a connection dropped stays taken.
 */
export function DeviceReader({
  reads,
  target,
  plan,
  onReading,
}: {
  reads: 'mass' | 'torque'
  target: number
  /** A job of the demo is offered the played devices too. */
  plan: Plan
  onReading: (value: number, by: ReadBy) => void
}) {
  const simulated = useIsDemo(plan)
  const [link, setLink] = useState<Link>({ at: 'none' })
  const [now, setNow] = useState<number>()
  const [noise, setNoise] = useState<string>()
  const connection = useRef<Connection>(undefined)
  // A connection outlives the step in hand: what it says goes to whatever is asked for when it says so.
  const hand = useRef(onReading)
  useEffect(() => {
    hand.current = onReading
  }, [onReading])
  const state = useRef({ settling: UNSETTLED, pulled: undefined as number | undefined, given: false })
  useEffect(() => () => connection.current?.close(), [])
  const dimension = reads
  const hear = (driver: Driver) => (what: DeviceSays) => {
    if (what.kind === 'lost') {
      setLink({ at: 'lost', reason: what.reason })
      setNow(undefined)
      state.current = { settling: UNSETTLED, pulled: undefined, given: false }
      return
    }
    if (what.kind === 'refused') {
      setNoise(what.reason)
      return
    }
    setNoise(undefined)
    setNow(what.value)
    if (reads === 'mass') {
      state.current.settling = settle(state.current.settling, what.value, SETTLED_WITHIN_KG)
      const { settled } = state.current.settling
      if (settled === undefined) state.current.given = false
      else if (what.steady && !state.current.given) {
        state.current.given = true
        hand.current(settled, { name: driver.name, simulated: isSimulated(driver) })
      }
      return
    }
    const { pulled } = state.current
    if (pulled !== undefined && what.value < LET_GO_NM) {
      state.current.pulled = undefined
      hand.current(pulled, { name: driver.name, simulated: isSimulated(driver) })
    } else state.current.pulled = peak(pulled, what.value, LET_GO_NM)
  }
  const connect = async (driver: Driver) => {
    setLink({ at: 'connecting' })
    connection.current?.close()
    try {
      connection.current = await driver.connect(hear(driver))
      state.current = { settling: UNSETTLED, pulled: undefined, given: false }
      setLink({ at: 'there', driver })
    } catch (error) {
      setLink({
        at: 'lost',
        reason: error instanceof Error ? error.message : 'The device could not be connected.',
      })
    }
  }
  const [chosen, choose] = useState('')
  const fitting = DRIVERS.filter(
    (driver) => driver.reads === reads && driver.available() && (simulated || !isSimulated(driver)),
  )
  const driver = link.at === 'there' ? link.driver : undefined
  return (
    <fieldset className="border-1 border-edge pt-[0.3rem] px-[0.6rem] pb-[0.6rem] grid gap-[0.4rem]">
      <legend className={CONTROL_CLASS.label}>From a device</legend>
      <p aria-live="polite">
        {driver && (
          <>
            {driver.name}: {now === undefined ? 'waiting' : <Quantity dimension={dimension} value={now} />}
          </>
        )}
      </p>
      {driver ? (
        <>
          <div className="flex flex-wrap gap-1.5">
            {isSimulated(driver) &&
              driver.plays.map(({ id, name }) => (
                <Button
                  key={id}

                  onClick={() => {
                    state.current = { settling: UNSETTLED, pulled: undefined, given: false }
                    driver.play(id, target)
                  }}
                >
                  {name}
                </Button>
              ))}
            <Button
              onClick={() => {
                connection.current?.close()
                setLink({ at: 'none' })
              }}
            >
              Disconnect
            </Button>
          </div>
        </>
      ) : (
        <div className="flex flex-wrap gap-1.5">
          <select
            className={`${CONTROL_CLASS.select} w-auto! flex-1`}
            aria-label="Device"
            value={chosen}
            onChange={(event) => choose(event.target.value)}
          >
            <option value="">
              {fitting.length === 0 ? 'none that this browser can read' : 'choose one'}
            </option>
            {fitting.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
          <Button
            disabled={link.at === 'connecting' || chosen === ''}
            onClick={() => {
              const next = fitting.find(({ id }) => id === chosen)
              if (next) void connect(next)
            }}
          >
            {link.at === 'connecting' ? 'Connecting' : 'Connect'}
          </Button>
        </div>
      )}
      {link.at === 'lost' && (
        <Problem>{link.reason} Earlier readings are kept. Connect again to continue.</Problem>
      )}
      {noise !== undefined && <Note>{noise}</Note>}
    </fieldset>
  )
}
