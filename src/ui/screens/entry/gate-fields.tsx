'use client'
import { useFieldArray, useFormContext } from 'react-hook-form'
import { AddOne } from './add-one'
import { FormChoice, FormText } from './form-fields'
import { GATE_CHOICES, startingGate, type GateDraft } from './gate-draft'

interface WithGates {
  gates: GateDraft[]
}

/** What must be measured on the vehicle before this is ordered. */
export function GateFields() {
  const { control } = useFormContext<WithGates>()
  const { fields, append, remove } = useFieldArray({ control, name: 'gates', keyName: 'key' })
  return (
    <section className="space-y-3" aria-labelledby="gates-title">
      <h2 id="gates-title">To be measured before ordering</h2>
      {fields.map(({ key, kind }, i) => {
        const at = `gates.${i}`
        return (
          <fieldset key={key} className="border-edge space-y-2 border p-2">
            <legend className="px-1 font-semibold">
              {GATE_CHOICES.find(([each]) => each === kind)?.[1]}
            </legend>
            <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
              <FormText name={`${at}.question`} label="What is measured" />
              {kind === 'gauge' ? (
                <>
                  <FormText name={`${at}.gauge`} label="Gauge" hint="a 6 mm hex key, say" />
                  <FormChoice
                    name={`${at}.must`}
                    label="It must"
                    options={[
                      ['go', 'go in'],
                      ['noGo', 'not go in'],
                    ]}
                  />
                </>
              ) : (
                <>
                  <FormText name={`${at}.from`} label="At least" />
                  <FormText name={`${at}.to`} label="At most" />
                </>
              )}
              {kind === 'length' && (
                <>
                  <FormText name={`${at}.datum`} label="From where to where" />
                  <FormText
                    name={`${at}.softFrom`}
                    label="Better from"
                    hint="Where its sheet prints a range"
                  />
                  <FormText
                    name={`${at}.softTo`}
                    label="Better up to"
                    hint="Where its sheet prints a range"
                  />
                </>
              )}
            </div>
            <button
              type="button"
              className="plain"
              onClick={() => {
                remove(i)
              }}
            >
              Remove this one
            </button>
          </fieldset>
        )
      })}
      <AddOne
        label="Something to measure"
        button="Ask for it"
        choices={GATE_CHOICES}
        start="length"
        onAdd={(kind) => {
          append(startingGate(kind, `gate-${crypto.randomUUID().slice(0, 6)}`))
        }}
      />
    </section>
  )
}
