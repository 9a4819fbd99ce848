import type { Adapter } from '../plan/schema/placement'
import { group, ID, length, mass, number, range, text, type FieldsOf } from './field'
import { MOUNT_FIELD, RATED } from './held-fields'

/** What turns a bar's offer into another: how it is held, and what it gives. */
export const ADAPTER_FIELD = group('Adapter', {
  id: ID,
  name: text('Name'),
  kg: mass('Weight of the set'),
  heightMm: length('Raises its load by'),
  mount: MOUNT_FIELD,
  gives: {
    is: 'variants',
    label: 'Gives',
    by: 'kind',
    choices: [
      ['section', 'a section to clamp'],
      ['channel', 'a channel'],
    ],
    groupOf: (kind) =>
      kind === 'section'
        ? group('', {
            widthMm: length('Given width'),
            heightMm: length('Given height'),
            roomMm: length('Room under the section it gives'),
          })
        : group('', {
            slotMm: length('Given slot'),
            headRoomMm: length('Head room in the section it gives'),
          }),
  },
  rated: RATED('Load limits'),
  spreadMm: range('Spread from', 'to', 'Empty when it asks none'),
  price: number('Price'),
} satisfies FieldsOf<Adapter>)
