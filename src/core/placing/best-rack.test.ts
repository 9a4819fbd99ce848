import { expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { longBox } from '@/demo/gear/carriers'
import { survey } from '../survey/survey'
import { bestRack } from './best-rack'
import { compatible } from './compatible'

it('takes a thing to the rack it goes on as all stands, not to the first (F12)', () => {
  const [rack] = boatAndBox.racks
  if (rack?.kind !== 'bars') throw new Error('The job has no bars.')
  // The same bars once more, before the others, and so narrow that nothing goes on them.
  const narrow = {
    ...rack,
    id: 'narrow',
    bars: rack.bars.map((bar) => ({ ...bar, id: `narrow-${bar.id}`, usableMm: 60 })),
  }
  const surveyed = survey({ ...boatAndBox, id: 'two', racks: [narrow, rack], placements: [] })
  const on = (rackId: string) => compatible(surveyed, longBox, rackId, [], 'trial').kind
  expect(on('narrow')).toBe('cannot')
  expect(on(rack.id)).not.toBe('cannot')
  expect(bestRack(surveyed, longBox, [])).toBe(rack.id)
})
