'use client'
import { STATE_WORD, type Survey } from '@/core/api/assess'
import { STATES, type UnitChoice } from '@/core/api/plan'
import { rackBox, zoomStore } from '@/ui/drawing/zoom-store'
import { downloadPlan } from '@/ui/app/open-file'
import { nudge, setOnEdge, turnNext } from '@/ui/state/edits'
import { type DialogName } from '@/ui/state/dialog-store'
import { planStore } from '@/ui/state/plan-store'

/** What an action works on: the open job, at whatever screen of it. */
export interface OnJob {
  readonly survey: Survey
  readonly units: UnitChoice
  show(dialog: DialogName): void
}

/** A key as it is pressed: on its own, or with Ctrl or the command key held. */
interface Pressed {
  readonly key: string
  readonly held?: true
  readonly shift?: true
}

/** Something a person can ask for by name, by key or by button. */
interface Action {
  /** What the palette calls it, where it can be done now; left out where it is done by key alone. */
  name?(on: OnJob): string | undefined
  /** The key that the palette shows beside it, and those that do it. */
  readonly keys?: string
  readonly on?: readonly Pressed[]
  /** Its line in the list of keys, where it has one of its own. */
  readonly listed?: readonly [keys: string, words: string]
  /** A key in use while something is typed is that field's, but for what opens from anywhere. */
  readonly fromAnywhere?: true
  /** Whether it acts from a field too in which nothing was typed since its value was taken. */
  readonly fromSettled?: true
  /** Whether the browser does nothing of its own with its key. */
  readonly alone?: true
  /** Whether every screen of a job takes it, and not Load alone. */
  readonly everywhere?: true
  run?(on: OnJob, event?: KeyboardEvent): void
}

const plan = () => planStore.getState()
const pickedThing = ({ survey }: OnJob) => {
  const { picked } = plan()
  return picked?.kind === 'thing' ? survey.thingById.get(picked.id) : undefined
}
const low = (on: OnJob) => pickedThing(on)?.gear.name
const key = (...keys: string[]): Pressed[] => keys.map((each) => ({ key: each }))

/** Moves the focus to the finding after the one that has it. */
function nextFinding(): void {
  const rows = [...document.querySelectorAll<HTMLElement>('[data-finding], [data-finding-group]')]
  const now = rows.findIndex((row) => row === document.activeElement || row.contains(document.activeElement))
  rows[(now + 1) % Math.max(rows.length, 1)]?.focus()
}

function nudged({ survey, units }: OnJob, along: number, across: number, coarse = false): void {
  const { picked } = plan()
  if (picked) nudge(survey, picked, along, across, coarse, units)
}
const arrow = (pressed: string, along: number, across: number): Action => ({
  on: key(pressed),
  alone: true,
  run: (on, event) => nudged(on, along, across, event?.shiftKey),
})
const dialog = (words: string, name: DialogName): Action => ({
  name: () => words,
  everywhere: true,
  run: ({ show }) => show(name),
})

/** Takes the focus to the shelf's field, where the shelf is open. */
export const toTheShelf = (): void =>
  document.querySelector<HTMLElement>('#shelf input[type=search]')?.focus()

