/** What a monkey did to a sheet: the fields it reached, all fields it ever saw, and how often it acted. */
export interface Monkeyed {
  readonly reached: readonly string[]
  readonly seen: readonly string[]
  readonly added: readonly string[]
  readonly adds: readonly string[]
  readonly failed: boolean
}

/**
 * Runs in the page, as text: `monkey(seed, count)` opens parts, adds, removes, types sense and rubbish, chooses and
 * ticks, so many times by the dice of its seed. It prefers what it has not reached yet.
 */
export const MONKEY = `
window.monkeyed = window.monkeyed ?? { reached: {}, seen: {}, added: {}, adds: {} }
window.monkey = async (seed, count) => {
  const found = window.monkeyed
  let state = seed
  const dice = (most) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return Math.floor((state / 4294967296) * most)
  }
  const oneOf = (all) => all[dice(all.length)]
  const TEXTS = ['', '12', '12 mm', '3 1/2 in', '40 kg', '5 Nm', '30; 900', '10 mm / 20 mm; 30 mm / 40 mm; 5 mm / 1 mm',
    'words', '-1', '1e9', '0', '\\u0000', '<b>', '9999999 kg', '2026-11-02', 'x'.repeat(300), '½', '7 %', ' ']
  const where = (name) => name.replace(/[0-9]+/g, 'N').replace(/new-[0-9a-f]+/g, 'new')
  const type = (element, text) => {
    const proto = element instanceof HTMLTextAreaElement ? HTMLTextAreaElement : element instanceof HTMLSelectElement ? HTMLSelectElement : HTMLInputElement
    Object.getOwnPropertyDescriptor(proto.prototype, 'value').set.call(element, text)
    element.dispatchEvent(new Event(element instanceof HTMLSelectElement ? 'change' : 'input', { bubbles: true }))
    element.dispatchEvent(new FocusEvent('focusout', { bubbles: true }))
  }
  for (let i = 0; i < count; i += 1) {
    const form = document.querySelector('form')
    if (!form) break
    for (const part of form.querySelectorAll('details:not([open]) > summary')) if (dice(3) === 0) part.click()
    const fields = [...form.querySelectorAll('input[name], textarea[name], select[name]')]
    for (const { name } of fields) found.seen[where(name)] = true
    const buttons = [...form.querySelectorAll('button')]
    const adds = buttons.filter((each) => /^Add /.test(each.textContent.trim()))
    const called = (button) => button.textContent.trim() + ' in ' + where(button.closest('fieldset')?.querySelector('[name]')?.name ?? '')
    for (const each of adds) found.adds[called(each)] = true
    const kind = dice(10)
    if (kind < 2 && fields.length < 400) {
      const fresh = adds.filter((each) => !found.added[called(each)])
      const key = oneOf(fresh.length > 0 ? fresh : adds)
      if (key) {
        const choice = key.parentElement.querySelector('select')
        if (choice) type(choice, oneOf([...choice.options]).value)
        found.added[called(key)] = true
        key.click()
      }
    } else if (kind === 2 || fields.length > 300) {
      const key = oneOf(buttons.filter((each) => /^Remove/.test(each.getAttribute('aria-label') ?? each.textContent)))
      if (key && (dice(2) === 0 || fields.length > 300)) key.click()
    } else {
      const fresh = fields.filter(({ name }) => !found.reached[where(name)])
      const texts = fresh.filter((each) => !(each instanceof HTMLSelectElement))
      // A field that stands there for one kind alone is soon gone again.
      for (const field of texts.length > 0 ? texts : [oneOf(fresh.length > 0 && dice(4) > 0 ? fresh : fields)]) {
        if (!field?.isConnected) continue
        found.reached[where(field.name)] = true
        type(field, field instanceof HTMLSelectElement ? oneOf([...field.options]).value : oneOf(TEXTS))
      }
    }
    await new Promise((resolve) => setTimeout(resolve))
  }
  return {
    reached: Object.keys(found.reached),
    seen: Object.keys(found.seen),
    added: Object.keys(found.added),
    adds: Object.keys(found.adds),
    failed: /This screen failed/.test(document.body.innerText),
  }
}
`

/** Opens every part of the page's sheet, and gives every text in it by the name of its field. Runs in the page, as text. */
export const ALL_TEXTS = `(async () => {
  for (let closed = 1; closed > 0; ) {
    const parts = document.querySelectorAll('form details:not([open]) > summary')
    for (const part of parts) part.click()
    closed = parts.length
    await new Promise((resolve) => setTimeout(resolve, 50))
  }
  return Object.fromEntries(
    [...document.querySelectorAll('form input[name], form textarea[name], form select[name]')].map(({ name, value }) => [name, value]),
  )
})()`
