import fc from 'fast-check'
import type { LogEvent } from './event'

const base = { vehicleId: 'estate', jobId: 'job' }
const at = (day: number) => `2027-03-${String(day).padStart(2, '0')}T10:00:00Z`

/** One event of every kind. */
export const someEvents: readonly LogEvent[] = [
  { kind: 'counted', id: 'e1', at: at(1), ...base, lineId: 'feet', what: 'Rail feet', count: 4 },
  { kind: 'weighed', id: 'e2', at: at(1), ...base, targetId: 'box', what: 'Box', kg: 18.2 },
  {
    kind: 'measured',
    id: 'e3',
    at: at(2),
    ...base,
    stepId: 'wing/square',
    pairId: 'a~b',
    readings: { spreadLeft: [760], spreadRight: [764, 764] },
  },
  {
    kind: 'torqued',
    id: 'e4',
    at: at(2),
    ...base,
    jointId: 'j',
    what: 'Rail clamps',
    spot: 'LHF',
    pass: 1,
    percent: 50,
    nm: 3,
  },
  { kind: 'stepDone', id: 'e5', at: at(2), ...base, stepId: 'wing/torque', title: 'Tighten' },
  { kind: 'stepReopened', id: 'e6', at: at(2), ...base, stepId: 'wing/torque', title: 'Tighten' },
  { kind: 'proved', id: 'e7', at: at(3), ...base, item: 'shake', what: 'Shake it', outcome: 'good' },
  { kind: 'told', id: 'e8', at: at(3), ...base, what: 'Never exceed the lowest rating.' },
  {
    kind: 'deviated',
    id: 'e9',
    at: at(3),
    ...base,
    stepId: 'wing/torque',
    title: 'Tighten',
    reason: 'No reading on RHR.',
  },
  { kind: 'fitted', id: 'e10', at: at(3), ...base, rackId: 'wing', what: 'Aero bars' },
  { kind: 'lost', id: 'e11', at: at(9), ...base, what: 'Key Q17', count: 2 },
  { kind: 'found', id: 'e12', at: at(10), ...base, what: 'Key Q17', count: 1 },
  { kind: 'replaced', id: 'e13', at: at(11), ...base, what: 'Pad RHF', with: 'new pad' },
  { kind: 'checked', id: 'e14', at: at(17), ...base, what: 'Aero bars' },
  { kind: 'loadChanged', id: 'e15', at: at(18), ...base, what: 'Box for boat' },
  { kind: 'removed', id: 'e16', at: at(19), ...base, rackId: 'wing', what: 'Aero bars' },
  { kind: 'refitted', id: 'e17', at: at(20), ...base, rackId: 'wing', what: 'Aero bars' },
  { kind: 'dated', id: 'e18', at: at(20), ...base, what: 'Look at the pads', due: '2027-06-01' },
  { kind: 'corrected', id: 'e19', at: at(21), ...base, eventId: 'e11', reason: 'It was in the glovebox.' },
  {
    kind: 'answered',
    id: 'e20',
    at: at(22),
    ...base,
    stepId: 'wing/torque',
    title: 'Tighten',
    answer: 'notSeen',
    places: ['RHR'],
    jointId: 'j',
    reason: 'Behind the box.',
  },
  {
    kind: 'channelSeen',
    id: 'e21',
    at: at(22),
    ...base,
    barId: 'front',
    what: 'Front bar',
    inside: [{ what: 'a loose nut', fromLowMm: 120, fixed: false }],
  },
  {
    kind: 'signSeen',
    id: 'e23',
    at: at(22),
    ...base,
    jointId: 'j',
    what: 'Rail clamps',
    sign: 'one click',
    spots: ['LHF'],
  },
  { kind: 'firstTrip', id: 'e22', at: at(22), ...base, what: 'Aero bars', on: '2027-03-11' },
  {
    kind: 'marksSeen',
    id: 'e24',
    at: at(23),
    ...base,
    stepId: 'wing/marks',
    title: 'Put each marked piece to its place',
    places: [{ id: 'wing/feet Pad LHF', at: 'LHF', what: 'Pad', mark: 'LHF' }],
  },
  {
    kind: 'placeWrong',
    id: 'e25',
    at: at(24),
    ...base,
    jointId: 'j',
    what: 'End latches',
    spot: 'LHR',
    seen: '1 of 2 clicks',
  },
  {
    kind: 'overLooked',
    id: 'e26',
    at: at(24),
    ...base,
    jointId: 'j',
    what: 'Rail clamps',
    spot: 'LHF',
    nm: 9,
    found: 'Pad renewed',
  },
]

/** Any log: events of any kind in any order, with their own ids and notes of any text, corrections of any of them. */
export const events: fc.Arbitrary<LogEvent[]> = fc
  .array(
    fc.tuple(
      fc.constantFrom(...someEvents),
      fc.option(fc.string({ maxLength: 40 }), { nil: undefined }),
      fc.nat(30),
    ),
    { maxLength: 25 },
  )
  .map((list) =>
    list.map(([event, note, other], i): LogEvent => ({
      ...event,
      id: `n${i}`,
      ...(note === undefined ? {} : { note }),
      ...(event.kind === 'corrected' ? { eventId: `n${other}` } : {}),
    })),
  )
