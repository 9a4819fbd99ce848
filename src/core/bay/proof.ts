import type { ProofOutcome } from '../log/proof-outcome'
import { paneMoves } from '../kinds/obstacle'
import type { Finding } from '../review/finding'
import { USUAL_DRIVES, type BayRules } from '../plan/schema/house'
import type { Plan } from '../plan/schema/plan'
import type { Obstacle } from '../plan/schema/vehicle'
import type { Survey } from '../survey/survey'
import { JOB_TITLE } from './steps/own-titles'

/** Something to prove before the vehicle leaves. */
export interface ProofItem {
  readonly id: string
  readonly title: string
  readonly detail: string
  readonly minutes: number
  /** What its result depends on: the seat of the rack, a part that opens, the drive, or nothing that changes later. */
  readonly evidence: 'seat' | 'opens' | 'drive' | 'once'
  /** A test drive has a speed, km/h, and cases: each is driven by itself, or said not to be. */
  readonly kmH?: number
  readonly cases?: readonly DriveCase[]
}

/** One way of driving it, by a key that stays and its name. */
interface DriveCase {
  readonly id: string
  readonly name: string
}

/** The house's cases of a test drive; the same name is the same case. */
export const driveCases = ({ driveCases: names }: BayRules): DriveCase[] =>
  [...new Set((names ?? USUAL_DRIVES).map((name) => name.trim()))].map((name) => ({
    id: `drive ${name.toLowerCase()}`,
    name,
  }))

type Pane = Extract<Obstacle, { kind: 'sunroof' }>

const panesOf = ({ vehicle: { obstacles } }: Plan): Pane[] =>
  obstacles.filter((each): each is Pane => each.kind === 'sunroof')

/** How it looks from the front, drives, and has driven. Speed in km/h. */
const ofWhatStands = (kmH: number, rules: BayRules): readonly ProofItem[] => [
  {
    id: 'front',
    title: 'Look from the front',
    detail: 'Bars level with the roof, alike left and right.',
    minutes: 1,
    evidence: 'once',
  },
  {
    id: 'drive',
    title: JOB_TITLE.drive,
    detail: 'Case by case, up to this speed; record how loud it is at this speed only.',
    minutes: 15,
    evidence: 'drive',
    kmH,
    cases: driveCases(rules),
  },
  {
    id: 'after-drive',
    title: 'Look again after the drive',
    detail: 'Every joint by hand, every strap.',
    minutes: 4,
    evidence: 'drive',
  },
]

/** The proof that this plan needs: what its vehicle has, its rack does and its load wants. Common practice, no source. */
export function proofList({ plan, racks }: Survey, rules: BayRules): ProofItem[] {
  const obstacles = (kind: string) => plan.vehicle.obstacles.filter((each) => each.kind === kind)
  // Where everything comes off there is no rack to look at, to shake or to drive.
  const stands = racks.length > 0
  const items: (ProofItem | undefined)[] = [
    racks.some(({ feet }) => feet.length > 0)
      ? {
          id: 'seat',
          title: 'Every foot sits flush',
          detail: 'Look along each rail or edge: pad flat, hook home, notch in line, nothing pinched.',
          minutes: 3,
          evidence: 'seat',
        }
      : undefined,
    racks.some(({ rack }) =>
      rack.parts.some(({ fasteners }) =>
        fasteners?.some(({ signs }) => signs?.some(({ kind }) => kind === 'clicks')),
      ),
    )
      ? {
          id: 'second-click',
          title: 'Second click',
          detail: 'Close each clicking joint once more: it must click at once.',
          minutes: 3,
          evidence: 'seat',
        }
      : undefined,
    stands
      ? {
          id: 'shake',
          title: 'Shake it',
          detail:
            'Push and pull at each corner and at the bars’ middles: the vehicle moves, the rack does not.',
          minutes: 2,
          evidence: 'seat',
        }
      : undefined,
    ...obstacles('hatch').map((each) => ({
      id: `hatch-${each.id}`,
      title: `Open the ${each.name} all the way`,
      detail: 'Slowly the first time, a hand at its edge.',
      minutes: 2,
      evidence: 'opens' as const,
    })),
    ...obstacles('tailgate').map((each) => ({
      id: `tailgate-${each.id}`,
      title: `Drop the ${each.name}`,
      detail: 'All the way, with everything in place.',
      minutes: 2,
      evidence: 'opens' as const,
    })),
    ...panesOf(plan).flatMap((each) => [
      ...(paneMoves(each).tilts
        ? [
            {
              id: `sunroof-tilt-${each.id}`,
              title: `Tilt the ${each.name}`,
              detail: 'One that slides clear under a bar may still hit it when it tilts.',
              minutes: 1,
              evidence: 'opens' as const,
            },
          ]
        : []),
      ...(paneMoves(each).slides
        ? [
            {
              id: `sunroof-slide-${each.id}`,
              title: `Slide the ${each.name}`,
              detail: 'All the way open, and shut again.',
              minutes: 1,
              evidence: 'opens' as const,
            },
          ]
        : []),
    ]),
    {
      id: 'doors',
      title: 'Open every door',
      detail: 'Over the seals and past the feet.',
      minutes: 2,
      evidence: 'opens' as const,
    },
    ...obstacles('antenna').map((each) => ({
      id: `antenna-${each.id}`,
      title: 'Try the antenna',
      detail: `Radio and whatever else the ${each.name} serves, before and after.`,
      minutes: 3,
      evidence: 'opens' as const,
    })),
    ...(stands ? ofWhatStands(plan.use.roadKmH, rules) : []),
  ]
  return items.filter((each) => each !== undefined)
}

/** What of a proof is asked singly: its cases, or itself. */
export const askedOf = (item: ProofItem): readonly DriveCase[] =>
  item.cases ?? [{ id: item.id, name: item.title }]

/** What the proof says so far: what was not good is Stop, what was put off has still to be done, what was not driven is said. */
export function proofFindings(
  items: readonly ProofItem[],
  outcomes: ReadonlyMap<string, ProofOutcome>,
): Finding[] {
  return items.flatMap((item) =>
    askedOf(item).flatMap(({ id, name }): Finding[] => {
      const outcome = outcomes.get(id)
      if (outcome === 'good') return []
      const what = item.cases ? `${item.title}, ${name}` : item.title
      const says = {
        notGood: { severity: 'stop', words: 'not good. It must not leave like this' },
        notDriven: { severity: 'mind', words: 'not driven' },
        notNow: { severity: 'findOut', words: 'put off; still to be done' },
        open: { severity: 'findOut', words: 'not done yet' },
      } as const
      const { severity, words } = says[outcome ?? 'open']
      return [
        {
          id: `proof ${id}`,
          rule: 'proof',
          state: 'all',
          subject: { placementIds: [] },
          severity,
          sentence: [`${what}: ${words}.`],
        },
      ]
    }),
  )
}
