import { ATTACHMENTS, type attachmentShapes } from '../../kinds/attachment'
import type { Attachment } from './vehicle'

type Kinds = typeof attachmentShapes
type KindWith<Trait> = { [Kind in keyof Kinds]: Kinds[Kind] extends Trait ? Kind : never }[keyof Kinds]

/** The attachments of the kinds that have a trait, each with its own fields. */
export type AttachmentWith<Trait> = Extract<Attachment, { kind: KindWith<Trait> }>

/** Whether feet stand in a channel of the attachment. */
export const hasOwnChannel = (attachment: Attachment): attachment is AttachmentWith<{ ownChannel: true }> =>
  ATTACHMENTS[attachment.kind].ownChannel === true

/** Whether reinforcement inside may take the load past the roof. */
export const mayReinforce = (attachment: Attachment): attachment is AttachmentWith<{ mayReinforce: true }> =>
  ATTACHMENTS[attachment.kind].mayReinforce === true

/** Whether kits name shapes of its rail. */
export const hasRailShapes = (attachment: Attachment): attachment is AttachmentWith<{ railShapes: true }> =>
  ATTACHMENTS[attachment.kind].railShapes === true

/** Whether legs stand on the frame or the body. */
export const isOnFrame = (attachment: Attachment): attachment is AttachmentWith<{ seat: 'frame' }> =>
  ATTACHMENTS[attachment.kind].seat === 'frame'

/** Whether it is a seam that a ladder hooks on. */
export const isSeam = (attachment: Attachment): attachment is AttachmentWith<{ feet: 'seam' }> =>
  ATTACHMENTS[attachment.kind].feet === 'seam'

/** Whether its rails stand over the roof. */
export const isRaised = (attachment: Attachment): boolean => ATTACHMENTS[attachment.kind].raised === true

/** Whether feet stand in notches of it, of any bar or of one alone. */
export const hasNotches = (attachment: Attachment): boolean =>
  'ranges' in attachment &&
  [attachment.notchesXMm, attachment.frontNotchesXMm, attachment.rearNotchesXMm].some(
    (notches) => (notches?.length ?? 0) > 0,
  )
