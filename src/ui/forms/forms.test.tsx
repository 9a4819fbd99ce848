import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, it, vi } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { GearForm } from '@/ui/screens/gear/gear-form'
import { RackForm } from '@/ui/screens/rack-form/rack-form'
import { VehicleForm } from '@/ui/screens/vehicle/vehicle-form'

vi.mock('next/navigation', () => ({
  useRouter: () => ({ push: () => undefined }),
  useSearchParams: () => new URLSearchParams(),
}))

const { vehicle, racks, gear } = boatAndBox
const FORMS = {
  vehicle: <VehicleForm was={vehicle} job={undefined} system="metric" />,
  'vehicle in inches': <VehicleForm was={vehicle} job={undefined} system="us" />,
  'a new vehicle': <VehicleForm was={undefined} job={undefined} system="metric" />,
  rack: <RackForm vehicle={vehicle} was={racks[0]} job={undefined} beside={undefined} system="metric" />,
  gear: <GearForm was={gear[0]} job={undefined} system="metric" />,
}

const all = (html: string, pattern: RegExp) => [...html.matchAll(pattern)]

describe('forms without a browser', () => {
  it.each(Object.entries(FORMS))('%s: every control has a name, and no two of them one id', (_, form) => {
    const html = renderToStaticMarkup(form)
    const controls = all(html, /<(?:input|select|textarea)\b[^>]*>/g).map(([tag]) => tag)
    expect(controls.length).toBeGreaterThan(5)
    const labelled = new Set(all(html, /<label[^>]*\bfor="([^"]*)"/g).map(([, id]) => id))
    const wrapped = all(html, /<label[^>]*>(?:(?!<\/label>).)*<(?:input|select|textarea)\b[^>]*>/gs).map(
      ([text]) => text.slice(text.lastIndexOf('<')),
    )
    const nameless = controls.filter((tag) => {
      const id = /\bid="([^"]*)"/.exec(tag)?.[1]
      return !/aria-label(?:ledby)?=/.test(tag) && !(id && labelled.has(id)) && !wrapped.includes(tag)
    })
    expect(nameless).toEqual([])
    const ids = all(html, /\bid="([^"]*)"/g).map(([, id]) => id)
    expect(ids.filter((id, i) => ids.indexOf(id) !== i)).toEqual([])
  })
})
