import { NOTHING_DONE, type BayProgress } from '../log/record'
import { workedEvents } from './worked'
import { describe, expect, it } from 'vitest'
import { boatAndBox, hatchJob } from '@/demo/plans'
import type { Plan } from '../plan/schema/plan'
import { phraseText } from '../units/phrase'
import { review } from '../review/review'
import { USUAL_BAY } from '../plan/schema/house'
import { survey } from '../survey/survey'
import { answerOf, isDone, isSettled, placeAnswers } from './answers'
import { evidenceNow } from './evidence'
import { handoverOf } from '../handover/handover'
import { openingOf } from '../handover/handover-opening'
import { holdsOf } from './holds'
import type { LogEvent } from '../log/event'
import { replay } from '../log/replay'
import { nextPull, openPulls, passPress } from './pulling'
import { currentIndex, sessionOf, waitsFor } from './session'
import { stepFindings } from './step-findings'
import { jobSteps } from './steps/job-steps'
import type { Step } from './steps/step'

type Made<E> = E extends LogEvent ? Omit<E, 'id' | 'at' | 'vehicleId' | 'jobId' | 'turn'> : never

const surveyed = survey(boatAndBox)
const stepsOf = (plan: Plan): readonly Step[] => {
  const order = jobSteps(survey(plan), USUAL_BAY)
  if (!order.ok) throw new Error(order.reason)
  return order.steps
}
const steps = stepsOf(boatAndBox)
const step = (id: string): Step => {
  const found = steps.find((each) => each.id === id)
  if (!found) throw new Error(`no step ${id}`)
  return found
}

/** What a job's log says after these, one a minute. */
function after(...events: Made<LogEvent>[]): BayProgress {
  const written = events.map((event, i): LogEvent => ({
    ...event,
    id: `e${i}`,
    at: `2027-03-12T09:${String(i).padStart(2, '0')}:00Z`,
    turn: i + 1,
    vehicleId: 'v',
    jobId: 'j',
  }))
  return replay(written).jobs.get('j') ?? NOTHING_DONE
}

const feet = step('wing/torque-wing-feet-0')
const joint = 'wing/wing-feet:0'
const answered = (rest: Partial<Extract<LogEvent, { kind: 'answered' }>>): Made<LogEvent> => ({
  kind: 'answered',
  stepId: feet.id,
  title: feet.title,
  answer: 'notSeen',
  reason: 'Behind the box',
  by: 'Wren',
  ...rest,
})
const notSeen = answered({ places: ['RHR'], jointId: joint })
const pull = (spot: string, pass: number, nm?: number): Made<LogEvent> => ({
  kind: 'torqued',
  jointId: joint,
  what: 'feet',
  spot,
  pass,
  percent: 100,
  ...(nm !== undefined && { nm }),
})
const done = ({ id, title }: Step): Made<LogEvent> => ({ kind: 'stepDone', stepId: id, title })

describe('a place that somebody answered for', () => {
  it('is not asked again, at any pass, and no press names it', () => {
    const progress = after(notSeen)
    expect(placeAnswers(feet, progress).get('RHR')).toBe('notSeen')
    expect(openPulls(feet, progress).map(({ at }) => at)).not.toContain('RHR')
    expect(phraseText(passPress(feet, progress)!.message)).toBe('Clicked at 3 N·m, pass 1: LHF RHF LHR')
  })

  it('has its sign taken back when it is pulled anew', () => {
    const seen: Made<LogEvent> = {
      kind: 'signSeen',
      jointId: joint,
      what: 'feet',
      sign: 'one click',
      spots: ['LHF', 'RHF'],
    }
    expect([...after(pull('LHF', 3, 6), seen).signs]).toEqual([`${joint} LHF`, `${joint} RHF`])
    expect([...after(pull('LHF', 3, 6), seen, pull('LHF', 3, 6.1)).signs]).toEqual([`${joint} RHF`])
  })

  it('is asked again when the step is opened, and pulled it is answered no more', () => {
    expect(
      placeAnswers(feet, after(notSeen, { kind: 'stepReopened', stepId: feet.id, title: 't' })).size,
    ).toBe(0)
    const pulled = after(notSeen, pull('RHR', 3, 6))
    expect(placeAnswers(feet, pulled).size).toBe(0)
    expect(nextPull(feet, pulled)?.at).toBe('LHF')
  })

  it('stands on the sheet before anything is fitted, with who and why, and in its row', () => {
    const rest = (['LHF', 'RHF', 'LHR'] as const).map((spot) => pull(spot, 3, 6))
    const progress = after(notSeen, ...rest, done(feet))
    const sheet = handoverOf(surveyed, review(surveyed), progress, [], USUAL_BAY)
    const part = openingOf(sheet).find(({ title }) => title === 'Not done, and why')
    expect(part?.lines.map((line) => phraseText(line)).join()).toBe(
      `${feet.title}, RHR: not seen. Wren on 2027-03-12: Behind the box`,
    )
    expect(phraseText(sheet.torques[0]!.read)).toContain('RHR not seen')
  })

  it('holds the handing over until a reason is given for it', () => {
    const tell = step('job/tell')
    const progress = after(notSeen, done(feet))
    const around = { steps, review: review(surveyed), again: new Map<string, string>() }
    const held = (of: BayProgress) => holdsOf(tell, surveyed, [], of, around).map(({ id }) => id)
    const own = held(progress).filter((id) => id.startsWith('answer '))
    expect(own).toHaveLength(1)
    const said = after(notSeen, done(feet), {
      kind: 'deviated',
      stepId: tell.id,
      title: 't',
      reason: 'r',
      about: own,
    })
    expect(held(said).filter((id) => id.startsWith('answer '))).toEqual([])
  })
})

