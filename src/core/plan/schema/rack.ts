import * as z from '../../units/schema'
import { fastenerSchema } from './fastening'
import { fittingSchoolsSchema } from './fitting'
import { preorderMeasurementSchema } from './preorder-measurement'
import { channelSchema, mountSchema, openRangeSchema } from '../../kinds/mount'
import { provenanceSchema } from './provenance'
import { ratedSchema, sourceSchema } from './rating'
import {
  idSchema,
  limitKg,
  massKg,
  money,
  nameSchema,
  positionMm,
  sizeMm,
  wideMm,
  spanMm,
  statusSchema,
  typedSchema,
} from '../../units/scalars'
import { ATTACHMENTS, attachmentKindSchema } from '../../kinds/attachment'
import { BODIES, bodySchema } from '../../kinds/body'
import { kindsOf } from '../../kinds/kind'
import { partRoleSchema } from '../../kinds/part-role'
import { whenSchema } from '../../kinds/when'
import { workSchema } from './work'

const PILOT = 'A pilot is smaller than the final hole.'
const pilotTooLarge = (pilotMm?: number, finalMm?: number): boolean =>
  pilotMm !== undefined && finalMm !== undefined && pilotMm > finalMm

/** One hole of a kit by its name on the vehicle, with its own sizes and what is done to it, in order. */
const holeSchema = z
  .strictObject({
    name: nameSchema,
    pilotMm: z.optional(spanMm),
    finalMm: z.optional(spanMm),
    operations: z.optional(z.array(nameSchema).check(z.maxLength(10))),
  })
  .check(
    z.refine(({ pilotMm, finalMm }) => !pilotTooLarge(pilotMm, finalMm), { path: ['pilotMm'], error: PILOT }),
  )

/**
 * What a kit's sheet says it is for. Left out: the sheet is silent. `needs` are things the vehicle must have
 * besides; a rail shape may need an adapter of its own, by name.
 */
const kitSchema = z.strictObject({
  bodies: z.optional(z.array(bodySchema).check(z.maxLength(kindsOf(BODIES).length))),
  years: z.optional(z.strictObject({ from: z.int(), to: z.optional(z.int()) })),
  doors: z.optional(z.array(z.int().check(z.gte(1), z.lte(8))).check(z.maxLength(8))),
  trims: z.optional(z.array(nameSchema).check(z.maxLength(20))),
  railShapes: z.optional(
    z.array(z.strictObject({ shape: nameSchema, adapter: z.optional(nameSchema) })).check(z.maxLength(10)),
  ),
  needs: z.optional(z.array(nameSchema).check(z.maxLength(10))),
  /** What the vehicle must not have. */
  mustNotHave: z.optional(z.array(nameSchema).check(z.maxLength(10))),
  /** Of several holes, slots or settings, which one is for which trim or generation of vehicle. */
  settings: z.optional(
    z.array(z.strictObject({ setting: nameSchema, trim: nameSchema })).check(z.maxLength(12)),
  ),
  drills: z.optional(
    z
      .strictObject({
        holes: z.int().check(z.gte(1)),
        reversible: z.boolean(),
        pilotMm: z.optional(spanMm),
        finalMm: z.optional(spanMm),
        /** Holes of other sizes than the rest, or with work of their own. */
        each: z.optional(z.array(holeSchema).check(z.maxLength(40))),
        /** What is drilled through, from outside in. */
        layers: z.optional(z.array(nameSchema).check(z.maxLength(6))),
        template: z.optional(nameSchema),
        seal: z.optional(nameSchema),
        paint: z.optional(nameSchema),
      })
      .check(
        z.refine(({ pilotMm, finalMm }) => !pilotTooLarge(pilotMm, finalMm), {
          path: ['pilotMm'],
          error: PILOT,
        }),
      ),
  ),
  singleUse: z.optional(z.string().check(z.maxLength(200))),
  cannotUndo: z.optional(z.string().check(z.maxLength(200))),
  removableTop: z.optional(z.enum(['stays', 'liftsByOne', 'liftsByTwo'])),
})
export type Kit = z.infer<typeof kitSchema>

