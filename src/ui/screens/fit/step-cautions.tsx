import { TriangleAlert } from 'lucide-react'

/** What is said before a step, where somebody can come to harm or something to damage. */
export function StepCautions({ cautions }: { cautions: readonly string[] }) {
  if (cautions.length === 0) return null
  return (
    <ul aria-label="Cautions before this step" className="mt-2 grid max-w-[46rem] gap-1">
      {cautions.map((caution) => (
        <li key={caution} className="flex gap-2 border-1 border-base-content px-3 py-1.5 font-semibold">
          <TriangleAlert aria-hidden className="mt-0.5 h-5 w-5 shrink-0" />
          <span>{caution}</span>
        </li>
      ))}
    </ul>
  )
}
