'use client'
import { type BayRules, USUAL_DRIVES, USUAL_SINGLE_FIGURE } from '@/core'
import { Choice } from '@/ui/kit/choice'
import { ParsedField } from '@/ui/kit/parsed-field'
import { readNames, readNumber, readNumbers } from '@/ui/kit/typed-list'

/** How the shop works in the bay: tightening, thread security, passes, test drives, when to come back, strips. */
export function BayRulesFields({ bay, onChange }: { bay: BayRules; onChange: (bay: BayRules) => void }) {
  const set = (patch: Partial<BayRules>) => onChange({ ...bay, ...patch })
  const figure = (
    label: string,
    of: 'firstCheckKm' | 'firstCheckDays' | 'thenMonths' | 'stripShrinkPercent',
    least: number,
    most: number,
    whole = false,
  ) => (
    <ParsedField
      label={label}
      text={String(bay[of])}
      read={(text) => readNumber(text, least, most, whole)}
      onValue={(value) => set({ [of]: value })}
    />
  )
  return (
    <>
      <Choice<BayRules['tightening']>
        label="A joint without a stated torque"
        value={bay.tightening}
        options={[
          ['tables', 'Tables by size and grade, as advice'],
          ['feel', 'By feel, short lever, rather loose than crushed'],
        ]}
        onChange={(tightening) => set({ tightening })}
      />
      <Choice<BayRules['security']>
        label="Thread security where the sheet is silent"
        value={bay.security}
        options={[
          ['lockAndFlat', 'Lock washer over a flat one'],
          ['threadlocker', 'Medium threadlocker'],
          ['both', 'Both'],
        ]}
        onChange={(security) => set({ security })}
      />
      <ParsedField
        label="Passes of a group, in percent of its figure"
        text={bay.passesPercent.join(', ')}
        read={(text) => readNumbers(text, 1, 100, 5)}
        hint="the last goes to the full figure in any case"
        onValue={(passesPercent) => set({ passesPercent })}
      />
      <ParsedField
        label="A reading may lie off a single figure by, in percent"
        text={String(bay.singleFigurePercent ?? USUAL_SINGLE_FIGURE)}
        read={(text) => readNumber(text, 1, 25)}
        hint="above that it is over: Stop. A sheet’s range is taken as it is"
        onValue={(singleFigurePercent) => set({ singleFigurePercent })}
      />
      <ParsedField
        label="Cases of a test drive"
        text={(bay.driveCases ?? USUAL_DRIVES).join('; ')}
        read={(text) => readNames(text, 12, 80)}
        hint="semicolons between; what is not driven is printed as that"
        onValue={(driveCases) => set({ driveCases })}
      />
      {figure('Come back the first time after, km', 'firstCheckKm', 1, 10_000)}
      {figure('or after, days', 'firstCheckDays', 1, 365, true)}
      {figure('then every so many months', 'thenMonths', 1, 60, true)}
      {figure('Rubber strips are cut longer by, in percent', 'stripShrinkPercent', 0, 10)}
      <ParsedField
        label="and bought in lengths of, mm"
        text={bay.stripStockMm.join(', ')}
        read={(text) => readNumbers(text, 100, 30_000, 6)}
        onValue={(stripStockMm) => set({ stripStockMm })}
      />
    </>
  )
}
