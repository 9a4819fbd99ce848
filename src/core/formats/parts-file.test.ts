import { describe, expect, it } from 'vitest'
import { DEMO_PARTS } from '@/demo/racks'
import { parsePartsText } from './parts-file'

describe('a list of parts', () => {
  it('reads what was written', () => {
    expect(parsePartsText(`\uFEFF${JSON.stringify(DEMO_PARTS)}`)).toEqual({ ok: true, parts: DEMO_PARTS })
  })

  it('names the field that is wrong', () => {
    expect(parsePartsText('[')).toMatchObject({ ok: false, problems: [{ path: 'parts' }] })
    const [first] = DEMO_PARTS
    const read = parsePartsText(JSON.stringify([{ ...first, count: 0 }]))
    expect(read.ok ? '' : read.problems[0]?.text).toContain('[0].count is too small')
  })
})
