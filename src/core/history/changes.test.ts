import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boatAndBox, DEMO_PLANS } from '@/demo/plans'
import { phraseText } from '../units/phrase'
import { apply } from '../plan/commands/apply'
import { changesBetween } from './changes'
import type { Command } from '../plan/commands/command'
import type { Plan } from '../plan/schema/plan'

const after = (...commands: Command[]): Plan =>
  commands.reduce((plan, command) => {
    const done = apply(plan, command)
    if (!done.ok) throw new Error(done.reason)
    return done.plan
  }, boatAndBox)
const wordsOf = (plan: Plan) =>
  changesBetween(boatAndBox, plan).map(({ words }) => phraseText(words).replaceAll('\u202f', ' '))
const box = boatAndBox.placements.find(({ id }) => id === 'long-box')!
const boxName = boatAndBox.gear.find(({ id }) => id === box.gearId)!.name

describe('what changed between two plans', () => {
  it('says nothing of a plan and itself', () => expect(wordsOf(boatAndBox)).toEqual([]))

  it('says whose place it is, from where to where, with its unit', () =>
    expect(wordsOf(after({ do: 'move', placementId: box.id, xMm: box.xMm + 100, yMm: box.yMm }))).toEqual([
      'Long box, its place along the vehicle: 960 mm to 1 060 mm',
    ]))

  it('says what was taken off, and what was put on when it is looked at the other way round', () => {
    const off = after({ do: 'takeOff', placementId: box.id })
    expect(wordsOf(off)).toContain(`${boxName}: taken off`)
    expect(changesBetween(off, boatAndBox).map(({ words }) => phraseText(words))).toContain(
      `${boxName}: put on`,
    )
  })

  it('names the vehicle, the job and what was noted in plain words', () => {
    const other: Plan = {
      ...boatAndBox,
      vehicle: { ...boatAndBox.vehicle, heightMm: 1500 },
      job: { ...boatAndBox.job, name: 'Another name' },
      note: 'Bring the long straps.',
    }
    expect(wordsOf(other)).toEqual([
      `job, name: ${boatAndBox.job.name} to Another name`,
      'Estate, raised rails, height: 1 490 mm to 1 500 mm',
      'note: Bring the long straps.',
    ])
  })

  it('says something of any two plans that differ, and never an id, a bracket or a raw float', () =>
    fc.assert(
      fc.property(fc.constantFrom(...DEMO_PLANS), fc.constantFrom(...DEMO_PLANS), (one, other) => {
        const words = changesBetween(one, { ...other, id: one.id }).map((each) => phraseText(each.words))
        expect(words.length > 0).toBe(one !== other)
        for (const each of words) expect(each).not.toMatch(/undefined|NaN|\[object|\d\.\d{4}/)
      }),
      { numRuns: 60 },
    ))
})
