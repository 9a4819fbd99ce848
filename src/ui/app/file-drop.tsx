'use client'
import { to } from '@/ui/routes'
import dynamic from 'next/dynamic'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import { Modal } from '@/ui/kit/modal'
import { useOpenFile } from './open-file'

const JobBundleDialog = dynamic(() => import('./job-bundle-dialog').then((module) => module.JobBundleDialog))

/** A plan file dropped anywhere opens; what is wrong with a bad one is said here. */
export function FileDrop() {
  const router = useRouter()
  const { open, problem, bundle, dismiss } = useOpenFile()
  const [over, setOver] = useState(false)
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
      if (file) void open(file).then((id) => id !== undefined && router.push(to('load', { job: id })))
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
