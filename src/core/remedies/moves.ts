import { MOVE_FIRST, type Candidate } from './candidate'
import { addTurns, type ThingAt } from '../survey/frame/arrangement'
import { barMoves, chooseBars, type SpreadChoice } from '../survey/bars/spread'
import { moveBy } from '../edits/move'
import type { Survey } from '../survey/survey'
import { missing, mm, type Phrase } from '../units/phrase'

const wordOf = (dx: number, dy: number) =>
  dx < 0 ? 'forward' : dx > 0 ? 'rearward' : dy < 0 ? 'left' : 'right'

/** What a tape reads, mm: less than 1/16 in is no move. */
export const TAPE_MM = 25.4 / 16

/** A move as far as it is needed, which a tape can read. Whole mm. */
const readable = (byMm: number) => Math.sign(byMm) * Math.max(Math.abs(byMm), Math.ceil(TAPE_MM))

/** How far something is to be moved: whoever reads it in other units moves it no less. */
const byMm = (value: number) => missing(mm(value))

/** Move a thing along or across the vehicle by so many whole mm, and no less than a tape reads. */
export function moved(survey: Survey, thing: ThingAt, dxMm: number, dyMm: number): Candidate[] {
  if (Math.hypot(dxMm, dyMm) < 0.5) return []
  return [movedBy(survey, thing, readable(dxMm), readable(dyMm))]
}

function movedBy(survey: Survey, thing: ThingAt, dxMm: number, dyMm: number): Candidate {
  const by = Math.hypot(dxMm, dyMm)
  const message: Phrase =
    dxMm !== 0 && dyMm !== 0
      ? [
          `Move ${thing.gear.name} ${wordOf(dxMm, 0)} `,
          byMm(Math.abs(dxMm)),
          ` and ${wordOf(0, dyMm)} `,
          byMm(Math.abs(dyMm)),
        ]
      : [`Move ${thing.gear.name} ${wordOf(dxMm, dyMm)} `, byMm(by)]
  return {
    kind: 'move',
    message,
    command: moveBy(survey, thing.placement.id, thing.placement, dxMm, dyMm),
    rank: MOVE_FIRST + by,
    further: (more) => movedBy(survey, thing, dxMm + Math.sign(dxMm) * more, dyMm + Math.sign(dyMm) * more),
  }
}

/** Turn a thing on the spot to each other way that its sheet allows. */
export function turnedAbout({ placement, gear, parent }: ThingAt): Candidate[] {
  if (parent) return []
  return ([90, 180, 270] as const).flatMap((by): Candidate[] => {
    const turn = addTurns(placement.turn, by)
    return gear.turns.includes(turn)
      ? [
          {
            kind: 'move',
            message: [
              `Turn ${gear.name} ${by === 180 ? 'about' : by === 90 ? 'a quarter left' : 'a quarter right'}`,
            ],
            command: { do: 'turn', placementId: placement.id, turn },
            rank: MOVE_FIRST + 10_000 + (by === 180 ? 1 : 0),
          },
        ]
      : []
  })
}

/** Lay a thing flat, or stand it on edge, where its sheet allows it. */
export function flipped({ placement, gear }: ThingAt): Candidate[] {
  if (!gear.onEdge) return []
  return [
    {
      kind: 'move',
      message: [
        `${placement.onEdge ? 'Lay' : 'Stand'} ${gear.name} ${placement.onEdge ? 'flat' : 'on edge'}`,
      ],
      command: { do: 'setOnEdge', placementId: placement.id, onEdge: !placement.onEdge },
      rank: MOVE_FIRST + 11_000,
    },
  ]
}

/** Take a thing off with all that is in it; ranked by its mass. */
export function takeOffFix(survey: Survey, thing: ThingAt): Candidate {
  const mass = survey.masses.reduce((sum, point) => {
    if (!('thing' in point)) return sum
    for (let up: ThingAt | undefined = point.thing; up; up = up.parent)
      if (up === thing) return sum + point.kg
    return sum
  }, 0)
  return {
    kind: 'off',
    message: [`Take off ${thing.gear.name}`],
    command: { do: 'takeOff', placementId: thing.placement.id },
    rank: mass,
  }
}

/** A bar that goes from one place to another, x in mm. */
interface BarShift {
  readonly name: string
  readonly fromMm: number
  readonly toMm: number
}

/** How bars are moved, in words: by how much, or to where, where a tape does not read how much. */
export function barShifts(shifts: readonly BarShift[]): Phrase {
  const byTape = shifts.some(({ fromMm, toMm }) => Math.abs(toMm - fromMm) >= TAPE_MM)
  return shifts.flatMap(({ name, fromMm, toMm }, i): Phrase => {
    const lead = i === 0 ? (byTape ? 'Move ' : 'Set ') : ', '
    return byTape
      ? [`${lead}${name} ${wordOf(toMm - fromMm, 0)} `, mm(Math.abs(toMm - fromMm))]
      : [
          `${lead}${name} at `,
          mm(Math.abs(toMm)),
          toMm < 0 ? ' before the windscreen’s upper edge' : ' behind the windscreen’s upper edge',
        ]
  })
}

/** Bars put where everything is suited: with the least movement, and as the house chooses a spread. */
export function barsMoved(survey: Survey): Candidate[] {
  const spreads = survey.fit.spreads()
  const choices: readonly SpreadChoice[] = ['frontStays', 'rearStays', survey.plan.rules.spread]
  const seen = new Set<string>()
  return choices.flatMap((choice): Candidate[] => {
    const xs = chooseBars(spreads, choice)
    const commands = xs ? barMoves(spreads, xs) : []
    const key = JSON.stringify(commands)
    const [first] = commands
    if (!first || seen.has(key)) return []
    seen.add(key)
    const shifts = commands.map((command) => {
      const at = spreads.bars.find(({ bar }) => command.do === 'moveBar' && bar.id === command.barId)
      return command.do === 'moveBar' && at
        ? { name: at.bar.name, fromMm: at.bar.xMm, toMm: command.xMm }
        : undefined
    })
    const message = barShifts(shifts.flatMap((shift) => shift ?? []))
    const total = shifts.reduce((sum, shift) => sum + Math.abs(shift ? shift.toMm - shift.fromMm : 0), 0)
    return [
      {
        kind: 'move',
        message,
        command: commands.length === 1 ? first : { do: 'together', commands },
        rank: MOVE_FIRST + total,
      },
    ]
  })
}
