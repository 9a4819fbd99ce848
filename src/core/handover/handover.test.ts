import { NOTHING_DONE, pullKey, type BayProgress } from '../log/record'
import { describe, expect, it } from 'vitest'
import { boatAndBox, firstBike, ladderJob } from '@/demo/plans'
import type { Plan } from '../plan/schema/plan'
import { ratings } from '../plan/starting/templates'
import { newPlan } from '../plan/starting/new-plan'
import { startingRack } from '../survey/frame/starting-rack'
import { startingVehicle } from '../survey/frame/body/starting-vehicle'
import { phraseText } from '../units/phrase'
import { review } from '../review/review'
import { USUAL_BAY } from '../plan/schema/house'
import { survey } from '../survey/survey'
import { cameLine, handoverOf, placardLines } from './handover'
import { openingOf } from './handover-opening'
import { jobSteps } from '../bay/steps/job-steps'
import { workedProgress } from '../bay/worked.testing'

const of = (plan: Plan, progress: BayProgress = NOTHING_DONE) => {
  const surveyed = survey(plan)
  return { surveyed, sheet: handoverOf(surveyed, review(surveyed), progress, [], USUAL_BAY) }
}

describe('the handover sheet', () => {
  it('says for each rack and state what is left, as the load path has it', () => {
    const { surveyed, sheet } = of(boatAndBox)
    expect(sheet.limits).toHaveLength(3)
    for (const row of sheet.limits) {
      const allowance = surveyed.allowances.find(({ state }) => state === row.state)
      if (allowance?.kind === 'unknown') expect(row.known).toBe(false)
      else if (row.over) expect(allowance?.binding.leftKg).toBeLessThan(0)
      else expect(row.left).toContainEqual({ dimension: 'mass', value: allowance?.kg, round: 'down' })
    }
    expect(sheet.heightMm).toBe(Math.ceil(surveyed.drivingTop.topMm))
    expect(sheet.cautions.map(({ before }) => before)).toEqual(['loading', 'driving'])
    expect(sheet.keys).toEqual(['Rail feet: 4 cores, all alike, key Q17'])
  })

  it('says how the car came in, as far as somebody wrote it down', () => {
    const came = (came: Plan['job']['came']) => cameLine({ name: 'Job', ...(came && { came }) })
    expect(came({ on: '2027-03-02', by: 'Ida', condition: 'Scratch on the left rail.' })).toBe(
      'Came in on 2027-03-02, taken in by Ida: Scratch on the left rail.',
    )
    expect(came({ condition: 'Clean' })).toBe('Came in: Clean')
    expect(came({ on: '2027-03-02' })).toBe('Came in on 2027-03-02.')
    expect(came(undefined)).toBeUndefined()
  })

  it('never leaves an unrated link blank', () => {
    const unknown = of(firstBike).sheet.limits.filter(({ known }) => !known)
    expect(unknown.length).toBeGreaterThan(0)
    for (const row of unknown) expect(phraseText(row.left)).toMatch(/^not known/)
    expect(
      placardLines(of(firstBike).sheet)
        .rows.map(([, text]) => text)
        .join(),
    ).toContain('not known')
  })

  it('prints which house rules stand behind it', () => {
    const { assumed } = of(ladderJob).sheet
    expect(assumed.join()).toContain('67 % of its road figure')
    expect(assumed.join()).toContain('guessed weights are counted 10 % heavier')
    expect(assumed.at(-1)).toContain('50, 75, 100 %')
  })

  it('has each torque as wanted and as read', () => {
    const joint = 'wing/wing-feet:0'
    const torqued = new Map(
      ['LHF', 'RHF'].map((spot) => [pullKey(joint, spot, 3), { nm: 6.1, tool: 'Shop wrench' }] as const),
    )
    const row = of(boatAndBox, { ...NOTHING_DONE, torqued }).sheet.torques[0]
    expect(phraseText(row?.wanted ?? [])).toBe('6 N·m')
    expect(phraseText(row?.read ?? [])).toBe(
      '0 of 4 places right; LHF 6.1 N·m, its sign not seen; RHF 6.1 N·m, its sign not seen; LHR, RHR not pulled; read by Shop wrench',
    )
    const clicked = new Map(
      ['LHF', 'RHF', 'LHR', 'RHR'].map((spot) => [pullKey(joint, spot, 3), { how: 'click' }] as const),
    )
    expect(
      phraseText(of(boatAndBox, { ...NOTHING_DONE, torqued: clicked }).sheet.torques[0]?.read ?? []),
    ).toBe('0 of 4 places right; LHF, RHF, LHR, RHR clicked at its figure')
    const untold = new Map([[pullKey(joint, 'LHF', 3), {}] as const])
    expect(
      phraseText(of(boatAndBox, { ...NOTHING_DONE, torqued: untold }).sheet.torques[0]?.read ?? []),
    ).toContain('LHF done, without a method')
    expect(phraseText(of(boatAndBox).sheet.torques[0]?.read ?? [])).toBe('not recorded')
  })

  it('puts one line a state on the placard, and names the rack only where there are several', () => {
    expect(placardLines(of(boatAndBox).sheet).rows.map(([name]) => name)).toEqual([
      'Road: Stop',
      'Trail: Stop',
      'Parked: Clear',
    ])
    expect(placardLines(of(ladderJob).sheet).rows.length).toBeGreaterThan(3)
  })

  it('says fitted only of what was done step by step, and opens with a bay that is not finished (B7)', () => {
    const nothing = of(boatAndBox).sheet
    for (const line of nothing.fitted) expect(line).toContain('not fitted yet')
    expect(openingOf(nothing).map(({ title }) => title)).toContain('The fitting is not finished')
    const order = jobSteps(survey(boatAndBox), USUAL_BAY)
    const steps = order.ok ? order.steps : []
    const done = (few: number) =>
      workedProgress(survey(boatAndBox), (id) => steps.findIndex((step) => step.id === id) < few)
    expect(of(boatAndBox, done(3)).sheet.unfinished).toMatchObject({ done: 3, of: steps.length })
    const whole = of(boatAndBox, done(steps.length)).sheet
    expect(whole.unfinished).toBeUndefined()
    expect(whole.fitted[0]).toContain(': fitted. ')
    const on: Plan = {
      ...boatAndBox,
      racks: boatAndBox.racks.map((rack) => ({ ...rack, status: 'alreadyOn' })),
    }
    expect(of(on).sheet.fitted[0]).toContain('already on at arrival')
  })

  it('names what the forms began with and nobody measured, by whose it is', () => {
    const vehicle = startingVehicle('estate', 'own')
    const [rails] = vehicle.attachments
    const racks = rails ? [startingRack(vehicle, rails, 'bars', 'rack')] : []
    const { sheet } = of(newPlan({ id: 'x', job: { name: 'X' }, vehicle, racks }))
    const opening = openingOf(sheet).find(
      ({ title }) => title === 'Starting values of the forms, not measured',
    )
    const lines = opening?.lines.map((line) => phraseText(line)) ?? []
    expect(lines).toEqual([
      'The vehicle: length, width, height, wheelbase, front overhang, nose to screen, wheel radius, roof.',
      'Raised rails: left to right, where feet may go, how high it stands over the roof.',
      'Bars: the weight of each.',
      'Feet: the weight of each.',
      'Front bar: its place along the vehicle, length, the width that can be used, how high it stands over the roof, profile, foot to foot.',
      'Rear bar: its place along the vehicle, length, the width that can be used, how high it stands over the roof, profile, foot to foot.',
    ])
    expect(openingOf(of(boatAndBox).sheet).map(({ title }) => title)).not.toContain(
      'Starting values of the forms, not measured',
    )
  })

  it('opens with what was played and not measured', () => {
    const played = new Map([[pullKey('wing/wing-feet:0', 'LHF', 1), { nm: 3, simulated: true }] as const])
    expect(openingOf(of(boatAndBox, { ...NOTHING_DONE, torqued: played }).sheet)[0]).toMatchObject({
      title: 'Played, not measured',
      grave: true,
    })
    expect(of(boatAndBox).sheet.played).toBe(0)
  })
})

it('a state that is over names the link that it is over at, and what has no figure besides', () => {
  const { vehicle } = boatAndBox
  const bare = {
    ...boatAndBox,
    vehicle: {
      ...vehicle,
      roof: { ...vehicle.roof, ratings: ratings('roof', { road: 30 }, { kind: 'manual' }) },
    },
    racks: boatAndBox.racks.map((rack) => ({
      ...rack,
      parts: rack.parts.map((part) => ({ ...part, rated: { by: 'own' as const, ratings: [] } })),
    })),
  }
  const road = of(bare).sheet.limits.find(({ state }) => state === 'road')
  expect(road?.over).toBe(true)
  expect(road?.by).toMatch(/^Roof; no figure for /)
})
