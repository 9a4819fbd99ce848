'use client'
import { Kbd } from '@/ui/kit/kbd'
import { LOOK_OF } from '@/ui/kit/look-of'
import { Command } from 'cmdk'
import { Modal } from '@/ui/kit/modal'
import { useStock } from '@/ui/state/stock'
import { actionsByName, type OnBench } from '@/ui/actions'
import { putOn } from '@/ui/forms/put-on'
import { usePlan } from '@/ui/state/plan-store'

/** Everything by name: actions, what is on the rack, and the shelf. */
export default function Palette({ on, onClose }: { on: OnBench; onClose: () => void }) {
  const { survey } = on
  const { gear } = useStock()
  const { pick } = usePlan.getState()
  const rackId = survey.racks[0]?.rack.id
  const choose = (run: () => void) => () => {
    onClose()
    run()
  }
  return (
    <Modal title="Everything by name" onClose={onClose}>
      <Command
        label="Everything by name"
        className="[&_[cmdk-item]]:flex [&_[cmdk-item]]:min-h-11 [&_[cmdk-item]]:items-center [&_[cmdk-item]]:py-0 [&_[cmdk-item]]:px-[0.6rem] [&_[cmdk-item]]:cursor-pointer [&_[cmdk-item]]:border-b [&_[cmdk-item]]:border-b-hair [&_[cmdk-item][data-selected='true']]:bg-base-content [&_[cmdk-item][data-selected='true']]:text-base-100 [&_[cmdk-group-heading]]:pt-[0.6rem] [&_[cmdk-group-heading]]:px-[0.6rem] [&_[cmdk-group-heading]]:pb-[0.2rem] [&_[cmdk-group-heading]]:text-ink2 [&_[cmdk-group-heading]]:text-[0.86rem]"
      >
        <Command.Input className={LOOK_OF.input} placeholder="Type a few letters" data-first-focus />
        <Command.List className="mt-2 max-h-[50dvh] overflow-y-auto">
          <Command.Empty className="p-2">Nothing is called that.</Command.Empty>
          <Command.Group heading="Do">
            {actionsByName(on).map((action) => (
              <Command.Item key={action.name} value={action.name} onSelect={choose(action.run)}>
                <span className="flex-1">{action.name}</span>
                {action.keys !== undefined && <Kbd>{action.keys}</Kbd>}
              </Command.Item>
            ))}
          </Command.Group>
          <Command.Group heading="On the vehicle">
            {survey.things.map(({ gear: { name }, placement: { id } }) => (
              <Command.Item
                key={id}
                value={`pick ${name} ${id}`}
                onSelect={choose(() => pick({ kind: 'thing', id }))}
              >
                Pick {name}
              </Command.Item>
            ))}
          </Command.Group>
          {rackId !== undefined && (
            <Command.Group heading="From the shelf">
              {gear.map((each) => (
                <Command.Item
                  key={each.id}
                  value={`put on ${each.name} ${each.id}`}
                  onSelect={choose(() => putOn(survey, each, rackId))}
                >
                  Put on {each.name}
                </Command.Item>
              ))}
            </Command.Group>
          )}
        </Command.List>
      </Command>
    </Modal>
  )
}
