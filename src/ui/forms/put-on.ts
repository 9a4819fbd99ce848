'use client'
import {
  bestRack,
  compatible,
  type Compatible,
  placedWords,
  type PointerPlace,
  puttingOn,
  type Survey,
} from '@/core/api/assess'
import type { Gear } from '@/core/api/plan'
import { stockNow } from '@/ui/state/stock'
import { planStore } from '@/ui/state/plan-store'

/** The plan's own entry of a piece of gear where it has one: what was mended there counts. */
const ownEntry = (survey: Survey, gear: Gear) => survey.plan.gear.find(({ id }) => id === gear.id) ?? gear

/** Where a thing from the shelf goes on a rack, or nearest to where a hand holds it. */
export function placeFor(survey: Survey, gear: Gear, rackId: string, near?: PointerPlace): Compatible {
  return compatible(survey, ownEntry(survey, gear), rackId, stockNow().adapters, 'trial', near)
}

/** The rack that a thing suits best, with the adapters in stock. */
export const rackFor = (survey: Survey, gear: Gear): string | undefined =>
  bestRack(survey, ownEntry(survey, gear), stockNow().adapters)

/** Puts a thing on a rack where it suits, with what that takes; where nothing suits, at its first free place to be seen. */
export function putOn(survey: Survey, gear: Gear, rackId: string, near?: PointerPlace): void {
  const { run, pick, say } = planStore.getState()
  const id = `${gear.id}-${crypto.randomUUID().slice(0, 8)}`
  const entry = ownEntry(survey, gear)
  const put = puttingOn(survey, entry, rackId, stockNow().adapters, id, near)
  if (!put) return
  const [only, ...more] = put.commands
  if (!only || !run(more.length > 0 ? { do: 'together', commands: [...put.commands] } : only)) return
  pick({ kind: 'thing', id })
  const words = placedWords(survey, entry, put.placement, put.answer)
  if (words) say(words)
}
