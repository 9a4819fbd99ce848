'use client'
import { type BayRules, USUAL_DRIVES, USUAL_SINGLE_FIGURE } from '@/core/api/plan'
import { Choice } from '@/ui/kit/choice'
import { ParsedField } from '@/ui/kit/parsed-field'
import { readNames, readNumber, readNumbers } from '@/ui/kit/typed-list'

/** How the shop works in the bay: tightening, thread security, passes, test drives, when to come back, strips. */
export function FittingRulesFields({ bay, onChange }: { bay: BayRules; onChange: (bay: BayRules) => void }) {
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
          ['feel', 'By feel, short lever, loose rather than crushed'],
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
        label="Torque passes, % of the figure"
        text={bay.passesPercent.join(', ')}
        read={(text) => readNumbers(text, 1, 100, 5)}
        hint="the last pass always reaches the full figure"
        onValue={(passesPercent) => set({ passesPercent })}
      />
      <ParsedField
        label="Tolerance on a single torque figure, %"
        text={String(bay.singleFigurePercent ?? USUAL_SINGLE_FIGURE)}
        read={(text) => readNumber(text, 1, 25)}
        hint="above it: Stop. The range of a sheet has no further tolerance"
        onValue={(singleFigurePercent) => set({ singleFigurePercent })}
      />
      <ParsedField
        label="Cases of a test drive"
        text={(bay.driveCases ?? USUAL_DRIVES).join('; ')}
        read={(text) => readNames(text, 12, 80)}
        hint="separate with semicolons; a case that is not driven is printed as not driven"
        onValue={(driveCases) => set({ driveCases })}
      />
      {figure('First re-check after, km', 'firstCheckKm', 1, 10_000)}
      {figure('or after, days', 'firstCheckDays', 1, 365, true)}
      {figure('then every, months', 'thenMonths', 1, 60, true)}
      {figure('Extra length of rubber strips, %', 'stripShrinkPercent', 0, 10)}
      <ParsedField
        label="Strip is sold in lengths of, mm"
        text={bay.stripStockMm.join(', ')}
        read={(text) => readNumbers(text, 100, 30_000, 6)}
        onValue={(stripStockMm) => set({ stripStockMm })}
      />
    </>
  )
}
