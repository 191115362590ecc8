import { expect, type Locator, type Page, type TestInfo } from '@playwright/test'

const PRESSED =
  'button, a, summary, label, [role=button], [role=menuitem], [role=tab], [role=option], [role=radio], [role=row][tabindex], .ant-select'
type Words = string | RegExp
/** Words are read as they are written, whole. */
const read = (words: Words): RegExp =>
  typeof words === 'string'
    ? new RegExp(`(?<![\\p{L}\\p{N}])${words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\p{Ll}])`, 'u')
    : words

/** Signs of keys as the screen shows them, by the name of the key. */
const SIGNS: Readonly<Record<string, string>> = {
  Enter: '↵',
  ' ': 'Space',
  ArrowLeft: '←',
  ArrowRight: '→',
  ArrowUp: '↑',
  ArrowDown: '↓',
}
/** Keys that every page has, by what has the focus; any other must stand on the screen where it acts. */
const EVERYWHERE = /^(?:Tab|Shift\+Tab|Enter|Escape|Space|Home|End|Arrow(?:Up|Down|Left|Right))$/
const signOf = (key: string): string => {
  const [last] = key.split('+').slice(-1)
  return `${key.startsWith('Shift+') ? '⇧' : ''}${SIGNS[last!] ?? last!.toUpperCase()}`
}

/**
 * A person who sees the screen and nothing behind it: presses what can be read there now, types where a label can be read,
 * and uses keys that are shown. Each press, each key and each text typed in one go is an action; so is scrolling to something.
 */
export class Person {
  actions = 0
  private readonly steps: string[] = []
  private readonly began = Date.now()
  constructor(
    readonly page: Page,
    private readonly info: TestInfo,
  ) {}

  private did(what: string): void {
    this.actions++
    this.steps.push(`${this.actions}. ${what}`)
  }

  /** Whatever can be pressed and shows these words. */
  seen(words: Words, within: Locator | Page = this.page): Locator {
    return within
      .locator(PRESSED)
      .filter({ hasText: read(words), visible: true })
      .first()
  }

  private async into(what: Locator, words: Words): Promise<void> {
    await expect(what, `“${String(words)}” is on the screen`).toBeVisible()
    const there = await what.evaluate((e) => {
      const { top, bottom, left, right } = e.getBoundingClientRect()
      const x = (left + right) / 2
      const y = (top + bottom) / 2
      const met = document.elementFromPoint(x, y)
      return met !== null && (e.contains(met) || met.contains(e))
    })
    if (there) return
    this.did(`scrolls to ${String(words)}`)
    await what.scrollIntoViewIfNeeded()
  }

  /** Presses what shows these words, with the mouse. */
  async press(words: Words, within?: Locator): Promise<void> {
    const what = this.seen(words, within)
    await this.into(what, words)
    this.did(`presses ${String(words)}`)
    await what.click()
  }

  /** Types into the field whose label or placeholder can be read, after a press on it; ended by Enter where asked. */
  async type(label: Words, text: string, within: Locator | Page = this.page): Promise<void> {
    const what = within
      .getByPlaceholder(label)
      .or(within.locator('label').filter({ hasText: label, visible: true }).locator('input, textarea'))
      .or(within.getByLabel(label))
      .filter({ visible: true })
      .first()
    await this.into(what, label)
    this.did(`presses the field ${String(label)}`)
    await what.click()
    await this.write(text)
  }

  /** Types where the focus is. */
  async write(text: string): Promise<void> {
    await expect(
      this.page.locator('input, textarea, [contenteditable=true]').and(this.page.locator(':focus')),
    ).toBeVisible()
    this.did(`types ${text}`)
    await this.page.keyboard.type(text)
  }

  /** Presses keys one after the other: each is shown on the screen, or one that every page has. */
  async key(...names: string[]): Promise<void> {
    for (const name of names) {
      if (!EVERYWHERE.test(name))
        await expect(
          this.page
            .getByText(new RegExp(`^${signOf(name).replace(/[?/.]/g, '\\$&')}$`))
            .filter({ visible: true })
            .first(),
          `the key ${signOf(name)} is on the screen`,
        ).toBeVisible()
      this.did(`key ${signOf(name)}`)
      await this.page.keyboard.press(name)
    }
  }

  /** Notes down how far this person is, with a picture where pictures are asked for. */
  async at(where: string): Promise<void> {
    const minutes = ((Date.now() - this.began) / 60_000).toFixed(1)
    this.info.annotations.push({ type: where, description: `${this.actions} actions, ${minutes} minutes` })
    if (process.env.PICTURES)
      await this.page.screenshot({
        path: `${process.env.PICTURES}/${this.info.title.slice(0, 24)}-${where}.png`,
      })
  }

  /** All steps so far, one a line. */
  get told(): string {
    return this.steps.join('\n')
  }
}
