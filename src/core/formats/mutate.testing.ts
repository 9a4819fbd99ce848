type Json = null | boolean | number | string | Json[] | { [key: string]: Json }

const RUBBISH: readonly Json[] = [
  null,
  true,
  -1,
  0,
  1e300,
  0.5,
  '',
  'rubbish',
  '__proto__',
  '1e9999',
  [],
  {},
  [[]],
  ['x'],
  { id: 'x' },
  { kind: 'x', on: 'x' },
]

const rubbish = (die: number): Json => structuredClone(RUBBISH[die % RUBBISH.length] ?? null)

/** Every place in a value that can be changed: its holder and its key. */
function places(value: Json, found: [Json[] | Record<string, Json>, string | number][] = []) {
  if (Array.isArray(value))
    value.forEach((each, i) => {
      found.push([value, i])
      places(each, found)
    })
  else if (typeof value === 'object' && value !== null)
    for (const [key, each] of Object.entries(value)) {
      found.push([value, key])
      places(each, found)
    }
  return found
}

/** A plan file damaged as the dice say: values replaced, doubled, dropped or renamed, or the text itself cut or changed. */
export function mutated(text: string, dice: readonly number[]): string {
  const [how = 0, ...rest] = dice
  if (how % 10 === 0) return text.slice(0, (rest[0] ?? 0) % text.length)
  if (how % 10 === 1) {
    const at = (rest[0] ?? 0) % text.length
    return text.slice(0, at) + String.fromCharCode((rest[1] ?? 0) % 256) + text.slice(at + 1)
  }
  const value = JSON.parse(text) as Json
  for (let i = 0; i + 1 < rest.length; i += 2) {
    const all = places(value)
    const place = all[(rest[i] ?? 0) % Math.max(all.length, 1)]
    if (!place) break
    const [holder, key] = place
    const die = rest[i + 1] ?? 0
    if (Array.isArray(holder)) {
      if (die % 4 === 0) holder.splice(Number(key), 1)
      else if (die % 4 === 1) holder.push(structuredClone(holder[Number(key)] ?? null))
      else holder[Number(key)] = rubbish(die)
    } else if (die % 5 === 0) Reflect.deleteProperty(holder, key)
    else if (die % 5 === 1) holder[`${key}X`] = holder[key] ?? null
    else if (die % 5 === 2 && typeof holder[key] === 'number') holder[key] = holder[key] * ((die % 7) - 2)
    else holder[key] = rubbish(die)
  }
  return JSON.stringify(value)
}

const CELLS = ['', '=1+1', '1e999', '-0', '9'.repeat(400), 'nan', '12 mm', "it's", '"', 'ft', '1/0', '\u0000']

/** A table as CSV damaged as the dice say: cells replaced, lines doubled or left out, or the text itself cut or changed. */
export function mutatedTable(text: string, dice: readonly number[]): string {
  const [how = 0, ...rest] = dice
  if (how % 10 < 2) return mutated(text, dice)
  const lines = text.split('\r\n')
  for (let i = 0; i + 1 < rest.length; i += 2) {
    const at = (rest[i] ?? 0) % lines.length
    const die = rest[i + 1] ?? 0
    const cells = (lines[at] ?? '').split(',')
    if (die % 6 === 0) lines.splice(at, 1)
    else if (die % 6 === 1) lines.push(lines[at] ?? '')
    else {
      cells[die % cells.length] = CELLS[die % CELLS.length] ?? ''
      lines[at] = cells.join(',')
    }
  }
  return lines.join('\r\n')
}
