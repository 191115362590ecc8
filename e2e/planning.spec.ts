import { expect, type Page } from '@playwright/test'
import mammoth from 'mammoth'
import Papa from 'papaparse'
import { readFileSync } from 'node:fs'
import { accessible, addDatabase, beginReview, openDemo, pane, saved, stage, typeWords, test } from './help'

const QUESTION =
  'How do sound conditions in primary-school classrooms bear on pupils’ listening comprehension and early reading?'

/** Keys one after the other; what is no key's name is typed. */
async function keys(page: Page, ...list: string[]): Promise<void> {
  for (const key of list)
    if (/^[A-Z][a-z]+[A-Z]?[a-z]*$|^.$|\+/.test(key)) await page.keyboard.press(key)
    else await page.keyboard.type(key)
}

/** Chooses the words from the n-th on, and weaves them into a concept. */
async function weave(page: Page, from: number, to: number, letter: string): Promise<void> {
  await keys(page, 'w', 'Escape')
  for (let i = 0; i < from; i++) await page.keyboard.press('ArrowRight')
  for (let i = from; i < to; i++) await page.keyboard.press('Shift+ArrowRight')
  await page.keyboard.press(letter)
}

/** Walks an open menu with the arrows to an item and chooses it. */
async function chooseItem(page: Page, name: RegExp): Promise<void> {
  const item = page.getByRole('menuitem', { name })
  await expect(item).toBeVisible()
  await expect
    .poll(async () => {
      await page.keyboard.press('ArrowDown')
      return item.evaluate((element) => element === document.activeElement)
    })
    .toBe(true)
  await page.keyboard.press('Enter')
}

