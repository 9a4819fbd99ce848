import * as z from '../../units/schema'
import { brokenReferences } from './integrity'
import { planShape } from './plan'

/** The shape and the promise that every id is unique and every reference leads somewhere. */
export const planSchema = planShape.check(
  z.superRefine((plan, context) => {
    for (const broken of brokenReferences(plan)) {
      context.addIssue({ code: 'custom', path: [...broken.path], message: broken.message })
    }
  }),
)
