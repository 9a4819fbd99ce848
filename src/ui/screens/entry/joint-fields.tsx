import { FormChoice, FormText } from './form-fields'
import { CONDITION_CHOICES, GRADE_CHOICES } from './joint-draft'

/** How a part is held: its main joint's thread, count and torque, as its own sheet has them. */
export function JointFields({ at, of }: { at: string; of: string }) {
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        Joint and torque of {of === '' ? 'it' : of.toLowerCase()}
      </summary>
      <p className="field-note mb-1">
        Only from this part’s own sheet: torque never carries over from another rack. Without a figure the
        tables advise by size and grade.
      </p>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        <FormText name={`${at}.thread`} label="Thread" hint="M8; empty: not known" />
        <FormText name={`${at}.count`} label="How many in all" />
        <FormText name={`${at}.from`} label="Torque from" />
        <FormText name={`${at}.to`} label="to" />
        <FormText name={`${at}.page`} label="On page" />
        <FormChoice name={`${at}.grade`} label="Grade on the head" options={GRADE_CHOICES} />
        <FormChoice name={`${at}.condition`} label="Thread is" options={CONDITION_CHOICES} />
      </div>
    </details>
  )
}
