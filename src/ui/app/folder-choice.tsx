'use client'
import { useEffect, useState } from 'react'
import {
  backUpInto,
  backupFolder,
  canPickFolder,
  type FolderHandle,
  forgetFolder,
  lastBackup,
  pickFolder,
} from '@/storage/backup-folder'
import { whyNotSaved } from '@/storage/save-result'
import { Button } from '@/ui/kit/button'
import { Note } from '@/ui/kit/field-note'
import { whenWords } from '@/ui/kit/day-words'

/** A folder into which a backup is put every day that Ypsos is open, where the browser can do that. */
export function FolderChoice({ onProblem }: { onProblem: (problem: string | undefined) => void }) {
  const [folder, setFolder] = useState<FolderHandle>()
  const [last, setLast] = useState<string>()
  const [can, setCan] = useState(true)
  useEffect(() => {
    let current = true
    void Promise.all([backupFolder(), lastBackup()]).then(([found, at]) => {
      if (!current) return
      setCan(canPickFolder())
      setFolder(found)
      setLast(at)
    })
    return () => {
      current = false
    }
  }, [])
  const write = async (into: FolderHandle) => {
    try {
      await into.requestPermission?.({ mode: 'readwrite' })
      const at = new Date().toISOString()
      await backUpInto(into, at)
      setLast(at)
      onProblem(undefined)
    } catch (error) {
      onProblem(`Nothing was written into the folder ${into.name}. ${whyNotSaved(error)}`)
    }
  }
  const pick = async () => {
    const found = await pickFolder()
    if (!found) return
    setFolder(found)
    await write(found)
  }
  const forget = async () => {
    await forgetFolder()
    setFolder(undefined)
  }
  return (
    <section aria-label="Automatic backups" className="border-hair mt-3 border-t-1 pt-3">
      <p className="mb-2">
        {folder
          ? `A backup goes into the folder ${folder.name} once a day, when the board is opened.`
          : can
            ? 'Choose a folder for a backup once a day, when the board is opened.'
            : 'This browser cannot write backups into a folder. The board reminds you instead.'}{' '}
        {last === undefined ? 'No backup was made yet.' : `The last backup was made ${whenWords(last)}.`}
      </p>
      <div className="flex flex-wrap gap-1.5">
        {can && (
          <Button onClick={() => void pick()}>{folder ? 'Choose another folder' : 'Choose a folder'}</Button>
        )}
        {folder && <Button onClick={() => void write(folder)}>Back up there now</Button>}
        {folder && (
          <Button variant="word" onClick={() => void forget()}>
            Stop automatic backups
          </Button>
        )}
      </div>
      {folder && <Note>If the browser asks for permission again, the board tells you.</Note>}
    </section>
  )
}
