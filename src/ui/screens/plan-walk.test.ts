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
const BY_FIELDS = /^\.(vehicle|racks|gear|job|use|clearances)\b|^\.placements\[\]\.loads\b/

type Place = readonly [leaves: RegExp, file: string, ...labels: readonly string[]]

const load = (name: string) => `src/ui/screens/load/${name}.tsx`
const job = (name: string) => `src/ui/job/${name}.tsx`
const forms = (name: string) => `src/ui/forms/${name}.tsx`

/** Which field of which screen takes each value, by the words a person reads there. */
const OFFERED: readonly Place[] = [
  [/^\.placements\[\]\.xMm$/, load('thing-strip'), 'x, middle', 'x in its place'],
  [/^\.placements\[\]\.yMm$/, load('thing-strip'), 'y, right +'],
  [/^\.placements\[\]\.turn$/, load('thing-strip'), 'Turn {placement.turn}°'],
  [/^\.placements\[\]\.onEdge$/, load('thing-strip'), 'On edge'],
  [
    /^\.placements\[\]\.host\.(barIds\[\]|rackId|side|placementId|placeId|on)$/,
    load('thing-strip'),
    'Stands on',
  ],
  [/^\.placements\[\]\.host\.zMm$/, load('thing-strip'), 'Over the bed’s side'],
  [/^\.placements\[\]\.opensToward$/, load('thing-strip'), 'Opens to the'],
  [/^\.placements\[\]\.when$/, load('thing-strip'), 'On board'],
  [/^\.placements\[\]\.status$/, forms('status-choice'), 'In this job'],
  [/^\.placements\[\]\.lines\./, load('held-by'), 'Lines'],
  [/^\.placements\[\]\.straps\.count$/, load('held-by'), 'How many'],
  [/^\.placements\[\]\.straps\.eachKg$/, load('held-by'), 'Each, by its label'],
  [/^\.measurements\[\]\.of\.what$/, job('measuring'), 'What is measured'],
  [/^\.measurements\[\]\.of\.side$/, job('measuring'), 'On the ${side}'],
  [/^\.measurements\[\]\.datum$/, job('measuring'), 'From and to'],
  [/^\.measurements\[\]\.readingsMm\[\]$/, job('measuring'), 'First reading', 'Another reading'],
  [/^\.measurements\[\]\.went$/, job('measuring'), 'Result of the gauge'],
  [/^\.measurements\[\]\.mass\.kg$/, job('measuring'), 'label="Mass"'],
  [/^\.measurements\[\]\.by$/, job('measuring'), 'Taken by'],
  [/^\.measurements\[\]\.on$/, job('measuring'), 'Taken on'],
  [/^\.rules\.(parkedMissing|roofCounts|uneven|spread|tentOpens)$/, forms('house-rules-fields'), 'school('],
  [/^\.rules\.trailMissing\./, forms('house-rules-fields'), 'No trail figure'],
  [/^\.rules\.guess\./, forms('house-rules-fields'), 'A guessed weight'],
  [/^\.rules\.guessSpreadPercent$/, forms('house-rules-fields'), 'Uncertainty of a guess'],
  [/^\.rules\.gapsMm\./, forms('house-rules-fields'), 'Gap between things', 'Gap to a ceiling'],
  [/^\.rules\.tolerancesMm\./, forms('house-rules-fields'), 'tolerancesMm'],
  [/^\.rules\.straps\.pullN$/, forms('house-rules-fields'), 'Tension in each strap'],
  [/^\.rules\.straps\.friction$/, forms('house-rules-fields'), 'Friction under a strapped load'],
  [/^\.rules\.straps\.angleDeg$/, forms('house-rules-fields'), 'Angle of the strap'],
  [/^\.rules\.mustLook\[\]$/, forms('house-rules-fields'), 'mustLook'],
  [/^\.rules\.localRules$/, forms('house-rules-fields'), 'Local rules for overhang'],
  [/^\.rules\.bay\.tightening$/, forms('fitting-rules-fields'), 'A joint without a stated torque'],
  [/^\.rules\.bay\.security$/, forms('fitting-rules-fields'), 'Thread security where the sheet is silent'],
  [/^\.rules\.bay\.passesPercent\[\]$/, forms('fitting-rules-fields'), 'Torque passes'],
  [
    /^\.rules\.bay\.(firstCheckKm|firstCheckDays|thenMonths|stripShrinkPercent)$/,
    forms('fitting-rules-fields'),
    'label={label}',
  ],
  [/^\.rules\.bay\.stripStockMm\[\]$/, forms('fitting-rules-fields'), 'sold in lengths of'],
  [/^\.rules\.bay\.driveCases\[\]$/, forms('fitting-rules-fields'), 'Cases of a test drive'],
  [
    /^\.rules\.bay\.singleFigurePercent$/,
    forms('fitting-rules-fields'),
    'Tolerance on a single torque figure',
  ],
  [/^\.setAside\[\]\.by$/, load('set-aside-dialog'), 'Who sets it aside'],
  [/^\.setAside\[\]\.reason$/, load('set-aside-dialog'), 'label="Why"'],
  [/^\.car\.plate$/, job('job-details'), 'Plate'],
  [/^\.car\.number$/, job('job-details'), 'The shop’s number for the car'],
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
