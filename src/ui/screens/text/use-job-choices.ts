'use client'
import { choicesOfText, type JobChoices, type SheetRead } from '@/core/api/files'
import { ATTACHMENTS } from '@/core/api/plan'
import { useOfText } from '@/ui/forms/text/use-of-text'

const NOTHING: Partial<JobChoices> = {}

/** What a job is begun with: as the text names it until a person chooses otherwise. */
export function useJobChoices(text: string, read: SheetRead) {
  const [chosen, setChosen] = useOfText<Partial<JobChoices>>(text, NOTHING)
  const named = { ...choicesOfText(read), ...chosen }
  const stands = ATTACHMENTS[named.attachment].racks
  // Another attachment may hold other racks.
  const rack = named.rack === 'none' || stands.includes(named.rack) ? named.rack : (stands[0] ?? 'none')
  const choices: JobChoices = { ...named, rack }
  return {
    choices,
    chosen,
    racks: stands,
    choose: (next: Partial<JobChoices>) => setChosen({ ...chosen, ...next }),
  }
}
