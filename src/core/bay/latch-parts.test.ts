import { describe, expect, it } from 'vitest'
import { bedTentJob } from '@/demo/plans'
import type { Fastener } from '../plan/schema/fastening'
import type { Plan } from '../plan/schema/plan'
import { USUAL_BAY } from '../plan/schema/house'
import { survey } from '../survey/survey'
import { phraseText } from '../units/phrase'
import { partsCheck } from './parts/parts-check'
import { jobSteps } from './steps/job-steps'
import { jointOf } from './torque/joint'
import { jointFinding } from './torque/joint-finding'
import { plainJob } from './steps/plain-job.testing'

/** A rack in bed sockets whose feet close like this. */
function closedBy(fastener: Fastener): Plan {
  const plan = plainJob('bedSocket', 'bed')
  return {
    ...plan,
    racks: plan.racks.map((rack) => ({
      ...rack,
      parts: rack.parts.map((part) => (part.role === 'feet' ? { ...part, fasteners: [fastener] } : part)),
    })),
  }
}

describe('what is laid out and counted', () => {
  it('a latch is no bolt: it has its name, and its clicks are counted', () => {
    const check = partsCheck(
      survey(closedBy({ name: 'Catch', thread: 'unsaid', count: 4, signs: [{ kind: 'clicks', count: 2 }] })),
    )
    expect(check.lines.map(({ what, kind }) => [what, kind])).toContainEqual(['Catch', 'lock'])
    expect([check.bolts, check.clicks]).toEqual([0, 8])
  })

  it('bolts of which nobody knows the thread are called what they are called, and added up', () => {
    const check = partsCheck(survey(closedBy({ name: 'T-bolt', thread: 'unsaid', count: 12 })))
    expect(check.lines.map(({ what }) => what)).toContain('T-bolt, thread unknown')
    expect([check.bolts, check.clicks]).toEqual([12, 0])
    const unnamed = partsCheck(survey(closedBy({ thread: 'unsaid', count: 4 })))
    expect(unnamed.lines.map(({ what }) => what)).toContain('Bolt of unknown thread')
  })
})

describe('a latch', () => {
  it('is closed by its clicks: no torque, no washer, no thread is asked of it (B12)', () => {
    const latch = {
      name: 'Catch',
      thread: 'unsaid',
      count: 4,
      signs: [{ kind: 'clicks' as const, count: 2 }],
    }
    const order = jobSteps(survey(closedBy(latch)), USUAL_BAY)
    const step = order.ok ? order.steps.find(({ task }) => task.kind === 'torque') : undefined
    expect(step?.title).toBe('Close: Catch')
    expect(phraseText(step?.detail ?? [])).toBe(
      '4 in all, by hand: each until it has clicked as often as it must.',
    )
    if (step?.task.kind !== 'torque') throw new Error('It is a joint.')
    const { joint } = step.task.group
    expect(joint).toMatchObject({ torque: { kind: 'latch' }, washers: '', security: '', locked: false })
    expect(jointFinding(joint)).toBeUndefined()
  })

  it('with a thread or a torque on its sheet is a joint like others', () => {
    const joint = (fastener: Fastener) =>
      jointOf({ of: 'gear', placementId: 'p', name: 'Box' }, 0, fastener, USUAL_BAY)
    const clicks: Fastener['signs'] = [{ kind: 'clicks', count: 2 }]
    expect(joint({ thread: 'M6', count: 4, signs: clicks }).torque.kind).toBe('advice')
    expect(
      joint({ thread: 'unsaid', count: 4, signs: clicks, torqueNm: { from: 4, to: 4 } }).torque.kind,
    ).toBe('sheet')
    expect(joint({ thread: 'unsaid', count: 4 }).torque.kind).toBe('unknown')
  })
})

describe('a tent on brackets', () => {
  it('is lifted closed, nose up, and centred before any of its joints is tightened', () => {
    const order = jobSteps(survey(bedTentJob), USUAL_BAY)
    const steps = order.ok ? order.steps : []
    const [centre] = steps.filter(({ id }) => id.endsWith('/centre'))
    const of = steps.filter(({ group }) => group === centre?.group)
    const set = of.find(({ id }) => id.endsWith('/set'))
    expect(phraseText(set?.detail ?? [])).toContain(
      'Closed, with its cover on; nose up, the front brackets first.',
    )
    expect(centre?.after).toEqual([set?.id])
    const torque = of.filter(({ task }) => task.kind === 'torque')
    expect(torque.length).toBeGreaterThan(0)
    for (const step of torque) expect(step.after).toContain(centre?.id)
  })
})
