import { hasRailShapes } from '../../plan/schema/attachment-traits'
import { BODIES } from '../../kinds/body'
import type { Part, Rack } from '../../plan/schema/rack'
import type { Attachment, Vehicle } from '../../plan/schema/vehicle'

/** What a kit's sheet says against a vehicle: a refusal, something to find out, something to know. */
interface KitPoint {
  readonly kind: 'refused' | 'findOut' | 'mind'
  readonly message: string
}

const years = ({ from, to }: { from: number; to?: number | undefined }) =>
  to === undefined ? `${from} on` : from === to ? `${from}` : `${from} to ${to}`

/** What a part's sheet says of the vehicles it is for, by name: nothing that it is silent on. */
export function kitSays({ suits, kit }: Part): string[] {
  return [
    suits ? 'what it stands on' : undefined,
    kit?.bodies ? 'body' : undefined,
    kit?.years ? 'year' : undefined,
    kit?.doors ? 'doors' : undefined,
    kit?.trims ? 'trim' : undefined,
    kit?.railShapes ? 'rail' : undefined,
    kit?.settings ? 'setting' : undefined,
    kit?.needs || kit?.mustNotHave ? 'what it needs' : undefined,
  ].filter((each) => each !== undefined)
}

/** Which of a part's holes, slots or settings is for this vehicle's trim, and whether the part is fitted in it. */
function settingPoints({ kit, setting }: Part, { trim }: Vehicle): KitPoint[] {
  const { settings = [] } = kit ?? {}
  if (settings.length === 0) return []
  const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()
  const named = settings.map((each) => `${each.setting} for ${each.trim}`).join(', ')
  if (trim === undefined || trim.trim() === '')
    return [{ kind: 'findOut', message: `${named}: find out the trim or generation of the vehicle` }]
  const right = settings.filter((each) => same(each.trim, trim))
  if (right.length === 0) return [{ kind: 'refused', message: `${named}; the vehicle's trim is ${trim}` }]
  const words = right.map((each) => each.setting).join(' or ')
  if (setting === undefined)
    return [{ kind: 'mind', message: `fit it in its ${words}, for a vehicle that is ${trim}` }]
  return right.some((each) => same(each.setting, setting))
    ? []
    : [
        {
          kind: 'refused',
          message: `fitted in its ${setting}; for a vehicle that is ${trim} it is its ${words}`,
        },
      ]
}

/** Every point at which a part's kit sheet meets the vehicle and what the part stands on. */
export function kitPoints(
  part: Part,
  rack: Rack,
  vehicle: Vehicle,
  stoodOn: readonly Attachment[],
): KitPoint[] {
  const points: KitPoint[] = []
  const say = (kind: KitPoint['kind'], words: string) => points.push({ kind, message: words })
  // Where bars stand on more than one thing, each has parts of its own.
  if (part.suits && stoodOn.length > 0 && !stoodOn.some(({ kind }) => part.suits?.includes(kind)))
    say('refused', `not made for ${stoodOn.map(({ name }) => name).join(' or ')}`)
  const { kit } = part
  if (!kit) return points
  if (kit.bodies && !kit.bodies.includes(vehicle.body))
    say(
      'refused',
      `for ${kit.bodies.map((body) => BODIES[body].word).join(', ')}; this is a ${BODIES[vehicle.body].word}`,
    )
  if (kit.years) {
    const own = vehicle.years
    if (!own) say('findOut', `for ${years(kit.years)}: find out the vehicle's year, on its plate or papers`)
    else if (own.from < kit.years.from || (kit.years.to !== undefined && (own.to ?? own.from) > kit.years.to))
      say('refused', `for ${years(kit.years)}; the vehicle is of ${years(own)}`)
  }
  if (kit.doors) {
    if (vehicle.doors === undefined) say('findOut', `for ${kit.doors.join(' or ')} doors: count them`)
    else if (!kit.doors.includes(vehicle.doors))
      say('refused', `for ${kit.doors.join(' or ')} doors; the vehicle has ${vehicle.doors}`)
  }
  if (kit.trims) {
    const trim = vehicle.trim?.trim().toLowerCase()
    if (trim === undefined || trim === '')
      say('findOut', `for ${kit.trims.join(', ')}: find out the trim, a lower one may lack the points`)
    else if (!kit.trims.some((each) => each.toLowerCase() === trim))
      say('refused', `for ${kit.trims.join(', ')}; the vehicle's trim is ${vehicle.trim ?? ''}`)
  }
  const shaped = stoodOn.filter(hasRailShapes)
  if (kit.railShapes && shaped[0]) {
    const { shape } = shaped[0]
    const taken = kit.railShapes.find((each) => each.shape.toLowerCase() === shape?.toLowerCase())
    if (shape === undefined)
      say(
        'findOut',
        `rails that are ${kit.railShapes.map((each) => each.shape).join(' or ')}: look at the rail`,
      )
    else if (!taken) say('refused', `no rail that is ${shape}`)
    else if (taken.adapter !== undefined && !rack.parts.some(({ name }) => name === taken.adapter))
      say('refused', `a rail that is ${shape} only with ${taken.adapter}, which is not on the rack`)
  }
  for (const need of kit.needs ?? []) {
    const fact = vehicle.facts?.find(({ what }) => what.toLowerCase() === need.toLowerCase())
    if (!fact) say('findOut', `with ${need} on the vehicle: check the vehicle for it`)
    else if (!fact.has) say('refused', `with ${need} on the vehicle, which the vehicle lacks`)
  }
  for (const what of kit.mustNotHave ?? []) {
    const fact = vehicle.facts?.find((each) => each.what.toLowerCase() === what.toLowerCase())
    if (!fact) say('findOut', `without ${what} on the vehicle: check the vehicle for it`)
    else if (fact.has) say('refused', `without ${what} on the vehicle, which the vehicle has`)
  }
  for (const point of settingPoints(part, vehicle)) points.push(point)
  if (kit.drills)
    say(
      'mind',
      `${kit.drills.holes} ${kit.drills.holes === 1 ? 'hole' : 'holes'} to drill${kit.drills.reversible ? ', which can be plugged again' : ', which cannot be undone'}: eye and dust protection, know what is behind, seal and protect bare metal`,
    )
  if (kit.cannotUndo !== undefined) say('mind', `cannot be undone: ${kit.cannotUndo}`)
  if (kit.singleUse !== undefined) say('mind', `parts that cannot be used again: ${kit.singleUse}`)
  if (kit.removableTop === 'stays') say('mind', 'the removable top can no longer come off')
  if (kit.removableTop === 'liftsByTwo') say('mind', 'the removable top still comes off, but by two people')
  return points
}
