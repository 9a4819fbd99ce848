'use client'
import { Command } from 'cmdk'
import { useRouter } from 'next/navigation'
import { useMemo, type ReactNode } from 'react'
import {
  fieldsByName,
  foldedTogether,
  GEAR_FIELD,
  isOpen,
  OUTCOME_WORD,
  phraseText,
  type Plan,
  RACK_FIELD,
  STOP_WORD,
  STOPS,
  VEHICLE_FIELD,
} from '@/core'
import { actionsByName, type OnJob } from './actions'
import { putOn } from '@/ui/forms/put-on'
import { Kbd } from '@/ui/kit/kbd'
import { LOOK_OF } from '@/ui/kit/look-of'
import { Modal } from '@/ui/kit/modal'
import { SHOP_SCREENS, to } from '@/ui/routes'
import { assessedOf } from '@/ui/state/assessed'
import { usePlan, type Picked } from '@/ui/state/plan-store'
import { useStock } from '@/ui/state/stock'
import { showFinding } from '@/ui/state/wanted-finding'
import { stopAddress } from './way-links'

/** Something that can be asked for by name. */
interface Entry {
  readonly id: string
  readonly name: string
  readonly keys?: string | undefined
  readonly run: () => void
}

/** Every word that was typed stands in the name; a name that begins with it goes first. */
function named(value: string, typed: string): number {
  const name = value.toLowerCase()
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean)
  if (!words.every((word) => name.includes(word))) return 0
  return name.startsWith(words[0] ?? '') ? 1 : 0.5
}

/** Every field of the job's sheets by name, and the sheet that holds it, open at it. */
function fieldsOf(plan: Plan): readonly { readonly name: string; readonly href: string }[] {
  const job = plan.id
  return [
    ...fieldsByName(VEHICLE_FIELD, plan.vehicle).map(({ path, name }) => ({
      name: `Vehicle: ${name}`,
      href: to('vehicle', { job, field: path }),
    })),
    ...plan.racks.flatMap((rack) =>
      fieldsByName(RACK_FIELD, rack).map(({ path, name }) => ({
        name: `${rack.name}: ${name}`,
        href: to('rack', { job, rack: rack.id, field: path }),
      })),
    ),
    ...plan.gear.flatMap((gear) =>
      fieldsByName(GEAR_FIELD, gear).map(({ path, name }) => ({
        name: `${gear.name}: ${name}`,
        href: to('gear', { job, from: gear.id, field: path }),
      })),
    ),
  ]
}

function Entries({ heading, entries }: { heading: string; entries: readonly Entry[] }): ReactNode {
  if (entries.length === 0) return null
  return (
    <Command.Group heading={heading}>
      {entries.map(({ id, name, keys, run }) => (
        <Command.Item key={id} value={`${name} ${id}`} onSelect={run}>
          <span className="flex-1">{name}</span>
          {keys !== undefined && <Kbd>{keys}</Kbd>}
        </Command.Item>
      ))}
    </Command.Group>
  )
}

/** Everything by name: screens, deeds, findings, what is on the vehicle, the fields of every sheet, and the shelf. */
export default function Palette({
  on,
  onBench,
  onClose,
}: {
  on: OnJob
  onBench: boolean
  onClose: () => void
}) {
  const router = useRouter()
  const { gear } = useStock()
  const { survey } = on
  const { plan } = survey
  const rackId = survey.racks[0]?.rack.id
  const choose = (run: () => void) => () => {
    onClose()
    run()
  }
  const going = (id: string, name: string, href: string): Entry => ({
    id,
    name,
    run: choose(() => router.push(href)),
  })
  const bench = to('bench', { job: plan.id })
  const fields = useMemo(() => fieldsOf(plan), [plan])
  const pick = (name: string, picked: Picked): Entry => ({
    id: picked.id,
    name: `Pick ${name}`,
    run: choose(() => {
      usePlan.getState().pick(picked)
      if (!onBench) router.push(bench)
    }),
  })
  return (
    <Modal title="Everything by name" onClose={onClose}>
      <Command
        label="Everything by name"
        filter={named}
        className="[&_[cmdk-item]]:flex [&_[cmdk-item]]:min-h-11 [&_[cmdk-item]]:items-center [&_[cmdk-item]]:py-0 [&_[cmdk-item]]:px-[0.6rem] [&_[cmdk-item]]:cursor-pointer [&_[cmdk-item]]:border-b [&_[cmdk-item]]:border-b-hair [&_[cmdk-item][data-selected='true']]:bg-base-content [&_[cmdk-item][data-selected='true']]:text-base-100 [&_[cmdk-group-heading]]:pt-[0.6rem] [&_[cmdk-group-heading]]:px-[0.6rem] [&_[cmdk-group-heading]]:pb-[0.2rem] [&_[cmdk-group-heading]]:text-ink2 [&_[cmdk-group-heading]]:text-aside"
      >
        <Command.Input className={LOOK_OF.input} placeholder="Type a few letters" data-first-focus />
        <Command.List className="mt-2 max-h-[50dvh] overflow-y-auto">
          <Command.Empty className="p-2">Nothing is called that.</Command.Empty>
          <Entries
            heading="Screens"
            entries={[
              ...STOPS.map((stop) => going(`stop ${stop}`, STOP_WORD[stop], stopAddress(stop, plan))),
              ...SHOP_SCREENS.map(({ route, word }) =>
                going(`screen ${route}`, `The shop's ${word.toLowerCase()}`, to(route)),
              ),
              going('screen compare', 'Compare with another job', to('compare', { a: plan.id })),
            ]}
          />
          <Entries
            heading="Do"
            entries={actionsByName(on, onBench).map(({ name, keys, run }) => ({
              id: `do ${name}`,
              name,
              keys,
              run: choose(run),
            }))}
          />
          <Entries
            heading="Findings"
            entries={foldedTogether(assessedOf(plan).review.findings.filter(isOpen)).map(({ finding }) => ({
              id: finding.id,
              name: `${OUTCOME_WORD[finding.severity]}: ${phraseText(finding.sentence, on.units)}`,
              run: choose(() => {
                if (onBench) showFinding(finding.id)
                else router.push(to('bench', { job: plan.id, finding: finding.id }))
              }),
            }))}
          />
          <Entries
            heading="On the vehicle"
            entries={[
              ...survey.things.map(({ gear: { name }, placement: { id } }) =>
                pick(name, { kind: 'thing', id }),
              ),
              ...survey.bars.map(({ bar: { name, id } }) => pick(name, { kind: 'bar', id })),
            ]}
          />
          {rackId !== undefined && (
            <Entries
              heading="From the shelf"
              entries={gear.map((each) => ({
                id: `shelf ${each.id}`,
                name: `Put on ${each.name}`,
                run: choose(() => {
                  putOn(survey, each, rackId)
                  if (!onBench) router.push(bench)
                }),
              }))}
            />
          )}
          <Entries heading="Fields" entries={fields.map(({ name, href }) => going(href, name, href))} />
        </Command.List>
      </Command>
    </Modal>
  )
}
