import { DEFAULT_HOUSE_RULES, daySchema, houseRulesSchema, mergeItems } from '@/core/api/plan'
import * as z from '@/core/units/schema'
import { announceSaved } from './saved-elsewhere'
import { settingsShelf } from './database'
import { whyNotSaved, type SaveResult } from './save-result'
import { transaction } from './database'
import { mustWait, waitsNoMore } from './waiting'

const toolSchema = z.object({ name: z.string().check(z.maxLength(120)), until: z.optional(daySchema) })

const settingsSchema = z.object({
  units: z.catch(z.enum(['metric', 'us', 'both']), 'metric'),
  denominator: z.catch(z.union([z.literal(8), z.literal(16), z.literal(32)]), 16),
  theme: z.catch(z.enum(['system', 'bay', 'night-bay']), 'system'),
  house: z.catch(z.optional(houseRulesSchema), undefined),
  /** Whether keys of one character act in drawings and lists. */
  bareKeys: z.catch(z.boolean(), true),
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
  bareKeys: true,
  seeded: false,
  board: 'cards',
  fitter: '',
  wrench: undefined,
  scale: undefined,
  device: undefined,
}

/** What was chosen and this browser refused to store. */
let unsaved: Choice | undefined
const WAITING = 'settings'

/** What was chosen, and what it was chosen from. */
interface Choice {
  readonly patch: Partial<Settings>
  readonly was: Settings
}

const read = (raw: unknown): Settings => {
  const found = settingsSchema.safeParse(raw ?? {})
  return found.success ? found.data : USUAL_SETTINGS
}

/** House rules are chosen one by one: those that were not chosen here stay as another tab has chosen them. */
function houseOf({ patch, was }: Choice, there: Settings): Settings['house'] {
  if (!patch.house || !there.house) return patch.house
  const merged = mergeItems(
    houseRulesSchema,
    was.house ?? DEFAULT_HOUSE_RULES,
    patch.house,
    there.house,
    'mine',
  )
  return merged.ok ? merged.item : patch.house
}

/** Settings with a choice put over what stands there now. */
const chosenOver = (choice: Choice, there: Settings): Settings => ({
  ...there,
  ...choice.patch,
  ...('house' in choice.patch && { house: houseOf(choice, there) }),
})

export async function loadSettings(): Promise<Settings> {
  const there = read(await settingsShelf.getItem(KEY))
  return unsaved ? chosenOver(unsaved, there) : there
}

async function write(choice: Choice): Promise<SaveResult> {
  try {
    await transaction(['settings'], async ({ get, put }) => {
      put('settings', KEY, chosenOver(choice, read(await get('settings', KEY))))
    })
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
  unsaved = undefined
  waitsNoMore(WAITING)
  announceSaved({ shelf: 'settings' })
  return { ok: true }
}

/**
 * Changes what is said and leaves the rest as it stands there now: another tab may have chosen something else meanwhile.
 * `was` is what it was chosen from. What cannot be stored waits, and holds in this page.
 */
export async function changeSettings(patch: Partial<Settings>, was: Settings): Promise<SaveResult> {
  const choice = unsaved ? { patch: { ...unsaved.patch, ...patch }, was: unsaved.was } : { patch, was }
  const saved = await write(choice)
  if (!saved.ok) {
    unsaved = choice
    mustWait(WAITING, {
      what: 'what was chosen under Settings',
      reason: saved.reason,
      again: () => write(choice),
    })
  }
  return saved
}
