'use client'
import { Fact } from '@/ui/kit/fact'
import { phraseText } from '@/core/api/plan'
import { binding, OPEN_MM, rangeWords, type SpreadMember, type Survey } from '@/core/api/assess'
import { Quantity } from '@/ui/figures/quantity'
import { useUnits } from '@/ui/state/settings-store'

const named = (members: readonly SpreadMember[]) => members.map(({ name }) => name).join(' and ')

/** What is asked of the spreads that a bar takes part in, what suits all, and who binds it, in words. */
export function SpreadList({ survey, barId }: { survey: Survey; barId: string }) {
  const units = useUnits()
  const spreads = survey.fit.spreads()
  const pairs = spreads.pairs.filter(({ front, rear }) => front.bar.id === barId || rear.bar.id === barId)
  return pairs
    .filter(({ wants }) => wants.length > 0)
    .map((pair) => {
      const able = spreads
        .solution()
        ?.between(spreads.bars.indexOf(pair.front), spreads.bars.indexOf(pair.rear))
      const { low, high } = binding(spreads, pair)
      const [first, last] = [able?.[0], able?.at(-1)]
      return (
        <Fact
          key={`${pair.front.bar.id} ${pair.rear.bar.id}`}
          title={
            <>
              Asked from {pair.front.bar.name} to {pair.rear.bar.name}
            </>
          }
          note={
            <>
              {first && last ? (
                <>
                  all fit from <Quantity dimension="length" value={first[0]} />
                  {low.length > 0 && ` (${named(low)})`}{' '}
                  {last[1] >= OPEN_MM ? (
                    'up'
                  ) : (
                    <>
                      to <Quantity dimension="length" value={last[1]} />
                    </>
                  )}
                  {high.length > 0 && ` (${named(high)})`}
                </>
              ) : (
                'no spread suits all of it'
              )}
            </>
          }
        >
          {pair.wants.map(({ member, from, to }) => (
            <span key={member.id} className="mr-3">
              {member.name} {phraseText(rangeWords(from, to), units)}
            </span>
          ))}
        </Fact>
      )
    })
}
