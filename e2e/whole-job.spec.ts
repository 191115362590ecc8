import { expect, type Locator, type Page, type TestInfo } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { hasSaid, test } from './help'
import { Person } from './person'

const QUESTION = 'How does background noise in the classroom bear on reading comprehension of children?'
const ideasOf = (page: Page): Locator => page.getByRole('grid', { name: 'Suggestions from the question' })

/** Every total of the sheets side by side is there. */
async function allRun(page: Page): Promise<void> {
  const totals = await page
    .getByRole('row', { name: /^Last line/ })
    .getByRole('cell')
    .all()
  expect(totals).toHaveLength(5)
  for (const total of totals) await expect(total).toHaveText(/^\d/)
}

/** What came of the job: a Word file, and a package in which every check holds. */
async function handedOn(
  page: Page,
  one: Person,
  word: () => Promise<unknown>,
  check: () => Promise<unknown>,
) {
  await expect(page.getByRole('textbox', { name: 'How we judged what was left' })).toContainText(
    'pupils of one class alone',
  )
  const [file] = await Promise.all([page.waitForEvent('download'), word()])
  expect(readFileSync(await file.path()).length).toBeGreaterThan(5000)
  await check()
  const report = page.getByRole('region', { name: 'What was checked' })
  await expect(report.getByRole('status')).toHaveText(/^No fault was found\. All \d+ checks were made\.$/, {
    timeout: 120_000,
  })
  await one.at('9-checked')
}

/** Both walks end within what was asked of the whole job. */
const within = (one: Person, info: TestInfo): void => {
  info.annotations.push({ type: 'steps', description: one.told })
  expect(one.actions).toBeLessThanOrEqual(250)
}

test('mouse: from an empty shelf to a checked package, by what can be read on the screen alone', async ({
  page,
}, info) => {
  const one = new Person(page, info)
  const ideas = ideasOf(page)
  await page.goto('/')
  await one.press('Begin a review')
  await one.write(QUESTION)
  await one.key('Enter')
  await expect(ideas.getByRole('row')).toHaveCount(4)
  for (const [idea, letter] of [
    ['background noise', 'A'],
    ['reading comprehension', 'B'],
    ['children', 'C'],
  ] as const)
    await one.press(letter, ideas.getByRole('row').filter({ hasText: idea }))
  await one.press('Add a database')
  await one.press(/All 5/)
  for (const [word, letter] of [
    ['Background noise', 'A'],
    ['Reading comprehension', 'B'],
  ] as const)
    await one.press(letter, ideas.getByRole('row').filter({ hasText: word }).first())
  await one.press('Plan a limit')
  await one.press('Years')
  await one.write('2010')
  await one.key('Tab', 'Tab')
  await one.write('rooms were built otherwise before')
  await one.key('Enter')
  await one.press('Ask a question')
  await one.write('Was noise measured or changed?')
  await one.key('Enter')
  await one.at('1-question')

  await one.press('Searches')
  await one.press('All, by concept')
  await one.press('Draft all from the plan')
  await expect(page.getByText('5 strategies drafted')).toBeVisible()
  await one.press('Run every source')
  await allRun(page)
  await one.at('2-searches')
  // A newcomer’s own question, searched in five databases, with nothing of the help read.
  expect(one.actions).toBeLessThanOrEqual(40)
  await one.press(/^Bring the \d+ records in/)
  await hasSaid(page, /records of 5 sources are in the review/)
  await one.press('Records')
  await expect(page.locator('.work').first()).toBeVisible()
  await one.at('3-records')

  await one.press('Selection')
  await one.press('In')
  await one.write('A. Quill')
  await one.key('Enter')
  const left = page.getByText(/^\d+ left$/)
  for (let n = 1; Number((await left.innerText()).split(' ')[0]) > 0; n++) {
    const before = await left.innerText()
    await one.press(n % 4 ? 'Out' : 'In')
    await expect(left).not.toHaveText(before)
  }
  await one.at('4-broad')
  await one.press('Full texts')
  const texts = page.getByRole('listbox', { name: 'Full texts' }).getByRole('option')
  await expect(texts.first()).toBeVisible()
  for (const text of await texts.all()) {
    await one.press(await text.locator('.title').innerText())
    await one.press('here')
    await expect(text).toContainText('here')
  }
  await one.at('5-texts')
  await one.press('Close pass')
  await one.press('Out')
  await one.type(/another reason/, 'pupils of one class alone')
  await one.key('Enter')
  for (let n = 1; Number((await left.innerText()).split(' ')[0]) > 0; n++) {
    const before = await left.innerText()
    await one.press('In')
    await expect(left).not.toHaveText(before)
  }
  await one.at('6-close')
  await one.press('Flow')
  await expect(page.getByText(/works included/)).toBeVisible()
  await one.at('7-flow')
  await one.press('Methods')
  await one.at('8-methods')
  await handedOn(
    page,
    one,
    () => one.press('Word'),
    async () => {
      await one.press('Package')
      await one.press('Check it first')
    },
  )
  within(one, info)
})

