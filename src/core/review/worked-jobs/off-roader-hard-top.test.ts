import { describe, expect, it } from 'vitest'
import type { Attachment } from '../../plan/schema/vehicle'
import { answers, barAt, jobOf, onBars, part, sheet, thingOf, vehicleOf, type Rack } from './worked.testing'

describe('drilled mounts and a platform on a hard top', () => {
  const mounts = (
    figures: Attachment & { kind: 'drilledTop' } extends { rated: infer R } ? R : never,
  ): Attachment => ({
    kind: 'drilledTop',
    id: 'top',
    name: 'Hard top',
    rated: figures,
    points: [300, 1000, 1700].map((xMm) => ({ xMm, yMm: 560 })),
    reinforced: true,
    roofBears: false,
  })
  const OWN = sheet('mounts', { road: 140 }, { counts: 'everything' })
  const vehicleWith = (figures: typeof OWN) =>
    vehicleOf(
      'boxyOffRoader',
      {
        lengthMm: 3985,
        widthMm: 1860,
        heightMm: 1865,
        wheelbaseMm: 2430,
        frontOverhangMm: 720,
        noseToScreenMm: 1250,
        trackMm: { front: 1540, rear: 1550 },
        roofToXMm: 2150,
        kerbKg: 1780,
        centreOfGravity: { known: 'height', heightMm: 690 },
        known: { kerbKg: { by: 'label' }, 'centreOfGravity.heightMm': { by: 'sheet' } },
      },
      [mounts(figures)],
    )
  const rackWith = (counts: 'load' | 'everything' | undefined): Rack => ({
    id: 'rack',
    kind: 'platform',
    name: 'Platform rack',
    attachmentId: 'top',
    centreZMm: 1930,
    bars: [300, 1000, 1700].map((x, i) =>
      barAt(`m${i}`, x, 1280, 560, { kind: 'flat', widthMm: 60, heightMm: 30 }, { riseMm: 41.4 }),
    ),
    deck: { xMm: 1000, yMm: 0, lengthMm: 1620, widthMm: 1280, heightMm: 38 },
    parts: [
      {
        ...part(
          'deck',
          'deck',
          'Platform',
          1,
          28,
          sheet('deck', { road: 115, parked: 370 }, counts ? { counts } : {}),
        ),
        known: { eachKg: { by: 'guess' } },
      },
      part('castings', 'feet', 'Outside castings', 1, 6.2, {
        by: 'with',
        what: 'the mounts',
        source: { kind: 'sheet' },
      }),
      part('skeleton', 'legs', 'Inside skeleton', 1, 11.4, {
        by: 'with',
        what: 'the mounts',
        source: { kind: 'sheet' },
      }),
    ],
  })
  const diesel = (id: string) => ({
    loads: [
      {
        id,
        name: id,
        when: 'always' as const,
        what: { kind: 'fluid' as const, fluid: 'diesel' as const, litres: 10 },
      },
    ],
  })
  const onDeck = (id: string, xMm: number, yMm: number, more = {}) => ({
    ...onBars(id, ['m0'], xMm, yMm, more),
    host: { on: 'deck' as const, rackId: 'rack' },
  })
  const plan = (counts: 'load' | 'everything' | undefined, figures = OWN, tent = false) =>
    jobOf(
      vehicleWith(figures),
      [rackWith(counts)],
      [
        [
          thingOf('Can one', 2.6, [350, 200, 400], { kind: 'can' }, 'weighed'),
          onDeck('Can one', 500, -400, diesel('Diesel one')),
        ],
        [
          thingOf('Can two', 2.6, [350, 200, 400], { kind: 'can' }, 'weighed'),
          onDeck('Can two', 500, 400, diesel('Diesel two')),
        ],
        [thingOf('Jack', 13.2, [900, 150, 200], {}, 'weighed'), onDeck('Jack', 1000, 500)],
        [thingOf('Case', 27.5, [900, 500, 350], {}, 'weighed'), onDeck('Case', 1300, 0)],
        ...(tent
          ? ([[thingOf('Tent', 52, [1300, 1200, 200], { kind: 'tent' }), onDeck('Tent', 1000, 0)]] as const)
          : []),
      ],
    )

  it('holds with its mounts 111.1 of 140 kg on the road, guesses with their margin; the trail is 17.77 over', () => {
    const job = answers(plan('load'))
    expect(job.counted('attachment:top', 'road')).toBeCloseTo(111.1, 1)
    expect(job.left('attachment:top', 'road')).toBeCloseTo(28.9, 1)
    expect(job.left('attachment:top', 'trail')).toBeCloseTo(-17.77, 1)
  })

  it('says of a silent platform what is left either way: 52.3 and 21.5 kg', () => {
    const job = answers(plan(undefined))
    expect(job.left('part:deck', 'road')).toBeCloseTo(52.3, 1)
    expect(job.says('layer-limit', 'clear').find((each) => each.startsWith('Platform'))).toMatch(
      /52.3 kg left of 115 kg.*counting itself too, 21.5 kg/,
    )
    expect(answers(plan('everything')).left('part:deck', 'road')).toBeCloseTo(21.5, 1)
    expect(answers(plan('load')).left('part:deck', 'trail')).toBeCloseTo(13.97, 1)
    expect(answers(plan('everything')).left('part:deck', 'trail')).toBeCloseTo(-16.83, 1)
    expect(job.left('part:deck', 'parked')).toBeCloseTo(307.3, 1)
  })

  it('is over with a tent: 23.1 kg at the mounts', () => {
    const job = answers(plan('load', OWN, true))
    expect(job.left('part:deck', 'road')).toBeCloseTo(0.3, 1)
    expect(job.left('attachment:top', 'road')).toBeCloseTo(-23.1, 1)
    expect(answers(plan('everything', OWN, true)).left('part:deck', 'road')).toBeCloseTo(-30.5, 1)
  })

  it('stands with 1.12 bare, by its own height of mass', () => {
    const job = answers(plan('load'))
    const { bare } = job.survey.motion.standing()
    expect(bare.factor).toBeCloseTo(1.12, 2)
  })

  it('straps its case once, with 13.75 kg of working load limits', () => {
    const job = answers(plan('load'))
    expect(job.says('tie-downs').find((each) => each.startsWith('Case'))).toMatch(/1 strap .*13.8 kg/)
  })

  it('has its deck’s top at 1974.4 mm, and lies over the antenna', () => {
    const plain = plan('load')
    const aerial = {
      kind: 'antenna' as const,
      id: 'satellite',
      name: 'Satellite antenna',
      xMm: 260,
      yMm: 0,
      heightMm: 35,
      form: 'puck' as const,
    }
    const job = answers({ ...plain, vehicle: { ...plain.vehicle, obstacles: [aerial] } })
    expect(job.survey.racks[0]!.topZMm).toBeCloseTo(1974.4, 1)
    expect(job.says('antenna', 'mind').join(' ')).toMatch(/lies over the Satellite antenna/)
  })
})
