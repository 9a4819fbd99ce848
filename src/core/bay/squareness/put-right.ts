import type { HeldBy } from '../../kinds/attachment'

/** What is to be done about a bar that stands along the vehicle where it should not, by what holds it. */
export const PUT_RIGHT: Readonly<Record<HeldBy, string | undefined>> = {
  rail: undefined,
  notch:
    'Its feet are in notches of the rail. Check for a foot one notch off and for a bar askew in its feet.',
  point:
    'Its feet are on the vehicle’s points. Check for a foot on the wrong point and for a bar askew in its feet.',
  socket: 'Its feet are in sockets. Check for a foot that is not fully in and for a bar askew in its feet.',
  doorFrame:
    'Its feet hook into the door frame: measure each foot again from the mark on the rack’s sheet, then lift and reset the foot that is off.',
  hole: 'Its feet are over drilled holes. Check for a foot on the wrong hole and for a bar askew in its feet.',
}
