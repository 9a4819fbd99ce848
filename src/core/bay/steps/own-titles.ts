/** Steps that are made from the plan, their places, joints, bars and holes being its own; and what each is usually called. */
export const MADE_TITLE = {
  marks: 'Put each marked piece to its place',
  'sub-assembly': 'Build up the feet by corner',
  'feet-on-bars': 'Feet on the bars, loose',
  'assemble-deck': 'Assemble the deck',
  prepare: 'Wipe and protect the vehicle',
  drill: 'Drill the holes',
  'lift-on': 'Lift it onto the vehicle',
  'start-by-hand': 'Start every fastener by hand',
  place: 'Place the bars',
  square: 'Measure and square up',
  torque: 'Tighten a joint',
  'square-again': 'Measure again, tightened',
  'strips-under': 'Cut and press in the strips that place the feet',
  strips: 'Cut and press in the strips',
  caps: 'End caps on',
  covers: 'Covers on, locks in',
} as const
export type MadeKey = keyof typeof MADE_TITLE

/** The steps of drilling, by their keys; each hole is drilled by one of its own. */
export const DRILL_TITLE = {
  'confirm-drilling': 'Confirm: the holes cannot be undone',
  template: 'Lay the template, twice',
  prime: 'Prime the bare edges',
  bed: 'Bed the mounts and start them',
  seal: 'Seal the mounts',
} as const

/** Steps of every job and of every thing, by their keys. */
export const JOB_TITLE = {
  count: 'Lay out and count the parts',
  off: 'Take off what comes off',
  set: 'Set a thing on',
  centre: 'Centre a thing on its brackets',
  drive: 'Drive it',
  tell: 'Tell the customer, hand over tools and keys',
} as const
