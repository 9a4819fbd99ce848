import { assess } from '@/core/api/assess'
import { NOTHING_DONE } from '@/core/api/fit'
import { phraseText } from '@/core/api/plan'
import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { stepsOf } from './fitting-job'
import { primaryOf } from './primary'

const surveyed = assess(boatAndBox).survey
const order = stepsOf(boatAndBox, NOTHING_DONE)
const steps = order.ok ? order.steps : []
const step = (id: string) => steps.find((each) => each.id === id)!

describe('the large key', () => {
  it('logs every place of a pass with how it is known, and never a reading that nobody took', () => {
    const { say, events } = primaryOf(boatAndBox, surveyed, step('wing/torque-wing-feet-0'), NOTHING_DONE)
    expect(phraseText(say)).toBe('Clicked at 3 N·m, pass 1: LHF RHR RHF LHR')
    expect(events).toHaveLength(4)
    for (const event of events) {
      expect(event).toMatchObject({ kind: 'torqued', how: 'click', pass: 1 })
      expect(event).not.toHaveProperty('nm')
    }
  })

  it('writes at the last step what was told, that it is done, and that the rack is on', () => {
    const done = { ...NOTHING_DONE, done: new Set(steps.slice(0, -1).map(({ id }) => id)) }
    const kinds = primaryOf(boatAndBox, surveyed, step('job/tell'), done).events.map(({ kind }) => kind)
    expect(kinds.filter((kind) => kind === 'told').length).toBeGreaterThan(0)
    expect(kinds.slice(-2)).toEqual(['stepDone', 'fitted'])
    const all = { ...done, done: new Set(steps.map(({ id }) => id)) }
    expect(primaryOf(boatAndBox, surveyed, step('job/tell'), all).events).toEqual([])
  })
})
