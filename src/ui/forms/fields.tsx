'use client'
// The form library writes into what it gives out: what is worked out of that may not be kept by the compiler.
'use no memo'
import { Fieldset } from '@/ui/kit/fieldset'
import { Fold } from '@/ui/kit/fold'
import { Note, Problem } from '@/ui/kit/field-note'
import { Button } from '@/ui/kit/button'
import {
  BEGUN,
  COUNTS_CHOICES,
  type DraftOf,
  FIGURE_LABELS,
  figuresIn,
  type Draft,
  type Field,
  type Group,
  entryTitle,
  KNOWN,
  likeTheFirst,
  marksWithout,
  type List,
  MORE_FIGURES,
  newEntry,
  ofKind,
  OTHERS,
  PER_CHOICES,
  SOURCE_CHOICES,
  type FieldsPart,
  type Variants,
} from '@/core/api/fields'
import { Plus, X } from 'lucide-react'
import { useState, type ReactNode } from 'react'
import { get, useFieldArray, useFormContext, useWatch } from 'react-hook-form'
import { Choice } from '@/ui/kit/choice'
import { ChoiceInput, FieldInput } from './field-inputs'
import { fieldAt, openIn, saysItself, under } from './field-parts'
import { useProblem } from './problem'
import { LeftOutProvider, markPath, OwnerProvider, useLeftOut, useOwner, useSheetOf } from './sheet-context'
import { useLeftOutOf } from './use-left-out'

/** Fields side by side; what is a block of its own takes the whole width. */
function Grid({ children }: { children: ReactNode }) {
  return (
    <div className="grid items-start gap-2 @min-[22rem]:grid-cols-2 @min-[37rem]:grid-cols-3">{children}</div>
  )
}

/** Figures by state, with their terms, and those on other terms below. */
function FigureFields({ label, at }: { label: string; at: string }) {
  return (
    <Fieldset title={label} wide>
      <Note>Leave an unknown figure empty. It becomes a Find out.</Note>
      <Grid>
        {(['road', 'trail', 'parked'] as const).map((state) => (
          <FieldInput
            key={state}
            field={{ is: 'quantity', dimension: 'mass', label: FIGURE_LABELS[state] }}
            at={`${at}.${state}`}
          />
        ))}
        <FieldInput
          field={{ is: 'choice', choices: PER_CHOICES, label: FIGURE_LABELS.per }}
          at={`${at}.per`}
        />
        <ChoiceInput
          at={`${at}.counts`}
          label={FIGURE_LABELS.counts}
          choices={COUNTS_CHOICES}
          unstated="Source does not say"
        />
        <ChoiceInput
          at={`${at}.by`}
          label={FIGURE_LABELS.by}
          choices={SOURCE_CHOICES}
          unstated="Same as on top"
        />
        <FieldInput field={{ is: 'text', label: FIGURE_LABELS.page }} at={`${at}.page`} />
      </Grid>
      <Wrong at={at} />
      <ListFields field={MORE_FIGURES} at={`${at}.more`} />
    </Fieldset>
  )
}

function VariantFields({ field, at }: { field: Variants; at: string }) {
  const { setValue, getValues } = useFormContext()
  const { system, chosen, starts } = useSheetOf()
  const owner = useOwner()
  const by = under(at, field.by)
  const kind: unknown = useWatch({ name: by })
  const now = typeof kind === 'string' ? kind : ''
  const choose = (next: string) => {
    if (next === '') return
    const list = at.split('.').slice(0, -1).join('.')
    const startOf = (of: string) => starts[list]?.('new', of) ?? field.start?.(of) ?? { [field.by]: of }
    // The field itself says the next kind already.
    const before = { ...(getValues(at) as DraftOf | undefined), [field.by]: now }
    const entry = ofKind(field, before, next, startOf, system)
    setValue(at, entry, { shouldDirty: true })
    // What the kind brings is nobody's figure until somebody types over it.
    if (owner !== undefined)
      for (const path of figuresIn(field, entry))
        if (get(entry, path) === get(entry[BEGUN], path)) setValue(markPath(owner, under(at, path)), 'start')
  }
  return (
    <>
      <ChoiceInput
        at={by}
        label={field.label}
        choices={field.choices}
        onChosen={at === '' ? chosen[by] : choose}
      />
      {now !== '' && <GroupFields key={now} field={field.groupOf(now)} at={at} bare />}
    </>
  )
}

