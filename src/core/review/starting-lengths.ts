import { standsOnEach } from '../survey/frame/arrangement'
import type { How } from '../kinds/how-known'
import { OBSTACLES, type ObstacleKind } from '../kinds/obstacle'
import type { Obstacle } from '../plan/vehicle'
import { howKnown, isUnsure, type Known } from '../plan/known'
import { barsOf } from '../plan/rack'
import type { Survey } from '../survey/survey'
import type { Ask } from './ask'
import type { Finding } from './finding'
import { lengthBracket } from '../facts/bracket'

/** A length that went into a finding without anybody having said it, how far it may be off, and where it is answered. mm. */
interface Length {
  readonly name: string
  readonly offMm: number
  readonly says: string
  readonly target: Ask['target']
}

const STARTING = 'a starting value of the form'

type Marked = { readonly known?: Known | undefined }

/** A field of something, where it is still as a form filled it in, or guessed: a guess may be off as far. */
function startOf<T extends Marked>(
  thing: T,
  field: keyof T & string,
  name: string,
  target: Ask['target'],
): Length[] {
  const mm = thing[field]
  return typeof mm === 'number' && isUnsure(thing, field)
    ? [{ name, ...doubtOf(howKnown(thing, field), mm), target }]
    : []
}

/** How far a length may be off by how it is known, mm, and in words. */
function doubtOf(by: How | undefined, mm: number): Pick<Length, 'offMm' | 'says'> {
  return by === 'told'
    ? { offMm: lengthBracket('told', mm), says: 'told, not measured' }
    : { offMm: lengthBracket(by ?? 'start', mm), says: by === 'start' ? STARTING : 'a guess' }
}

/** What of the vehicle's own things a form filled in, of some kinds: each with the field that takes it. mm. */
function startsOn(
  list: readonly (Marked & { readonly name: string })[],
  where: 'attachments' | 'obstacles',
  suits: (thing: Marked) => boolean,
): Length[] {
  if (list.every(({ known }) => known === undefined)) return []
  return list.flatMap((thing, i): Length[] => {
    const field = suits(thing)
      ? Object.keys(thing.known ?? {}).find((each) => isUnsure(thing, each))
      : undefined
    return field === undefined
      ? []
      : [
          {
            name: `where ${thing.name} is`,
            ...doubtOf(howKnown(thing, field), 0),
            target: { open: 'vehicle', at: `${where}.${i}.${field}` },
          },
        ]
  })
}

const ofObstacles =
  (suits: (kind: ObstacleKind) => boolean) =>
  ({ plan: { vehicle } }: Survey): Length[] =>
    startsOn(vehicle.obstacles, 'obstacles', (each) => suits((each as Obstacle).kind))

const ofPanels = ofObstacles((kind) => OBSTACLES[kind].opens === 'up' || OBSTACLES[kind].opens === 'down')

/** What holds the bar that a finding is about. */
const ofItsAttachment = (survey: Survey, { subject }: Finding): Length[] => {
  const at = survey.bars.find(({ bar }) => bar.id === subject.barId)
  return startsOn(survey.plan.vehicle.attachments, 'attachments', (each) => each === at?.attachment)
}

/**
 * How far the roof's skin may be off, mm. What stands on the roof is drawn from its skin, which is taken at the
 * vehicle's overall height until it is measured: rails and aerials may be what makes that height. Nought where it is
 * measured, or no rack stands by it.
 */
export function skinOffMm({ plan: { vehicle }, racks }: Survey): number {
  const byIt = standsOnEach(racks).some(([, attachment]) => !('topZMm' in attachment))
  return vehicle.roof.skinZMm === undefined && byIt ? lengthBracket('start', 0) : 0
}

function roofSkin(survey: Survey): Length[] {
  const offMm = skinOffMm(survey)
  if (offMm === 0) return []
  return [
    {
      name: 'the height of the roof’s skin',
      offMm,
      says: 'taken as the vehicle’s height',
      target: { field: 'vehicle', name: 'skinZMm' },
    },
  ]
}

const ofVehicle = ({ plan: { vehicle } }: Survey, field: 'heightMm' | 'lengthMm' | 'widthMm', name: string) =>
  startOf(vehicle, field, `the vehicle’s ${name}`, { open: 'vehicle', at: field })

const ofBars = (survey: Survey, field: 'riseMm' | 'usableMm' | 'lengthMm', name: string) =>
  survey.racks.flatMap(({ rack }) =>
    barsOf(rack).flatMap((bar, i) =>
      startOf(bar, field, `${bar.name}’s ${name}`, {
        open: 'rack',
        rackId: rack.id,
        at: `bars.${i}.${field}`,
      }),
    ),
  )

const ofGear = (survey: Survey, finding: Finding, field: 'lengthMm' | 'widthMm' | 'heightMm', name: string) =>
  finding.subject.placementIds.flatMap((id) => {
    const gear = survey.thingById.get(id)?.gear
    return gear
      ? startOf(gear, field, `${gear.name}’s ${name}`, { open: 'gear', gearId: gear.id, at: field })
      : []
  })

/** Which starting lengths go into the answer of a rule: the one table of them. */
const LENGTHS: Readonly<Record<string, (survey: Survey, finding: Finding) => readonly Length[]>> = {
  'height-clearance': (survey, finding) => [
    // The skin is never over the vehicle's height: only what is too high as it is drawn may turn by it.
    ...(finding.severity === 'stop' ? roofSkin(survey) : []),
    ...ofVehicle(survey, 'heightMm', 'height'),
    ...ofBars(survey, 'riseMm', 'room under it'),
    ...ofGear(survey, finding, 'heightMm', 'height'),
  ],
  'usable-width': (survey, finding) => [
    ...ofBars(survey, 'usableMm', 'usable width'),
    ...ofGear(survey, finding, 'widthMm', 'width'),
  ],
  'side-overhang': (survey) => ofBars(survey, 'lengthMm', 'length'),
  'load-overhang': (survey, finding) => [
    ...ofVehicle(survey, 'lengthMm', 'length'),
    ...ofGear(survey, finding, 'lengthMm', 'length'),
  ],
  'on-its-bars': (survey, finding) => ofGear(survey, finding, 'lengthMm', 'length'),
  tent: (survey) => [
    ...ofVehicle(survey, 'heightMm', 'height'),
    ...ofBars(survey, 'riseMm', 'room under it'),
  ],
  hatch: (survey) => [...roofSkin(survey), ...ofPanels(survey)],
  sunroof: ofObstacles((kind) => OBSTACLES[kind].opens === 'pane'),
  antenna: ofObstacles((kind) => kind === 'antenna'),
  'bar-seat': ofItsAttachment,
  'over-roof': (survey) => ofBars(survey, 'riseMm', 'room under it'),
}

/**
 * A pass that turns within the bracket of one starting length hangs on it, and is found out; a Stop stays one with its
 * question beside it. Lengths that somebody typed are taken as they are.
 */
export function onStartingLengths(survey: Survey, finding: Finding): Finding {
  const { margin, severity } = finding
  if (margin?.dimension !== 'length' || finding.ask) return finding
  if (severity !== 'clear' && severity !== 'mind' && severity !== 'stop') return finding
  const length = LENGTHS[finding.rule]?.(survey, finding).find(({ offMm }) => Math.abs(margin.value) < offMm)
  if (!length) return finding
  const ask: Ask = { where: 'tape', label: length.name, target: length.target }
  if (severity === 'stop') return { ...finding, ask }
  return {
    ...finding,
    severity: 'findOut',
    sentence: [...finding.sentence, ` It hangs on ${length.name}, ${length.says}: measure it.`],
    ask,
  }
}