/** A part or a set of alike parts: one link of the load path. Masses are of one piece. */
export const partSchema = z.strictObject({
  id: idSchema,
  role: partRoleSchema,
  name: nameSchema,
  count: z.int().check(z.gte(1), z.lte(64)),
  eachKg: massKg,
  /** How high over the ground the middle of its mass is, where that is not as its kind usually is. */
  centreZMm: z.optional(sizeMm),
  rated: ratedSchema,
  price: z.optional(money),
  /** The attachments it may be used over; left out when its sheet does not say. */
  suits: z.optional(z.array(attachmentKindSchema).check(z.maxLength(kindsOf(ATTACHMENTS).length))),
  /** How it is held by what it stands in, where that is a channel or a section. */
  mount: z.optional(mountSchema),
  kit: z.optional(kitSchema),
  /** Which of its kit's settings it is fitted in. */
  setting: z.optional(nameSchema),
  /** What each of it holds against being pulled up. */
  tension: z.optional(z.strictObject({ eachKg: limitKg, source: sourceSchema })),
  fasteners: z.optional(z.array(fastenerSchema).check(z.maxLength(40))),
  work: z.optional(workSchema),
  known: z.optional(provenanceSchema),
  typed: z.optional(typedSchema),
})
export type Part = z.infer<typeof partSchema>

const profileKindSchema = z.enum(['square', 'round', 'aero', 'flat', 'factory'])

/**
 * A bar's section. A wall makes a plain one hollow; a sheet may give its second moment of area and its section
 * modulus for loads from above, or say that it is solid. Each only where it is known.
 */
const profileSchema = z
  .strictObject({
    kind: profileKindSchema,
    widthMm: wideMm,
    heightMm: wideMm,
    wallMm: z.optional(spanMm),
    section: z.optional(
      z.discriminatedUnion('known', [
        z.strictObject({ known: z.literal('solid') }),
        z.strictObject({
          known: z.literal('figures'),
          iMm4: z.number().check(z.gte(0.001), z.lte(1e9)),
          wMm3: z.number().check(z.gte(0.001), z.lte(1e8)),
        }),
      ]),
    ),
    material: z.optional(
      z.strictObject({
        name: nameSchema,
        eGPa: z.number().check(z.gte(0.001), z.lte(1000)),
        yieldMPa: z.optional(z.number().check(z.gte(0.001), z.lte(5000))),
      }),
    ),
    channel: z.optional(channelSchema),
    /** Whether there is a channel on top at all, where nobody has measured it. */
    hasChannel: z.optional(z.boolean()),
    /** A groove along its underside in which the feet stand and strips set them. */
    underChannel: z.optional(channelSchema),
    hasUnderChannel: z.optional(z.boolean()),
  })
  .check(
    z.refine(({ channel, hasChannel: said }) => channel === undefined || said !== false, {
      path: ['hasChannel'],
      error: 'It has a channel, for its size is given: choose yes, or empty the size.',
    }),
    z.refine(({ underChannel, hasUnderChannel: said }) => underChannel === undefined || said !== false, {
      path: ['hasUnderChannel'],
      error: 'It has a groove, for its size is given: choose yes, or empty the size.',
    }),
  )
export type Profile = z.infer<typeof profileSchema>

/** Whether a bar has a channel on top, measured or not, as far as anybody has said. */
export const hasChannel = ({ channel, hasChannel: said }: Profile): boolean =>
  channel !== undefined || said === true

/** Whether a bar has a groove along its underside, measured or not, as far as anybody has said. */
export const hasUnderChannel = ({ underChannel, hasUnderChannel: said }: Profile): boolean =>
  underChannel !== undefined || said === true

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
    capMm: z.optional(sizeMm),
    riseMm: sizeMm,
    profile: profileSchema,
    feetYMm: z.array(positionMm).check(z.minLength(2), z.maxLength(6)),
    /** What its feet stand on where that is not what the rest of the rack stands on. */
    attachmentId: z.optional(idSchema),
    /** For which end of the rack it is made and marked, where front and rear bar are not alike. */
    end: z.optional(z.enum(['front', 'rear'])),
    /** What this bar alone weighs where bars of a set differ. */
    kg: z.optional(massKg),
    /** Where its top was taped instead of its underside: the rise follows from it. */
    topMm: z.optional(sizeMm),
    /** One end's foot is fixed to the bar, and the other is set along it. */
    fixedEnd: z.optional(z.enum(['left', 'right'])),
    /** It was on when the vehicle came, though the rack is to be fitted: nobody here has seen it tightened. */
    alreadyOn: z.optional(z.boolean()),
    /** Left free to slide in its feet, as one end of a rack over cab and bed is. */
    slides: z.optional(z.boolean()),
    known: z.optional(provenanceSchema),
    typed: z.optional(typedSchema),
  })
  .check(
    z.refine((bar) => bar.usableMm <= bar.lengthMm, {
      path: ['usableMm'],
      error: 'A bar cannot offer more width than it is long.',
    }),
    z.refine(
      ({ topMm, riseMm, profile }) =>
        topMm === undefined || Math.abs(topMm - riseMm - profile.heightMm) < SAME_MM,
      { path: ['topMm'], error: 'Top and underside of a bar are its profile’s height apart.' },
    ),
    z.refine((bar) => bar.feetYMm.every((y, i) => i === 0 || y > (bar.feetYMm[i - 1] ?? y)), {
      path: ['feetYMm'],
      error: 'List the feet from left to right, each at its own place.',
    }),
  )
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
  slatSlotMm: z.optional(spanMm),
  /** What its thickness is on top of, where that is not the bars' tops: bars that lie in it have it from their underside. */
  from: z.optional(z.enum(['barTop', 'barUnderside'])),
})
export type Deck = z.infer<typeof deckSchema>

