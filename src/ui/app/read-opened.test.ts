import { expect, it } from 'vitest'
import { checkedBundle, type JobBundle, printBundle } from '@/core/api/files'
import { boatAndBox } from '@/demo/plans'
import { sha256 } from '@/storage/sha256'
import { readOpened } from './read-opened'

const bundle: JobBundle = {
  madeAt: '2026-11-30T10:00:00.000Z',
  plan: boatAndBox,
  steps: [],
  events: [],
  pictures: { 'came-front': 'data:image/png;base64,AAAA' },
}
const opened = (text: string) => readOpened(new File([text], 'job.ypsos-parcel.json'))
const printed = async () => printBundle(bundle, await sha256(checkedBundle(bundle)))

it('a job bundle whose content was changed or damaged is refused by its check sum, though it reads (S9)', async () => {
  const text = await printed()
  expect(await opened(text)).toMatchObject({ is: 'bundle', bundle: { plan: { id: boatAndBox.id } } })
  const changed = text.replace('base64,AAAA', 'base64,AAAB')
  expect(changed).not.toBe(text)
  expect(await opened(changed)).toEqual({
    is: 'wrong',
    problems: ['The check sum of this job bundle does not fit its content: the file was changed or damaged.'],
  })
})

it('a job bundle from before there were check sums is read as it was', async () => {
  const { sha256: _, ...rest } = JSON.parse(await printed()) as Record<string, unknown>
  expect(await opened(JSON.stringify({ ...rest, version: 1 }))).toMatchObject({ is: 'bundle' })
  // One of now has its sum.
  expect(await opened(JSON.stringify(rest))).toMatchObject({ is: 'wrong' })
})
