import { describe, expect, it } from 'vitest'
import { boatAndBox, frameJob, ladderJob, ridgeRoad, twinSpan } from '@/demo/plans'
import { brokenReferences } from './integrity'
import type { Host } from './placement'
import type { Plan } from './plan'

const says = (plan: Plan) =>
  brokenReferences(plan).map(({ path, message }) => `${path.join('.')}: ${message}`)
const hosted = (plan: Plan, host: Host): Plan => ({
  ...plan,
  placements: plan.placements.map((each, i) => (i === 0 ? { ...each, host } : each)),
})

describe('a plan that hangs together', () => {
  it('is every plan of the demo', () => {
    for (const plan of [boatAndBox, frameJob, ladderJob, ridgeRoad, twinSpan]) expect(says(plan)).toEqual([])
  })

  it.each<[string, Plan, string]>([
    [
      'gear',
      { ...boatAndBox, gear: [...boatAndBox.gear, boatAndBox.gear[0]!] },
      'gear.4.id: Two pieces of gear share the id "long-box".',
    ],
    [
      'clearances',
      { ...boatAndBox, clearances: [boatAndBox.clearances[0]!, boatAndBox.clearances[0]!] },
      'clearances.1.id: Two clearances share',
    ],
    [
      'racks',
      { ...boatAndBox, racks: [boatAndBox.racks[0]!, boatAndBox.racks[0]!] },
      'racks.1.id: Two racks share',
    ],
    [
      'attachments',
      {
        ...boatAndBox,
        vehicle: {
          ...boatAndBox.vehicle,
          attachments: [boatAndBox.vehicle.attachments[0]!, boatAndBox.vehicle.attachments[0]!],
        },
      },
      'vehicle.attachments.1.id: Two attachments share',
    ],
    [
      'occupants',
      {
        ...boatAndBox,
        use: { ...boatAndBox.use, occupants: [boatAndBox.use.occupants[0]!, boatAndBox.use.occupants[0]!] },
      },
      'use.occupants.1.id: Two occupants share',
    ],
    [
      'loads',
      {
        ...boatAndBox,
        placements: boatAndBox.placements.map((each) => ({ ...each, loads: [...each.loads, ...each.loads] })),
      },
      'placements.0.loads.1.id: Two loads share',
    ],
  ])('has no two %s of one id', (_, plan, words) => {
    expect(says(plan).some((each) => each.startsWith(words))).toBe(true)
  })

  it('has a rack only on an attachment of the vehicle', () => {
    const racks = boatAndBox.racks.map((rack) => ({ ...rack, attachmentId: 'gone' }))
    expect(says({ ...boatAndBox, racks })).toEqual([
      'racks.0.attachmentId: The vehicle has no attachment "gone".',
    ])
  })

  it.each<[Plan, Host, string]>([
    [boatAndBox, { on: 'deck', rackId: 'wing' }, 'Rack "wing" has no deck.'],
    [boatAndBox, { on: 'panel', rackId: 'wing', side: 'left', zMm: 0 }, 'Rack "wing" has no side panels.'],
    [boatAndBox, { on: 'ladder', rackId: 'wing' }, '"wing" is no ladder.'],
    [boatAndBox, { on: 'place', placementId: 'cradles', placeId: 'lid' }, '"cradles" offers no place "lid".'],
    [boatAndBox, { on: 'place', placementId: 'sea-boat', placeId: 'x' }, '"sea-boat" offers no place "x".'],
    [boatAndBox, { on: 'bars', barIds: ['wing-front', 'wing-front'] }, 'A bar is named twice.'],
  ])('stands things only on what is there', (plan, host, words) => {
    expect(says(hosted(plan, host))).toContain(`placements.0.host: ${words}`)
  })

  it('has no thing that stands on itself, however far round', () => {
    const placements = frameJob.placements.map((each) =>
      each.id === 'basket'
        ? { ...each, host: { on: 'place' as const, placementId: 'fuel-mount', placeId: 'can' } }
        : each.id === 'fuel-mount'
          ? { ...each, host: { on: 'place' as const, placementId: 'basket', placeId: 'floor' } }
          : each,
    )
    const found = says({ ...frameJob, placements })
    expect(found.filter((each) => each.endsWith('It stands on itself.')).length).toBeGreaterThanOrEqual(2)
  })
})
