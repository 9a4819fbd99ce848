import { describe, expect, it } from 'vitest'
import { STOCK_PARTS } from '@/demo/racks'
import { parsePartsText } from './parts-file'

describe('a list of parts', () => {
  it('reads what was written', () => {
    expect(parsePartsText(`\uFEFF${JSON.stringify(STOCK_PARTS)}`)).toEqual({ ok: true, parts: STOCK_PARTS })
  })

  it('names the field that is wrong', () => {
    expect(parsePartsText('[')).toMatchObject({ ok: false, problems: [{ path: 'parts' }] })
    const [first] = STOCK_PARTS
    const read = parsePartsText(JSON.stringify([{ ...first, count: 0 }]))
    expect(read.ok ? '' : read.problems[0]?.text).toContain('[0].count is too small')
  })
})
