import { expect, it } from 'vitest'
import type { LogEvent } from '../log/event'
import { workStateOf } from './work-state'

const entry = (rest: object, jobId = 'job-1') =>
  ({ id: 'e', at: '2026-11-01T09:00:00Z', vehicleId: 'car-1', jobId, ...rest }) as LogEvent

it('goes by what is logged of the job itself: nothing, something, fitted, told', () => {
  const weighed = entry({ kind: 'weighed', targetId: 't', what: 'Box', kg: 20 })
  const fitted = entry({ kind: 'fitted', rackId: 'r', what: 'Bars' })
  const told = entry({ kind: 'told', what: 'Height' })
  expect(workStateOf([], 'job-1')).toBe('planned')
  expect(workStateOf([entry({ kind: 'fitted', rackId: 'r', what: 'Bars' }, 'last-year')], 'job-1')).toBe(
    'planned',
  )
  expect(workStateOf([weighed], 'job-1')).toBe('begun')
  expect(workStateOf([weighed, told], 'job-1')).toBe('handedOver')
  expect(workStateOf([weighed, fitted], 'job-1')).toBe('fitted')
  expect(workStateOf([told, weighed, fitted], 'job-1')).toBe('handedOver')
  const wrong = { ...told, id: 'wrong' }
  const struck = entry({ id: 'struck', kind: 'corrected', eventId: 'wrong', why: 'not said' })
  expect(workStateOf([weighed, fitted, wrong, struck], 'job-1')).toBe('fitted')
  expect(workStateOf([wrong, struck], 'job-1')).toBe('planned')
})
