import * as z from 'zod'
import { fastenerSchema } from './fastening'
import { gateSchema } from './gate'
import { channelSchema, mountSchema, rangeSchema } from '../kinds/mount'
import { knownSchema } from './known'
import { ratedSchema, sourceSchema } from './rating'
import {
  idSchema,
  limitKg,
  massKg,
  money,
  nameSchema,
  positionMm,
  sizeMm,
  spanMm,
  statusSchema,
  typedSchema,
} from '../units/scalars'
import { ATTACHMENTS, attachmentKindSchema } from '../kinds/attachment'
import { BODIES, bodySchema } from '../kinds/body'
import { kindsOf } from '../kinds/kind'
import { partRoleSchema } from '../kinds/part-role'
import { whenSchema } from '../kinds/when'
import { workSchema } from './work'

const PILOT = 'A pilot is smaller than the final hole.'
const pilotTooLarge = (pilotMm?: number, finalMm?: number): boolean =>
  pilotMm !== undefined && finalMm !== undefined && pilotMm > finalMm

/** One hole of a kit by its name on the vehicle, with its own sizes and what is done to it, in order. */
const holeSchema = z
  .strictObject({
    name: nameSchema,
    pilotMm: spanMm.optional(),
    finalMm: spanMm.optional(),
    operations: z.array(nameSchema).max(10).optional(),
  })
  .refine(({ pilotMm, finalMm }) => !pilotTooLarge(pilotMm, finalMm), { path: ['pilotMm'], error: PILOT })

/**
 * What a kit's sheet says it is for. Left out: the sheet is silent. `needs` are things the vehicle must have
 * besides; a rail shape may need an adapter of its own, by name.
 */
const kitSchema = z.strictObject({
  bodies: z.array(bodySchema).max(kindsOf(BODIES).length).optional(),
  years: z.strictObject({ from: z.number().int(), to: z.number().int().optional() }).optional(),
  doors: z.array(z.number().int().min(1).max(8)).max(8).optional(),
  trims: z.array(nameSchema).max(20).optional(),
  railShapes: z
    .array(z.strictObject({ shape: nameSchema, adapter: nameSchema.optional() }))
    .max(10)
    .optional(),
  needs: z.array(nameSchema).max(10).optional(),
  drills: z
    .strictObject({
      holes: z.number().int().min(1),
      reversible: z.boolean(),
      pilotMm: spanMm.optional(),
      finalMm: spanMm.optional(),
      /** Holes of other sizes than the rest, or with work of their own. */
      each: z.array(holeSchema).max(40).optional(),
      /** What is drilled through, from outside in. */
      layers: z.array(nameSchema).max(6).optional(),
      template: nameSchema.optional(),
      seal: nameSchema.optional(),
      paint: nameSchema.optional(),
    })
    .refine(({ pilotMm, finalMm }) => !pilotTooLarge(pilotMm, finalMm), {
      path: ['pilotMm'],
      error: PILOT,
    })
    .optional(),
  singleUse: z.string().max(200).optional(),
  cannotUndo: z.string().max(200).optional(),
  removableTop: z.enum(['stays', 'liftsByOne', 'liftsByTwo']).optional(),
})
export type Kit = z.infer<typeof kitSchema>

/** A part or a set of alike parts: one link of the load path. Masses are of one piece. */
export const partSchema = z.strictObject({
  id: idSchema,
  role: partRoleSchema,
  name: nameSchema,
  count: z.number().int().min(1).max(64),
  eachKg: massKg,
  rated: ratedSchema,
  price: money.optional(),
  /** The attachments it may be used over; left out when its sheet does not say. */
  suits: z.array(attachmentKindSchema).max(kindsOf(ATTACHMENTS).length).optional(),
  /** How it is held by what it stands in, where that is a channel or a section. */
  mount: mountSchema.optional(),
  kit: kitSchema.optional(),
  /** What each of it holds against being pulled up. */
  tension: z.strictObject({ eachKg: limitKg, source: sourceSchema }).optional(),
  fasteners: z.array(fastenerSchema).max(40).optional(),
  work: workSchema.optional(),
  known: knownSchema.optional(),
  typed: typedSchema.optional(),
})
export type Part = z.infer<typeof partSchema>

const profileKindSchema = z.enum(['square', 'round', 'aero', 'flat', 'factory'])

/**
 * A bar's section. A wall makes a plain one hollow; a sheet may give its second moment of area and its section
 * modulus for loads from above, or say that it is solid. Each only where it is known.
 */
const profileSchema = z.strictObject({
  kind: profileKindSchema,
  widthMm: spanMm,
  heightMm: spanMm,
  wallMm: spanMm.optional(),
  section: z
    .discriminatedUnion('known', [
      z.strictObject({ known: z.literal('solid') }),
      z.strictObject({
        known: z.literal('figures'),
        iMm4: z.number().positive().max(1e9),
        wMm3: z.number().positive().max(1e8),
      }),
    ])
    .optional(),
  material: z
    .strictObject({
      name: nameSchema,
      eGPa: z.number().positive().max(1000),
      yieldMPa: z.number().positive().max(5000).optional(),
    })
    .optional(),
  channel: channelSchema.optional(),
  /** A groove along its underside in which the feet stand and strips set them. */
  underChannel: channelSchema.optional(),
})
export type Profile = z.infer<typeof profileSchema>

/** Below this two lengths are one and the same, but for the machine's rounding. mm. */
const SAME_MM = 0.01

/**
 * A bar across the vehicle (or a platform's cross-member). `riseMm` runs from the rack's datum (roof top, or
 * top of the bed rail) to the bar's underside. Length is overall, end caps included. Feet stand at `feetYMm`.
 */
