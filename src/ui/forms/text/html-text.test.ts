import { expect, it } from 'vitest'
import { htmlText } from './html-text'

it('gives the words of a page line by line, with the cells of a table apart, and nothing that is not on it', () => {
  const html = `<!doctype html><html><head><title>Roof load</title><style>p { width: 99kg }</style></head>
    <body><h1>Roof&nbsp;load</h1><script>document.title = '99 kg'</script>
    <p>While driving
       at most <b>75</b>&#8239;kg &amp; no more.</p>
    <table><tr><th></th><th>Saloon</th></tr><tr><td>Wheelbase</td><td>2780 mm</td></tr></table>
    <pre>Bars   1200 mm
Feet   90 mm</pre></body></html>`
  expect(
    htmlText(html)
      .split('\n')
      .filter((line) => line !== ''),
  ).toEqual([
    'Roof load',
    'Roof\u00a0load',
    'While driving at most 75\u202fkg & no more.',
    '\tSaloon',
    'Wheelbase\t2780 mm',
    'Bars   1200 mm',
    'Feet   90 mm',
  ])
})

it('reads what is broken as far as it goes', () => {
  expect(htmlText('<p>75 kg<td>80 kg</p><script>x')).toBe('75 kg\t80 kg')
  expect(htmlText('')).toBe('')
  expect(htmlText('75 < 80 kg')).toBe('75 < 80 kg')
})
