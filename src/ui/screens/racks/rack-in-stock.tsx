'use client'
import { stockDifferences, intoStock, stockRackOf } from '@/core/api/files'
import type { Rack } from '@/core/api/plan'
import { useState } from 'react'
import { saveInStock } from '@/storage/own-stock'
import { Button } from '@/ui/kit/button'
import { Problem } from '@/ui/kit/field-note'
import { useSettings, settingsStore } from '@/ui/state/settings-store'
import { useStockLists } from '@/ui/state/stock'

/** Where a rack of the job and the same rack in stock differ, and what was found in the job offered back to stock. */
export function RackInStock({ rack }: { rack: Rack }) {
  const { racks } = useStockLists()
  const own = useSettings((store) => store.own.racks)
  const [problem, setProblem] = useState<string>()
  const entry = stockRackOf(rack, racks)
  const conflict = entry ? stockDifferences(rack, entry) : []
  if (!entry || conflict.length === 0) return null
  const take = async () => {
    const saved = await saveInStock(
      'racks',
      intoStock(rack, entry),
      own.find(({ id }) => id === entry.id),
    )
    if (!saved.ok) {
      setProblem(saved.reason)
      return
    }
    setProblem(undefined)
    await settingsStore.getState().reloadOwn()
  }
  return (
    <details className="w-full">
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">
        In stock {entry.name} differs: {conflict.map(({ name }) => name).join(', ')}
      </summary>
      <ul className="mb-2">
        {conflict.map(({ name, fields }, i) => (
          <li key={`${name} ${i}`}>
            {name}: {fields.join(', ')}
          </li>
        ))}
      </ul>
      <p className="text-ink2 mb-2">
        You can save this rack and its figures to stock for the next job. Its position on this vehicle stays
        with this job.
      </p>
      <Button aria-label={`Keep ${rack.name} in stock as it is here`} onClick={() => void take()}>
        Save it to stock
      </Button>
      {problem !== undefined && <Problem>{problem}</Problem>}
    </details>
  )
}
