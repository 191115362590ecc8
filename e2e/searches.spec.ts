import { expect, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { accessible, beginReview, openDemo, saved, stage, typeWords, test } from './help'

const hits = (page: Page, line: number) => page.locator(`[data-line="${line}"] .hits`)
const number = async (page: Page, line: number): Promise<number> =>
  Number((await hits(page, line).innerText()).replace(/\D/g, ''))
const allRun = (page: Page) => expect(page.getByRole('button', { name: /All run/ })).toBeVisible()

/** A review with two concepts, five databases and two limits, planned but not drafted. */
async function planned(page: Page): Promise<void> {
  await beginReview(page)
  await page.getByRole('button', { name: /^Add a database/ }).click()
  await page.getByRole('menuitem', { name: /^All 5/ }).click()
  for (const [kind, why] of [
    ['Years', 'the rules were revised'],
    ['Peer reviewed', 'judged by others'],
  ] as const) {
    await page.getByRole('button', { name: /^Plan a limit/ }).click()
    await page.getByRole('menuitem', { name: kind }).click()
    if (kind === 'Years') {
      await page.getByLabel('First year').fill('2017')
      await page.getByLabel('Last year').fill('2026')
    }
    await page.getByLabel(`Why: ${kind.toLowerCase()}`).fill(why)
    await page.keyboard.press('Enter')
  }
  await stage(page, 'Terms')
  await typeWords(page, ['noise; babble', 'read*'])
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('/')
  await page.keyboard.type('echo in rooms')
  await expect(page.getByText('is not a heading. Use Classroom sound.')).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.locator('.chip.heading')).toHaveCount(1)
}

test('five strategies are drafted, run, revised twice, limited, and a lost limit is found', async ({
  page,
}) => {
  test.slow()
  await planned(page)
  await stage(page, 'Searches')
  await page.keyboard.press('a')
  await expect(page.getByRole('heading', { name: 'All sources' })).toBeVisible()
  await page.getByRole('button', { name: /^Draft all from the plan/ }).click()
  await expect(page.getByText('5 strategies drafted')).toBeVisible()
  for (const source of ['Girder & Sound', 'Mindmere', 'Wideband', 'Quayside', 'Fernhollow']) {
    await page.getByRole('tab', { name: new RegExp(`^${source}`) }).click()
    await page.keyboard.press('r')
    await allRun(page)
  }
  await page.keyboard.press('a')
  for (const total of await page
    .getByRole('row', { name: /^Last line/ })
    .getByRole('cell')
    .allInnerTexts())
    expect(total).toMatch(/^\d/)

  // First revision: a word more. Only what depends on it is stale, and the change is shown.
  await page.getByRole('tab', { name: /^Fernhollow/ }).click()
  const before = await number(page, 4)
  await page.locator('[data-line="4"]').dblclick()
  await page.locator('.cm-content').click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type(' OR title: sound')
  await page.keyboard.press('Enter')
  await expect(page.locator('.sheet-row .hits.stale')).toHaveCount(4)
  await page.keyboard.press('r')
  await allRun(page)
  expect(await number(page, 4)).toBeGreaterThan(before)
  await expect(page.locator('[data-line="4"] .change')).toContainText('+')
  // Second revision, and the way back to the first.
  await page.locator('[data-line="4"]').dblclick()
  await page.locator('.cm-content').click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type(' OR title: quiet')
  await page.keyboard.press('Enter')
  await page.keyboard.press('r')
  await allRun(page)
  await page.locator('[data-line="4"]').click()
  await page.keyboard.press('3')
  await expect(page.locator('.changes ins', { hasText: 'quiet' }).first()).toBeVisible()
  await page.getByRole('button', { name: 'back to this' }).first().click()
  await expect(page.locator('[data-line="4"]')).not.toContainText('quiet')
  await page.keyboard.press('r')
  await allRun(page)
  expect(await number(page, 4)).toBe(before)

  // Joined anew by marking, the limits are lost; the ledger says where, and a key sets them again one by one.
  await page.locator('[data-line="3"]').click()
  await page.keyboard.press(' ')
  await page.locator('[data-line="4"]').click()
  await page.keyboard.press(' ')
  await page.keyboard.press('Shift+J')
  await expect(page.locator('[data-line="8"]')).toContainText('all(#3-#4)')
  await page.keyboard.press('2')
  await expect(page.getByText(/set in line 6 \(.*\), lost at line 8/)).toBeVisible()
  for (const line of [9, 10]) {
    await page.keyboard.press('l')
    await expect(page.locator(`[data-line="${line}"]`)).toBeVisible()
  }
  // Set and run are different facts.
  await expect(page.getByRole('cell', { name: /^set in line \d+, not run yet/ })).toHaveCount(2)
  await page.keyboard.press('r')
  await expect(page.getByRole('cell', { name: /^applied in line/ })).toHaveCount(2)
  await page.keyboard.press('r')
  await allRun(page)
  expect(await number(page, 10)).toBe(await number(page, 7))
  await expect(page.getByLabel('In Table 1')).toContainText(/2017–2026: \d/)
  await saved(page)
})

