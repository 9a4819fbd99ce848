'use client'
import { Button } from './button'
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
  /** For a form, or for two columns beside each other. */
  wide?: boolean | 'columns'
}) {
  const dialog = useRef<HTMLDialogElement>(null)
  const id = useId()
  // A press that begins in a text and ends outside is clicked on the dialog itself, and must not close it.
  const pressedOutside = useRef(false)
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
      onPointerDown={(event) => {
        pressedOutside.current = event.target === dialog.current
      }}
      onClick={(event) => {
        if (pressedOutside.current && event.target === dialog.current) dialog.current.close()
      }}
      className="modal transition-none"
    >
      <div
        className={`modal-box text-base-content transition-none max-h-[92dvh] w-[94vw] p-0 ${wide === 'columns' ? 'max-w-[84rem]' : wide ? 'max-w-[52rem]' : 'max-w-[34rem]'}`}
      >
        <div className="bg-base-100 border-base-content sticky top-0 z-10 flex items-center justify-between gap-3 border-b px-4 py-1.5">
          <h2 id={id} className="text-lg">
            {title}
          </h2>
          <Button variant="word" onClick={() => dialog.current?.close()}>
            <X size={18} aria-hidden /> Close
          </Button>
        </div>
        <div className="p-4">{children}</div>
      </div>
    </dialog>
  )
}
