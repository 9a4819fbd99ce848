import * as z from '../units/schema'
import type { Field } from '../fields/field'
import { GEAR_FIELD } from '../fields/gear-fields'
import { RACK_FIELD } from '../fields/rack-fields'
import { VEHICLE_FIELD } from '../fields/vehicle-fields'
import { FORMAT_VERSION } from '../plan/schema/lifts'
import { planShape } from '../plan/schema/plan'
import { bayReportSchema } from './bay-report'
import { reviewReportSchema, surveyReportSchema } from './report'

type Node = Record<string, unknown>

const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null

/** Gives each property the words that the sheets have for its field: as its title, and what to know as its description. */
function name(root: Node, at: unknown, field: Field): void {
  if (!isNode(at)) return
  const ref = at['$ref']
  const node = typeof ref === 'string' ? defined(root, ref) : at
  switch (field.is) {
    case 'kept':
    case 'marks':
    case 'split':
      return
    case 'list':
      if (node) name(root, node['items'], field.item)
      return
    case 'group':
      for (const [key, each] of Object.entries(field.fields)) {
        const { [key]: property } = isNode(node?.['properties']) ? node['properties'] : {}
        name(root, property, each)
      }
      return
    case 'variants':
      for (const option of [node?.['oneOf'], node?.['anyOf']].flat().filter(isNode)) {
        const properties = isNode(option['properties']) ? option['properties'] : {}
        const discriminator = properties[field.by]
        const kind = isNode(discriminator) ? discriminator['const'] : undefined
        if (typeof kind === 'string') name(root, option, field.groupOf(kind))
      }
      return
    default:
      at['title'] = field.label
      if (field.hint !== undefined) at['description'] = field.hint
  }
}

/** The definition that a reference inside a schema means. */
function defined(root: Node, ref: string): Node | undefined {
  const found = ref
    .replace('#/', '')
    .split('/')
    .reduce<unknown>((node, key) => (isNode(node) ? node[key] : undefined), root)
  return isNode(found) ? found : undefined
}

function jsonSchema(
  schema: z.ZodMiniType,
  title: string,
  description: string,
  fields: Readonly<Record<string, Field>> = {},
): string {
  const body = z.toJSONSchema(schema, { target: 'draft-2020-12', io: 'input', reused: 'ref' })
  for (const [key, field] of Object.entries(fields)) name(body, body.properties?.[key], field)
  return `${JSON.stringify({ ...body, title, description }, null, 2)}\n`
}

/** The published JSON Schemas (2020-12), by file name under docs/. */
export function jsonSchemas(): Readonly<Record<string, string>> {
  return {
    'plan.schema.json': jsonSchema(
      planShape,
      `Ypsos plan, version ${FORMAT_VERSION}`,
      'A plan file. Lengths in mm, masses in kg, speeds in km/h. References between ids are checked besides.',
      {
        vehicle: VEHICLE_FIELD,
        racks: { is: 'list', label: 'Racks', one: 'a rack', item: RACK_FIELD },
        gear: { is: 'list', label: 'Gear', one: 'a thing', item: GEAR_FIELD },
      },
    ),
    'survey.schema.json': jsonSchema(
      surveyReportSchema,
      'Ypsos survey, version 1',
      'What follows from a plan, as `survey --json` prints it.',
    ),
    'bay.schema.json': jsonSchema(
      bayReportSchema,
      'Ypsos bay, version 1',
      'The state of a job’s fitting, as `bay --json` prints it.',
    ),
    'review.schema.json': jsonSchema(
      reviewReportSchema,
      'Ypsos review, version 2',
      'The review of a plan, as `review --json` and POST /api/review answer.',
    ),
  }
}
