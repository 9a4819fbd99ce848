import type { Locator, Page } from '@playwright/test'
import type { Hands } from '../hands'

/** A form as a person finds their way in it: by the names of its parts, groups and fields. */
export interface Sheet {
  /** A part or group within others, opened. */
  within(...names: readonly string[]): Promise<Locator>
  type(names: readonly string[], label: string | RegExp, text: string): Promise<void>
  choose(names: readonly string[], label: string | RegExp, option: string): Promise<void>
  press(names: readonly string[], key: string | RegExp): Promise<void>
  tick(names: readonly string[], label: string): Promise<void>
  /** Texts of several fields of one group. */
  fill(names: readonly string[], texts: Readonly<Record<string, string>>): Promise<void>
}

export function sheetOn(page: Page, hands: Hands, form: () => Locator = () => page.locator('form')): Sheet {
  const step = async (scope: Locator, name: string): Promise<Locator> => {
    const group = scope.getByRole('group', { name, exact: true })
    const part = scope.locator('summary').filter({ hasText: name }).first()
    await group.or(part).first().waitFor()
    if ((await group.count()) > 0 && (await group.first().evaluate((each) => each.tagName)) === 'FIELDSET')
      return group.first()
    const whole = part.locator('xpath=..')
    if ((await whole.getAttribute('open')) === null) await hands.press(part)
    return whole
  }
  const within = async (...names: readonly string[]) => {
    let scope = form()
    for (const name of names) scope = await step(scope, name)
    return scope
  }
  const named = (label: string | RegExp) => ({
    name: label,
    ...(typeof label === 'string' && { exact: true }),
  })
  const sheet: Sheet = {
    within,
    async type(names, label, text) {
      const scope = await within(...names)
      const field = scope.getByRole('textbox', named(label)).or(scope.getByRole('combobox', named(label)))
      await hands.type(field.first(), text)
    },
    async choose(names, label, option) {
      await hands.choose((await within(...names)).getByRole('combobox', named(label)).first(), option)
    },
    async press(names, key) {
      await hands.press((await within(...names)).getByRole('button', named(key)).first())
    },
    async tick(names, label) {
      await hands.press((await within(...names)).getByLabel(label, { exact: true }).first())
    },
    async fill(names, texts) {
      for (const [label, text] of Object.entries(texts)) await sheet.type(names, label, text)
    },
  }
  return sheet
}
