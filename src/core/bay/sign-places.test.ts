import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { progressAfter, type UnsignedEvent } from '../log/job-progress.testing'
import { pullKey, type BayProgress } from '../log/record'
import type { Fastener } from '../plan/schema/fastening'
import { USUAL_BAY } from '../plan/schema/house'
import type { Plan } from '../plan/schema/plan'
import { phraseText } from '../units/phrase'
import { survey } from '../survey/survey'
import { heldBack, holdsOf } from './holds'
import { badPull, openPulls, passPress } from './pulling'
import { stepFindings } from './step-findings'
import { jobSteps } from './steps/job-steps'
import type { Step } from './steps/step'
import { lastPass } from './torque/passes'
import { isClosedBySign, placesSeen, signAt, wrongSigns } from './torque/sign-choices'
import { signsWanted } from './wanted'

/** The demo's bars with feet held by these fasteners. */
const heldBy = (fastener: Fastener): Plan => ({
  ...boatAndBox,
  racks: boatAndBox.racks.map((rack, i) =>
    i > 0
      ? rack
      : {
          ...rack,
          parts: rack.parts.map((part) => (part.role === 'feet' ? { ...part, fasteners: [fastener] } : part)),
        },
  ),
})
const torqueStep = (fastener: Fastener) => {
  const plan = heldBy(fastener)
  const surveyed = survey(plan)
  const order = jobSteps(surveyed, USUAL_BAY)
  const step = order.ok ? order.steps.find(({ title }) => /^(Tighten|Close)/.test(title)) : undefined
  if (step?.task.kind !== 'torque') throw new Error('The feet are held by something.')
  return { step, group: step.task.group, surveyed }
}
const latch = torqueStep({
  thread: 'unsaid',
  count: 4,
  name: 'end latch',
  signs: [{ kind: 'clicks', count: 2 }],
})
const knob = torqueStep({
  thread: 'M6',
  count: 4,
  name: 'knob',
  torqueNm: { from: 3.2, to: 4 },
  signs: [{ kind: 'reading' }, { kind: 'notch' }],
})

type Said = { readonly spot: string } & (
  { readonly nm: number } | { readonly seen: string } | { readonly sign: true }
)
const after = ({ group: { joint, pulls } }: typeof latch, ...said: readonly Said[]): BayProgress => {
  const pass = Math.max(...pulls.map((pull) => pull.pass))
  const of = { jointId: joint.id, what: joint.name }
  return progressAfter(
    ...said.map((each): UnsignedEvent => {
      if ('seen' in each) return { ...of, kind: 'placeWrong', spot: each.spot, seen: each.seen }
      return 'nm' in each
        ? { ...of, kind: 'torqued', spot: each.spot, pass, percent: 100, nm: each.nm }
        : { ...of, kind: 'signSeen', spots: [each.spot], sign: 'the notch is in line' }
    }),
  )
}
const messages = (
  { step, surveyed }: { step: Step; surveyed: typeof latch.surveyed },
  progress: BayProgress,
) =>
  stepFindings(step, surveyed, progress).flatMap(({ severity, sentence }) =>
    severity === 'stop' ? [phraseText(sentence)] : [],
  )

describe('a latch', () => {
  it('is clicked once for all: a click has no passes', () => {
    expect([...new Set(latch.group.pulls.map(({ pass }) => pass))]).toEqual([1])
    expect(wrongSigns(latch.group.joint)).toEqual(['1 of 2 clicks', 'no click'])
  })

  it('on its first click is not locked: it is named, and the one key confirms the others by name (B1)', () => {
    const progress = after(latch, { spot: 'LHR', seen: '1 of 2 clicks' })
    const press = passPress(latch.step, progress)
    expect(press && phraseText(press.message)).toBe('Seen, 2 clicks: LHF RHR RHF')
    expect(messages(latch, progress)).toEqual([
      'LHR, end latch: 1 of 2 clicks. It is not locked. Wanted there: 2 clicks.',
    ])
    const findings = stepFindings(latch.step, latch.surveyed, progress)
    expect(holdsOf(latch.step, latch.surveyed, findings, progress).map(({ stops }) => stops)).toContain(true)
    expect(signAt(latch.group, 'LHR', progress)).toEqual({ is: 'wrong', seen: '1 of 2 clicks' })
    // It holds the step, and not what is seen of the others meanwhile.
    const holds = holdsOf(latch.step, latch.surveyed, findings, progress)
    expect(heldBack(holds, true)).toBeUndefined()
    expect(heldBack(holds, false)?.stops).toBe(true)
  })

  it('that was confirmed and is found open is open again', () => {
    const { joint, pulls } = latch.group
    const of = { jointId: joint.id, what: joint.name }
    const clicked = pulls.map(({ at, pass, percent }): UnsignedEvent => ({
      ...of,
      kind: 'torqued',
      spot: at,
      pass,
      percent,
      how: 'sign',
    }))
    expect(placesSeen(latch.group, progressAfter(...clicked))).toEqual({ seen: 4, of: 4 })
    const opened = progressAfter(...clicked, {
      ...of,
      kind: 'placeWrong',
      spot: 'LHR',
      seen: '1 of 2 clicks',
    })
    expect(placesSeen(latch.group, opened)).toEqual({ seen: 3, of: 4 })
  })
})

