import { existsSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { STAGE_WORD, STAGES } from '@/core/api/assess'
import { OLD_ADDRESSES, ROUTES, SHOP_SCREENS } from './routes'

const slug = (title: string) => title.toLowerCase().replaceAll(' ', '-')

describe('each screen has one name', () => {
  it.each(Object.values(ROUTES).map(({ path, title }) => [path, title] as const))(
    '%s has the title %s, and a folder of that name',
    (path, title) => {
      if (path !== '/') expect(path).toBe(`/${slug(title)}`)
      expect(existsSync(`src/ui/screens/${slug(title)}`)).toBe(true)
      expect(existsSync(path === '/' ? 'src/app/page.tsx' : `src/app${path}/page.tsx`)).toBe(true)
    },
  )

  it('a stage of a job is called as its screen', () => {
    for (const stage of STAGES) expect([stage, STAGE_WORD[stage]]).toEqual([stage, ROUTES[stage].title])
  })

  it('an old address leads to a screen, and none is an address of today', () => {
    const paths: readonly string[] = Object.values(ROUTES).map(({ path }) => path)
    for (const [old, screen] of Object.entries(OLD_ADDRESSES)) {
      expect(paths).not.toContain(old)
      expect(paths).toContain(ROUTES[screen].path)
    }
  })

  it('the shop lists screens that need no job', () => {
    for (const screen of SHOP_SCREENS) expect(STAGES.filter((stage) => stage !== 'log')).not.toContain(screen)
  })
})
