import type { Profile } from '../../plan/schema/rack'

/** What a bar's section is against a load from above: second moment of area and section modulus. */
export interface CrossSection {
  readonly iMm4: number
  readonly wMm3: number
}

/** A rectangle, hollow when it has a wall: (b·h³ − (b − 2t)(h − 2t)³)/12. Handbook: Gere, Mechanics of Materials, from memory. */
export function rectangle(widthMm: number, heightMm: number, wallMm?: number): CrossSection {
  const inner = (outer: number) => (wallMm === undefined ? 0 : Math.max(0, outer - 2 * wallMm))
  const iMm4 = (widthMm * heightMm ** 3 - inner(widthMm) * inner(heightMm) ** 3) / 12
  return { iMm4, wMm3: iMm4 / (heightMm / 2) }
}

/** A round bar, a tube when it has a wall: π(D⁴ − d⁴)/64. Handbook: Gere, from memory. */
export function round(diameterMm: number, wallMm?: number): CrossSection {
  const inner = wallMm === undefined ? 0 : Math.max(0, diameterMm - 2 * wallMm)
  const iMm4 = (Math.PI * (diameterMm ** 4 - inner ** 4)) / 64
  return { iMm4, wMm3: iMm4 / (diameterMm / 2) }
}

/**
 * The section of a bar where it is known: as its sheet gives it, solid, or hollow with a known wall. A shaped
 * profile with a wall alone is not known: its walls are not all alike.
 */
export function sectionOf(profile: Profile): CrossSection | undefined {
  const { kind, widthMm, heightMm, wallMm, section } = profile
  if (section?.known === 'figures') return { iMm4: section.iMm4, wMm3: section.wMm3 }
  const wall = section?.known === 'solid' ? undefined : wallMm
  if (section === undefined && wall === undefined) return undefined
  switch (kind) {
    case 'square':
    case 'flat':
      return rectangle(widthMm, heightMm, wall)
    case 'round':
      return round(heightMm, wall)
    case 'aero':
    case 'factory':
      return undefined
  }
}

/** Bending stiffness E·I in N·mm², where section and material are both known. */
export function bendingStiffness(profile: Profile): number | undefined {
  const section = sectionOf(profile)
  return section && profile.material ? section.iMm4 * profile.material.eGPa * 1000 : undefined
}
