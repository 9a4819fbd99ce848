import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { fullPlan } from '@/core/plan/full-plan.testing'

/** Every place in a plan where a value stands, whatever number in a list it has. */
function leavesOf(value: unknown, at = ''): string[] {
  if (Array.isArray(value)) return value.flatMap((each) => leavesOf(each, `${at}[]`))
  if (typeof value !== 'object' || value === null) return [at]
  return Object.entries(value).flatMap(([key, each]) => leavesOf(each, `${at}.${key}`))
}

/** The sheets of the core's fields: their own test walks them leaf by leaf. */
const BY_FIELDS = /^\.(vehicle|racks|gear|job)\b|^\.placements\[\]\.loads\b/

type Place = readonly [leaves: RegExp, file: string, ...labels: readonly string[]]

const bench = (name: string) => `src/ui/screens/bench/${name}.tsx`

/** Which field of which screen takes each value, by the words a person reads there. */
const OFFERED: readonly Place[] = [
  [/^\.placements\[\]\.xMm$/, bench('thing-strip'), 'x, middle', 'x in its place'],
  [/^\.placements\[\]\.yMm$/, bench('thing-strip'), 'y, right +'],
  [/^\.placements\[\]\.turn$/, bench('thing-strip'), 'Turn {placement.turn}°'],
  [/^\.placements\[\]\.onEdge$/, bench('thing-strip'), 'On edge'],
  [
    /^\.placements\[\]\.host\.(barIds\[\]|rackId|side|placementId|placeId|on)$/,
    bench('thing-strip'),
    'Stands on',
  ],
  [/^\.placements\[\]\.host\.zMm$/, bench('thing-strip'), 'Over the bed’s side'],
  [/^\.placements\[\]\.when$/, bench('thing-strip'), 'On board'],
  [/^\.placements\[\]\.status$/, bench('status-choice'), 'In this job'],
  [/^\.placements\[\]\.lines\./, bench('held-by'), 'Lines'],
  [/^\.placements\[\]\.straps\.count$/, bench('held-by'), 'How many'],
  [/^\.placements\[\]\.straps\.eachKg$/, bench('held-by'), 'Each, by its label'],
  [/^\.use\.roadKmH$/, bench('use-of-vehicle'), 'Speed on the road'],
  [/^\.use\.trailKmH$/, bench('use-of-vehicle'), 'Speed on the trail'],
  [/^\.use\.trailPitchDeg$/, bench('use-of-vehicle'), 'Slope on the trail, up or down'],
  [/^\.use\.trailRollDeg$/, bench('use-of-vehicle'), 'Side slope on the trail'],
  [/^\.use\.snowKgPerM2$/, bench('use-of-vehicle'), 'Snow when parked'],
  [/^\.use\.occupants\[\]\.name$/, bench('use-of-vehicle'), 'Name of ${occupant.name}'],
  [/^\.use\.occupants\[\]\.mass\.(kg|typed\..*)$/, bench('use-of-vehicle'), 'label={occupant.name}'],
  [/^\.use\.occupants\[\]\.mass\.basis$/, bench('use-of-vehicle'), '${occupant.name}: known by'],
  [/^\.clearances\[\]\.name$/, bench('clearances'), 'Its name'],
  [/^\.clearances\[\]\.heightMm$/, bench('clearances'), 'Its height'],
  [/^\.measurements\[\]\.of\.what$/, bench('measuring'), 'What is measured'],
  [/^\.measurements\[\]\.of\.side$/, bench('measuring'), 'On the ${side}'],
  [/^\.measurements\[\]\.datum$/, bench('measuring'), 'From where to where'],
  [/^\.measurements\[\]\.readingsMm\[\]$/, bench('measuring'), 'First reading', 'Another reading'],
  [/^\.measurements\[\]\.went$/, bench('measuring'), 'What the gauge did'],
  [/^\.measurements\[\]\.mass\.kg$/, bench('measuring'), 'label="Mass"'],
  [/^\.measurements\[\]\.by$/, bench('measuring'), 'Taken by'],
  [/^\.measurements\[\]\.on$/, bench('measuring'), 'Taken on'],
  [/^\.rules\.(parkedMissing|roofCounts|uneven|spread|tentOpens)$/, bench('house-rules'), 'school('],
  [/^\.rules\.trailMissing\./, bench('house-rules'), 'No trail figure'],
  [/^\.rules\.guess\./, bench('house-rules'), 'A weight somebody guessed'],
  [/^\.rules\.guessSpreadPercent$/, bench('house-rules'), 'How far off a guess may be'],
  [/^\.rules\.gapsMm\./, bench('house-rules'), 'Gap between things', 'Gap to a ceiling'],
  [/^\.rules\.tolerancesMm\./, bench('house-rules'), 'tolerancesMm'],
  [/^\.rules\.straps\.pullN$/, bench('house-rules'), 'Pull in each strap'],
  [/^\.rules\.straps\.friction$/, bench('house-rules'), 'Friction under a strapped load'],
  [/^\.rules\.straps\.angleDeg$/, bench('house-rules'), 'Angle of the strap'],
  [/^\.rules\.mustLook\[\]$/, bench('house-rules'), 'mustLook'],
  [/^\.rules\.localRules$/, bench('house-rules'), 'Local rules for what runs past the vehicle'],
  [/^\.rules\.bay\.tightening$/, bench('bay-rules-fields'), 'A joint without a stated torque'],
  [/^\.rules\.bay\.security$/, bench('bay-rules-fields'), 'Thread security where the sheet is silent'],
  [/^\.rules\.bay\.passesPercent\[\]$/, bench('bay-rules-fields'), 'Passes of a group'],
  [
    /^\.rules\.bay\.(firstCheckKm|firstCheckDays|thenMonths|stripShrinkPercent)$/,
    bench('bay-rules-fields'),
    'label={label}',
  ],
  [/^\.rules\.bay\.stripStockMm\[\]$/, bench('bay-rules-fields'), 'bought in lengths of'],
  [/^\.rules\.bay\.driveCases\[\]$/, bench('bay-rules-fields'), 'Cases of a test drive'],
  [/^\.rules\.bay\.singleFigurePercent$/, bench('bay-rules-fields'), 'off a single figure by'],
  [/^\.setAside\[\]\.by$/, bench('set-aside-dialog'), 'Who sets it aside'],
  [/^\.setAside\[\]\.reason$/, bench('set-aside-dialog'), 'label="Why"'],
  [/^\.car\.plate$/, bench('job-details'), 'Plate'],
  [/^\.car\.number$/, bench('job-details'), 'The shop’s number for the car'],
]

