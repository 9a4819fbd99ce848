'use client'
import { type DragEvent, useRef, useState } from 'react'
import { Alert } from '@/ui/kit/alert'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { FileButton } from '@/ui/kit/file-button'
import { TEXT_FILES, textOfFile } from './file-text'

/** What happens to a file that was chosen or dropped. */
type Fetching =
  | { readonly is: 'none' }
  | { readonly is: 'reading'; readonly name: string; readonly page?: string }
  | { readonly is: 'refused'; readonly name: string; readonly why: string }

/** A box for a text that is pasted, chosen as a file or dropped. */
export function TextSource({
  text,
  onText,
}: {
  text: string
  /** `isWhole` where it came at once, and was not typed. */
  onText: (text: string, isWhole: boolean) => void
}) {
  const isPasted = useRef(false)
  const [fetching, setFetching] = useState<Fetching>({ is: 'none' })
  const take = async (file: File) => {
    const { name } = file
    setFetching({ is: 'reading', name })
    const read = await textOfFile(file, (page, of) =>
      setFetching({ is: 'reading', name, page: `page ${page} of ${of}` }),
    )
    setFetching(read.ok ? { is: 'none' } : { is: 'refused', name, why: read.why })
    if (read.ok) onText(read.text, true)
  }
  const holdsFile = (event: DragEvent) => event.dataTransfer.types.includes('Files')
  return (
    <div
      onDragOver={(event) => {
        if (!holdsFile(event)) return
        event.preventDefault()
        // Elsewhere a dropped file is a plan.
        event.stopPropagation()
      }}
      onDrop={(event) => {
        const [file] = event.dataTransfer.files
        if (!file) return
        event.preventDefault()
        event.stopPropagation()
        void take(file)
      }}
    >
      <label className="block">
        <span className={CONTROL_CLASS.label}>
          The text of a maker’s sheet, a label, a manual’s page or a message
        </span>
        <textarea
          className={`${CONTROL_CLASS.input} h-auto min-h-32 w-full py-2`}
          value={text}
          onPaste={() => {
            isPasted.current = true
          }}
          onChange={(event) => {
            onText(event.currentTarget.value, isPasted.current)
            isPasted.current = false
          }}
          data-first-focus
        />
      </label>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <FileButton
          label="Choose a file"
          says="A file with the text: text, web page, table, letter or PDF"
          accept={TEXT_FILES.join(',')}
          onFile={(file) => void take(file)}
        />
        <span className="text-ink2 text-aside">or drop it here: {TEXT_FILES.join(', ')}</span>
      </div>
      <p role="status" className={fetching.is === 'reading' ? 'mt-2' : ''}>
        {fetching.is === 'reading' && `Reading ${fetching.name}${fetching.page ? `, ${fetching.page}` : ''}.`}
      </p>
      {fetching.is === 'refused' && (
        <Alert variant="error">
          {fetching.name} was not read. {fetching.why}
        </Alert>
      )}
    </div>
  )
}
