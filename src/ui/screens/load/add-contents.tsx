'use client'
import { Note } from '@/ui/kit/field-note'
import { Button } from '@/ui/kit/button'
import { type Basis, choicesOf, type Load, type When, WHENS } from '@/core/api/plan'
import { useState } from 'react'
import { Choice, TextField } from '@/ui/kit/choice'
import { QuantityField } from '@/ui/figures/quantity-field'
import { Modal } from '@/ui/kit/modal'
import { basisChoices } from '@/ui/forms/load-field'
import { planStore } from '@/ui/state/plan-store'

type Kind = 'mass' | 'petrol' | 'diesel' | 'water' | 'people'

const KINDS: readonly (readonly [Kind, string])[] = [
  ['mass', 'Things, by weight'],
  ['people', 'People, parked only'],
  ['water', 'Water, by volume'],
  ['petrol', 'Petrol, by volume'],
  ['diesel', 'Diesel, by volume'],
]

const USUAL_NAME: Readonly<Record<Kind, string>> = {
  mass: 'Contents',
  people: 'Sleepers',
  water: 'Water',
  petrol: 'Petrol',
  diesel: 'Diesel',
}

/** A new load for a thing: luggage, fluid or people, and how its weight is known. */
export function AddContents({ placementId, onClose }: { placementId: string; onClose: () => void }) {
  const [kind, setKind] = useState<Kind>('mass')
  const [name, setName] = useState<string>()
  const [amount, setAmount] = useState<{ value: number; typed: string }>()
  const [count, setCount] = useState('2')
  const [basis, setBasis] = useState<Basis>('guess')
  const [when, setWhen] = useState<When>('always')
  const fluid = kind === 'petrol' || kind === 'diesel' || kind === 'water' ? kind : undefined

  const what = (): Load['what'] | undefined => {
    if (!amount) return undefined
    if (fluid) return { kind: 'fluid', fluid, litres: amount.value, typed: { litres: amount.typed } }
    const mass = { kg: amount.value, basis, typed: { kg: amount.typed } }
    return kind === 'people' ? { kind: 'people', count: Number(count), each: mass } : { kind: 'mass', mass }
  }
  const add = () => {
    const load = what()
    if (!load) return
    const { run } = planStore.getState()
    const added = run({
      do: 'setLoad',
      placementId,
      load: {
        id: `load-${crypto.randomUUID().slice(0, 8)}`,
        name: (name ?? '').trim() === '' ? USUAL_NAME[kind] : (name ?? ''),
        when: kind === 'people' ? 'parked' : when,
        what: load,
      },
    })
    if (added) onClose()
  }
  return (
    <Modal title="Add contents" onClose={onClose}>
      <div className="grid gap-3">
        <Choice label="What" value={kind} options={KINDS} onChange={setKind} />
        <TextField label="Name" value={name ?? USUAL_NAME[kind]} onValue={setName} />
        {kind === 'people' && (
          <Choice
            label="How many"
            value={count}
            options={['1', '2', '3', '4', '5', '6'].map((each) => [each, each] as const)}
            onChange={setCount}
          />
        )}
        <QuantityField
          key={fluid ? 'volume' : 'mass'}
          label={fluid ? 'Volume' : kind === 'people' ? 'Weight of each' : 'Weight'}
          dimension={fluid ? 'volume' : 'mass'}
          value={amount?.value}
          typed={amount?.typed}
          onValue={(value, typed) => {
            if (value < 0) return 'A weight is 0 or more.'
            setAmount({ value, typed })
            return undefined
          }}
        />
        {!fluid && (
          <Choice label="Known by" value={basis} options={basisChoices(basis)} onChange={setBasis} />
        )}
        {kind !== 'people' && (
          <Choice
            label="On board"
            value={when}
            options={choicesOf(WHENS, ({ word }) => word)}
            onChange={setWhen}
          />
        )}
        <Button variant="solid" disabled={!amount} onClick={add}>
          Add it
        </Button>
        {!amount && <Note>Type its {fluid ? 'volume' : 'weight'} first.</Note>}
      </div>
    </Modal>
  )
}
