import * as z from '../units/schema'
import { describe, expect, it } from 'vitest'
import { DEMO_STOCK } from '@/demo/stock'
import { DEMO_PLANS } from '@/demo/plans'
import { fullPlan } from '../plan/full-plan.testing'
import { gearSchema } from '../plan/schema/gear'
import { rackSchema } from '../plan/schema/rack'
import { vehicleSchema } from '../plan/schema/vehicle'
import { toDraft } from './draft'
import type { Field, Fields, Group } from './field'
import { GEAR_FIELD } from './gear-fields'
import { ADAPTER_FIELD } from './adapter-fields'
import { JOB_FIELD } from './job-fields'
import { LOAD_FIELD } from './load-fields'
import { adapterSchema, jobSchema, loadSchema, useSchema } from '../plan/schema/placement'
import { RACK_FIELD } from './rack-fields'
import { readWhole as readDraft } from './read-whole.testing'
import { bare, elementOf, kindOf, schemaAt } from './schema-walk'
import { PLAN_FIELD } from './plan-fields'
import { planShape } from '../plan/schema/plan'
import { EVENT_BY_HAND_FIELD } from './event-fields'
import { eventByHandSchema, type EventByHand } from '../log/by-hand'
import { USE_FIELD } from './use-fields'
import { VEHICLE_FIELD } from './vehicle-fields'

/** Every field that there is, and every kind, once at least. */
const FULL = fullPlan()

const EVENTS_BY_HAND: readonly EventByHand[] = [
  { kind: 'lost', what: 'Key', count: 2, note: 'on the beach' },
  { kind: 'replaced', what: 'Pad', with: 'new pad' },
  { kind: 'removed', rackId: 'wing' },
  { kind: 'dated', what: 'Look again', due: '2027-06-01' },
]

const THINGS = [
  [
    'vehicles',
    VEHICLE_FIELD,
    vehicleSchema,
    [...DEMO_STOCK.vehicles, ...DEMO_PLANS.map(({ vehicle }) => vehicle), FULL.vehicle],
  ],
  [
    'racks',
    RACK_FIELD,
    rackSchema,
    [...DEMO_STOCK.racks, ...DEMO_PLANS.flatMap(({ racks }) => racks), ...FULL.racks],
  ],
  [
    'gear',
    GEAR_FIELD,
    gearSchema,
    [...DEMO_STOCK.gear, ...DEMO_PLANS.flatMap(({ gear }) => gear), ...FULL.gear],
  ],
  ['adapters', ADAPTER_FIELD, adapterSchema, DEMO_STOCK.adapters],
  ['uses', USE_FIELD, useSchema, [...DEMO_PLANS, FULL].map(({ use }) => use)],
  ['jobs', JOB_FIELD, jobSchema, [...DEMO_PLANS.map(({ job }) => job), FULL.job]],
  [
    'loads',
    LOAD_FIELD,
    loadSchema,
    [...DEMO_PLANS, FULL].flatMap(({ placements }) => placements.flatMap(({ loads }) => loads)),
  ],
  ['plans', PLAN_FIELD, planShape, [...DEMO_PLANS, FULL]],
  ['entries by hand', EVENT_BY_HAND_FIELD, eventByHandSchema, EVENTS_BY_HAND],
] as const

describe('a form opened and saved changes nothing', () => {
  describe.each(['metric', 'us'] as const)('in %s units', (system) => {
    it.each(THINGS)('%s are byte for byte what they were', (_, field, schema, things) => {
      for (const thing of things) {
        const draft = toDraft(field, thing, { system, typed: {}, rel: '' })
        const { value, problems } = readDraft(field, schema as z.ZodMiniType, draft, thing, system)
        expect(problems).toEqual({})
        expect(value).toBe(thing)
      }
    })
  })
})

/** Every leaf of a schema with the field that is said for it, or none. */
function* leaves(
  schema: z.core.$ZodType,
  field: Field | undefined,
  path: string,
): Generator<{ path: string; field: Field | undefined; schema: z.core.$ZodType }> {
  const inner = bare(schema)
  if (!field || !['group', 'variants', 'list'].includes(field.is)) {
    yield { path, field, schema: inner }
    return
  }
  if (field.is === 'list') {
    const element = elementOf(inner)
    if (element) yield* leaves(element, field.item, `${path}[]`)
    return
  }
  if (field.is === 'variants') {
    for (const [kind] of field.choices) {
      const of = kindOf(inner, field.by, String(kind))
      if (of) yield* under(of, field.groupOf(String(kind)).fields, `${path}<${kind}>`, field.by)
    }
    return
  }
  yield* under(inner, (field as Group).fields, path)
}

