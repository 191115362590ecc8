// A lead, two readers and the lead's other machine, each in a browser of their own, with files between them; at each step flow
// and agreement are counted from the package by a script that shares no code with the product.
import { readFileSync, writeFileSync } from 'node:fs'
import { expect, type Browser, type Page } from '@playwright/test'
import { flowNumbers, hasSaid, nameReader, saved, stage, test, twoBrowsers } from './help'
import { recount, type Recounted } from './recount'

const WORKS = 8
const RIS = Array.from(
  { length: WORKS },
  (_, n) => `TY  - JOUR\nTI  - Sound in room ${n + 1}\nAU  - Ebers, T.\nPY  - 20${10 + n}\nER  - \n`,
).join('\n')
const go = (page: Page, pane: string): Promise<void> =>
  page.getByRole('tab', { name: new RegExp(`^${pane}`) }).click()
const dialog = (page: Page) => page.getByRole('dialog', { name: 'Hand the review on' })

/** Saves the review of a page as a package, without what is named, and gives where. */
async function handedOn(page: Page, file: string, leave?: 'rulings'): Promise<string> {
  await stage(page, 'Methods')
  await page.keyboard.press('p')
  if (leave)
    await dialog(page)
      .getByRole('checkbox', { name: new RegExp(`^${leave}`) })
      .check()
  const download = page.waitForEvent('download', { timeout: 180_000 })
  await dialog(page).getByRole('button', { name: 'Save it' }).click()
  writeFileSync(file, readFileSync(await (await download).path()))
  await expect(dialog(page)).toBeHidden()
  await stage(page, 'Selection')
  return file
}

/** Opens a package in an empty browser. */
async function given(browser: Browser, file: string): Promise<Page> {
  const [page] = await twoBrowsers(browser)
  await page.goto('/')
  await page.locator('input[type=file]').setInputFiles(file)
  await page.waitForURL(/review/)
  return page
}

/** Rules the works one after the other by these keys. */
async function rules(page: Page, keys: string): Promise<void> {
  await page.locator('.pass-head').waitFor()
  await page.locator('#stage').focus()
  for (const [n, k] of [...keys].entries()) {
    await expect(page.locator('.pass-head')).toContainText(`${n + 1} of ${WORKS}`)
    await page.keyboard.press(k === 'i' ? 'ArrowRight' : 'ArrowLeft')
  }
  await saved(page)
}

async function fileOf(page: Page, file: string): Promise<string> {
  await go(page, 'Readers')
  const download = page.waitForEvent('download')
  await page.keyboard.press('s')
  writeFileSync(file, readFileSync(await (await download).path()))
  return file
}

async function takesIn(page: Page, file: string, said: string): Promise<void> {
  await go(page, 'Readers')
  await page.locator('input[aria-label="A reader’s file"]').setInputFiles(file)
  await hasSaid(page, said)
  await saved(page)
}

/** What is shown of flow and agreement is what the journal comes to. */
async function holds(page: Page, file: string): Promise<Recounted> {
  const found = recount(await handedOn(page, file))
  await go(page, 'Flow')
  const shown = await flowNumbers(page, 0)
  expect(shown['titles and abstracts read'] ?? 0).toBe(found.read)
  expect(shown['set aside'] ?? 0).toBe(found.setAside)
  expect(shown['left open'] ?? 0).toBe(found.open)
  expect(shown['ruled differently, to settle'] ?? 0).toBe(found.toSettle)
  expect(shown['full texts to be sought'] ?? 0).toBe(found.passed)
  await go(page, 'Readers')
  for (const [both, same] of Object.values(found.pairs))
    await expect(page.locator('.agreements')).toContainText(
      `First rulings of ${both} works, as in, out: ${((same / both) * 100).toFixed(1)} % are the same.`,
    )
  return found
}

