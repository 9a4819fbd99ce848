'use client'
import { useRef } from 'react'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { FileButton } from '@/ui/kit/file-button'
import { TEXT_FILES } from './text-files'

/** A box for a text that is pasted or typed, and a key for a file. */
export function TextSource({
  text,
  onText,
  onFile,
}: {
  text: string
  /** `isWhole` where it came at once, and was not typed. */
  onText: (text: string, isWhole: boolean) => void
  onFile: (file: File) => void
}) {
  const isPasted = useRef(false)
  return (
    <>
      <label className="block">
        <span className={CONTROL_CLASS.label}>
          The text of a maker’s sheet, a label, a manual’s page or a message
        </span>
        <textarea
          className={`${CONTROL_CLASS.input} h-auto min-h-48 w-full py-2`}
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
          onFile={onFile}
        />
        <span className="text-ink2 text-aside">or drop it here: {TEXT_FILES.join(', ')}</span>
      </div>
    </>
  )
}
