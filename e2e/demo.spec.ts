import { expect, type Page } from '@playwright/test'
import { writeFileSync } from 'node:fs'
import {
  accessible,
  nameReader,
  noteRefusals,
  openDemo,
  pane,
  saved,
  stage,
  undoPastRuns,
  test,
} from './help'

const STAGES = ['question', 'terms', 'searches', 'records', 'selection', 'methods']

test('axe finds nothing serious on any stage of the demo in either theme', async ({ page }) => {
  await openDemo(page)
  for (const name of STAGES) {
    await stage(
      page,
      name.replace(/^./, (c) => c.toUpperCase()),
    )
    await page.emulateMedia({ colorScheme: 'light' })
    await accessible(page, `${name}, light`)
    // Only colours are others in the dark.
    await page.emulateMedia({ colorScheme: 'dark' })
    await accessible(page, `${name}, dark`, undefined, ['color-contrast'])
  }
})

test('axe finds nothing serious in the panes below the sheet', async ({ page }) => {
  await openDemo(page, 'searches')
  for (const [key, shown] of [
    ['2', '.ledger'],
    ['3', '.versions'],
    ['4', '.plan-lines'],
    ['5', '.advice'],
    ['5', '.step-row'],
    ['6', '.board table'],
    ['7', '.yields table'],
    ['8', '.peek-record'],
    ['0', 'figure table'],
  ] as const) {
    await page.keyboard.press(key)
    await expect(page.locator(shown).first()).toBeVisible()
    await accessible(page, shown, '.rest')
  }
})

test('the demo shows the same hits when its lines are run again', async ({ page }) => {
  await openDemo(page, 'searches')
  const hits = page.locator('.sheet-row .hits')
  const before = await hits.allInnerTexts()
  expect(before.every((h) => /\d/.test(h))).toBe(true)
  // A change to the first line and back makes everything that depends on it stale and then current again.
  await page.locator('[data-line="1"]').dblclick()
  await page.locator('.cm-content').click()
  await page.keyboard.press('Control+Home')
  await page.keyboard.type('title: rooms OR ')
  await page.keyboard.press('Enter')
  await expect(page.locator('.sheet-row .hits.stale').first()).toBeVisible()
  await page.keyboard.press('r')
  await expect(page.getByRole('button', { name: /All run/ })).toBeVisible()
  const changed = await hits.allInnerTexts()
  expect(changed[0]).not.toBe(before[0])
  expect(changed[3]).toBe(before[3])
  await undoPastRuns(page)
  await expect(hits.first()).toHaveText(before[0]!)
})

/** Hands the whole review on, as a file. */
const savePackage = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: /^Package/ }).click()
  await page.getByRole('button', { name: 'Save it' }).click()
}

test('a package opens in an empty browser with everything in it', async ({ page, browser }) => {
  await openDemo(page, 'selection')
  const other = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const fresh = await other.newPage()
  await fresh.goto('/')
  await expect(fresh.getByText('Your reviews will stand here')).toBeVisible()
  // What the demo saves is this file, byte for byte: see below.
  await fresh.locator('input[type=file]').setInputFiles('public/data/demo.luvren.zip')
  // Others worked on it elsewhere: who only looks need not say who they are.
  await fresh
    .getByRole('dialog', { name: 'Who are you here?' })
    .getByRole('button', { name: 'Not now' })
    .click()
  await expect(fresh.locator('.question-text')).toContainText('sound conditions')
  await stage(fresh, 'Selection')
  const words = async (p: typeof page): Promise<string> =>
    (await pane(p).locator('.account').innerText()).replace(/\s+/g, ' ')
  const there = await words(fresh)
  expect(there).toBe(await words(page))
  await other.close()
})

test('the demo saved from a browser in another time zone is byte for byte the one that was built', async ({
  browser,
}) => {
  const there = await browser.newContext({ timezoneId: 'America/Los_Angeles', locale: 'de-DE' })
  const refused = await noteRefusals(there)
  const page = await there.newPage()
  await openDemo(page, 'methods')
  const [file] = await Promise.all([page.waitForEvent('download'), savePackage(page)])
  const { readFileSync } = await import('node:fs')
  const saved = readFileSync(await file.path())
  expect(saved.equals(readFileSync('public/data/demo.luvren.zip'))).toBe(true)
  expect(refused).toEqual([])
  await there.close()
})

test('a review of the first form opens as it was, goes over when it is written to, and stays what it is', async ({
  page,
}) => {
  await page.goto('/')
  await page.locator('input[type=file]').setInputFiles('src/core/review/fixtures/first-form/demo.luvren.zip')
  await nameReader(page, 'A. Quill')
  const course = page.getByRole('navigation', { name: 'Stages' })
  await expect(course).toContainText('911 hits')
  await expect(course).toContainText('508 works')
  await expect(course).toContainText('195 in')
  await stage(page, 'Selection')
  await page.keyboard.press('ArrowRight')
  await saved(page)
  await expect(course).toContainText('196 in')
  await page.reload()
  await expect(course).toContainText('196 in')
  await expect(course).toContainText('508 works')
  await page.getByRole('button', { name: /^Journal \d+/ }).click()
  const journal = page.getByRole('dialog', { name: 'Journal' })
  await expect(journal.getByText('journal gone over to its second form')).toBeVisible()
  await expect(journal.getByText(/M\. Osei ·/).first()).toBeVisible()
  await expect(journal.getByText(/A\. Quill ·/).first()).toBeVisible()
})

