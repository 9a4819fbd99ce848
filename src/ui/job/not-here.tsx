'use client'
import { ButtonLink } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import type { ReactNode } from 'react'

/** The page of a form while what it edits is read. */
export function FetchingForm() {
  return (
    <main className="p-8" aria-busy>
      <p className="text-xl">Fetching what is stored in this browser.</p>
    </main>
  )
}

/** The page of a form whose subject is not there. */
export function NotHere({ children }: { children: ReactNode }) {
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="mb-2 text-2xl">{children}</h1>
      <ButtonLink href={to('board')}>All jobs</ButtonLink>
    </main>
  )
}
