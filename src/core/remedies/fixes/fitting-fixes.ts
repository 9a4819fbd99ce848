import { whose } from '../../units/words'
import type { Fitting } from '../../plan/schema/placement'
import { startsOf } from '../../provenance/starts'
import { overBy } from '../../facts/comparison'
import { heldAt, sizeOf } from '../../facts/mounts'
import { straps } from '../../review/checks/tie-downs'
import type { Finding } from '../../review/finding'
import type { ThingAt } from '../../survey/frame/arrangement'
import { limitWanted } from '../../survey/motion/securing'
import { kitPoints } from '../../survey/mounting/kit'
import { adapterFor, askingOf, UNDER_BAR } from '../../survey/mounting/match'
import type { Survey } from '../../survey/survey'
import { kg, mm } from '../../units/phrase'
import { FIT_NEXT, ofThing, type Candidate, type Fixes, type RemedyStock } from '../candidate'
import { cellOfFinding, strongerParts } from '../lighten'
import { takeOffFix } from '../moves'
import { slides } from '../slides'

/** Another fitting for a thing; `price` ranks what must be bought. */
function fittedWith(
  { placement }: ThingAt,
  fitting: Fitting,
  message: Candidate['message'],
  price = 0,
): Candidate {
  return {
    kind: 'fit',
    message,
    command: {
      do: 'setFitting',
      placementId: placement.id,
      fitting: { ...placement.fitting, ...fitting },
    },
    rank: FIT_NEXT + price,
  }
}

/** Lines at both ends of the thing that a finding is about. */
const linesPlanned = ofThing((_, { gear, placement }) => [
  {
    kind: 'fit',
    message: [`Plan bow and stern lines for ${gear.name}`],
    command: { do: 'setLines', placementId: placement.id, lines: { bow: true, stern: true } },
    rank: FIT_NEXT,
  },
])

function mountMatchFixes(survey: Survey, thing: ThingAt, _: Finding, stock: RemedyStock): Candidate[] {
  const low = thing.gear.name
  const compared = heldAt(survey, thing)
  const worst = compared[0]
  const off = takeOffFix(survey, thing)
  if (!worst) return [off]
  const small = worst.match.kind === 'doesNot' ? worst.match.short : undefined
  // The roof is crowned: there is more room under a bar nearer to its feet.
  if (small?.what === UNDER_BAR)
    return [
      ...slides(survey, thing, (after) => {
        const there = after.thingById.get(thing.placement.id)
        const match = there && heldAt(after, there)[0]?.match
        return match?.kind === 'doesNot' ? (match.short ? overBy(sizeOf(match.short)) : Infinity) : 0
      }),
      off,
    ]
  if (worst.match.kind === 'fitsWith') {
    const { change } = worst.match
    switch (change.kind) {
      case 'bolt':
        return [
          fittedWith(thing, { boltMm: change.bolt.standardMm }, [
            `Use ${change.bolt.thread} bolts of `,
            mm(change.bolt.standardMm),
            ` for ${low}`,
          ]),
          off,
        ]
      case 'nut':
        return [
          fittedWith(thing, { nutSlotMm: change.slotMm }, [
            `Use ${whose(low)} nuts for a slot of `,
            mm(change.slotMm),
          ]),
          off,
        ]
      case 'hole':
        return [fittedWith(thing, { hole: change.index }, [`Put ${low} in hole ${change.index + 1}`]), off]
    }
  }
  const adapter = adapterFor(worst.at.offer, thing.gear.fit.mount, askingOf(thing), stock.adapters ?? [])
  return adapter
    ? [fittedWith(thing, { adapter }, [`Put ${adapter.name} under ${low}`], adapter.price ?? 0), off]
    : [off]
}

function kitFitFixes(survey: Survey, finding: Finding, stock: RemedyStock): Candidate[] {
  const { partId } = finding.subject
  const at = survey.racks.find(({ rack }) => rack.parts.some(({ id }) => id === partId))
  const part = at?.rack.parts.find(({ id }) => id === partId)
  if (!at || !part) return []
  return stock.parts
    .filter(
      (other) =>
        other.role === part.role &&
        other.count === part.count &&
        other.name !== part.name &&
        (other.suits !== undefined || other.kit !== undefined) &&
        !kitPoints(other, at.rack, survey.plan.vehicle, at.attachments).some(
          ({ kind }) => kind === 'refused',
        ),
    )
    .map((other) => ({
      kind: 'swap',
      message: [`Change to ${other.name}`],
      command: { do: 'swapPart', partId: part.id, part: { ...other, id: part.id } },
      rank: FIT_NEXT + (other.price ?? 0),
    }))
}

function tieDownsFixes(survey: Survey, finding: Finding): Candidate[] {
  const tie = survey.motion
    .tieDowns()
    .find(({ thing }) => thing.placement.id === finding.subject.placementIds[0])
  if (!tie) return []
  const { thing, wanted, planned, plannedEachKg } = tie
  const count =
    plannedEachKg !== undefined && plannedEachKg > 0
      ? Math.max(wanted, planned, Math.ceil(limitWanted(tie.kg) / plannedEachKg - 1e-9))
      : wanted
  return [
    {
      kind: 'fit',
      message: [
        `Plan ${straps(count)} for ${thing.gear.name}, `,
        kg(plannedEachKg ?? Math.ceil(tie.eachKg)),
        ' each',
      ],
      command: {
        do: 'setStraps',
        placementId: thing.placement.id,
        straps: { count, eachKg: plannedEachKg ?? Math.ceil(tie.eachKg) },
      },
      rank: FIT_NEXT,
    },
  ]
}

function unratedLayerFixes(survey: Survey, finding: Finding, stock: RemedyStock): Candidate[] {
  const cell = cellOfFinding(survey, finding)
  return cell ? strongerParts(survey, cell, stock) : []
}

function startingValuesFixes({ plan }: Survey): Candidate[] {
  const starts = startsOf(plan)
  return starts.length === 0
    ? []
    : [{ kind: 'change', message: ['They are right'], command: { do: 'confirm', starts }, rank: 0 }]
}

export const FITTING_FIXES: Readonly<Record<string, Fixes>> = {
  lines: linesPlanned,
  'nose-up': linesPlanned,
  'support-span': linesPlanned,
  'mount-match': ofThing(mountMatchFixes),
  'kit-fit': kitFitFixes,
  'tie-downs': tieDownsFixes,
  'unrated-layer': unratedLayerFixes,
  'starting-values': startingValuesFixes,
}