test('lines are moved, put in and taken out, and references follow; what others need is not taken unasked', async ({
  page,
}) => {
  await openDemo(page, 'searches')
  await page.locator('[data-line="10"]').click()
  await page.keyboard.press('Shift+ArrowUp')
  await expect(page.getByText(/Line 10 refers to #9/)).toBeVisible()
  await page.locator('[data-line="1"]').click()
  await page.keyboard.press('Shift+ArrowDown')
  await expect(page.locator('[data-line="1"]')).toContainText('heading.below')
  await expect(page.locator('[data-line="3"]')).toContainText('any(#2, #1)')
  await page.locator('[data-line="6"]').click()
  await page.keyboard.press('Delete')
  await expect(page.getByText(/Lines #10, #11, #12, #13 depend on this/).last()).toBeVisible()
  await page.getByRole('button', { name: 'Leave everything' }).click()
  // Keys belong to the dialog until it is gone.
  await expect(page.getByRole('dialog')).toHaveCount(0)
  // The focus comes home when the dialog has gone; a new line's editor must not lose it to that.
  await page.waitForFunction(() => document.activeElement !== document.body)
  await page.keyboard.press('n')
  await page.locator('.cm-content').click()
  await page.keyboard.type('title: quiet')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-line="7"]')).toContainText('title: quiet')
  await expect(page.locator('[data-line="11"]')).toContainText('all(#6, #10)')
})

test('drafting anew keeps what was edited by hand and shows what would change', async ({ page }) => {
  await openDemo(page, 'searches')
  await page.locator('[data-line="7"]').dblclick()
  await page.locator('.cm-content').click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type(' OR title: storytelling')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-line="7"]')).toContainText('storytelling')
  await stage(page, 'Terms')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('/')
  await page.keyboard.type('hubbub')
  await page.keyboard.press('Enter')
  await stage(page, 'Searches')
  await page.keyboard.press('d')
  const dialog = page.getByRole('dialog')
  await expect(dialog.locator('ins', { hasText: 'hubbub' })).toBeVisible()
  await expect(dialog.getByText('yours, kept')).toBeVisible()
  await dialog.getByRole('button', { name: 'Apply 1 change' }).click()
  await expect(page.locator('[data-line="4"]')).toHaveAttribute('data-line', '4')
  await expect(page.locator('[data-line="4"] [title*="hubbub"]')).toBeVisible()
  await expect(page.locator('[data-line="7"] [title*="storytelling"]')).toBeVisible()
})

test('a strategy is carried over to another vocabulary, its open headings settled first', async ({
  page,
}) => {
  await openDemo(page, 'searches')
  await page.keyboard.press('g')
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('button', { name: /headings to settle/ })).toBeDisabled()
  for (const heading of ['Listening comprehension', 'Listening effort'])
    await dialog
      .locator('.carry-row', { hasText: heading })
      .getByRole('button', { name: 'leave it out' })
      .click()
  await dialog.getByLabel('Beginning reading becomes').click()
  await page.getByTitle(/School performance/).click()
  await page.keyboard.press('Escape')
  await expect(dialog.getByRole('button', { name: /^Replace the 13 lines of Girder/ })).toBeEnabled()
  // To another one at once, which has no vocabulary: what is lost there stands beside.
  await dialog.getByLabel('Sources to carry it to').click()
  await page.getByTitle('Wideband Citation Index').click()
  await page.keyboard.press('Escape')
  await expect(dialog.getByRole('region', { name: 'As it will stand in Wideband' })).toContainText(
    'Said otherwise there',
  )
  await accessible(page, 'carrying over', '.carry-columns')
  await dialog.getByRole('button', { name: /^Write it for 2 sources, replacing/ }).click()
  await expect(page.getByRole('tab', { name: /^Girder/ })).toHaveAttribute('aria-selected', 'true')
  await expect(page.locator('[data-line="5"] [title*="Classroom acoustics"]')).toBeVisible()
  await page.keyboard.press('r')
  await allRun(page)
  expect(await number(page, 13)).toBeGreaterThan(0)
})

test('a line is edited in the source’s own syntax and read back; the strategies are saved line by line', async ({
  page,
}) => {
  await openDemo(page, 'searches')
  await page.getByRole('tab', { name: /^Wideband/ }).click()
  await page.locator('[data-line="2"]').dblclick()
  await page.getByRole('button', { name: 'edit as Wideband Citation Index reads it' }).click()
  const theirs = page.getByLabel(/as Wideband Citation Index reads it/)
  await expect(theirs).toHaveValue(/^GIST\[/)
  await theirs.fill('GIST[noise OR babble]')
  await expect(page.getByText('in plain notation: ').locator('.mono')).toContainText(
    'text: (noise OR babble)',
  )
  await theirs.press('Enter')
  await expect(page.locator('[data-line="2"]')).toContainText('text: (noise OR babble)')
  await page.keyboard.press('r')
  await allRun(page)
  await page.keyboard.press('a')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as text' }).click(),
  ])
  const text = readFileSync(await file.path(), 'utf8')
  expect(text).toContain('2\tGIST[noise OR babble]\t\t')
  expect(text.match(/^#\tSearch\tLimits\tHits\tRun on$/gm)).toHaveLength(5)
})
