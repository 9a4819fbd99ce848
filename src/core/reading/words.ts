import type { Claim } from './claim'
import { DAY, saidDay } from './days'
import type { Letters } from './letters'
import { originalSpan } from './letters'

type Found = Pick<Claim, 'what' | 'value' | 'unit'> & { readonly sure?: boolean }
interface Rule {
  readonly words: RegExp
  /** What one match of the words means; nothing where what stands round it says otherwise. */
  readonly gives: (match: RegExpExecArray, line: string, text: string) => readonly Found[]
}

const word = (what: string, value: string): readonly Found[] => [{ what, value, unit: null }]
const count = (what: string, value: number): readonly Found[] => [{ what, value, unit: 'count' }]
const NUMBERS: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  eight: 8,
}
const numberIn = (said: string): number => NUMBERS[said.toLowerCase()] ?? Number(said)
const isRefused = (match: RegExpExecArray, line: string): boolean =>
  /\b(?:not|never|without|except)\b[^.]{0,30}$/i.test(line.slice(0, line.indexOf(match[0])))
const isOfLot = (line: string): boolean => /\blots?\b/i.test(line)

const BODIES: Readonly<Record<string, string>> = {
  saloon: 'saloon',
  sedan: 'saloon',
  estate: 'estate',
  wagon: 'estate',
  'tall wagon': 'tallWagon',
  hatchback: 'smallHatchback',
  van: 'tallVan',
  'tall van': 'tallVan',
}
const ATTACHMENTS: readonly (readonly [RegExp, string])[] = [
  [/raised/i, 'raisedRail'],
  [/flush/i, 'flushRail'],
  [/bare/i, 'bareRoof'],
  [/channel/i, 'roofChannel'],
  [/points/i, 'fixedPoint'],
]
/** The heads of two columns: which of the two the vehicle is, nobody has said. */
const namesTwo = (line: string): boolean =>
  (line.match(/\b(?:saloon|sedan|estate|wagon|hatchback|van)\b/gi) ?? []).length > 1
const FIRST_YEAR = 1950
const LAST_YEAR = 2100
const isYear = (year: number): boolean => year >= FIRST_YEAR && year <= LAST_YEAR
const year = (what: string, said: string): Found => ({ what, value: Number(said), unit: 'year' })

