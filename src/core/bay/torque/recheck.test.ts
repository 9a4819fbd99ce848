import { describe, expect, it } from 'vitest'
import { boatAndBox, ridgeTent } from '@/demo/plans'
import type { Fastener } from '../../plan/schema/fastening'
import type { Plan } from '../../plan/schema/plan'
import { USUAL_BAY } from '../../plan/schema/house'
import { survey } from '../../survey/survey'
import { dueOf } from '../due'
import { refitValues } from '../refit'
import { gearJoints, rackJoints, fittedThings } from '../steps/joint-groups'
import { jointOf } from './joint'
import { notPulledAgain, recheckWords } from './recheck'

const owner = { of: 'part', rackId: 'r', partId: 'p', name: 'Feet' } as const
const joint = (fastener: Partial<Fastener>, rules = USUAL_BAY) =>
  jointOf(owner, 0, { thread: 'M8', count: 4, name: 'clamps', ...fastener }, rules)

describe('a joint that is not pulled again to check it', () => {
  it('is one with cured threadlocker, a crushed washer or a part single-use', () => {
    expect(notPulledAgain(joint({ security: 'threadlocker' }))).toContain('cured')
    expect(notPulledAgain(joint({}, { ...USUAL_BAY, security: 'threadlocker' }))).toContain('cured')
    expect(notPulledAgain(joint({ signs: [{ kind: 'washerClosed', moreTurns: 0.5 }] }))).toContain('crushed')
    expect(notPulledAgain(joint({ singleUse: true }))).toContain('single-use')
    expect(notPulledAgain(joint({}))).toBeUndefined()
    // Its own sheet goes before the house.
    const locked = { ...USUAL_BAY, security: 'threadlocker' as const }
    expect(notPulledAgain(joint({ security: 'none' }, locked))).toBeUndefined()
    expect(notPulledAgain(joint({ washers: ['lock', 'flat'] }, locked))).toBeUndefined()
    expect(recheckWords(joint({ singleUse: true }))).toContain(
      'clamps: not pulled again, it is single-use: look at it',
    )
  })

  it('has those words in the calendar and when it is put back', () => {
    const plan: Plan = {
      ...boatAndBox,
      racks: boatAndBox.racks.map((rack) => ({
        ...rack,
        parts: rack.parts.map((part) => ({
          ...part,
          fasteners: part.fasteners?.map((each) => ({ ...each, security: 'threadlocker' as const })) ?? [],
        })),
      })),
    }
    const rack = plan.racks[0]!
    const fitted = {
      kind: 'fitted',
      id: 'f',
      at: '2027-03-12T09:00:00Z',
      vehicleId: 'v',
      rackId: rack.id,
      what: rack.name,
    } as const
    const why = dueOf([fitted], USUAL_BAY, [plan])[0]?.why
    expect(why).toContain('not pulled again but looked at, against their witness marks: rail clamps')
    expect(dueOf([fitted], USUAL_BAY, [boatAndBox])[0]?.why).not.toContain('witness')
    expect(refitValues(rack)).toContain('fit it anew, with fresh threadlocker')
  })
})

describe('a joint’s places', () => {
  const surveyed = survey(boatAndBox)
  it('are where its feet or its contacts are, by the names its pulls have', () => {
    const [feet] = rackJoints(surveyed.racks[0]!, USUAL_BAY)
    expect([...feet!.at.keys()].sort()).toEqual([...feet!.spots].sort())
    const box = fittedThings(surveyed).find(({ placement }) => placement.id === 'long-box')!
    const [mounts] = gearJoints(surveyed, box, USUAL_BAY)
    expect([...mounts!.at.keys()].sort()).toEqual([...mounts!.spots].sort())
    expect([...mounts!.at.values()].map(({ xMm }) => xMm)).toEqual([430, 430, 1190, 1190])
    expect(mounts!.spots[0]).toBe('LHF (Front bar)')
  })

  it('have their corner, or how far from the front they are, where a part has no feet (B10)', () => {
    const withDeck = (count: number): Plan => ({
      ...ridgeTent,
      racks: ridgeTent.racks.map((rack) => ({
        ...rack,
        parts: rack.parts.map((part) =>
          part.role === 'deck' ? { ...part, fasteners: [{ thread: 'M6', count }] } : part,
        ),
      })),
    })
    const spots = (count: number) => {
      const groups = rackJoints(survey(withDeck(count)).racks[0]!, USUAL_BAY)
      return groups.find(({ joint: { owner: of } }) => of.of === 'part' && of.partId === 'platform-deck')
        ?.spots
    }
    expect(spots(4)).toEqual(['LHF', 'RHF', 'LHR', 'RHR'])
    expect(spots(6)).toEqual(['LHF', 'RHF', 'LHM', 'RHM', 'LHR', 'RHR'])
    expect(spots(2)).toEqual(['left', 'right'])
    expect(spots(24)?.slice(0, 3)).toEqual(['left 1 of 6, foremost', 'right 1 of 6, foremost', 'left 2 of 6'])
    expect(spots(24)?.at(-1)).toBe('right 6 of 6, rearmost')
  })

  it('are pulled in its own sheet’s passes before the house’s', () => {
    const own: Plan = {
      ...boatAndBox,
      racks: boatAndBox.racks.map((rack) => ({
        ...rack,
        parts: rack.parts.map((part) => ({
          ...part,
          fasteners: part.fasteners?.map((each) => ({ ...each, passesPercent: [40, 100] })) ?? [],
        })),
      })),
    }
    const [feet] = rackJoints(survey(own).racks[0]!, USUAL_BAY)
    expect([...new Set(feet!.pulls.map(({ percent }) => percent))]).toEqual([40, 100])
  })
})
