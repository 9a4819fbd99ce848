import { type Amount, formatQuantity, type Phrase } from '@/core/api/plan'
import { useUnits } from '@/ui/state/settings-store'

const FRACTION = /(\d+\/\d+)/

/** Text with its fractions set as fractions; read aloud and copied as typed. */
function WithFractions({ text }: { text: string }) {
  return text.split(FRACTION).map((bit, i) =>
    FRACTION.test(bit) ? (
      <span key={i} className="frac">
        {bit}
      </span>
    ) : (
      bit
    ),
  )
}

/** A number with its unit, in the units this person chose. */
export function Quantity({ dimension, value, round }: Amount) {
  return <WithFractions text={formatQuantity(dimension, value, useUnits(), round)} />
}

/** A sentence from the core, its numbers in the units this person chose. */
export function PhraseLine({ phrase }: { phrase: Phrase }) {
  return phrase.map((bit, i) => (typeof bit === 'string' ? bit : <Quantity key={i} {...bit} />))
}
