'use client'
import { Table } from '@/ui/kit/table'
import { Choice } from '@/ui/kit/choice'
import {
  aimNm,
  ANSWER_WORD,
  badPull,
  badReading,
  type BayProgress,
  isPlaceRight,
  type Joint,
  nextPull,
  placeAnswers,
  pullKey,
  pullWord,
  rangeOf,
  recheckWords,
  signWords,
  type Step,
} from '@/core/api/fit'
import { amountIn, type Plan, typedElsewhere } from '@/core/api/plan'
import { useState } from 'react'
import { logFor } from '@/ui/state/log-store'
import { Quantity } from '@/ui/figures/quantity'
import { QuantityField } from '@/ui/figures/quantity-field'
import { useSettings } from '@/ui/state/settings-store'
import { calibrationNow } from './calibration-now'
import { readEvent } from './pull-event'
import { DeviceReader } from './device-reader'
import { OverLooks } from './over-looks'
import { SignPlaces } from './sign-places'

const WHY = {
  sheet: (joint: Joint) => (joint.torque.kind === 'sheet' ? joint.torque.source : ''),
  advice: (joint: Joint) =>
    joint.torque.kind === 'advice'
      ? `table’s advice for ${joint.fastener.thread} ${joint.torque.grade}, K = ${joint.torque.k}; the maker’s figure takes precedence`
      : '',
  refused: () => 'no figure of this rack: another’s is not used',
  feel: () => 'by feel, short lever, loose rather than crushed',
  latch: () => 'shut by its clicks: nothing is tightened',
  unknown: () => 'no figure: find the maker’s',
} as const

const onEach = ({ washers, security }: Joint): string =>
  [washers, security].filter((each) => each !== '').join('; ')

const atEach = (perSpot: number): string =>
  Number.isInteger(perSpot) ? String(perSpot) : `${Math.floor(perSpot)} or ${Math.ceil(perSpot)}`

/** A range in each unit that a wrench may show. */
const rangeIn = ({ fromNm, toNm }: { fromNm: number; toNm: number }): string =>
  (['N·m', 'lbf·ft', 'lbf·in'] as const)
    .map((unit) => `${amountIn('torque', fromNm, unit)} to ${amountIn('torque', toNm, unit)} ${unit}`)
    .join(' · ')

/** The figure of the pull that is next, huge, in all three units, with where it comes from and the sign of done. */
export function TorqueFigure({ step, progress }: { step: Step; progress: BayProgress }) {
  if (step.task.kind !== 'torque') return null
  const { joint, perSpot } = step.task.group
  if (joint.torque.kind === 'latch')
    return (
      <div className="pt-[0.4rem] text-lead">
        <p data-fit="number" className="text-[4rem] leading-[0.95] font-[760] [font-stretch:108%]">
          {joint.signs.map(signWords).join(' and ')}
        </p>
        <p>{WHY.latch()}.</p>
      </div>
    )
  const pull = badPull(step, progress) ?? nextPull(step, progress)
  const full = aimNm(joint.torque)
  const nm = pull ? pull.nm : full
  const range = rangeOf(joint)
  return (
    <div className="flex flex-wrap items-center gap-x-[1.6rem] gap-y-[0.3rem] pt-[0.4rem] text-lead [&_>_div]:flex-[1_1_20rem]">
      <p data-fit="number" className="text-[6.4rem] leading-[0.95] font-[760] [font-stretch:108%]">
        {nm === undefined ? '–' : amountIn('torque', nm, 'N·m')}
      </p>
      <div>
        <p className="text-[1.7rem] font-bold">N·m</p>
        {nm !== undefined && (
          <p>
            {amountIn('torque', nm, 'lbf·ft')} lbf·ft · {amountIn('torque', nm, 'lbf·in')} lbf·in
          </p>
        )}
        {range && joint.torque.kind === 'sheet' && joint.torque.fromNm < joint.torque.toNm && (
          <p>{rangeIn(range)}</p>
        )}
        <p>
          {pull && pull.percent < 100 && full !== undefined && (
            <>
              {pull.percent} % of <Quantity dimension="torque" value={full} />,{' '}
            </>
          )}
          {WHY[joint.torque.kind](joint)}
        </p>
        <p>
          {perSpot > 1 ? `${atEach(perSpot)} at each place. ` : ''}
          {joint.signs.length > 0 ? `Done when ${joint.signs.map(signWords).join(' and ')}. ` : ''}
          Use {joint.tool}
          {joint.handOnly ? ', by hand only' : ''}.{onEach(joint) === '' ? '' : ` On each: ${onEach(joint)}.`}
        </p>
      </div>
    </div>
  )
}

