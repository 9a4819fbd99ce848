import { readText } from '../src/core/reading/read'
import { ownSheets, type Sheet, shownSheets } from './corpus'
import { offersOf } from './offers'
import { type Counts, countsOf, type Offer, scoreSheet } from './score'

const LEVELS = ['easy', 'middling', 'nasty', 'all'] as const
const share = ([part, whole]: readonly [number, number]): string =>
  whole === 0 ? '-' : `${part}/${whole} ${(part / whole).toFixed(3)}`

function row(name: string, counts: Counts): string {
  return [
    name.padEnd(9),
    `sure ${share(counts.sure)}`,
    `or asked ${share(counts.sureOrAsked)}`,
    `words ${share(counts.words)}`,
    `source ${share(counts.source)}`,
    `right of offered ${share(counts.precision)}`,
    `zero tolerance ${counts.zero}`,
    `questions ${share(counts.questions)}`,
    `of never ${counts.askedNever}`,
  ].join('  ')
}

const sayOffer = (offer: Offer): string => `${offer.what} ${offer.value} ${offer.unit ?? ''}`

function report(title: string, sheets: readonly Sheet[], isWhole: boolean): void {
  const read = sheets.map((sheet) => {
    const offers = offersOf(readText(sheet.text))
    return { sheet, offers, scored: scoreSheet(sheet, offers) }
  })
  console.log(`\n${title}`)
  for (const { sheet, scored } of isWhole ? read : []) {
    const say = (cause: string, words: string) =>
      console.log(`${sheet.id.padEnd(16)} ${cause.padEnd(12)} ${words}`)
    for (const item of scored.missed)
      say(scored.asked.includes(item) ? 'asked' : 'missed', `${item.what} ${item.value} ${item.unit ?? ''}`)
    for (const cause of ['unsupported', 'oversure', 'misfiled', 'askedNever'] as const)
      for (const offer of scored[cause]) say(cause, sayOffer(offer))
    for (const [fault, offer] of scored.zero) say(`ZERO ${fault}`, sayOffer(offer))
  }
  for (const level of LEVELS) {
    const here = read.filter(({ sheet }) => level === 'all' || sheet.level === level)
    console.log(row(level, countsOf(here)))
  }
}

const isWhole = process.argv.includes('--each')
report('The forty texts given', shownSheets(), isWhole)
report('Texts of our own', ownSheets(), isWhole)
