/** What a field is called where its own name says too little. */
const FIELD: Readonly<Record<string, string>> = {
  x: 'its place along the vehicle',
  y: 'its place across it',
  when: 'when it is on board',
  turn: 'how it is turned',
  host: 'what it stands on',
  loads: 'what is in it',
  fitting: 'how it is fitted',
  use: 'how it is used',
  rules: 'house rules',
  setAside: 'questions set aside',
  clearances: 'doors and garages',
  each: 'the weight of each',
  mass: 'its weight',
  usable: 'the width that can be used',
  feetY: 'foot to foot',
  gauge: 'left to right',
  ranges: 'where feet may go',
  rise: 'how high it stands over the roof',
  opens: 'how it opens',
}

/** A field's own name as words: `roofLoadKg` is roof load. */
export function keyWords(key: string): string {
  const bare = key.replace(/(Mm|Kg|Deg|KmH|Nm|MPa)$/, '')
  return FIELD[bare] ?? bare.replaceAll(/([a-z])([A-Z])/g, '$1 $2').toLowerCase()
}
