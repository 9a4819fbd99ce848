'use client'
import { useRef, type ComponentProps } from 'react'
import { Button } from './button'

/** A key that asks for a file and hands it on; the same file can be chosen again. */
export function FileButton({
  label,
  says,
  accept = '.json,application/json',
  variant,
  onFile,
}: {
  /** What is on the key. */
  label: string
  /** What the choosing is called for those who do not see the key. */
  says: string
  accept?: string
  variant?: ComponentProps<typeof Button>['variant']
  onFile: (file: File) => void
}) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="sr-only"
        aria-label={says}
        tabIndex={-1}
        onChange={(event) => {
          const [file] = event.target.files ?? []
          event.target.value = ''
          if (file) onFile(file)
        }}
      />
      <Button {...(variant ? { variant } : {})} onClick={() => input.current?.click()}>
        {label}
      </Button>
    </>
  )
}
