'use client'
import { useEffect, useState } from 'react'
import { backUpByItself, backupFolder, backupReminder, lastBackup } from '@/storage/backup-folder'
import { Alert } from '@/ui/kit/alert'
import { Button } from '@/ui/kit/button'

/** Makes the day's backup where a folder was picked for it; else says that there is none, or that the last one is old. */
export function BackupState({ reminds, onBackup }: { reminds: boolean; onBackup: () => void }) {
  const [message, setMessage] = useState<string>()
  useEffect(() => {
    let current = true
    const backupWords = async () => {
      const now = Date.now()
      const done = await backUpByItself(now)
      if (done.did === 'failed') return `No backup into the folder ${done.folder}: ${done.reason}.`
      return !reminds || (await backupFolder()) ? undefined : backupReminder(await lastBackup(), now)
    }
    void backupWords().then((words) => current && setMessage(words))
    return () => {
      current = false
    }
  }, [reminds])
  return (
    message !== undefined && (
      <Alert variant="mind" className="mb-3">
        {message}{' '}
        <Button variant="word" onClick={onBackup}>
          Back it up
        </Button>
      </Alert>
    )
  )
}
