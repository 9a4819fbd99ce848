import 'fake-indexeddb/auto'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { isOpen } from '@/core/api/assess'
import type { Plan } from '@/core/api/plan'
import { boatAndBox, ridgeTent } from '@/demo/plans'
import { FixSearch } from '@/workers/fix-search'
import type { FixesQuestion } from '@/workers/fixes-messages'
import { assessmentOf } from './assessment'
import { askFixes, endFixes, firstFix } from './fixes'
import { planStore } from './plan-store'

/** A worker that answers when it is told to, so that a test says what comes when. */
class PlayedWorker extends EventTarget {
  static all: PlayedWorker[] = []
  readonly asked: FixesQuestion[] = []
  ended = false
  private readonly desk = new FixSearch()
  constructor() {
    super()
    PlayedWorker.all.push(this)
  }
  postMessage(question: FixesQuestion) {
    this.asked.push(question)
    this.desk.take(question)
  }
  terminate() {
    this.ended = true
  }
  answerAll() {
    for (let data = this.desk.next(); data; data = this.desk.next())
      this.dispatchEvent(new MessageEvent('message', { data }))
  }
}

const workers = PlayedWorker.all
const openOf = (plan: Plan) => assessmentOf(plan).review.findings.filter(isOpen)
const stopOf = (plan: Plan) => openOf(plan).find(({ severity }) => severity === 'stop')!

beforeEach(() => {
  workers.length = 0
  vi.stubGlobal('Worker', PlayedWorker)
  planStore.setState({ plan: boatAndBox, dragFrom: undefined })
})
afterEach(() => {
  endFixes()
  vi.unstubAllGlobals()
})

it('gives the first fix of a finding as soon as its worker has found it', async () => {
  const stop = stopOf(boatAndBox)
  askFixes(boatAndBox, openOf(boatAndBox))
  const first = firstFix(boatAndBox, stop)
  workers[0]!.answerAll()
  expect((await first)?.command).toBeDefined()
})

it('sends the stock once, and asks nothing again for the plan it asked for', () => {
  askFixes(boatAndBox, openOf(boatAndBox))
  askFixes(boatAndBox, openOf(boatAndBox))
  askFixes(ridgeTent, openOf(ridgeTent))
  expect(workers[0]!.asked.map(({ plan, stock }) => [plan.id, stock !== undefined])).toEqual([
    [boatAndBox.id, true],
    [ridgeTent.id, false],
  ])
})

it('shows nothing that comes during a drag before the thing is let go', async () => {
  const stop = stopOf(boatAndBox)
  askFixes(boatAndBox, openOf(boatAndBox))
  const first = firstFix(boatAndBox, stop)
  let known = false
  void first.then(() => {
    known = true
  })
  planStore.setState({ dragFrom: boatAndBox })
  workers[0]!.answerAll()
  await Promise.resolve()
  expect(known).toBe(false)
  planStore.setState({ dragFrom: undefined })
  expect((await first)?.command).toBeDefined()
})

it('gives nothing of a plan that has changed meanwhile', async () => {
  askFixes(boatAndBox, openOf(boatAndBox))
  const first = firstFix(boatAndBox, stopOf(boatAndBox))
  planStore.setState({ plan: ridgeTent })
  workers[0]!.answerAll()
  expect(await first).toBeUndefined()
})

it('waits for the panels, where a key is quicker than they are after an edit', async () => {
  const turned = { ...boatAndBox }
  askFixes(boatAndBox, openOf(boatAndBox))
  planStore.setState({ plan: turned })
  const first = firstFix(turned, stopOf(turned))
  workers[0]!.answerAll()
  askFixes(turned, openOf(turned))
  workers[0]!.answerAll()
  expect((await first)?.command).toBeDefined()
})

it('starts a worker that died again, with the stock, and gives up after three deaths', async () => {
  const first = () => firstFix(boatAndBox, stopOf(boatAndBox))
  askFixes(boatAndBox, openOf(boatAndBox))
  const waiting = first()
  workers[0]!.dispatchEvent(new Event('error'))
  expect(workers[0]!.ended).toBe(true)
  expect(workers[1]!.asked[0]?.stock).toBeDefined()
  for (let i = 1; i < workers.length; i += 1) workers[i]!.dispatchEvent(new Event('error'))
  expect(workers).toHaveLength(3)
  expect(await waiting).toBeUndefined()
  askFixes(ridgeTent, openOf(ridgeTent))
  planStore.setState({ plan: ridgeTent })
  const next = firstFix(ridgeTent, openOf(ridgeTent)[0]!)
  workers[3]!.answerAll()
  expect((await next)?.command).toBeDefined()
})

it('asks no worker for the fixes of nothing', () => {
  askFixes(boatAndBox, [])
  expect(workers).toHaveLength(0)
})

it('finds nothing for a finding that is not of the plan', () => {
  const desk = new FixSearch()
  desk.take({ ticket: 1, plan: boatAndBox, findingIds: ['not there'] })
  expect(desk.next()).toEqual({ ticket: 1, findingId: 'not there', remedies: [] })
  expect(desk.next()).toBeUndefined()
})
