import type { ProvenanceByField, OtherFigure } from '../plan/schema/provenance'
import {
  BEGUN,
  KNOWN,
  OTHERS,
  WAS,
  draftAt,
  draftOf,
  draftsOf,
  othersDraft,
  textOf,
  type Draft,
} from './draft'
import type { Fields } from './field'
import { quantityAlong } from './field-along'
import { listOf, rawOf } from './unknown-record'
import { ASKED, KEPT, fault, parsed, same, sameList, type ParseContext, type Owner } from './reading'

/** How each field is known after reading: as the form says, and no starting value once it was typed over. */
export function provenanceNow(
  { draft, was, owner }: { draft: Draft | undefined; was: unknown; owner: Owner },
  othersAt: (path: string) => readonly OtherFigure[] | undefined,
): ProvenanceByField | undefined {
  const before = rawOf(was)
  const marks = draftOf(draftOf(draft)[KNOWN])
  // In a new entry of a list everything is new; what still stands as the form began it nobody has typed.
  const began = draftOf(draft)[BEGUN]
  const begun = (path: string) =>
    began !== undefined && same(draftAt(draft, path.split('.')), draftAt(began, path.split('.')))
  const said = Object.keys(draftOf(draftOf(draft)[OTHERS]))
  const emptied = [...owner.emptied].map((path) => path.replaceAll('.', ':'))
  const now = [...new Set([...Object.keys(marks), ...said, ...emptied])].flatMap((key) => {
    const path = key.replaceAll(':', '.')
    // Figures by state keep their own source.
    if (owner.figures.has(path.split('.').slice(0, -1).join('.'))) return []
    const mark = owner.emptied.has(path) ? 'start' : textOf(marks[key])
    const old = rawOf(before[path])
    const others = othersAt(path)
    const form = mark === 'start' || mark === 'target'
    // What nobody said is told: a figure beside which another stands has to say so.
    const by =
      mark === '' || (form && owner.changed.has(path) && !owner.emptied.has(path) && !begun(path))
        ? others
          ? 'told'
          : ''
        : mark
    if (by === '') return []
    const same = old['by'] === by && sameList(others ?? [], listOf(old['others']))
    return [[path, same ? old : { by, ...(others ? { others } : {}) }] as const]
  })
  const known = new Map<string, unknown>(now)
  for (const [path, of] of owner.follows) {
    const by = rawOf(known.get(of))['by']
    known.delete(path)
    if (by !== undefined) known.set(path, { by })
  }
  return known.size > 0 ? (Object.fromEntries(known) as ProvenanceByField) : undefined
}

/** The other figures of one field as they were typed; one left as it was is the very same. */
export function readOthers(
  { draft, was, path: at, reading }: Pick<ParseContext, 'draft' | 'was' | 'path' | 'reading'>,
  fields: Fields,
  path: string,
): readonly OtherFigure[] | undefined {
  const key = path.replaceAll('.', ':')
  const drafts = draftsOf(draftOf(draftOf(draft)[OTHERS])[key])
  const before = listOf(rawOf(rawOf(rawOf(was)['known'])[path])['others']) as readonly OtherFigure[]
  const then = draftsOf(othersDraft(fields, rawOf(was), reading.system)[key])
  const field = quantityAlong(fields, was, path)
  if (!field) return before.length > 0 ? before : undefined
  const now = drafts.flatMap((each, i): OtherFigure[] => {
    const { value: text, by, says, unused, [WAS]: mark } = draftOf(each)
    const stood = Number(textOf(mark))
    const old = textOf(mark) === '' ? undefined : before[stood]
    if (old && same(each, then[stood])) return [old]
    const where = `${at === '' ? '' : `${at}.`}${OTHERS}.${key}.${i}`
    const read = parsed(field, textOf(text), reading.system)
    if ('problem' in read || typeof read.value !== 'number') {
      fault(reading, `${where}.value`, 'problem' in read ? read.problem : ASKED)
      return old ? [old] : []
    }
    return [
      {
        value: old && textOf(text) === textOf(draftOf(then[stood])['value']) ? old.value : read.value,
        by: (textOf(by) || 'told') as OtherFigure['by'],
        ...(textOf(says).trim() === '' ? {} : { says: textOf(says).trim().slice(0, 80) }),
        ...(textOf(unused).trim() === '' ? {} : { unused: textOf(unused).trim().slice(0, 200) }),
        ...(read.typed !== undefined && read.typed.length <= KEPT ? { typed: read.typed } : {}),
      },
    ]
  })
  return now.length > 0 ? now : undefined
}
