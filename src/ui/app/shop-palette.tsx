'use client'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import { jobNames } from '@/storage/job-abouts'
import { ROUTES, SHOP_SCREENS, to } from '@/ui/routes'
import { CommandPalette, type NamedEntry } from '@/ui/kit/command-palette'

/** Search everything where no job is open: the shop's screens, what can be begun there, and every job of the board. */
export default function ShopPalette({ onClose }: { onClose: () => void }) {
  const router = useRouter()
  const [jobs, setJobs] = useState<Awaited<ReturnType<typeof jobNames>>>([])
  useEffect(() => {
    let current = true
    void jobNames().then((names) => {
      if (current) setJobs(names)
    })
    return () => {
      current = false
    }
  }, [])
  const command = (id: string, name: string, href: string): NamedEntry => ({
    id,
    name,
    run: () => router.push(href),
  })
  return (
    <CommandPalette
      onClose={onClose}
      groups={[
        {
          heading: 'Screens',
          entries: SHOP_SCREENS.map((route) => command(`screen ${route}`, ROUTES[route].title, to(route))),
        },
        {
          heading: 'Do',
          entries: [
            command('do start', 'Start a job', to('start')),
            command('do vehicle', 'Enter a vehicle', to('vehicle')),
            command('do rack', 'Enter a rack', to('rackForm')),
            command('do gear', 'Enter a piece of gear', to('gear')),
            command('do compare', 'Compare two jobs', to('compare')),
          ],
        },
        {
          heading: 'Jobs',
          entries: jobs.map(({ id, name }) => command(id, name, to('load', { job: id }))),
        },
      ]}
    />
  )
}
