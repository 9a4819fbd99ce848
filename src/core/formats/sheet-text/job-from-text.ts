import { type AttachmentKind, ATTACHMENTS, USUAL_ATTACHMENT } from '../../kinds/attachment'
import { BODIES, type Body } from '../../kinds/body'
import type { GearKind } from '../../kinds/gear-kind'
import type { RackKind } from '../../kinds/rack-kind'
import { bestRack } from '../../placing/best-rack'
import { compatible } from '../../placing/compatible'
import { puttingOn } from '../../placing/put-on'
import { apply } from '../../plan/commands/apply'
import type { Gear } from '../../plan/schema/gear'
import type { HouseRules } from '../../plan/schema/house'
import type { Adapter } from '../../plan/schema/placement'
import type { Plan } from '../../plan/schema/plan'
import type { Rack } from '../../plan/schema/rack'
import type { Source } from '../../plan/schema/rating'
import type { Vehicle } from '../../plan/schema/vehicle'
import { newPlan } from '../../plan/starting/new-plan'
import { roomOn, startingGear } from '../../plan/starting/starting-gear'
import { assess } from '../../review/assess'
import { startingAttachment } from '../../survey/frame/body/starting-attachment'
import { startingVehicle } from '../../survey/frame/body/starting-vehicle'
import { startingRack } from '../../survey/frame/starting-rack'
import type { SheetRead } from './read-sheet'
import type { SheetReading } from './reading'
import { type Asks, gearAsks, gearWith, partFor, partWith, vehicleAsks, vehicleWith } from './take-readings'

/** Of what a job is made that is begun with a text: as the text names it, or as a person chose. */
export interface JobChoices {
  readonly body: Body
  readonly attachment: AttachmentKind
  /** No rack where the text is of none yet. */
  readonly rack: RackKind | 'none'
  readonly things: readonly { readonly kind: GearKind; readonly count: number }[]
}

/** What a text names of a job; where it names nothing, what is usual. */
export function choicesOfText({ named, isLetter, readings }: SheetRead): JobChoices {
  const attachment = named.attachment ?? USUAL_ATTACHMENT
  const isOfGear = readings.some((reading) => 'of' in reading && reading.of === 'gear')
  return {
    body: named.body ?? 'estate',
    attachment,
    rack: ATTACHMENTS[attachment].racks[0] ?? 'none',
    // A maker’s list of what may go on a rack is no list of what does.
    things: isLetter || isOfGear ? named.things : [],
  }
}

/** The sheets that a job is begun with: starting values but for what a text says. */
export interface TextDraft {
  readonly vehicle: Vehicle
  readonly rack?: Rack
  readonly gear: readonly { readonly sheet: Gear; readonly count: number }[]
}

const named = (kind: string): string => `${kind.charAt(0).toUpperCase()}${kind.slice(1)}`

/** The sheets of a job as its choices begin them: every size a starting value, no weight of gear, no limit. `id` is of the job. */
export function textDraft({ body, attachment, rack, things }: JobChoices, id: string): TextDraft {
  const held = startingAttachment(attachment, body, `${id}-attachment`)
  const vehicle: Vehicle = {
    ...startingVehicle(body, `${id}-vehicle`),
    name: BODIES[body].label,
    attachments: [held],
  }
  const on = rack === 'none' ? undefined : startingRack(vehicle, held, rack, `${id}-rack`)
  const room = on && on.kind !== 'ladder' ? roomOn(on) : undefined
  return {
    vehicle,
    ...(on && { rack: on }),
    gear: things.map(({ kind, count }) => {
      const start = startingGear(kind, `${id}-${kind}`, room)
      return { sheet: { ...start, name: named(kind), mass: { kg: 0, basis: 'unknown' } }, count }
    }),
  }
}

/** Where a reading belongs in a job’s draft: the vehicle’s sheet, a part of the rack’s, or one of gear by its id; with what that still asks. */
export interface DraftPlace {
  readonly sheet: string
  readonly partId?: string
  readonly asks: NonNullable<Asks>
}
export const VEHICLE_SHEET = 'vehicle'
export const RACK_SHEET = 'rack'

/** A limit of a rack as a whole is one of what carries: its bars or its deck together. */
const ofWhole = (reading: SheetReading): SheetReading =>
  reading.what === 'limit' && reading.part === undefined ? { ...reading, per: reading.per ?? 'set' } : reading