test('the demo question is planned from nothing to a full grid with the keyboard alone', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Begin a review' }).press('Enter')
  await expect(page.getByRole('textbox', { name: 'The question' })).toBeFocused()
  await page.keyboard.insertText(QUESTION)
  await page.keyboard.press('Enter')
  await expect(page.locator('.question-text')).toBeVisible()
  // How do sound conditions in primary-school classrooms bear on pupils listening comprehension and early reading
  await weave(page, 6, 7, 'a')
  await expect(page.getByLabel('Name of concept A')).toHaveValue('Primary-school classrooms')
  await weave(page, 3, 4, 'b')
  await weave(page, 11, 12, 'c')
  await weave(page, 14, 15, 'c')
  await expect(pane(page)).toContainText('divided the question into')
  await page.keyboard.press('Escape')

  // All five databases from the menu at once.
  await page.locator('#stage').focus()
  await keys(page, 'd')
  await chooseItem(page, /All 5/)
  await expect(page.getByLabel('Why Quayside Library Search')).toBeVisible()

  await page.locator('#stage').focus()
  await keys(page, 'l')
  await chooseItem(page, /^Years/)
  // It asks for its values first, and nothing is planned before they are there.
  await expect(page.getByLabel('First year')).toBeFocused()
  await page.keyboard.type('2017')
  await page.keyboard.press('Tab')
  await page.keyboard.type('2026')
  await page.keyboard.press('Tab')
  await expect(page.getByLabel('Why: years')).toBeFocused()
  await page.keyboard.type('the rules were revised')
  await page.keyboard.press('Enter')
  await expect(page.getByText('exact in all 5')).toBeVisible()
  await expect(pane(page)).toContainText('because the rules were revised')
  await keys(page, 'q')
  await page.keyboard.type('Was sound measured in a classroom?')
  await page.keyboard.press('Enter')

  // Phrases of the question that lead to headings: the first one goes where its words are woven already.
  await expect(page.getByRole('row', { name: /^early reading.*Beginning reading/ })).toBeVisible()
  await keys(page, 's')
  await expect(page.getByRole('grid', { name: 'Suggestions from the question' })).toBeFocused()
  const options = page.getByRole('grid', { name: 'Suggestions from the question' }).getByRole('row')
  for (let left = await options.count(); left > 0; left = await options.count()) {
    const first = await options.first().innerText()
    await page.keyboard.press(/classroom|pupil|school/.test(first) ? 'a' : 'c')
    await expect.poll(() => options.count()).toBeLessThan(left)
  }

  await page.keyboard.press('Escape')
  await page.keyboard.press('Shift+2')
  await expect(page).toHaveURL(/terms/)
  const cell = (row: number, column: number) => page.locator('tbody tr').nth(row).locator('td').nth(column)
  await typeWords(page, [
    'classroom*; "primary school*"',
    'noise; reverberat*; babble',
    '"listening effort"; "early reading"',
  ])
  await expect(cell(1, 0).locator('.chip')).toHaveCount(3)

  // Sound conditions have no heading from the question: one is looked up, the others follow by one key.
  await keys(page, 'ArrowUp', 'ArrowRight', '/')
  await page.keyboard.type('echo in rooms')
  await expect(page.getByText('is not a heading. Use Classroom sound.')).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(cell(1, 1).locator('.chip.heading')).toContainText('Classroom sound')
  await expect(page.getByText('The same elsewhere')).toBeVisible()
  await page.keyboard.press('r')
  await expect(cell(1, 2).locator('.chip').first()).toContainText('Classroom acoustics')
  // What only shares records with it is not taken unseen: it is studied together, and something else.
  await expect(cell(1, 3).locator('.chip')).toHaveCount(0)
  await keys(page, 'ArrowRight', 'ArrowRight', '/')
  await page.keyboard.type('auditory mask')
  await expect(page.getByText('Take “Auditory masking”')).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(cell(1, 3).locator('.chip').first()).toBeVisible()
  await keys(page, 'ArrowDown', 'ArrowLeft', '/')
  await page.keyboard.type('speech intelligib')
  await expect(page.getByText('Take “Speech intelligibility”')).toBeVisible()
  await keys(page, 'Escape', '1', 'ArrowUp', 'ArrowLeft')
  for (let row = 0; row < 3; row++)
    for (let column = 0; column < 4; column++) {
      await expect(cell(row, column).locator('.chip').first()).toBeVisible()
    }

  // Into the chips: the second word is dropped with its reason, the first is moved to A and back.
  await keys(page, 'ArrowLeft', 'Enter', 'ArrowRight', 'Delete')
  await page.keyboard.type('finds street noise')
  await page.keyboard.press('Enter')
  await expect(cell(1, 0).locator('.chip.dropped')).toHaveAttribute('title', 'finds street noise')
  await keys(page, 'Enter', 'Shift+A')
  await expect(cell(0, 0).locator('.chip')).toHaveCount(3)
  await keys(page, 'Shift+B')
  await expect(cell(1, 0).locator('.chip')).toHaveCount(3)
  // Nothing was run, so nothing was tried.
  await expect(pane(page)).toContainText('are gathered so far')
  await expect(pane(page)).not.toContainText('tried and dropped')
  await saved(page)
})

test('a foreign vocabulary with breaches is mended in words, used, and there again after a reload', async ({
  page,
}) => {
  await beginReview(page)
  await addDatabase(page, 'Wideband Citation Index')
  await stage(page, 'Terms')
  await page.keyboard.press('v')
  const skos = `@prefix skos: <http://www.w3.org/2004/02/skos/core#> .
@prefix : <http://example.org/rooms/> .
:a a skos:Concept ; skos:prefLabel "Rooms"@en ; skos:narrower :b .
:b a skos:Concept ; skos:prefLabel "Teaching rooms"@en, "Class rooms"@en ; skos:altLabel "schoolroom"@en ; skos:related :a .
:c a skos:Concept ; skos:prefLabel "Halls"@en ; skos:broader :d .
:d a skos:Concept ; skos:prefLabel "Echo"@en ; skos:broader :c ; skos:related :nowhere .`
  await page
    .getByLabel('Vocabulary file')
    .setInputFiles({ name: 'rooms.ttl', mimeType: 'text/turtle', buffer: Buffer.from(skos) })
  await expect(page.getByText('4 headings over 2 levels')).toBeVisible()
  for (const said of [
    '2 preferred labels',
    'which is not in this file',
    'is below itself',
    'the hierarchy is kept',
  ])
    await expect(page.getByText(said)).toBeVisible()
  await page.getByRole('button', { name: 'Use it for Wideband' }).click()
  await expect(page.getByRole('columnheader', { name: 'Wideband headings' })).toBeVisible()
  await saved(page)
  await page.reload()
  await page.getByRole('cell').nth(1).click()
  await page.getByLabel('Look up a heading').fill('schoolroom')
  await expect(page.getByText('is not a heading. Use Teaching rooms.')).toBeVisible()
  await page.getByLabel('Look up a heading').press('Enter')
  await expect(page.locator('.chip.heading')).toContainText('Teaching rooms')

  await page.keyboard.press('v')
  await page
    .getByLabel('Vocabulary file')
    .setInputFiles({ name: 'x.ttl', mimeType: 'text/turtle', buffer: Buffer.from('@prefix broken') })
  await expect(page.getByText('x.ttl was not taken over.')).toBeVisible()
})

