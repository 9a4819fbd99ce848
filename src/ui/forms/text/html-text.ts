/** What stands in a line of its own. */
const BLOCKS =
  'p, div, br, li, tr, h1, h2, h3, h4, h5, h6, section, article, header, footer, table, dt, dd, pre, hr'
const UNSEEN = 'script, style, template, noscript, head > :not(title)'

/** The words of a page as they stand on it: a line for each block, a tab between two cells of a table. Nothing of it is run or fetched. */
export function htmlText(html: string): string {
  const page = new DOMParser().parseFromString(html, 'text/html')
  for (const element of page.querySelectorAll(UNSEEN)) element.remove()
  // Line ends and blanks of the source are none of the page.
  const words = page.createTreeWalker(page, NodeFilter.SHOW_TEXT)
  for (let node = words.nextNode(); node; node = words.nextNode())
    if (!node.parentElement?.closest('pre')) node.nodeValue = (node.nodeValue ?? '').replaceAll(/\s+/g, ' ')
  for (const cell of page.querySelectorAll('td + td, td + th, th + td, th + th')) cell.before('\t')
  for (const block of page.querySelectorAll(BLOCKS)) {
    block.before('\n')
    block.after('\n')
  }
  return page.documentElement.textContent
    .split('\n')
    .map((line) => line.trim().replaceAll(/ *\t */g, '\t'))
    .join('\n')
    .replaceAll(/\n{3,}/g, '\n\n')
    .trim()
}
