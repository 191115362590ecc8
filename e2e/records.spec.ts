import { chromium, expect, type Page } from '@playwright/test'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { accessible, openDemo, saved, test, hasSaid } from './help'

/** Works that no source of the demo has, each as one of five databases prints it. */
const TITLES = [
  'Murmurs under the skylight: A season of measurements',
  'Felt on chair legs: The quiet that follows',
  'Counting whispers: Pupils as observers of their room',
]
const RIS = TITLES.map(
  (t, n) =>
    `TY  - JOUR\nID  - r${n}\nTI  - ${t}\nAU  - Ebers, Lotte\nAU  - Quill, Anna\nPY  - 202${n}\nT2  - Rooms and Rows\nVL  - 4\nSP  - 1${n}\nEP  - 29\nDO  - 10.5555/rar.${n}\nAB  - Twelve rooms were measured.\nER  - \n`,
).join('\n')
const BIB = `@article{murmurs, title = {MURMURS UNDER THE SKYLIGHT: A SEASON OF MEASUREMENTS}, author = {Lotte Ebers and Anna Quill}, journal = {Rooms Rows}, year = 2020, volume = 4, pages = {10--29}}
@article{broken, title = {Never closed, year = 2018
@article{felt, title = {Felt on chair legs}, author = {Ebers, L.}, year = 2021}`
const CSL = JSON.stringify([
  {
    id: 'c1',
    type: 'article-journal',
    title: TITLES[2],
    DOI: '10.5555/RAR.2',
    author: [{ family: 'Ebers', given: 'L.' }],
    issued: { 'date-parts': [[2022]] },
  },
])
const CSV = Buffer.from(
  `Title;Authors;Year;Journal;Volume;Pages\nMurmurs under the skylight;Ebers L, Quill A;2020;Rooms and Rows;4;10-29\nCafé noise at the school gate;Übel R;2017;Rooms and Rows;1;3-9\n`,
  'latin1',
)
const TAGGED = [0, 1, 2]
  .map(
    (n) => `NUM 77${n}\nHED ${TITLES[n]}\nPER Ebers, L.\n    Quill, A.\nJHR 202${n}\nIDN 10.5555/rar.${n}\n`,
  )
  .join('\n')

async function bring(
  page: Page,
  name: string,
  content: string | Buffer,
  says: RegExp,
  source = 'notes of earlier years',
): Promise<void> {
  await page
    .getByLabel('File with records')
    .setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(content) })
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText('Its first records, as they are read')).toBeVisible()
  await expect(dialog).toContainText(says)
  await dialog.getByRole('combobox', { name: 'Source of the records' }).click()
  await page.locator('.ant-select-item-option').filter({ hasText: source }).click()
  await dialog.getByRole('button', { name: 'Bring the records in' }).click()
  await hasSaid(page, new RegExp(`records? of ${name.replace('.', '\\.')} came in`))
}

