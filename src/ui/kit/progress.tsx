/** How far something is that takes a while. */
export function Progress({ label, done, of }: { label: string; done: number; of: number }) {
  return <progress max={of} value={done} aria-label={label} className="progress w-60" />
}