test('a file that is no package is refused with words, and nothing is put on the shelf', async ({
  page,
}, info) => {
  const path = info.outputPath('holiday.zip')
  writeFileSync(path, 'not a zip')
  await page.goto('/')
  await page.locator('input[type=file]').setInputFiles(path)
  await expect(page.getByText('it is not a zip archive')).toBeVisible()
  await expect(page.locator('.shelf-row')).toHaveCount(0)
})

test('an empty review has a next step on every stage', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Begin a review' }).click()
  await expect(page.getByRole('textbox', { name: 'The question' })).toBeFocused()
  for (const name of ['Terms', 'Searches', 'Records', 'Selection', 'Methods']) {
    await stage(page, name)
    await expect(page.locator('#stage .empty')).toBeVisible()
  }
})

test('every action is in the palette, and one is done from there', async ({ page }) => {
  await openDemo(page, 'records')
  await page.keyboard.press('k')
  await page.getByLabel('Search the actions').fill('go to met')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/methods/)
})

test('a fact lights up where it comes from', async ({ page }) => {
  await openDemo(page, 'searches')
  const joined = await page.locator('[data-line="10"] .hits').innerText()
  await pane(page).getByRole('link', { name: joined, exact: true }).first().hover()
  await expect(page.locator('[data-line="10"]')).toHaveClass(/lit-anchor/)
  // What is cut off for want of room says all of its words where the pointer rests.
  const character = page.getByText(/lines kept · headings/)
  await character.hover()
  await expect(character).toHaveAttribute('title', /headings, main focus · no nearness$/)
})

test('a number of the account leads to its line, and a line lights up its number', async ({ page }) => {
  await openDemo(page, 'methods')
  const row = page.getByRole('row').filter({ hasText: 'Wideband Citation Index' })
  const joined = row.getByRole('cell').nth(4).locator('.fact').first()
  // What stands above may still grow, and take the number from under the pointer.
  await expect(async () => {
    await page.mouse.move(0, 0)
    await joined.hover()
    await expect(page.getByRole('tooltip')).toContainText('From line 5 of Wideband Citation Index', {
      timeout: 3000,
    })
  }).toPass()
  await joined.click()
  await expect(page).toHaveURL(/searches/)
  await expect(page.getByRole('tab', { name: /^Wideband/ })).toHaveAttribute('aria-selected', 'true')
  await expect(page.locator('[data-line="5"]')).toHaveAttribute('aria-selected', 'true')
  await expect(page.getByLabel('In Table 1')).toContainText('Wideband Citation Index')
  await page.locator('[data-line="6"]').hover()
  await expect(pane(page).locator('.fact.pointed')).toHaveText('137')
})

test('every number that the section tells is asked where it comes from, and leads there', async ({
  page,
}) => {
  await openDemo(page, 'selection')
  await page.locator('#stage').focus()
  await page.keyboard.press('Shift+W')
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('option').first()).toBeVisible()
  await accessible(page, 'where from', '[role="dialog"]')
  await page.keyboard.type('brought in girder')
  await expect(dialog.getByRole('option')).toHaveCount(1)
  await expect(dialog).toContainText('Table 1')
  await expect(dialog).toContainText(/The journal has \d+ entries of what it comes from/)
  await page.keyboard.press('Enter')
  await expect(dialog).toBeHidden()
  await expect(page).not.toHaveURL(/selection/)
})

test('a review that was put away is taken back with everything in it; only then it can go for good', async ({
  page,
}) => {
  await openDemo(page, 'searches')
  await page.goto('/')
  await page.getByRole('button', { name: 'Put away' }).click()
  await expect(page.locator('.shelf-row')).toHaveCount(0)
  await accessible(page, 'the empty shelf')
  await page.getByText('1 review put away').click()
  await page.getByRole('button', { name: 'Take it back' }).click()
  await page.getByRole('link', { name: /Sound in primary classrooms/ }).click()
  await stage(page, 'Searches')
  await expect(page.locator('.sheet-row')).toHaveCount(13)
  await page.goto('/')
  await page.getByRole('button', { name: 'Put away' }).click()
  await page.getByText('1 review put away').click()
  await page.getByRole('button', { name: 'Remove for good' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Remove for good' }).click()
  await expect(page.getByText('1 review put away')).toBeHidden()
  await page.reload()
  await expect(page.getByText('Your reviews will stand here')).toBeVisible()
  await expect(page.getByText('put away')).toBeHidden()
})
