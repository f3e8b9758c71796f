import type { Locator, Page } from '@playwright/test'

/** A person at a screen, whose clicks and keys are counted. */
export class Hand {
  clicks = 0
  keys = 0

  constructor(readonly page: Page) {}

  /** Presses a button by its name, or something else that is seen. */
  async press(what: string | RegExp | Locator) {
    const named = typeof what === 'string' || what instanceof RegExp
    const target = named ? this.page.getByRole('button', { name: what, exact: typeof what === 'string' }).first() : what
    this.clicks++
    await target.click()
  }

  /** Opens a stage by its knot on the plumb line, or a panel of the stage by its tab. */
  stage = (name: string) => this.press(this.page.getByRole('link', { name: new RegExp(`^${name}`) }))
  panel = (name: string) => this.press(this.page.getByRole('tab', { name: new RegExp(`^${name}`) }))

  /** Clicks into a field, types, and leaves it with Tab, or with Enter. */
  async type(label: string | Locator, text: string, end = 'Tab') {
    const field = typeof label === 'string' ? this.page.getByLabel(label, { exact: true }).first() : label
    this.clicks++
    this.keys += text.length + 1
    await field.fill(text)
    await field.press(end)
  }

  /** Opens a list and chooses from it. */
  async choose(label: string, option: string | RegExp) {
    const list = this.page.getByLabel(label, { exact: true }).first()
    const names = await list.locator('option').allTextContents()
    const name = names.find(name => typeof option === 'string' ? name.trim() === option : option.test(name))
    this.clicks += 2
    await list.selectOption({ label: name ?? `${option}, of ${names.join(', ')}` })
  }

  async key(name: string) {
    this.keys++
    await this.page.keyboard.press(name)
  }
}
