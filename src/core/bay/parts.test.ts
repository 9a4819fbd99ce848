import { describe, expect, it } from 'vitest'
import { boatAndBox, ridgeTent, yardVan, frameJob } from '@/demo/plans'
import type { Plan } from '../plan/schema/plan'
import { survey } from '../survey/survey'
import { drillFindings, drillPlans } from './drilling/drill-plan'
import { marksOf } from './marks'
import { countFindings, partsCheck } from './parts/parts-check'
import { USUAL_BAY } from '../plan/schema/house'
import { askedOf, driveCases, proofFindings, proofList } from './proof'

describe('the parts check', () => {
  const check = partsCheck(survey(ridgeTent))
  const line = (id: string) => check.lines.find((each) => each.id === id)

  it('counts bolts, nuts and washers by joint and side', () => {
    expect(line('platform-feet:0/bolt')).toMatchObject({
      what: 'Bolt M8 × 40, 8.8',
      count: 12,
      counted: '2 on each of 6, 6 a side',
      // By the corners that drawing, torque table and log have.
      at: ['LHF', 'RHF', 'LHM', 'RHM', 'LHR', 'RHR'],
    })
    expect(line('platform-feet:0/nut')).toMatchObject({ what: 'Nut M8', count: 12 })
    expect(line('platform-feet:0/lock')).toMatchObject({ what: 'Lock washer M8', count: 12 })
    expect(line('platform-deck:0/nut')?.what).toBe('Channel nut M6')
  })

  it('prices a thing by the piece, and says how many lines have a price (F11)', () => {
    const [tent, ...others] = ridgeTent.placements
    const twice = { ...ridgeTent, placements: [tent!, { ...tent!, id: 'again' }, ...others] }
    const price = ridgeTent.gear.find(({ id }) => id === tent!.gearId)?.price ?? Number.NaN
    expect(partsCheck(survey(twice)).total - check.total).toBe(price)
    expect(check.priced).toBeGreaterThan(0)
    const without = {
      ...ridgeTent,
      racks: ridgeTent.racks.map((rack) => ({
        ...rack,
        parts: rack.parts.map(({ price: _, work: _work, ...part }) => part),
      })),
      gear: ridgeTent.gear.map(({ price: _, work: _work, ...gear }) => gear),
    }
    expect(partsCheck(survey(without)).priced).toBe(0)
  })

  it('says what the box holds, lacks and brings for nothing, and what that costs', () => {
    expect(line('platform-deck/lacks-0')).toMatchObject({
      what: 'Wind deflector',
      inBox: 'notInBox',
      have: 'toBuy',
    })
    expect(line('platform-deck/holds-0')).toMatchObject({ what: 'Slats', count: 8, inBox: 'inBox' })
    expect(check.unused).toEqual([{ what: 'Rail brackets', count: 6, box: 'Slat platform' }])
    expect(check.toBuy).toBe(74)
    const tent = ridgeTent.gear.find(({ id }) => id === 'shell-tent')?.price ?? 0
    // Platform 690, feet 258, deflector 74, two sachets at 3, six strips at 1, and the tent.
    expect(check.total).toBe(690 + 258 + 74 + 6 + 6 + tent)
  })

  it('lists adapters and locks, and each carrier as often as it is placed', () => {
    expect(partsCheck(survey(boatAndBox)).lines.find(({ kind }) => kind === 'lock')).toMatchObject({
      count: 4,
    })
    expect(partsCheck(survey(yardVan)).lines.some(({ kind }) => kind === 'gear')).toBe(true)
  })

  it('says how many lines nobody has spoken of, and is not "nothing to buy" by that (B19)', () => {
    const silent: Plan = {
      ...ridgeTent,
      racks: ridgeTent.racks.map((rack) => ({
        ...rack,
        parts: rack.parts.map(({ work: _work, ...part }) => part),
      })),
      gear: ridgeTent.gear.map(({ work: _work, ...gear }) => gear),
    }
    const unstated = partsCheck(survey(silent))
    expect(unstated.toBuy).toBe(0)
    expect(unstated.unstated).toBe(unstated.lines.length)
    expect(check.unstated).toBeLessThan(check.lines.length)
  })

  it('counts the bolts of gear, every rack on the list, and bars without a side (B19)', () => {
    const lines = partsCheck(survey(boatAndBox)).lines
    const bolts = lines.filter(({ id }) => id.endsWith('/channel-bolts'))
    // The box has two contacts and the cradles are taken at two sides, on each of two bars.
    expect(bolts.map(({ count }) => count)).toEqual([4, 4])
    const bars = boatAndBox.racks.flatMap(({ parts }) => parts).find(({ role }) => role === 'bars')
    expect(lines.find(({ id }) => id === bars?.id)?.counted).toBe('in all')
    const bare: Plan = {
      ...boatAndBox,
      placements: [],
      racks: boatAndBox.racks.map((rack) => ({ ...rack, parts: [] })),
    }
    expect(partsCheck(survey(bare)).lines.map(({ what }) => what)).toEqual(
      boatAndBox.racks.map(({ name }) => name),
    )
  })

  it('makes a finding of what is short and what is over, and none of what is right', () => {
    const counted = new Map([
      ['platform-feet:0/bolt', 11],
      ['platform-feet:0/nut', 12],
      ['platform-feet:0/flat', 14],
    ])
    expect(countFindings(check, counted).map(({ id, severity }) => `${severity} ${id}`)).toEqual([
      'stop counted platform-feet:0/bolt',
      'mind counted platform-feet:0/flat',
    ])
  })
})

