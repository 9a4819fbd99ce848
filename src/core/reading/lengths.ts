import type { ReadAmount } from './amounts'
import type { Meaning } from './claim'
import type { Surroundings } from './layout'
import type { Whole } from './masses'
import { AT_LEAST, NOT_OF_THE_RACK } from './said'
import { type Subject, subjectAround, withoutCounted } from './subject'
import { inFirstUnit } from './unit-words'

const NOT_A_SIZE =
  /\b(?:socket|drive|hex|allen|keys?|wrench|spanner|drill|cut|strip|engagement|hook|straps?|cable|lead|wheels?|mattress|thick(?:ness)? of|rails? \d|walking|carpet|page|\d turns?|turns? more)\b/i
const NOT_WHEELBASE = /\bwheel(?:s|ed)?\b/i
const APART =
  /\b(?:apart|distance|spacing|spread|between|bar to bar|from bar to bar|front bar to rear|to rear bar|from front bar|neighbours|behind the first|behind it|second bar)\b/i
const TOWER =
  /\btowers?\b|\bfeet\b.*\bapart\b|\bfeet at least\b|\buprights?\b|\bfoot to foot\b|\bcentres? of (?:the )?feet\b/i
const INSIDE = /\b(?:inside|inner|internal|interior)\b/i

type Sided = 'length' | 'width' | 'height'
const SIZES: Readonly<Partial<Record<Subject, Readonly<Record<Sided, string | undefined>>>>> = {
  vehicle: { length: 'vehicle.length', width: 'vehicle.width', height: 'vehicle.height' },
  bars: { length: 'bar.length', width: 'bar.profile.width', height: 'bar.profile.height' },
  rack: { length: 'platform.length', width: 'platform.width', height: 'platform.height' },
  platform: { length: 'platform.length', width: 'platform.width', height: 'platform.height' },
  feet: { length: undefined, width: 'foot.width', height: 'foot.height' },
  adapter: { length: 'adapter.length', width: 'adapter.width', height: 'adapter.height' },
  gear: { length: 'gear.length', width: 'gear.width', height: 'gear.height' },
}

const all = (amount: ReadAmount, name: (i: number) => string | undefined): Meaning[] =>
  amount.values.flatMap((_, which) => {
    const what = name(which)
    return what === undefined ? [] : [{ what, which }]
  })

const ends = (amount: ReadAmount, what: string): Meaning[] =>
  amount.form === 'range'
    ? [
        { what: `${what}.from`, which: 0 },
        { what: `${what}.to`, which: 1 },
      ]
    : [{ what }]

/** Height before width where the text says so: `27 x 80 mm (h x w)`. */
const heightFirst = (text: string): boolean => /\bh(?:eight)? ?x ?w(?:idth)?\b/i.test(text)

function section(amount: ReadAmount, around: Surroundings): Meaning[] {
  const own = `${around.before} ${around.after} ${around.row} ${around.sentence}`
  if (/\bwall\b/i.test(`${around.before} ${around.row}`) && amount.form === 'one')
    return [{ what: 'bar.profile.wall' }]
  if (amount.form === 'product') {
    const [first, second] = heightFirst(own)
      ? ['bar.profile.height', 'bar.profile.width']
      : ['bar.profile.width', 'bar.profile.height']
    return all(amount, (i) => (i === 0 ? first : i === 1 ? second : undefined))
  }
  return amount.form === 'one' ? [{ what: 'bar.profile.width' }] : []
}

function taken(amount: ReadAmount, own: string): Meaning[] {
  if (amount.form === 'range') return ends(amount, 'gear.section.width')
  if (amount.form === 'product')
    return all(amount, (i) =>
      i === 0 ? 'gear.section.width.to' : i === 1 ? 'gear.section.height.to' : undefined,
    )
  return [{ what: /\bhigh|\bheight/i.test(own) ? 'gear.section.height.to' : 'gear.section.width.to' }]
}

function spread(amount: ReadAmount, around: Surroundings, whole: Whole): Meaning[] {
  const { before, after } = around
  const of = whole.subject === 'gear' ? 'gear.spread' : 'rack.spread'
  if (amount.form === 'range') return ends(amount, of)
  if (/\bleft(?: side)?\s*:?\s*$/i.test(before) || /^\s*(?:on the )?left\b/i.test(after))
    return [{ what: 'rack.spread.reading.left' }]
  if (/\bright(?: side)?\s*:?\s*$/i.test(before) || /^\s*(?:on the )?right\b/i.test(after))
    return [{ what: 'rack.spread.reading.right' }]
  if (AT_LEAST.test(before)) return [{ what: `${of}.from` }]
  if (/\b(?:max(?:imum)?\.?|at most|up to|not more than)\s*$/i.test(before)) return [{ what: `${of}.to` }]
  if (/\bmin(?:imum)?\b/i.test(`${before} ${around.row}`)) return [{ what: `${of}.from` }]
  if (/\bmax(?:imum)?\b/i.test(`${before} ${around.row}`)) return [{ what: `${of}.to` }]
  return [{ what: 'rack.spread' }]
}

