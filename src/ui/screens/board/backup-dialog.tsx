'use client'
import { FileButton } from '@/ui/kit/file-button'
import { Table } from '@/ui/kit/table'
import { Button } from '@/ui/kit/button'
import type { ShelfChange, ShelfName, Shelves } from '@/core'
import { useEffect, useState } from 'react'
import { backupText, openBackup, previewRestore, restore } from '@/storage/backup'
import { type Room, roomLeft, roomWords } from '@/storage/room'
import { whyNotKept } from '@/storage/shelves'
import { Choice } from '@/ui/kit/choice'
import { downloadText } from '@/ui/kit/download'
import { Modal } from '@/ui/kit/modal'
import { today } from '@/ui/state/today'

const SHELF_WORD: Readonly<Record<ShelfName, string>> = {
  plans: 'Jobs',
  stock: 'Stock',
  settings: 'Settings and drafts',
  log: 'Log entries',
  pictures: 'Pictures',
}

type Way = 'merge' | 'replace'

function Preview({ changes }: { changes: readonly ShelfChange[] }) {
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col">Added</th>
          <th scope="col">Changed</th>
          <th scope="col">Same</th>
          <th scope="col">Taken away</th>
        </tr>
      </thead>
      <tbody>
        {changes.map((change) => (
          <tr key={change.shelf}>
            <th scope="row">
              {SHELF_WORD[change.shelf]}
              {change.unreadable.length > 0 && (
                <span className="text-ink2 text-[0.82rem] block">
                  {change.unreadable.length} do not read here; put back as they are
                </span>
              )}
            </th>
            <td>{change.added.length}</td>
            <td>{change.changed.length}</td>
            <td>{change.same.length}</td>
            <td className={change.removed.length > 0 ? 'font-bold' : ''}>{change.removed.length}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  )
}

/** Everything into one file and back: what restoring would change is shown before it is done. */
export function BackupDialog({ onClose }: { onClose: () => void }) {
  const [opened, setOpened] = useState<{
    readonly name: string
    readonly madeAt: string
    readonly shelves: Shelves
  }>()
  const [way, setWay] = useState<Way>('merge')
  const [changes, setChanges] = useState<readonly ShelfChange[]>([])
  const [problems, setProblems] = useState<readonly string[]>([])
  const [room, setRoom] = useState<{ readonly left: Room | undefined }>()
  useEffect(() => void roomLeft().then((left) => setRoom({ left })), [])
  useEffect(() => {
    if (!opened) return
    let current = true
    void previewRestore(opened.shelves, way).then((found) => {
      if (current) setChanges(found)
    })
    return () => {
      current = false
    }
  }, [opened, way])
  const save = async () => {
    try {
      downloadText(
        `ypsos-backup-${today()}.json`,
        await backupText(new Date().toISOString()),
        'application/json',
      )
      setProblems([])
    } catch (error) {
      setProblems([whyNotKept(error)])
    }
  }
  const choose = async (chosen: File) => {
    setOpened(undefined)
    const read = await openBackup(await chosen.text())
    if (read.ok) {
      setProblems([])
      setOpened({ name: chosen.name, madeAt: read.madeAt, shelves: read.shelves })
    } else setProblems(read.reasons)
  }
  const put = async () => {
    if (!opened) return
    const kept = await restore(opened.shelves, way)
    // Every screen reads anew what is now on the shelves.
    if (kept.ok) window.location.reload()
    else setProblems([`Nothing was changed. ${kept.reason}`])
  }
  return (
    <Modal title="Backup" onClose={onClose} wide>
      <p className="mb-2">
        Jobs, stock, settings, log and pictures live in this browser only. A backup holds all of it in one
        file.
      </p>
      <p className="text-ink2 mb-2 text-[0.9rem]">{room && roomWords(room.left).words}</p>
      <div className="flex flex-wrap gap-1.5">
        <Button look="solid" data-first-focus onClick={() => void save()}>
          Back everything up
        </Button>
        <FileButton label="Open a backup" says="Backup file to open" onFile={(file) => void choose(file)} />
      </div>
      {problems.length > 0 && (
        <div role="alert" className="text-stopline mt-3 font-semibold">
          {problems.map((each) => (
            <p key={each}>{each}</p>
          ))}
        </div>
      )}
      {opened && (
        <section aria-label="What restoring would change" className="mt-4">
          <h3 className="mb-2 text-[16px]">
            {opened.name}, made {opened.madeAt.slice(0, 10)}
          </h3>
          <Choice<Way>
            label="How"
            value={way}
            options={[
              ['merge', 'Merge: keep what is only here'],
              ['replace', 'Replace: as it was then, nothing else'],
            ]}
            onChange={setWay}
          />
          <Preview changes={changes} />
          <Button look="solid" className="mt-3" onClick={() => void put()}>
            {way === 'merge' ? 'Merge it in' : 'Replace everything'}
          </Button>
        </section>
      )}
    </Modal>
  )
}
