import type { Channel } from '../../kinds/mount'
import { describe, expect, it } from 'vitest'
import { barsRack, planOf, vehicleWith } from '../../plan/plans.testing'
import { footMount } from './foot-mount'
import { run } from './findings.testing'

const plan = (channel?: Channel) => {
  const rack = barsRack({})
  return planOf(
    vehicleWith(
      [],
      [
        {
          kind: 'bedChannel',
          id: 'rails',
          name: 'Bed channels',
          ratings: [],
          gaugeMm: 1000,
          ranges: [{ fromMm: 0, toMm: 3000 }],
          topZMm: 1000,
          ...(channel ? { channel } : {}),
        },
      ],
    ),
    [
      {
        ...rack,
        parts: rack.parts.map((part) =>
          part.role === 'feet'
            ? {
                ...part,
                mount: { kind: 'channelBolt' as const, slotMm: 16, headMm: 8, thread: 'M8', stackMm: 12 },
              }
            : part,
        ),
      },
    ],
  )
}

describe('feet in a bed channel', () => {
  it('hold where slot and depth suit, ask where the channel is not measured', () => {
    expect(run(footMount, plan({ slotMm: 16, headRoomMm: 9 }))).toMatchObject([{ severity: 'clear' }])
    expect(run(footMount, plan({ slotMm: 16, headRoomMm: 7 }))).toMatchObject([{ severity: 'stop' }])
    expect(run(footMount, plan({ slotMm: 12, headRoomMm: 9 }))).toMatchObject([{ severity: 'stop' }])
    expect(run(footMount, plan())).toMatchObject([{ severity: 'findOut' }])
  })
})
