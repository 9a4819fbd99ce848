import { hasOwnChannel } from '../../plan/schema/attachment-traits'
import { standsOnEach } from '../../survey/frame/arrangement'
import { match } from '../../survey/mounting/match'
import { check, practice } from '../check'

/** Feet in a channel have no size that matters there. */
const NO_SIZE = { kind: 'other', lengthMm: 0, widthMm: 0, heightMm: 0 } as const

/** Do a rack's feet hold in the channel that they stand in? */
export const footMount = check({
  id: 'foot-mount',
  title: 'Feet in the bed channel',
  question: 'Do the feet of a rack hold in their bed channel?',
  formula: 'slot and head room of the channel against what the feet’s bolts take',
  source: practice('Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No rack stands in a bed channel, or the bolts of its feet are not described.',
  *run(survey) {
    for (const [rack, attachment] of standsOnEach(survey.racks)) {
      if (!hasOwnChannel(attachment)) continue
      for (const part of rack.parts) {
        if (!part.mount) continue
        const common = {
          about: part.id,
          state: 'all',
          subject: { placementIds: [], rackId: rack.id, partId: part.id },
        } as const
        const low = attachment.name
        if (!attachment.channel) {
          yield {
            ...common,
            severity: 'findOut',
            ask: {
              where: 'tape',
              label: `Channel of ${attachment.name}`,
              target: {
                open: 'vehicle',
                at: `attachments.${survey.plan.vehicle.attachments.indexOf(attachment)}.channel`,
              },
            },
            sentence: [`${part.name} in ${low}: find out the channel’s slot and depth, with a rule.`],
          }
          continue
        }
        const found = match({ kind: 'channelAlong', channel: attachment.channel }, part.mount, NO_SIZE)
        if (found.kind === 'fits')
          yield { ...common, severity: 'clear', sentence: [`${part.name} holds in ${low}.`] }
        else if (found.kind === 'doesNot')
          yield {
            ...common,
            severity: 'stop',
            sentence: [`${part.name} does not hold in ${low}: ${found.why}.`],
          }
        else
          yield {
            ...common,
            severity: 'mind',
            sentence: [`${part.name} in ${low} needs another bolt or nut than the one supplied.`],
          }
      }
    }
  },
})
