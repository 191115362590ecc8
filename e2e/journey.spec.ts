import { expect } from '@playwright/test'
import mammoth from 'mammoth'
import { readFileSync } from 'node:fs'
import {
  addDatabase,
  beginReview,
  nameReader,
  openDemo,
  pane,
  saved,
  stage,
  test,
  journalLength,
} from './help'

test('a new review goes from the question to a methods section, with a reload in the middle', async ({
  page,
}) => {
  await beginReview(page)
  await expect(pane(page)).toContainText('We divided the question into noise and reading.')

  await page.getByRole('button', { name: 'Plan a limit' }).click()
  await page.getByRole('menuitem', { name: 'Years' }).click()
  await page.getByLabel('First year').fill('2017')
  await page.getByLabel('Last year').fill('2026')
  await page.getByLabel('Why: years').fill('the rules were revised')
  await page.getByLabel('Why: years').blur()
  await addDatabase(page, 'Fernhollow Education Index')
  await expect(pane(page)).toContainText('because the rules were revised')

  await stage(page, 'Terms')
  await page.getByLabel('New words for Noise').fill('noise; babble')
  await page.keyboard.press('Enter')
  await page.getByLabel('New words for Noise').press('Escape')
  await page.keyboard.press('ArrowRight')
  await page.getByLabel('Look up a heading').fill('echo in rooms')
  await expect(page.getByText('is not a heading. Use Classroom sound.')).toBeVisible()
  await page.getByLabel('Look up a heading').press('Enter')
  await expect(page.locator('.chip.heading')).toContainText('Classroom sound')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowLeft')
  await page.getByLabel('New words for Reading').fill('read*')
  await expect(page.getByText(/read\* in title, abstract and keywords: Fernhollow \d+/)).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.locator('.chip')).toHaveCount(4)

  await stage(page, 'Searches')
  await page.getByRole('button', { name: /Draft from the plan/ }).click()
  await expect(page.locator('.sheet-row')).toHaveCount(6)
  await page.keyboard.press('r')
  await expect(page.locator('.sheet-row .hits').last()).toHaveText(/\d/)
  const hits = Number((await page.locator('.sheet-row .hits').last().innerText()).replace(/\D/g, ''))
  expect(hits).toBeGreaterThan(20)

  // A broken line says what is wrong, at its place, and is mended by its fix.
  await page.locator('[data-line="1"]').dblclick()
  await page.locator('.cm-content').click()
  await page.keyboard.press('End')
  await page.keyboard.type(' OR (racket')
  await expect(page.getByText('This bracket is not closed')).toBeVisible()
  await page.getByRole('button', { name: 'Close it at the end' }).click()
  await page.locator('.cm-content').click()
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-line="1"]')).toContainText('racket')
  await expect(page.locator('.sheet-row .hits.stale').first()).toBeVisible()
  await page.keyboard.press('r')
  await expect(page.getByRole('button', { name: /All run/ })).toBeVisible()

  await saved(page)
  await page.reload()
  await expect(page.locator('.sheet-row')).toHaveCount(6)
  await page.locator('[data-line="6"]').click()
  await page.keyboard.press('b')
  await expect(page.getByText(/records are in the review\./).first()).toBeVisible()

  await stage(page, 'Records')
  await expect(page.locator('.work mark.A, .work mark.B').first()).toBeVisible()

  await stage(page, 'Selection')
  await page.keyboard.press('ArrowRight')
  await nameReader(page, 'A. Quill')
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('ArrowDown')
  await expect(pane(page)).toContainText('1 went on to full text, 1 was set aside and 1 is left open')
  await page.keyboard.press('z')
  await expect(pane(page)).toContainText('titles and abstracts of 2 of')

  await stage(page, 'Methods')
  const passage = page.getByRole('textbox', { name: 'With which terms' })
  await expect(page.getByRole('textbox', { name: 'Where and how we looked' })).toContainText(
    'Fernhollow Education Index',
  )
  await passage.click()
  // Typing on a chosen fact does not take its place.
  await passage.locator('[data-fact^="words.fields"]').click()
  await page.keyboard.type(' as we saw')
  await expect(passage).toContainText('title, abstract and keywords as we saw')
  await page.keyboard.press('Control+Home')
  await page.keyboard.type('Our own words. ')
  await expect(page.getByText('in your words')).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(page.getByRole('textbox', { name: 'With which terms' })).toContainText(
    'Our own words. We divided',
  )

  const [word] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /^Word/ }).click(),
  ])
  const { value } = await mammoth.extractRawText({ buffer: readFileSync(await word.path()) })
  expect(value).toContain('Our own words. We divided the question')
  expect(value).toContain('titles and abstracts of 2 of')
  const [markdown] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /^Markdown/ }).click(),
  ])
  expect(readFileSync(await markdown.path(), 'utf8')).toContain(
    '## With which terms\n\nOur own words. We divided',
  )
})

test('who undoes and goes on at once is not carried back', async ({ page }) => {
  await openDemo(page, 'selection')
  const cdp = await page.context().newCDPSession(page)
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 })
  await page.keyboard.press('ArrowRight')
  await nameReader(page, 'P. Ostler')
  for (let i = 0; i < (process.env.RELIABILITY ? 6 : 1); i++) {
    // Several in a row: what is undone waits until all of them are written.
    const before = await journalLength(page)
    for (const key of ['ArrowLeft', 'ArrowRight', 'ArrowDown', 'z']) await page.keyboard.press(key)
    await stage(page, 'Methods')
    await expect.poll(() => journalLength(page)).toBeGreaterThanOrEqual(before + 4)
    await saved(page)
    await expect(page).toHaveURL(/methods/)
    await expect(page.getByRole('heading', { name: 'Search and selection' })).toBeVisible()
    await stage(page, 'Selection')
  }
})

test('what was being typed when the browser was killed is there again', async ({ context }) => {
  const page = await context.newPage()
  await beginReview(page)
  await page.getByRole('textbox', { name: 'Name of concept B' }).fill('Reading of beginners')
  await page.waitForTimeout(800)
  const { url } = { url: page.url() }
  // Closing without the page's own farewell: no blur, no unload work.
  await page.close({ runBeforeUnload: false })
  const again = await context.newPage()
  await again.goto(url)
  await expect(again.getByRole('textbox', { name: 'Name of concept B' })).toHaveValue('Reading of beginners')
  await expect(again.getByRole('textbox', { name: 'Name of concept A' })).toHaveValue('Noise')
})

test('two tabs write one journal and follow each other', async ({ context }) => {
  const one = await context.newPage()
  await beginReview(one)
  const two = await context.newPage()
  await two.goto(one.url())
  await expect(two.getByRole('textbox', { name: 'Name of concept B' })).toHaveValue('Reading')
  await Promise.all([
    one.getByRole('button', { name: 'Ask a question' }).click(),
    addDatabase(two, 'Fernhollow Education Index'),
  ])
  for (const page of [one, two]) {
    await expect(page.getByRole('textbox', { name: 'Criterion 1' })).toBeVisible()
    await expect(page.getByLabel('Why Fernhollow Education Index')).toBeVisible()
    await saved(page)
  }
  const journals = await Promise.all(
    [one, two].map((p) => p.getByRole('button', { name: /^Journal/ }).innerText()),
  )
  expect(journals[0]).toBe(journals[1])
})
