import type { Surroundings } from './layout'
import type { State } from '../units/scalars'

/** What may be said of a limit beside its figure. What nobody says stays open. */
export interface Said {
  readonly state?: State
  readonly per?: 'each' | 'pair' | 'set'
  readonly counts?: 'everything' | 'load'
}

const TRAIL =
  /\boff[- ]?(?:the[- ])?road(?:ing)?\b|\btrails?\b|\bgravel\b|\bunpaved\b|\bunsurfaced\b|\brough (?:roads?|tracks?|ground)\b/i
const PARKED =
  /\b(?:parked|static|stat|stationary|standing|st(?:ands?|ood) still|at rest|when camp(?:ing|ed)|not moving|parking)\b/i
const ROAD =
  /\b(?:dynamic|dyn|driving|on[- ]?(?:the[- ])?road|road|paved|(?:made|surfaced) roads?|moving|in motion|under way|fahrt)\b/i

/** The state of which a stretch speaks, where it speaks of one alone. */
export function stateIn(text: string): State | undefined {
  const isTrail = TRAIL.test(text)
  const isParked = PARKED.test(text)
  const isRoad = ROAD.test(text.replaceAll(new RegExp(TRAIL, 'gi'), ''))
  if (Number(isTrail) + Number(isParked) + Number(isRoad) !== 1) return undefined
  return isTrail ? 'trail' : isParked ? 'parked' : 'road'
}

const EACH =
  /\beach\b(?! (?:limit|figure|value|of the (?:limits|figures)))|\bapiece\b|\bper (?:bar|foot|leg|plate|panel|bike|bicycle|point|hook|bolt|cradle|bracket|side|piece|carrier)\b|\/ ?(?:bar|foot|leg|plate|panel|bike|side)\b/i
const PAIR = /\b(?:per|the|a|of the|for the|for each) pair\b|\/ ?pair\b|\bpair of\b|\bper two\b/i
const SET =
  /\b(?:per|whole|complete|entire|for the|full) (?:set|kit)\b|\bset of (?:\d|two|three|four|six)\b|\ball (?:four|three|six) together\b|\b(?:the )?(?:two|three|four|six) together\b|^both$|^\s*(?:all )?together\b|\ball together\b|\btogether (?:they )?weigh\b|\bin total\b|\baltogether\b/i

/** How many of a thing a figure is for. */
export function perIn(text: string): Said['per'] {
  if (EACH.test(text)) return 'each'
  if (PAIR.test(text)) return 'pair'
  return SET.test(text) ? 'set' : undefined
}

const RACK = String.raw`(?:roof ?)?(?:racks?|cross ?bars?|bars|load bars|carriers?|crossbars|system|basket|platform|box|feet|it)\b`
const LOAD_ALONE = new RegExp(
  String.raw`\b(?:excl(?:\.|uding|usive of)?|without|plus|not including|but not) (?:the )?(?:(?:weight|mass) of )?(?:the |all )?${RACK}|${RACK}(?:'s)?(?: (?:weight|mass))?,?(?: \d[\d.,]* ?\w+,)?(?: itself)?(?: is| are)? not (?:included|counted|part)|which is not part of|has to be added|\bload only\b|\b(?:ratings?|limits?|figures?|loads?) (?:is|are) for the load\b|\bnet of the rack\b`,
  'i',
)
const EVERYTHING = new RegExp(
  String.raw`\brack incl(?:\.|uded)?(?!\w)|\b(?:incl(?:\.|uding|usive of)?|with|counting|less|together with) (?:the )?(?:(?:weight|mass) of )?(?:the |all )?${RACK}|${RACK}(?:'s)?(?: (?:weight|mass))?(?: itself)?(?: is| are)? ?(?:included|counted|part of it)|\brack(?:'s own)? .{0,24}\b(?:is part of it|counts)\b|\bless the rack's own\b|\bcounted in\b|\btogether with the (?:rack|box|bars)\b|\bcontents and box together\b|\brack (?:weight )?included\b`,
  'i',
)
/** “Contents” and “cargo” are what goes in: the carrier is not of them. */
const CONTENTS = /\bmax(?:imum|\.)? (?:contents|cargo load)\b/i

/** What a limit counts: the rack with the rest, or the load alone. */
export function countsIn(text: string): Said['counts'] {
  if (LOAD_ALONE.test(text)) return 'load'
  if (EVERYTHING.test(text)) return 'everything'
  return CONTENTS.test(text) ? 'load' : undefined
}

/** Stretches from near to far in which something is said of an amount. */
const nearToFar = ({ before, after, row, column, headings }: Surroundings): string[] => [
  after,
  before,
  column,
  row,
  ...headings,
]

/** The first stretch, from near to far, in which an attribute is said. */
export function firstSaid<T>(around: Surroundings, read: (text: string) => T | undefined): T | undefined {
  for (const text of nearToFar(around)) {
    const said = read(text)
    if (said !== undefined) return said
  }
  return undefined
}

/** Words by which somebody says that a figure is not sure. */
export const HEDGED =
  /\b(?:about|approx(?:imately)?|roughly|around|circa|ca\.|thinks?|(?:i|would) guess|maybe|perhaps|probably|or so|should be|may be|might|guess(?:ed)?|estimated?|no idea|lighter|from memory|says the (?:seller|dealer)|the seller says|can't find)\b|~|\?\?|\bthe box it came in\b|\bon the internet\b|\bsomebody (?:wrote|said)\b|\b(?:he|she) says\b/i
/** What was another’s, or is of another make. */
export const OF_OTHERS =
  /\b(?:my|our|the|his|her) (?:last|old|other|former|previous) (?:owner|car|van|estate|rack|truck|bars|box)\b|\bneighbou?r\b|\bof the other make\b|\breplaces\b|\bfriend's\b|\bthe one before\b/i
/** What must not be done with so much. */
export const FORBIDDEN =
  /\b(?:do not|don't|never|not)\b[^.]{0,40}\b(?:put|load|use)\b[^.]{0,20}$|\b(?:over|above|more than|beyond)\s*$/i
export const FORBIDDEN_AFTER = /^\s*(?:or|and) (?:above|more|over|heavier)\b/i
/** A number after these is a limit although they begin with a refusal. */
export const NO_MORE_THAN =
  /\b(?:no|not|never)\b[^.]{0,24}\bmore than\s*$|\bnot (?:to )?exceed(?:ing)?\s*$|\bdo not exceed\s*$|\bnever (?:load|exceed) (?:more than )?\s*$/i
export const AT_LEAST = /\b(?:at least|min(?:imum)?\.?|not less than|from)\s*$/i
export const AT_LEAST_AFTER = /^\s*(?:or more|at least|minimum|min\.?)\b/i
/** Tests, transport and other machines. */
export const NOT_OF_THE_RACK =
  /\b(?:trailers?|tow(?:ing|ed)?|tow ?ba(?:r|ll)s?|nose ?weight|tongue|drawbar|hitch|tailgate|in the boot|jack(?:s|ing)?|parcels?|shipping|freight|packag(?:e|ing)|cartons?|crash|tested|pull test|pull\b|breaking|lashing|straps?|webbing|ratchets?|engine|tyres?|tires?|fuel|tank|sand|invoice|wind tunnel|gusts?)\b/i
