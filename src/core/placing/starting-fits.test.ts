import { expect, inject, it } from 'vitest'
import { ATTACHMENTS } from '../kinds/attachment'
import { BODIES } from '../kinds/body'
import { GEAR_KINDS } from '../kinds/gear-kind'
import { kindsOf } from '../kinds/kind'
import { newPlan } from '../plan/starting/new-plan'
import { roomOn, startingGear } from '../plan/starting/starting-gear'
import { startingAttachment } from '../survey/frame/body/starting-attachment'
import { startingVehicle } from '../survey/frame/body/starting-vehicle'
import { rackKindsFor, startingRack } from '../survey/frame/starting-rack'
import { survey } from '../survey/survey'
import { phraseText } from '../units/phrase'
import { compatible } from './compatible'

/** In the gate every so many of the combinations; all of them in the deep run. */
const EVERY = inject('deep') ? 1 : 11

it('a thing as its sheet begins goes on the rack that it was entered for, or asks for a carrier (F12)', () => {
  let tried = 0
  for (const body of kindsOf(BODIES))
    for (const kind of kindsOf(ATTACHMENTS)) {
      if (['bed', 'canopy'].includes(ATTACHMENTS[kind].on) && BODIES[body].bed === undefined) continue
      const held = startingAttachment(kind, body, 'held')
      const vehicle = { ...startingVehicle(body, 'v'), attachments: [held] }
      for (const rackKind of rackKindsFor(held)) {
        const rack = startingRack(vehicle, held, rackKind, 'rack')
        if (rack.kind === 'ladder') continue
        const bare = survey(newPlan({ id: 'p', job: { name: 'Job' }, vehicle, racks: [rack] }))
        for (const gearKind of kindsOf(GEAR_KINDS)) {
          tried += 1
          if (gearKind === 'person' || tried % EVERY !== 0) continue
          const begun = startingGear(gearKind, 'g', roomOn(rack))
          const gear = { ...begun, name: 'Thing', mass: { kg: 12, basis: 'maker' as const } }
          const answer = compatible(bare, gear, 'rack', [], 'trial')
          const why = answer.kind === 'cannot' ? phraseText(answer.why) : ''
          expect(why, `${gearKind} on ${rackKind} on ${kind} of a ${body}`).toMatch(/^$|needs a carrier/)
        }
      }
    }
  expect(tried).toBeGreaterThan(1000)
})