/** Every action of Load by name and by key; each is also on screen. */
const ACTIONS: readonly Action[] = [
  {
    listed: ['/', 'Find gear on the shelf'],
    on: key('/'),
    alone: true,
    run: toTheShelf,
  },
  ...STATES.map((state, i): Action => ({
    name: () => `Show ${STATE_WORD[state].toLowerCase()}`,
    keys: String(i + 1),
    on: key(String(i + 1)),
    ...(i === 0 && { listed: ['1  2  3', 'Road, trail, parked'] }),
    run: () => plan().showState(state),
  })),
  {
    name: () => 'Undo',
    keys: 'Ctrl Z',
    everywhere: true,
    on: [{ key: 'z', held: true }],
    fromSettled: true,
    alone: true,
    run: () => plan().undo(),
  },
  {
    name: () => 'Redo',
    keys: 'Ctrl Shift Z',
    everywhere: true,
    on: [
      { key: 'z', held: true, shift: true },
      { key: 'y', held: true },
    ],
    fromSettled: true,
    alone: true,
    run: () => plan().redo(),
  },
  {
    listed: [
      'PgDn  PgUp',
      'Step through the drawing: bars, things, feet, rulers; with Shift to the next kind',
    ],
  },
  { listed: ['Arrows', 'From cell to cell of the load path, from thing to thing on the shelf'] },
  {
    listed: ['Arrows', 'Nudge the picked thing 5 mm or 1/4 in; with Shift ten times that'],
  },
  arrow('ArrowLeft', -1, 0),
  arrow('ArrowRight', 1, 0),
  arrow('ArrowUp', 0, 1),
  arrow('ArrowDown', 0, -1),
  {
    name: (on) => {
      const name = low(on)
      return name === undefined ? undefined : `Turn ${name}`
    },
    keys: 'R',
    on: key('r'),
    listed: ['R', 'Turn it'],
    run: (on) => {
      const thing = pickedThing(on)
      if (thing) turnNext(thing)
    },
  },
  {
    name: (on) => (pickedThing(on)?.gear.onEdge ? `Stand on edge or lay flat: ${low(on) ?? ''}` : undefined),
    keys: 'E',
    on: key('e'),
    listed: ['E', 'On edge, or flat again'],
    run: (on) => {
      const thing = pickedThing(on)
      if (thing) setOnEdge(thing)
    },
  },
  {
    name: (on) => {
      const name = low(on)
      return name === undefined ? undefined : `Take off ${name}`
    },
    keys: 'Del',
    on: key('Delete', 'Backspace'),
    listed: ['Del', 'Take it off'],
    run: (on) => {
      const thing = pickedThing(on)
      if (thing) plan().run({ do: 'takeOff', placementId: thing.placement.id })
    },
  },
  { listed: ['F', 'Next finding'], on: key('f'), alone: true, run: nextFinding },
  { listed: ['Enter', "Apply the finding's first fix"] },
  { listed: ['Ctrl Z', 'Undo; with Shift, redo'] },
  {
    name: () => 'See the whole vehicle',
    keys: '0',
    on: key('0'),
    run: () => zoomStore.getState().whole(),
  },
  {
    name: ({ survey }) => (rackBox(survey) ? 'Zoom to the rack' : undefined),
    run: ({ survey }) => {
      const rack = rackBox(survey)
      if (rack) zoomStore.getState().onto(survey, rack)
    },
  },
  {
    name: (on) => (pickedBox(on) ? 'Zoom to the picked thing' : undefined),
    run: (on) => {
      const box = pickedBox(on)
      if (box) zoomStore.getState().onto(on.survey, box)
    },
  },
  {
    name: () => 'Zoom in',
    keys: '+',
    on: key('+', '='),
    listed: ['+  −  0', 'Zoom in, out, whole vehicle'],
    run: ({ survey }) => zoomStore.getState().by(survey, 1.4),
  },
  {
    name: () => 'Zoom out',
    keys: '−',
    on: key('-'),
    run: ({ survey }) => zoomStore.getState().by(survey, 1 / 1.4),
  },
  { listed: ['Alt while dragging', 'Do not snap'] },
  {
    listed: ['Ctrl K', 'Search everything'],
    everywhere: true,
    on: [{ key: 'k', held: true }],
    fromAnywhere: true,
    alone: true,
    run: ({ show }) => show('palette'),
  },
  {
    listed: ['Esc', 'Clear the selection'],
    on: key('escape'),
    run: () => plan().pick(undefined),
  },
  dialog('Doors and garages to pass', 'clearances'),
  dialog('Measurements', 'measure'),
  dialog('House rules for this job', 'rules'),
  dialog('How it is used', 'use'),
  dialog('Job details', 'job'),
  dialog('History of this job', 'history'),
  dialog('Units, theme and keys', 'settings'),
  {
    name: () => 'Download the plan file',
    everywhere: true,
    run: () => {
      const open = plan().plan
      if (open) downloadPlan(open)
    },
  },
  { ...dialog('Keys', 'keys'), keys: '?', on: key('?'), listed: ['?', 'This list'] },
  dialog('Delete this job', 'delete'),
]

