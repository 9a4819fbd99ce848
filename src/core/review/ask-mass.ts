import type { MassPoint } from '../survey/loads/mass-point'
import type { Ask } from './ask'

/** The field that takes what a mass weighs. */
export function askMass(mass: MassPoint): Ask | undefined {
  const common = { where: 'scale', label: `What ${mass.label} weighs` } as const
  switch (mass.of) {
    case 'gear':
      return { ...common, target: { field: 'gearMass', gearId: mass.thing.gear.id } }
    case 'load':
      return mass.load?.what.kind === 'fluid' || mass.load === undefined
        ? undefined
        : {
            ...common,
            label: mass.load.what.kind === 'people' ? `What one of ${mass.label} weighs` : common.label,
            target: { field: 'loadMass', placementId: mass.thing.placement.id, loadId: mass.load.id },
          }
    case 'part':
      if (mass.ownField) return { ...common, target: { open: 'rack', ...mass.ownField } }
      return {
        ...common,
        label: `What one of ${mass.partName} weighs`,
        target: { field: 'partMass', partId: mass.partId },
      }
    case 'occupant':
      return { ...common, target: { open: 'inside' } }
    case 'tail':
      return { ...common, target: { open: 'vehicle', at: 'tail' } }
    case 'holder':
      return { ...common, target: { open: 'vehicle', at: 'attachments' } }
    case 'wet':
    case 'snow':
    case 'rackSnow':
    case 'adapter':
      return undefined
  }
}
