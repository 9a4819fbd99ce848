import { STATES } from '../units/scalars'
import type { Survey } from './survey'

/** Every part of a survey that is worked out by itself, by name. */
export const partsOf = ({ fit, motion, statics, ...of }: Survey) => ({
  racks: of.racks,
  things: of.things,
  masses: of.masses,
  loadPath: of.loadPath,
  body: of.body,
  spreads: fit.spreads(),
  widths: fit.widths(),
  near: fit.near(),
  swings: fit.swings(),
  panes: fit.panes(),
  gates: fit.gates(),
  feet: motion.feet(),
  tieDowns: motion.tieDowns(),
  wind: motion.wind(),
  noseUps: motion.noseUps(),
  standing: motion.standing(),
  sleepers: motion.sleepers(),
  lifts: motion.lifts(),
  bending: statics.bars(),
  evenness: statics.evenness(),
  footShares: statics.footShares(),
  twists: statics.twists(),
})

/** What every part says, to be held against what another says: of those that answer when asked, their answers. */
export function everyPart(survey: Survey) {
  const { loadPath, spreads, bending, footShares, ...plain } = partsOf(survey)
  return {
    ...plain,
    cells: loadPath.cells.map(({ layer, ...cell }) => ({ ...cell, layer: layer.id, units: layer.units })),
    allowances: survey.allowances.map(({ rackId, state, kind }) => ({ rackId, state, kind })),
    spreads: { pairs: spreads.pairs, problem: spreads.problem },
    liftById: survey.motion.liftById(),
    bending: survey.bars.map(({ index }) =>
      STATES.map((state) => {
        const loaded = bending(index, state)
        return [loaded?.carriesKg, loaded?.moment, loaded?.stressMPa, loaded?.lowest]
      }),
    ),
    footShares: footShares.map(({ corner, countedKg, shareKg }) => [corner, countedKg, shareKg]),
  }
}