describe('a whole step that somebody answered for', () => {
  const putOff = answered({ answer: 'putOff' })

  it('put off lets the work go on, and is neither done nor forgotten (B6)', () => {
    const first = steps.slice(0, steps.indexOf(feet)).map(done)
    const progress = after(...first, putOff)
    expect([isDone(feet, progress), isSettled(feet, progress)]).toEqual([false, true])
    expect(currentIndex(steps, progress)).not.toBe(steps.indexOf(feet))
    const given = workedEvents(surveyed, USUAL_BAY).filter(
      (event) => event.kind !== 'stepDone' && !('jointId' in event && event.jointId === joint),
    )
    const rest = [...given, ...steps.filter(({ id }) => id !== feet.id).map(done)]
    const session = sessionOf(steps, surveyed, review(surveyed), after(putOff, ...rest))
    expect(session.next?.step.id).toBe(feet.id)
    expect(session.next?.state).toBe('putOff')
    expect(session.done).toBe(steps.length - 1)
    const sheet = handoverOf(surveyed, review(surveyed), after(...rest, putOff), [], USUAL_BAY)
    expect(openingOf(sheet).map(({ title }) => title)).toContain('The fitting is not finished')
  })

  it('is answered no more once it is done, and a new answer takes the place of the old', () => {
    expect(answerOf(feet, after(putOff, done(feet)))).toBeUndefined()
    expect(isDone(feet, after(putOff, done(feet)))).toBe(true)
    expect(answerOf(feet, after(putOff, answered({ answer: 'cannotHere' })))?.answer).toBe('cannotHere')
    expect(isDone(feet, after(done(feet), putOff))).toBe(false)
  })

  it('on already when it came counts as done, until what it hangs on changes', () => {
    const facts = evidenceNow(feet, surveyed, NOTHING_DONE)
    const progress = after(answered({ answer: 'alreadyOn', hung: { ...facts } }))
    const before = sessionOf(steps, surveyed, review(surveyed), progress)
    expect(before.steps.find(({ step: { id } }) => id === feet.id)?.state).toBe('alreadyOn')
    const moved: Plan = {
      ...boatAndBox,
      racks: boatAndBox.racks.map((rack) =>
        rack.kind === 'ladder'
          ? rack
          : { ...rack, bars: rack.bars.map((bar, i) => (i > 0 ? bar : { ...bar, xMm: bar.xMm - 40 })) },
      ),
    }
    const later = survey(moved)
    const stands = sessionOf(stepsOf(moved), later, review(later), progress).steps.find(
      ({ step: { id } }) => id === feet.id,
    )
    expect(stands).toMatchObject({ state: 'again', changed: 'where the bars stand' })
  })
})

describe('the session', () => {
  it('says what comes next, what it asks and was given, and what is left for one and for two', () => {
    const session = sessionOf(steps, surveyed, review(surveyed), NOTHING_DONE)
    expect(session.next?.step.id).toBe('job/count')
    expect(session.next?.holds.map(({ id }) => id)).toEqual(['count'])
    expect(session.next?.asks.every(({ given }) => given === undefined)).toBe(true)
    expect(session.left.two).toBeLessThan(session.left.one)
    expect(session.left.two).toBeGreaterThan(session.left.one / 2 - 1)
    const read = sessionOf(steps, surveyed, review(surveyed), after(pull('LHF', 3, 6.1)))
    expect(read.steps.find(({ step: { id } }) => id === feet.id)?.asks).toContainEqual({
      place: 'LHF',
      given: '6.1 N·m',
    })
  })

  it('has every step but the first wait for another, by name, and none once all before it are done (B8)', () => {
    for (const each of steps) {
      const names = waitsFor(each, steps, NOTHING_DONE).map(({ title }) => title)
      expect(names.length > 0, each.id).toBe(each.after.length > 0)
      const all = new Set(each.after)
      expect(waitsFor(each, steps, { ...NOTHING_DONE, done: all })).toEqual([])
    }
  })

  it('asks something place by place of every step that has places, in every kind of job', () => {
    for (const plan of [boatAndBox, hatchJob]) {
      const of = survey(plan)
      for (const { step: each, asks } of sessionOf(stepsOf(plan), of, review(of), NOTHING_DONE).steps)
        if (['torque', 'count', 'measure', 'prove', 'weigh', 'channel'].includes(each.task.kind))
          expect(asks.length, each.id).toBeGreaterThan(0)
    }
  })
})

describe('a reading by a wrench past its calibration', () => {
  const read = (held: boolean): Made<LogEvent> => ({
    kind: 'torqued',
    jointId: joint,
    what: 'feet',
    spot: 'LHF',
    pass: 3,
    percent: 100,
    nm: 6,
    tool: 'Shop wrench',
    calibration: { until: '2027-03-11', held },
  })
  const minds = (event: Made<LogEvent>) =>
    stepFindings(feet, surveyed, after(event)).flatMap(({ severity, sentence }) =>
      severity === 'mind' ? [phraseText(sentence)] : [],
    )

  it('is Mind with its name, and silent while it held', () => {
    expect(minds(read(false)).join()).toContain('Shop wrench, whose calibration held until 2027-03-11')
    expect(minds(read(true))).toEqual([])
  })
})