export const barSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    xMm: positionMm,
    lengthMm: spanMm,
    usableMm: spanMm,
    capMm: sizeMm.optional(),
    riseMm: sizeMm,
    profile: profileSchema,
    feetYMm: z.array(positionMm).min(2).max(6),
    /** What its feet stand on where that is not what the rest of the rack stands on. */
    attachmentId: idSchema.optional(),
    /** What this bar alone weighs where bars of a set differ. */
    kg: massKg.optional(),
    /** Where its top was taped instead of its underside: the rise follows from it. */
    topMm: sizeMm.optional(),
    /** One end's foot is fixed to the bar, and the other is set along it. */
    fixedEnd: z.enum(['left', 'right']).optional(),
    /** Left free to slide in its feet, as one end of a rack over cab and bed is. */
    slides: z.boolean().optional(),
    known: knownSchema.optional(),
    typed: typedSchema.optional(),
  })
  .refine((bar) => bar.usableMm <= bar.lengthMm, {
    path: ['usableMm'],
    error: 'A bar cannot offer more width than it is long.',
  })
  .refine(
    ({ topMm, riseMm, profile }) =>
      topMm === undefined || Math.abs(topMm - riseMm - profile.heightMm) < SAME_MM,
    { path: ['topMm'], error: 'Top and underside of a bar are its profile’s height apart.' },
  )
  .refine((bar) => bar.feetYMm.every((y, i) => i === 0 || y > (bar.feetYMm[i - 1] ?? y)), {
    path: ['feetYMm'],
    error: 'List the feet from left to right, each at its own place.',
  })
export type Bar = z.infer<typeof barSchema>

/** A bar at another height: its underside over what it is measured from, mm. What was taped to its top holds no longer. */
export function withRise({ topMm: _, ...bar }: Bar, riseMm: number): Bar {
  return { ...bar, riseMm }
}

/** A flat deck on the bars: its centre, its size and its own thickness. */
const deckSchema = z.strictObject({
  xMm: positionMm,
  yMm: positionMm,
  lengthMm: spanMm,
  widthMm: spanMm,
  heightMm: spanMm,
  /** The mouth of the slots between its slats. */
  slatSlotMm: spanMm.optional(),
  /** What its thickness is on top of, where that is not the bars' tops: bars that lie in it have it from their underside. */
  from: z.enum(['barTop', 'barUnderside']).optional(),
})
export type Deck = z.infer<typeof deckSchema>

const markText = z.string().min(1).max(20)

/**
 * A fit sheet's row: for bars of one profile, the tower spacing of front and rear bar, as a length or as the mark printed
 * on the bar at which the foot is set; where the bars go; and the spread it wants between them.
 */
const fitSheetRowSchema = z
  .strictObject({
    profile: profileKindSchema,
    towerMm: z.strictObject({ front: spanMm, rear: spanMm }).optional(),
    towerMarks: z.strictObject({ front: markText, rear: markText }).optional(),
    xMm: z.strictObject({ front: positionMm, rear: positionMm, within: sizeMm }).optional(),
    spreadMm: rangeSchema.optional(),
    /** Why its spread does not count though the sheet has it. */
    spreadUnused: z.string().max(200).optional(),
  })
  .refine(({ towerMm, towerMarks }) => towerMm !== undefined || towerMarks !== undefined, {
    path: ['towerMm'],
    error: 'A row gives the tower spacing, as lengths or as marks.',
  })

const common = {
  id: idSchema,
  name: nameSchema,
  attachmentId: idSchema,
  parts: z.array(partSchema).min(1).max(20),
  /** How wide a foot is along its bar: clamps stand clear of it, and an overhang is taped from its edge. */
  footWidthMm: sizeMm.optional(),
  fitSheet: z
    .strictObject({ source: sourceSchema, rows: z.array(fitSheetRowSchema).min(1).max(12) })
    .optional(),
  gates: z.array(gateSchema).max(20).optional(),
  note: z.string().max(2000).optional(),
  status: statusSchema.optional(),
  known: knownSchema.optional(),
  typed: typedSchema.optional(),
}

export const rackSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('bars'), ...common, bars: z.array(barSchema).min(1).max(8) }),
  z.strictObject({
    kind: z.literal('platform'),
    ...common,
    bars: z.array(barSchema).min(2).max(8),
    deck: deckSchema,
  }),
  z.strictObject({
    kind: z.literal('bed'),
    ...common,
    bars: z.array(barSchema).min(1).max(8),
    deck: deckSchema.optional(),
    sideHeightMm: sizeMm,
    /** The holes of its side panels. */
    panelGrid: z
      .strictObject({
        pitchMm: spanMm,
        columns: z.number().int().min(1).max(200),
        rows: z.number().int().min(1).max(60),
      })
      .optional(),
  }),
  z.strictObject({
    kind: z.literal('frame'),
    ...common,
    bars: z.array(barSchema).min(2).max(8),
    deck: deckSchema.optional(),
  }),
  z.strictObject({
    kind: z.literal('ladder'),
    ...common,
    when: whenSchema,
    topZMm: spanMm,
    bottomZMm: sizeMm,
    xMm: positionMm,
    yMm: positionMm,
    widthMm: spanMm,
  }),
])
export type Rack = z.infer<typeof rackSchema>

/** The bars of a rack; a ladder has none. */
export function barsOf(rack: Rack): readonly Bar[] {
  return rack.kind === 'ladder' ? [] : rack.bars
}

/** The deck of a rack, when it has one. */
export function deckOf(rack: Rack): Deck | undefined {
  return rack.kind === 'bars' || rack.kind === 'ladder' ? undefined : rack.deck
}
