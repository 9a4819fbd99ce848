import type { ReactNode } from 'react'

/** A part of a page under a rule, with its heading. */
export function Section({
  id,
  title,
  level = 2,
  className = '',
  children,
}: {
  id: string
  title: ReactNode
  level?: 2 | 3
  className?: string
  children: ReactNode
}) {
  const Heading = level === 3 ? 'h3' : 'h2'
  return (
    <section
      aria-labelledby={id}
      className={`border-base-content mt-[0.8rem] min-w-0 border-t pt-[0.8rem] pb-[0.6rem] ${className}`}
    >
      <Heading id={id} className="mb-1 text-head">
        {title}
      </Heading>
      {children}
    </section>
  )
}
