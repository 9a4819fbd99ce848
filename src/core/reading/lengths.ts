import type { Amount } from './amounts'
import type { Meaning } from './claim'
import type { Around } from './layout'
import type { Whole } from './masses'
import { AT_LEAST, NOT_OF_THE_RACK } from './said'
import { type Subject, subjectAround } from './subject'

const NOT_A_SIZE =
  /\b(?:socket|drive|hex|allen|keys?|wrench|spanner|drill|cut|strip|engagement|hook|straps?|cable|lead|wheels?|mattress|thick(?:ness)? of|rails? \d|walking|carpet|page|turns?)\b/i
const NOT_WHEELBASE = /\bwheel(?:s|ed)?\b/i
const APART =
  /\b(?:apart|distance|spacing|spread|between|bar to bar|from bar to bar|front bar to rear|to rear bar|from front bar|neighbours)\b/i
const INSIDE = /\b(?:inside|inner|internal|interior)\b/i

type Sided = 'length' | 'width' | 'height'
const SIZES: Readonly<Partial<Record<Subject, Readonly<Record<Sided, string>>>>> = {
  vehicle: { length: 'vehicle.length', width: 'vehicle.width', height: 'vehicle.height' },
  bars: { length: 'bar.length', width: 'bar.profile.width', height: 'bar.profile.height' },
  platform: { length: 'platform.length', width: 'platform.width', height: 'platform.height' },
  feet: { length: 'foot.length', width: 'foot.width', height: 'foot.height' },
  adapter: { length: 'adapter.length', width: 'adapter.width', height: 'adapter.height' },
  gear: { length: 'gear.length', width: 'gear.width', height: 'gear.height' },
}

const all = (amount: Amount, name: (i: number) => string | undefined): Meaning[] =>
  amount.values.flatMap((_, which) => {
    const what = name(which)
    return what === undefined ? [] : [{ what, which }]
  })

const ends = (amount: Amount, what: string): Meaning[] =>
  amount.form === 'range'
    ? [
        { what: `${what}.from`, which: 0 },
        { what: `${what}.to`, which: 1 },
      ]
    : [{ what }]

/** Height before width where the text says so: `27 x 80 mm (h x w)`. */
const heightFirst = (text: string): boolean => /\bh(?:eight)? ?x ?w(?:idth)?\b/i.test(text)

function section(amount: Amount, around: Around): Meaning[] {
  const own = `${around.before} ${around.after} ${around.row} ${around.sentence}`
  if (/\bwall\b/i.test(around.before)) return [{ what: 'bar.profile.wall' }]
  if (amount.form === 'product') {
    const [first, second] = heightFirst(own)
      ? ['bar.profile.height', 'bar.profile.width']
      : ['bar.profile.width', 'bar.profile.height']
    return all(amount, (i) => (i === 0 ? first : i === 1 ? second : undefined))
  }
  return amount.form === 'one' ? [{ what: 'bar.profile.width' }] : []
}

function taken(amount: Amount, own: string): Meaning[] {
  if (amount.form === 'range') return ends(amount, 'gear.section.width')
  if (amount.form === 'product')
    return all(amount, (i) =>
      i === 0 ? 'gear.section.width.to' : i === 1 ? 'gear.section.height.to' : undefined,
    )
  return [{ what: /\bhigh|\bheight/i.test(own) ? 'gear.section.height.to' : 'gear.section.width.to' }]
}

