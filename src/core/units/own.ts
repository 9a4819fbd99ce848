/** What an object says of a key itself; nothing of what every object has, as `constructor`. */
export const own = <T>(of: Readonly<Record<string, T>>, key: string): T | undefined =>
  Object.hasOwn(of, key) ? of[key] : undefined
