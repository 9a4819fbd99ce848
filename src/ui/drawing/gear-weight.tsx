import type { GearMass } from '@/core/api/plan'
import { Quantity } from '@/ui/figures/quantity'

/** What something weighs, and where nobody knows it yet, that. */
export function GearWeight({
  mass: { kg, basis },
}: {
  mass: Pick<GearMass, 'kg'> & { readonly basis: string }
}) {
  if (basis !== 'unknown') return <Quantity dimension="mass" value={kg} />
  return kg > 0 ? (
    <>
      at least <Quantity dimension="mass" value={kg} />
    </>
  ) : (
    'weight not known'
  )
}
