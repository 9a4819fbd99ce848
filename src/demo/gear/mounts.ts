import type { Gear } from '@/core/api/plan'

/** Ways of holding that the demo's invented gear shares. */

export const strap: Gear['fit'] = { mount: { kind: 'strap' } }
export const loose: Gear['fit'] = { mount: { kind: 'none' } }

const spreadOf = (spread: [number, number] | undefined) =>
  spread ? { spreadMm: { fromMm: spread[0], toMm: spread[1] } } : {}

export const slot = (stackMm: number, spread?: [number, number]): Gear['fit'] => ({
  mount: { kind: 'channelBolt', slotMm: 20, headMm: 7, thread: 'M6', stackMm },
  ...spreadOf(spread),
})
export const clamp = (underBarMm: number, spread?: [number, number]): Gear['fit'] => ({
  mount: {
    kind: 'wrapClamp',
    sectionWidthMm: { fromMm: 25, toMm: 90 },
    sectionHeightMm: { fromMm: 15, toMm: 36 },
    underBarMm,
  },
  ...spreadOf(spread),
})
export const slat: Gear['fit'] = { mount: { kind: 'slat', slotMm: 11 } }
export const panel: Gear['fit'] = { mount: { kind: 'panelHoles', pitchMm: 50, columns: 3, rows: 2 } }

/** A place of a carrier, over its middle. */
export const inside = (
  id: string,
  name: string,
  kind: 'inside' | 'deck' | 'cradle' | 'clamp' | 'tray',
  zMm: number,
  yMm = 0,
) => ({ id, name, kind, xMm: 0, yMm, zMm })

/** A boat from above: full in the middle, drawn in to either end. */
export const hullMount = (lengthMm: number, widthMm: number): NonNullable<Gear['outlineMm']> => {
  const [x, y] = [lengthMm / 2, widthMm / 2]
  return [
    { xMm: -x, yMm: 0 },
    { xMm: -x * 0.62, yMm: -y * 0.72 },
    { xMm: -x * 0.2, yMm: -y },
    { xMm: x * 0.2, yMm: -y },
    { xMm: x * 0.62, yMm: -y * 0.72 },
    { xMm: x, yMm: 0 },
    { xMm: x * 0.62, yMm: y * 0.72 },
    { xMm: x * 0.2, yMm: y },
    { xMm: -x * 0.2, yMm: y },
    { xMm: -x * 0.62, yMm: y * 0.72 },
  ]
}
