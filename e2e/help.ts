import AxeBuilder from '@axe-core/playwright'
import { expect, test as base, type Browser, type BrowserContext, type Page } from '@playwright/test'

import { DEMO_STATE } from './demo-state'

/** Notes down each message that the page shows, for messages pass away and a slow machine may look too late. */
const noteMessages = (context: BrowserContext): Promise<unknown> =>
  context.addInitScript(() => {
    const said: string[] = []
    Object.assign(window, { said })
    new MutationObserver((changes) => {
      for (const { addedNodes, target } of changes)
        for (const node of [...addedNodes, target]) {
          const element = node instanceof Element ? node : node.parentElement
          const message = element?.closest('.ant-message') ?? element?.querySelector('.ant-message')
          if (message?.textContent) said.push(message.textContent)
        }
    }).observe(document, { childList: true, subtree: true, characterData: true })
  })

/** Notes down what the policy of the pages refuses and what they complain of; a test in which anything is fails. */
export async function noteRefusals(context: BrowserContext): Promise<string[]> {
  const refused: string[] = []
  await context.exposeFunction('refusedHere', (what: string) => refused.push(what))
  await context.addInitScript(() =>
    document.addEventListener('securitypolicyviolation', (e) =>
      (window as unknown as { refusedHere: (what: string) => void }).refusedHere(
        `${e.violatedDirective}: ${e.blockedURI} ${e.sourceFile ?? ''}`,
      ),
    ),
  )
  return refused
}

export const test = base.extend({
  context: async ({ context }, hand) => {
    await noteMessages(context)
    const refused = await noteRefusals(context)
    await hand(context)
    expect(refused).toEqual([])
  },
})

/** The page has said this in a message since it was loaded, whether it still stands there or not. */
export const hasSaid = (page: Page, words: RegExp | string): Promise<void> =>
  expect
    .poll(() => page.evaluate(() => (window as unknown as { said: string[] }).said.join('\n')), {
      timeout: 180_000,
    })
    .toMatch(typeof words === 'string' ? new RegExp(words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')) : words)

/** How many entries the journal has, as the strip says it. */
export const journalLength = async (page: Page): Promise<number> =>
  Number((await page.getByRole('button', { name: /^Journal \d/ }).innerText()).replace(/\D/g, ''))

/** Nothing that axe calls serious or critical on what is shown now, or within a part of it. */
export async function accessible(
  page: Page,
  where: string,
  within?: string,
  /** Only these rules of axe; absent: all. */
  rules?: string[],
): Promise<void> {
  await page.waitForFunction(() => document.getAnimations().every((a) => a.playState !== 'running'))
  // There are no frames: it runs in the page and opens no other one to put results of frames together.
  const axe = new AxeBuilder({ page }).setLegacyMode()
  if (rules) axe.withRules(rules)
  const { violations } = await (within ? axe.include(within) : axe).analyze()
  const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical')
  expect(
    serious.map((v) => `${where}: ${v.id} ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`),
  ).toEqual([])
}

/** Goes to a stage by its key, as a person does. */
export async function stage(page: Page, name: string): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .click()
  await expect(page).toHaveURL(new RegExp(name.toLowerCase()))
}

/** Opens the demo where it was opened before; `first`: for the first time in this browser. */
export async function openDemo(
  page: Page,
  name = 'question',
  how: 'again' | 'first' = 'again',
): Promise<void> {
  if (how === 'again') {
    await page.context().setStorageState(DEMO_STATE)
    await page.goto(`/review/${name}?id=demo`)
    await expect(page.locator('#stage')).toBeVisible()
    await expect(page.locator('#stage').getByText('Opening the review …')).toBeHidden()
    return
  }
  await page.goto('/demo')
  await expect(page.locator('.question-text')).toBeVisible()
  if (name !== 'question')
    await stage(
      page,
      name.replace(/^./, (c) => c.toUpperCase()),
    )
}

/** Undoes what was done before a run: it is asked whether to reach past it. */
export async function undoPastRuns(page: Page): Promise<void> {
  await page.keyboard.press('z')
  await expect(page.getByText(/A run stays: it happened/)).toBeVisible()
  await page.getByRole('button', { name: 'Undo it' }).click()
  await expect(page.getByText(/A run stays: it happened/)).toBeHidden()
}

/** Says who reads, when that is asked before the first ruling. */
export async function nameReader(page: Page, name: string): Promise<void> {
  await page.getByLabel('Your name as a reader').fill(name)
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Your name as a reader')).toBeHidden()
}

export const saved = (page: Page): Promise<void> => expect(page.locator('[data-state="saved"]')).toBeVisible()

/** What the account says in the pane beside the stage. */
export const pane = (page: Page) => page.getByRole('complementary', { name: 'What this writes' })

/** Writes the question and weaves two concepts into it with the keyboard alone. */
export async function beginReview(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Begin a review' }).click()
  await page.getByRole('textbox', { name: 'The question' }).fill('How does noise bear on reading in class?')
  await page.keyboard.press('Enter')
  await page.locator('.question-text').focus()
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight')
  await page.keyboard.press('a')
  await expect(page.getByRole('textbox', { name: 'Name of concept A' })).toHaveValue('Noise')
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight')
  await page.keyboard.press('b')
  await expect(page.getByRole('textbox', { name: 'Name of concept B' })).toHaveValue('Reading')
}

/** Plans one of the databases that ship with Luvren. */
export async function addDatabase(page: Page, name: string): Promise<void> {
  const item = page.getByRole('menuitem', { name: new RegExp(`^${name}`) })
  // What comes in above may move the button away while it is pressed: a person presses again.
  await expect(async () => {
    if (!(await item.isVisible())) await page.getByRole('button', { name: /^Add a database/ }).click()
    await item.click({ timeout: 5000 })
  }).toPass()
}

/** On Terms, from the top row: text words for one concept after the other, by keyboard. */
export async function typeWords(page: Page, rows: readonly string[]): Promise<void> {
  for (const words of rows) {
    await page.keyboard.press('/')
    await page.keyboard.type(words)
    await page.keyboard.press('Enter')
    await page.keyboard.press('Escape')
    await page.keyboard.press('ArrowDown')
  }
}

/** The numbers of the flow that is shown by the words behind them, of one column. */
export async function flowNumbers(page: Page, column: number): Promise<Record<string, number>> {
  await expect(page.locator('.flow-column').nth(column).locator('.flow-step').first()).toBeVisible()
  const boxes = await page.locator('.flow-column').nth(column).locator('.flow-step').allInnerTexts()
  return Object.fromEntries(
    boxes.map((text) => {
      const [first = ''] = text.split('\n')
      const gap = first.indexOf(' ')
      // Of one it is said as of one.
      const what = first
        .slice(gap + 1)
        .replace(/^(record|full text) /, '$1s ')
        .replace(/^title and abstract /, 'titles and abstracts ')
      return [what, Number(first.slice(0, gap).replace(/,/g, ''))]
    }),
  )
}

/** Ends the browser as a power cut does: no page is told of it. */
export async function crash(context: BrowserContext): Promise<void> {
  const session = await context.browser()?.newBrowserCDPSession()
  await (session?.send('Browser.crash') ?? Promise.resolve()).catch(() => undefined)
  await context.close().catch(() => undefined)
}

/** A page in each of two browsers that know nothing of each other. */
export const twoBrowsers = async (browser: Browser): Promise<[Page, Page]> => {
  const page = async (): Promise<Page> => {
    const context = await browser.newContext({ acceptDownloads: true })
    await noteMessages(context)
    return context.newPage()
  }
  return [await page(), await page()]
}
