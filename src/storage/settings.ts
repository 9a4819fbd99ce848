import { daySchema, houseRulesSchema } from '@/core'
import * as z from 'zod'
import { settingsShelf, whyNotKept, type Kept } from './shelves'

const toolSchema = z.object({ name: z.string().max(120), until: daySchema.optional() })

const settingsSchema = z.object({
  units: z.enum(['metric', 'us', 'both']).catch('metric'),
  denominator: z.union([z.literal(8), z.literal(16), z.literal(32)]).catch(16),
  theme: z.enum(['system', 'bay', 'night-bay']).catch('system'),
  house: houseRulesSchema.optional().catch(undefined),
  seeded: z.boolean().catch(false),
  /** Who fits here: signs what is logged. */
  fitter: z.string().max(80).catch(''),
  /** The wrench and scale in hand this shift, and until when each is calibrated. */
  wrench: toolSchema.optional().catch(undefined),
  scale: toolSchema.optional().catch(undefined),
  /** This browser's own name in the log. */
  device: z.string().max(80).optional().catch(undefined),
})
export type Settings = z.infer<typeof settingsSchema>

const KEY = 'settings'

export const USUAL_SETTINGS: Settings = {
  units: 'metric',
  denominator: 16,
  theme: 'system',
  house: undefined,
  seeded: false,
  fitter: '',
  wrench: undefined,
  scale: undefined,
  device: undefined,
}

export async function loadSettings(): Promise<Settings> {
  const raw: unknown = await settingsShelf.getItem(KEY)
  const read = settingsSchema.safeParse(raw ?? {})
  return read.success ? read.data : USUAL_SETTINGS
}

export async function keepSettings(settings: Settings): Promise<Kept> {
  try {
    await settingsShelf.setItem(KEY, settings)
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotKept(error) }
  }
}
