'use client'
import { type BayRules, USUAL_DRIVES, USUAL_SINGLE_FIGURE } from '@/core'
import { Choice } from '@/ui/kit/choice'
import { ParsedField } from '@/ui/kit/parsed-field'
import { readNames, readNumber, readNumbers } from './typed-list'

/** How the shop works in the bay: tightening, thread security, passes, test drives, when to come back, strips. */
export function BayRulesFields({ bay, onChange }: { bay: BayRules; onChange: (bay: BayRules) => void }) {
  const set = (patch: Partial<BayRules>) => {
    onChange({ ...bay, ...patch })
  }
  return (
    <>
      <Choice<BayRules['tightening']>
        label="A joint without a stated torque"
        value={bay.tightening}
        options={[
          ['tables', 'Tables by size and grade, as advice'],
          ['feel', 'By feel, short lever, rather loose than crushed'],
        ]}
        onChange={(tightening) => {
          set({ tightening })
        }}
      />
      <Choice<BayRules['security']>
        label="Thread security where the sheet is silent"
        value={bay.security}
        options={[
          ['lockAndFlat', 'Lock washer over a flat one'],
          ['threadlocker', 'Medium threadlocker'],
          ['both', 'Both'],
        ]}
        onChange={(security) => {
          set({ security })
        }}
      />
      <ParsedField
        label="Passes of a group, in percent of its figure"
        text={bay.passesPercent.join(', ')}
        read={(text) => readNumbers(text, 1, 100, 5)}
        hint="the last goes to the full figure in any case"
        onValue={(passesPercent) => {
          set({ passesPercent })
        }}
      />
      <ParsedField
        label="A reading may lie off a single figure by, in percent"
        text={String(bay.singleFigurePercent ?? USUAL_SINGLE_FIGURE)}
        read={(text) => readNumber(text, 1, 25)}
        hint="above that it is over: Stop. A sheet’s range is taken as it is"
        onValue={(singleFigurePercent) => {
          set({ singleFigurePercent })
        }}
      />
      <ParsedField
        label="Cases of a test drive"
        text={(bay.driveCases ?? USUAL_DRIVES).join('; ')}
        read={(text) => readNames(text, 12, 80)}
        hint="semicolons between; what is not driven is printed as that"
        onValue={(driveCases) => {
          set({ driveCases })
        }}
      />
      <ParsedField
        label="Come back the first time after, km"
        text={String(bay.firstCheckKm)}
        read={(text) => readNumber(text, 1, 10_000)}
        onValue={(firstCheckKm) => {
          set({ firstCheckKm })
        }}
      />
      <ParsedField
        label="or after, days"
        text={String(bay.firstCheckDays)}
        read={(text) => readNumber(text, 1, 365, true)}
        onValue={(firstCheckDays) => {
          set({ firstCheckDays })
        }}
      />
      <ParsedField
        label="then every so many months"
        text={String(bay.thenMonths)}
        read={(text) => readNumber(text, 1, 60, true)}
        onValue={(thenMonths) => {
          set({ thenMonths })
        }}
      />
      <ParsedField
        label="Rubber strips are cut longer by, in percent"
        text={String(bay.stripShrinkPercent)}
        read={(text) => readNumber(text, 0, 10)}
        onValue={(stripShrinkPercent) => {
          set({ stripShrinkPercent })
        }}
      />
      <ParsedField
        label="and bought in lengths of, mm"
        text={bay.stripStockMm.join(', ')}
        read={(text) => readNumbers(text, 100, 30_000, 6)}
        onValue={(stripStockMm) => {
          set({ stripStockMm })
        }}
      />
    </>
  )
}
