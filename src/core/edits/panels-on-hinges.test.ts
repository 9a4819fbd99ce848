import { describe, expect, it } from 'vitest'
import { startingObstacle } from '../survey/frame/body/starting-attachment'
import { startingVehicle } from '../survey/frame/body/starting-vehicle'
import type { Vehicle } from '../plan/schema/vehicle'
import { panelsOnHinges } from './panels-on-hinges'

const hatch = startingObstacle('hatch', 'estate', 'h')
if (!('panel' in hatch)) throw new Error('A hatch has a panel.')
const withHatch = (over: Partial<typeof hatch> = {}): Vehicle => ({
  ...startingVehicle('estate', 'v'),
  obstacles: [{ ...hatch, ...over }],
})
const hinge = { xMm: hatch.hinge.xMm - 40, zMm: hatch.hinge.zMm + 15 }
const panelOf = ({ obstacles: [first] }: Vehicle) => (first && 'panel' in first ? first.panel : [])

describe('a hatch', () => {
  it('takes its corners along when its hinge moves', () => {
    expect(panelOf(panelsOnHinges(withHatch({ hinge }), withHatch()))).toEqual(
      hatch.panel.map(({ xMm, zMm }) => ({ xMm: xMm - 40, zMm: zMm + 15 })),
    )
  })
  it('does so too where its first corner is read at the moved hinge already', () => {
    for (const rest of [hatch.panel.slice(1), hatch.panel]) {
      const read = withHatch({ hinge, panel: [hinge, ...rest] })
      expect(panelOf(panelsOnHinges(read, withHatch()))).toEqual(
        hatch.panel.map(({ xMm, zMm }) => ({ xMm: xMm - 40, zMm: zMm + 15 })),
      )
    }
  })
  it('keeps corners that were changed with it, and is the very same where nothing moved', () => {
    const panel = hatch.panel.map(({ xMm, zMm }) => ({ xMm: xMm + 1, zMm }))
    const both = withHatch({ hinge, panel })
    expect(panelsOnHinges(both, withHatch())).toBe(both)
    const same = withHatch()
    expect(panelsOnHinges(same, withHatch())).toBe(same)
  })
})
