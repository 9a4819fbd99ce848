'use client'
import { FormChoice, FormText } from './form-fields'
import { OBSTACLE_CHOICES, type ObstacleDraft } from './obstacle-draft'

const BACK = 'Behind the windscreen’s upper edge'

/** One thing on the vehicle that the load may meet. */
export function ObstacleFields({
  at,
  draft,
  remove,
}: {
  at: string
  draft: ObstacleDraft
  remove: () => void
}) {
  const { kind } = draft
  const swings = kind === 'hatch' || kind === 'tailgate'
  return (
    <fieldset className="border-edge space-y-2 border p-2">
      <legend className="px-1 font-semibold">{OBSTACLE_CHOICES.find(([each]) => each === kind)?.[1]}</legend>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        <FormText name={`${at}.name`} label="Its name" />
        {swings && (
          <>
            <FormText name={`${at}.x`} label="Hinge at" hint={BACK} />
            <FormText name={`${at}.z`} label="Hinge’s height over the ground" />
            <FormText
              name={`${at}.panel`}
              label="Corners of the closed panel"
              hint="How far back / how high, from the hinge down: 2780 / 1030; 2980 / 960"
            />
            <FormText name={`${at}.width`} label="Panel’s width" />
            <FormText name={`${at}.opens`} label="Opens by" />
          </>
        )}
        {kind === 'sunroof' && (
          <>
            <FormText name={`${at}.x`} label="Pane from" hint={BACK} />
            <FormText name={`${at}.to`} label="Pane to" />
            <FormText name={`${at}.width`} label="Pane’s width" />
            <FormText name={`${at}.tilt`} label="Rear edge rises by" hint="Empty when it does not tilt" />
            <FormText name={`${at}.travel`} label="Slides outside by" hint="Empty when it stays inside" />
            <FormText name={`${at}.slideRise`} label="Over the roof as it slides" />
          </>
        )}
        {kind === 'antenna' && (
          <>
            <FormText name={`${at}.x`} label="Antenna at" hint={BACK} />
            <FormText name={`${at}.y`} label="Off the centreline" hint="To the right +" />
            <FormText name={`${at}.height`} label="Height over the roof" />
            <FormChoice
              name={`${at}.form`}
              label="Form"
              options={[
                ['fin', 'fin'],
                ['mast', 'mast'],
                ['puck', 'puck'],
              ]}
            />
          </>
        )}
        {kind === 'spoiler' && (
          <>
            <FormText name={`${at}.x`} label="Spoiler from" hint={BACK} />
            <FormText name={`${at}.to`} label="Spoiler to" />
            <FormText name={`${at}.z`} label="Its top over the ground" />
          </>
        )}
        {kind === 'doorEdge' && (
          <>
            <FormText name={`${at}.width`} label="From door edge to door edge" />
            <FormText name={`${at}.height`} label="Heads up to" hint="Over the ground" />
          </>
        )}
      </div>
      <button type="button" className="plain" onClick={remove}>
        Remove it
      </button>
    </fieldset>
  )
}
