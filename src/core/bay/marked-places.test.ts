import { describe, expect, it } from 'vitest'
import { firstBike } from '@/demo/plans'
import { NOTHING_DONE } from '../log/record'
import { USUAL_BAY } from '../plan/schema/house'
import { phraseText } from '../units/phrase'
import { survey } from '../survey/survey'
import { markedPlacesWords, markedPlaceWords, placesOfBars } from './marked-places'
import { marksOf } from './marks'
import { stepFindings } from './step-findings'
import { jobSteps } from './steps/job-steps'
import { holdsOf } from './holds'

const surveyed = survey(firstBike)
const order = jobSteps(surveyed, USUAL_BAY)
const step = order.ok ? order.steps.find(({ task }) => task.kind === 'marks') : undefined
if (step?.task.kind !== 'marks') throw new Error('Its pads are marked.')
const { asks } = step.task
const seen = (at: string, mark: string) => [asks.find((ask) => ask.at === at)?.id ?? '', mark] as const
const after = (...marks: readonly (readonly [string, string])[]) => ({
  ...NOTHING_DONE,
  marks: new Map(marks),
})
const sentences = (progress: typeof NOTHING_DONE) =>
  stepFindings(step, surveyed, progress).map(({ severity, sentence }) => [severity, phraseText(sentence)])

describe('marked pieces', () => {
  it('are told by all that stands on them', () => {
    expect(
      markedPlaceWords({
        at: 'RHR',
        piece: 'Pad',
        mark: 'RHR',
        arrow: 'outward',
        icon: 'three dots',
        colour: 'red',
        core: '517',
        key: 'N4',
      }),
    ).toBe('RHR: Pad marked RHR, icon three dots, red, arrow outward, core 517, key N4')
    expect(marksOf(surveyed).marks.find(({ byPlace }) => byPlace)?.corners).toEqual([
      'LHF',
      'RHF',
      'LHR',
      'RHR',
    ])
  })

  it('that differ by their corner alone are said once', () => {
    const pad = (at: string, mark = at) => ({ at, piece: 'Pad', mark, arrow: 'outward' as const })
    expect(markedPlacesWords([pad('LHF'), pad('RHF')])).toBe(
      'LHF, RHF: Pad marked with its own place, arrow outward',
    )
    expect(markedPlacesWords([pad('LHF'), pad('RHF', 'two dots')])).toBe(
      'LHF: Pad marked LHF, arrow outward; RHF: Pad marked two dots, arrow outward',
    )
  })

  it('of a thing are printed like those of a rack', () => {
    const [first, ...rest] = firstBike.gear
    if (!first) throw new Error('The job has a bike tray.')
    const gear = [{ ...first, work: { places: [{ at: 'Rear wheel', colour: 'red strap' }] } }, ...rest]
    expect(marksOf(survey({ ...firstBike, gear })).marks).toContainEqual(
      expect.objectContaining({ what: first.name, say: 'Rear wheel: red strap', byPlace: true }),
    )
  })

  it('are asked place by place, and one on the wrong corner is a Stop before anything is clamped', () => {
    expect(asks.map(({ at }) => at)).toEqual(['Front bar', 'Rear bar', 'LHF', 'RHF', 'LHR', 'RHR'])
    expect(holdsOf(step, surveyed, [], NOTHING_DONE).map(({ id }) => id)).toEqual(['marks'])
    const wrong = after(seen('LHF', 'LHF'), seen('RHR', 'LHR'))
    expect(sentences(wrong)).toEqual([
      [
        'stop',
        'Pad, RHR: marked LHR, which is the wrong corner. It belongs at LHR. Put the one marked RHR here before anything is clamped.',
      ],
    ])
    const right = after(...asks.map(({ at, mark }) => seen(at, mark)))
    expect(sentences(right)).toEqual([])
    expect(holdsOf(step, surveyed, [], right)).toEqual([])
  })

  it('of a thing are asked before it is set on, each at its place and for each time that it is placed', () => {
    const [first, ...rest] = firstBike.gear
    const placed = firstBike.placements.find(({ gearId }) => gearId === first?.id)
    if (!first || !placed) throw new Error('The job has a bike tray.')
    const marked = (front: string) => ({
      ...firstBike,
      gear: [
        {
          ...first,
          work: {
            places: [
              { at: 'Front hoop', mark: front },
              { at: 'Rear hoop', mark: 'B' },
            ],
          },
        },
        ...rest,
      ],
    })
    const stepsOf = (front: string) => {
      const all = jobSteps(survey(marked(front)), USUAL_BAY)
      return all.ok ? all.steps : []
    }
    const steps = stepsOf('A')
    const own = steps.findIndex(({ id }) => id === `gear:${placed.id}/marks`)
    const task = steps[own]?.task
    if (task?.kind !== 'marks') throw new Error('Its hoops are marked.')
    expect(task.asks.map(({ at, mark, where }) => [at, mark, where])).toEqual([
      ['Front hoop', 'A', 'place'],
      ['Rear hoop', 'B', 'place'],
    ])
    expect(own).toBeLessThan(steps.findIndex(({ id }) => id === `gear:${placed.id}/set`))
    expect(steps.find(({ id }) => id === `gear:${placed.id}/set`)?.after).toContain(`gear:${placed.id}/marks`)
    // What all bear alike tells no piece from another.
    expect(stepsOf('B').some(({ id }) => id === `gear:${placed.id}/marks`)).toBe(false)
  })

  it('of bars that are marked for one end each are asked, and two exchanged are named', () => {
    const ends = ['front', 'rear'] as const
    const plan = {
      ...firstBike,
      racks: firstBike.racks.map((rack) =>
        rack.kind === 'bars'
          ? {
              ...rack,
              parts: rack.parts.map(({ work: _, ...part }) => part),
              bars: rack.bars.map((bar, i) => ({ ...bar, end: ends[i] })),
            }
          : rack,
      ),
    }
    const now = survey(plan)
    const steps = jobSteps(now, USUAL_BAY)
    const own = steps.ok ? steps.steps.find(({ task }) => task.kind === 'marks') : undefined
    if (own?.task.kind !== 'marks') throw new Error('Its bars are marked.')
    const [front, rear] = own.task.asks
    expect(own.task.asks.map(({ at, mark }) => [at, mark])).toEqual([
      ['Front bar', 'for the front'],
      ['Rear bar', 'for the rear'],
    ])
    // A plan that has them exchanged asks for no exchanged bars: where one goes is said by its mark.
    const exchanged = {
      ...plan,
      racks: plan.racks.map((rack) =>
        rack.kind === 'bars'
          ? { ...rack, bars: rack.bars.map((bar, i) => ({ ...bar, name: 'Bar', end: ends[1 - i] })) }
          : rack,
      ),
    }
    expect(
      survey(exchanged)
        .racks.flatMap(placesOfBars)
        .map(({ at, mark }) => [at, mark]),
    ).toEqual([
      ['Front bar', 'for the front'],
      ['Rear bar', 'for the rear'],
    ])
    expect(phraseText(own.detail)).toBe(
      'Front bar: bar marked for the front; Rear bar: bar marked for the rear.',
    )
    const swapped = after([front?.id ?? '', 'for the rear'], [rear?.id ?? '', 'for the front'])
    expect(stepFindings(own, now, swapped).map(({ sentence }) => phraseText(sentence))).toEqual([
      'bar, Front bar: marked for the rear, which is the wrong place. It belongs at Rear bar. Put the one marked for the front here before anything is clamped.',
      'bar, Rear bar: marked for the front, which is the wrong place. It belongs at Front bar. Put the one marked for the rear here before anything is clamped.',
    ])
  })

  it('go to their places before the feet are built up', () => {
    const ids = order.ok ? order.steps.map(({ id }) => id) : []
    expect(ids.indexOf(step.id)).toBeLessThan(ids.findIndex((id) => id.endsWith('/sub-assembly')))
  })
})

