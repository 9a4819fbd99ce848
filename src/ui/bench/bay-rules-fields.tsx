'use client'
import type { BayRules } from '@/core/rules/house'
import { Choice } from '@/ui/quantity/choice'

const PASSES = ['100', '60, 100', '50, 75, 100', '30, 60, 100'] as const
const KM = [80, 160, 300, 500]
const DAYS = [7, 14, 30]
const MONTHS = [1, 2, 3, 6, 12]
const SHRINK = [0, 0.5, 1, 2]
const STOCK = ['1000', '1500', '2000', '1000, 2000', '3000']

const numbers = (text: string) => text.split(', ').map(Number)
/** The usual answers, and the one that a file may have brought. */
const among = (usual: readonly string[], now: string, say: (text: string) => string) =>
  [...new Set([...usual, now])].map((each) => [each, say(each)] as const)

/** How the shop works in the bay: tightening, thread security, passes, when to come back, strips. */
export function BayRulesFields({ bay, onChange }: { bay: BayRules; onChange: (bay: BayRules) => void }) {
  const set = (patch: Partial<BayRules>) => {
    onChange({ ...bay, ...patch })
  }
  const passes = bay.passesPercent.join(', ')
  const stock = bay.stripStockMm.join(', ')
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
      <Choice
        label="Passes of a group, in percent of its figure"
        value={passes}
        options={among(PASSES, passes, (each) => `${each} %`)}
        onChange={(text) => {
          set({ passesPercent: numbers(text) })
        }}
      />
      <Choice
        label="Come back the first time after"
        value={String(bay.firstCheckKm)}
        options={among(KM.map(String), String(bay.firstCheckKm), (each) => `${each} km`)}
        onChange={(km) => {
          set({ firstCheckKm: Number(km) })
        }}
      />
      <Choice
        label="or after"
        value={String(bay.firstCheckDays)}
        options={among(DAYS.map(String), String(bay.firstCheckDays), (each) => `${each} days`)}
        onChange={(days) => {
          set({ firstCheckDays: Number(days) })
        }}
      />
      <Choice
        label="then every"
        value={String(bay.thenMonths)}
        options={among(MONTHS.map(String), String(bay.thenMonths), (each) =>
          each === '1' ? 'month' : `${each} months`,
        )}
        onChange={(months) => {
          set({ thenMonths: Number(months) })
        }}
      />
      <Choice
        label="Rubber strips are cut longer by"
        value={String(bay.stripShrinkPercent)}
        options={among(SHRINK.map(String), String(bay.stripShrinkPercent), (each) => `${each} %`)}
        onChange={(percent) => {
          set({ stripShrinkPercent: Number(percent) })
        }}
      />
      <Choice
        label="and bought in lengths of"
        value={stock}
        options={among(STOCK, stock, (each) => `${each} mm`)}
        onChange={(text) => {
          set({ stripStockMm: numbers(text) })
        }}
      />
    </>
  )
}