function sided(words: string): Sided | undefined {
  if (/\b(?:length|long|longitud|longueur|länge)\b/i.test(words)) return 'length'
  if (/\b(?:width|wide|across|breadth)\b/i.test(words)) return 'width'
  return /\b(?:height|high|tall)\b/i.test(words) ? 'height' : undefined
}

function slot(
  amount: ReadAmount,
  around: Surroundings,
  whole: Whole,
  subject: Subject | undefined,
): Meaning[] {
  const { before, after, row } = around
  if (/\bdepth|deep\b/i.test(`${before} ${after} ${row}`)) return [{ what: 'bar.channel.depth' }]
  if (whole.subject === 'adapter')
    return [{ what: /\binto\b/i.test(before) ? 'adapter.slot.to' : 'adapter.slot.from' }]
  if (amount.form === 'range') return []
  if (subject === 'platform' || /\bslat\b/i.test(before)) return [{ what: 'platform.slot' }]
  if (/\badapter\b/i.test(before)) return [{ what: 'gear.slot.other' }]
  const isGear = whole.subject === 'gear' || /\bfor channels\b/i.test(before)
  return [{ what: isGear ? 'gear.slot' : 'bar.channel.slot' }]
}

/** A rule: the words that call for it, and what they make of the amount. */
type Rule = readonly [
  words: RegExp,
  gives: (
    amount: ReadAmount,
    around: Surroundings,
    whole: Whole,
    subject: Subject | undefined,
  ) => readonly Meaning[],
]

const one =
  (what: string): Rule[1] =>
  (amount) =>
    amount.form === 'one' ? [{ what }] : []
const ranged =
  (what: string): Rule[1] =>
  (amount) =>
    ends(amount, what)

