import { assess } from '@/core/api/assess'
import type { State, UnitChoice } from '@/core/api/plan'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { gravityBox } from './gravity-marks'
import { extentOf, layoutSheet } from '@/drawing/layout'
import { boxOf, type Label, LABEL_PX, labelsOverlap, placeLabels, spotAmong } from './place-labels'
import { sheetLabels } from './sheet-labels'
import { zoomAt, zoomOnto } from './zoom'
import { rackBox } from './zoom-store'

const size = { width: 752, height: 470 }
const UNITS: readonly UnitChoice[] = [
  { show: 'metric', denominator: 16 },
  { show: 'us', denominator: 16 },
]
const STATES: readonly State[] = ['road', 'parked']
const page = { left: 0, top: 0, right: 400, bottom: 300 }

const label = (key: string, rank: number, ...spots: Label['spots']): Label => ({
  key,
  text: key,
  variant: 'plain',
  rank,
  spots,
  inside: page,
})

describe('places for words', () => {
  it('gives the lower rank its best place and the other its next', () => {
    const first = { x: 100, y: 100, anchor: 'start' } as const
    const next = { x: 100, y: 140, anchor: 'start' } as const
    const placed = placeLabels([label('minor', 5, first, next), label('major', 1, first, next)], [])
    expect(placed.get('major')?.spot).toBe(first)
    expect(placed.get('minor')?.spot).toBe(next)
  })

  it('leaves away what finds no place, and says a shorter text where only that has room', () => {
    const spot = { x: 100, y: 100, anchor: 'start' } as const
    const placed = placeLabels(
      [
        label('there already', 1, spot),
        label('nowhere', 2, spot),
        label(
          'a long text that would leave the page',
          3,
          { x: 330, y: 200, anchor: 'start' },
          { x: 330, y: 200, anchor: 'start', text: 'short' },
        ),
      ],
      [],
    )
    expect([...placed.values()].map(({ text }) => text)).toEqual(['there already', 'short'])
  })

  it('keeps off marks and off the lines of dimensions', () => {
    const line = { from: 40, to: 240, y: 100 }
    const placed = placeLabels(
      [
        label('900', 1, { x: 140, y: 95, anchor: 'middle', line }),
        label('over the line', 2, { x: 50, y: 104, anchor: 'start' }),
        label('over the mark', 3, { x: 300, y: 200, anchor: 'start' }),
      ],
      [{ left: 310, right: 326, top: 190, bottom: 206 }],
    )
    expect([...placed.keys()]).toEqual(['900'])
  })
})

it('finds a word that comes later the first of its places that is free, and its best where none is', () => {
  const places = [
    { x: 100, y: 100, anchor: 'start' },
    { x: 100, y: 140, anchor: 'start' },
  ] as const
  const [best, next] = places
  expect(spotAmong('stop', 'touches', [best, next], [])).toBe(best)
  expect(spotAmong('stop', 'touches', [best, next], [boxOf('name', 'Box', best)])).toBe(next)
  expect(
    spotAmong(
      'stop',
      'touches',
      [best, next],
      places.map((each) => boxOf('name', 'Box', each)),
    ),
  ).toBe(best)
})

const looks = DEMO_PLANS.flatMap((plan) => {
  const at = assess(plan).survey
  const extent = extentOf(at)
  const whole = layoutSheet(extent, size, undefined)
  const box = rackBox(at)
  const zooms = [
    undefined,
    box && zoomOnto(extent, size, box),
    zoomAt(whole, undefined, 4, [whole.side.left + 200, whole.side.top + 60]),
  ]
  return zooms.flatMap((zoom, i) =>
    UNITS.flatMap((units) =>
      STATES.map((state) => ({
        name: `${plan.id}, zoom ${i}, ${units.show}, ${state}`,
        at,
        layout: layoutSheet(extent, size, zoom),
        units,
        state,
        isWhole: i === 0,
      })),
    ),
  )
})

describe('words of every demo job at three zooms in both unit systems', () => {
  it('stand over no other word and no mark of a centre of gravity, with everything picked in turn', () => {
    let words = 0
    for (const { name, at, layout, units, state } of looks)
      for (const id of [undefined, ...at.things.map(({ placement }) => placement.id)])
        for (const field of [false, true]) {
          const picked = id === undefined ? undefined : ({ kind: 'thing', id } as const)
          const { placed, marks } = sheetLabels({ survey: at, layout, units, state, picked, field })
          const boxes = [...placed.values()]
          words += boxes.length
          const over = boxes.flatMap((a, i) =>
            boxes
              .slice(i + 1)
              .flatMap((b) => (labelsOverlap(a.box, b.box) ? [`${name}: ${a.text} / ${b.text}`] : [])),
          )
          const onMark = boxes.filter((each) =>
            marks.some((mark) => labelsOverlap(gravityBox(mark), each.box)),
          )
          expect([...over, ...onMark.map(({ text }) => `${name}: ${text} on a mark`)]).toEqual([])
        }
    expect(words).toBeGreaterThan(10_000)
  })

  it('always say each door in sight, the picked thing and what each foot bears while the whole is in view', () => {
    const missing = looks
      .filter(({ isWhole }) => isWhole)
      .flatMap(({ name, at, layout, units, state }) =>
        [undefined, ...at.things.map(({ placement }) => placement.id)].flatMap((id) => {
          const picked = id === undefined ? undefined : ({ kind: 'thing', id } as const)
          const { placed } = sheetLabels({ survey: at, layout, units, state, picked, field: false })
          const wanted = [
            ...(id === undefined ? [] : [`name ${id}`, 'picked length']),
            ...at.feet
              .filter((foot) => Math.abs(at.footLoads[foot.index]?.loadKg[state] ?? 0) >= 1)
              .map((foot) => `foot ${foot.id}`),
          ]
          return wanted.filter((key) => !placed.has(key)).map((key) => `${name}, ${id}: ${key}`)
        }),
      )
    expect(missing).toEqual([])
  })
})

it('makes no text smaller than a desk can read, and a box for a text as large as its letters', () => {
  expect(Math.min(...Object.values(LABEL_PX))).toBeGreaterThanOrEqual(12)
  const box = boxOf('plain', '2400 mm', { x: 50, y: 40, anchor: 'end' })
  expect(box.right).toBe(50)
  expect(box.right - box.left).toBeCloseTo(12 * (4 * (14 / 24) + 4 / 24 + 2 * (20 / 24)), 9)
})
