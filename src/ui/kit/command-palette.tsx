'use client'
import { Command } from 'cmdk'
import { useState, type ReactNode } from 'react'
import { Kbd } from './kbd'
import { CONTROL_CLASS } from './control-class'
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

/** So many of a group are listed: a shop has thousands of jobs. */
const MOST_LISTED = 40

/** Every word that was typed stands in the name; a name that begins with the first goes first. */
export function namedSo(entries: readonly NamedEntry[], typed: string): readonly NamedEntry[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean)
  const first: NamedEntry[] = []
  const others: NamedEntry[] = []
  for (const entry of entries) {
    const name = entry.name.toLowerCase()
    if (!words.every((word) => name.includes(word))) continue
    if (name.startsWith(words[0] ?? '')) first.push(entry)
    else others.push(entry)
  }
  return [...first, ...others]
}

/** Search everything, in groups: typed for, and taken with Enter. */
export function CommandPalette({
  groups,
  onClose,
}: {
  groups: readonly NamedGroup[]
  onClose: () => void
}): ReactNode {
  const [typed, setTyped] = useState('')
  return (
    <Modal title="Search everything" onClose={onClose}>
      <Command label="Search everything" shouldFilter={false} className="command-list">
        <Command.Input
          className={CONTROL_CLASS.input}
          placeholder="Type a few letters"
          data-first-focus
          value={typed}
          onValueChange={setTyped}
        />
        <Command.List className="mt-2 max-h-[50dvh] overflow-y-auto">
          <Command.Empty className="p-2">No match.</Command.Empty>
          {groups.map(({ heading, entries }) => {
            const found = namedSo(entries, typed)
            const more = found.length - MOST_LISTED
            return found.length === 0 ? null : (
              <Command.Group key={heading} heading={heading}>
                {found.slice(0, MOST_LISTED).map(({ id, name, keys, run }) => (
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
                {more > 0 && <p className="text-ink2 p-2 text-aside">{more} more: type to find one.</p>}
              </Command.Group>
            )
          })}
        </Command.List>
      </Command>
    </Modal>
  )
}
