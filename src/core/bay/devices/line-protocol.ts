import { UNITS, type Dimension } from '../../units/dimension'

/** A reading as a device sends it on a line: kg or N·m. `steady` when the device says it has settled. */
interface LineReading {
  readonly dimension: 'mass' | 'torque'
  readonly value: number
  readonly steady: boolean
}

/** What came of some bytes: whole lines read, lines that were none, and what is still to be completed. */
export interface LineState {
  readonly rest: string
  readonly readings: readonly LineReading[]
  readonly refused: readonly string[]
}

export const NO_LINES: LineState = { rest: '', readings: [], refused: [] }
const LONGEST_LINE = 120

function unitNamed(text: string): { dimension: LineReading['dimension']; factor: number } | undefined {
  for (const dimension of ['mass', 'torque'] as const satisfies readonly Dimension[]) {
    const unit = UNITS[dimension].find(({ spellings }) => spellings.includes(text.toLowerCase()))
    if (unit) return { dimension, factor: unit.factor }
  }
  return undefined
}

/**
 * One line: an optional ST (steady) or US (moving), a number, a unit: `ST,+0012.35 kg`, `12.35kg`, `5.2 Nm`. A common
 * plain form of scales and wrenches; common practice, no source.
 */
export function readLine(line: string): LineReading | undefined {
  const match =
    /^\s*(?:(ST|US)\s*[,;]?\s*)?(?:[A-Z]{2}\s*[,;]\s*)?([+-]?\s*\d+(?:[.,]\d+)?)\s*([^\d\s]\S*)\s*$/i.exec(
      line,
    )
  const unit = match?.[3] === undefined ? undefined : unitNamed(match[3])
  const value = Number(match?.[2]?.replace(/\s/g, '').replace(',', '.'))
  if (!unit || !Number.isFinite(value)) return undefined
  return { dimension: unit.dimension, value: value * unit.factor, steady: match?.[1]?.toUpperCase() !== 'US' }
}

/** Takes more text of a stream: a line broken in two is read when its end comes, and one without end is thrown away. */
export function takeLines(before: LineState, text: string): LineState {
  const lines = (before.rest + text).split(/\r\n|\n|\r/)
  const rest = lines.pop() ?? ''
  const readings: LineReading[] = []
  const refused: string[] = []
  for (const line of lines) {
    if (line.trim() === '') continue
    const reading = readLine(line)
    if (reading) readings.push(reading)
    else refused.push(line.slice(0, LONGEST_LINE))
  }
  const endless = rest.length > LONGEST_LINE
  return {
    rest: endless ? '' : rest,
    readings,
    refused: endless ? [...refused, rest.slice(0, LONGEST_LINE)] : refused,
  }
}
