import { formatPrecise, type UnitSystem, type Vehicle } from '@/core'
import type { DraftReader } from './draft-reader'

/** What a vehicle stands on and how its own mass sits, as texts; empty where nobody knows. */
export interface BalanceDraft {
  trackFront: string
  trackRear: string
  centre: 'unknown' | 'stability' | 'position'
  frontShare: string
  factor: string
  centreX: string
  centreHeight: string
  axleFront: string
  axleRear: string
  energy: 'unsaid' | NonNullable<Vehicle['drive']>['energy']
  efficiency: string
}

export const NO_BALANCE: BalanceDraft = {
  trackFront: '',
  trackRear: '',
  centre: 'unknown',
  frontShare: '',
  factor: '',
  centreX: '',
  centreHeight: '',
  axleFront: '',
  axleRear: '',
  energy: 'unsaid',
  efficiency: '',
}

export const CENTRE_CHOICES: readonly (readonly [BalanceDraft['centre'], string])[] = [
  ['unknown', 'Not known: by estimate'],
  ['stability', 'Front share and stability factor'],
  ['position', 'Place and height'],
]

export const ENERGY_CHOICES: readonly (readonly [BalanceDraft['energy'], string])[] = [
  ['unsaid', 'Not said'],
  ['petrol', 'Petrol'],
  ['diesel', 'Diesel'],
  ['battery', 'Battery'],
]

/** How a vehicle stands, as texts for the form. */
export function balanceToDraft(vehicle: Vehicle, system: UnitSystem): BalanceDraft {
  const mm = (value: number | undefined) =>
    value === undefined ? '' : formatPrecise('length', value, system)
  const kg = (value: number | undefined) => (value === undefined ? '' : formatPrecise('mass', value, system))
  const { trackMm, axleLimitKg, centreOfGravity: centre, drive } = vehicle
  return {
    ...NO_BALANCE,
    trackFront: mm(trackMm?.front),
    trackRear: mm(trackMm?.rear),
    ...(centre?.known === 'stability'
      ? {
          centre: 'stability',
          frontShare: String(Number((centre.frontShare * 100).toFixed(6))),
          factor: String(centre.staticStabilityFactor),
        }
      : {}),
    ...(centre?.known === 'position'
      ? { centre: 'position', centreX: mm(centre.xMm), centreHeight: mm(centre.heightMm) }
      : {}),
    axleFront: kg(axleLimitKg?.front),
    axleRear: kg(axleLimitKg?.rear),
    energy: drive?.energy ?? 'unsaid',
    efficiency: drive?.efficiencyPercent === undefined ? '' : String(drive.efficiencyPercent),
  }
}

/** A plain number in a range; nothing, and named, where it is none. */
function plain(
  reader: DraftReader,
  field: string,
  text: string,
  from: number,
  to: number,
): number | undefined {
  const value = Number(text.trim().replace(/\s*%$/, '').replace(',', '.'))
  if (text.trim() !== '' && value >= from && value <= to) return value
  reader.fail(field, `A number from ${from} to ${to}.`)
  return undefined
}

/** Both of a pair, or neither. */
function pair<T>(
  reader: DraftReader,
  fields: readonly [string, string],
  [front, rear]: readonly [T | undefined, T | undefined],
): { front: T; rear: T } | undefined {
  if (front !== undefined && rear !== undefined) return { front, rear }
  if (front !== undefined) reader.fail(fields[1], 'Give both, or neither.')
  if (rear !== undefined) reader.fail(fields[0], 'Give both, or neither.')
  return undefined
}

function readCentre(reader: DraftReader, draft: BalanceDraft): Vehicle['centreOfGravity'] {
  switch (draft.centre) {
    case 'unknown':
      return undefined
    case 'stability': {
      const share = plain(reader, 'balance.frontShare', draft.frontShare, 0, 100)
      const factor = plain(reader, 'balance.factor', draft.factor, 0.1, 5)
      return share === undefined || factor === undefined
        ? undefined
        : { known: 'stability', frontShare: share / 100, staticStabilityFactor: factor }
    }
    case 'position':
      return {
        known: 'position',
        xMm: reader.position('balance.centreX', draft.centreX, 700),
        heightMm: reader.span('balance.centreHeight', draft.centreHeight, 600),
      }
  }
}

type Balance = Pick<Vehicle, 'trackMm' | 'centreOfGravity' | 'axleLimitKg' | 'drive'>

/** How a vehicle stands, from the form's texts: only what was given. */
export function readBalance(reader: DraftReader, draft: BalanceDraft): Balance {
  const trackMm = pair(
    reader,
    ['balance.trackFront', 'balance.trackRear'],
    [
      reader.optional('balance.trackFront', 'length', draft.trackFront),
      reader.optional('balance.trackRear', 'length', draft.trackRear),
    ],
  )
  const axleLimitKg = pair(
    reader,
    ['balance.axleFront', 'balance.axleRear'],
    [
      reader.optional('balance.axleFront', 'mass', draft.axleFront),
      reader.optional('balance.axleRear', 'mass', draft.axleRear),
    ],
  )
  const centreOfGravity = readCentre(reader, draft)
  const efficiency =
    draft.energy === 'unsaid' || draft.efficiency.trim() === ''
      ? undefined
      : plain(reader, 'balance.efficiency', draft.efficiency, 1, 100)
  return {
    ...(trackMm === undefined ? {} : { trackMm }),
    ...(centreOfGravity === undefined ? {} : { centreOfGravity }),
    ...(axleLimitKg === undefined ? {} : { axleLimitKg }),
    ...(draft.energy === 'unsaid'
      ? {}
      : {
          drive: {
            energy: draft.energy,
            ...(efficiency === undefined ? {} : { efficiencyPercent: efficiency }),
          },
        }),
  }
}
