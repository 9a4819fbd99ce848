import { describe, expect, it } from 'vitest'
import { barsRack, planOf, thing, vehicleWith } from '../../plan/plans.testing'
import { podJob } from '@/demo/plans'
import { DEMO_STOCK } from '@/demo/stock'
import { assess } from '../assess.testing'
import { mountMatch } from './mount-match'
import { run, sentences, severities } from './findings.testing'

const clamp = (underBarMm: number) =>
  thing('Tray', 8, {
    fit: {
      mount: {
        kind: 'wrapClamp',
        sectionWidthMm: { fromMm: 60, toMm: 90 },
        sectionHeightMm: { fromMm: 15, toMm: 32 },
        underBarMm,
      },
    },
  })
const plan = (underBarMm: number) => planOf(vehicleWith([]), [barsRack({})], [[clamp(underBarMm)]])

describe('mounts', () => {
  it('close on the bar when section and room under it suit; the roof falls away to the sides and gives more', () => {
    // The rack stands 60 mm over the roof; at the contacts, 300 mm out, the crowned roof has fallen further.
    expect(severities(mountMatch, plan(60))).toEqual({ all: 'clear' })
    expect(severities(mountMatch, plan(120))).toEqual({ all: 'stop' })
    expect(sentences(mountMatch, plan(120))[0]).toContain('there is too little room under it')
  })

  it('of what has none want a carrier', () => {
    const loose = planOf(
      vehicleWith([]),
      [barsRack({})],
      [[thing('Bike', 14, { fit: { mount: { kind: 'none' } } })]],
    )
    expect(severities(mountMatch, loose)).toEqual({ all: 'stop' })
  })

  it('that cannot close are offered the adapter from stock, which holds and carries its own mass', () => {
    const assessment = assess(podJob, DEMO_STOCK)
    const [stop] = assessment.review.findings.filter(({ id }) => id === 'mount-match pod')
    const [first] = assessment.remedies(stop!)
    expect(first?.command).toMatchObject({ do: 'setFitting', placementId: 'pod' })
    const after = run(mountMatch, {
      ...podJob,
      placements: podJob.placements.map((each) =>
        each.id === 'pod' && first?.command.do === 'setFitting'
          ? { ...each, fitting: first.command.fitting }
          : each,
      ),
    })
    expect(after.find(({ id }) => id === 'mount-match pod')?.severity).toBe('clear')
  })
})
