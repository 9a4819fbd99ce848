import { ANTENNA_FORMS } from '../kinds/obstacle'
import type { Box } from '../geometry/boxes'
import type { Vehicle } from '../plan/schema/vehicle'
import { packed } from '../survey/frame/arrangement'
import { antennaTopZ } from '../survey/frame/roof-surface'
import type { Survey } from '../survey/survey'
import { atLeast, type Compared } from './comparison'

type Antenna = Extract<Vehicle['obstacles'][number], { kind: 'antenna' }>

interface Over {
  readonly name: string
  readonly placementId: string | undefined
  readonly box: Box
}

/** What lies over an antenna: its underside against the antenna's top. mm over the ground. */
interface OverAntenna {
  readonly name: string
  readonly placementId: string | undefined
  readonly compared: Compared
  /** How far it would have to go each way to lie over it no more. */
  readonly clearMm: Readonly<Record<'forward' | 'rearward' | 'left' | 'right', number>>
}

/** What stands across an antenna's base reaches this far to either side of it, mm. */
const BASE_HALF_MM = 20

/** Everything that may lie over something on the roof: things, bars, decks. */
const allOver = (survey: Survey): readonly Over[] => [
  ...survey.things
    .filter(
      (thing) =>
        !packed(thing) && thing.placement.host.on !== 'ladder' && thing.placement.host.on !== 'panel',
    )
    .map(({ gear, placement, box }) => ({ name: gear.name, placementId: placement.id, box })),
  ...survey.bars.map(({ bar, box }) => ({ name: bar.name, placementId: undefined, box })),
  ...survey.racks.flatMap(({ rack, deck }) =>
    deck ? [{ name: rack.name, placementId: undefined, box: deck.box }] : [],
  ),
]

/** Each antenna with all that lies over it, seen from above. */
export function overAntennas(
  survey: Survey,
): readonly { readonly antenna: Antenna; readonly over: readonly OverAntenna[] }[] {
  const { vehicle } = survey.plan
  return vehicle.obstacles.flatMap((antenna) => {
    if (antenna.kind !== 'antenna') return []
    const { xMm, yMm } = antenna
    const half = ANTENNA_FORMS[antenna.form].halfMm
    const topMm = antennaTopZ(vehicle, antenna)
    const over = allOver(survey).filter(
      ({ box }) =>
        box.x0 < xMm + half &&
        box.x1 > xMm - half &&
        box.y0 < yMm + BASE_HALF_MM &&
        box.y1 > yMm - BASE_HALF_MM,
    )
    return [
      {
        antenna,
        over: over.map(({ name, placementId, box }) => ({
          name,
          placementId,
          compared: atLeast(box.z0, topMm, 'gap'),
          clearMm: {
            forward: box.x1 - (xMm - half),
            rearward: xMm + half - box.x0,
            left: box.y1 - (yMm - BASE_HALF_MM),
            right: yMm + BASE_HALF_MM - box.y0,
          },
        })),
      },
    ]
  })
}
