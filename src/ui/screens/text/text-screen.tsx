'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import {
  textDraft,
  jobFromText,
  placeInDraft,
  RACK_SHEET,
  type SheetReading,
  VEHICLE_SHEET,
} from '@/core/api/files'
import { ATTACHMENTS, BODIES, choicesOf, RACK_KINDS, type Source } from '@/core/api/plan'
import { textKey } from '@/storage/drafts'
import { savePlan } from '@/storage/plans'
import { PageBar } from '@/ui/app/page-bar'
import { SourceChoice } from '@/ui/forms/text/source-choice'
import { TextView } from '@/ui/forms/text/text-view'
import { useFigures } from '@/ui/forms/text/use-figures'
import { keepText, useKeptText } from '@/ui/forms/text/use-kept-text'
import { useOfText } from '@/ui/forms/text/use-of-text'
import { useReadText } from '@/ui/forms/text/use-read-text'
import { Button, ButtonLink } from '@/ui/kit/button'
import { Choice } from '@/ui/kit/choice'
import { TextBox } from '@/ui/kit/field'
import { Note } from '@/ui/kit/field-note'
import { to } from '@/ui/routes'
import { useSettings } from '@/ui/state/settings-store'
import { useStock } from '@/ui/state/stock'
import { SheetFigures } from './sheet-figures'
import { ThingsChoice } from './things-choice'
import { useJobChoices } from './use-job-choices'

const NONE: ReadonlySet<string> = new Set()
const MOST_NAME = 120

/** A job from what somebody sent: its vehicle, rack and gear begin with what the text says. */
export function TextScreen() {
  const router = useRouter()
  const house = useSettings((store) => store.settings.house)
  const { adapters } = useStock()
  const [id] = useState(() => `plan-${crypto.randomUUID()}`)
  const { ready, text, change, drop } = useKeptText(textKey(undefined))
  const now = useReadText(text, undefined)
  const { choices, chosen, racks, choose } = useJobChoices(text, now.read)
  const draft = textDraft(choices, id)
  const place = (reading: SheetReading) => {
    const found = placeInDraft(draft, reading)
    return found && { group: found.sheet, asks: found.asks }
  }
  const all = useFigures(text, now.read, place)
  const [from, setFrom] = useState<Source['kind']>('sheet')
  const [compared, setCompared] = useOfText(text, NONE)
  const [name, setName] = useState('')
  const { isLetter } = now.read
  const stands = isLetter ? 'told' : from
  const usualName = `${draft.vehicle.name}, from a text`
  const sheet = (group: string) => ({
    group,
    figures: all,
    from: stands,
    compared: compared.has(group),
    onCompared: (is: boolean) =>
      setCompared(new Set([...[...compared].filter((each) => each !== group), ...(is ? [group] : [])])),
  })
  const { body, attachment } = { ...now.read.named, ...chosen }
  const unsaid = [
    ...(body === undefined ? ['what body the car has'] : []),
    ...(attachment === undefined ? ['what holds a rack on it'] : []),
  ]
  const start = async () => {
    const plan = jobFromText(
      { id, name: name.trim() || usualName, ...(house && { rules: house }) },
      draft,
      all.taken,
      now.read.readings,
      (group) => (compared.has(group) ? stands : 'told'),
      adapters,
    )
    await savePlan(plan)
    // From now on the text is the job’s: each of its sheets can be filled from it.
    await keepText(textKey(id), text)
    await drop()
    router.push(to('load', { job: id }))
  }
  return (
    <>
      <PageBar screen="text" about="a job from what you were sent">
        <ButtonLink variant="quiet" href={to('board')}>
          All jobs
        </ButtonLink>
      </PageBar>
      <main className="mx-auto grid max-w-[1500px] gap-6 p-4 lg:grid-cols-2" aria-busy={!ready}>
        {ready && <TextView text={text} now={now} figures={all} place={place} onText={change} />}
        <div className="min-w-0 space-y-4">
          <SourceChoice isLetter={isLetter} from={from} onFrom={setFrom} />
          <SheetFigures title="Vehicle" {...sheet(VEHICLE_SHEET)}>
            <div className="flex flex-wrap gap-3">
              <Choice
                className="w-52"
                label="Body"
                value={choices.body}
                options={choicesOf(BODIES, ({ label }) => label)}
                onChange={(body) => choose({ body })}
              />
              <Choice
                className="w-64"
                label="What holds the rack"
                value={choices.attachment}
                options={choicesOf(ATTACHMENTS, ({ choice }) => choice)}
                onChange={(attachment) => choose({ attachment })}
              />
            </div>
            {unsaid.length > 0 && (
              <Note>
                The text does not say {unsaid.join(' or ')}. What is usual is set: look at the car, and
                choose.
              </Note>
            )}
          </SheetFigures>
          <SheetFigures title="Rack" {...sheet(RACK_SHEET)}>
            <Choice
              className="w-52"
              label="Kind of rack"
              value={choices.rack}
              options={[
                ...racks.map((kind) => [kind, RACK_KINDS[kind].choice] as const),
                ['none', 'No rack yet'] as const,
              ]}
              onChange={(rack) => choose({ rack })}
            />
          </SheetFigures>
          <ThingsChoice things={choices.things} onThings={(things) => choose({ things })} />
          {draft.gear.map(({ sheet: gear }) => (
            <SheetFigures key={gear.id} title={gear.name} {...sheet(gear.id)} />
          ))}
          <TextBox
            className="max-w-md"
            label="Name of the job"
            maxLength={MOST_NAME}
            value={name}
            placeholder={usualName}
            onText={setName}
          />
          <div className="flex flex-wrap items-center gap-3">
            <Button variant="solid" disabled={now.is !== 'read'} onClick={() => void start()}>
              Start the job
            </Button>
            <Note>
              {all.asked > 0 && `${all.asked} still to answer above; what is not answered is not taken. `}
              {all.taken.length === 1 ? '1 figure is taken.' : `${all.taken.length} figures are taken.`}
            </Note>
          </div>
        </div>
      </main>
    </>
  )
}
