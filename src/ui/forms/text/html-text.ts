import { Parser } from 'htmlparser2'

/** What stands in a line of its own. */
const BLOCKS = new Set(
  'p div br li tr h1 h2 h3 h4 h5 h6 section article header footer table dt dd pre hr title ul ol blockquote'.split(
    ' ',
  ),
)
const CELLS = new Set(['td', 'th'])
/** What is in a page and not on it. */
const UNSEEN = new Set(['script', 'style', 'template', 'noscript'])

/** The words of a web page as they stand on it: a line for each block, a tab between two cells of a table. Nothing of it is run or fetched. */
export function htmlText(html: string): string {
  const parts: string[] = []
  let unseen = 0
  let kept = 0
  const parser = new Parser({
    onopentagname(name) {
      if (UNSEEN.has(name)) unseen += 1
      if (name === 'pre') kept += 1
      if (BLOCKS.has(name)) parts.push('\n')
      if (CELLS.has(name)) parts.push('\t')
    },
    ontext(words) {
      // Line ends and blanks of the source are none of the page.
      if (unseen === 0) parts.push(kept > 0 ? words : words.replaceAll(/[ \t\r\n]+/g, ' '))
    },
    onclosetag(name) {
      if (UNSEEN.has(name)) unseen -= 1
      if (name === 'pre') kept -= 1
      if (BLOCKS.has(name)) parts.push('\n')
    },
  })
  parser.write(html)
  parser.end()
  return parts
    .join('')
    .split('\n')
    .map((line) => line.replaceAll(/ *\t */g, '\t').replace(/^(?:\t| +)|[ \t]+$/g, ''))
    .join('\n')
    .replaceAll(/\n{3,}/g, '\n\n')
    .trim()
}
