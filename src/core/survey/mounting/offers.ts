import type { Profile } from '../../plan/schema/rack'
import type { Vehicle } from '../../plan/schema/vehicle'
import type { Arrangement, BarAt, RackAt, ThingAt } from '../frame/arrangement'
import { contactYs } from './contacts'
import type { Offer } from './match'
import { underBarRoom } from '../frame/roof-surface'

/** How far a bar comes down at y under its load, mm. */
export type SagMm = (barIndex: number, yMm: number) => number

/** Whether bars of a profile usually have a channel. Common practice, no source. */
const MAY_HAVE_CHANNEL: Readonly<Record<Profile['kind'], boolean>> = {
  square: false,
  round: false,
  flat: false,
  aero: true,
  factory: true,
}

/** Whether a bar has a channel that nobody has measured: as somebody has said, or as bars of its profile usually have. */
const channelStated = ({ hasChannel, kind }: Profile): 'there' | 'none' | undefined =>
  hasChannel === undefined ? (MAY_HAVE_CHANNEL[kind] ? undefined : 'none') : hasChannel ? 'there' : 'none'

/** What a bar offers to a thing whose contacts stand at these y (mm): its section, its channel, the room under it as it bends. */
function offerOfBar(vehicle: Vehicle, at: BarAt, ys: readonly number[], sagMm: SagMm): Offer {
  const { bar, index, onRoof } = at
  const roomAt = (y: number) => underBarRoom(vehicle, bar.riseMm, bar.xMm, y) - sagMm(index, y)
  return {
    kind: 'bar',
    widthMm: bar.profile.widthMm,
    heightMm: bar.profile.heightMm,
    // Few mounts ask for room under the bar, and what it bends costs a solved beam: worked out for those that do.
    get roomMm() {
      return onRoof ? Math.min(...(ys.length > 0 ? ys : [0]).map(roomAt)) : Infinity
    },
    channel: bar.profile.channel ?? channelStated(bar.profile),
  }
}

/** One place where a thing is held, by name, and what is offered there. */
export interface OfferAt {
  readonly name: string
  readonly barId: string | undefined
  readonly rackId: string | undefined
  readonly offer: Offer
}

const rackOf = (arrangement: Arrangement, rackId: string): RackAt | undefined =>
  arrangement.racks.find(({ rack }) => rack.id === rackId)

/** What a closed carrier holds: its own size, as it lies. */
const roomIn = ({ box }: ThingAt) => ({
  lengthMm: box.x1 - box.x0,
  widthMm: box.y1 - box.y0,
  heightMm: box.z1 - box.z0,
})

/** Everything that a placed thing is held by: each bar it names, or its deck, panel, ladder or place. */
export function offersFor(
  vehicle: Vehicle,
  arrangement: Arrangement,
  thing: ThingAt,
  sagMm: SagMm,
): OfferAt[] {
  const { host } = thing.placement
  switch (host.on) {
    case 'bars': {
      const ys = contactYs(thing)
      return host.barIds.flatMap((id): OfferAt[] => {
        const at = arrangement.bars.find(({ bar }) => bar.id === id)
        if (!at) return []
        return [
          {
            name: at.bar.name,
            barId: id,
            rackId: at.rack.id,
            offer: offerOfBar(vehicle, at, ys, sagMm),
          },
        ]
      })
    }
    case 'deck': {
      const rack = rackOf(arrangement, host.rackId)
      if (!rack?.deck) return []
      const offer: Offer = { kind: 'slats', slotMm: rack.deck.deck.slatSlotMm }
      return [{ name: rack.rack.name, barId: undefined, rackId: host.rackId, offer }]
    }
    case 'panel': {
      const rack = rackOf(arrangement, host.rackId)?.rack
      const grid = rack?.kind === 'bed' ? rack.panelGrid : undefined
      return rack
        ? [
            {
              name: `${rack.name}, ${host.side} panel`,
              barId: undefined,
              rackId: rack.id,
              offer: { kind: 'panel', grid },
            },
          ]
        : []
    }
    case 'ladder':
      return [{ name: 'The ladder', barId: undefined, rackId: host.rackId, offer: { kind: 'rungs' } }]
    case 'place': {
      const place = thing.parent?.gear.carries?.places.find((each) => each.id === host.placeId)
      return thing.parent && place
        ? [
            {
              name: thing.parent.gear.name,
              barId: undefined,
              rackId: undefined,
              offer: {
                kind: 'place',
                place,
                room: place.kind === 'inside' ? roomIn(thing.parent) : undefined,
              },
            },
          ]
        : []
    }
  }
}