test('the grid is handed on as a table and as a worksheet in Word', async ({ page }) => {
  await openDemo(page, 'terms')
  const save = async (item: RegExp): Promise<string> => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page
        .getByRole('button', { name: 'Files' })
        .click()
        .then(() => page.getByRole('menuitem', { name: item }).click()),
    ])
    return file.path()
  }
  const { data } = Papa.parse<Record<string, string>>(readFileSync(await save(/CSV/), 'utf8'), {
    header: true,
    skipEmptyLines: true,
  })
  expect(data.find((r) => r.term === 'pupil*')).toMatchObject({ status: 'dropped', concept: 'A' })
  const { value } = await mammoth.extractRawText({ buffer: readFileSync(await save(/Word/)) })
  expect(value).toContain('Classroom sound (with narrower)')
  expect(value).toContain('rules for school rooms were revised in 2016')
})

test('a chip is dragged to another concept, and undone', async ({ page }) => {
  await openDemo(page, 'terms')
  const row = (n: number) => page.locator('tbody tr').nth(n)
  const chip = row(1).locator('.chip', { hasText: 'babble' })
  const from = (await chip.boundingBox())!
  const to = (await row(0).locator('td').first().boundingBox())!
  await page.mouse.move(from.x + 20, from.y + 10)
  await page.mouse.down()
  await page.mouse.move(to.x + 40, to.y + 40, { steps: 8 })
  await page.mouse.up()
  await expect(row(0).locator('.chip', { hasText: 'babble' })).toBeVisible()
  await page.keyboard.press('z')
  await expect(row(1).locator('.chip', { hasText: 'babble' })).toBeVisible()
})

test('a source that was searched leaves the plan with its records, and one undo brings all of it back', async ({
  page,
}) => {
  await openDemo(page)
  const course = page.getByRole('navigation', { name: 'Stages' })
  const figures = () => course.innerText()
  const before = await figures()
  const hits = Number(/(\d+) hits/.exec(before)![1])
  const remove = page.getByRole('button', { name: 'Remove Girder & Sound Abstracts' })
  await remove.click()
  await expect(page.getByRole('dialog')).toContainText(/\d+ runs are logged and \d+ records brought in/)
  await accessible(page, 'the question before a source leaves', '[role=dialog]')
  await page.getByRole('button', { name: 'Leave it' }).click()
  await expect(page.getByRole('dialog')).toBeHidden()
  expect(await figures()).toBe(before)
  await remove.click()
  await page.getByRole('button', { name: 'Take it out' }).click()
  await expect(page.getByRole('dialog')).toBeHidden()
  await expect(remove).toBeHidden()
  const left = async (): Promise<number> => Number(/(\d+) hits/.exec(await figures())?.[1])
  await expect.poll(left).toBeLessThan(hits)
  expect(await left()).toBeGreaterThan(0)
  await expect(pane(page)).toContainText('We searched four databases')
  await page.keyboard.press('z')
  await expect(remove).toBeVisible()
  await expect.poll(figures).toBe(before)
})
