import { expect, it } from 'vitest'
import { ATTACHMENTS } from '../../kinds/attachment'
import { kindsOf } from '../../kinds/kind'
import { LISTS_BY_HAND } from './fitting-lists.testing'

it('every way to attach has its list, and only for racks that stand on it', () => {
  for (const kind of kindsOf(ATTACHMENTS)) {
    const racks = LISTS_BY_HAND.filter(({ on }) => on.includes(kind)).map(({ rack }) => rack)
    expect(racks.length, kind).toBeGreaterThan(0)
    expect(
      racks.every((rack) => ATTACHMENTS[kind].racks.some((each) => each === rack)),
      kind,
    ).toBe(true)
  }
})