it('takes nothing from a place whose name begins alike', () => {
  const of = { jointId: 'j:0', what: 'latch' }
  const clicked = (spot: string): UnsignedEvent => ({
    ...of,
    kind: 'torqued',
    spot,
    pass: 1,
    percent: 100,
    how: 'sign',
  })
  const progress = progressAfter(clicked('Panel'), clicked('Panel rear'), {
    ...of,
    kind: 'placeWrong',
    spot: 'Panel',
    seen: '1 of 2 clicks',
  })
  expect([...progress.torqued.keys()]).toEqual([pullKey('j:0', 'Panel rear', 1)])
})

describe('a knob that wants reading and notch', () => {
  it('is right at a place only when both are there', () => {
    const read = after(knob, { spot: 'LHF', nm: 3.6 })
    expect(placesSeen(knob.group, read)).toEqual({ seen: 0, of: 4 })
    const both = after(knob, { spot: 'LHF', nm: 3.6 }, { spot: 'LHF', sign: true })
    expect(placesSeen(knob.group, both)).toEqual({ seen: 1, of: 4 })
  })

  it('is not right where its reading is out of its range, however its sign stands', () => {
    for (const nm of [3, 5]) {
      const progress = after(knob, { spot: 'LHF', nm }, { spot: 'LHF', sign: true })
      expect(placesSeen(knob.group, progress)).toEqual({ seen: 0, of: 4 })
    }
    // Its sign stands beside the pull: it is no pull, and takes the place of no reading.
    expect(isClosedBySign(knob.group)).toBe(false)
    expect(isClosedBySign(latch.group)).toBe(true)
  })

  it('whose notch is not in line is asked no more among the others, keeps its reading and stays stopped until it is', () => {
    const progress = after(knob, { spot: 'LHF', nm: 3.6 }, { spot: 'LHF', seen: 'the notch is not in line' })
    expect(signsWanted(knob.step, progress)?.spots).not.toContain('LHF')
    expect(messages(knob, progress)).toHaveLength(1)
    // It is pulled on at the last pass: the passes before were given, and none of them is asked again.
    const { joint, pulls } = knob.group
    const clicked = pulls
      .filter(({ pass, at }) => at === 'LHF' && pass < lastPass(knob.group))
      .map(({ at, pass, percent }): UnsignedEvent => ({
        jointId: joint.id,
        what: joint.name,
        kind: 'torqued',
        spot: at,
        pass,
        percent,
        how: 'click',
      }))
    const of = { jointId: joint.id, what: joint.name, spot: 'LHF' }
    // Nor where it was seen to be wrong before its last pull.
    const early = progressAfter(...clicked, { ...of, kind: 'placeWrong', seen: 'the notch is not in line' })
    expect(openPulls(knob.step, early).filter(({ at }) => at === 'LHF')).toMatchObject([
      { pass: lastPass(knob.group) },
    ])
    const pulled = progressAfter(
      ...clicked,
      { ...of, kind: 'torqued', pass: lastPass(knob.group), percent: 100, nm: 3.6 },
      { ...of, kind: 'placeWrong', seen: 'the notch is not in line' },
    )
    expect(clicked.length).toBeGreaterThan(0)
    expect(openPulls(knob.step, pulled).filter(({ at }) => at === 'LHF')).toEqual([])
    expect(badPull(knob.step, pulled)).toMatchObject({ at: 'LHF', pass: lastPass(knob.group) })
    // A new reading is a new pull: its sign is to be seen anew.
    const again = after(
      knob,
      { spot: 'LHF', nm: 3.6 },
      { spot: 'LHF', seen: 'the notch is not in line' },
      { spot: 'LHF', nm: 3.8 },
    )
    expect(messages(knob, again)).toEqual([])
    expect(signsWanted(knob.step, again)?.spots).toContain('LHF')
  })
})