const markText = z.string().check(z.minLength(1), z.maxLength(20))

/**
 * A fit sheet's row: for bars of one profile, the tower spacing of front and rear bar, as a length or as the mark printed
 * on the bar at which the foot is set; where the bars go; and the spread it wants between them.
 */
const fitSheetRowSchema = z.strictObject({
  profile: profileKindSchema,
  towerMm: z.optional(z.strictObject({ front: spanMm, rear: spanMm })),
  towerMarks: z.optional(z.strictObject({ front: markText, rear: markText })),
  /** A sheet may place one bar alone, the other by the spread. */
  xMm: z.optional(
    z.strictObject({
      front: z.optional(positionMm),
      rear: z.optional(positionMm),
      within: z.optional(sizeMm),
    }),
  ),
  spreadMm: z.optional(openRangeSchema),
  /** Why its spread does not count though the sheet has it. */
  spreadUnused: z.optional(z.string().check(z.maxLength(200))),
})

const common = {
  id: idSchema,
  name: nameSchema,
  attachmentId: idSchema,
  parts: z.array(partSchema).check(z.minLength(1), z.maxLength(20)),
  /** How high over the ground the middle of its own mass is: of all its parts that say nothing else. */
  centreZMm: z.optional(sizeMm),
  /** How wide a foot is along its bar: clamps stand clear of it, and an overhang is taped from its edge. */
  footWidthMm: z.optional(sizeMm),
  /** Of the tape that comes with it: from the tape's end to the line that is measured from. */
  tapeZeroMm: z.optional(sizeMm),
  /** A mark of the vehicle from which its sheet measures the front bar, which stands so far behind it. */
  sheetMark: z.optional(z.strictObject({ what: nameSchema, frontMm: sizeMm })),
  fitSheet: z.optional(
    z.strictObject({
      source: sourceSchema,
      rows: z.array(fitSheetRowSchema).check(z.maxLength(12)),
    }),
  ),
  gates: z.optional(z.array(preorderMeasurementSchema).check(z.maxLength(20))),
  note: z.optional(z.string().check(z.maxLength(2000))),
  status: z.optional(statusSchema),
  fitting: z.optional(fittingSchoolsSchema),
  known: z.optional(provenanceSchema),
  typed: z.optional(typedSchema),
}

export const rackSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('bars'),
    ...common,
    bars: z.array(barSchema).check(z.minLength(1), z.maxLength(8)),
  }),
  z.strictObject({
    kind: z.literal('platform'),
    ...common,
    bars: z.array(barSchema).check(z.minLength(2), z.maxLength(8)),
    deck: deckSchema,
  }),
  z.strictObject({
    kind: z.literal('bed'),
    ...common,
    bars: z.array(barSchema).check(z.minLength(1), z.maxLength(8)),
    deck: z.optional(deckSchema),
    sideHeightMm: sizeMm,
    /** How it is set to another height: what is loosened first, and whether its bars come inward. */
    raising: z.optional(
      z.strictObject({
        frees: z.optional(z.array(nameSchema).check(z.maxLength(10))),
        barsComeInward: z.optional(z.boolean()),
        /** The mark on its scale at which every tower is to stand. */
        mark: z.optional(z.number().check(z.gte(0), z.lte(99))),
      }),
    ),
    /** The holes of its side panels. */
    panelGrid: z.optional(
      z.strictObject({
        pitchMm: spanMm,
        columns: z.int().check(z.gte(1), z.lte(200)),
        rows: z.int().check(z.gte(1), z.lte(60)),
      }),
    ),
  }),
  z.strictObject({
    kind: z.literal('frame'),
    ...common,
    bars: z.array(barSchema).check(z.minLength(2), z.maxLength(8)),
    deck: z.optional(deckSchema),
  }),
  z.strictObject({
    kind: z.literal('ladder'),
    ...common,
    when: whenSchema,
    topZMm: spanMm,
    bottomZMm: sizeMm,
    /** Its own length, from end to end. */
    lengthMm: z.optional(spanMm),
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
