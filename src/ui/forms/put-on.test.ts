import { expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { longBox } from '@/demo/gear/carriers'
import { assessmentOf } from '@/ui/state/assessment'
import { bestRack, placeFor } from './put-on'

it('takes a thing to the rack it goes on as all stands, not to the first (F12)', () => {
  const [rack] = boatAndBox.racks
  if (rack?.kind !== 'bars') throw new Error('The job has no bars.')
  // The same bars once more, before the others, and so narrow that nothing goes on them.
  const narrow = {
    ...rack,
    id: 'narrow',
    bars: rack.bars.map((bar) => ({ ...bar, id: `narrow-${bar.id}`, usableMm: 60 })),
  }
  const { survey } = assessmentOf({ ...boatAndBox, id: 'two', racks: [narrow, rack], placements: [] })
  expect(placeFor(survey, longBox, 'narrow').kind).toBe('cannot')
  expect(placeFor(survey, longBox, rack.id).kind).not.toBe('cannot')
  expect(bestRack(survey, longBox)).toBe(rack.id)
})
