import type { ReactNode } from 'react'

export function SheetPart({ title, children }: { title: string; children: ReactNode }) {
  const id = `handover-${title.toLowerCase().replace(/[^a-z]+/g, '-')}`
  return (
    <section aria-labelledby={id} className="sheet-part">
      <h2 id={id}>{title}</h2>
      {children}
    </section>
  )
}

export function Lines({ lines }: { lines: readonly ReactNode[] }) {
  return (
    <ul className="list-disc pl-5">
      {lines.map((line, i) => (
        <li key={i}>{line}</li>
      ))}
    </ul>
  )
}