function onPart({ rack }: TextDraft, reading: SheetReading): DraftPlace | undefined {
  // What a rack weighs as a whole is no part’s weight.
  if (reading.what === 'weight' && reading.part === undefined) return undefined
  const [carries] = rack?.parts ?? []
  const found = carries && partFor(rack?.parts ?? [], carries.id, ofWhole(reading))
  return found && { sheet: RACK_SHEET, partId: found.part.id, asks: found.asks }
}

/** Where a reading belongs in a job’s draft; nothing where none of its sheets has a place for it. */
export function placeInDraft(draft: TextDraft, reading: SheetReading): DraftPlace | undefined {
  const onVehicle = vehicleAsks(reading)
  if (onVehicle) return { sheet: VEHICLE_SHEET, asks: onVehicle }
  const onRack = onPart(draft, reading)
  if (onRack) return onRack
  const { gear } = draft
  // Of several things a figure is the one’s that its words name: it is never given to another.
  const of = gear.length === 1 ? gear[0] : gear.find(({ sheet }) => sheet.kind === reading.thing)
  const asks = of && gearAsks(of.sheet, shared(reading, of.count))
  return asks && { sheet: of.sheet.id, asks }
}

/** How the figures of a sheet are known. */
export type KnownAs = (sheet: string) => Source['kind']

/** The weight of all of a thing is shared among them. */
const shared = (reading: SheetReading, count: number): SheetReading =>
  reading.what === 'weight' && reading.per === 'set' && count > 1
    ? { ...reading, kg: reading.kg / count, per: 'each' }
    : reading

/** A draft with what was taken of a text. */
function draftWith(
  draft: TextDraft,
  taken: readonly SheetReading[],
  all: readonly SheetReading[],
  known: KnownAs,
): TextDraft {
  const on = (place: (found: DraftPlace) => boolean) =>
    taken.filter((reading) => {
      const found = placeInDraft(draft, reading)
      return found !== undefined && found.asks.length === 0 && place(found)
    })
  const { rack } = draft
  return {
    vehicle: vehicleWith(
      draft.vehicle,
      on((each) => each.sheet === VEHICLE_SHEET),
      all,
      known(VEHICLE_SHEET),
    ),
    ...(rack && {
      rack: {
        ...rack,
        parts: rack.parts.map((part) =>
          partWith(part, on((each) => each.partId === part.id).map(ofWhole), all, known(RACK_SHEET)),
        ),
      },
    }),
    gear: draft.gear.map(({ sheet, count }) => ({
      sheet: gearWith(
        sheet,
        on((each) => each.sheet === sheet.id).map((reading) => shared(reading, count)),
        all,
        known(sheet.id),
      ),
      count,
    })),
  }
}

/** Every thing of a draft on the rack: first what suits, then what does not, to be seen. What its commands refuse stays off. */
function withThings(plan: Plan, { gear }: TextDraft, adapters: readonly Adapter[]): Plan {
  const each = gear.flatMap(({ sheet, count }) =>
    Array.from({ length: count }, (_, i) => ({ sheet, id: `${sheet.id}-${i + 1}` })),
  )
  const bare = assess(plan).survey
  const suits = ({ sheet }: (typeof each)[number]): boolean =>
    bare.racks.some(({ rack }) => compatible(bare, sheet, rack.id, adapters, 'trial').kind !== 'cannot')
  const ordered = [...each.filter(suits), ...each.filter((one) => !suits(one))]
  return ordered.reduce<Plan>((now, { sheet, id }) => {
    const { survey } = assess(now)
    const rackId = bestRack(survey, sheet, adapters)
    const put = rackId === undefined ? undefined : puttingOn(survey, sheet, rackId, adapters, id)
    const done = put && apply(now, { do: 'together', commands: [...put.commands] })
    return done?.ok ? done.plan : now
  }, plan)
}

/**
 * A job from a text: vehicle, rack and gear as its choices begin them, with the readings that were taken, and the gear on
 * the rack. What the text does not say stays a starting value or unknown, and the review asks for it.
 */
export function jobFromText(
  start: { readonly id: string; readonly name: string; readonly rules?: HouseRules },
  draft: TextDraft,
  taken: readonly SheetReading[],
  all: readonly SheetReading[],
  known: KnownAs,
  adapters: readonly Adapter[],
): Plan {
  const filled = draftWith(draft, taken, all, known)
  const plan = newPlan({
    id: start.id,
    job: { name: start.name },
    vehicle: filled.vehicle,
    car: { id: `car-${start.id}` },
    racks: filled.rack ? [filled.rack] : [],
    ...(start.rules && { rules: start.rules }),
  })
  return withThings(plan, filled, adapters)
}
