import type { Plan } from '../plan/schema/plan'
import { barsOf } from '../plan/schema/rack'

/** What was typed of a group of fields that is not whole, so that nothing is made of it. */
export interface HalfKnown {
  readonly of:
    | { readonly sheet: 'vehicle' }
    | { readonly sheet: 'rack'; readonly rackId: string }
    | { readonly sheet: 'gear'; readonly gearId: string }
  /** What it is of. */
  readonly name: string
  /** The group on its sheet, by its path. */
  readonly at: string
  /** Whether no path, mount, gate or step of fitting hangs on it: balance of the vehicle, prices and minutes of a sheet. */
  readonly isAside: boolean
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null

/** The groups of a thing of which texts are kept and which it does not have. */
function halvesOf(thing: object): readonly string[] {
  const typed = 'typed' in thing && isRecord(thing.typed) ? Object.keys(thing.typed) : []
  const groups = typed.flatMap((path) => {
    const keys = path.split('.')
    let now: unknown = thing
    for (const [i, key] of keys.slice(0, -1).entries()) {
      now = isRecord(now) ? now[key] : undefined
      if (now === undefined) return [keys.slice(0, i + 1).join('.')]
    }
    return []
  })
  return [...new Set(groups)]
}

/** Everything on the plan that is half known: the sheet says which field is missing. */
export function halfKnown({ vehicle, racks, gear }: Plan): readonly HalfKnown[] {
  const own = (of: HalfKnown['of'], name: string, thing: object, stem = ''): HalfKnown[] =>
    halvesOf(thing).map((at) => ({
      of,
      name,
      at: `${stem}${at}`,
      isAside: (of.sheet === 'vehicle' && stem === '') || at.startsWith('work.'),
    }))
  const each = (of: HalfKnown['of'], list: readonly { readonly name: string }[], stem: string) =>
    list.flatMap((thing, i) => own(of, thing.name, thing, `${stem}.${i}.`))
  const ofVehicle = { sheet: 'vehicle' } as const
  return [
    ...own(ofVehicle, vehicle.name, vehicle),
    ...each(ofVehicle, vehicle.attachments, 'attachments'),
    ...each(ofVehicle, vehicle.obstacles, 'obstacles'),
    ...racks.flatMap((rack) => {
      const of = { sheet: 'rack', rackId: rack.id } as const
      return [
        ...own(of, rack.name, rack),
        ...each(of, barsOf(rack), 'bars'),
        ...each(of, rack.parts, 'parts'),
      ]
    }),
    ...gear.flatMap((thing) => own({ sheet: 'gear', gearId: thing.id }, thing.name, thing)),
  ]
}
