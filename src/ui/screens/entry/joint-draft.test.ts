import { describe, expect, it } from 'vitest'
import { gutterPlatform } from '@/demo/racks'
import { offRoader } from '@/demo/vehicles'
import { DraftReader } from './draft-reader'
import { jointToDraft, NO_JOINT, readJoint, type JointDraft } from './joint-draft'
import { rackToDraft, readRack } from './rack-draft'

const read = (
  draft: Partial<JointDraft>,
  was?: Parameters<typeof readJoint>[3],
  system: 'metric' | 'us' = 'metric',
) => {
  const reader = new DraftReader(system)
  return { value: readJoint(reader, 'j', { ...NO_JOINT, ...draft }, was), problems: reader.problems }
}

describe('a part’s joint in the form', () => {
  it('reads a range with its page, in either system', () => {
    expect(
      read({ thread: 'M6', count: '4', from: '5', to: '7 Nm', page: '4', grade: '8.8' }).value.fasteners,
    ).toEqual([
      {
        thread: 'M6',
        count: 4,
        torqueNm: { from: 5, to: 7 },
        torqueFrom: { kind: 'sheet', page: '4' },
        grade: '8.8',
      },
    ])
    const us = read({ thread: 'M8', to: '11 ft-lb' }, undefined, 'us').value.fasteners?.[0]
    expect(us?.torqueNm?.from).toBeCloseTo(14.914, 3)
    expect(us?.torqueNm?.to).toBe(us?.torqueNm?.from)
  })

  it.each([
    [{ thread: 'M6', count: '1.5' }, 'j.count'],
    [{ thread: 'M6', from: '9', to: '4' }, 'j.to'],
    [{ thread: 'M6', from: 'tight' }, 'j.from'],
    [{ thread: 'a thread nobody would ever write' }, 'j.thread'],
    [{ from: '6', count: '' }, 'j.count'],
  ] as const)('refuses %o', (draft, field) => {
    expect(Object.keys(read(draft).problems)).toEqual([field])
  })

  it('keeps what is typed without a thread, a count alone and a page alone, and shows it again (B3)', () => {
    const torque = read({ from: '6', to: '8', page: '4' }).value.fasteners
    expect(torque).toEqual([
      { thread: 'unsaid', count: 4, torqueNm: { from: 6, to: 8 }, torqueFrom: { kind: 'sheet', page: '4' } },
    ])
    expect(jointToDraft(torque, 'metric')).toMatchObject({
      thread: '',
      from: '6 N·m',
      to: '8 N·m',
      page: '4',
    })
    expect(read({ count: '6' }).value.fasteners).toEqual([{ thread: 'unsaid', count: 6 }])
    const page = read({ thread: 'M6', page: '12' }).value.fasteners
    expect(page).toEqual([{ thread: 'M6', count: 4, torqueFrom: { kind: 'sheet', page: '12' } }])
    expect(jointToDraft(page, 'metric').page).toBe('12')
    expect(read({ grade: '8.8' }).value.fasteners?.[0]?.grade).toBe('8.8')
  })

  it('left empty is no joint, and an old figure from another rack is not kept as this one’s', () => {
    expect(read({}).value).toEqual({})
    const carried = [
      {
        thread: 'M6',
        count: 4,
        torqueNm: { from: 6, to: 6 },
        torqueFrom: { kind: 'otherRack' as const, rack: 'x' },
      },
    ]
    expect(read({ thread: 'M6', from: '6' }, carried).value.fasteners?.[0]?.torqueFrom).toEqual({
      kind: 'sheet',
    })
  })

  it('through the whole rack form and back, joints and work are as they were', () => {
    const attachment = offRoader.attachments.find(({ id }) => id === gutterPlatform.attachmentId)
    const { value, problems } = readRack(
      rackToDraft(gutterPlatform, 'metric'),
      'metric',
      gutterPlatform.id,
      gutterPlatform,
      attachment,
    )
    expect(problems).toEqual({})
    value.parts.forEach((part, i) => {
      expect(part.fasteners).toEqual(gutterPlatform.parts[i]?.fasteners)
      expect(part.work).toEqual(gutterPlatform.parts[i]?.work)
    })
    expect(jointToDraft(gutterPlatform.parts[1]?.fasteners, 'metric')).toMatchObject({
      thread: 'M8',
      from: '11 N·m',
      to: '13 N·m',
      page: '7',
    })
  })
})
