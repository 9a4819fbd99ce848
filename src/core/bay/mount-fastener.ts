import { isInChannel } from '../kinds/mount'
import type { Fastener } from '../plan/schema/fastening'
import type { Gear } from '../plan/schema/gear'

/** What a channel bolt's mount says of its joint, as far as the joint's own sheet leaves it out. */
export function withMount(fastener: Fastener, { mount }: Gear['fit']): Fastener {
  if (!isInChannel(mount) || (fastener.thread !== 'unsaid' && fastener.thread !== mount.thread))
    return fastener
  const { thread, boltMm: lengthMm, stackMm, washers } = mount
  return {
    stackMm,
    ...(lengthMm !== undefined && { lengthMm }),
    ...(washers !== undefined && { washers }),
    ...fastener,
    thread,
  }
}