const frontOrRear = (what: string, around: Surroundings): Meaning[] => {
  const { before, rest, row, column } = around
  const behind = /^\s*\(?(front|rear)\b/i
  const last = /\b(front|rear)\b(?!.*\b(?:front|rear)\b)/i
  const side = (behind.exec(rest) ??
    last.exec(before) ??
    last.exec(row) ??
    last.exec(column))?.[1]?.toLowerCase()
  return side === undefined ? [] : [{ what: `${what}.${side}` }]
}

/** From the narrowest words to the widest: the first whose words stand near an amount reads it. */
const RULES: readonly Rule[] = [
  [
    /\bgarage|car ?park|car ?wash|allow for a height|clearance|ceiling|carport|barrier\b|\bdoor at home\b/i,
    one('clearance.height'),
  ],
  [
    /\bwheel ?base\b/i,
    (amount, _, { subject }) =>
      amount.form === 'one' && subject !== 'gear' ? [{ what: 'vehicle.wheelbase' }] : [],
  ],
  [
    /\btrack\b/i,
    (_, around) =>
      /\bfront \/ rear\b/i.test(around.row)
        ? [{ what: around.before.includes('/') ? 'vehicle.track.rear' : 'vehicle.track.front' }]
        : frontOrRear('vehicle.track', around),
  ],
  [/\b(?:windscreen|windshield|door gap)\b/i, one('rack.x.front')],
  [/\busable\b/i, one('bar.usable')],
  [
    TOWER,
    (amount, around) => {
      if (amount.form === 'range') return ends(amount, 'rack.tower')
      if (AT_LEAST.test(around.before)) return [{ what: 'rack.tower.from' }]
      const sides = frontOrRear('rack.tower', around)
      return sides.length > 0 ? sides : [{ what: 'rack.tower' }]
    },
  ],
  [/\bsocket\b|\bdrive\b/i, () => []],
  [/\bend caps?\b|\bcap\b/i, one('bar.cap')],
  [/\bstack\b/i, one('gear.stack')],
  [/\bneeds?\b.*\bover the roof\b|\bover the roof\b/i, one('gear.needs.rise')],
  [/\b(?:roof to|underside|bar rise|above the roof|rise)\b/i, one('bar.rise')],
  [/\bbed[- ]?length\b/i, ranged('vehicle.bed.length')],
  [/\bspacing of bolts|bolts? .*apart|bolt spacing\b/i, one('gear.contacts.spacing')],
  [
    /\bfits?\b.*\b(?:cross ?)?bars?\b|\bfor (?:cross ?)?bars? (?:to|up to)\b|\bbars? up to\b|\bbar (?:width|height) max|\bmax(?:imum|\.)? bar (?:width|height)/i,
    (amount, { before, after }) => taken(amount, `${before} ${after}`),
  ],
  [/\blongest bar\b|\bbars? (?:no|not) longer than\b/i, one('bar.length.max')],
  [/\b(?:section|profile|diameter|wall)\b/i, section],
  [APART, spread],
  [/\b(?:t-?slots?|slots?|groove)\b|(?<!roof )\bchannel\b/i, slot],
  [/\badds\b/i, one('adapter.height')],
]

/** What a heading may say of the figures under it. */
const OF_HEADINGS = RULES.filter(([words]) => words === TOWER || words === APART)

function sizes(
  amount: ReadAmount,
  around: Surroundings,
  whole: Whole,
  subject: Subject | undefined,
): readonly Meaning[] {
  const { before, after, row, column, headings } = around
  const own = `${before} ${after} ${row} ${column}`
  if (INSIDE.test(own)) return []
  if (subject === 'bars' && /^\s*(?:round|square|diameter)\b/i.test(after)) return section(amount, around)
  const unknown: Subject = millimetres(amount) >= LEAST_VEHICLE_MM ? 'vehicle' : 'gear'
  const of = SIZES[subject ?? unknown] ?? SIZES[whole.subject ?? unknown] ?? SIZES[unknown]
  if (!of) return []
  if (amount.form === 'product') {
    if (subject === 'vehicle') return []
    const order: readonly Sided[] = ['length', 'width', 'height']
    if (subject === 'bars') return section(amount, around)
    return all(amount, (i) => (order[i] === undefined ? undefined : of[order[i]]))
  }
  if (amount.form === 'range') return []
  if (/\b(?:clamps?|takes?|holds?|opens|for)\b[^.]*\bup to\s*$/i.test(before)) return []
  const side = sided(after.slice(0, 24)) ?? sided(lastPiece(before)) ?? sided(column) ?? sided(row)
  // The bars that a thing asks for are no bars of its own.
  if (subject === 'bars' && whole.subject === 'gear' && side !== undefined && side !== 'length')
    return taken(amount, `${before} ${after}`)
  const what = side && of[side]
  if (side !== undefined)
    return what === undefined ? [] : [{ what, sure: subject !== undefined || whole.subject !== undefined }]
  const heading = around.headings[0] ?? ''
  const rule = OF_HEADINGS.find(([words]) => words.test(heading))
  if (rule) return rule[1](amount, around, whole, subject)
  const isBar =
    subject === 'bars' ||
    /\bbars?(?: of)?[:\s]*$/i.test(withoutCounted(before)) ||
    (headings.length > 0 && whole.subject === 'bars')
  const isLong = millimetres(amount) >= LEAST_BAR_MM
  return isBar && isLong ? [{ what: 'bar.length' }] : []
}

/** A bare length beside a bar’s name that is no longer than this is no bar’s length. */
const LEAST_BAR_MM = 700
/** Nothing that goes on a roof is as long as a vehicle that nobody named. */
const LEAST_VEHICLE_MM = 3000
const millimetres = ({ values, unit }: ReadAmount): number => inFirstUnit(values[0] ?? 0, unit ?? 'mm')

const lastPiece = (text: string): string =>
  text
    .split(/[,;:]/)
    .filter((each) => each.trim() !== '')
    .at(-1) ?? text

/** `min 610 mm max 1020 mm`, `left 745 mm, right 742 mm`: the second of two that are said together. */
function followOn(
  { before, after, rest, row }: Surroundings,
  previous: Meaning | undefined,
): Meaning | undefined {
  if (previous === undefined) return undefined
  if (previous.what.endsWith('.from') && /\b(?:max(?:imum)?\.?|to|at most|up to)\s*$/i.test(before))
    return { what: previous.what.replace(/from$/, 'to') }
  if (/^gear\.section\.width/.test(previous.what) && /^\s*high\b/i.test(after))
    return { what: 'gear.section.height.to' }
  if (previous.what.endsWith('.left') && /\bright\s*:?\s*$/i.test(before))
    return { what: previous.what.replace(/left$/, 'right') }
  const isRear =
    /\brear\s*:?\s*$/i.test(before) ||
    /^\s*\(rear\b/i.test(rest) ||
    (/\bfront ?\/ ?rear\b/i.test(row) && /^\s*\/?\s*$/.test(before))
  return previous.what.endsWith('.front') && isRear
    ? { what: previous.what.replace(/front$/, 'rear') }
    : undefined
}

/** What a length of a text means; nothing where its words name no size that has a place. */
export function lengthMeanings(
  amount: ReadAmount,
  around: Surroundings,
  whole: Whole,
  previous: Meaning | undefined,
): readonly Meaning[] {
  const { before, after, row, column } = around
  const own = `${before} ${after} ${row} ${column}`
  if (/\+\/-\s*$/.test(before) || /\bopening\b/i.test(around.sentence)) return []
  if (INSIDE.test(`${before} ${row}`) || (amount.values.length === 2 && /\b(?:bag|tube)\b/i.test(row)))
    return []
  const follows = followOn(around, previous)
  if (follows) return [follows]
  if (NOT_OF_THE_RACK.test(own)) return []
  if ((NOT_A_SIZE.test(own) || NOT_WHEELBASE.test(own)) && !/\bwheel ?base\b/i.test(own)) return []
  const { near, subject } = subjectAround(
    { ...around, before: withoutCounted(before), after: withoutCounted(after) },
    whole.subject,
  )
  const stretches = [`${before} ${after}`, `${row} ${column}`]
  for (const text of stretches) {
    const rule = RULES.find(([words]) => words.test(text))
    if (rule) return rule[1](amount, around, whole, subject)
    if (sided(after.slice(0, 24)) ?? sided(lastPiece(before))) break
  }
  return sizes(amount, around, whole, near ?? subject ?? whole.subject)
}