function* under(schema: z.core.$ZodType, fields: Fields, path: string, by?: string) {
  const inner = bare(schema)
  if (!(inner instanceof z.ZodMiniObject)) {
    yield { path, field: undefined, schema: inner }
    return
  }
  for (const key of Object.keys(inner.shape)) {
    const of = schemaAt(inner, key)
    if (key !== by && of) yield* leaves(of, fields[key], `${path}.${key}`)
  }
}

const FITS: Readonly<Record<string, (schema: z.core.$ZodType) => boolean>> = {
  quantity: (schema) => schema instanceof z.ZodMiniNumber,
  number: (schema) => schema instanceof z.ZodMiniNumber,
  text: (schema) => schema instanceof z.ZodMiniString,
  day: (schema) => schema instanceof z.ZodMiniISODate,
  flag: (schema) => schema instanceof z.ZodMiniBoolean,
  several: (schema) => schema instanceof z.ZodMiniArray,
  pairs: (schema) => schema instanceof z.ZodMiniArray,
  figures: (schema) => schema instanceof z.ZodMiniArray,
}

/** What a closed list may be, with the choices that are offered for it. */
function offers(field: Field, schema: z.core.$ZodType): string | undefined {
  const of = field.is === 'several' ? field.of : field
  const inner = field.is === 'several' ? bare(elementOf(schema) ?? schema) : schema
  if (of.is !== 'choice' || !Array.isArray(of.choices)) return undefined
  const offered = of.choices.map(([value]: readonly [string | number]) => value)
  const known =
    inner instanceof z.ZodMiniEnum
      ? inner.options
      : inner instanceof z.ZodMiniUnion
        ? inner.def.options.flatMap((each) => (each instanceof z.ZodMiniLiteral ? each.def.values : []))
        : undefined
  const missing = known?.filter((each) => !offered.includes(each as string))
  return missing && missing.length > 0 ? `does not offer ${missing.join(', ')}` : undefined
}

describe('nothing that is kept is without a field', () => {
  it.each(THINGS)('%s', (_, field, schema) => {
    const wrong = [...leaves(schema, field, '')].flatMap(({ path, field: said, schema: leaf }) => {
      if (!said) return [`${path}: no field`]
      const fits = FITS[said.is]?.(leaf) ?? true
      const choices = offers(said, leaf)
      return [
        ...(fits ? [] : [`${path}: a ${said.is} for ${leaf._zod.def.type}`]),
        ...(choices ? [`${path} ${choices}`] : []),
      ]
    })
    expect(wrong).toEqual([])
  })

  /** Fields of a group that stand in none of its parts would never be seen. */
  function* unseen(field: Field, path: string): Generator<string> {
    if (field.is === 'list') yield* unseen(field.item, `${path}[]`)
    if (field.is === 'variants')
      for (const [kind] of field.choices) yield* unseen(field.groupOf(String(kind)), `${path}<${kind}>`)
    if (field.is !== 'group') return
    const shown = field.parts?.flatMap(({ keys }) => keys)
    for (const [key, each] of Object.entries(field.fields)) {
      if (each.is === 'kept' || each.is === 'marks') continue
      const below = shown?.filter((at) => at.startsWith(`${key}.`)) ?? []
      if (shown && !shown.includes(key) && below.length === 0) yield `${path}.${key}`
      if (below.length > 0 && each.is === 'group')
        for (const [inner, one] of Object.entries(each.fields))
          if (one.is !== 'kept' && one.is !== 'marks' && !below.includes(`${key}.${inner}`))
            yield `${path}.${key}.${inner}`
      yield* unseen(each, `${path}.${key}`)
    }
    for (const at of shown ?? [])
      if (!(at.split('.')[0]! in field.fields)) yield `${path}.${at}: shown and not there`
  }
  it.each(THINGS)('and each of %s is shown in some part of its sheet', (_, field) => {
    expect([...unseen(field, '')]).toEqual([])
  })
})
