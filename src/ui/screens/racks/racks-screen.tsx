'use client'
import { Section } from '@/ui/kit/section'
import { Ban, Check, CircleHelp } from 'lucide-react'
import { leftPhrase, nearestOffer, type RackOffer, type RackSuits, STATE_WORD } from '@/core/api/assess'
import { type Plan, STATES } from '@/core/api/plan'
import { JobBar } from '@/ui/job/job-bar'
import { Button, ButtonLink } from '@/ui/kit/button'
import { Problem } from '@/ui/kit/field-note'
import { PhraseLine, Quantity } from '@/ui/figures/quantity'
import { Table } from '@/ui/kit/table'
import { to } from '@/ui/routes'
import { usePlan, planStore } from '@/ui/state/plan-store'
import { useOffers } from './use-offers'
import { WornRacks } from './worn-racks'

function Suits({ suits }: { suits: RackSuits }) {
  switch (suits.kind) {
    case 'suits':
      return (
        <span className="flex items-center gap-1.5">
          <Check size={16} aria-hidden /> Suits
        </span>
      )
    case 'asks':
      return (
        <span className="text-accent flex items-start gap-1.5">
          <CircleHelp size={16} aria-hidden className="mt-0.5 shrink-0" />
          <span>
            Stands; {suits.count} to find out. <PhraseLine phrase={suits.first} />
          </span>
        </span>
      )
    case 'cannot':
      return (
        <span className="text-ink2 flex items-start gap-1.5">
          <Ban size={16} aria-hidden className="mt-0.5 shrink-0" />
          <span>
            Cannot: <PhraseLine phrase={suits.why} />
          </span>
        </span>
      )
  }
}

function Offer({ offer }: { offer: RackOffer }) {
  const { rack } = offer
  return (
    <tr>
      <th scope="row">{offer.name}</th>
      <td data-label="Longest bar">
        {offer.barMm === undefined ? 'no bars' : <Quantity dimension="length" value={offer.barMm} />}
      </td>
      <td data-label="Itself">
        {offer.ownKg === undefined ? '' : <Quantity dimension="mass" value={offer.ownKg} />}
      </td>
      {STATES.map((state) => {
        const left = offer.left[state]
        return (
          <td key={state} data-label={`Left, ${STATE_WORD[state].toLowerCase()}`}>
            {left === undefined || left.kind === 'unknown' ? (
              'no figure'
            ) : (
              <PhraseLine phrase={leftPhrase(left)} />
            )}
          </td>
        )
      })}
      <td className="min-w-60">
        <Suits suits={offer.suits} />
      </td>
      <td>
        {rack && (
          <Button
            variant={offer.suits.kind === 'cannot' ? 'word' : 'plain'}
            aria-label={`Put on ${offer.name}`}
            onClick={() => planStore.getState().run({ do: 'addRack', rack })}
          >
            Put on
          </Button>
        )}
      </td>
    </tr>
  )
}

function Offers({ offers, caption }: { offers: readonly RackOffer[]; caption: string }) {
  return (
    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label={caption}>
      <Table cards>
        <thead>
          <tr>
            <th scope="col">Rack</th>
            <th scope="col">Longest bar</th>
            <th scope="col">Itself</th>
            {STATES.map((state) => (
              <th scope="col" key={state}>
                Left, {STATE_WORD[state].toLowerCase()}
              </th>
            ))}
            <th scope="col">On this vehicle</th>
            <th scope="col">
              <span className="sr-only">Put on</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {offers.map((offer) => (
            <Offer key={offer.stockId} offer={offer} />
          ))}
        </tbody>
      </Table>
    </div>
  )
}

/** The racks of a job: those it wears, and those that stock offers, each tried on this vehicle. */
export function RacksScreen({ plan }: { plan: Plan }) {
  const { offers, left } = useOffers(plan)
  const refusal = usePlan((store) => store.refusal)
  const cannot = offers.filter(({ suits }) => suits.kind === 'cannot')
  const nearest = nearestOffer(cannot)
  const can = offers.filter(({ suits }) => suits.kind !== 'cannot')
  return (
    <>
      <JobBar plan={plan} at="racks" />
      <main className="mx-auto max-w-[1300px] px-4 pb-8">
        {refusal !== undefined && <Problem>{refusal}</Problem>}
        <section aria-labelledby="racks-worn" className="py-3">
          <h2 id="racks-worn" className="mb-2 text-head">
            On this vehicle
          </h2>
          <WornRacks plan={plan} />
        </section>
        <Section id="racks-stock" title="From stock">
          <p className="text-ink2 mb-2" aria-live="polite">
            {left > 0
              ? `Trying racks: ${left} to go.`
              : `Each rack was tried alone on ${plan.vehicle.name} and assessed by every rule. Left: the remaining capacity of its weakest link.`}
          </p>
          <Offers offers={can} caption="Racks that stand on this vehicle" />
          {left === 0 && can.length === 0 && (
            <p>
              No rack in stock stands on this vehicle as it is.
              {nearest && (
                <>
                  {' '}
                  The nearest is {nearest.name}: <PhraseLine phrase={nearest.why} />
                </>
              )}
            </p>
          )}
          {cannot.length > 0 && (
            <details className="mt-2">
              <summary className="min-h-11 cursor-pointer py-2 font-semibold">
                Cannot stand on it: {cannot.length}
              </summary>
              <Offers offers={cannot} caption="Racks that cannot stand on this vehicle" />
            </details>
          )}
          <p className="mt-3 flex flex-wrap gap-2">
            {plan.vehicle.attachments.length > 0 ? (
              <ButtonLink href={to('rackForm', { job: plan.id })}>Enter your own rack</ButtonLink>
            ) : (
              <ButtonLink href={to('vehicle', { job: plan.id })}>
                Enter what holds a rack on this vehicle
              </ButtonLink>
            )}
            <ButtonLink variant="word" href={to('compare', { a: plan.id })}>
              Compare with another job
            </ButtonLink>
          </p>
        </Section>
      </main>
    </>
  )
}