describe('marks', () => {
  it('send marked parts to their corners, say which way arrows point and which keys are alike', () => {
    const marks = marksOf(survey(boatAndBox))
    expect(marks.marks).toEqual([
      {
        partId: 'wing-feet',
        what: 'Rail feet',
        corners: ['LHF', 'RHF', 'LHR', 'RHR'],
        say: 'each to the corner it is marked for: LHF, RHF, LHR, RHR',
      },
    ])
    expect(marks.arrows).toEqual([{ on: 'Pads', say: 'arrow outward' }])
    expect(marks.keys[0]?.say).toBe('all alike, key Q17')
    expect(marks.bars.map(({ say }) => say.split(';')[0])).toEqual(['goes in front', 'goes at the rear'])
  })
})

describe('the drill plan', () => {
  const drilled = (drills: object): Plan => ({
    ...frameJob,
    racks: frameJob.racks.map((rack) => ({
      ...rack,
      parts: rack.parts.map((part) =>
        part.role === 'legs'
          ? { ...part, kit: { drills: { holes: 4, reversible: false, ...drills } } }
          : part,
      ),
    })),
  })

  it('puts a hole at each point on either side, mirrored', () => {
    const [plan] = drillPlans(survey(drilled({ pilotMm: 3, finalMm: 8.5 })))
    expect(plan!.holes.length).toBe(plan!.holes.filter(({ yMm }) => yMm < 0).length * 2)
    expect(plan!.holes.reduce((so, { yMm }) => so + yMm, 0)).toBe(0)
    expect(plan!.holes[0]).toMatchObject({ pilotMm: 3, finalMm: 8.5 })
  })

  it('gives a hole its own sizes and work where its sheet does, by its name on the vehicle', () => {
    const own = { name: 'point 1, LEFT', pilotMm: 4, finalMm: 11, operations: ['step drill', 'deburr'] }
    const lost = { name: 'Point 9, left' }
    const [plan] = drillPlans(survey(drilled({ pilotMm: 3, finalMm: 8.5, each: [own, lost] })))
    expect(plan!.holes[0]).toMatchObject({
      name: 'Point 1, left',
      pilotMm: 4,
      finalMm: 11,
      operations: ['step drill', 'deburr'],
    })
    expect(plan!.holes[1]).toMatchObject({ pilotMm: 3, finalMm: 8.5, operations: [] })
    expect(plan!.unplaced).toEqual(['Point 9, left'])
    expect(
      drillFindings(plan!)
        .map(({ sentence }) => sentence.join(''))
        .join(' '),
    ).toContain('names Point 9, left, and the vehicle has no such point')
  })

  it('takes nothing for granted', () => {
    const [bare] = drillPlans(survey(drilled({})))
    expect(drillFindings(bare!)[0]?.sentence.join('')).toContain('the pilot’s size, the final size')
    const whole = { pilotMm: 3, finalMm: 8.5, layers: ['skin'], seal: 'sealant', paint: 'primer' }
    const [full] = drillPlans(survey(drilled(whole)))
    expect(drillFindings({ ...full!, asked: full!.holes.length })).toEqual([])
    expect(drillFindings({ ...full!, asked: 99 })).toHaveLength(1)
    expect(drillPlans(survey(ridgeTent))).toEqual([])
  })
})

describe('the proof', () => {
  const items = proofList(survey(boatAndBox), USUAL_BAY)
  it('asks for what this vehicle has', () => {
    const ids = items.map(({ id }) => id)
    for (const kind of boatAndBox.vehicle.obstacles.map((each) => each.id)) {
      const asked = ids.some((id) => id.endsWith(kind))
      const moves = boatAndBox.vehicle.obstacles.find(({ id }) => id === kind)?.kind
      if (['hatch', 'tailgate', 'sunroof', 'antenna'].includes(moves ?? '')) expect(asked).toBe(true)
    }
    expect(ids).toContain('second-click')
    expect(items.find(({ id }) => id === 'drive')?.kmH).toBe(boatAndBox.use.roadKmH)
    expect(proofList(survey(ridgeTent), USUAL_BAY).map(({ id }) => id)).not.toContain('second-click')
  })

  it('is silent only on what was good', () => {
    const asked = items.flatMap(askedOf)
    expect(proofFindings(items, new Map())).toHaveLength(asked.length)
    expect(proofFindings(items, new Map(asked.map(({ id }) => [id, 'good' as const])))).toEqual([])
    expect(
      proofFindings(items, new Map([['shake', 'notGood']])).find(({ id }) => id === 'proof shake')?.severity,
    ).toBe('stop')
    expect(
      proofFindings(items, new Map([['shake', 'notNow']]))
        .find(({ id }) => id === 'proof shake')
        ?.sentence.join(''),
    ).toContain('put off')
  })

  it('has a drive in cases, and one that was good stands for no other (B6)', () => {
    const drive = items.find(({ id }) => id === 'drive')!
    const [shut, open] = askedOf(drive)
    expect([shut?.name, open?.name]).toEqual(['Windows shut', 'Windows open'])
    const found = proofFindings(
      [drive],
      new Map([
        [shut!.id, 'good' as const],
        [open!.id, 'notDriven' as const],
      ]),
    )
    expect(found.map(({ id }) => id)).not.toContain(`proof ${shut!.id}`)
    expect(found.find(({ id }) => id === `proof ${open!.id}`)).toMatchObject({
      severity: 'mind',
      sentence: ['Drive it, Windows open: not driven.'],
    })
    // The house names its own; the same name is one case.
    expect(
      driveCases({ ...USUAL_BAY, driveCases: ['Empty', 'Loaded', 'Empty '] }).map(({ name }) => name),
    ).toEqual(['Empty', 'Loaded'])
  })
})
