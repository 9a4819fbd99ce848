import { commandSchema, EDITS, type Command, type SingleCommand } from './command'
import { Refusal, andThen } from './edit'
import { brokenReferences } from '../schema/integrity'
import { fieldMessages } from '../schema/messages'
import { MOST, type Plan } from '../schema/plan'

type Applied = { readonly ok: true; readonly plan: Plan } | { readonly ok: false; readonly reason: string }

/**
 * The plan after an edit, or one sentence why it cannot be. Pure and total: the plan given is never changed,
 * and what comes back always parses.
 */
export function apply(plan: Plan, command: Command): Applied {
  const parsed = commandSchema.safeParse(command)
  if (!parsed.success)
    return { ok: false, reason: fieldMessages(parsed.error)[0]?.text ?? 'The edit cannot be read.' }
  const singles: readonly SingleCommand[] =
    parsed.data.do === 'together' ? parsed.data.commands : [parsed.data]
  const next = singles.reduce<Plan | Refusal>(
    (current, single) => andThen(current, (now) => EDITS[single.do].apply(now, single)),
    plan,
  )
  if (next instanceof Refusal) return { ok: false, reason: next.reason }
  const wrong = singles.some((single) => EDITS[single.do].mayBreak)
    ? (brokenReferences(next)[0]?.message ?? overfull(next))
    : undefined
  return wrong === undefined ? { ok: true, plan: next } : { ok: false, reason: wrong }
}

/** Lists are bounded in the schema; an edit may not outgrow what a file may hold. */
function overfull(plan: Plan): string | undefined {
  for (const [list, most] of Object.entries(MOST))
    if ((plan[list as keyof typeof MOST]?.length ?? 0) > most) return `A plan holds ${most} ${list} at most.`
  const loads = plan.placements.find((placement) => placement.loads.length > 40)
  return loads ? 'One thing cannot hold more than 40 entries.' : undefined
}
