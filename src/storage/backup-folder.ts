import * as z from '@/core/units/schema'
import { backupText } from './backup'
import { browserShelf } from './database'
import { whyNotSaved } from './save-result'

/** A folder as a browser hands it out, as far as it is used here. */
export interface FolderHandle {
  readonly name: string
  getFileHandle(
    name: string,
    options: { readonly create: true },
  ): Promise<{
    createWritable(): Promise<{ write(text: string): Promise<void>; close(): Promise<void> }>
  }>
  removeEntry(name: string): Promise<void>
  keys(): AsyncIterable<string>
  queryPermission?(options: { readonly mode: 'readwrite' }): Promise<PermissionState>
  requestPermission?(options: { readonly mode: 'readwrite' }): Promise<PermissionState>
}

type Picking = { showDirectoryPicker?: (options: object) => Promise<FolderHandle> }

const FOLDER = 'folder'
const LAST = 'last'
const DAY_MS = 86_400_000
/** A backup is made by itself once a day. */
const EVERY_MS = DAY_MS
/** So many files stay in the folder; the oldest go. */
export const FILES_KEPT = 14
/** A last backup of so many days is told of. */
const OLD_DAYS = 14
const FILE = /^ypsos-backup-\d{4}-\d{2}-\d{2}\.json$/

const isFolder = (raw: unknown): raw is FolderHandle =>
  typeof raw === 'object' && raw !== null && 'getFileHandle' in raw && 'name' in raw

/** Whether this browser lets a page write into a folder that a person picks. */
export const canPickFolder = (): boolean =>
  typeof window !== 'undefined' && typeof (window as Picking).showDirectoryPicker === 'function'

/** Asks for a folder and remembers it; nothing where nobody picked one. */
export async function pickFolder(): Promise<FolderHandle | undefined> {
  try {
    const folder = await (window as Picking).showDirectoryPicker?.({ id: 'ypsos', mode: 'readwrite' })
    if (folder) await browserShelf.setItem(FOLDER, folder)
    return folder
  } catch {
    return undefined
  }
}

/** The folder that was picked; nothing where there is none, or this browser keeps no such thing. */
export async function backupFolder(): Promise<FolderHandle | undefined> {
  try {
    const raw: unknown = await browserShelf.getItem(FOLDER)
    return isFolder(raw) ? raw : undefined
  } catch {
    return undefined
  }
}

export const forgetFolder = (): Promise<void> => browserShelf.removeItem(FOLDER)

/** When everything was last backed up here, by hand or by itself; nothing where it never was. */
export async function lastBackup(): Promise<string | undefined> {
  try {
    const read = z.iso.datetime().safeParse(await browserShelf.getItem(LAST))
    return read.success ? read.data : undefined
  } catch {
    return undefined
  }
}

export const backedUp = async (at: string): Promise<void> => {
  await browserShelf.setItem(LAST, at)
}

async function thinned(folder: FolderHandle): Promise<void> {
  const files: string[] = []
  for await (const name of folder.keys()) if (FILE.test(name)) files.push(name)
  for (const name of files.sort().slice(0, Math.max(0, files.length - FILES_KEPT)))
    await folder.removeEntry(name)
}

/** Writes a backup into a folder, whole or not at all: the browser puts the file in its place when it is closed. */
export async function backUpInto(folder: FolderHandle, at: string): Promise<void> {
  const text = await backupText(at)
  const file = await folder.getFileHandle(`ypsos-backup-${at.slice(0, 10)}.json`, { create: true })
  const writing = await file.createWritable()
  await writing.write(text)
  await writing.close()
  await thinned(folder)
  await backedUp(at)
}

type ByItself =
  | { readonly did: 'nothing' }
  | { readonly did: 'wrote'; readonly folder: string }
  | { readonly did: 'failed'; readonly folder: string; readonly reason: string }

/** Makes a backup where a folder was picked, it may still be written to, and the last one is a day old. */
export async function backUpByItself(now: number): Promise<ByItself> {
  const folder = await backupFolder()
  if (!folder) return { did: 'nothing' }
  const last = await lastBackup()
  if (last !== undefined && now - Date.parse(last) < EVERY_MS) return { did: 'nothing' }
  try {
    const may = (await folder.queryPermission?.({ mode: 'readwrite' })) ?? 'granted'
    if (may !== 'granted')
      return {
        did: 'failed',
        folder: folder.name,
        reason: 'the browser asks for permission to write there again',
      }
    await backUpInto(folder, new Date(now).toISOString())
    return { did: 'wrote', folder: folder.name }
  } catch (error) {
    return { did: 'failed', folder: folder.name, reason: whyNotSaved(error) }
  }
}

/** What is said of backups where none is made by itself: that there is none, or that the last one is old; else nothing. */
export function backupReminder(last: string | undefined, now: number): string | undefined {
  if (last === undefined) return 'No backup was ever made. The data is in this browser alone.'
  const days = Math.floor((now - Date.parse(last)) / DAY_MS)
  return days >= OLD_DAYS ? `The last backup is ${days} days old.` : undefined
}
