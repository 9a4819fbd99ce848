import { expect, it } from 'vitest'
import { withStepMinutes, withUsualMinutes } from './step-minutes'

const [soak, wrap] = [
  { step: 'bars/soak', minutes: { from: 25, to: 25 } },
  { step: 'bars/wrap', minutes: { from: 40, to: 50 } },
]

it('a step has one time in a job, and can take as long as is usual again', () => {
  const both = withStepMinutes(withStepMinutes({ name: 'Job' }, soak), wrap)
  expect(both.minutes).toEqual([soak, wrap])
  const longer = { step: soak.step, minutes: { from: 30, to: 35 } }
  expect(withStepMinutes(both, longer).minutes).toEqual([wrap, longer])
  expect(withUsualMinutes(both, soak.step)).toEqual({ name: 'Job', minutes: [wrap] })
  expect(withUsualMinutes(withUsualMinutes(both, soak.step), wrap.step)).toEqual({ name: 'Job' })
})
