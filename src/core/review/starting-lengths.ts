import { isStart, type Known } from '../plan/known'
import { barsOf } from '../plan/rack'
import type { Survey } from '../survey/survey'
import type { Ask } from './ask'
import type { Finding } from './finding'
import { startLengthBracket } from './hangs'

/** A length that went into a finding, and the form where it is typed over. mm. */
interface Length {
  readonly name: string
  readonly mm: number
  readonly target: Ask['target']
}

type Marked = { readonly known?: Known | undefined }

/** A field of something, where it is still as a form filled it in. */
function startOf<T extends Marked>(
  thing: T,
  field: keyof T & string,
  name: string,
  target: Ask['target'],
): Length[] {
  const mm = thing[field]
  return typeof mm === 'number' && isStart(thing, field) ? [{ name, mm, target }] : []
}

const ofVehicle = ({ plan: { vehicle } }: Survey, field: 'heightMm' | 'lengthMm' | 'widthMm', name: string) =>
  startOf(vehicle, field, `the vehicle’s ${name}`, { open: 'vehicle' })

const ofBars = (survey: Survey, field: 'riseMm' | 'usableMm' | 'lengthMm', name: string) =>
  survey.racks.flatMap(({ rack }) =>
    barsOf(rack).flatMap((bar) => startOf(bar, field, `${bar.name}’s ${name}`, { open: 'rack' })),
  )

const ofGear = (survey: Survey, finding: Finding, field: 'lengthMm' | 'widthMm' | 'heightMm', name: string) =>
  finding.subject.placementIds.flatMap((id) => {
    const gear = survey.thingById.get(id)?.gear
    return gear ? startOf(gear, field, `${gear.name}’s ${name}`, { open: 'gear', gearId: gear.id }) : []
  })

/** Which starting lengths go into the answer of a rule: the one table of them. */
const LENGTHS: Readonly<Record<string, (survey: Survey, finding: Finding) => readonly Length[]>> = {
  'height-clearance': (survey, finding) => [
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
  const length = LENGTHS[finding.rule]?.(survey, finding).find(
    ({ mm }) => Math.abs(margin.value) < startLengthBracket(mm),
  )
  if (!length) return finding
  const ask: Ask = { where: 'tape', label: length.name, target: length.target }
  if (severity === 'stop') return { ...finding, ask }
  return {
    ...finding,
    severity: 'findOut',
    sentence: [...finding.sentence, ` It hangs on ${length.name}, a starting value of the form: measure it.`],
    ask,
  }
}
