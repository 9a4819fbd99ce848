/** The units in which the corpora and the reader's answers are written, each with its dimension and its size in the dimension's first unit. */
export const UNIT = {
  mm: ['length', 1],
  cm: ['length', 10],
  m: ['length', 1000],
  in: ['length', 25.4],
  ft: ['length', 304.8],
  kg: ['mass', 1],
  g: ['mass', 0.001],
  lb: ['mass', 0.45359237],
  Nm: ['torque', 1],
  'ft-lb': ['torque', 1.3558179483314],
  'in-lb': ['torque', 0.1129848290276167],
  'km/h': ['speed', 1],
  mph: ['speed', 1.609344],
  l: ['volume', 1],
  km: ['distance', 1],
  year: ['year', 1],
  count: ['count', 1],
} as const satisfies Record<string, readonly [dimension: string, size: number]>

export type Unit = keyof typeof UNIT

/** Meanings that say the same in other words. */
export const SAME: Readonly<Record<string, readonly string[]>> = {
  'joint.torque': ['joint.torque.from', 'joint.torque.to'],
  'rack.spread': ['rack.spread.from', 'rack.spread.to'],
  'joint.torque.max': ['joint.torque.to'],
  'vehicle.year': ['vehicle.years.from', 'vehicle.years.to'],
  'rack.tower.front': ['rack.tower'],
  'rack.tower.rear': ['rack.tower'],
}

/** The numbers that may stand in a stretch of text, read in every way a careless reader might. */
export function numbersIn(text: string): number[] {
  const plain = text.replaceAll('⁄', '/').replaceAll(/[\u2009\u202f]/g, ' ')
  const all: number[] = []
  const eighths = { '½': 0.5, '¼': 0.25, '¾': 0.75, '⅛': 0.125, '⅜': 0.375, '⅝': 0.625, '⅞': 0.875 }
  for (const [sign, share] of Object.entries(eighths))
    for (const [, whole = '0'] of plain.matchAll(new RegExp(`(?:(\\d+)[ \\-–]*)?${sign}`, 'g')))
      all.push(Number(whole) + share)
  for (const [, whole = '0', over = '0', under = '1'] of plain.matchAll(/(?:(\d+)[ -])?(\d+)\/(\d+)/g))
    all.push(Number(whole) + Number(over) / Number(under))
  for (const [digits] of plain.matchAll(/\d[\d.,\u00a0]*/g)) {
    const bare = digits.replace(/[.,\u00a0]+$/, '').replaceAll('\u00a0', '')
    for (const way of [
      bare.replaceAll(',', ''),
      bare.replaceAll('.', '').replaceAll(',', '.'),
      bare.replaceAll(',', '.'),
      bare.replaceAll('.', ''),
    ])
      if (/^\d+(?:\.\d+)?$/.test(way)) all.push(Number(way))
  }
  return all
}
