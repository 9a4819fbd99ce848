import { transaction, severalOn } from './database'

/**
 * What is gathered from thousands of records is kept as one, for one large record is read many times faster than as many
 * small ones. It is taken from other records and never the only place of anything: where it cannot be kept or read it is
 * gathered again.
 */
export async function readGathered<T>(
  name: string,
  isOne: (raw: unknown) => raw is T,
): Promise<readonly T[]> {
  const [raw] = await severalOn('browser', [name])
  return Array.isArray(raw) ? raw.filter(isOne) : []
}

export async function saveGathered(name: string, all: readonly unknown[]): Promise<void> {
  await transaction(['browser'], ({ put }) => {
    put('browser', name, all)
    return Promise.resolve()
  }).catch(() => undefined)
}
