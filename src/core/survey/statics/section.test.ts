import { describe, expect, it } from 'vitest'
import { bendingStiffness, rectangle, round, sectionOf } from './section'

/** Handbook: Gere, Mechanics of Materials, from memory. Expected figures are literals. */
describe('a bar’s section', () => {
  it('hollow rectangle 60 × 25 × 2 mm: I = 34 907 mm⁴ about the weak axis', () => {
    expect(rectangle(60, 25, 2).iMm4).toBeCloseTo(34_907, 0)
    expect(rectangle(60, 25, 2).wMm3).toBeCloseTo(2792.56, 1)
  })

  it('round tube 28 × 2 mm: I = 13 886 mm⁴', () => {
    expect(round(28, 2).iMm4).toBeCloseTo(13_886, 0)
  })

  it('solid ones: bh³/12 and πD⁴/64', () => {
    expect(rectangle(30, 20).iMm4).toBeCloseTo(20_000, 6)
    expect(round(20).iMm4).toBeCloseTo(7853.98, 2)
  })

  it('a wall so thick that nothing is left inside is a solid bar', () => {
    expect(rectangle(30, 20, 15).iMm4).toBeCloseTo(20_000, 6)
    expect(round(20, 12).iMm4).toBeCloseTo(7853.98, 2)
  })

  it('is known only where somebody said enough of it', () => {
    const plain = { kind: 'square', widthMm: 60, heightMm: 25 } as const
    expect(sectionOf(plain)).toBeUndefined()
    expect(sectionOf({ ...plain, wallMm: 2 })?.iMm4).toBeCloseTo(34_907, 0)
    expect(sectionOf({ ...plain, section: { known: 'solid' } })?.iMm4).toBeCloseTo(78_125, 3)
    expect(sectionOf({ ...plain, kind: 'aero', wallMm: 2 })).toBeUndefined()
    expect(
      sectionOf({ ...plain, kind: 'aero', section: { known: 'figures', iMm4: 9000, wMm3: 700 } }),
    ).toEqual({ iMm4: 9000, wMm3: 700 })
  })

  it('makes a stiffness only with a material', () => {
    const tube = { kind: 'flat', widthMm: 60, heightMm: 25, wallMm: 2 } as const
    expect(bendingStiffness(tube)).toBeUndefined()
    expect(bendingStiffness({ ...tube, material: { name: 'Aluminium', eGPa: 69 } })).toBeCloseTo(
      34_907 * 69_000,
      -6,
    )
  })
})
