'use client'
import { Button } from '@/ui/kit/button'

export default function Failed({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="mb-2 text-2xl">This screen failed</h1>
      <p className="mb-2">
        Jobs are stored as they were at the last edit. Try the screen again, or go back to the jobs.
      </p>
      <p className="text-ink2 mb-4">{error.message}</p>
      <Button onClick={reset}>Try again</Button>
    </main>
  )
}
