import { hasChannel } from '../../plan/schema/rack'
import { toFit } from '../../units/scalars'
import type { Survey } from '../../survey/survey'
import type { BarChannel } from '../channel/channel'
import { COUNT } from './levels'
import { MADE_STEPS, type MadeStep } from './made-steps'
import { about } from './minutes'
import type { Step } from './step'
import { stepOf } from './step-of'

/** What opens the channels of a rack that is on already, and closes them again. */
interface Reopened {
  readonly rackId: string
  readonly opens: Step
  readonly closes: readonly Step[]
}

/** Racks that are on and whose channels take something: caps and strips come off first, and are fitted again after. */
export function reopenedChannels(survey: Survey, channels: readonly BarChannel[]): readonly Reopened[] {
  return survey.racks
    .filter(({ rack }) => !toFit(rack))
    .flatMap((at) => {
      const { rack, bars } = at
      const loaded = new Set(channels.filter(({ rackId }) => rackId === rack.id).map(({ barId }) => barId))
      const own = bars.filter(({ bar }) => loaded.has(bar.id) && hasChannel(bar.profile))
      if (own.length === 0) return []
      const common = { group: rack.id, rackId: rack.id }
      const opens = stepOf({
        ...common,
        id: `${rack.id}/caps-off`,
        stage: 'start',
        title: 'End caps off, strips out of the slots',
        detail: [`${own.map(({ bar }) => bar.name).join(', ')}. Keep what goes back in.`],
        after: [COUNT],
        minutes: about(3),
        task: { kind: 'do', on: ['bars', 'channel'] },
      })
      const work = {
        survey,
        at,
        groups: [],
        pairs: [],
        ways: { build: 'bench', squaring: 'itself', strips: 'first' },
      } as const
      const strips = MADE_STEPS.strips(work)
      const closes = [...strips, ...MADE_STEPS.caps(work)].map(({ key, ...rest }: MadeStep, i) =>
        stepOf({
          minutes: about(4),
          ...rest,
          ...common,
          id: `${rack.id}/${key}`,
          stage: 'trim',
          after: i === 0 ? [] : strips.map((each) => `${rack.id}/${each.key}`),
        }),
      )
      return [{ rackId: rack.id, opens, closes }]
    })
}