function pickedBox(on: OnJob) {
  const { picked } = plan()
  return picked?.kind === 'bar'
    ? on.survey.bars.find(({ bar }) => bar.id === picked.id)?.box
    : pickedThing(on)?.box
}

/** The actions that can be asked for by name: on Load all of them, elsewhere those that need no drawing. */
export const actionsByName = (
  on: OnJob,
  onLoad: boolean,
): readonly { readonly name: string; readonly keys: string | undefined; run(): void }[] =>
  ACTIONS.flatMap(({ name, keys, everywhere, run }) => {
    const called = onLoad || everywhere ? name?.(on) : undefined
    return called === undefined || !run
      ? []
      : [
          {
            name: called,
            keys,
            run: () => run(on),
          },
        ]
  })

/** The two keys of Fit, as a foot switch or a keyboard with dirty gloves has them. */
export const FIT_KEYS = {
  done: { on: ['ArrowRight', 'PageDown', ' '], listed: ['Space, →, Page down', 'Fit: this step is done'] },
  back: { on: ['ArrowLeft', 'PageUp'], listed: ['←, Page up', 'Fit: the step before'] },
} as const satisfies Record<string, { on: readonly string[]; listed: readonly [string, string] }>

/** The lines of the list of keys. */
export const KEY_LINES = [
  ...ACTIONS.flatMap(({ listed }) => (listed ? [listed] : [])),
  ...Object.values(FIT_KEYS).map(({ listed }) => listed),
]

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest('input, select, textarea, dialog') !== null

/** Whether a field has nothing of its own to undo: its text was taken, or it is chosen from a list. */
const isSettled = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest('dialog') === null &&
  target.matches('[data-settled], select')

/** The parts of a page where keys of one character act: its drawing and its lists. */
export const KEY_PLACE = { 'data-keys': '' } as const

/** Whether the focus is on the page body, the drawing or a list. */
const inKeyPlace = (target: EventTarget | null): boolean =>
  !(target instanceof HTMLElement) || target === document.body || target.closest('[data-keys]') !== null

/** A key of one character, or one that takes a thing off. A voice that dictates may press it without meaning it. */
const isBare = ({ key: pressedKey, held }: Pressed): boolean =>
  held !== true && (pressedKey.length === 1 || pressedKey === 'Delete' || pressedKey === 'Backspace')

/**
 * Runs the action of a key, unless the focus is in a field or a dialog: on Load any action, elsewhere those of every
 * screen. A bare key acts only in the drawing, in a list or on the page body, and only while bare keys are on.
 */
export function pressed(on: OnJob, onLoad: boolean, bareKeys: boolean, event: KeyboardEvent): void {
  const held = event.ctrlKey || event.metaKey
  if (event.altKey) return
  const action = ACTIONS.find(
    ({ on: keys, fromAnywhere, fromSettled, everywhere }) =>
      (onLoad || everywhere) &&
      (fromAnywhere ?? (!typing(event.target) || (fromSettled === true && isSettled(event.target)))) &&
      keys?.some(
        (each) =>
          (!isBare(each) || (bareKeys && inKeyPlace(event.target))) &&
          each.key.toLowerCase() === event.key.toLowerCase() &&
          (each.held ?? false) === held &&
          (!held || (each.shift ?? false) === event.shiftKey),
      ),
  )
  if (!action?.run) return
  const nothingToNudge = event.key.startsWith('Arrow') && !plan().picked
  // The field's own text would come back with it.
  const isFromField = typing(event.target) && isSettled(event.target)
  if (isFromField || (action.alone && !nothingToNudge)) event.preventDefault()
  action.run(on, event)
}