/** A thing of few plain fields takes one line. */
const isRow = (item: Group | Variants): item is Group => {
  if (item.is !== 'group' || item.parts) return false
  const shown = Object.values(item.fields).filter(({ is }) => is !== 'kept' && is !== 'marks')
  return shown.length <= 3 && shown.every(({ is }) => ['quantity', 'number', 'text', 'choice'].includes(is))
}

/** Takes a thing of the shop's stock into a list, with all that is known of it. */
function FromStock({ field, at, add }: { field: List; at: string; add: (start: unknown) => void }) {
  const { stock } = useSheetOf()
  const items = stock[at] ?? []
  const [id, setId] = useState('')
  if (items.length === 0) return null
  const chosen = items.find((each) => each.id === id) ?? items[0]
  return (
    <>
      <Choice
        className="min-w-60"
        label={`Take ${field.one} from stock`}
        value={chosen?.id ?? ''}
        options={items.map((each) => [each.id, each.name] as const)}
        onChange={setId}
      />
      <Button onClick={() => add(chosen)}>Take it</Button>
    </>
  )
}

function ListFields({ field, at }: { field: List; at: string }) {
  const { control, getValues, setValue } = useFormContext()
  const { system, starts } = useSheetOf()
  const owner = useOwner()
  const { fields, append, remove, replace } = useFieldArray({ control, name: at, keyName: 'key' })
  const [kind, setKind] = useState('')
  const { item } = field
  const kinds =
    item.is === 'variants' ? item.choices.map(([value, words]) => [String(value), words] as const) : []
  const chosen = kind === '' ? (kinds[0]?.[0] ?? '') : kind
  const add = (stocked?: unknown) => {
    const id = `${field.one.split(' ').at(-1) ?? 'item'}-${crypto.randomUUID().slice(0, 6)}`
    const start = stocked === undefined ? (starts[at] ?? field.start) : () => stocked
    const there = (getValues(at) as readonly Draft[] | undefined) ?? []
    const entry = newEntry(
      {
        ...field,
        ...(start && { start }),
        ...(stocked !== undefined && { alikeBut: undefined, nextAfter: undefined }),
      },
      system,
      id,
      chosen,
      there,
    )
    append(entry)
    if (owner !== undefined && stocked === undefined)
      for (const path of figuresIn(item, entry))
        setValue(markPath(owner, `${under(at, String(there.length))}.${path}`), 'start')
  }
  const removeAt = (i: number) => {
    remove(i)
    if (owner === undefined) return
    const list = owner === '' ? at : at.slice(owner.length + 1)
    for (const key of [KNOWN, OTHERS]) {
      const marks = under(owner, key)
      setValue(marks, marksWithout((getValues(marks) ?? {}) as DraftOf, list, i))
    }
  }
  return (
    <div className="col-span-full space-y-2">
      {field.hint !== undefined && fields.length > 0 && <Note>{field.hint}</Note>}
      {fields.map(({ key }, i) => {
        const here = under(at, String(i))
        const title = entryTitle(item, getValues(here) as Draft, field.one, i)
        const removal = (
          <Button
            variant="word"
            {...(isRow(item) ? { className: 'mt-[1.7rem]' } : {})}
            aria-label={`Remove ${title}`}
            onClick={() => removeAt(i)}
          >
            {isRow(item) ? <X size={18} aria-hidden /> : 'Remove'}
          </Button>
        )
        return isRow(item) ? (
          <div key={key} role="group" aria-label={title} className="flex items-start gap-2 [&>div]:flex-1">
            <GroupFields field={item} at={here} bare />
            {removal}
          </div>
        ) : (
          <Fieldset key={key} title={title}>
            <FieldView field={item} at={here} bare />
            {removal}
          </Fieldset>
        )
      })}
      <Wrong at={at} />
      <div className="flex flex-wrap items-end gap-2">
        {kinds.length > 0 && (
          <Choice
            className="min-w-60"
            label={`Add ${field.one}`}
            value={chosen}
            options={kinds}
            onChange={setKind}
          />
        )}
        <Button variant={kinds.length > 0 ? 'plain' : 'word'} onClick={() => add()}>
          <Plus size={16} aria-hidden /> {kinds.length > 0 ? 'Add it' : `Add ${field.one}`}
        </Button>
        {field.alikeBut && fields.length > 1 && (
          <Button
            variant="word"
            onClick={() =>
              replace([...likeTheFirst(getValues(at) as readonly Draft[], field.alikeBut ?? [])])
            }
          >
            Copy the first to all
          </Button>
        )}
        <FromStock field={field} at={at} add={add} />
      </div>
    </div>
  )
}

