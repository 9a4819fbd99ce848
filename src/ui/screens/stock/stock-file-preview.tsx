'use client'
import type { StockChanges } from '@/core/api/files'
import { useState } from 'react'
import { saveAllInStock } from '@/storage/own-stock'
import { Button } from '@/ui/kit/button'
import { TickBox } from '@/ui/kit/field'
import { Problem } from '@/ui/kit/field-note'
import { Modal } from '@/ui/kit/modal'
import { useSettings } from '@/ui/state/settings-store'
import { LIST_WORD } from './stock-words'

const entries = (count: number) => `${count} ${count === 1 ? 'entry' : 'entries'}`

/** What a stock file would do, by name, before anything is taken: what is here stays where it is not ticked. */
export function StockFilePreview({
  file,
  changes: { added, changed, same },
  onTaken,
  onClose,
}: {
  file: string
  changes: StockChanges
  onTaken: (count: number) => void
  onClose: () => void
}) {
  const [staying, setStaying] = useState<ReadonlySet<string>>(new Set())
  const [reason, setReason] = useState<string>()
  const reloadOwn = useSettings((store) => store.reloadOwn)
  const key = ({ kind, item }: (typeof changed)[number]) => `${kind}/${item.id}`
  const wanted = [...added, ...changed.filter((each) => !staying.has(key(each)))]
  const take = async () => {
    const saved = await saveAllInStock(wanted)
    if (!saved.ok) {
      setReason(`${saved.reason} Nothing was imported.`)
      return
    }
    await reloadOwn()
    onTaken(wanted.length)
  }
  return (
    <Modal title={`What ${file} would do`} onClose={onClose} wide>
      {reason !== undefined && <Problem>{reason}</Problem>}
      <p>
        {entries(added.length)} would be added, {entries(changed.length)} would replace entries here,{' '}
        {entries(same)} are the same here already.
      </p>
      {changed.length > 0 && (
        <>
          <h3 className="mt-3 text-body">Different here under the same name</h3>
          <ul className="max-h-[40dvh] overflow-y-auto" aria-label="Would replace the entry here">
            {changed.map((each) => (
              <li key={key(each)} className="border-hair border-b-1">
                <TickBox
                  checked={!staying.has(key(each))}
                  onTick={(ticked) =>
                    setStaying((before) => {
                      const next = new Set(before)
                      if (ticked) next.delete(key(each))
                      else next.add(key(each))
                      return next
                    })
                  }
                >
                  {each.item.name}, {LIST_WORD[each.kind].one}
                </TickBox>
              </li>
            ))}
          </ul>
        </>
      )}
      <Button variant="solid" className="mt-3" disabled={wanted.length === 0} onClick={() => void take()}>
        {wanted.length === 0 ? 'Nothing to import' : `Take in ${entries(wanted.length)}`}
      </Button>
    </Modal>
  )
}
