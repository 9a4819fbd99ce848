import * as z from '../../units/schema'
import { idSchema } from '../../units/scalars'
import type { Plan } from '../schema/plan'
import { ratingSchema, type Rated, type Rating } from '../schema/rating'
import { updateWhere, edit, upsert, Refusal, andThen, removeById } from './edit'
import { onPart } from './rack-commands'

/** Whose ratings an edit is about. */
const ratingOwnerSchema = z.discriminatedUnion('of', [
  z.strictObject({ of: z.literal('roof') }),
  z.strictObject({ of: z.literal('attachment'), id: idSchema }),
  z.strictObject({ of: z.literal('part'), id: idSchema }),
  z.strictObject({ of: z.literal('gear'), id: idSchema }),
])
export type RatingOwner = z.infer<typeof ratingOwnerSchema>

const ratingsOf = (rated: Rated): readonly Rating[] => (rated.by === 'own' ? rated.ratings : [])

/** The plan with other figures of whoever they are of; a figure of its own ends that it is rated with something else. */
function onRatings(
  plan: Plan,
  owner: RatingOwner,
  change: (ratings: readonly Rating[]) => readonly Rating[] | Refusal,
): Plan | Refusal {
  const { vehicle } = plan
  const own = (rated: Rated): Rated | Refusal =>
    andThen(change(ratingsOf(rated)), (ratings) => ({ by: 'own', ratings: [...ratings] }))
  switch (owner.of) {
    case 'roof':
      return andThen(change(vehicle.roof.ratings), (ratings) => ({
        ...plan,
        vehicle: { ...vehicle, roof: { ...vehicle.roof, ratings: [...ratings] } },
      }))
    case 'attachment':
      return andThen(
        updateWhere(
          vehicle.attachments,
          ({ id }) => id === owner.id,
          (attachment) =>
            'rated' in attachment
              ? andThen(own(attachment.rated), (rated) => ({ ...attachment, rated }))
              : andThen(change(attachment.ratings), (ratings) => ({ ...attachment, ratings: [...ratings] })),
          `The vehicle has no attachment "${owner.id}".`,
        ),
        (attachments) => ({ ...plan, vehicle: { ...vehicle, attachments } }),
      )
    case 'part':
      return onPart(plan, owner.id, (part) => andThen(own(part.rated), (rated) => ({ ...part, rated })))
    case 'gear':
      return andThen(
        updateWhere(
          plan.gear,
          ({ id }) => id === owner.id,
          (gear) => {
            const { carries } = gear
            return carries
              ? andThen(own(carries.rated), (rated) => ({ ...gear, carries: { ...carries, rated } }))
              : new Refusal(`${gear.name} carries nothing.`)
          },
          `The plan has no gear "${owner.id}".`,
        ),
        (gear) => ({ ...plan, gear }),
      )
  }
}

/** Edits of what something may bear. */
export const ofRating = {
  setRating: edit({ owner: ratingOwnerSchema, rating: ratingSchema }, (plan, { owner, rating }) =>
    onRatings(plan, owner, (ratings) => upsert(ratings, rating)),
  ),
  removeRating: edit({ owner: ratingOwnerSchema, ratingId: idSchema }, (plan, { owner, ratingId }) =>
    onRatings(plan, owner, (ratings) => removeById(ratings, ratingId, `There is no figure "${ratingId}".`)),
  ),
}
