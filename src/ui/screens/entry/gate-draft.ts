import { formatPrecise, type Gate, type UnitSystem } from '@/core'
import type { DraftReader } from './draft-reader'

/** A condition to be measured on the vehicle, as typed. Fields a kind does not ask for are left as they are. */
export interface GateDraft {
  id: string
  question: string
  kind: Gate['ask']['kind']
  from: string
  to: string
  softFrom: string
  softTo: string
  datum: string
  gauge: string
  must: 'go' | 'noGo'
}

export const GATE_CHOICES: readonly (readonly [GateDraft['kind'], string])[] = [
  ['length', 'A gap or a thickness'],
  ['gauge', 'A gauge that must go in, or not'],
  ['mass', 'A weight'],
]

export function startingGate(kind: GateDraft['kind'], id: string): GateDraft {
  return {
    id,
    question: '',
    kind,
    from: '',
    to: '',
    softFrom: '',
    softTo: '',
    datum: '',
    gauge: '',
    must: 'go',
  }
}

/** Gates as texts for the form. */
export function gatesToDraft(gates: readonly Gate[] | undefined, system: UnitSystem): GateDraft[] {
  const mm = (value: number | undefined) =>
    value === undefined ? '' : formatPrecise('length', value, system)
  const kg = (value: number) => formatPrecise('mass', value, system)
  return (gates ?? []).map(({ id, question, ask }) => {
    const draft = { ...startingGate(ask.kind, id), question }
    switch (ask.kind) {
      case 'length':
        return {
          ...draft,
          from: mm(ask.fromMm),
          to: mm(ask.toMm),
          softFrom: mm(ask.softFromMm),
          softTo: mm(ask.softToMm),
          datum: ask.datum,
        }
      case 'gauge':
        return { ...draft, gauge: ask.gauge, must: ask.must }
      case 'mass':
        return { ...draft, from: kg(ask.fromKg), to: kg(ask.toKg) }
    }
  })
}

function readAsk(reader: DraftReader, draft: GateDraft, at: string): Gate['ask'] {
  const ends = (from: number, to: number) => {
    if (to < from) reader.fail(`${at}.to`, 'It must not be less than where it begins.')
    return [from, Math.max(from, to)] as const
  }
  switch (draft.kind) {
    case 'gauge':
      return {
        kind: 'gauge',
        gauge: reader.words(`${at}.gauge`, draft.gauge, 'a gauge', 'the gauge a name: a 6 mm hex key'),
        must: draft.must,
      }
    case 'mass': {
      const [fromKg, toKg] = ends(
        reader.mass(`${at}.from`, draft.from, 0),
        reader.mass(`${at}.to`, draft.to, 0),
      )
      return { kind: 'mass', fromKg, toKg }
    }
    case 'length': {
      const [fromMm, toMm] = ends(
        reader.size(`${at}.from`, draft.from, 0),
        reader.size(`${at}.to`, draft.to, 0),
      )
      const softFromMm = reader.optional(`${at}.softFrom`, 'length', draft.softFrom)
      const softToMm = reader.optional(`${at}.softTo`, 'length', draft.softTo)
      if (softFromMm !== undefined && (softFromMm < fromMm || softFromMm > (softToMm ?? toMm)))
        reader.fail(`${at}.softFrom`, 'It lies between the two bounds.')
      if (softToMm !== undefined && (softToMm > toMm || softToMm < (softFromMm ?? fromMm)))
        reader.fail(`${at}.softTo`, 'It lies between the two bounds.')
      return {
        kind: 'length',
        fromMm,
        toMm,
        ...(softFromMm === undefined ? {} : { softFromMm }),
        ...(softToMm === undefined ? {} : { softToMm }),
        datum: draft.datum.trim().slice(0, 120),
      }
    }
  }
}

/** Gates from the form's texts; what one implies of another stays as long as both are there. */
export function readGates(
  reader: DraftReader,
  drafts: readonly GateDraft[],
  was: readonly Gate[] | undefined,
  system: UnitSystem,
): { gates?: Gate[] } {
  const shown = gatesToDraft(was, system)
  const gates = drafts.map((draft, i): Gate => {
    const before = was?.find(({ id }) => id === draft.id)
    if (before && JSON.stringify(shown.find(({ id }) => id === draft.id)) === JSON.stringify(draft))
      return before
    const at = `gates.${i}`
    const implies =
      before?.implies && drafts.some(({ id }) => id === before.implies?.gateId) ? before.implies : undefined
    return {
      id: draft.id,
      question: reader.words(`${at}.question`, draft.question, 'A gate', 'it a question'),
      ask: readAsk(reader, draft, at),
      ...(implies ? { implies } : {}),
    }
  })
  return gates.length === 0 ? {} : { gates }
}
