'use client'
import { to } from '@/ui/routes'
import dynamic from 'next/dynamic'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import { textKey } from '@/storage/drafts'
import { isTextFile } from '@/ui/forms/text/text-files'
import { Modal } from '@/ui/kit/modal'
import { useOpenFile } from './open-file'

const JobBundleDialog = dynamic(() => import('./job-bundle-dialog').then((module) => module.JobBundleDialog))

/** A text that was dropped waits on the screen that begins a job with it. */
async function takeText(file: File): Promise<string | undefined> {
  const { textOfFile } = await import('@/ui/forms/text/file-text')
  const read = await textOfFile(file, () => undefined)
  if (!read.ok) return read.why
  const { keepText } = await import('@/ui/forms/text/use-kept-text')
  await keepText(textKey(undefined), read.text)
  return undefined
}

/** A plan file dropped anywhere opens, and a text begins a job; what is wrong with a bad one is said here. */
export function FileDrop() {
  const router = useRouter()
  const { open, problem, bundle, dismiss } = useOpenFile()
  const [over, setOver] = useState(false)
  const [refused, setRefused] = useState<{ readonly file: string; readonly why: string }>()
  useEffect(() => {
    const hasFile = (event: DragEvent) => event.dataTransfer?.types.includes('Files') ?? false
    const onOver = (event: DragEvent) => {
      if (!hasFile(event)) return
      event.preventDefault()
      setOver(true)
    }
    const onLeave = (event: DragEvent) => {
      if (event.relatedTarget === null) setOver(false)
    }
    const onDrop = (event: DragEvent) => {
      if (!hasFile(event)) return
      event.preventDefault()
      setOver(false)
      const file = event.dataTransfer?.files[0]
      if (!file) return
      if (!isTextFile(file))
        void open(file).then((id) => id !== undefined && router.push(to('load', { job: id })))
      else
        void takeText(file).then((why) => {
          if (why === undefined) router.push(to('text'))
          else setRefused({ file: file.name, why })
        })
    }
    window.addEventListener('dragover', onOver)
    window.addEventListener('dragleave', onLeave)
    window.addEventListener('drop', onDrop)
    return () => {
      window.removeEventListener('dragover', onOver)
      window.removeEventListener('dragleave', onLeave)
      window.removeEventListener('drop', onDrop)
    }
  }, [open, router])
  return (
    <>
      {over && (
        <div className="pointer-events-none fixed inset-3 z-50 grid place-items-center border-4 border-dashed border-base-content bg-base-100/85 text-2xl font-semibold">
          Drop the file to open it
        </div>
      )}
      {bundle && <JobBundleDialog bundle={bundle} onClose={() => dismiss(bundle)} />}
      {refused && (
        <Modal title="This file was not read" onClose={() => setRefused(undefined)}>
          <p>
            <strong>{refused.file}</strong>: {refused.why}
          </p>
        </Modal>
      )}
      {problem && (
        <Modal key={problem.time} title="This file was not opened" onClose={() => dismiss(problem)}>
          <p className="mb-2">
            <strong>{problem.file}</strong>: nothing was changed.
          </p>
          <ul className="list-disc pl-5">
            {problem.lines.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </Modal>
      )}
    </>
  )
}
