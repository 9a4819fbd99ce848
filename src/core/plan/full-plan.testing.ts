import * as z from '../units/schema'
import { bare, mayBeLeftOut, schemaAt } from '../fields/schema-walk'
import { planShape, type Plan } from './schema/plan'

/** What stands where one value for all of a kind would not do: by the end of its path. */
const GIVEN: readonly (readonly [RegExp, unknown])[] = [
  [/feetYMm$/, [-400, 400]],
  [
    /outlineMm$/,
    [
      [-5, -5],
      [5, -5],
      [5, 5],
      [-5, 5],
    ].map(([xMm, yMm]) => ({ xMm, yMm })),
  ],
  [/\btopMm$/, 14],
  [/(?<!host<.*>)\.(on|due)$/, '2027-03-02'],
  [/friction$/, 0.3],
  [/stripStockMm\[\]$/, 2000],
  [/attachmentId$/, 'plan-vehicle-attachments-raisedRail'],
  [/\.gearId$/, 'plan-gear'],
  [/barIds\[\]$/, 'plan-racks-bars-bars'],
  [/host<(deck|panel)>\.rackId$/, 'plan-racks-bed'],
  [/host<ladder>\.rackId$/, 'plan-racks-ladder'],
  [/placementId$/, 'plan-placements'],
  [/placeId$/, 'plan-gear-carries-places'],
  [/\.(ownerId|gateId|barId|frontBarId|rearBarId)$/, 'plan-racks-bars-bars'],
  [/turns$/, [0, 90, 180, 270]],
  [/\.typed$/, { kg: '7 kg' }],
  [
    /(?<!centreOfGravity.*|section.*)\.known$/,
    {
      kg: { by: 'sheet', others: [{ value: 9, by: 'weighed', says: 'Ida', unused: 'older', typed: '9 kg' }] },
    },
  ],
  [/moreTurns$/, 2],
  [/racks\[\]<bed>\.parts\[\]\.role$/, 'panels'],
  [/\.id$/, undefined],
]

/** Alternatives of a union as what tells them apart. */
const kindOfOption = (option: z.core.$ZodType): string => {
  const inner = bare(option)
  if (!(inner instanceof z.ZodMiniObject)) return ''
  for (const key of Object.keys(inner.shape)) {
    const discriminator = schemaAt(inner, key)
    if (discriminator instanceof z.ZodMiniLiteral) return String(discriminator.def.values[0])
  }
  return ''
}

const idAt = (path: string): string =>
  path
    .replace(/\.id$/, '')
    .replaceAll(/\[\]|</g, '-')
    .replaceAll(/[.>]/g, '-')
    .replaceAll(/-+/g, '-')
    .replace(/-$/, '')
    .slice(-70)
    .replace(/^-/, '')

const bounds = (schema: z.ZodMiniArray): { readonly least: number; readonly most: number } => {
  let [least, most] = [0, Infinity]
  for (const { _zod } of schema._zod.def.checks ?? []) {
    const def = _zod.def as { readonly minimum?: number; readonly maximum?: number }
    least = Math.max(least, def.minimum ?? 0)
    most = Math.min(most, def.maximum ?? Infinity)
  }
  return { least, most }
}

/** What its own rule asks for though it may be left out. */
const ASKED = [/spreads?Mm(\[\])?\.(from|to)Mm$/i, /\.ask<.*>\.fromMm$/]

/** The same once more, as a thing of its own. */
const another = (value: unknown, i: number): unknown =>
  typeof value === 'object' && value !== null && 'id' in value
    ? { ...value, id: `${String(value.id)}-${i}` }
    : value

/** Samples of one plan: what was met once with all it may have needs only what it must have the next time. */
class Sampler {
  private readonly met = new Set<z.core.$ZodType>()

  /** Values of a schema that have all of it between them: one for each alternative. */
  of(schema: z.core.$ZodType, path: string): readonly unknown[] {
    const given = GIVEN.find(([end]) => end.test(path))
    if (given) return [given[1] === undefined ? idAt(path) : given[1]]
    const inner = bare(schema)
    const lean = this.met.has(inner)
    if (inner instanceof z.ZodMiniObject || inner instanceof z.ZodMiniDiscriminatedUnion) this.met.add(inner)
    if (inner instanceof z.ZodMiniObject) return this.ofGroup(inner, path, lean)
    if (inner instanceof z.ZodMiniArray) return this.ofList(inner, path)
    if (inner instanceof z.ZodMiniDiscriminatedUnion || inner instanceof z.ZodMiniUnion) {
      const options = lean ? inner.def.options.slice(0, 1) : inner.def.options
      return options.flatMap((option) => this.of(option, `${path}<${kindOfOption(option)}>`))
    }
    if (inner instanceof z.ZodMiniLiteral) return [inner.def.values[0]]
    if (inner instanceof z.ZodMiniEnum) return [inner.options[0]]
    if (inner instanceof z.ZodMiniBoolean) return [true]
    return [inner instanceof z.ZodMiniNumber ? 7 : 'M6']
  }

  private ofGroup(group: z.ZodMiniObject, path: string, lean: boolean): readonly unknown[] {
    const fields = Object.entries(group.shape as Record<string, z.core.$ZodType>)
      .filter(([key, of]) => !lean || !mayBeLeftOut(of) || ASKED.some((end) => end.test(`${path}.${key}`)))
      .map(([key, of]) => [key, this.of(of, `${path}.${key}`)] as const)
    const most = Math.max(1, ...fields.map(([, all]) => all.length))
    return Array.from({ length: most }, (_, i) =>
      Object.fromEntries(
        fields.map(([key, all]) => {
          const value = all[i % all.length]
          // Things made alike but for one field are not one thing.
          return [key, key === 'id' && i > 0 ? `${String(value)}-${i}` : value]
        }),
      ),
    )
  }

  private ofList(list: z.ZodMiniArray, path: string): readonly unknown[] {
    const { least, most } = bounds(list)
    const all = this.of(list.def.element, `${path}[]`)
    const padded = Array.from({ length: Math.max(least, all.length) }, (_, i) =>
      i < all.length ? all[i] : another(all[i % all.length], i),
    )
    const lists: unknown[][] = []
    for (let i = 0; i < padded.length; i += most) lists.push(padded.slice(i, i + most))
    return lists
  }
}

/** A plan that has every field of the format once at least, every kind of everything, and no sense. */
export function fullPlan(): Plan {
  return new Sampler().of(planShape, 'plan')[0] as Plan
}
