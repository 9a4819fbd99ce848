import { formatPrecise, type Profile, type UnitSystem } from '@/core'
import type { DraftReader } from './draft-reader'

/** What a bar is made of, as texts; empty where nobody knows. */
export interface SectionDraft {
  wall: string
  material: 'unsaid' | 'steel' | 'aluminium' | 'asGiven'
  yield: string
}

/** Stiffness of what bars are made of, GPa. Handbook: Gere, Mechanics of Materials, rounded, from memory. */
const STIFFNESS = { steel: { name: 'Steel', eGPa: 210 }, aluminium: { name: 'Aluminium', eGPa: 69 } } as const

export const MATERIAL_CHOICES: readonly (readonly [SectionDraft['material'], string])[] = [
  ['unsaid', 'Not known'],
  ['aluminium', 'Aluminium, 69 GPa'],
  ['steel', 'Steel, 210 GPa'],
]

/** What a bar is made of, as texts for the form. */
export function sectionToDraft(profile: Profile | undefined, system: UnitSystem): SectionDraft {
  const { wallMm, material } = profile ?? {}
  const known = (['steel', 'aluminium'] as const).find(
    (each) => STIFFNESS[each].name === material?.name && STIFFNESS[each].eGPa === material.eGPa,
  )
  return {
    wall: wallMm === undefined ? '' : formatPrecise('length', wallMm, system),
    material: material === undefined ? 'unsaid' : (known ?? 'asGiven'),
    yield: material?.yieldMPa === undefined ? '' : formatPrecise('stress', material.yieldMPa, system),
  }
}

/** Wall, section and material from the form's texts; a section that the sheet gave stays. */
export function readSection(
  reader: DraftReader,
  draft: SectionDraft,
  was: Profile | undefined,
): Pick<Profile, 'wallMm' | 'section' | 'material'> {
  const wallMm = reader.optional('section.wall', 'length', draft.wall)
  const yieldMPa = reader.optional('section.yield', 'stress', draft.yield)
  const base =
    draft.material === 'asGiven'
      ? was?.material && { name: was.material.name, eGPa: was.material.eGPa }
      : draft.material === 'unsaid'
        ? undefined
        : STIFFNESS[draft.material]
  if (base === undefined && yieldMPa !== undefined)
    reader.fail('section.yield', 'A yield needs a material: choose one.')
  return {
    ...(wallMm === undefined ? {} : { wallMm }),
    ...(was?.section === undefined ? {} : { section: was.section }),
    ...(base === undefined ? {} : { material: { ...base, ...(yieldMPa === undefined ? {} : { yieldMPa }) } }),
  }
}
