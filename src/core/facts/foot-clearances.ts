import type { ThingAt } from '../survey/frame/arrangement'
import { contactYs } from '../survey/mounting/contacts'
import type { Survey } from '../survey/survey'
import { leastBy } from '../units/pick'
import { atLeast, type Compared } from './comparison'

/** No foot and no clamp is taken to be wider than this where nobody measured it. Common practice, no source. mm. */
const WIDEST_FOOT_MM = 300
const WIDEST_CLAMP_MM = 160

/** The contact of a thing that stands nearest to a foot; widths where somebody measured them. mm. */
interface NearestFoot {
  readonly rackId: string
  readonly barId: string
  readonly barName: string
  readonly contactY: number
  readonly footY: number
  readonly awayMm: number
  readonly footMm: number | undefined
  readonly clampMm: number | undefined
  /** How far it is away against the least that may be wanted: nothing for a width that nobody measured. */
  readonly least: Compared
  /** The same against the most that may be wanted: the widest that there are for one nobody measured. */
  readonly most: Compared
}

/** The contact of a thing that stands nearest to a foot; nothing where it stands on no bar with feet. */
export function nearestFoot(survey: Survey, thing: ThingAt): NearestFoot | undefined {
  const { host } = thing.placement
  if (host.on !== 'bars') return undefined
  const clampMm = thing.gear.fit.baseMm
  const contacts = contactYs(thing)
  const pairs = survey.bars
    .filter(({ bar }) => host.barIds.includes(bar.id))
    .flatMap(({ bar, rack }) =>
      bar.feetYMm.flatMap((footY) => contacts.map((contactY) => ({ bar, rack, footY, contactY }))),
    )
  const nearest = leastBy(pairs, ({ footY, contactY }) => Math.abs(contactY - footY))
  if (!nearest) return undefined
  const { bar, rack, footY, contactY } = nearest
  const awayMm = Math.abs(contactY - footY)
  const footMm = rack.footWidthMm
  const wanted = (foot: number, clamp: number) => ((footMm ?? foot) + (clampMm ?? clamp)) / 2
  return {
    rackId: rack.id,
    barId: bar.id,
    barName: bar.name,
    contactY,
    footY,
    awayMm,
    footMm,
    clampMm,
    least: atLeast(awayMm, wanted(0, 0)),
    most: atLeast(awayMm, wanted(WIDEST_FOOT_MM, WIDEST_CLAMP_MM)),
  }
}
