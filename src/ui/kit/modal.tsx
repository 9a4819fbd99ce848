'use client'
import { X } from 'lucide-react'
import { useEffect, useId, useRef, type ReactNode } from 'react'

/**
 * A dialog in the browser's own top layer: it keeps the focus and gives it back. It begins at what is marked
 * `data-first-focus`, else at its first control.
 */
export function Modal({
  title,
  onClose,
  children,
  wide = false,
}: {
  title: string
  onClose: () => void
  children: ReactNode
  wide?: boolean
}) {
  const dialog = useRef<HTMLDialogElement>(null)
  const id = useId()
  useEffect(() => {
    const element = dialog.current
    if (!element || element.open) return
    element.showModal()
    element.querySelector<HTMLElement>('[data-first-focus]')?.focus()
  }, [])
  return (
    <dialog
      ref={dialog}
      aria-labelledby={id}
      onClose={onClose}
      onClick={(event) => {
        if (event.target === dialog.current) dialog.current.close()
      }}
      className={`m-auto max-h-[92dvh] overflow-auto border-2 border-base-content bg-base-100 p-0 text-base-content`}
      style={{ width: `min(94vw, ${wide ? '52rem' : '34rem'})` }}
    >
      <div className="rule-b flex items-center justify-between gap-3 px-4 py-2">
        <h2 id={id} className="text-lg">
          {title}
        </h2>
        <button type="button" className="plain" onClick={() => dialog.current?.close()}>
          <X size={18} aria-hidden /> Close
        </button>
      </div>
      <div className="p-4">{children}</div>
    </dialog>
  )
}