/** What no field asks for, and why. */
const NOT_ASKED: readonly (readonly [RegExp, string])[] = [
  [/\.(id|gearId)$|Ids?(\[\])?$/, 'Ypsos gives it, or the thing that was chosen brings it'],
  [/\.(format|version)$/, 'it is the file’s'],
  [/\.typed\b/, 'it is what was typed in the field beside'],
  [
    /^\.placements\[\]\.fitting\./,
    'a fix puts an adapter, another bolt, nut or hole there; the strip shows it and takes it off',
  ],
  [/\.(kind|about|owner|school|on)$/, 'it is which of several fields is filled in'],
  [
    /^\.(use\.occupants|measurements)\[\]\.(mass|of)\.(by|basis|spreadPercent)$/,
    'who is inside is never weighed by anybody; a measured mass is weighed',
  ],
  [/^\.car\.shared$/, 'an old file says so, until a person says whose car it is'],
  [/^\.setAside\[\]\.(findingId|said|on)$/, 'it is the question that was set aside, and the day'],
  [/^\.note$/, 'notes stand at the job, the vehicle, the racks and the gear; one of an older file is kept'],
]

const leaves = [...new Set(leavesOf(fullPlan()))].filter((leaf) => !BY_FIELDS.test(leaf))

describe('nothing of the rest of a plan is without a field', () => {
  it('walks more than a handful of values', () => {
    expect(leaves.length).toBeGreaterThan(100)
  })

  it.each(leaves)('%s', (leaf) => {
    const place = OFFERED.find(([at]) => at.test(leaf))
    if (!place) {
      expect(
        NOT_ASKED.some(([at]) => at.test(leaf)),
        `${leaf}: no field, and no reason why not`,
      ).toBe(true)
      return
    }
    const [, file, ...labels] = place
    const source = readFileSync(file, 'utf8')
    for (const label of labels) expect(source, `${leaf} in ${file}`).toContain(label)
  })

  it('every entry of the two tables is of something that a plan holds', () => {
    for (const [at] of [...OFFERED, ...NOT_ASKED])
      expect(
        leaves.some((leaf) => at.test(leaf)),
        at.source,
      ).toBe(true)
  })
})