function spread(amount: Amount, around: Around, whole: Whole): Meaning[] {
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

function slot(amount: Amount, around: Around, whole: Whole, subject: Subject | undefined): Meaning[] {
  const { before, after, row } = around
  if (/\bdepth|deep\b/i.test(`${before} ${after} ${row}`)) return [{ what: 'bar.channel.depth' }]
  if (whole.subject === 'adapter')
    return [{ what: /\binto\b/i.test(before) ? 'adapter.slot.to' : 'adapter.slot.from' }]
  if (amount.form === 'range') return []
  if (subject === 'platform' || /\bslat\b/i.test(before)) return [{ what: 'platform.slot' }]
  if (/\badapter\b/i.test(before)) return [{ what: 'gear.slot.other' }]
  const isGear =
    whole.subject === 'gear' ||
    (whole.subject === undefined && /\bfor channels\b/i.test(before)) ||
    /\bfor channels\b/i.test(before)
  return [{ what: isGear ? 'gear.slot' : 'bar.channel.slot' }]
}

/** A rule: the words that call for it, and what they make of the amount. */
type Rule = readonly [
  words: RegExp,
  gives: (amount: Amount, around: Around, whole: Whole, subject: Subject | undefined) => readonly Meaning[],
]

const one =
  (what: string): Rule[1] =>
  (amount) =>
    amount.form === 'one' ? [{ what }] : []
const ranged =
  (what: string): Rule[1] =>
  (amount) =>
    ends(amount, what)

const frontOrRear = (what: string, around: Around): Meaning[] => {
  const { before, row, column } = around
  const last = /\b(front|rear)\b(?!.*\b(?:front|rear)\b)/i
  const side = (last.exec(before) ?? last.exec(row) ?? last.exec(column))?.[1]?.toLowerCase()
  return side === undefined ? [] : [{ what: `${what}.${side}` }]
}

/** From the narrowest words to the widest: the first whose words stand near an amount reads it. */
const RULES: readonly Rule[] = [
  [/\bgarage|car ?park|clearance|ceiling|carport|barrier\b|\bdoor at home\b/i, one('clearance.height')],
  [/\bwheel ?base\b/i, one('vehicle.wheelbase')],
  [
    /\btrack\b/i,
    (_, around) =>
      /\bfront \/ rear\b/i.test(around.row)
        ? [{ what: around.before.includes('/') ? 'vehicle.track.rear' : 'vehicle.track.front' }]
        : frontOrRear('vehicle.track', around),
  ],
  [/\b(?:windscreen|windshield|door gap)\b/i, one('rack.x.front')],
  [
    /\btowers?\b|\buprights?\b|\bfoot to foot\b|\bcentres? of (?:the )?feet\b/i,
    (amount, around) => {
      if (amount.form === 'range') return ends(amount, 'rack.tower')
      const sides = frontOrRear('rack.tower', around)
      return sides.length > 0 ? sides : [{ what: 'rack.tower.front' }]
    },
  ],
  [/\bsocket\b|\bdrive\b/i, () => []],
  [/\busable\b/i, one('bar.usable')],
  [/\bend caps?\b|\bcap\b/i, one('bar.cap')],
  [/\bstack\b/i, one('gear.stack')],
  [/\bneeds?\b.*\bover the roof\b|\bover the roof\b/i, one('gear.needs.rise')],
  [/\b(?:roof to|underside|bar rise|above the roof|rise)\b/i, one('bar.rise')],
  [/\bbed[- ]?length\b/i, ranged('vehicle.bed.length')],
  [/\bspacing of bolts|bolts? .*apart|bolt spacing\b/i, one('gear.contacts.spacing')],
  [
    /\bfits?\b.*\bbars?\b|\bfor (?:cross ?)?bars? (?:to|up to)\b|\bbars? up to\b/i,
    (amount, { before, after }) => taken(amount, `${before} ${after}`),
  ],
  [/\blongest bar\b|\bbars? (?:no|not) longer than\b/i, one('bar.length.max')],
  [/\b(?:section|profile|diameter|wall)\b/i, section],
  [APART, spread],
  [/\b(?:t-?slot|slot|channel|groove)\b/i, slot],
  [/\bopening\b/i, () => []],
  [/\badds\b/i, one('adapter.height')],
]

function sizes(amount: Amount, around: Around, whole: Whole, subject: Subject | undefined): Meaning[] {
  const { before, after, row, column, headings } = around
  const own = `${before} ${after} ${row} ${column}`
  if (INSIDE.test(own)) return []
  const of = SIZES[subject ?? 'vehicle'] ?? SIZES[whole.subject ?? 'vehicle'] ?? SIZES.gear
  if (!of) return []
  if (amount.form === 'product') {
    if (subject === 'vehicle' || subject === undefined) return []
    const order: readonly Sided[] = ['length', 'width', 'height']
    if (subject === 'bars') return section(amount, around)
    return all(amount, (i) => (order[i] === undefined ? undefined : of[order[i]]))
  }
  if (amount.form === 'range') return []
  const side = sided(after.slice(0, 24)) ?? sided(lastPiece(before)) ?? sided(column) ?? sided(row)
  if (side !== undefined) return [{ what: of[side] }]
  const isBar = subject === 'bars' || (headings.length > 0 && whole.subject === 'bars')
  const isLong = (amount.values[0] ?? 0) * (MM_IN[amount.unit ?? 'mm'] ?? 0) >= LEAST_BAR_MM
  return isBar && isLong ? [{ what: 'bar.length' }] : []
}

/** A bare length beside a bar’s name that is no longer than this is no bar’s length. */
const LEAST_BAR_MM = 700
const MM_IN: Partial<Record<string, number>> = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 }

const lastPiece = (text: string): string =>
  text
    .split(/[,;:]/)
    .filter((each) => each.trim() !== '')
    .at(-1) ?? text

/** What a length of a text means; nothing where its words name no size that has a place. */
export function lengthMeanings(amount: Amount, around: Around, whole: Whole): readonly Meaning[] {
  const { before, after, row, column } = around
  const own = `${before} ${after} ${row} ${column}`
  if (NOT_OF_THE_RACK.test(own)) return []
  if ((NOT_A_SIZE.test(own) || NOT_WHEELBASE.test(own)) && !/\bwheel ?base\b/i.test(own)) return []
  const { near, subject } = subjectAround(around, whole.subject)
  const stretches = [`${before} ${after}`, `${row} ${column}`]
  for (const text of stretches) {
    const rule = RULES.find(([words]) => words.test(text))
    if (rule) return rule[1](amount, around, whole, subject)
    if (sided(after.slice(0, 24)) ?? sided(lastPiece(before))) break
  }
  const bySize = sizes(amount, around, whole, near ?? (whole.isLetter ? subject : (subject ?? whole.subject)))
  if (bySize.length > 0) return bySize
  const heading = around.headings[0] ?? ''
  const rule = RULES.find(([words]) => words.test(heading))
  return rule && amount.form !== 'product' ? rule[1](amount, around, whole, subject) : []
}