describe('an arrow', () => {
  const rack = firstBike.racks[0]
  const arrowed = survey({
    ...firstBike,
    racks: firstBike.racks.map((each) => ({
      ...each,
      parts: each.parts.map((part) =>
        part.role === 'bars'
          ? {
              ...part,
              work: {
                ...part.work,
                places: [
                  { at: 'Front bar', piece: 'Bar', arrow: 'front' as const },
                  { at: 'Rear bar', piece: 'Bar', arrow: 'front' as const },
                ],
              },
            }
          : part,
      ),
    })),
  })
  const order = jobSteps(arrowed, USUAL_BAY)
  const step = order.ok ? order.steps.find(({ task }) => task.kind === 'marks') : undefined

  it('is looked at though all point alike, and one that points the wrong way stops the step', () => {
    if (step?.task.kind !== 'marks' || !rack) throw new Error('Its bars have arrows.')
    const bars = step.task.asks.filter(({ what }) => what === 'Bar')
    expect(bars.map(({ at, mark, marks }) => [at, mark, marks])).toEqual([
      ['Front bar', 'arrow forward', ['arrow forward', 'arrow the wrong way']],
      ['Rear bar', 'arrow forward', ['arrow forward', 'arrow the wrong way']],
    ])
    const wrong = after([bars[1]?.id ?? '', 'arrow the wrong way'])
    expect(
      stepFindings(step, arrowed, wrong).map(({ severity, sentence }) => [severity, phraseText(sentence)]),
    ).toEqual([['stop', 'Bar, Rear bar: its arrow points the wrong way. Turn it round: arrow forward.']])
    const right = after([bars[1]?.id ?? '', 'arrow forward'])
    expect(stepFindings(step, arrowed, right)).toEqual([])
  })
})