const RULES: readonly Rule[] = [
  {
    words: /\bM(\d{1,2})(?: ?x ?(\d{1,3})(?: ?mm)?)?(?: ?\((\d{1,2}\.\d)\))?(?![\w-])/gi,
    gives: ([whole, size = '', length, grade], line) => {
      const sure = !isOfLot(line)
      if (/[A-Z]{2}$|[A-Z]\d*-$/.test(line.slice(0, line.indexOf(whole)))) return []
      return [
        { what: 'joint.thread', value: `M${size}`, unit: null, sure },
        ...(length === undefined
          ? []
          : [{ what: 'joint.length', value: Number(length), unit: 'mm' as const, sure }]),
        ...(grade === undefined ? [] : [{ what: 'joint.grade', value: grade, unit: null, sure }]),
      ]
    },
  },
  {
    words:
      /(?<![\d/])(?<!\d )(\d{1,2}\/\d{1,2})("?)-(\d{2})\b(?! \d\/)(?: ?x ?(?:(\d{1,2})[- ])?(\d)\/(\d)")?/gi,
    gives: ([, size = '', mark = '', pitch = '', whole = '0', over, under]) => [
      { what: 'joint.thread', value: `${size}${mark}-${pitch}`, unit: null },
      ...(over === undefined || under === undefined
        ? []
        : [
            {
              what: 'joint.length',
              value: Number(whole) + Number(over) / Number(under),
              unit: 'in' as const,
            },
          ]),
    ],
  },
  {
    words: /\bbolts? (\d\/\d{1,2}")(?!-)/gi,
    gives: ([, size = '']) => word('joint.thread', size),
  },
  {
    words: /\b(?:(?:grade|class|strength|stainless) )(\d{1,2}\.\d|A[24]-\d{2})\b|\b(A[24]-\d{2})\b/gi,
    gives: ([, grade, steel], line) => (isOfLot(line) ? [] : word('joint.grade', grade ?? steel ?? '')),
  },
  { words: /\bthreadlock(?:er|ing)?\b/gi, gives: () => word('joint.security', 'threadlocker') },
  {
    words: /\b(\d{1,2}|two|three|four) (?:clear )?clicks?\b/gi,
    gives: ([, said = '']) => count('joint.clicks', numberIn(said)),
  },
  {
    words: /\b(\d{1,2}) (?:to|-) (\d{1,2}) turns\b/gi,
    gives: ([, from = '', to = '']) => [
      ...count('joint.turns.from', Number(from)),
      ...count('joint.turns.to', Number(to)),
    ],
  },
  {
    words: /(?<!\w )\b(\d{1,2}) (?:u-)?bolts?\b(?! per)|\b(\d{1,2}) (?:pcs|pieces)\b|\((\d{1,2}) each\b/gi,
    gives: ([, bolts, pieces, each], line) =>
      bolts === undefined && !/\bbolts?\b/i.test(line)
        ? []
        : count('joint.count', Number(bolts ?? pieces ?? each)),
  },
  {
    words: /\b((?:19|20)\d{2}) ?(?:-|to|until) ?((?:19|20)\d{2})\b(?!-)/gi,
    gives: ([, from = '', to = '']) =>
      isYear(Number(from)) && Number(from) < Number(to)
        ? [year('vehicle.years.from', from), year('vehicle.years.to', to)]
        : [],
  },
  {
    words: /\bfrom ((?:19|20)\d{2})\b(?! ?(?:to|-|until))|\b((?:19|20)\d{2})[- ](?:on|onwards)\b/gi,
    gives: ([, from, on], line) =>
      /\bis from\b|\bcar is\b/i.test(line) && from !== undefined
        ? [year('vehicle.year', from)]
        : [year('vehicle.years.from', from ?? on ?? '')],
  },
  {
    words:
      /\b(?:van|car|suv|estate|saloon|wagon|hatchback|pickup|truck),? (?:of )?((?:19|20)\d{2})(?![-\d.]|,\d)|\bdoors,? ((?:19|20)\d{2})(?![-\d.]| ?(?:to|-))/gi,
    gives: ([, a, b]) => [year('vehicle.year', a ?? b ?? '')],
  },
  {
    words: /\b([2-6])[- ]doors?\b/gi,
    gives: (match, line) => {
      const doors = Number(match[1])
      return isRefused(match, line) ? word('excludes.doors', String(doors)) : count('vehicle.doors', doors)
    },
  },
  {
    words: /\b(tall wagon|tall van|saloon|sedan|estate|wagon|hatchback|van)\b(?!'s)/gi,
    gives: (match, line, text) =>
      isRefused(match, line) ||
      /\b(?:my|our) (?:old|last)\b/i.test(line) ||
      new RegExp(`\\b${match[0]}\\b`, 'i').exec(text)?.index !== match.index
        ? []
        : word('vehicle.body', BODIES[match[0].toLowerCase()] ?? match[0].toLowerCase()).map((found) => ({
            ...found,
            sure: /:|\d/.test(line) || !namesTwo(line),
          })),
  },
  {
    words: /\b(?:raised|flush) rails?\b|\bbare roof\b|\broof channel\b|\broof points\b/gi,
    gives: (match, line) =>
      isRefused(match, line)
        ? []
        : word('vehicle.attachment', ATTACHMENTS.find(([words]) => words.test(match[0]))?.[1] ?? ''),
  },
  {
    words: /\bnot (?:for|with) (?:vehicles with )?(glass roof|sunroof|panorama roof|panoramic roof)\b/gi,
    gives: ([, roof = '']) =>
      word('excludes.roof', roof.toLowerCase().startsWith('glass') ? 'glass' : roof.toLowerCase()),
  },
  {
    words:
      /\b(aero|wing|square|round|flat)(?= profile|\b[^\n]{0,12}\bbars?\b|,? \d|[^\n]{0,8}\bprofile\b)|(?<=profile:?\s{1,4})(aero|wing|square|round|flat)\b|(?<=(?:crossbars?|bars?),? )(aero|wing|square|round|flat)\b/gi,
    gives: (match, line) => {
      const kind = match[0].toLowerCase()
      const isColumn = /\b(?:square|round) bar\b.*\b(?:wing|aero) bar\b/i.test(line)
      return isColumn ? [] : word('bar.profile.kind', kind === 'wing' ? 'aero' : kind)
    },
  },
  {
    words: /\bsleeps (\d|two|three|four)\b|\bfor (\d|two|three|four) (?:persons|people)\b/gi,
    gives: ([, a, b]) => count('gear.sleeps', numberIn(a ?? b ?? '')),
  },
  {
    words: /\b(?:opens? to the (left|right)|(left|right) side\b(?! \d))/gi,
    gives: ([, a, b], line) =>
      /\bopens?|awning\b/i.test(line) || b !== undefined
        ? word('gear.side', (a ?? b ?? '').toLowerCase())
        : [],
  },
  { words: /\b(?:no|do not use|never use) power tools\b/gi, gives: () => word('use.handtools', 'yes') },
  { words: /\bnot (?:rated )?for off[- ]road use\b/gi, gives: () => word('use.trail', 'no') },
  {
    words: /\b(?:p\.|pp\.|pages?) ?(\d{1,4})\b/gi,
    gives: ([, page = ''], line) => (/\bsee (?:page|p\.)/i.test(line) ? [] : word('source.page', page)),
  },
  {
    words: new RegExp(
      String.raw`\b(?:dated?|issued?|edition|rev(?:ision)?\.?|version|as of|valid|status|printed)(?: of)? ?:? ?(${DAY})`,
      'gi',
    ),
    gives: ([, said = '']) => {
      const day = saidDay(said)
      return day === undefined ? [] : word('source.on', day)
    },
  },
]

const MOST_ROUND = 240

/** The line in which a place stands, as far as it is near. */
function lineRound(plain: string, place: number): string {
  const near = plain.slice(Math.max(0, place - MOST_ROUND), place)
  const after = plain.slice(place, place + MOST_ROUND)
  const end = after.indexOf('\n')
  return near.slice(near.lastIndexOf('\n') + 1) + (end < 0 ? after : after.slice(0, end))
}

/** What a text says in words and in counts: threads, years, doors, how the rack is held, the page. */
export function wordClaims(letters: Letters): Claim[] {
  const { plain } = letters
  const claims: Claim[] = []
  for (const { words, gives } of RULES)
    for (const match of plain.matchAll(words)) {
      const line = lineRound(plain, match.index)
      if (/^\s*>/.test(line)) continue
      const at = originalSpan(letters, match.index, match.index + match[0].length)
      for (const { sure, ...found } of gives(match, line, plain))
        claims.push({ ...found, at, sure: sure ?? true })
    }
  // One profile a text: where its words say “profile” rather than name the set.
  const profiles = claims.filter(({ what }) => what === 'bar.profile.kind')
  const best = profiles.find(({ at: [, end] }) => /^ profile/i.test(plain.slice(end, end + 8))) ?? profiles[0]
  return claims.filter((claim) => claim.what !== 'bar.profile.kind' || claim === best)
}
