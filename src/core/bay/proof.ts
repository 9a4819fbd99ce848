import type { Finding } from '../review/finding'
import type { Survey } from '../survey/survey'

/** Something to prove before the vehicle leaves. */
export interface ProofItem {
  readonly id: string
  readonly title: string
  readonly detail: string
  readonly minutes: number
  /** A test drive has a speed, km/h. */
  readonly kmH?: number
}

export type Outcome = 'good' | 'notGood' | 'notNow'

/** The proof that this plan needs: what its vehicle has, its rack does and its load wants. Common practice, no source. */
export function proofList({ plan, racks }: Survey): ProofItem[] {
  const obstacles = (kind: string) => plan.vehicle.obstacles.filter((each) => each.kind === kind)
  const items: (ProofItem | undefined)[] = [
    {
      id: 'seat',
      title: 'Every foot sits flush',
      detail: 'Look along each rail or edge: pad flat, hook home, notch in line, nothing pinched.',
      minutes: 3,
    },
    racks.some(({ rack }) =>
      rack.parts.some(({ fasteners }) =>
        fasteners?.some(({ signs }) => signs?.some(({ kind }) => kind === 'clicks')),
      ),
    )
      ? {
          id: 'second-click',
          title: 'Second click',
          detail: 'Close each clicking joint once more: it clicks at once, or it was not done.',
          minutes: 3,
        }
      : undefined,
    {
      id: 'shake',
      title: 'Shake it',
      detail: 'Push and pull at each corner and at the bars’ middles: the vehicle moves, the rack does not.',
      minutes: 2,
    },
    ...obstacles('hatch').map((each) => ({
      id: `hatch-${each.id}`,
      title: `Open the ${each.name.toLowerCase()} all the way`,
      detail: 'Slowly the first time, a hand at its edge.',
      minutes: 2,
    })),
    ...obstacles('tailgate').map((each) => ({
      id: `tailgate-${each.id}`,
      title: `Drop the ${each.name.toLowerCase()}`,
      detail: 'All the way, with everything in place.',
      minutes: 2,
    })),
    ...obstacles('sunroof').flatMap((each) => [
      {
        id: `sunroof-tilt-${each.id}`,
        title: `Tilt the ${each.name.toLowerCase()}`,
        detail: 'One that slides clear under a bar may still hit it when it tilts.',
        minutes: 1,
      },
      {
        id: `sunroof-slide-${each.id}`,
        title: `Slide the ${each.name.toLowerCase()}`,
        detail: 'All the way open, and shut again.',
        minutes: 1,
      },
    ]),
    {
      id: 'doors',
      title: 'Open every door',
      detail: 'Over the seals and past the feet; look for heads at the bar ends.',
      minutes: 2,
    },
    ...obstacles('antenna').map((each) => ({
      id: `antenna-${each.id}`,
      title: 'Try the antenna',
      detail: `Radio and whatever else the ${each.name.toLowerCase()} serves, before and after.`,
      minutes: 3,
    })),
    {
      id: 'front',
      title: 'Look from the front',
      detail: 'Bars level with the roof, alike left and right.',
      minutes: 1,
    },
    {
      id: 'drive',
      title: 'Drive it',
      detail: 'Windows shut, then open; say how loud it is at this speed and no other.',
      minutes: 15,
      kmH: plan.use.roadKmH,
    },
    {
      id: 'after-drive',
      title: 'Look again after the drive',
      detail: 'Every joint by hand, every strap.',
      minutes: 4,
    },
  ]
  return items.filter((each) => each !== undefined)
}

/** What the proof says so far: what was not good is Stop, what was put off has still to be done. */
export function proofFindings(
  items: readonly ProofItem[],
  outcomes: ReadonlyMap<string, Outcome>,
): Finding[] {
  const common = { rule: 'proof', state: 'all', subject: { placementIds: [] } } as const
  return items.flatMap((item): Finding[] => {
    const outcome = outcomes.get(item.id)
    if (outcome === 'good') return []
    const id = `proof ${item.id}`
    if (outcome === 'notGood')
      return [
        {
          ...common,
          id,
          severity: 'stop',
          sentence: [`${item.title}: not good. It does not leave like this.`],
        },
      ]
    return [
      {
        ...common,
        id,
        severity: 'findOut',
        sentence: [`${item.title}: ${outcome === 'notNow' ? 'put off; still to be done' : 'not done yet'}.`],
      },
    ]
  })
}
