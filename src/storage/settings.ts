import { daySchema, houseRulesSchema } from '@/core'
import * as z from '@/core/units/schema'
import { tellKept } from './kept-elsewhere'
import { settingsShelf, whyNotKept, type Kept } from './shelves'
import { inOneGo } from './transaction'

const toolSchema = z.object({ name: z.string().check(z.maxLength(120)), until: z.optional(daySchema) })

const settingsSchema = z.object({
  units: z.catch(z.enum(['metric', 'us', 'both']), 'metric'),
  denominator: z.catch(z.union([z.literal(8), z.literal(16), z.literal(32)]), 16),
  theme: z.catch(z.enum(['system', 'bay', 'night-bay']), 'system'),
  house: z.catch(z.optional(houseRulesSchema), undefined),
  seeded: z.catch(z.boolean(), false),
  /** How the board shows its jobs. */
  board: z.catch(z.enum(['cards', 'table']), 'cards'),
  /** Who fits here: signs what is logged. */
  fitter: z.catch(z.string().check(z.maxLength(80)), ''),
  /** The wrench and scale in hand this shift, and until when each is calibrated. */
  wrench: z.catch(z.optional(toolSchema), undefined),
  scale: z.catch(z.optional(toolSchema), undefined),
  /** This browser's own name in the log. */
  device: z.catch(z.optional(z.string().check(z.maxLength(80))), undefined),
})
export type Settings = z.infer<typeof settingsSchema>

const KEY = 'settings'

export const USUAL_SETTINGS: Settings = {
  units: 'metric',
  denominator: 16,
  theme: 'system',
  house: undefined,
  seeded: false,
  board: 'cards',
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

/** Changes what is said and leaves the rest as it stands there now: another tab may have chosen something else meanwhile. */
export async function changeSettings(patch: Partial<Settings>): Promise<Kept> {
  try {
    await inOneGo(['settings'], async ({ get, put }) => {
      const read = settingsSchema.safeParse((await get('settings', KEY)) ?? {})
      put('settings', KEY, { ...(read.success ? read.data : USUAL_SETTINGS), ...patch })
    })
    tellKept({ shelf: 'settings' })
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotKept(error) }
  }
}
