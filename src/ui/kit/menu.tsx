'use client'
import { Menu as Lines } from 'lucide-react'
import {
  createContext,
  useContext,
  useEffect,
  useId,
  useRef,
  useState,
  type ReactNode,
  type RefObject,
} from 'react'
import { Button } from './button'

const Close = createContext<() => void>(() => undefined)

/** Puts away the menu that something is listed in. */
export const useCloseMenu = (): (() => void) => useContext(Close)

/** A panel in the browser's own top layer, under the key that opened it: it goes with Escape or a press beside it. */
function Panel({
  id,
  label,
  under,
  onClose,
  children,
}: {
  id: string
  label: string
  under: RefObject<HTMLElement | null>
  onClose: () => void
  children: ReactNode
}) {
  const panel = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const element = panel.current
    const key = under.current
    if (!element || !key) return
    const { bottom, right } = key.getBoundingClientRect()
    element.style.top = `${bottom}px`
    element.style.right = `${Math.max(4, document.documentElement.clientWidth - right)}px`
    element.showPopover()
    element.querySelector<HTMLElement>('a, button')?.focus()
  }, [under])
  return (
    <div
      ref={panel}
      id={id}
      role="group"
      aria-label={label}
      popover="auto"
      onToggle={({ newState }) => {
        if (newState !== 'closed') return
        if (panel.current?.contains(document.activeElement)) under.current?.focus()
        onClose()
      }}
      className="bg-base-100 text-base-content border-base-content inset-auto m-0 max-h-[80dvh] w-[19rem] max-w-[96vw] overflow-y-auto border p-2"
    >
      <Close value={() => panel.current?.hidePopover()}>
        <div className="grid">{children}</div>
      </Close>
    </div>
  )
}

/** A key that opens a list of others; what is in it is made only when somebody looks. */
export function Menu({ label, children }: { label: string; children: () => ReactNode }) {
  const [open, setOpen] = useState(false)
  const key = useRef<HTMLButtonElement>(null)
  const id = useId()
  return (
    <>
      <Button
        ref={key}
        variant="quiet"
        aria-label={label}
        aria-expanded={open}
        aria-controls={open ? id : undefined}
        onClick={() => setOpen(!open)}
      >
        <Lines size={18} aria-hidden />
      </Button>
      {open && (
        <Panel id={id} label={label} under={key} onClose={() => setOpen(false)}>
          {children()}
        </Panel>
      )}
    </>
  )
}
