import type { RemedyStock, Candidate } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { heldAt } from '../../review/checks/mount-match'
import { takeOffFix } from '../moves'
import { fittedWith } from '../fittings'
import { mm } from '../../units/phrase'
import { adapterFor, askingOf } from '../../survey/mounting/match'

export function mountMatchFixes(survey: Survey, finding: Finding, stock: RemedyStock): Candidate[] {
  const thing = survey.thingById.get(finding.subject.placementIds[0] ?? '')
  if (!thing) return []
  const low = thing.gear.name.toLowerCase()
  const held = heldAt(survey, thing)
  const worst = held[0]
  const off = takeOffFix(survey, thing)
  if (!worst) return [off]
  if (worst.match.kind === 'fitsWith') {
    const { change } = worst.match
    switch (change.kind) {
      case 'bolt':
        return [
          fittedWith(thing, { boltMm: change.lengthMm }, [
            `Use ${change.thread} bolts of `,
            mm(change.lengthMm),
            ` for ${low}`,
          ]),
          off,
        ]
      case 'nut':
        return [
          fittedWith(thing, { nutSlotMm: change.slotMm }, [
            `Use ${low}’s nuts for a slot of `,
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
