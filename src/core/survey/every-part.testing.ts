import { STATES } from '../units/scalars'
import type { Survey } from './survey'

/** Every part that is computed when it is first asked for, asked for; a problem of spreads by what it says. */
export function everyPart({ fit, motion, statics, loadPath, allowances, bars }: Survey) {
  const { pairs, problem } = fit.spreads()
  return {
    cells: loadPath.cells.map(({ layer, ...cell }) => ({ ...cell, layer: layer.id, units: layer.units })),
    allowances: allowances.map(({ rackId, state, kind }) => ({ rackId, state, kind })),
    spreads: { pairs, problem },
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
    axles: [motion.axles.road(), motion.axles.trail()],
    sleepers: motion.sleepers(),
    lifts: motion.liftById(),
    bending: bars.map(({ index }) =>
      STATES.map((state) => {
        const loaded = statics.bar(index, state)
        return [loaded?.carriesKg, loaded?.moment, loaded?.stressMPa, loaded?.lowest]
      }),
    ),
    evenness: statics.evenness(),
    footShares: statics.footShares().map(({ corner, countedKg, shareKg }) => [corner, countedKg, shareKg]),
    twists: statics.twists(),
  }
}
