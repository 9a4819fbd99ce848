import { CENTRE_CHOICES, ENERGY_CHOICES, type BalanceDraft } from './balance-draft'
import { FormChoice, FormText } from './form-fields'

/** What the vehicle stands on, and what drives it. */
export function BalanceFields({ draft }: { draft: BalanceDraft }) {
  return (
    <section aria-labelledby="balance-title" className="space-y-2">
      <h2 id="balance-title">How it stands</h2>
      <p className="field-note">
        Leave empty what nobody knows: it is then estimated, and said to be, where an answer hangs on it.
      </p>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        <FormText name="balance.trackFront" label="Track, front" hint="Wheel middle to wheel middle" />
        <FormText name="balance.trackRear" label="Track, rear" />
        <FormText name="balance.axleFront" label="Front axle limit" hint="On the plate in the door frame" />
        <FormText name="balance.axleRear" label="Rear axle limit" />
        <FormChoice name="balance.centre" label="Centre of gravity, bare" options={CENTRE_CHOICES} />
        {draft.centre === 'stability' && (
          <>
            <FormText name="balance.frontShare" label="On its front axle" hint="Percent of its own mass" />
            <FormText
              name="balance.factor"
              label="Static stability factor"
              hint="Track over twice the height"
            />
          </>
        )}
        {draft.centre === 'position' && (
          <>
            <FormText name="balance.centreX" label="Behind the windscreen's edge" />
            <FormText name="balance.centreHeight" label="Over the ground" />
          </>
        )}
        <FormChoice name="balance.energy" label="Driven by" options={ENERGY_CHOICES} />
        {draft.energy !== 'unsaid' && (
          <FormText
            name="balance.efficiency"
            label="Reaches the road"
            hint="Percent of what is in the tank or battery"
          />
        )}
      </div>
    </section>
  )
}
