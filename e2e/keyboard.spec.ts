import { expect, type Page } from '@playwright/test'
import { nameReader, openDemo, pane, saved, test, hasSaid } from './help'

/** The focus stands on something of the review, never on the page itself. */
async function focusStands(page: Page): Promise<void> {
  await expect
    .poll(() =>
      page.evaluate(() => document.activeElement !== null && document.activeElement !== document.body),
    )
    .toBe(true)
}
const keys = async (page: Page, ...names: string[]): Promise<void> => {
  for (const name of names) await page.keyboard.press(name)
}

/** What this browser has kept of the keys. */
const keptKeys = (page: Page): Promise<unknown> =>
  page.evaluate(
    () =>
      new Promise((done, failed) => {
        const open = indexedDB.open('luvren')
        open.onerror = () => failed(open.error)
        open.onsuccess = () => {
          const asked = open.result.transaction('settings').objectStore('settings').get('keys')
          asked.onsuccess = () => {
            open.result.close()
            done((asked.result as { value?: unknown } | undefined)?.value)
          }
        }
      }),
  )

test('the whole way is walked with the keyboard alone, from an empty shelf to the methods section', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'Begin a review' })).toBeVisible()
  await page.getByRole('button', { name: 'Begin a review' }).focus()
  await keys(page, 'Enter')

  await test.step('Question: wording, concepts, a limit, a criterion, a database', async () => {
    await expect(page.getByRole('textbox', { name: 'The question' })).toBeFocused()
    await page.keyboard.type('How does noise bear on reading in class?')
    await keys(page, 'Enter')
    await focusStands(page)
    // A new concept: what is typed goes into its name, letters that are shortcuts too.
    await keys(page, 'n')
    const name = page.getByRole('textbox', { name: 'Name of concept A' })
    await expect(name).toBeFocused()
    await page.keyboard.type('Tab two concept')
    await keys(page, 'Enter')
    await expect(name).toHaveValue('Tab two concept')
    await expect(page.getByRole('textbox', { name: /^Name of concept/ })).toHaveCount(1)
    await focusStands(page)
    await keys(page, 'z', 'z')
    await keys(page, 'w', 'ArrowRight', 'ArrowRight', 'ArrowRight', 'a')
    await expect(page.getByRole('textbox', { name: 'Name of concept A' })).toHaveValue('Noise')
    await keys(page, 'w', ...Array.from({ length: 6 }, () => 'ArrowRight'), 'b')
    await expect(page.getByRole('textbox', { name: 'Name of concept B' })).toBeVisible()
    // A limit starts empty and asks for its values first.
    await keys(page, 'l')
    await expect(page.getByRole('menuitem', { name: 'Years' })).toBeVisible()
    await keys(page, 'ArrowDown')
    await page.getByRole('menuitem', { name: 'Years' }).press('Enter')
    await expect(page.getByLabel('First year')).toBeFocused()
    await expect(page.getByLabel('First year')).toHaveValue('')
    await page.keyboard.type('2017')
    await keys(page, 'Tab')
    await page.keyboard.type('2026')
    await keys(page, 'Tab')
    await page.keyboard.type('rules changed in 2016')
    await keys(page, 'Enter')
    await focusStands(page)
    await keys(page, 'q')
    await expect(page.getByLabel('Criterion 1', { exact: true })).toBeFocused()
    await page.keyboard.type('Was sound measured?')
    await keys(page, 'Escape')
    await focusStands(page)
    await keys(page, 'd')
    await page.getByRole('menuitem', { name: /^Fernhollow/ }).press('Enter')
    await expect(page.locator('.source').filter({ hasText: 'Fernhollow' })).toBeVisible()
    await expect(pane(page)).toContainText(
      /limit(?:ed| the database searches) to work published from 2017 to 2026/,
    )
  })

  await test.step('Terms: a word, and a heading that is offered for what stands in the box now', async () => {
    await keys(page, 'Escape', 'Shift+2')
    await expect(page).toHaveURL(/terms/)
    await keys(page, '/')
    await page.keyboard.type('noise; babble')
    await expect(page.getByRole('list', { name: 'The words before the last' })).toContainText('noise')
    await keys(page, 'Enter', 'Escape')
    await focusStands(page)
    await keys(page, 'ArrowRight', '/')
    const box = page.getByLabel('Look up a heading')
    await expect(box).toBeFocused()
    const chips = page.locator('.chip')
    const before = await chips.count()
    await page.keyboard.type('motzarella')
    await expect(page.getByText(/Nothing in this vocabulary has/)).toBeVisible()
    await keys(page, 'Enter')
    await expect(chips).toHaveCount(before)
    await box.fill('classroom sound')
    await expect(page.getByRole('heading', { name: 'Take “Classroom sound”' })).toBeVisible()
    await keys(page, 'Enter')
    await expect(page.locator('.chip', { hasText: 'Classroom sound' })).toBeVisible()
    await focusStands(page)
    await keys(page, 'Escape', 'ArrowLeft', 'ArrowDown', '/')
    await page.keyboard.type('reading')
    await keys(page, 'Enter', 'Escape')
  })

  await test.step('Searches: drafted, run, brought in', async () => {
    await keys(page, 'Shift+3')
    await expect(page).toHaveURL(/searches/)
    await keys(page, 'd')
    await expect(page.locator('.sheet-row').first()).toBeVisible()
    await focusStands(page)
    await keys(page, 'r')
    await expect(page.getByRole('button', { name: /All run/ })).toBeVisible()
    // The last line is chosen without a click.
    await keys(page, 'Enter')
    await expect(page.locator('.cm-content')).toBeFocused()
    await keys(page, 'Escape')
    await focusStands(page)
    await keys(page, 'b')
    await expect(page.getByText(/records are in the review\./).first()).toBeVisible()
  })

  await test.step('Records, Selection: ruled by key, and taken back by name', async () => {
    await keys(page, 'Shift+4')
    await expect(page.locator('.work').first()).toBeVisible()
    await keys(page, 'Shift+5')
    await expect(page.getByRole('heading', { name: 'Broad pass' })).toBeVisible()
    await keys(page, 'ArrowRight')
    await nameReader(page, 'A. Quill')
    await focusStands(page)
    await keys(page, 'ArrowLeft')
    await expect(page.locator('footer')).toContainText('undo: work ruled')
    const second = await page.locator('.selection .record-title').first().innerText()
    await keys(page, 'z')
    await hasSaid(page, 'Undone: work ruled.')
    await expect(page.locator('.selection .record-title').first()).not.toHaveText(second)
  })

  await test.step('Methods: read, and the palette reached while typing', async () => {
    await keys(page, 'Shift+6')
    const passage = page.getByRole('textbox', { name: 'Where and how we looked' })
    await expect(passage).toContainText('Fernhollow')
    await passage.focus()
    await keys(page, 'Control+k')
    await expect(page.getByRole('combobox', { name: 'Search the actions' })).toBeFocused()
    await page.keyboard.type('shelf')
    await expect(page.getByRole('option', { selected: true })).toContainText('To the shelf')
    await keys(page, 'Enter')
    await expect(page.getByRole('button', { name: 'Begin a review' })).toBeVisible()
  })
})

