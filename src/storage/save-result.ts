/** What became of a write. */
export type SaveResult = { readonly ok: true } | { readonly ok: false; readonly reason: string }

/** Why a write failed, in words a person can act on. */
export function whyNotSaved(error: unknown): string {
  const name = error instanceof Error ? error.name : ''
  if (name === 'QuotaExceededError') return "This browser's storage is full."
  if (name === 'SecurityError' || name === 'InvalidStateError')
    return 'This browser does not let the page store anything (a private window, or storage is blocked).'
  return `This browser could not store it${error instanceof Error && error.message !== '' ? ` (${error.message})` : ''}.`
}
