'use client'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { Button } from '@/ui/kit/button'
import { asksWhat, type GateAt, peopleWeights, type PersonWeight, type Survey } from '@/core/api/assess'
import { GAUGE_FIELDS, LENGTH_FIELDS, TAKEN_FIELDS } from '@/core/api/fields'
import {
  barsOf,
  formatQuantity,
  type MeasuredSubject,
  type Measurement,
  phraseText,
  type Plan,
  readingsSummary,
} from '@/core/api/plan'
import { useState } from 'react'
import { Choice, TextField } from '@/ui/kit/choice'
import { DayField } from '@/ui/figures/day-field'
import { Quantity } from '@/ui/figures/quantity'
import { QuantityField } from '@/ui/figures/quantity-field'
import { Modal } from '@/ui/kit/modal'
import { useUnits } from '@/ui/state/settings-store'
import { refused, planStore } from '@/ui/state/plan-store'

const READING = LENGTH_FIELDS.readingsMm.label
const RESULTS = GAUGE_FIELDS.went.choices as readonly (readonly ['go' | 'noGo', string])[]

type Length = Extract<Measurement, { kind: 'length' }>

const newId = () => `measured-${crypto.randomUUID().slice(0, 8)}`
const keep = (measurement: Measurement) => planStore.getState().run({ do: 'setMeasurement', measurement })

/** Who took it and when: on every measurement alike. */
function TakenBy({ measurement }: { measurement: Measurement }) {
  const { by: _by, on: _on, ...rest } = measurement
  const { by, on } = measurement
  return (
    <>
      <TextField
        className="w-32"
        label={TAKEN_FIELDS.by.label}
        value={by ?? ''}
        max={80}
        onValue={(name) =>
          keep({
            ...rest,
            ...(on === undefined ? {} : { on }),
            ...(name.trim() === '' ? {} : { by: name }),
          })
        }
      />
      <DayField
        className="w-48"
        label={TAKEN_FIELDS.on.label}
        value={on ?? ''}
        onDay={(day) =>
          keep({ ...rest, ...(by === undefined ? {} : { by }), ...(day === '' ? {} : { on: day }) })
        }
      />
    </>
  )
}

/** The readings of a length: each can go, another can be added, and how far they are apart is said. */
function Readings({
  measurement,
  of,
  datum,
}: {
  measurement: Length | undefined
  of: MeasuredSubject
  datum: string
}) {
  const units = useUnits()
  const readings = measurement?.readingsMm ?? []
  const { middleMm, scatterMm } = readingsSummary(readings)
  const base: Length = measurement ?? { kind: 'length', id: newId(), of, datum, readingsMm: [] }
  const without = (index: number) => {
    const left = readings.filter((_, i) => i !== index)
    if (left.length > 0) keep({ ...base, readingsMm: left })
    else planStore.getState().run({ do: 'removeMeasurement', measurementId: base.id })
  }
  return (
    <div className="flex flex-wrap items-end gap-2">
      {readings.length > 0 && (
        <ol className="flex flex-wrap gap-1" aria-label="Readings">
          {readings.map((reading, i) => (
            <li key={i}>
              <Button
                aria-label={`Remove the reading ${formatQuantity('length', reading, units)}`}
                onClick={() => without(i)}
              >
                <Quantity dimension="length" value={reading} /> <span aria-hidden>×</span>
              </Button>
            </li>
          ))}
        </ol>
      )}
      <QuantityField
        className="w-36"
        label={READING}
        dimension="length"
        value={undefined}
        hint="Enter adds it."
        onValue={(reading) => refused(keep({ ...base, readingsMm: [...readings, reading] }))}
      />
      {measurement && <TakenBy measurement={measurement} />}
      {readings.length > 1 && (
        <p className="basis-full">
          Mean <Quantity dimension="length" value={middleMm} />, readings{' '}
          <Quantity dimension="length" value={scatterMm} /> apart.
        </p>
      )}
    </div>
  )
}

function GateForm({ at, people }: { at: GateAt; people: readonly PersonWeight[] }) {
  const units = useUnits()
  const { of, gate, measurement } = at
  const subject: MeasuredSubject = { about: 'gate', owner: of.owner, ownerId: of.id, gateId: gate.id }
  const stand = { unmeasured: 'Not measured yet', within: 'Holds', between: 'Mind', outside: 'Does not hold' }
  return (
    <li className="border-hair border-b-1 py-3">
      <p className="font-semibold">{gate.question}</p>
      <p className="text-ink2 text-aside">
        {of.name} asks {phraseText(asksWhat(gate), units)}. <strong>{stand[at.stand.kind]}.</strong>
      </p>
      {gate.ask.kind === 'length' && (
        <Readings
          measurement={measurement?.kind === 'length' ? measurement : undefined}
          of={subject}
          datum={gate.ask.datum}
        />
      )}
      {gate.ask.kind === 'gauge' && (
        <div className="flex flex-wrap items-end gap-2">
          <Choice
            className="w-52"
            label={GAUGE_FIELDS.went.label}
            value={measurement?.kind === 'gauge' ? measurement.went : 'none'}
            options={[['none', 'not tried yet'], ...RESULTS]}
            onChange={(went) => {
              const id = measurement?.id ?? newId()
              if (went !== 'none') keep({ kind: 'gauge', id, of: subject, went })
              else if (measurement) planStore.getState().run({ do: 'removeMeasurement', measurementId: id })
            }}
          />
          {measurement && <TakenBy measurement={measurement} />}
        </div>
      )}
      {gate.ask.kind === 'mass' && (
        <div className="flex flex-wrap items-end gap-2">
          <QuantityField
            className="w-36"
            label="Mass"
            dimension="mass"
            value={measurement?.kind === 'mass' ? measurement.mass.kg : undefined}
            onValue={(kg) =>
              refused(
                keep({
                  kind: 'mass',
                  id: measurement?.id ?? newId(),
                  of: subject,
                  mass: { kg, basis: 'weighed' },
                }),
              )
            }
          />
          {people.length > 0 && (
            <Choice
              className="w-60"
              label="or somebody of this job"
              value=""
              unstated="choose"
              options={people.map(({ name, mass }, i) => [
                String(i),
                `${name}, ${formatQuantity('mass', mass.kg, units)}`,
              ])}
              onChange={(chosen) => {
                const person = people[Number(chosen)]
                if (person)
                  keep({
                    kind: 'mass',
                    id: measurement?.id ?? newId(),
                    of: subject,
                    mass: person.mass,
                  })
              }}
            />
          )}
          {measurement && <TakenBy measurement={measurement} />}
        </div>
      )}
    </li>
  )
}

