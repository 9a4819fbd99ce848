import { NO_LINES, takeLines } from '@/core/api/fit'
import type { Connection, Driver } from './driver'

/** What is used of Web Serial; its types are in no library of the browser's. */
interface Port {
  readonly readable: ReadableStream<Uint8Array> | null
  open(options: { baudRate: number }): Promise<void>
  close(): Promise<void>
}

const serial = (): { requestPort(): Promise<Port> } | undefined =>
  (navigator as { serial?: { requestPort(): Promise<Port> } }).serial

const BAUD = 9600

/** A scale or a wrench that prints its readings line by line on a serial port. The browser asks which one. */
export function serialLine(reads: 'mass' | 'torque'): Driver {
  return {
    id: `serial-${reads}`,
    name: reads === 'mass' ? 'Scale on a serial line' : 'Wrench on a serial line',
    reads,
    available: () => serial() !== undefined,
    async connect(says): Promise<Connection> {
      const port = await serial()?.requestPort()
      if (!port) throw new Error('No port was chosen.')
      await port.open({ baudRate: BAUD })
      const reader = port.readable?.getReader()
      if (!reader) throw new Error('The port cannot be read.')
      const text = new TextDecoder()
      let state = NO_LINES
      let closed = false
      const listen = async () => {
        try {
          for (let chunk = await reader.read(); !chunk.done; chunk = await reader.read()) {
            state = takeLines(state, text.decode(chunk.value, { stream: true }))
            for (const { dimension, value, steady } of state.readings)
              says(
                dimension === reads
                  ? { kind: 'reading', value, steady }
                  : { kind: 'refused', reason: `It sent a ${dimension}, not a ${reads}.` },
              )
            for (const line of state.refused) says({ kind: 'refused', reason: `No reading: ${line}` })
          }
        } catch {
          // The stream ends in an error when the plug is pulled.
        }
        if (!closed) says({ kind: 'lost', reason: 'The connection was lost.' })
      }
      void listen()
      return {
        close() {
          closed = true
          void reader.cancel().then(() => port.close())
        },
      }
    },
  }
}
