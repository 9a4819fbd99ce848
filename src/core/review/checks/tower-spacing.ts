import { whose } from '../../units/words'
import { fails } from '../../facts/comparison'
import { towerSpacings } from '../../facts/tower-spacings'
import { check, practice } from '../check'
import { mm, type Phrase } from '../../units/phrase'

/** Do the feet stand as the fit sheet says, evenly? mm. */
export const towerSpacingCheck = check({
  id: 'tower-spacing',
  title: 'Tower spacing',
  question:
    'Do the feet of every bar match the spacing on its fit sheet, centred, from the row for its profile?',
  formula:
    'mark at each end = (bar length − tower spacing) / 2, to the foot’s centre; the overhang is taped from its edge to inside the cap',
  source: practice(
    'Bar length and tower spacing: each end half of what is left. Common practice, no source.',
  ),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  lookWord: 'tower marks',
  turnedBy: {},
  nothing: 'No rack has a fit sheet with tower spacings.',
  *run(survey) {
    for (const { rack, at, spacing } of towerSpacings(survey)) {
      const { bar } = at
      const common = {
        about: bar.id,
        state: 'all',
        subject: { placementIds: [], barId: bar.id, rackId: rack.rack.id },
      } as const
      if (spacing.kind === 'refused') {
        yield {
          ...common,
          severity: 'findOut',
          ask: {
            where: 'sheet',
            label: `Fit sheet, row for ${bar.name}`,
            target: { open: 'rack', rackId: rack.rack.id, at: 'fitSheet' },
          },
          sentence: [
            `The fit sheet has rows for ${spacing.rows.join(' and ')} bars; ${bar.name} is ${bar.profile.kind}. A row for another profile does not apply. Find the right row.`,
          ],
        }
        continue
      }
      if (spacing.kind === 'marks') {
        yield {
          ...common,
          severity: 'notLooked',
          sentence: [
            `${whose(bar.name)} feet go to mark ${spacing.mark} on the bar: a mark gives no length, so it is read during fitting.`,
          ],
        }
        continue
      }
      const { feet, nowMm, off, offCentre } = spacing
      const marks: Phrase = [
        'mark each end at ',
        mm(feet.fromEndMm),
        ' to the foot’s centre',
        ...(feet.overhangMm === undefined ? [] : [', overhang from its edge ', mm(feet.overhangMm)]),
      ]
      const measures = { measured: mm(nowMm), limit: mm(feet.towerMm) }
      if (fails(off) || fails(offCentre))
        yield {
          ...common,
          ...measures,
          severity: 'stop',
          margin: mm(-Math.max(off.measure, offCentre.measure)),
          sentence: [
            `${whose(bar.name)} feet stand `,
            mm(nowMm),
            ...(fails(offCentre) ? [' apart, ', mm(offCentre.measure), ' off centre'] : [' apart']),
            '; the fit sheet says ',
            mm(feet.towerMm),
            ': ',
            ...marks,
            '.',
          ],
        }
      else
        yield {
          ...common,
          ...measures,
          severity: 'clear',
          sentence: [`${whose(bar.name)} feet stand as the fit sheet says; `, ...marks, '.'],
        }
    }
  },
})
