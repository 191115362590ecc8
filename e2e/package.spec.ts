// What is handed on: checked before, without what is left out, and two copies that parted.
import { readFileSync, writeFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import { strFromU8, unzipSync } from 'fflate'
import { accessible, nameReader, openDemo, stage, twoBrowsers, test, hasSaid } from './help'

const dialog = (page: Page) => page.getByRole('dialog', { name: 'Hand the review on' })

async function save(page: Page, path: string): Promise<void> {
  const download = page.waitForEvent('download')
  await dialog(page).getByRole('button', { name: 'Save it' }).click()
  writeFileSync(path, readFileSync(await (await download).path()))
  await expect(dialog(page)).toBeHidden()
}

test('a review is checked and handed on without names: nobody is named in any of its files', async ({
  page,
}, info) => {
  await openDemo(page, 'methods')
  await page.keyboard.press('p')
  await dialog(page)
    .getByRole('checkbox', { name: /^names/ })
    .check()
  await dialog(page).getByRole('button', { name: 'Check it first' }).click()
  await expect(dialog(page).getByText('No fault was found. All 10 checks were made.')).toBeVisible({
    timeout: 180_000,
  })
  await accessible(page, 'Hand the review on', '.ant-modal')
  const file = info.outputPath('nameless.zip')
  await save(page, file)
  const files = unzipSync(new Uint8Array(readFileSync(file)))
  expect(strFromU8(files['data/index.html']!)).toContain('Left out of this package: the names of people.')
  for (const [name, bytes] of Object.entries(files))
    if (/\.(?:html|md|tex|csv|json|jsonl|txt)$/.test(name))
      expect(strFromU8(bytes), name).not.toMatch(/M\. Osei|L\. Prins|H\. Marrow/)
})

test('two people went on with copies of one review; what one ruled is taken in by the other', async ({
  browser,
}, info) => {
  // A long way for two browsers, each of which makes and compares whole packages.
  const [one, other] = await twoBrowsers(browser)
  const rule = async (page: Page, name: string, works: number): Promise<void> => {
    await openDemo(page)
    await page.goto('/review/selection?id=demo')
    await page.getByRole('heading', { name: 'Broad pass' }).waitFor()
    await page.locator('#stage').focus()
    await page.keyboard.press('ArrowRight')
    await nameReader(page, name)
    for (let n = 1; n < works; n++) await page.keyboard.press('ArrowRight')
    await expect(page.locator('[data-state="saved"]')).toBeVisible()
  }
  await rule(one, 'A. Quill', 2)
  await rule(other, 'S. Ebers', 3)
  await stage(other, 'Question')
  const note = (page: Page) => page.getByLabel('Why concept A is not asked for')
  await note(other).fill('few authors name the room')
  await expect(other.locator('[data-state="saved"]')).toBeVisible()
  await stage(other, 'Methods')
  await other.keyboard.press('p')
  const file = info.outputPath('other.zip')
  await save(other, file)

  await one.goto('/')
  await one.locator('input[type=file]').setInputFiles(file)
  const parted = one.getByRole('dialog', { name: 'Two histories of one review' })
  await expect(parted).toContainText(/They parted after \d+ common entries/, { timeout: 180_000 })
  await expect(parted.getByRole('region', { name: 'Rulings' })).toContainText('S. Ebers')
  await expect(parted).toContainText('3 deeds of S. Ebers')
  await accessible(one, 'Two histories of one review', '.ant-modal')
  await parted.getByRole('button', { name: 'Take in what others said there' }).click()
  await hasSaid(one, 'Taken in: 3 new rulings.')
  await one.goto('/review/selection?id=demo')
  await one.getByRole('tab', { name: /^Readers/ }).click()
  await expect(one.locator('.agreements')).toContainText('S. Ebers')

  // What the other changed in the plan is taken over matter by matter.
  await one.goto('/')
  await one.locator('input[type=file]').setInputFiles(file)
  const matters = parted.getByRole('region', { name: 'What was changed there in the plan' })
  await matters.getByRole('checkbox', { name: /few authors name the room.*here: A, Setting/ }).check()
  await matters.getByRole('button', { name: 'Take over 1 matter' }).click()
  await hasSaid(one, '1 matter taken over; undo takes them back together.')
  await expect(note(one)).toHaveValue('few authors name the room')

  // Kept both, they lie one beside the other, and each is opened as it is.
  await one.goto('/')
  await one.locator('input[type=file]').setInputFiles(file)
  await parted.getByRole('button', { name: 'Keep both' }).click()
  await expect(one).toHaveURL(/\/review\/question\?id=demo~2$/, { timeout: 180_000 })
  await expect(one.locator('.question-text')).toBeVisible()
  await stage(one, 'Selection')
  await expect(one.locator('.pass-head')).toBeVisible()
  await one.goto('/')
  await expect(one.locator('.shelf-row')).toHaveCount(2)
  await expect(one.getByText('copy 2, with a history of its own')).toBeVisible()
})

test('another reader is handed chosen works without rulings, is told who asks, and begins with these', async ({
  browser,
}, info) => {
  const [one, other] = await twoBrowsers(browser)
  await openDemo(one, 'methods')
  await one.keyboard.press('p')
  await dialog(one)
    .getByRole('checkbox', { name: /^rulings/ })
    .check()
  await dialog(one).getByLabel('Which works another reader reads').click({ force: true })
  await one.locator('.ant-select-item-option').filter({ hasText: 'Found once, since 2022' }).click()
  const count = dialog(one).locator('.hand-on-read b')
  await expect(count).toHaveText(/^\d+ works$/)
  const asked = Number.parseInt(await count.innerText(), 10)
  const download = one.waitForEvent('download', { timeout: 180_000 })
  await dialog(one).getByRole('button', { name: 'Save it' }).click()
  await nameReader(one, 'A. Quill')
  const file = info.outputPath('chosen.zip')
  writeFileSync(file, readFileSync(await (await download).path()))

  await other.goto('/')
  await other.locator('input[type=file]').setInputFiles(file)
  await other.waitForURL(/review/)
  await nameReader(other, 'S. Ebers')
  // It opens at what is to be read: there is no other stage, and no number but that of the works asked for.
  await expect(other).toHaveURL(/\/review\/selection/)
  await expect(other.getByText(/^A\. Quill asks you to read/)).toContainText(`${asked} works`)
  await expect(other.locator('.pass-head')).toContainText(`1 of ${asked}`)
  await expect(other.getByRole('navigation', { name: 'Stages' })).toHaveCount(0)
  await expect(other.getByRole('complementary')).toHaveCount(0)
  await expect(other.getByRole('tab')).toHaveText([/^Broad pass/, /^Readers/])
  await accessible(other, 'a copy for reading', '.selecting')
  await other.keyboard.press('k')
  await other.getByRole('combobox', { name: 'Search the actions' }).fill('go to')
  await expect(other.getByText('Nothing here is called that.')).toBeVisible()
  await expect(other.locator('.trouble')).toHaveCount(0)
})

test('a package that somebody was given is checked before it is opened, and nothing of it is stored', async ({
  page,
}, info) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Check a package' }).click()
  const check = page.getByRole('dialog', { name: 'Check a package' })
  await check.locator('input[type=file]').setInputFiles('public/data/demo.luvren.zip')
  await check.getByRole('textbox').fill('no digest of it')
  await check.getByRole('button', { name: 'Check it' }).click()
  await expect(check.getByText('1 of 11 checks found a fault.')).toBeVisible({ timeout: 180_000 })
  await expect(check.getByText('No entry of this journal has this digest')).toBeVisible()
  await accessible(page, 'Check a package', '.ant-modal')
  await expect(page.getByText('Your reviews will stand here')).toBeVisible()
  const report = page.waitForEvent('download')
  await check.getByRole('button', { name: 'Save the report' }).click()
  expect(readFileSync(await (await report).path(), 'utf8')).toContain('FAULT        Digest')

  // One bit in the middle of the file is another.
  const bytes = readFileSync('public/data/demo.luvren.zip')
  bytes[Math.floor(bytes.length / 2)]! ^= 1
  const changed = info.outputPath('changed.zip')
  writeFileSync(changed, bytes)
  await check.locator('input[type=file]').setInputFiles(changed)
  await expect(check.getByText('checks found a fault')).toBeHidden()
  await check.getByRole('button', { name: 'Check it' }).click()
  await expect(check.getByText('It cannot be opened, so nothing else was checked.')).toBeVisible({
    timeout: 120_000,
  })
  await check.locator('input[type=file]').setInputFiles('public/data/demo.luvren.zip')
  await check.getByRole('button', { name: 'Open it' }).click()
  await page.waitForURL(/review\/question\?id=demo/, { timeout: 180_000 })
})
