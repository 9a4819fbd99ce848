import type { RestorePreview } from '@/storage/backup'

export type RestoreMode = 'merge' | 'replace'

/** What is asked about a backup: to open one, to say what it would change, to put it on the shelves. */
export type BackupQuestion =
  | { readonly say: 'open'; readonly file: Blob; readonly mode: RestoreMode }
  | { readonly say: 'preview'; readonly mode: RestoreMode }
  | { readonly say: 'restore'; readonly mode: RestoreMode; readonly staying: readonly string[] }

export type BackupAnswer =
  /** It cannot be opened, or was not put back; nothing was changed. */
  | { readonly say: 'refused'; readonly reasons: readonly string[] }
  | {
      readonly say: 'preview'
      readonly madeAt: string
      readonly mode: RestoreMode
      readonly preview: RestorePreview
    }
  | { readonly say: 'progress'; readonly done: number; readonly of: number }
  | { readonly say: 'restored' }
