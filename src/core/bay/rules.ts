import { type Rule, practice } from '../review/check'

/** The rules by which the bay judges what was counted, taped, pulled, slid in, cut, drilled and proved. */
export const BAY_RULES: readonly Rule[] = [
  {
    id: 'parts',
    title: 'Parts counted',
    question: 'Are all parts there before the first bolt, with none left over?',
    formula: 'counted − wanted: under 0 is Stop, over 0 is Mind',
    source: practice(
      'Common practice, no source: a missing part stops the job on the bench, not on the roof.',
    ),
    nothing: 'Nothing is to be fitted.',
  },
  {
    id: 'marks',
    title: 'Marked pieces at their places',
    question: 'Is each marked piece at the place for which it is made?',
    formula: 'mark seen at a place = mark that belongs there',
    source: practice('The maker’s marks decide. Common practice, no source.'),
    nothing: 'No piece is told from another by a mark.',
  },
  {
    id: 'step-order',
    title: 'Order of steps',
    question: 'Is every step there that a part’s own step has to come after?',
    formula: 'steps named on the part’s sheet ⊆ steps of the job',
    source: practice('The maker’s order goes before the usual one. Common practice, no source.'),
    nothing: 'No part brings a step of its own.',
  },
  {
    id: 'squareness',
    title: 'Bars parallel, square, centred and level',
    question: 'Are the readings consistent, and are the bars where they should be?',
    formula:
      's = (d₁² − aᵣ² − d₂² + aₗ²) / 4w; w² + s² = (d₁² − aᵣ² + d₂² − aₗ²) / 2; overhangs + feet + between + caps = bar',
    source: {
      kind: 'handbook',
      text: 'Pythagoras, on both diagonals and both spreads; tolerances are the house’s, 1 mm a reading is common practice, no source.',
    },
    nothing: 'No two bars need measuring against each other.',
  },
  {
    id: 'torque-figure',
    title: 'A figure for every joint',
    question: 'Does this joint have a torque, and how reliable is it?',
    formula: 'its own sheet, else a table’s advice: T = K · F · d, never above what the part bears',
    source: {
      kind: 'handbook',
      text: 'Nut factors and proof loads after Shigley, ISO 898-1 and ISO 3506-1, from memory. A figure never carries over from another rack.',
    },
    nothing: 'Nothing is tightened.',
  },
  {
    id: 'place-right',
    title: 'Each place as its sheet wants it',
    question: 'Is the sign of each place seen there: its clicks, its notch, its mark?',
    formula: 'clicks heard = clicks of its sheet; every other sign is seen or not',
    source: practice('The first click is no lock. Common practice, no source.'),
    nothing: 'No joint has a sign.',
  },
  {
    id: 'torque-reading',
    title: 'Wrench readings',
    question: 'Does each place lie within its range, at every pass?',
    formula:
      'a sheet’s range as it is; a single figure ± the house’s tolerance; at a pass, its share of the figure. No wrench’s error widens them',
    source: {
      kind: 'published',
      text: 'ISO 6789, from memory: most hand tools are within 4 %, and have a term of calibration. The 10 % on a single figure is common practice, no source.',
    },
    nothing: 'Nothing was read.',
  },
  {
    id: 'torque-over',
    title: 'Over its figure',
    question: 'Was a joint tightened above its range, or above the limit of the part?',
    formula: 'reading > upper end: Stop at once, at any pass',
    source: practice('Common practice, no source: a crushed part does not hold as before.'),
    nothing: 'Nothing was read.',
  },
  {
    id: 'channel',
    title: 'Nuts into a channel',
    question: 'Can each nut reach its place in the channel?',
    formula: 'from the open end, farthest first; past nothing that lies in between',
    source: practice('Common practice, no source.'),
    nothing: 'Nothing is slid into a channel.',
  },
  {
    id: 'strips',
    title: 'Strips to cut',
    question: 'Are the covers of mounts and feet known before a strip is cut?',
    formula: 'gap · (1 + shrinkage); none where a width or a place is not known',
    source: practice('Common practice, no source; shrinkage is the house’s.'),
    nothing: 'No strip is to be cut.',
  },
  {
    id: 'starting-length',
    title: 'Lengths that only a form filled in',
    question: 'Has somebody typed or confirmed the lengths by which a step places a bar or its feet?',
    formula: 'the place, length and tower spacing of each bar are no starting values',
    source: practice('A length that nobody measured is no instruction. Common practice, no source.'),
    nothing: 'No step goes by a length.',
  },
  {
    id: 'drilling',
    title: 'Before a hole',
    question: 'Are all facts of a hole known before it is drilled?',
    formula: 'pilot, final size, layers, seal and paint named; holes of the sheet = points of the vehicle',
    source: practice('Common practice, no source; the rack’s and the vehicle’s own sheets go before it.'),
    nothing: 'Nothing is drilled.',
  },
  {
    id: 'proof',
    title: 'Proof before it leaves',
    question: 'Was every moving part opened, the rack shaken and the vehicle driven, with what result?',
    formula: 'each by itself: one drive stands for no other',
    source: practice('Common practice, no source.'),
    nothing: 'Nothing is planned.',
  },
]
