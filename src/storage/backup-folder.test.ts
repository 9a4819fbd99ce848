import 'fake-indexeddb/auto'
import { Readable } from 'node:stream'
import { beforeEach, describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { openBackup } from './backup'
import {
  backedUp,
  backUpByItself,
  backUpInto,
  backupReminder,
  FILES_KEPT,
  type FolderHandle,
  lastBackup,
} from './backup-folder'
import { savePlan } from './plans'
import { ALL_SHELVES, browserShelf } from './database'

/** A folder in memory: a file is in its place once it is closed, and not before. */
function folderOf(files: Map<string, string>, over: Partial<FolderHandle> = {}): FolderHandle {
  return {
    name: 'Shop',
    getFileHandle: (name) =>
      Promise.resolve({
        createWritable() {
          let text = ''
          return Promise.resolve({
            write(more: string) {
              text += more
              return Promise.resolve()
            },
            close() {
              files.set(name, text)
              return Promise.resolve()
            },
          })
        },
      }),
    removeEntry(name) {
      files.delete(name)
      return Promise.resolve()
    },
    keys: () => Readable.from([...files.keys()]) as AsyncIterable<string>,
    ...over,
  }
}

const NOW = Date.parse('2026-11-27T08:00:00.000Z')
const DAY = 86_400_000
beforeEach(async () => {
  await Promise.all([...Object.values(ALL_SHELVES), browserShelf].map((shelf) => shelf.clear()))
  await savePlan(boatAndBox)
})

describe('a folder for backups', () => {
  it('gets a whole backup that opens again, one file a day, and the day is remembered', async () => {
    const files = new Map<string, string>()
    await backUpInto(folderOf(files), new Date(NOW).toISOString())
    await backUpInto(folderOf(files), new Date(NOW + 3_600_000).toISOString())
    expect([...files.keys()]).toEqual(['ypsos-backup-2026-11-27.json'])
    const opened = await openBackup([...files.values()][0] ?? '')
    expect(opened.ok && Object.keys(opened.shelves.plans)).toEqual([boatAndBox.id])
    expect(await lastBackup()).toBe('2026-11-27T09:00:00.000Z')
  })

  it('keeps the latest ones and touches no other file', async () => {
    const files = new Map([['letters.txt', 'mine']])
    for (let day = 0; day < FILES_KEPT + 3; day += 1)
      await backUpInto(folderOf(files), new Date(NOW + day * DAY).toISOString())
    expect(files.get('letters.txt')).toBe('mine')
    expect(files.size).toBe(FILES_KEPT + 1)
    expect(files.has('ypsos-backup-2026-11-29.json')).toBe(false)
    expect(files.has('ypsos-backup-2026-11-30.json')).toBe(true)
  })

  it('is left as it is where a write fails in the middle, and the last backup is still the one before', async () => {
    const files = new Map<string, string>()
    const failing = folderOf(files, {
      getFileHandle: () =>
        Promise.resolve({
          createWritable: () =>
            Promise.resolve({
              write: () => Promise.reject(new DOMException('', 'QuotaExceededError')),
              close: () => Promise.resolve(),
            }),
        }),
    })
    await backedUp('2026-11-20T08:00:00.000Z')
    await expect(backUpInto(failing, new Date(NOW).toISOString())).rejects.toThrow()
    expect(files.size).toBe(0)
    expect(await lastBackup()).toBe('2026-11-20T08:00:00.000Z')
  })
})

describe('backups by themselves', () => {
  it('do nothing where no folder was picked', async () =>
    expect(await backUpByItself(NOW)).toEqual({ did: 'nothing' }))

  it('are told of where there are none: never made, or old', () => {
    expect(backupReminder(undefined, NOW)).toContain('backup was ever made')
    expect(backupReminder(new Date(NOW - 13 * DAY).toISOString(), NOW)).toBeUndefined()
    expect(backupReminder(new Date(NOW - 20 * DAY).toISOString(), NOW)).toBe(
      'The last backup is 20 days old.',
    )
  })
})
