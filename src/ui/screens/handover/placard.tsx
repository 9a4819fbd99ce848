import { type Handover, placardLines } from '@/core/api/fit'
import { useUnits } from '@/ui/state/settings-store'
import { PLACARD } from './true-scale'

/** The placard at its true size: for the dash or inside the fuel flap. */
export function Placard({ handover }: { handover: Handover }) {
  const { height, rows, notLooked } = placardLines(handover, useUnits())
  return (
    <section
      aria-label="Placard"
      className="placard"
      style={{ width: `${PLACARD.widthMm}mm`, minHeight: `${PLACARD.heightMm}mm` }}
    >
      <p className="placard-height">{height}</p>
      <p>high, driving ({handover.heightOf})</p>
      <dl>
        {rows.map(([name, text]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{text}</dd>
          </div>
        ))}
      </dl>
      {notLooked !== undefined && <p>{notLooked}</p>}
      <p>Never more than the lowest rating. Re-tighten after the first trip.</p>
    </section>
  )
}
