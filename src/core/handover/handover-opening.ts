import { kg, type Phrase } from '../units/phrase'
import type { Handover } from './handover'

/** What a sheet opens with, before anything else: one list for screen, paper and PDF. */
interface OpeningPart {
  readonly title: string
  readonly lines: readonly Phrase[]
  readonly grave: boolean
}

/** What was only played and Stops first, then the steps that are not done, what was set aside and by whom, what is still to be found out, targets, and what was not looked at. */
export function openingOf(handover: Handover): OpeningPart[] {
  const part = (title: string, lines: readonly Phrase[], grave = false): OpeningPart[] =>
    lines.length > 0 ? [{ title, lines, grave }] : []
  const { unfinished, played } = handover
  return [
    ...part(
      'Played, not measured',
      played > 0
        ? [
            [
              `${played === 1 ? 'One reading' : `${played} readings`} on this sheet came from a simulated device.`,
            ],
          ]
        : [],
      true,
    ),
    ...part('Stop: it must not leave like this', handover.stops, true),
    ...part(
      'The fitting is not finished',
      unfinished
        ? [[`${unfinished.done} of ${unfinished.of} steps are done. Next: ${unfinished.next}.`]]
        : [],
      true,
    ),
    ...part(
      'Waived by a named person',
      handover.deviations.flatMap(({ step, reason, by, lets }): Phrase[] =>
        lets ? [[`${step}: ${by ?? 'nobody named'}: ${reason}`]] : [],
      ),
      true,
    ),
    ...part(
      'Not done, and why',
      handover.answers.flatMap(({ say, open }): Phrase[] => (open ? [[say]] : [])),
      true,
    ),
    ...part(
      'Already on at arrival',
      handover.answers.flatMap(({ say, open }): Phrase[] => (open ? [] : [[say]])),
    ),
    ...part('Not proved', handover.unproved, true),
    ...part(
      'To be done again',
      handover.again.map(({ step, changed }) => [`${step}: ${changed} changed since.`]),
      true,
    ),
    ...part(
      'Set aside for this job, still unknown',
      handover.aside.map(({ say, by, reason, on }): Phrase => [
        ...say,
        ` Set aside by ${by} on ${on}: ${reason}`,
      ]),
    ),
    ...part('Still to find out', handover.open),
    ...part(
      'Targets, not weighed',
      handover.targets.map(({ name, kg: mass }): Phrase => [
        `${name}: at most `,
        kg(mass),
        ', as the plan has it.',
      ]),
    ),
    ...part(
      'Starting values of the forms, not measured',
      handover.started.map(({ name, fields }): Phrase => [`${name}: ${fields.join(', ')}.`]),
    ),
    ...part('Not looked at', handover.notLooked.length > 0 ? [[`${handover.notLooked.join(', ')}.`]] : []),
  ]
}