function PartFields({ group, part, at }: { group: Group; part: FieldsPart; at: string }) {
  const { sentTo } = useSheetOf()
  const { formState, getValues } = useFormContext()
  const leftOut = useLeftOut()
  const keys = part.keys.filter((key) => !leftOut.has(under(at, key)))
  const paths = keys.map((key) => under(at, key))
  const sent = sentTo !== undefined && paths.some((path) => sentTo === path || sentTo.startsWith(`${path}.`))
  const [open, setOpen] = useState<boolean>()
  const wrong = formState.isSubmitted && paths.some((path) => get(formState.errors, path) !== undefined)
  const isOpen = part.title === undefined || (open ?? (part.open === true || sent)) || wrong
  if (keys.length === 0) return null
  const views = keys.flatMap((key, i) => {
    const field = fieldAt(group, key)
    if (!field) return []
    const view = <FieldView key={key} field={field} at={paths[i] ?? key} />
    return saysItself(group, key) ? (
      <OwnerProvider key={key} value={undefined}>
        {view}
      </OwnerProvider>
    ) : (
      view
    )
  })
  if (part.title === undefined) return <Grid>{views}</Grid>
  const left = openIn(
    keys.flatMap((key, i) => {
      const field = fieldAt(group, key)
      const path = paths[i] ?? key
      return field ? [[field, getValues(path), path] as const] : []
    }),
    leftOut,
  )
  return (
    <Fold
      around="col-span-full"
      data-part
      className="min-h-11 py-[0.6rem] px-0 border-b-1 border-b-hair font-[650] cursor-pointer"
      line={
        <>
          {part.title}
          {left > 0 && <span className="text-ink2 ml-2 text-note font-normal">{left} not filled in</span>}
        </>
      }
      open={isOpen}
      onOpen={setOpen}
    >
      {() => (
        <div className="pb-3">
          <Grid>{views}</Grid>
        </div>
      )}
    </Fold>
  )
}

/** The fields of a group: in its parts, or all side by side. */
function GroupFields({ field, at, bare = false }: { field: Group; at: string; bare?: boolean }) {
  const above = useOwner()
  const leftOut = useLeftOutOf(field, at)
  const pathOfKnown = 'known' in field.fields ? at : 'typed' in field.fields ? undefined : above
  const loose = Object.entries(field.fields).map(([key, each]) => (
    <FieldView key={key} field={each} at={under(at, key)} />
  ))
  const body = field.parts
    ? field.parts.map((part, i) => <PartFields key={part.title ?? i} group={field} part={part} at={at} />)
    : loose
  const owned = (
    <LeftOutProvider value={leftOut}>
      <OwnerProvider value={pathOfKnown}>
        {body}
        <Wrong at={at} />
        <HalfKnown at={at} />
      </OwnerProvider>
    </LeftOutProvider>
  )
  if (field.label === '' || bare)
    return field.parts ? <div className="col-span-full space-y-2">{owned}</div> : owned
  return (
    <Fieldset title={field.label} wide>
      {field.parts ? owned : <Grid>{owned}</Grid>}
    </Fieldset>
  )
}

/** What is kept of a group of which something is missing. */
function HalfKnown({ at }: { at: string }) {
  const note = useSheetOf().notes[at]
  return note === undefined ? null : <Note className="col-span-full">{note}</Note>
}

/** What is wrong with a whole: a range that ends before it begins. */
function Wrong({ at }: { at: string }) {
  const problem = useProblem(at)
  return problem === undefined ? null : (
    <div className="col-span-full" data-place={at} tabIndex={-1}>
      <Problem>{problem}</Problem>
    </div>
  )
}

/** Any field of a sheet, as what it is. */
export function FieldView({ field, at, bare = false }: { field: Field; at: string; bare?: boolean }) {
  if (useLeftOut().has(at)) return null
  switch (field.is) {
    case 'kept':
    case 'marks':
      return null
    case 'split':
      return (
        <>
          {Object.entries(field.parts).map(([key, part]) => (
            <FieldInput key={key} field={part} at={under(at, key)} partOfOne />
          ))}
          <Wrong at={at} />
          <HalfKnown at={at} />
        </>
      )
    case 'figures':
      return <FigureFields label={field.label} at={at} />
    case 'group':
      return bare ? (
        <Grid>{<GroupFields field={field} at={at} bare />}</Grid>
      ) : (
        <GroupFields field={field} at={at} />
      )
    case 'variants':
      return bare ? (
        <Grid>
          <VariantFields field={field} at={at} />
        </Grid>
      ) : (
        <VariantFields field={field} at={at} />
      )
    case 'list':
      return <ListFields field={field} at={at} />
    default:
      return <FieldInput field={field} at={at} />
  }
}
