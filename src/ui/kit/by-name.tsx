'use client'
import { Command } from 'cmdk'
import type { ReactNode } from 'react'
import { Kbd } from './kbd'
import { LOOK_OF } from './look-of'
import { Modal } from './modal'

/** Something that can be asked for by name. */
export interface NamedEntry {
  readonly id: string
  readonly name: string
  readonly keys?: string | undefined
  readonly run: () => void
}

export interface NamedGroup {
  readonly heading: string
  readonly entries: readonly NamedEntry[]
}

/** Every word that was typed stands in the name; a name that begins with it goes first. */
function named(value: string, typed: string): number {
  const name = value.toLowerCase()
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean)
  if (!words.every((word) => name.includes(word))) return 0
  return name.startsWith(words[0] ?? '') ? 1 : 0.5
}

/** Everything by name, in groups: typed for, and taken with Enter. */
export function ByName({
  groups,
  onClose,
}: {
  groups: readonly NamedGroup[]
  onClose: () => void
}): ReactNode {
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
          {groups.map(({ heading, entries }) =>
            entries.length === 0 ? null : (
              <Command.Group key={heading} heading={heading}>
                {entries.map(({ id, name, keys, run }) => (
                  <Command.Item
                    key={id}
                    value={`${name} ${id}`}
                    onSelect={() => {
                      onClose()
                      run()
                    }}
                  >
                    <span className="flex-1">{name}</span>
                    {keys !== undefined && <Kbd>{keys}</Kbd>}
                  </Command.Item>
                ))}
              </Command.Group>
            ),
          )}
        </Command.List>
      </Command>
    </Modal>
  )
}
