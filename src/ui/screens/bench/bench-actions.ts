'use client'
import { STATE_WORD, STATES, type Survey } from '@/core'
import { downloadPlan } from '@/ui/kit/open-file'
import { setOnEdge, turnOn } from './edits'
import { usePlan } from '@/ui/state/plan-store'
import { rackBox, useZoom } from '@/ui/drawing/zoom-store'

export type DialogName =
  'job' | 'racks' | 'clearances' | 'measure' | 'rules' | 'use' | 'keys' | 'palette' | 'settings' | 'delete'

/** Something a person can ask for by name, by key or by button. */
export interface Action {
  readonly name: string
  readonly keys?: string
  readonly run: () => void
}

/** Everything on the bench by name; each is also on screen. */
export function benchActions(survey: Survey, show: (dialog: DialogName) => void): Action[] {
  const { undo, redo, showState, picked, run, plan } = usePlan.getState()
  const zoom = useZoom.getState()
  const thing = picked?.kind === 'thing' ? survey.thingById.get(picked.id) : undefined
  const bar = picked?.kind === 'bar' ? survey.bars.find((at) => at.bar.id === picked.id) : undefined
  const rack = rackBox(survey)
  const onThing: Action[] = thing
    ? [
        { name: `Turn ${thing.gear.name.toLowerCase()}`, keys: 'R', run: () => turnOn(thing) },
        ...(thing.gear.onEdge
          ? [
              {
                name: `Stand on edge or lay flat: ${thing.gear.name.toLowerCase()}`,
                keys: 'E',
                run: () => setOnEdge(thing),
              },
            ]
          : []),
        {
          name: `Take off ${thing.gear.name.toLowerCase()}`,
          keys: 'Del',
          run: () => run({ do: 'takeOff', placementId: thing.placement.id }),
        },
      ]
    : []
  const box = thing?.box ?? bar?.box
  return [
    ...STATES.map((state, i) => ({
      name: `Show ${STATE_WORD[state].toLowerCase()}`,
      keys: String(i + 1),
      run: () => showState(state),
    })),
    { name: 'Undo', keys: 'Ctrl Z', run: undo },
    { name: 'Redo', keys: 'Ctrl Shift Z', run: redo },
    ...onThing,
    { name: 'See the whole vehicle', keys: '0', run: zoom.whole },
    ...(rack ? [{ name: 'Zoom to the rack', run: () => zoom.onto(survey, rack) }] : []),
    ...(box ? [{ name: 'Zoom to the picked thing', run: () => zoom.onto(survey, box) }] : []),
    { name: 'Zoom in', keys: '+', run: () => zoom.by(survey, 1.4) },
    { name: 'Zoom out', keys: '−', run: () => zoom.by(survey, 1 / 1.4) },
    { name: 'Racks on this vehicle', run: () => show('racks') },
    { name: 'Doors and garages to pass', run: () => show('clearances') },
    { name: 'Measurements', run: () => show('measure') },
    { name: 'House rules for this job', run: () => show('rules') },
    { name: 'How it is used', run: () => show('use') },
    { name: 'Job details', run: () => show('job') },
    { name: 'Units and theme', run: () => show('settings') },
    {
      name: 'Download the plan file',
      run: () => {
        if (plan) downloadPlan(plan)
      },
    },
    { name: 'Keys', keys: '?', run: () => show('keys') },
    { name: 'Delete this job', run: () => show('delete') },
  ]
}