test('single keys can be changed and switched off', async ({ page }) => {
  await openDemo(page)
  await keys(page, 'k')
  await page.keyboard.type('change the keys')
  await keys(page, 'Enter')
  const undo = page.getByRole('button', { name: 'Change the key of Undo' })
  await undo.click()
  await keys(page, 'k')
  await expect(page.getByText(/is the key of “Do anything”/)).toBeVisible()
  await undo.click()
  await keys(page, 'u')
  await expect(undo).toHaveText('U')
  await page.getByRole('switch', { name: 'Single keys do things' }).click()
  // A reload in the very moment of a click may come before the browser has written what was chosen.
  await expect.poll(() => keptKeys(page)).toMatchObject({ off: true })
  await keys(page, 'Escape')
  await page.reload()
  await expect(page.locator('.question-text')).toBeVisible()
  await saved(page)
  await keys(page, 'n', 'u')
  await expect(page.getByRole('textbox', { name: /^Name of concept/ })).toHaveCount(3)
  await keys(page, 'Control+k')
  await expect(page.getByRole('combobox', { name: 'Search the actions' })).toBeFocused()
})

test('at 640 by 400, which is 200 % of 1280 by 800, nothing needs sideways scrolling and the ruling keys are in view', async ({
  page,
}) => {
  await page.setViewportSize({ width: 640, height: 400 })
  await openDemo(page)
  for (const stage of ['question', 'terms', 'searches', 'records', 'selection', 'methods']) {
    await page.goto(`/review/${stage}?id=demo`)
    await expect(page.locator('#stage h1, .question-text').first()).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth), stage).toBeLessThanOrEqual(640)
    for (const name of ['Question', 'Methods'])
      await expect(page.getByRole('link', { name: new RegExp(`^${name}`) })).toBeInViewport()
    await expect(page).toHaveTitle(/Sound in primary classrooms · Luvren$/)
    if (stage === 'selection')
      await expect(page.getByRole('button', { name: /^In/ })).toBeInViewport({ ratio: 1 })
  }
  await page.getByRole('link', { name: 'Reviews' }).click()
  await expect(page.getByRole('button', { name: 'Begin a review' })).toBeVisible()
})
