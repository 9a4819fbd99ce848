'use client'
import { FileButton } from '@/ui/kit/file-button'
import { PageBar } from '@/ui/app/page-bar'
import { TextBox } from '@/ui/kit/field'
import { Button, ButtonLink } from '@/ui/kit/button'
import {
  copyOf,
  type CsvPreview,
  parseStockText,
  stockChanges,
  type StockChanges,
  readStockCsv,
  STOCK_KINDS,
  stockCsv,
  type StockItem,
  type StockKind,
  stockText,
} from '@/core/api/files'
import { useState } from 'react'
import { dropFromStock } from '@/storage/own-stock'
import { downloadText } from '@/ui/kit/download'
import { Modal } from '@/ui/kit/modal'
import { typingSystem, useSettings, useUnits } from '@/ui/state/settings-store'
import { useStockLists } from '@/ui/state/stock'
import { EntryForm } from './entry-form'
import { ImportPreview } from './import-preview'
import { StockFilePreview } from './stock-file-preview'
import { StockTable } from './stock-table'
import { LIST_WORD, ownForm } from './stock-words'

type Item = StockItem[StockKind]

type Open =
  | { readonly what: 'edit'; readonly item: Item }
  | { readonly what: 'copy'; readonly item: Item }
  | { readonly what: 'new' }
  | { readonly what: 'csv'; readonly file: string; readonly preview: CsvPreview<StockKind> }
  | { readonly what: 'json'; readonly file: string; readonly changes: StockChanges }
  | { readonly what: 'problems'; readonly file: string; readonly lines: readonly string[] }

const LARGEST_BYTES = 8 * 1024 * 1024
const newId = (start: string) => `${start}-${crypto.randomUUID().slice(0, 8)}`

/** The shop's own lists: to look through, mend, copy, and take in and out as files. */
export function StockScreen() {
  const ready = useSettings((store) => store.ready)
  const own = useSettings((store) => store.own)
  const reloadOwn = useSettings((store) => store.reloadOwn)
  const lists = useStockLists()
  const system = typingSystem(useUnits())
  const [kind, setKind] = useState<StockKind>('gear')
  const [words, setWords] = useState('')
  const [open, setOpen] = useState<Open>()
  const [message, setMessage] = useState('')
  const items: readonly Item[] = lists[kind]
  const mine = new Set(own[kind].map(({ id }) => id))
  const close = () => setOpen(undefined)
  const takeFile = async (file: File) => {
    const problems = (lines: readonly string[]) => setOpen({ what: 'problems', file: file.name, lines })
    if (file.size > LARGEST_BYTES) {
      problems(['The file is larger than 8 MB.'])
      return
    }
    const text = await file.text()
    if (!/\.json$/i.test(file.name) && !/^\s*\{/.test(text)) {
      const preview = readStockCsv<StockKind>(kind, text, items, system)
      setOpen({ what: 'csv', file: file.name, preview })
      return
    }
    const read = parseStockText(text)
    if (!read.ok) {
      problems(read.problems.slice(0, 12).map((each) => each.text))
      return
    }
    setOpen({ what: 'json', file: file.name, changes: stockChanges(own, read.stock) })
  }
  const drop = async (item: Item) => {
    const dropped = await dropFromStock(kind, item.id)
    await reloadOwn()
    setMessage(dropped.ok ? `${item.name} deleted.` : dropped.reason)
  }
  const word = LIST_WORD[kind]
  const form = ownForm(kind, undefined)
  return (
    <div className="flex flex-col h-dvh min-h-[30rem]">
      <PageBar screen="stock" about="vehicles, racks, parts and gear" />
      <main className="flex min-h-0 flex-1 flex-col">
        <div className="flex flex-wrap items-end gap-2 p-3">
          <div role="group" aria-label="Lists" className="flex flex-wrap">
            {STOCK_KINDS.map((each) => (
              <Button key={each} pressed={each === kind} onClick={() => setKind(each)}>
                {LIST_WORD[each].many}
                <span className="ml-1 text-note">{lists[each].length}</span>
              </Button>
            ))}
          </div>
          <TextBox label="Find in this list" className="w-52" type="search" value={words} onText={setWords} />
          <div className="ml-auto flex flex-wrap gap-2">
            {form !== undefined && <ButtonLink href={form}>New {word.one}</ButtonLink>}
            {form === undefined && kind !== 'racks' && (
              <Button onClick={() => setOpen({ what: 'new' })}>New {word.one}</Button>
            )}
            <Button
              onClick={() =>
                downloadText(`${kind}.csv`, stockCsv<StockKind>(kind, items, system), 'text/csv')
              }
            >
              Download CSV
            </Button>
            <Button onClick={() => downloadText('stock.json', stockText(lists), 'application/json')}>
              Download all as JSON
            </Button>
            <FileButton
              label="Import a file"
              says="A CSV or JSON file to take in"
              accept=".csv,.json,text/csv,application/json"
              onFile={(file) => void takeFile(file)}
            />
          </div>
        </div>
        <p role="status" className="px-3 font-semibold">
          {message}
        </p>
        {ready && (
          <StockTable
            key={kind}
            kind={kind}
            items={items}
            words={words}
            system={system}
            tools={(item) => (
              <>
                <Button aria-label={`Edit ${item.name}`} onClick={() => setOpen({ what: 'edit', item })}>
                  Edit
                </Button>
                <Button
                  aria-label={`Copy ${item.name}`}
                  onClick={() => setOpen({ what: 'copy', item: copyOf<StockKind>(kind, item, newId(kind)) })}
                >
                  Copy
                </Button>
                {ownForm(kind, item.id) !== undefined && (
                  <ButtonLink
                    href={ownForm(kind, item.id) ?? '/'}

                    aria-label={`Open the form of ${item.name}`}
                  >
                    Form
                  </ButtonLink>
                )}
                {mine.has(item.id) && (
                  <Button variant="word" aria-label={`Delete ${item.name}`} onClick={() => void drop(item)}>
                    Delete
                  </Button>
                )}
              </>
            )}
          />
        )}
      </main>
      {open?.what === 'edit' && (
        <EntryForm
          kind={kind}
          start={open.item}
          id={open.item.id}
          title={`Edit ${open.item.name}`}
          system={system}
          onClose={close}
        />
      )}
      {open?.what === 'copy' && (
        <EntryForm
          kind={kind}
          start={open.item}
          id={open.item.id}
          title={`Copy of ${open.item.name.replace(/ \(copy\)$/, '')}`}
          system={system}
          onClose={close}
        />
      )}
      {open?.what === 'new' && (
        <EntryForm
          kind={kind}
          start={undefined}
          id={newId(kind)}
          title={`New ${word.one}`}
          system={system}
          onClose={close}
        />
      )}
      {open?.what === 'csv' && (
        <ImportPreview file={open.file} kind={kind} preview={open.preview} onClose={close} />
      )}
      {open?.what === 'json' && (
        <StockFilePreview
          file={open.file}
          changes={open.changes}
          onTaken={(count) => {
            setMessage(`${count} ${count === 1 ? 'entry' : 'entries'} taken from ${open.file}.`)
            close()
          }}
          onClose={close}
        />
      )}
      {open?.what === 'problems' && (
        <Modal title="Import failed" onClose={close}>
          <p className="mb-2">
            <strong>{open.file}</strong>: nothing was changed.
          </p>
          <ul className="list-disc pl-5">
            {open.lines.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </Modal>
      )}
    </div>
  )
}