test('a team reads apart, differs, settles, changes a criterion, and one of them works on two machines', async ({
  browser,
}, info) => {
  const at = (name: string): string => info.outputPath(name)
  const [lead] = await twoBrowsers(browser)

  await test.step('the lead plans, brings an export in, and rules', async () => {
    await lead.goto('/')
    await lead.getByRole('button', { name: 'Begin a review' }).click()
    await lead.getByRole('textbox', { name: 'The question' }).fill('How does sound bear on reading?')
    await lead.keyboard.press('Enter')
    await lead.getByRole('button', { name: 'Ask a question' }).click()
    await lead.getByRole('textbox', { name: 'Criterion 1', exact: true }).fill('Was sound measured?')
    await lead.keyboard.press('Enter')
    await lead.getByRole('textbox', { name: 'Reason that criterion 1 gives' }).fill('sound not measured')
    await lead.keyboard.press('Enter')
    await lead.getByRole('button', { name: 'Add another way' }).click()
    await lead.getByRole('menuitem', { name: /collection/i }).click()
    await stage(lead, 'Selection')
    await go(lead, 'Other ways')
    await lead.getByLabel(/^File with records of/).setInputFiles({
      name: 'ours.ris',
      mimeType: 'application/x-research-info-systems',
      buffer: Buffer.from(RIS),
    })
    await lead
      .getByRole('dialog')
      .getByRole('button', { name: /^Bring/ })
      .click()
    await expect(lead.locator('.way')).toContainText(`${WORKS} works`)
    await lead.getByRole('button', { name: 'Log what was done' }).click()
    await lead.getByLabel('where it lies').fill('the shelf of the institute')
    await lead.getByLabel('looked through').fill('40')
    await lead.getByLabel('taken on').fill(String(WORKS))
    await lead.getByRole('button', { name: 'Log it' }).click()
    await expect(lead.locator('.way-step')).toContainText(
      'the shelf of the institute; 40 looked through; 8 taken on',
    )
    await go(lead, 'Broad pass')
    await lead.locator('.pass-head').waitFor()
    await lead.locator('#stage').focus()
    // An answer that leads out is the reason; the digit alone rules nothing.
    await lead.keyboard.press('1')
    await lead.keyboard.press('1')
    await expect(lead.locator('.pass-head')).toContainText(`1 of ${WORKS}`)
    await lead.keyboard.press('ArrowLeft')
    await nameReader(lead, 'M. Osei')
    await expect(lead.locator('.pass-head')).toContainText(`2 of ${WORKS}`)
    for (const k of 'iiiiooo') await lead.keyboard.press(k === 'i' ? 'ArrowRight' : 'ArrowLeft')
    await saved(lead)
  })

  await test.step('two readers read what they are asked to, and see nothing of it', async () => {
    const package_ = await handedOn(lead, at('blinded.zip'), 'rulings')
    expect(recount(package_).entries.some((e) => /^ruling|^retrieval/.test(e.kind))).toBe(false)
    for (const [name, keys] of [
      ['A. Quill', 'oiiioooo'],
      ['L. Prins', 'oiiiiooi'],
    ] as const) {
      const reader = await given(browser, package_)
      await nameReader(reader, name)
      await expect(reader.getByText(/^M\. Osei asks you to read the titles/)).toContainText(`${WORKS} works`)
      await rules(reader, keys)
      await fileOf(reader, at(`${name}.json`))
      await reader.context().close()
    }
    await takesIn(lead, at('A. Quill.json'), `Taken in: ${WORKS} new rulings.`)
    const two = await holds(lead, at('two.zip'))
    expect([two.readers.length, two.toSettle]).toEqual([2, 1])
    await takesIn(lead, at('L. Prins.json'), `Taken in: ${WORKS} new rulings.`)
    const three = await holds(lead, at('three.zip'))
    expect([three.readers.length, three.toSettle]).toEqual([3, 2])
    await expect(lead.locator('.agreements')).toContainText(`${WORKS} works ruled by 3 readers`)
    await expect(lead.locator('.reading')).toContainText(`read by three ${WORKS}; nothing is owed`)
  })

  await test.step('what differs is settled, both at once, and only then counted', async () => {
    await go(lead, 'To settle')
    await lead.getByRole('region', { name: 'To settle' }).waitFor()
    await lead.locator('#stage').focus()
    await lead.keyboard.press('x')
    await lead.keyboard.press('ArrowDown')
    await lead.keyboard.press('x')
    await lead.keyboard.press('1')
    await expect(lead.getByText('Nothing is to be settled.')).toBeVisible()
    const settled = await holds(lead, at('settled.zip'))
    expect([settled.toSettle, settled.passed]).toEqual([0, 5])
  })

  await test.step('on her other machine the lead is who she is, and her later word stands here', async () => {
    const other = await given(browser, at('settled.zip'))
    await other.getByRole('button', { name: 'I am M. Osei' }).click()
    await stage(other, 'Selection')
    await other.locator('.pass-head').waitFor()
    await other.locator('#stage').focus()
    await other.keyboard.press('ArrowDown')
    await saved(other)
    await fileOf(other, at('lead.json'))
    await other.context().close()
    await takesIn(lead, at('lead.json'), 'Taken in: 1 ruling changed and 7 rulings known already.')
    const one = await holds(lead, at('one.zip'))
    expect([one.readers.length, one.toSettle]).toEqual([3, 1])
  })

  await test.step('a criterion that changes asks again for what hung on it, of every reader', async () => {
    await stage(lead, 'Question')
    await lead
      .getByRole('textbox', { name: 'Criterion 1', exact: true })
      .fill('Was sound measured in a classroom?')
    await lead.keyboard.press('Enter')
    await stage(lead, 'Selection')
    await lead.getByRole('button', { name: 'Ask these again' }).click()
    await lead.getByLabel('Name of the version').fill('in classrooms')
    await lead.keyboard.press('Enter')
    await go(lead, 'Readers')
    await expect(lead.locator('.reading')).toContainText(/Asked again, because .*: \d works? of M\. Osei/)
    await expect(lead.locator('.reading')).toContainText(/Asked again, because .*: 8 works of A\. Quill/)
    await holds(lead, at('changed.zip'))
  })
})
