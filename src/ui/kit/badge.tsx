const CLASS = {
  error: 'badge-error',
  dashed: 'badge-dash badge-accent',
  hatched: 'mind-hatch',
  outline: 'badge-outline border-edge',
  // No colour and no frame.
  plain: 'badge-ghost bg-transparent border-0 text-ink2 px-0',
} as const

/** A word in a small frame. */
export function Badge({ variant, children }: { variant: keyof typeof CLASS; children: string }) {
  return (
    <span className={`badge h-auto px-1.5 text-aside leading-5 font-semibold ${CLASS[variant]}`}>
      {children}
    </span>
  )
}
