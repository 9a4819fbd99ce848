import { type FormatLift, FORMAT_VERSION, LIFTS, type Raw } from '../schema/lifts'
import { FORMAT } from '../schema/plan'

type Lifted =
  | { readonly ok: true; readonly raw: Raw }
  | { readonly ok: false; readonly path: string; readonly reason: string }

/** Brings a file of any version known to the present one, or says which field forbids it. */
export function liftToPresent(
  raw: unknown,
  lifts: readonly FormatLift[] = LIFTS,
  present: number = FORMAT_VERSION,
): Lifted {
  const fail = (path: string, reason: string): Lifted => ({ ok: false, path, reason })
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
    return fail('plan', 'A plan file holds one group of fields.')
  let plan = raw as Raw
  if (plan['format'] !== FORMAT)
    return fail('format', `format should be "${FORMAT}"; this file is something else.`)
  const version = plan['version']
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return fail('version', 'version should be a whole number from 1 up.')
  if (version > present)
    return fail(
      'version',
      `version ${version} is newer than this Ypsos reads (${present}); open it with a newer one.`,
    )
  for (let at = version; at < present; at += 1) {
    const step = lifts.find((lift) => lift.from === at)
    if (!step) return fail('version', `version ${at} can no longer be read.`)
    plan = { ...step.lift(plan), version: at + 1 }
  }
  return { ok: true, raw: plan }
}
