'use client'
import { type DragEvent, useState } from 'react'

/** What happens to a file that was chosen or dropped. */
export type FileFetch =
  | { readonly is: 'none' }
  | { readonly is: 'reading'; readonly name: string; readonly page?: string }
  | { readonly is: 'refused'; readonly name: string; readonly why: string }

/** Takes the text of a file that is chosen, or dropped where `drop` is spread. */
export function useTextFile(onText: (text: string) => void) {
  const [fetching, setFetching] = useState<FileFetch>({ is: 'none' })
  const take = async (file: File) => {
    const { name } = file
    setFetching({ is: 'reading', name })
    const { textOfFile } = await import('./file-text')
    const read = await textOfFile(file, (page, of) =>
      setFetching({ is: 'reading', name, page: `page ${page} of ${of}` }),
    )
    setFetching(read.ok ? { is: 'none' } : { is: 'refused', name, why: read.why })
    if (read.ok) onText(read.text)
  }
  const drop = {
    onDragOver: (event: DragEvent) => {
      if (!event.dataTransfer.types.includes('Files')) return
      event.preventDefault()
      // Elsewhere a dropped file is opened.
      event.stopPropagation()
    },
    onDrop: (event: DragEvent) => {
      const [file] = event.dataTransfer.files
      if (!file) return
      event.preventDefault()
      event.stopPropagation()
      void take(file)
    },
  }
  return { fetching, take: (file: File) => void take(file), drop }
}