test('five files of five formats become one list: settled, looked through, grouped, held against each other and handed out', async ({
  page,
}) => {
  await openDemo(page, 'records')
  const head = page.locator('.records-head')
  const held = /(\d+) works from (\d+) records/
  await expect(head).toContainText(held)
  const [works, records] = held
    .exec((await head.textContent())!)!
    .slice(1)
    .map(Number)
  /** What the head says of so many more works and records, and so many pairs. */
  const told = (more: number, from: number, pairs: number): string =>
    `${works! + more} works from ${records! + from} records · ${pairs} pairs to settle`
  await test.step('each is recognised, looked at, and comes in beside what is there', async () => {
    await bring(page, 'one.ris', RIS, /Murmurs under the skylight/)
    await bring(page, 'two.bib', BIB, /broken/)
    await expect(page.getByText(/1 record of two\.bib could not be read/)).toBeVisible()
    await bring(page, 'three.json', CSL, /Counting whispers/)
    await bring(page, 'four.csv', CSV, /Café noise at the school gate/)
    // A source that is not in the plan yet is made on the way.
    await bring(page, 'five.txt', TAGGED, /Felt on chair legs/, 'new: A library catalogue')
    // Three works in many records, one more that is to be settled with one of them, and one that stands alone.
    await expect(head).toContainText(told(5, 11, 5))
    await saved(page)
  })
  await test.step('pairs are settled by keys, and one is taken back', async () => {
    await page.keyboard.press('t')
    await expect(page.getByRole('heading', { name: /One work, or two\?/ })).toContainText('pair 1 of 5')
    await accessible(page, 'To settle', '.records')
    await page.keyboard.press('ArrowDown')
    await expect(page.getByRole('heading', { name: /One work, or two\?/ })).toContainText('pair 2 of 5')
    await page.keyboard.press('1')
    await expect(head).toContainText(told(4, 11, 4))
    await page.keyboard.press('2')
    await expect(head).toContainText(told(4, 11, 3))
    await page.keyboard.press('z')
    await expect(head).toContainText('4 pairs to settle')
  })
  await test.step('what each source gave leads to its works', async () => {
    await page.keyboard.press('o')
    await expect(page.locator('.overlap-table')).toContainText('notes of earlier years')
    await accessible(page, 'What each source gave', '.records')
    await page.getByRole('button', { name: /found in notes of earlier years alone/ }).click()
    await expect(page.locator('.works-shown')).toContainText('found in notes of earlier years alone')
    await page.getByRole('button', { name: 'Show all works' }).click()
  })
  await test.step('words and values narrow the list; the view is kept as a filter', async () => {
    await page.keyboard.press('/')
    await page.keyboard.type('title: skylight')
    await expect(page.locator('.works-shown')).toContainText(`1 of ${works! + 4}`)
    await expect(page.locator('.work')).toContainText('Murmurs under the skylight: A season of measurements')
    await expect(page.locator('.work')).toContainText('4 records')
    await expect(page.getByRole('region', { name: 'Where the words stand' })).toContainText('skylight')
    await page.getByRole('button', { name: 'Keep this view as a filter' }).click()
    await page.getByLabel('Name of the filter').fill('Skylights')
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(page.getByRole('button', { name: 'Skylights', exact: true })).toBeVisible()
    // It is kept before the dialog that asked for its name has gone; keys are the dialog's until then.
    await expect(page.getByRole('dialog')).toBeHidden()
  })
  await test.step('the work goes into a group by key, and the group is a way to narrow', async () => {
    await page.locator('.works-list').focus()
    await page.keyboard.press('g')
    await page.getByLabel('Name of a new group').fill('For the talk')
    await page.keyboard.press('Enter')
    await expect(page.locator('.work')).toContainText('In “For the talk”')
    await page.getByRole('button', { name: 'Show all works' }).click()
    const group = page.getByRole('button', { name: 'For the talk', exact: true })
    await page.locator('.works-row').nth(2).dragTo(group)
    await group.click()
    await expect(page.locator('.works-shown')).toContainText(`2 of ${works! + 4}`)
    await page.locator('#works-find').fill('title: Murmurs')
    await expect(page.locator('.works-shown')).toContainText(`1 of ${works! + 4}`)
    await page.locator('.works-list').focus()
  })
  await test.step('it is handed out as a reference and as a file, and the journal says so', async () => {
    await page.keyboard.press('f')
    await expect(page.locator('.reference-entries li')).toHaveText([
      /^Ebers, L\., & Quill, A\. \(2020\)\. Murmurs under the skylight: A season of measurements\. Rooms and Rows, 4, 10–29\. https:\/\/doi\.org\/10\.5555\/rar\.0$/,
    ])
    await accessible(page, 'References and files', '.records')
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'BibTeX', exact: true }).click()
    const file = readFileSync(await (await download).path(), 'utf8')
    expect(file).toContain('pages = {10--29}')
    expect(file).toContain('abstract = {Twelve rooms were measured.}')
    await expect(page.locator('.references-files')).toContainText(
      '1 work (with title: Murmurs, narrowed by 1 value) · BibTeX',
    )
  })
  await test.step('the record that could not be read is mended, and takes its own place', async () => {
    const files = page.locator('.references-files')
    await expect(files).toContainText('Record 2 is not in it. Line 2: the value of "title" does not end.')
    await files.getByRole('button', { name: 'mend it' }).click()
    const text = page.getByLabel('Text of the record')
    await expect(text).toHaveValue('@article{broken, title = {Never closed, year = 2018')
    // A dialog stands still from its first frame on, so that no press goes beside what was pressed.
    expect(await page.evaluate(() => document.getAnimations().length)).toBe(0)
    await page.getByRole('button', { name: 'Read it again' }).click()
    await expect(page.getByRole('dialog')).toContainText('the value of "title" does not end')
    await text.fill('@article{broken, title = {Never closed: Doors in open schools}, year = 2018}')
    await page.getByRole('button', { name: 'Read it again' }).click()
    await expect(head).toContainText(told(5, 12, 4))
    await expect(files).toContainText(
      'two.bib: 3 records for notes of earlier years, read as BibTeX, 1 record of them mended',
    )
  })
  await test.step('all of it is there again after a reload', async () => {
    await saved(page)
    await page.reload()
    await expect(head).toContainText(told(5, 12, 4))
    await expect(page.getByRole('button', { name: 'Skylights', exact: true })).toBeVisible()
  })
})

test('a browser killed in the middle of reading 50,000 records has all of them or none, and still works', async ({
  baseURL,
}, info) => {
  const profile = mkdtempSync(path.join(tmpdir(), 'luvren-read-'))
  const file = path.join(profile, 'many.ris')
  writeFileSync(
    file,
    Array.from(
      { length: 50_000 },
      (_, n) =>
        `TY  - JOUR\nTI  - Number ${n} of many notes on rooms\nPY  - 2019\nSP  - ${n}\nAB  - ${'Rooms were measured. '.repeat(8)}\nER  - \n`,
    ).join(''),
  )
  const launch = () =>
    chromium.launchPersistentContext(path.join(profile, 'browser'), {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      args: info.project.use.launchOptions?.args ?? ['--no-sandbox'],
      baseURL: baseURL!,
    })
  try {
    let context = await launch()
    let page = context.pages()[0] ?? (await context.newPage())
    await openDemo(page, 'records')
    await saved(page)
    const url = page.url()
    const held = /\d+ works from \d+ records/
    await expect(page.locator('.records-head')).toContainText(held)
    const [before] = held.exec((await page.locator('.records-head').textContent())!)!
    await page.getByLabel('File with records').setInputFiles(file)
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('button', { name: 'Bring the records in' }).click()
    await expect(dialog.getByRole('button', { name: /read|compared/ })).toBeVisible()
    const session = await context.browser()?.newBrowserCDPSession()
    await (session?.send('Browser.crash') ?? Promise.resolve()).catch(() => undefined)
    await context.close().catch(() => undefined)

    context = await launch()
    page = context.pages()[0] ?? (await context.newPage())
    await page.goto(url)
    await expect(page.locator('.records-head')).toContainText(before)
    await page.keyboard.press('t')
    await expect(page.getByRole('heading', { name: /One work, or two\?/ })).toBeVisible()
    await page.keyboard.press('1')
    await expect(page.locator('.records-head')).toContainText('3 pairs to settle')
    await saved(page)
    await context.close()
  } finally {
    rmSync(profile, { recursive: true, force: true })
  }
})