/** The passes as a table, and the reading of the pull that is next: typed, or from a wrench. */
export function TorquePanel({ plan, step, progress }: { plan: Plan; step: Step; progress: BayProgress }) {
  const [again, setAgain] = useState<string>()
  const wrench = useSettings((store) => store.settings.wrench)
  if (step.task.kind !== 'torque') return null
  const { group } = step.task
  const { joint, pulls, spots } = group
  const passes = [...new Set(pulls.map(({ pass }) => pass))]
  const next = nextPull(step, progress)
  const last = passes.at(-1) ?? 1
  const answered = placeAnswers(step, progress)
  const answerAt = (spot: string): string | undefined => {
    const answer = answered.get(spot)
    return answer && ANSWER_WORD[answer].toLowerCase()
  }
  if (joint.torque.kind === 'latch') return <SignPlaces plan={plan} group={group} progress={progress} />
  // What is out of its range is put right before anything else; the log keeps both.
  const pull = badPull(step, progress) ?? next ?? pulls.find(({ at, pass }) => at === again && pass === last)
  return (
    <>
      <div className="overflow-x-auto" role="region" aria-label="Passes" tabIndex={0}>
        <Table>
          <thead>
            <tr>
              <th scope="col">Place</th>
              {passes.map((pass) => (
                <th key={pass} scope="col">
                  Pass {pass}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {spots.map((spot) => (
              <tr key={spot}>
                <th scope="row">{spot}</th>
                {answerAt(spot) !== undefined && <td colSpan={passes.length}>{answerAt(spot)}</td>}
                {(answerAt(spot) === undefined ? passes : []).map((pass) => {
                  const key = pullKey(joint.id, spot, pass)
                  const wanted = pulls.find((each) => each.at === spot && each.pass === pass)
                  const read = progress.torqued.get(key)
                  // A reading is no tick while something is not there that its sheet wants beside it.
                  const lacksSign = pass === last && !isPlaceRight(group, spot, progress)
                  return (
                    <td key={pass} className={wanted === next && next ? 'font-bold' : ''}>
                      {read
                        ? wanted && badReading(step, wanted, progress)
                          ? '! '
                          : lacksSign
                            ? ''
                            : '✓ '
                        : wanted === next && next
                          ? '▸ '
                          : ''}
                      {read?.nm !== undefined ? (
                        <Quantity dimension="torque" value={read.nm} />
                      ) : read ? (
                        pullWord(read.how)
                      ) : wanted?.nm === undefined ? (
                        'no figure'
                      ) : (
                        <Quantity dimension="torque" value={wanted.nm} />
                      )}
                    </td>
                  )
                })}
              </tr>
            ))}
          </tbody>
        </Table>
      </div>
      <OverLooks plan={plan} group={group} progress={progress} />
      {pull ? (
        <>
          <QuantityField
            key={`${pull.at} ${pull.pass} ${progress.torqued.size}`}
            label={`Reading, ${pull.at}`}
            dimension="torque"
            value={undefined}
            hint="what the wrench shows"
            onValue={(value, typed) => {
              if (value <= 0) return 'A torque reading is more than 0.'
              if (value > 2000) return 'More than 2 000 N·m is no hand tool.'
              logFor(
                plan,
                readEvent(joint, pull, value, {
                  typed: typedElsewhere('torque', typed),
                  name: wrench?.name,
                  calibration: calibrationNow(wrench),
                }),
              )
              return undefined
            }}
          />
          <DeviceReader
            reads="torque"
            target={pull.nm ?? 5}
            plan={plan}
            onReading={(value, by) => {
              logFor(
                plan,
                readEvent(
                  joint,
                  pull,
                  Math.round(value * 100) / 100,
                  by.simulated ? by : { ...by, calibration: calibrationNow(wrench) },
                ),
              )
            }}
          />
        </>
      ) : recheckWords(joint) !== undefined ? (
        <p>{recheckWords(joint)}.</p>
      ) : (
        <Choice
          label="Tighten one again"
          value=""
          unstated="none"
          options={spots.map((spot) => [spot, spot] as const)}
          onChange={setAgain}
        />
      )}
      <SignPlaces plan={plan} group={group} progress={progress} />
    </>
  )
}
