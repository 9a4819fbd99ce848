import type { RestorePreview } from '@/storage/backup'

export type RestoreWay = 'merge' | 'replace'

/** What is asked about a backup: to open one, to say what it would change, to put it on the shelves. */
export type BackupQuestion =
  | { readonly say: 'open'; readonly file: Blob; readonly way: RestoreWay }
  | { readonly say: 'preview'; readonly way: RestoreWay }
  | { readonly say: 'restore'; readonly way: RestoreWay; readonly staying: readonly string[] }

export type BackupAnswer =
  /** It cannot be opened, or was not put back; nothing was changed. */
  | { readonly say: 'refused'; readonly reasons: readonly string[] }
  | {
      readonly say: 'preview'
      readonly madeAt: string
      readonly way: RestoreWay
      readonly preview: RestorePreview
    }
  | { readonly say: 'progress'; readonly done: number; readonly of: number }
  | { readonly say: 'restored' }
