import type { Surroundings } from './layout'

/** What a figure is said of. */
export type Subject =
  | 'vehicle'
  | 'roof'
  | 'bedRail'
  | 'rack'
  | 'kit'
  | 'bars'
  | 'feet'
  | 'platform'
  | 'panel'
  | 'adapter'
  | 'gear'

/** The words for each, the narrower before the wider: a roof box is gear, and no roof. */
const WORDS: readonly (readonly [Subject, RegExp])[] = [
  [
    'gear',
    /\b(?:roof|cargo|long|wide|short)? ?box(?:es)?\b|\b(?:roof )?tents?\b|\bawnings?\b|\bbasket\b|\b(?:bike|bicycle|ski|kayak|boat|board) ?(?:carrier|tray|cradle|holder)s?\b|\bholder\b|\b(?:conduit|pipe) tube\b|\b(?:spare )?wheel\b(?! ?(?:nut|bolt|arch))|\bhooks?\b|\bbag\b|\bcradles?\b|\bcarrier\b|\btray\b|\bladders?\b|\broller\b|\bkayaks?\b|\bboats?\b|\bcanoes?\b|\bsurfboards?\b|\bbags?\b|\b(?:water|fuel|jerry|flat) cans?\b|\bu-bolt kit\b|\bkontainer\b/i,
  ],
  ['kit', /\bfit(?:ting)? kit\b/i],
  ['panel', /\b(?:side )?panels?\b/i],
  ['adapter', /\badapter\b/i],
  ['bedRail', /\b(?:bed|truck)[- ]?rails?\b/i],
  ['feet', /\b(?:platform )?f(?:ee|oo)t\b|\blegs?\b|\btower foot\b|\btowers?\b/i],
  ['platform', /\bplatform\b/i],
  ['rack', /\b(?:roof|bed) ?rack\b|\brack\b|\bset of bars\b|\bcrossbars?, set\b/i],
  ['bars', /\b(?:cross ?|roof |load )?bars?\b|\bbarras\b|\bbarres\b|\bdachträger\b/i],
  [
    'roof',
    /(?<!\b(?:bare|glass|panorama|steel) )\broof\b(?! ?(?:rack|box|bag|bars?|tent|rails?|carrier|holder|awning|basket|channel|points?|load (?:bar|carrier)))/i,
  ],
  ['vehicle', /\b(?:vehicle|car|saloon|estate|wagon|hatchback|van|pickup|truck|suv)\b/i],
]

/** What a counted phrase names is no subject: “excluding crossbars”, “with the rack”. */
export const withoutCounted = (text: string): string =>
  text.replaceAll(
    /\b(?:(?:excl|incl)(?:\.|uding|usive of)?(?= )|(?:without|with|plus|less)\b)[^,.;:\n]*|\b(?:rack|(?:cross)?bars|platform|box|basket|carrier)(?: weight)? (?:is |are )?(?:not )?(?:included|counted)(?: in)?\b/gi,
    ' ',
  )
const OF_VEHICLES = /\bwheel ?base\b|\bkerb (?:weight|mass)\b|\boverall (?:length|height|width)\b/i

/** The first that a stretch speaks of, by the order of its words. */
export function subjectsIn(text: string): Subject[] {
  const found = WORDS.map(([subject, words]) => ({ subject, at: words.exec(text)?.index ?? -1 })).filter(
    ({ at }) => at >= 0,
  )
  return found.toSorted((a, b) => a.at - b.at).map(({ subject }) => subject)
}

/** A text that says what bars it wants is of what goes on them. */
const WANTS_BARS =
  /\bfits? (?:cross ?)?bars\b|\bfits crossbars\b|\bcross ?bars? (?:distance|spread|spacing)\b|\bmax(?:imum|\.)? (?:cargo load|contents)\b/i

/** What a text says of the bars it wants names no bars of its own. */
const WANTED_OF_BARS = /\b(?:cross ?)?bars? (?:distance|spread|spacing|width)\b/gi
const OF_BOXES = /\b(?:inside|inner|internal) (?:dimensions|size|volume)\b/i

/** A sentence or a greeting is no title: it is looked for below them. */
const MOST_BEFORE_TITLE = 12

/** What a whole text is about: by its first line that names a thing, by the bars it wants, or by the one thing it names. */
export function subjectOf(plain: string, hasKinds: boolean, isLetter: boolean): Subject | undefined {
  const titles = plain
    .split('\n', MOST_BEFORE_TITLE)
    .filter((line) => line.trim() !== '' && (!/[.!,]\s*$/.test(line) || subjectsIn(line).length > 0))
    .slice(0, 2)
    .filter((line, i) => i === 0 || !/\d ?(?:kg|lb|mm|cm|in)\b/i.test(line))
  let isOfVehicle = false
  for (const line of titles) {
    const [head = ''] = line.split(/ for |\bfits\b|:/i)
    const all = subjectsIn(head)
    isOfVehicle ||= all[0] === 'vehicle'
    if (isOfVehicle) break
    if (all[0]) return all[0]
  }
  if (WANTS_BARS.test(plain)) return 'gear'
  const bare = withoutCounted(plain).replaceAll(WANTED_OF_BARS, ' ')
  if (isOfVehicle && /\broof (?:load|limit)/i.test(plain)) return 'vehicle'
  if (OF_BOXES.test(plain)) return 'gear'
  const all = WORDS.filter(([, words]) => words.test(bare)).map(([subject]) => subject)
  const named = new Set(all.filter((subject) => subject !== 'vehicle' && subject !== 'roof'))
  const [only] = named
  if (named.size === 0) return isOfVehicle || OF_VEHICLES.test(plain) ? 'vehicle' : undefined
  return named.size === 1 && !hasKinds && !isLetter ? only : undefined
}

/** The one an amount is said of, from near to far. */
export function subjectAround(
  { before, after, row, column, headings, sentence, earlier }: Surroundings,
  whole: Subject | undefined,
): {
  readonly near: Subject | undefined
  readonly subject: Subject | undefined
} {
  const isAfter = /^\s*(?:is|are|per|each|for|of|on|may|by)\b/i.test(after)
  const order = isAfter ? [after, before, column, row] : [before, after, column, row]
  const near = order.map((text) => subjectsIn(text)).find((all) => all.length > 0)?.[0]
  const over = headings
    .map((text) => subjectsIn(text)[0])
    .find((each) => each !== undefined && (each !== 'vehicle' || whole === 'vehicle'))
  // “It weighs 29 kg”: the thing that was spoken of last.
  const spokenOf = /^\s*(?:it|its|they|their)\b/i.test(sentence) ? subjectsIn(earlier).at(-1) : undefined
  return {
    near: near ?? spokenOf,
    subject: near ?? spokenOf ?? over ?? whole ?? subjectsIn(withoutCounted(sentence))[0],
  }
}
