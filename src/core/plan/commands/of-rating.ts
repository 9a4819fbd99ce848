import * as z from '../../units/schema'
import { idSchema } from '../../units/scalars'
import type { Plan } from '../plan'
import { ratedSchema, ratingSchema, type Rated, type Rating } from '../rating'
import { changed, edit, put, Refusal, onward, without } from './edit'
import { onPart } from './of-rack'

/** Whose ratings an edit is about. */
const ratingOwnerSchema = z.discriminatedUnion('of', [
  z.strictObject({ of: z.literal('roof') }),
  z.strictObject({ of: z.literal('attachment'), id: idSchema }),
  z.strictObject({ of: z.literal('part'), id: idSchema }),
  z.strictObject({ of: z.literal('gear'), id: idSchema }),
])
export type RatingOwner = z.infer<typeof ratingOwnerSchema>

function onRated(plan: Plan, owner: RatingOwner, change: (rated: Rated) => Rated | Refusal): Plan | Refusal {
  const { vehicle } = plan
  switch (owner.of) {
    case 'roof':
      return onward(change({ by: 'own', ratings: vehicle.roof.ratings }), (rated) =>
        rated.by === 'with'
          ? new Refusal('The roof carries its own figure.')
          : { ...plan, vehicle: { ...vehicle, roof: { ...vehicle.roof, ratings: rated.ratings } } },
      )
    case 'attachment':
      return onward(
        changed(
          vehicle.attachments,
          ({ id }) => id === owner.id,
          (attachment) => {
            if ('rated' in attachment)
              return onward(change(attachment.rated), (rated) => ({ ...attachment, rated }))
            return onward(change({ by: 'own', ratings: attachment.ratings }), (rated) =>
              rated.by === 'with'
                ? new Refusal(`${attachment.name} needs a figure of its own.`)
                : { ...attachment, ratings: rated.ratings },
            )
          },
          `The vehicle has no attachment "${owner.id}".`,
        ),
        (attachments) => ({ ...plan, vehicle: { ...vehicle, attachments } }),
      )
    case 'part':
      return onPart(plan, owner.id, (part) => onward(change(part.rated), (rated) => ({ ...part, rated })))
    case 'gear':
      return onward(
        changed(
          plan.gear,
          ({ id }) => id === owner.id,
          (gear) => {
            const { carries } = gear
            return carries
              ? onward(change(carries.rated), (rated) => ({ ...gear, carries: { ...carries, rated } }))
              : new Refusal(`${gear.name} carries nothing.`)
          },
          `The plan has no gear "${owner.id}".`,
        ),
        (gear) => ({ ...plan, gear }),
      )
  }
}

const ratingsOf = (rated: Rated): readonly Rating[] => (rated.by === 'own' ? rated.ratings : [])

/** Edits of what something may bear. */
export const ofRating = {
  setRated: edit({ owner: ratingOwnerSchema, rated: ratedSchema }, (plan, { owner, rated }) =>
    onRated(plan, owner, () => rated),
  ),
  setRating: edit({ owner: ratingOwnerSchema, rating: ratingSchema }, (plan, { owner, rating }) =>
    onRated(plan, owner, (rated) => ({ by: 'own', ratings: put(ratingsOf(rated), rating) })),
  ),
  removeRating: edit({ owner: ratingOwnerSchema, ratingId: idSchema }, (plan, { owner, ratingId }) =>
    onRated(plan, owner, (rated) =>
      onward(without(ratingsOf(rated), ratingId, `There is no figure "${ratingId}".`), (ratings) => ({
        by: 'own',
        ratings,
      })),
    ),
  ),
}
