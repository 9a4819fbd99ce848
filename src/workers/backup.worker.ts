import { openBackup, previewRestore, restore } from '@/storage/backup'
import { whyNotSaved } from '@/storage/save-result'
import type { BackupAnswer, BackupQuestion, RestoreMode } from './backup-messages'

const answer = (message: BackupAnswer) => postMessage(message)

let opened: Extract<Awaited<ReturnType<typeof openBackup>>, { ok: true }> | undefined

/** This worker was started after the backup was opened. */
const NOT_OPEN: BackupAnswer = {
  say: 'refused',
  reasons: ['The backup is not open any more. Nothing was changed. Open it again.'],
}

async function preview(mode: RestoreMode): Promise<void> {
  if (!opened) {
    answer(NOT_OPEN)
    return
  }
  const { madeAt, shelves, pasts } = opened
  answer({ say: 'preview', madeAt, mode, preview: await previewRestore(shelves, pasts, mode) })
}

async function answered(question: BackupQuestion): Promise<void> {
  switch (question.say) {
    case 'open': {
      opened = undefined
      const read = await openBackup(await question.file.text())
      if (!read.ok) {
        answer({ say: 'refused', reasons: read.reasons })
        return
      }
      opened = read
      return preview(question.mode)
    }
    case 'preview':
      return preview(question.mode)
    case 'restore': {
      if (!opened) {
        answer(NOT_OPEN)
        return
      }
      const kept = await restore(
        opened.shelves,
        question.mode,
        opened.pasts,
        new Set(question.staying),
        (done, of) => answer({ say: 'progress', done, of }),
      )
      answer(
        kept.ok ? { say: 'restored' } : { say: 'refused', reasons: [`Nothing was changed. ${kept.reason}`] },
      )
    }
  }
}

/** Opens a backup and puts it back beside the page: ten years of a shop take seconds to read. */
addEventListener('message', ({ data }: MessageEvent<BackupQuestion>) => {
  answered(data).catch((error: unknown) => answer({ say: 'refused', reasons: [whyNotSaved(error)] }))
})
