'use client'
import { FileButton } from '@/ui/kit/file-button'
import { Table } from '@/ui/kit/table'
import { Button } from '@/ui/kit/button'
import { type Differing, type ShelfChange, type ShelfName, staysUnasked } from '@/core/api/files'
import { useEffect, useState } from 'react'
import { backupText, placeOf } from '@/storage/backup'
import { backedUp } from '@/storage/backup-folder'
import { FolderChoice } from './folder-choice'
import { type Room, roomLeft, roomWords } from '@/storage/room'
import { whyNotSaved } from '@/storage/save-result'
import { Choice } from '@/ui/kit/choice'
import { whenWords } from '@/ui/kit/day-words'
import { downloadText } from '@/ui/kit/download'
import { Modal } from '@/ui/kit/modal'
import { Progress } from '@/ui/kit/progress'
import { today } from '@/ui/state/today'
import type { RestoreMode } from '@/workers/backup-messages'
import { useRestoring } from './use-restoring'

const SHELF_WORD: Readonly<Record<ShelfName, string>> = {
  plans: 'Jobs',
  stock: 'Stock',
  settings: 'Settings and drafts',
  log: 'Log entries',
  pictures: 'Pictures',
}

function Preview({ changes }: { changes: readonly ShelfChange[] }) {
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col">Added</th>
          <th scope="col">Changed</th>
          <th scope="col">Same</th>
          <th scope="col">Removed</th>
        </tr>
      </thead>
      <tbody>
        {changes.map((change) => (
          <tr key={change.shelf}>
            <th scope="row">
              {SHELF_WORD[change.shelf]}
              {change.unreadable.length > 0 && (
                <span className="text-ink2 text-note block">
                  {change.unreadable.length} cannot be read here and are restored as they are
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

type Holds = 'here' | 'backup'

const holdsOf = (differing: Differing, chosen: ReadonlyMap<string, Holds>): Holds =>
  chosen.get(placeOf(differing)) ?? (staysUnasked(differing) ? 'here' : 'backup')

const STANDING: Readonly<Record<Differing['standing'], string>> = {
  newer: 'the backup continues the job here',
  older: 'the job here continues the backup',
  apart: 'both were changed',
  other: 'nobody knows which is newer',
}

/** What is here and in the backup but not the same: by name and date, with which of the two is to stand. */
function DifferingList({
  differing,
  chosen,
  onChoose,
}: {
  differing: readonly Differing[]
  chosen: ReadonlyMap<string, Holds>
  onChoose: (place: string, holds: Holds) => void
}) {
  if (differing.length === 0) return null
  return (
    <section aria-label="Different here and in the backup" className="mt-3">
      <h4 className="text-body">Different here and in the backup</h4>
      <ul className="max-h-[32dvh] overflow-y-auto">
        {differing.map((each) => (
          <li key={placeOf(each)} className="border-hair flex flex-wrap items-end gap-2 border-b-1 py-1.5">
            <span className="flex-1">
              {each.name}
              <span className="text-ink2 block text-aside">
                {SHELF_WORD[each.shelf]}: {STANDING[each.standing]}
                {each.hereAt !== undefined && `; here changed ${whenWords(each.hereAt)}`}
                {each.thereAt !== undefined && `; in the backup ${whenWords(each.thereAt)}`}
              </span>
            </span>
            <Choice<Holds>
              label={`Choose one: ${each.name}`}
              value={holdsOf(each, chosen)}
              options={[
                ['here', 'Keep what is here'],
                ['backup', "Take the backup's"],
              ]}
              onChange={(holds) => onChoose(placeOf(each), holds)}
            />
          </li>
        ))}
      </ul>
    </section>
  )
}

/** Everything into one file and back: what restoring would change is shown before it is done. */
export function BackupDialog({ onClose }: { onClose: () => void }) {
  const { state, open, look, restore } = useRestoring()
  const [mode, setMode] = useState<RestoreMode>('merge')
  const [chosen, setChosen] = useState<ReadonlyMap<string, Holds>>(new Map())
  const [problem, setProblem] = useState<string>()
  const [room, setRoom] = useState<{ readonly left: Room | undefined }>()
  useEffect(() => void roomLeft().then((left) => setRoom({ left })), [])
  const save = async () => {
    try {
      const at = new Date().toISOString()
      downloadText(`ypsos-backup-${today()}.json`, await backupText(at), 'application/json')
      await backedUp(at)
      setProblem(undefined)
    } catch (error) {
      setProblem(whyNotSaved(error))
    }
  }
  const choose = (file: File) => {
    setChosen(new Map())
    setProblem(undefined)
    open(file, mode)
  }
  const looked = state.at === 'looked' && state.mode === mode ? state : undefined
  const problems = [
    ...(problem === undefined ? [] : [problem]),
    ...(state.at === 'none' ? state.problems : []),
  ]
  const restoring = (differing: readonly Differing[]) =>
    state.at === 'looked' &&
    restore(
      state.name,
      mode,
      differing.filter((each) => mode === 'merge' && holdsOf(each, chosen) === 'here').map(placeOf),
    )
  return (
    <Modal title="Backup" onClose={onClose} wide>
      <p className="mb-2">
        Jobs, stock, settings, log and pictures live in this browser only. A backup holds all of it in one
        file.
      </p>
      <p className="text-ink2 mb-2 text-aside">{room && roomWords(room.left).words}</p>
      <div className="flex flex-wrap gap-1.5">
        <Button variant="solid" data-first-focus onClick={() => void save()}>
          Back everything up
        </Button>
        {state.at !== 'putting' && (
          <FileButton label="Open a backup" says="Backup file to open" onFile={choose} />
        )}
      </div>
      <FolderChoice onProblem={setProblem} />
      {problems.length > 0 && (
        <div role="alert" className="text-stopline mt-3 font-semibold">
          {problems.map((each) => (
            <p key={each}>{each}</p>
          ))}
        </div>
      )}
      <div role="status">
        {state.at === 'reading' && (
          <p className="mt-3">Reading {state.name} and comparing it with this browser.</p>
        )}
        {state.at === 'looked' && !looked && <p className="mt-3">Comparing it with this browser.</p>}
      </div>
      {(state.at === 'looked' || state.at === 'putting') && (
        <section aria-label="What restoring would change" className="mt-4">
          <h3 className="mb-2 text-lead">
            {state.name}
            {state.at === 'looked' && `, made ${state.madeAt.slice(0, 10)}`}
          </h3>
          {state.at === 'looked' && (
            <Choice<RestoreMode>
              label="How"
              value={mode}
              options={[
                ['merge', 'Merge: keep all that is only here'],
                ['replace', 'Replace: restore the backup and nothing else'],
              ]}
              onChange={(next) => {
                setMode(next)
                look(state.name, next)
              }}
            />
          )}
          {looked && <Preview changes={looked.preview.changes} />}
          {looked && mode === 'merge' && (
            <DifferingList
              differing={looked.preview.differing}
              chosen={chosen}
              onChoose={(place, holds) => setChosen((before) => new Map(before).set(place, holds))}
            />
          )}
          {state.at === 'putting' && (
            <p className="mt-3 flex items-center gap-3">
              Restoring, all of it or nothing.
              <Progress label="Progress" done={state.done} of={state.of} />
            </p>
          )}
          {looked && (
            <Button variant="solid" className="mt-3" onClick={() => restoring(looked.preview.differing)}>
              {mode === 'merge' ? 'Merge' : 'Replace everything'}
            </Button>
          )}
        </section>
      )}
    </Modal>
  )
}
