'use client'
import { useRouter } from 'next/navigation'
import { fieldsByName, GEAR_FIELD, RACK_FIELD, VEHICLE_FIELD } from '@/core/api/fields'
import { foldedTogether, isOpen, OUTCOME_WORD, STAGE_WORD, STAGES } from '@/core/api/assess'
import { phraseText, type Plan } from '@/core/api/plan'
import { actionsByName, type OnJob } from './actions'
import { putOn } from '@/ui/forms/put-on'
import { CommandPalette, type NamedEntry, type NamedGroup } from '@/ui/kit/command-palette'
import { ROUTES, SHOP_SCREENS, to } from '@/ui/routes'
import { assessmentOf } from '@/ui/state/assessment'
import { type Picked, planStore } from '@/ui/state/plan-store'
import { useStock } from '@/ui/state/stock'
import { showFinding } from '@/ui/state/wanted-finding'
import { stageAddress } from './stage-links'

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
        href: to('rackForm', { job, rack: rack.id, field: path }),
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

/** Search everything: screens, deeds, findings, what is on the vehicle, the fields of every sheet, and the shelf. */
export default function Palette({
  on,
  onLoad,
  onClose,
}: {
  on: OnJob
  onLoad: boolean
  onClose: () => void
}) {
  const router = useRouter()
  const { gear } = useStock()
  const { survey } = on
  const { plan } = survey
  const rackId = survey.racks[0]?.rack.id
  const command = (id: string, name: string, href: string): NamedEntry => ({
    id,
    name,
    run: () => router.push(href),
  })
  const load = to('load', { job: plan.id })
  const fields = fieldsOf(plan)
  const pick = (name: string, picked: Picked): NamedEntry => ({
    id: picked.id,
    name: `Pick ${name}`,
    run: () => {
      planStore.getState().pick(picked)
      if (!onLoad) router.push(load)
    },
  })
  const groups: readonly NamedGroup[] = [
    {
      heading: 'Screens',
      entries: [
        ...STAGES.map((stage) => command(`stage ${stage}`, STAGE_WORD[stage], stageAddress(stage, plan))),
        ...SHOP_SCREENS.map((route) =>
          command(`screen ${route}`, `The shop's ${ROUTES[route].title.toLowerCase()}`, to(route)),
        ),
        command('screen compare', 'Compare with another job', to('compare', { a: plan.id })),
      ],
    },
    {
      heading: 'Do',
      entries: actionsByName(on, onLoad).map((each) => ({ ...each, id: `do ${each.name}` })),
    },
    {
      heading: 'Findings',
      entries: foldedTogether(assessmentOf(plan).review.findings.filter(isOpen)).map(({ finding }) => ({
        id: finding.id,
        name: `${OUTCOME_WORD[finding.severity]}: ${phraseText(finding.sentence, on.units)}`,
        run: () => {
          if (onLoad) showFinding(finding.id)
          else router.push(to('load', { job: plan.id, finding: finding.id }))
        },
      })),
    },
    {
      heading: 'On the vehicle',
      entries: [
        ...survey.things.map(({ gear: { name }, placement: { id } }) => pick(name, { kind: 'thing', id })),
        ...survey.bars.map(({ bar: { name, id } }) => pick(name, { kind: 'bar', id })),
      ],
    },
    {
      heading: 'From the shelf',
      entries:
        rackId === undefined
          ? []
          : gear.map((each) => ({
              id: `shelf ${each.id}`,
              name: `Put on ${each.name}`,
              run: () => {
                putOn(survey, each, rackId)
                if (!onLoad) router.push(load)
              },
            })),
    },
    { heading: 'Fields', entries: fields.map(({ name, href }) => command(href, name, href)) },
  ]
  return <CommandPalette groups={groups} onClose={onClose} />
}
