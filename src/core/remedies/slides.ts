import { apply } from '../plan/commands/apply'
import { moveBy } from '../edits/move'
import { rootOf, type ThingAt } from '../survey/frame/arrangement'
import { survey as surveyOf, type Survey } from '../survey/survey'
import { withContents } from '../survey/loads/mass-points'
import type { Candidate } from './candidate'
import { lessOf, canBeLess } from './amounts'
import { moved } from './moves'

/** How far something is past its limit on a survey, in whatever unit: nought or less is within it. */
export type Over = (survey: Survey) => number

const PROBE_MM = 20
const FURTHEST_MM = 1500
const STEPS = 4
const WAYS = [
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1],
] as const

/** The least whole mm one way by which a measure comes within its limit; nothing where that way does not help. */
function leastMm(over: (byMm: number) => number, now: number): number | undefined {
  let [near, nearOver] = [0, now]
  let [far, farOver] = [PROBE_MM, over(PROBE_MM)]
  for (let i = 0; farOver > 0; i += 1) {
    if (i === STEPS || farOver >= nearOver) return undefined
    const next = Math.ceil(far + (farOver * (far - near)) / (nearOver - farOver))
    if (next > FURTHEST_MM) return undefined
    ;[near, nearOver, far, farOver] = [far, farOver, next, over(next)]
  }
  const between = Math.ceil(near + ((far - near) * nearOver) / (nearOver - farOver) - 1e-6)
  return between < far && over(between) <= 0 ? between : far
}

/** The moves of a thing along and across, each by the least whole mm that brings a measure within its limit. */
export function slides(survey: Survey, thing: ThingAt, over: Over): Candidate[] {
  const now = over(survey)
  if (now <= 0) return []
  const { placement } = thing
  return WAYS.flatMap(([x, y]) => {
    const by = leastMm((mm) => {
      const applied = apply(survey.plan, moveBy(survey, placement.id, placement, x * mm, y * mm))
      return applied.ok ? over(surveyOf(applied.plan, survey)) : Infinity
    }, now)
    return by === undefined ? [] : moved(survey, thing, x * by, y * by)
  })
}

/** Less of each load, by so much that a measure that grows evenly with it comes within its limit. */
export function lessUntil(survey: Survey, over: Over): Candidate[] {
  const now = over(survey)
  if (now <= 0) return []
  const { plan, masses } = survey
  return masses.filter(canBeLess).flatMap((mass): Candidate[] => {
    const half = lessOf(mass, mass.kg / 2, plan.rules)
    const applied = half && apply(plan, half.command)
    if (!applied?.ok) return []
    const after = surveyOf(applied.plan, survey)
    const leftKg = after.masses.find(({ id }) => id === mass.id)?.kg ?? 0
    const perKg = (now - over(after)) / (mass.kg - leftKg)
    const less = perKg > 1e-9 ? lessOf(mass, mass.kg - now / perKg, plan.rules) : undefined
    return less ? [less] : []
  })
}

/** How many of the heaviest things are tried. */
const HEAVIEST = 4

/** The things that stand on bars or decks themselves, of those that some masses belong to: the heaviest few. */
export function heaviestRoots(survey: Survey, isMeant: (thing: ThingAt) => boolean): ThingAt[] {
  const weighs = withContents(survey.masses, ({ kg }) => kg)
  const roots = new Set(survey.things.filter(isMeant).map(rootOf))
  return [...roots].toSorted((a, b) => (weighs.get(b) ?? 0) - (weighs.get(a) ?? 0)).slice(0, HEAVIEST)
}
