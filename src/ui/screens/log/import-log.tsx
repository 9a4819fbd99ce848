'use client'
import { FileButton } from '@/ui/kit/file-button'
import { Button } from '@/ui/kit/button'
import {
  type Disagreement,
  disagreements,
  type LogEvent,
  previewLogImport,
  type LogImportPreview,
} from '@/core/api/fit'
import { parseLogText } from '@/core/api/files'
import { addLastWords, type Holds, LogDisagreements } from '@/ui/app/log-disagreements'
import { useState } from 'react'
import { Note } from '@/ui/kit/field-note'
import { Modal } from '@/ui/kit/modal'
import { loadCarLogs, whoseIn } from '@/storage/car-logs'
import { useLog } from '@/ui/state/log-store'

type Read =
  | {
      readonly at: 'read'
      readonly name: string
      readonly preview: LogImportPreview
      readonly conflict: readonly Disagreement[]
    }
  | { readonly at: 'wrong'; readonly reason: string }

const entries = (count: number) => `${count} ${count === 1 ? 'entry' : 'entries'}`

/** Takes in a log file of another device, after showing what that would do. */
export function ImportLog({
  carOf,
  nameOf,
}: {
  carOf: (event: LogEvent) => string
  nameOf: (carId: string) => string | undefined
}) {
  const take = useLog((store) => store.takeIn)
  const [read, setRead] = useState<Read>()
  const [chosen, setChosen] = useState<ReadonlyMap<string, Holds>>(new Map())
  const close = () => setRead(undefined)
  const open = async (file: File) => {
    const log = parseLogText(await file.text())
    const events = log.ok ? (await loadCarLogs(whoseIn(log.events))).events : []
    setChosen(new Map())
    setRead(
      log.ok
        ? {
            at: 'read',
            name: file.name,
            preview: previewLogImport(events, log.events, carOf),
            conflict: disagreements(events, log.events),
          }
        : { at: 'wrong', reason: log.problems[0]?.text ?? 'This file cannot be read.' },
    )
  }
  const preview = read?.at === 'read' ? read.preview : undefined
  return (
    <>
      <FileButton
        label="Import a log file"
        says="Log file to take in"
        variant="quiet"
        onFile={(file) => void open(file)}
      />
      {read?.at === 'wrong' && (
        <Modal title="This log cannot be imported" onClose={close}>
          <p role="alert">{read.reason} Nothing was changed.</p>
        </Modal>
      )}
      {preview && read?.at === 'read' && (
        <Modal title="Import a log" onClose={close}>
          <p>
            {read.name}: {entries(preview.fresh.length)} not here yet, {preview.known} here already.
          </p>
          <ul className="my-2">
            {[...preview.byCar].map(([car, count]) => (
              <li key={car} className="border-hair border-b-1 py-1">
                {nameOf(car) ?? 'a car that no job here is about'}: {entries(count)}
              </li>
            ))}
          </ul>
          {preview.differing.length > 0 && (
            <p>
              {entries(preview.differing.length)} here say something else under the same name: what is here
              stays.
            </p>
          )}
          <LogDisagreements
            conflicts={read.conflict}
            chosen={chosen}
            onChoose={(subject, holds) => setChosen((before) => new Map(before).set(subject, holds))}
          />
          <Button
            variant="solid"
            className="mt-3"
            disabled={preview.fresh.length === 0 || read.conflict.some(({ subject }) => !chosen.has(subject))}
            onClick={() => {
              void take(preview.fresh, read.name).then(async (taken) => {
                if (taken) await addLastWords(read.conflict, chosen)
              })
              close()
            }}
          >
            {preview.fresh.length === 0 ? 'Nothing to import' : `Take in ${entries(preview.fresh.length)}`}
          </Button>
          <Note>You can take them out again for thirty days: on the board, under Removed items.</Note>
        </Modal>
      )}
    </>
  )
}