test('keys: from an empty shelf to a checked package, by keys that stand on the screen alone', async ({
  page,
}, info) => {
  const one = new Person(page, info)
  const ideas = ideasOf(page)
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'Begin a review' })).toBeVisible()
  await one.key('Tab')
  while (
    !(await page
      .getByRole('button', { name: 'Begin a review' })
      .evaluate((e) => e === document.activeElement))
  )
    await one.key('Tab')
  await one.key('Enter')
  await one.write(QUESTION)
  await one.key('Enter')
  await expect(ideas.getByRole('row')).toHaveCount(4)
  await one.key('s')
  for (const letter of ['a', 'a', 'b', 'c']) {
    const rows = await ideas.getByRole('row').count()
    await one.key(letter)
    await expect(ideas.getByRole('row')).toHaveCount(rows - 1)
  }
  await one.key('d')
  await expect(page.getByRole('menuitem').first()).toBeFocused()
  const all = page.getByRole('menuitem', { name: /All 5/ })
  while (!(await all.evaluate((e) => e === document.activeElement))) await one.key('ArrowDown')
  await one.key('Enter')
  await expect(ideas.getByRole('row').first()).toContainText('Background noise')
  await one.key('s')
  for (const [word, letter] of [
    ['Background noise', 'a'],
    ['Reading comprehension', 'b'],
  ] as const) {
    const rows = await ideas.getByRole('row').count()
    const row = ideas.getByRole('row').filter({ hasText: word }).first()
    while ((await row.getAttribute('aria-selected')) !== 'true') await one.key('ArrowDown')
    await one.key(letter)
    // What is narrower in words and leads to the same headings goes with it.
    await expect.poll(() => ideas.getByRole('row').count()).toBeLessThan(rows)
  }
  await one.at('1-headings')
  await one.key('Escape', 'l')
  await expect(page.getByRole('menuitem', { name: 'Years' })).toBeFocused()
  await one.key('Enter')
  await one.write('2010')
  await one.key('Tab', 'Tab')
  await one.write('rooms were built otherwise before')
  await one.key('Enter')
  await one.at('1-limit')
  await one.key('q')
  await one.write('Was noise measured or changed?')
  await one.key('Escape')
  await one.at('1-question')

  /** By the one key that the strip shows on every stage. */
  const find = async (stage: string): Promise<void> => {
    await one.key('k')
    await one.write(stage)
    await expect(page.getByRole('option', { selected: true })).toContainText(stage)
    await one.key('Enter')
    await expect(page).toHaveURL(new RegExp(stage.toLowerCase()))
    await expect(page.locator('#stage')).toBeVisible()
  }
  await find('Searches')
  await one.key('a')
  await one.key('Shift+D')
  await expect(page.getByText('5 strategies drafted')).toBeVisible()
  await one.key('Shift+R')
  await allRun(page)
  await one.at('2-searches')
  await one.key('b')
  await hasSaid(page, /records of 5 sources are in the review/)
  await find('Records')
  await expect(page.locator('.work').first()).toBeVisible()
  await one.at('3-records')

  await find('Selection')
  await expect(page.getByRole('heading', { name: 'Broad pass' })).toBeVisible()
  await one.key('ArrowRight')
  await one.write('A. Quill')
  await one.key('Enter')
  const left = page.getByText(/^\d+ left$/)
  for (let n = 1; Number((await left.innerText()).split(' ')[0]) > 0; n++) {
    const before = await left.innerText()
    await one.key(n % 4 ? 'ArrowLeft' : 'ArrowRight')
    await expect(left).not.toHaveText(before)
  }
  await one.at('4-broad')
  await one.key('t')
  const texts = page.getByRole('listbox', { name: 'Full texts' }).getByRole('option')
  await expect(texts.first()).toBeVisible()
  for (const [n, text] of (await texts.all()).entries()) {
    if (n) await one.key('ArrowDown')
    await one.key('5')
    await expect(text).toContainText('here')
  }
  await one.key('c')
  await expect(page.getByRole('heading', { name: 'Close pass' })).toBeVisible()
  await one.key('ArrowLeft')
  await expect(page.getByRole('dialog')).toContainText('by which main reason?')
  await one.key('0')
  await one.write('pupils of one class alone')
  await one.key('Enter')
  for (let n = 1; Number((await left.innerText()).split(' ')[0]) > 0; n++) {
    const before = await left.innerText()
    await one.key('ArrowRight')
    await expect(left).not.toHaveText(before)
  }
  await one.at('6-close')
  await one.key('f')
  await expect(page.getByText(/works included/)).toBeVisible()
  await find('Methods')
  await handedOn(
    page,
    one,
    () => one.key('e'),
    async () => {
      await one.key('p')
      const check = page.getByRole('button', { name: 'Check it first' })
      await expect(check).toBeVisible()
      while (!(await check.evaluate((e) => e === document.activeElement))) await one.key('Tab')
      await one.key('Enter')
    },
  )
  within(one, info)
})
