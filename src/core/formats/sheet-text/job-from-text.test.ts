import { expect, it } from 'vitest'
import { planSchema } from '../../plan/schema/plan-schema'
import {
  choicesOfText,
  textDraft,
  type KnownAs,
  jobFromText,
  placeInDraft,
  VEHICLE_SHEET,
} from './job-from-text'
import { readSheet } from './read-sheet'
import { withAnswers } from './reading'

const MAIL = [
  'Hello,',
  'our car is an estate with raised rails. The manual says the roof takes 75 kg while driving, rack included.',
  'We want to take two bikes, 14 kg each, and a roof box.',
  'The box weighs 19 kg and may carry 50 kg driving. It is 1800 x 780 x 400 mm.',
  'Can you have a look on Friday?',
].join('\n')

const TOLD = () => 'told' as const

function jobOf(text: string, known: KnownAs = TOLD) {
  const read = readSheet(text)
  const draft = textDraft(choicesOfText(read), 'job')
  const taken = read.readings.filter((reading) => placeInDraft(draft, reading)?.asks.length === 0)
  return jobFromText({ id: 'job', name: 'From a text' }, draft, taken, read.readings, known, [])
}

it('begins a job with what a letter names: the car, what holds a rack, and the things with their figures', () => {
  const plan = jobOf(MAIL)
  expect(planSchema.safeParse(plan).success).toBe(true)
  expect(plan.vehicle).toMatchObject({ body: 'estate', attachments: [{ kind: 'raisedRail' }] })
  expect(plan.vehicle.roof.ratings).toMatchObject([
    { kg: 75, state: 'road', counts: 'everything', source: { kind: 'told' } },
  ])
  expect(plan.racks.map(({ kind }) => kind)).toEqual(['bars'])
  const box = plan.gear.find(({ kind }) => kind === 'box')
  expect(box).toMatchObject({ lengthMm: 1800, widthMm: 780, heightMm: 400, mass: { kg: 19, basis: 'told' } })
  expect(box?.carries?.rated).toMatchObject({ by: 'own', ratings: [{ kg: 50, state: 'road' }] })
  const bike = plan.gear.find(({ kind }) => kind === 'bike')
  expect(bike?.mass).toMatchObject({ kg: 14, basis: 'told' })
  expect(plan.placements.filter(({ gearId }) => gearId === bike?.id)).toHaveLength(2)
})

it('leaves unknown what the text does not say: no weight, no limit, every size a start', () => {
  const plan = jobOf('Hello, we want a roof box on our van. Can you help?')
  expect(plan.vehicle.roof.ratings).toEqual([])
  expect(plan.gear).toMatchObject([{ kind: 'box', mass: { kg: 0, basis: 'unknown' } }])
  expect(plan.gear[0]?.known).toMatchObject({ lengthMm: { by: 'start' } })
  expect(plan.vehicle.known).toMatchObject({ lengthMm: { by: 'start' } })
})

it('knows a figure as its source says only where a person said so', () => {
  const text = 'Estate\nOverall length 4720 mm\nKerb weight 1495 kg'
  expect(jobOf(text).vehicle.known).toMatchObject({ lengthMm: { by: 'told' }, kerbKg: { by: 'told' } })
  expect(jobOf(text, (sheet) => (sheet === VEHICLE_SHEET ? 'manual' : 'told')).vehicle.known).toMatchObject({
    lengthMm: { by: 'manual' },
  })
})

it('takes nothing that is still asked', () => {
  const read = readSheet('Hello, my estate: the roof load is 75 kg. Regards')
  const draft = textDraft(choicesOfText(read), 'job')
  const [limit] = read.readings
  expect(limit && placeInDraft(draft, limit)).toMatchObject({ sheet: VEHICLE_SHEET, asks: ['state'] })
  const job = (readings: typeof read.readings) =>
    jobFromText({ id: 'job', name: 'A job' }, draft, readings, read.readings, TOLD, []).vehicle.roof.ratings
  expect(job(read.readings)).toEqual([])
  expect(job(read.readings.map((each) => withAnswers(each, { state: 'road' })))).toMatchObject([{ kg: 75 }])
})

it('shares what several of a thing weigh together, and gives a rack’s limit to what carries', () => {
  const read = readSheet(
    'Hi, we have three kayaks, all together they weigh 66 kg. Our rack is rated 70 kg driving.',
  )
  const draft = textDraft({ ...choicesOfText(read), things: [{ kind: 'boat', count: 3 }] }, 'job')
  const plan = jobFromText({ id: 'job', name: 'Boats' }, draft, read.readings, read.readings, TOLD, [])
  expect(plan.gear[0]?.mass.kg).toBeCloseTo(22, 9)
  expect(plan.racks[0]?.parts.find(({ role }) => role === 'bars')?.rated).toMatchObject({
    ratings: [{ kg: 70, state: 'road', per: 'set' }],
  })
})

it('puts no thing of a maker’s list on a roof', () => {
  expect(choicesOfText(readSheet('Roof load, driving\nBikes: 45 kg\nBox: 60 kg')).things).toEqual([])
})

it('gives a figure to the thing that its words name, and to no other', () => {
  const plan = jobOf('Hello, we have two bikes and a roof box. The box weighs 19 kg.')
  expect(plan.gear.map(({ kind, mass }) => [kind, mass.kg])).toEqual([
    ['box', 19],
    ['bike', 0],
  ])
  const read = readSheet('Hello, our roof box weighs 19 kg.')
  const [weight] = read.readings
  const things = (kinds: readonly ('bike' | 'tent')[]) =>
    textDraft({ ...choicesOfText(read), things: kinds.map((kind) => ({ kind, count: 1 })) }, 'job')
  expect(placeInDraft(things(['bike', 'tent']), weight!)).toBeUndefined()
})
