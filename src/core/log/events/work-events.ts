import { calibration } from '../calibration'
import * as z from '../../units/schema'
import { massKg, sizeMm } from '../../units/scalars'
import { ANSWER_WORD, ANSWERS } from '../answer'
import { PROOF_OUTCOMES } from '../proof-outcome'
import { PULL_EVIDENCE, pullWords } from '../pull-evidence'
import { forgetPlaces, retainAnswers, pullKey, signKey } from '../record'
import { readFromSchema, readFromWords } from '../read-from'
import { isMark, TAPED, TAPED_NAME, type Taped } from '../taped'
import { asTyped, entry, hung, key, reason, tidy, typed, words } from './entry'

const step = { stepId: key, title: words }
/** As many passes as a joint may be tightened in. */
const PASSES_MOST = 9
/** How a reading came: by which tool, and whether a device of the demo only played it. */
const readBy = {
  typed: z.optional(typed),
  tool: z.optional(z.string().check(z.maxLength(120))),
  calibration: z.optional(calibration),
  /** Played by a device of the demo, and read by nobody. */
  simulated: z.optional(z.literal(true)),
}
const PROVED = { good: 'good', notGood: 'not good', notNow: 'put off', notDriven: 'not driven' } as const

/** What is done, read, seen and said in the bay. */
export const ofWorkEvents = {
  counted: entry({
    word: 'Counted',
    shape: { lineId: key, what: words, count: z.int().check(z.gte(0), z.lte(4000)) },
    line: (event) => `${event.count} × ${event.what}`,
    changes: ({ job }, event) => job.counted.set(event.lineId, event.count),
    subject: ({ lineId }) => [lineId],
  }),
  stepDone: entry({
    word: 'Done',
    shape: {
      ...step,
      /** What the tick depended on, as it was then. */
      hung: z.optional(hung),
    },
    line: ({ title }) => title,
    changes: ({ job }, event) => {
      job.done.add(event.stepId)
      job.doneAt.set(event.stepId, event.at)
      if (event.hung) job.hung.set(event.stepId, event.hung)
      else job.hung.delete(event.stepId)
      retainAnswers(job, event.stepId, ({ places }) => places !== undefined)
    },
  }),
  marksSeen: entry({
    word: 'Marks seen',
    shape: {
      ...step,
      places: z
        .array(z.strictObject({ id: key, at: words, what: words, mark: words }))
        .check(z.minLength(1), z.maxLength(64)),
    },
    line: ({ places }) => places.map(({ at, what, mark }) => `${what}, ${at}: ${mark}`).join('; '),
    changes: ({ job }, { places }) => {
      for (const { id, mark } of places) job.marks.set(id, mark)
    },
    subject: ({ stepId, places }) => [stepId, ...places.map(({ id }) => id)],
  }),
  stepReopened: entry({
    word: 'Opened again',
    shape: step,
    line: ({ title }) => title,
    changes: ({ job }, { stepId }) => {
      job.done.delete(stepId)
      job.answers.delete(stepId)
    },
  }),
  measured: entry({
    word: 'Measured',
    shape: {
      stepId: key,
      pairId: key,
      readings: z.partialRecord(z.enum(TAPED), z.array(sizeMm).check(z.minLength(1), z.maxLength(40))),
      typed: z.optional(z.partialRecord(z.enum(TAPED), typed)),
      from: z.optional(z.partialRecord(z.enum(TAPED), readFromSchema)),
    },
    line: ({ readings, typed: texts, from }) =>
      Object.entries(readings)
        .map(([each, list]) => {
          const taped = each as Taped
          const unit = isMark(taped) ? '' : ' mm'
          const where = readFromWords(from?.[taped], (mm) => `${tidy(mm)} mm`)
          return `${TAPED_NAME[taped]} ${list.map(tidy).join(', ')}${unit}${asTyped(texts?.[taped])}${where === '' ? '' : `, ${where}`}`
        })
        .join('; '),
    changes: ({ job }, event) => {
      job.measured.set(`${event.stepId} ${event.pairId}`, event.readings)
      job.typed.set(`${event.stepId} ${event.pairId}`, event.typed ?? {})
      job.readFrom.set(`${event.stepId} ${event.pairId}`, event.from ?? {})
    },
    subject: ({ stepId, pairId }) => [stepId, pairId],
  }),
  weighed: entry({
    word: 'Weighed',
    shape: { targetId: key, what: words, kg: massKg, ...readBy },
    line: (event) => `${event.what} ${tidy(event.kg)} kg${asTyped(event.typed)}`,
    changes: ({ job }, event) => {
      job.weighed.set(event.targetId, event.kg)
      if (event.simulated) job.playedWeights.add(event.targetId)
      else job.playedWeights.delete(event.targetId)
    },
    subject: ({ targetId }) => [targetId],
  }),
  torqued: entry({
    word: 'Torqued',
    shape: {
      jointId: key,
      what: words,
      spot: words,
      pass: z.int().check(z.gte(1), z.lte(PASSES_MOST)),
      percent: z.number().check(z.gte(1), z.lte(100)),
      /** Wrench readings, N·m. */
      nm: z.optional(z.number().check(z.gte(0.001), z.lte(2000))),
      how: z.optional(z.enum(PULL_EVIDENCE)),
      ...readBy,
    },
    line: (event) =>
      `${event.what}, ${event.spot}, pass ${event.pass} (${event.percent} %): ${event.nm === undefined ? pullWords(event.how) : `${tidy(event.nm)} N·m${asTyped(event.typed)}`}`,
    changes: ({ job }, event) => {
      const pull = pullKey(event.jointId, event.spot, event.pass)
      if (event.percent === 100) job.fullPulls.add(pull)
      else job.fullPulls.delete(pull)
      job.torqued.set(pull, {
        nm: event.nm,
        how: event.nm === undefined ? event.how : 'reading',
        tool: event.tool,
        calibration: event.calibration,
        simulated: event.simulated,
      })
      const place = signKey(event.jointId, event.spot)
      if (event.nm !== undefined) job.highest.set(place, Math.max(event.nm, job.highest.get(place) ?? 0))
      job.signs.delete(place)
      job.wrong.delete(place)
      forgetPlaces(job, event.jointId, [event.spot])
    },
    subject: ({ jointId, spot, pass }) => [jointId, spot, pass],
  }),
  overLooked: entry({
    word: 'Looked at after over-torque',
    shape: {
      jointId: key,
      what: words,
      spot: words,
      /** What it was tightened to, N·m. */
      nm: z.number().check(z.gte(0.001), z.lte(2000)),
      /** What thread, pad and rail look like, and what was renewed. */
      found: reason,
    },
    line: (event) => `${event.what}, ${event.spot}, tightened to ${tidy(event.nm)} N·m: ${event.found}`,
    changes: ({ job }, { jointId, spot, nm, found, at, by }) => {
      job.highest.delete(signKey(jointId, spot))
      job.overLooks.push({ jointId, spot, nm, found, at, by })
    },
  }),
  signSeen: entry({
    word: 'Sign seen',
    shape: {
      jointId: key,
      what: words,
      /** The sign in words, and where it was seen, beside a reading. */
      sign: words,
      spots: z.array(words).check(z.minLength(1), z.maxLength(60)),
    },
    line: (event) => `${event.what}, ${event.sign}: ${event.spots.join(' ')}`,
    changes: ({ job }, { jointId, spots }) => {
      for (const spot of spots) {
        job.signs.add(signKey(jointId, spot))
        job.wrong.delete(signKey(jointId, spot))
      }
    },
  }),
  placeWrong: entry({
    word: 'Not right',
    shape: {
      jointId: key,
      what: words,
      spot: words,
      /** What was seen there instead of its sign: one click of two. */
      seen: words,
    },
    line: ({ what, spot, seen }) => `${what}, ${spot}: ${seen}`,
    // What was seen or felt at the whole figure counts no more; what a wrench has read stays, and so do the passes before.
    changes: ({ job }, { jointId, spot, seen }) => {
      const place = signKey(jointId, spot)
      job.wrong.set(place, seen)
      job.signs.delete(place)
      for (let pass = 1; pass <= PASSES_MOST; pass += 1) {
        const pull = pullKey(jointId, spot, pass)
        if (job.fullPulls.has(pull) && job.torqued.get(pull)?.nm === undefined) job.torqued.delete(pull)
      }
      forgetPlaces(job, jointId, [spot])
    },
    subject: ({ jointId, spot }) => [jointId, spot],
  }),
  told: entry({
    word: 'Told',
    shape: { what: words },
    line: ({ what }) => what,
    changes: ({ job }, { what }) => job.told.push(what),
  }),
  proved: entry({
    word: 'Proved',
    shape: { item: key, what: words, outcome: z.enum(PROOF_OUTCOMES) },
    line: (event) => `${event.what}: ${PROVED[event.outcome]}`,
    changes: ({ job }, { item, outcome }) => job.proved.set(item, outcome),
    subject: ({ item }) => [item],
  }),
  channelSeen: entry({
    word: 'Channel looked into',
    shape: {
      barId: key,
      what: words,
      /** Everything that is in it, each so far from its low end, mm; empty where it was seen to be empty. */
      inside: z
        .array(z.strictObject({ what: words, fromLowMm: sizeMm, fixed: z.boolean() }))
        .check(z.maxLength(40)),
    },
    line: ({ what, inside }) =>
      inside.length === 0
        ? `${what}: empty`
        : `${what}: ${inside.map((each) => `${each.what} at ${tidy(each.fromLowMm)} mm`).join(', ')}`,
    changes: ({ job }, { barId, inside }) => job.channels.set(barId, inside),
    subject: ({ barId }) => [barId],
  }),
  answered: entry({
    word: 'Answered',
    shape: {
      ...step,
      answer: z.enum(ANSWERS),
      /** Of some places alone, and of which joint; the whole step without. */
      places: z.optional(z.array(words).check(z.minLength(1), z.maxLength(60))),
      jointId: z.optional(key),
      reason,
      hung: z.optional(hung),
    },
    line: (event) =>
      `${ANSWER_WORD[event.answer]}: ${event.title}${event.places ? `, ${event.places.join(' ')}` : ''}. ${event.reason}`,
    // The whole step has one answer; each of its places has one. What was ticked is open again by it.
    changes: ({ job }, event) => {
      if (event.places) forgetPlaces(job, event.jointId, event.places)
      else retainAnswers(job, event.stepId, ({ places }) => places !== undefined)
      job.answers.set(event.stepId, [...(job.answers.get(event.stepId) ?? []), event])
      job.done.delete(event.stepId)
    },
    subject: ({ places, stepId }) => (places ? undefined : [stepId]),
  }),
  deviated: entry({
    word: 'Differs from the sheet',
    shape: {
      ...step,
      reason,
      /** What it speaks of, by id: a finding of the step, or what is still open there. Of anything else it says nothing. */
      about: z.optional(z.array(key).check(z.maxLength(40))),
    },
    line: (event) => `${event.title}: ${event.reason}`,
    changes: ({ job }, event) => job.deviations.push(event),
  }),
}
