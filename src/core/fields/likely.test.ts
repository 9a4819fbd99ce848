import { describe, expect, it } from 'vitest'
import { ATTACHMENTS } from '../kinds/attachment'
import { GEAR_KINDS } from '../kinds/gear-kind'
import { kindsOf } from '../kinds/kind'
import { MOUNTS } from '../kinds/mount'
import { PART_ROLES } from '../kinds/part-role'
import type { Field, Group } from './field'
import { GEAR_FIELD } from './gear-fields'
import { JOB_FIELD } from './job-fields'
import { keepsSources, mayLeaveOut } from './likely'
import { LOAD_FIELD } from './load-fields'
import { USE_FIELD } from './use-fields'
import { CLEARANCES_FIELD } from './clearance-fields'
import { PART_FIELD } from './part-fields'
import { VEHICLE_FIELD } from './vehicle-fields'

function at(group: Group, path: string): Field | undefined {
  const [key = '', ...rest] = path.split('.')
  const field = group.fields[key]
  return rest.length === 0 ? field : field?.is === 'group' ? at(field, rest.join('.')) : undefined
}

const unlikely = (group: Group, chosen: string, standsOn?: string): readonly string[] =>
  (group.likely ?? []).flatMap((each) => each.unlikely(chosen, standsOn))

describe('fields that a kind makes unlikely', () => {
  const FIT = GEAR_FIELD.fields['fit'] as Group

  it('are fields that there are, for every kind on every attachment', () => {
    for (const standsOn of [undefined, ...kindsOf(ATTACHMENTS)])
      for (const [group, kinds] of [
        [PART_FIELD, kindsOf(PART_ROLES)],
        [GEAR_FIELD, kindsOf(GEAR_KINDS)],
        [FIT, kindsOf(MOUNTS)],
        [VEHICLE_FIELD, ['pickup', 'estate']],
      ] as const)
        for (const kind of ['', ...kinds])
          for (const path of unlikely(group, kind, standsOn))
            expect(at(group, path), `${kind}: ${path}`).toBeDefined()
  })

  it('leave a fit kit what it is for, and drilling to what is drilled in', () => {
    expect(unlikely(PART_FIELD, 'fitKit', 'bareRoof')).not.toContain('kit')
    expect(unlikely(PART_FIELD, 'fitKit', 'bareRoof')).toContain('kit.drills')
    expect(unlikely(PART_FIELD, 'fitKit', 'drilledTop')).not.toContain('kit.drills')
    expect(unlikely(PART_FIELD, 'feet', 'drilledTop')).not.toContain('kit')
    expect(unlikely(PART_FIELD, 'feet', 'drilledTop')).not.toContain('kit.drills')
    expect(unlikely(PART_FIELD, 'fitKit', 'bedRail')).not.toContain('kit.railShapes')
    expect(unlikely(PART_FIELD, 'bars', 'bareRoof')).toEqual(expect.arrayContaining(['kit', 'work.keys']))
    expect(unlikely(PART_FIELD, 'feet', 'bareRoof')).not.toContain('work.keys')
    expect(unlikely(PART_FIELD, 'feet', 'bedChannel')).not.toContain('mount')
    expect(unlikely(PART_FIELD, 'feet', 'bareRoof')).toContain('mount')
  })

  it('leave a tent its sleepers, a can its contents and a bolted box its spread', () => {
    expect(unlikely(GEAR_FIELD, 'tent')).toEqual(['hangsMm', 'risesMm'])
    expect(unlikely(GEAR_FIELD, 'box')).toEqual(expect.arrayContaining(['opens', 'carries.sleeps']))
    expect(unlikely(GEAR_FIELD, 'boat')).toContain('carries')
    expect(unlikely(FIT, 'channelBolt')).toEqual(['inCarrier'])
    expect(unlikely(FIT, 'strap')).toContain('spreadMm')
    expect(unlikely(FIT, 'unsaid')).toEqual([])
    expect(unlikely(VEHICLE_FIELD, 'pickup')).toEqual([])
    expect(unlikely(VEHICLE_FIELD, 'estate')).toEqual(['cabWallXMm'])
  })

  it('a source is asked on top only where a figure keeps it', () => {
    expect([GEAR_FIELD, VEHICLE_FIELD, PART_FIELD].map(keepsSources)).toEqual([true, true, true])
    expect([USE_FIELD, CLEARANCES_FIELD, LOAD_FIELD].map(keepsSources)).toEqual([false, false, false])
  })

  it('are on some sheets and not on others', () => {
    expect(mayLeaveOut(GEAR_FIELD)).toBe(true)
    expect(mayLeaveOut(JOB_FIELD)).toBe(false)
  })
})
