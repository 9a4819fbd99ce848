import { decodeWeight } from '@/core/api/fit'
import type { Connection, Driver } from './driver'

/** What is used of Web Bluetooth; its types are in no library of the browser's. */
interface Characteristic extends EventTarget {
  readonly value?: DataView
  startNotifications(): Promise<unknown>
}
interface Server {
  getPrimaryService(name: string): Promise<{ getCharacteristic(id: number): Promise<Characteristic> }>
  disconnect(): void
}
interface Device extends EventTarget {
  readonly gatt?: { connect(): Promise<Server> }
}
interface Bluetooth {
  requestDevice(options: { filters: readonly { services: readonly string[] }[] }): Promise<Device>
}

/** Published: Bluetooth SIG assigned numbers, from memory. */
const SERVICE = 'weight_scale'
const WEIGHT_MEASUREMENT = 0x2a9d

const bluetooth = (): Bluetooth | undefined => (navigator as { bluetooth?: Bluetooth }).bluetooth

/** A scale that speaks the published Weight Scale service. The browser asks which one. */
export const bluetoothScale: Driver = {
  id: 'bluetooth-scale',
  name: 'Bluetooth scale',
  reads: 'mass',
  available: () => bluetooth() !== undefined,
  async connect(says): Promise<Connection> {
    const device = await bluetooth()?.requestDevice({ filters: [{ services: [SERVICE] }] })
    const server = await device?.gatt?.connect()
    if (!device || !server) throw new Error('The scale cannot be reached.')
    const service = await server.getPrimaryService(SERVICE)
    const weight = await service.getCharacteristic(WEIGHT_MEASUREMENT)
    const onValue = () => {
      const { value } = weight
      if (!value) return
      const read = decodeWeight(new Uint8Array(value.buffer, value.byteOffset, value.byteLength))
      // The service sends a measurement once the scale itself has settled.
      says(
        read.ok
          ? { kind: 'reading', value: read.value.kg, steady: true }
          : { kind: 'refused', reason: read.reason },
      )
    }
    const onGone = () => says({ kind: 'lost', reason: 'The scale is out of reach or was switched off.' })
    weight.addEventListener('characteristicvaluechanged', onValue)
    device.addEventListener('gattserverdisconnected', onGone)
    await weight.startNotifications()
    return {
      close() {
        weight.removeEventListener('characteristicvaluechanged', onValue)
        device.removeEventListener('gattserverdisconnected', onGone)
        server.disconnect()
      },
    }
  },
}
