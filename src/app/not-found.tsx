import { ButtonLink } from '@/ui/kit/button'

export default function NotFound() {
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="mb-2 text-2xl">There is no such page</h1>
      <p className="mb-4">The address may have been typed wrongly. Every job is on the board.</p>
      <ButtonLink href="/">All jobs</ButtonLink>
    </main>
  )
}
