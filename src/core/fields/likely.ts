import { ATTACHMENTS, attachmentShapes, type AttachmentKind } from '../kinds/attachment'
import { BODIES, type Body } from '../kinds/body'
import { gearTraits, type GearKind } from '../kinds/gear-kind'
import { mountTraits, type MountKind } from '../kinds/mount'
import { PART_ROLES, type PartRole, type PartTopic } from '../kinds/part-role'
import type { Field, Likely } from './field'

const has = <T extends string>(kinds: Readonly<Record<T, unknown>>, kind: string | undefined): kind is T =>
  kind !== undefined && Object.hasOwn(kinds, kind)

/** The fields of a part that speak of a topic. */
const TOPIC_FIELDS: Readonly<Record<PartTopic, readonly string[]>> = {
  vehicles: ['kit'],
  attachments: ['suits'],
  channel: ['mount'],
  uplift: ['tension'],
  sides: ['work.sides'],
  marks: ['work.arrows', 'work.places'],
  keys: ['work.keys'],
}

/** Whether a part is drilled in, stands in a channel or asks for a shape of rail depends on what the rack stands on. */
function unlikelyOn(standsOn: string | undefined): readonly string[] {
  if (!has<AttachmentKind>(ATTACHMENTS, standsOn)) return []
  const { holds, railShapes } = ATTACHMENTS[standsOn]
  const own = Object.keys(attachmentShapes[standsOn].shape)
  return [
    ...(holds === 'hole' ? [] : ['kit.drills', 'kit.removableTop', 'kit.cannotUndo']),
    ...(own.includes('channel') || own.includes('inside') ? [] : ['mount']),
    ...(railShapes ? [] : ['kit.railShapes']),
  ]
}

/** Whether holes are drilled for a part: what stands at the feet of a rack on drilled mounts says which. */
const isDrilled = (role: PartRole, standsOn: string | undefined): boolean =>
  has<AttachmentKind>(ATTACHMENTS, standsOn) &&
  ATTACHMENTS[standsOn].holds === 'hole' &&
  PART_ROLES[role].atFeet

/** What the sheet of a part of this role, on what its rack stands on, usually does not say. */
export const LIKELY_OF_PART: readonly Likely[] = [
  {
    by: 'role',
    unlikely: (role, standsOn) => {
      if (!has<PartRole>(PART_ROLES, role)) return []
      const spoken: readonly PartTopic[] = PART_ROLES[role].speaksOf
      const silent = Object.entries(TOPIC_FIELDS).flatMap(([topic, fields]) =>
        spoken.some((each) => each === topic) || (topic === 'vehicles' && isDrilled(role, standsOn))
          ? []
          : fields,
      )
      return [...silent, ...unlikelyOn(standsOn), 'centreZMm', 'work.season']
    },
  },
]

const ON_BARS_ONLY = ['spreadMm', 'otherSpreadsMm', 'likesMm', 'bars', 'overhangMm', 'besideMm', 'baseMm']

/** What holds a thing decides what it may ask of bars, or how it stays in a carrier. */
export const LIKELY_OF_FIT: readonly Likely[] = [
  {
    by: 'mount.kind',
    unlikely: (kind) => {
      const fitted = kind === '' ? 'unstated' : mountTraits(kind as MountKind).fitted
      if (fitted === 'unstated') return []
      return fitted === 'tools' ? ['inCarrier'] : ON_BARS_ONLY
    },
  },
]

/** What things of this kind usually do not do. */
export const LIKELY_OF_GEAR: readonly Likely[] = [
  {
    by: 'kind',
    unlikely: (kind) => {
      if (kind === '') return []
      const { opens, carries, sleeps, filled } = gearTraits(kind as GearKind)
      return [
        ...(opens ? [] : ['opens']),
        ...(carries ? [] : ['carries', 'pieceMm']),
        ...(sleeps ? [] : ['carries.sleeps']),
        ...(filled ? ['hangsMm', 'risesMm'] : []),
      ]
    },
  },
]

/** Few rails have notches for one of their bars alone, or stretches in which no foot goes. */
export const LIKELY_OF_ATTACHMENT: readonly Likely[] = [
  { by: 'kind', unlikely: () => ['frontNotchesXMm', 'rearNotchesXMm', 'posts'] },
]

/** What a vehicle of this body has not. */
export const LIKELY_OF_VEHICLE: readonly Likely[] = [
  {
    by: 'body',
    unlikely: (body) => (has<Body>(BODIES, body) && !('bed' in BODIES[body]) ? ['cabWallXMm'] : []),
  },
]

/** Whether some field of a sheet may be left out because it is unlikely. */
export function mayLeaveOut(field: Field): boolean {
  switch (field.is) {
    case 'group':
      return field.likely !== undefined || Object.values(field.fields).some(mayLeaveOut)
    case 'variants':
      return field.choices.some(([kind]) => mayLeaveOut(field.groupOf(String(kind))))
    case 'list':
      return mayLeaveOut(field.item)
    default:
      return false
  }
}

/** Whether what is typed into a sheet keeps where it is from: figures of a load limit, or of a thing that has such marks. */
export function keepsSources(field: Field): boolean {
  switch (field.is) {
    case 'figures':
      return true
    case 'group':
      return 'known' in field.fields || Object.values(field.fields).some(keepsSources)
    case 'variants':
      return field.choices.some(([kind]) => keepsSources(field.groupOf(String(kind))))
    case 'list':
      return keepsSources(field.item)
    default:
      return false
  }
}
