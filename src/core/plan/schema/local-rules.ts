/** One place's rules for what a load runs past the vehicle. Quoted from memory: check your local rules. */
export interface LocalRules {
  readonly id: string
  readonly place: string
  readonly source: string
  /** Behind the vehicle, mm: from here on it must be marked; beyond this it is not allowed at all. */
  readonly rearMarkMm: number
  readonly rearMostMm: number | undefined
  /** In front of the vehicle. */
  readonly frontMarkMm: number | undefined
  readonly frontMostMm: number | undefined
  /** Past either side of the body. */
  readonly sideMarkMm: number
  readonly mark: string
}

const FOOT = 304.8

/** The rules kept as data. Each is a summary from memory, no legal advice: check your local rules. */
export const LOCAL_RULES: readonly LocalRules[] = [
  {
    id: 'us-federal',
    place: 'United States, federal, commercial vehicles',
    source: '49 CFR 393.87, from memory; states differ and bind private cars too',
    rearMarkMm: 4 * FOOT,
    rearMostMm: undefined,
    frontMarkMm: undefined,
    frontMostMm: undefined,
    sideMarkMm: 4 * 25.4,
    mark: 'red or orange flags at least 18 in square by day, two where it is wider than 2 ft; lamps by night',
  },
  {
    id: 'de',
    place: 'Germany',
    source: 'StVO § 22, from memory',
    rearMarkMm: 1000,
    rearMostMm: 1500,
    frontMarkMm: undefined,
    frontMostMm: 500,
    sideMarkMm: 400,
    mark: 'a bright red flag or plate at least 30 by 30 cm; a lamp and a reflector by night',
  },
  {
    id: 'gb',
    place: 'Great Britain',
    source: 'Construction and Use Regulations 1986, reg. 82 and schedule 12, from memory',
    rearMarkMm: 1000,
    rearMostMm: 3050,
    frontMarkMm: 2000,
    frontMostMm: 3050,
    sideMarkMm: 305,
    mark: 'make it clearly visible; marker boards and lamps beyond 2 m',
  },
]

/** The rules chosen, if they are kept here. */
export const localRulesOf = (id: string | undefined): LocalRules | undefined =>
  LOCAL_RULES.find((rules) => rules.id === id)
