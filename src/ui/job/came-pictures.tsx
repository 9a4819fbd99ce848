'use client'
import type { Plan } from '@/core/api/plan'
import { useState } from 'react'
import { savePicture } from '@/storage/pictures'
import { Button } from '@/ui/kit/button'
import { TextField } from '@/ui/kit/choice'
import { Problem } from '@/ui/kit/field-note'
import { FileButton } from '@/ui/kit/file-button'
import { StoredPicture } from '@/ui/app/stored-picture'
import { planStore } from '@/ui/state/plan-store'
import { smallPicture } from './small-picture'

type CameDetails = NonNullable<Plan['job']['came']>
type Pictures = NonNullable<CameDetails['pictures']>

const MOST = 12

/** Pictures of the car as it came in, each with a word on what it shows. They stay in this browser and its backup. */
export function CamePictures({ plan }: { plan: Plan }) {
  const [problem, setProblem] = useState<string>()
  const { job } = plan
  const pictures = job.came?.pictures ?? []
  const set = (next: Pictures) => {
    const { pictures: _, ...rest } = job.came ?? {}
    const came: CameDetails = next.length > 0 ? { ...rest, pictures: next } : rest
    const { came: _came, ...others } = job
    planStore
      .getState()
      .run({ do: 'setJob', job: Object.keys(came).length > 0 ? { ...others, came } : others })
  }
  const add = async (file: File) => {
    setProblem(undefined)
    const picture = await smallPicture(file)
    if (picture === undefined) {
      setProblem(`${file.name} cannot be read as a picture. Use a JPEG, a PNG or a WebP.`)
      return
    }
    const id = `picture-${crypto.randomUUID()}`
    await savePicture(id, picture)
    set([...pictures, { id, words: '' }])
  }
  return (
    <div className="grid gap-2">
      <ul className="grid gap-2">
        {pictures.map((each, i) => (
          <li key={each.id} className="flex flex-wrap items-end gap-2">
            <StoredPicture id={each.id} words={each.words} className="h-20 w-28" />
            <TextField
              label={`What picture ${i + 1} shows`}
              value={each.words}
              max={200}
              onValue={(words) => set(pictures.with(i, { ...each, words: words.trim() }))}
            />
            <Button variant="word" onClick={() => set(pictures.filter((other) => other !== each))}>
              Take picture {i + 1} out
            </Button>
          </li>
        ))}
      </ul>
      {problem !== undefined && <Problem>{problem}</Problem>}
      {pictures.length < MOST && (
        <FileButton
          label="Add a picture"
          says="Picture of the car to add"
          accept="image/*"
          onFile={(file) => void add(file)}
        />
      )}
    </div>
  )
}
