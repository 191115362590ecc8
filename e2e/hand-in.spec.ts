import { expect, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { accessible, openDemo, saved, stage, test } from './help'

interface Dropped {
  name: string
  text: string
}
/** Drops files in the middle of the page, as a person does from another window. */
async function drop(page: Page, ...files: Dropped[]): Promise<void> {
  const held = await page.evaluateHandle((given) => {
    const of = new DataTransfer()
    for (const { name, text } of given) of.items.add(new File([text], name))
    return of
  }, files)
  for (const type of ['dragenter', 'dragover', 'drop'])
    await page.locator('#stage').dispatchEvent(type, { dataTransfer: held })
}
const paste = (page: Page, text: string): Promise<void> =>
  page.evaluate((given) => {
    const clipboardData = new DataTransfer()
    clipboardData.setData('text/plain', given)
    document
      .querySelector('#stage')!
      .dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }))
  }, text)

const RIS = 'TY  - JOUR\nTI  - Soft ceilings in small rooms\nAU  - Quill, A.\nPY  - 2019\nER  - \n'
const HISTORY = 'No.\tQuery\tRecords\n1\tnoise and class\t1,204\n2\techo\t31\n3\t#1 and #2\t7\n'
const TERMS = 'Noise\n  NT Echo\n  UF Din\nEcho\n  BT Noise\n'

test('whatever is dropped or pasted anywhere is recognised and led to its place, with one question at most', async ({
  page,
}) => {
  await openDemo(page, 'methods')
  const dialog = page.getByRole('dialog')
  const leave = async (name: string | RegExp): Promise<void> => {
    await dialog.getByRole('button', { name }).click()
    await expect(dialog).toBeHidden()
  }

  await drop(page, { name: 'some.txt', text: RIS }, { name: 'more.txt', text: RIS.replace('small', 'large') })
  await expect(page).toHaveURL(/\/records\?/)
  await expect(dialog).toContainText('some.txt')
  // One file after the other is asked about.
  await dialog.getByRole('button', { name: 'Leave it' }).click()
  await expect(dialog).toContainText('more.txt')
  await leave('Leave it')

  await drop(page, { name: 'history.csv', text: HISTORY })
  await expect(dialog).toContainText('Of which database is this history?')
  await accessible(page, 'which database', '[role="dialog"]')
  await dialog.getByRole('button', { name: 'Mindmere' }).click()
  await expect(page).toHaveURL(/\/searches\?/)
  await expect(dialog).toContainText('A history of Mindmere, taken over')
  await expect(dialog).toContainText('noise and class')
  await leave('Leave it')

  await drop(page, { name: 'rooms.txt', text: TERMS })
  await expect(page).toHaveURL(/\/terms\?/)
  await expect(dialog).toContainText('A vocabulary from a file')
  await expect(dialog).toContainText('2 headings over 2 levels')
  await leave('Leave it')

  await page.locator('#stage').focus()
  await paste(page, '10.5555/aa.1\n10.5555/aa.2')
  await expect(page).toHaveURL(/\/question\?/)
  await expect(page.getByLabel('Known items, pasted')).toHaveValue('10.5555/aa.1\n10.5555/aa.2')
  await page.keyboard.press('Escape')

  // A description has a name of its own: what is in the review is another one.
  const description = {
    ...(JSON.parse(readFileSync('src/standins/profiles/girder.json', 'utf8')) as object),
    id: 'pine',
    name: 'Pine Index',
  }
  await stage(page, 'Searches')
  await drop(page, { name: 'pine.json', text: JSON.stringify(description) })
  await expect(page).toHaveURL(/\/question\?/)
  await expect(page.getByText('Pine Index').first()).toBeVisible()
  await saved(page)

  // What stands beside the work asks nothing first.
  await page.getByRole('button', { name: 'Guide', exact: true }).click()
  await expect(page.getByRole('complementary', { name: 'Guide' })).toBeVisible()
  await drop(page, { name: 'text.pdf', text: '%PDF-1.7' })
  await expect(
    page.getByText(/choose the work under Selection, Full texts, and attach it there/),
  ).toBeVisible()
  await drop(page, { name: 'letter.txt', text: 'Dear colleague, thank you.' })
  await expect(page.getByText(/letter.txt: What this is could not be told/)).toBeVisible()
})

test('a package that is dropped on a review, or on the shelf, is opened from the shelf', async ({ page }) => {
  await openDemo(page, 'terms')
  const bytes = readFileSync('src/core/review/fixtures/first-form/demo.luvren.zip').toString('base64')
  const dropPackage = async (at: string): Promise<void> => {
    const held = await page.evaluateHandle((packed) => {
      const of = new DataTransfer()
      of.items.add(new File([Uint8Array.from(atob(packed), (c) => c.charCodeAt(0))], 'old.luvren.zip'))
      return of
    }, bytes)
    for (const type of ['dragenter', 'dragover', 'drop'])
      await page.locator(at).dispatchEvent(type, { dataTransfer: held })
  }
  await dropPackage('#stage')
  await expect(page.locator('.question-text').or(page.getByRole('dialog')).first()).toBeVisible()
  await page.goto('/')
  await page.locator('.shelf-row').first().waitFor()
  await dropPackage('main')
  await expect(page.locator('.question-text').or(page.getByRole('dialog')).first()).toBeVisible()
})