const lengthAbout = (plan: Plan, test: (of: MeasuredSubject) => boolean): Length | undefined =>
  plan.measurements.find((each): each is Length => each.kind === 'length' && test(each.of))

/** A length of one's own: what it is and from where to where. */
function OtherMeasurement() {
  const [what, setWhat] = useState('')
  const [datum, setDatum] = useState('')
  return (
    <div className="flex flex-wrap items-end gap-2">
      <div className="min-w-48 flex-1">
        <TextField label="What is measured" value={what} onValue={setWhat} />
      </div>
      <div className="min-w-48 flex-1">
        <TextField label={LENGTH_FIELDS.datum.label} value={datum} onValue={setDatum} max={160} />
      </div>
      <QuantityField
        className="w-36"
        label="First reading"
        dimension="length"
        value={undefined}
        hint="Enter adds it."
        onValue={(reading) => {
          if (what.trim() === '') return 'Name the measurement first.'
          const saved = keep({
            kind: 'length',
            id: newId(),
            of: { about: 'other', what },
            datum,
            readingsMm: [reading],
          })
          if (saved) {
            setWhat('')
            setDatum('')
          }
          return refused(saved)
        }}
      />
    </div>
  )
}

/** What is measured on this vehicle: the gates of gear and racks, the room under each bar, and anything else. */
export function Measuring({ plan, survey, onClose }: { plan: Plan; survey: Survey; onClose: () => void }) {
  const gates = survey.fit.gates()
  const people = peopleWeights(plan)
  const bars = plan.racks.flatMap((rack) => barsOf(rack).map((bar) => ({ bar, rack })))
  const others = plan.measurements.filter(
    (each): each is Length => each.kind === 'length' && each.of.about === 'other',
  )
  return (
    <Modal title="Measurements" onClose={onClose} wide>
      <h3>Measure before ordering</h3>
      {gates.length === 0 ? (
        <p>Nothing on this job asks for a measurement before ordering.</p>
      ) : (
        <ul>
          {gates.map((at) => (
            <GateForm key={`${at.of.owner} ${at.of.id} ${at.gate.id}`} at={at} people={people} />
          ))}
        </ul>
      )}
      <h3 className="mt-4">Room under the bars</h3>
      <ul>
        {bars.map(({ bar, rack }) => {
          const of: MeasuredSubject = { about: 'underBar', barId: bar.id }
          return (
            <li key={bar.id} className="border-hair border-b-1 py-3">
              <p className="font-semibold">
                {bar.name}, {rack.name}
              </p>
              <p className="text-ink2 text-aside">
                Roof skin to the underside of the bar, on the centreline. The plan has{' '}
                <Quantity dimension="length" value={bar.riseMm} />.
              </p>
              <Readings
                measurement={lengthAbout(plan, (each) => each.about === 'underBar' && each.barId === bar.id)}
                of={of}
                datum="roof skin to underside of the bar, centreline"
              />
            </li>
          )
        })}
      </ul>
      <h3 className="mt-4">Spread, left and right</h3>
      <ul>
        {survey.fit.spreads().pairs.map(({ front, rear, nowMm }) => (
          <li key={`${front.bar.id} ${rear.bar.id}`} className="border-hair border-b-1 py-3">
            <p className="font-semibold">
              {front.bar.name} to {rear.bar.name}
            </p>
            <p className="text-ink2 text-aside">
              Centre to centre, at the feet on either side. The plan has{' '}
              <Quantity dimension="length" value={nowMm} />.
            </p>
            {(['left', 'right'] as const).map((side) => (
              <div key={side} role="group" aria-label={`On the ${side}`}>
                <p className={CONTROL_CLASS.label}>On the {side}</p>
                <Readings
                  measurement={lengthAbout(
                    plan,
                    (of) =>
                      of.about === 'spread' &&
                      of.frontBarId === front.bar.id &&
                      of.rearBarId === rear.bar.id &&
                      of.side === side,
                  )}
                  of={{ about: 'spread', frontBarId: front.bar.id, rearBarId: rear.bar.id, side }}
                  datum="bar centre to bar centre, at the feet"
                />
              </div>
            ))}
          </li>
        ))}
      </ul>
      <h3 className="mt-4">Anything else</h3>
      <ul>
        {others.map((measurement) => (
          <li key={measurement.id} className="border-hair border-b-1 py-3">
            <p className="font-semibold">{measurement.of.about === 'other' ? measurement.of.what : ''}</p>
            {measurement.datum !== '' && <p className="text-ink2 text-aside">{measurement.datum}</p>}
            <Readings measurement={measurement} of={measurement.of} datum={measurement.datum} />
          </li>
        ))}
      </ul>
      <OtherMeasurement />
    </Modal>
  )
}
