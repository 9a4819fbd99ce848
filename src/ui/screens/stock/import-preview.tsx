'use client'
import { Problem } from '@/ui/kit/field-note'
import { Button } from '@/ui/kit/button'
import type { CsvPreview, StockKind } from '@/core/api/files'
import { useState } from 'react'
import { saveAllInStock, type StockEntry } from '@/storage/own-stock'
import { Modal } from '@/ui/kit/modal'
import { useSettings } from '@/ui/state/settings-store'

interface Props {
  readonly file: string
  readonly kind: StockKind
  readonly preview: CsvPreview<StockKind>
  readonly onClose: () => void
}

const lines = (count: number) => (count === 1 ? '1 line' : `${count} lines`)

/** What a file would do to the stock, line by line, before anything is taken. */
export function ImportPreview({ file, kind, preview, onClose }: Props) {
  const { changed, added, same, problems } = preview
  const [reason, setReason] = useState<string>()
  const reloadOwn = useSettings((store) => store.reloadOwn)
  const good = changed.length + added.length
  const take = async () => {
    const entries = [...changed, ...added].map((item): StockEntry => ({ kind, item }))
    const saved = await saveAllInStock(entries)
    if (!saved.ok) {
      setReason(`${saved.reason} Nothing was imported.`)
      return
    }
    await reloadOwn()
    onClose()
  }
  return (
    <Modal title={`What ${file} would do`} onClose={onClose} wide>
      {reason !== undefined && <Problem>{reason}</Problem>}
      <p>
        {lines(changed.length)} would change an entry, {lines(added.length)} would add one, {lines(same)}{' '}
        would change nothing, {lines(problems.length)} cannot be read.
      </p>
      {problems.length > 0 && (
        <>
          <h3 className="mt-3 text-body">Lines that cannot be read</h3>
          <ol className="max-h-64 overflow-auto" aria-label="Lines that cannot be read" tabIndex={0}>
            {problems.map(({ line, text }) => (
              <li key={`${line} ${text}`} className="border-hair border-b-1 py-1">
                <strong>Line {line}.</strong> {text}
              </li>
            ))}
          </ol>
        </>
      )}
      {good > 0 && (
        <>
          <h3 className="mt-3 text-body">Entries to import</h3>
          <ul className="max-h-40 overflow-auto" tabIndex={0} aria-label="Entries to import">
            {[...changed, ...added].slice(0, 60).map((item) => (
              <li key={item.id}>
                {item.name} <span className="text-ink2">({item.id})</span>
              </li>
            ))}
          </ul>
        </>
      )}
      <div className="mt-4 flex flex-wrap gap-2">
        {good > 0 && (
          <Button variant="solid" onClick={() => void take()}>
            {problems.length > 0
              ? `Take the ${good} good ${good === 1 ? 'line' : 'lines'}`
              : `Take ${lines(good)}`}
          </Button>
        )}
        <Button onClick={onClose}>Cancel</Button>
      </div>
    </Modal>
  )
}
