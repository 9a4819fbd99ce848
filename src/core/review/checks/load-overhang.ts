import { marginPhrase } from '../margin-words'
import { fails, spareOf, overBy } from '../../facts/comparison'
import { pastVehicle, type End } from '../../facts/past-vehicle'
import { mm, type Phrase, missing } from '../../units/phrase'
import { check, practice } from '../check'
import { GEAR_SIZES } from '../length-groups'

const WHERE: Readonly<Record<End, string>> = {
  rear: 'behind the vehicle',
  front: 'in front of the vehicle',
  side: 'past the vehicle’s side',
}

/** The other end of the vehicle, past which nothing runs where that is so. */
const NOTHING: Readonly<Partial<Record<End, { readonly other: End; readonly words: string }>>> = {
  rear: { other: 'front', words: ' Nothing runs in front of it.' },
  front: { other: 'rear', words: ' Nothing runs behind it.' },
}

/** What runs past the vehicle, against the local rules chosen. mm. */
export const loadOverhang = check({
  id: 'load-overhang',
  title: 'Past the vehicle',
  question: 'How far does the load extend past the vehicle, and what do the chosen local rules require?',
  formula:
    'furthest end of the load less the vehicle’s own; against the mark and the most of the rules chosen',
  source: practice('Local rules are kept as data with their sources, from memory: check your local rules.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'ofAllThings',
  houseLook: 'none',
  turnedBy: { lengths: { of: { vehicle: /^(lengthMm|noseToScreenMm)$/, gear: GEAR_SIZES }, reach: 1 } },
  nothing: 'Nothing extends past the vehicle while it drives.',
  *run(survey) {
    const all = pastVehicle(survey)
    for (const { end, thing, byMm, rules, anybody, mark, most } of all) {
      const nothing = NOTHING[end]
      const otherEnd = nothing && !all.some((each) => each.end === nothing.other) ? nothing.words : ''
      const common = {
        about: end,
        state: 'road',
        subject: { placementIds: [thing.placement.id] },
        measured: mm(byMm),
        nearStop: { mm: most ? spareOf(most) : Infinity },
      } as const
      const runs: Phrase = [`${thing.gear.name} runs `, mm(byMm), ` ${WHERE[end]}`]
      if (!rules) {
        const asks = fails(anybody)
        yield {
          ...common,
          severity: asks ? 'findOut' : 'clear',
          ...(asks
            ? { ask: { where: 'house', label: 'Local rules', target: { open: 'house' } } as const }
            : {}),
          sentence: asks
            ? [...runs, `: choose the local rules in the house rules, and check them.${otherEnd}`]
            : [
                ...runs,
                ', less than any rule in Ypsos asks about: the strictest asks from ',
                mm(anybody.limit),
                ', ',
                ...marginPhrase(anybody),
                `. Check your local rules.${otherEnd}`,
              ],
        }
      } else if (most && fails(most))
        yield {
          ...common,
          severity: 'stop',
          limit: mm(most.limit),
          margin: mm(spareOf(most)),
          sentence: [
            ...runs,
            '; ',
            `${rules.place} allows `,
            mm(most.limit),
            ', ',
            ...marginPhrase(most),
            ` (${rules.source}). Check your local rules.${otherEnd}`,
          ],
        }
      else if (mark && fails(mark))
        yield {
          ...common,
          severity: 'mind',
          limit: mm(mark.limit),
          margin: mm(spareOf(mark)),
          sentence: [
            ...runs,
            `. From `,
            mm(mark.limit),
            ` on (`,
            missing(mm(overBy(mark))),
            ` less) ${rules.place} asks: ${rules.mark} (${rules.source}). Check your local rules.${otherEnd}`,
          ],
        }
      else
        yield {
          ...common,
          severity: 'clear',
          ...(mark ? { limit: mm(mark.limit), margin: mm(spareOf(mark)) } : {}),
          sentence: [
            ...runs,
            `, within what ${rules.place} asks nothing for`,
            ...(mark ? [', up to ', mm(mark.limit), ': ', ...marginPhrase(mark)] : []),
            `. Check your local rules.${otherEnd}`,
          ],
        }
    }
  },
})
