import { readFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import {
  accessible,
  addDatabase,
  beginReview,
  flowNumbers,
  nameReader,
  openDemo,
  saved,
  stage,
  typeWords,
  undoPastRuns,
  test,
} from './help'

const hits = (page: Page, line: number) => page.locator(`[data-line="${line}"] .hits`)
const count = async (page: Page, line: number): Promise<number> =>
  Number((await hits(page, line).innerText()).replace(/\D/g, ''))
const run = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: /Run \d+ lines?/ }).click()
  await expect(page.getByRole('button', { name: /All run/ })).toBeVisible()
}

test('one afternoon: an item missed and found, a NOT mended, a step taken, and the search run again half a year later', async ({
  page,
}) => {
  await beginReview(page)
  await addDatabase(page, 'Fernhollow')
  await page.keyboard.press('i')
  await page.getByLabel('Known items, pasted').fill('10.5555/tsr.2025.0557')
  await page.getByRole('button', { name: /Take 1 item/ }).click()
  await stage(page, 'Terms')
  await typeWords(page, ['noise', 'reading'])
  await stage(page, 'Searches')

  await test.step('the strategy is run as the database stood in March', async () => {
    await page.getByLabel('Release that is searched').click()
    await page.locator('.ant-select-item-option', { hasText: 'March' }).click()
    await page.keyboard.press('d')
    await expect(page.locator('[data-line="3"]')).toBeVisible()
    await run(page)
    await expect(hits(page, 3)).toHaveText('136')
  })
  await test.step('the known item is missed; its record says another word; with it, it is found', async () => {
    await page.keyboard.press('6')
    const board = page.getByRole('region', { name: 'Known items against lines' })
    await expect(board).toContainText('finds 0 of 1 known item')
    await expect(board).toContainText('Its record says other words for A Noise (line 1).')
    await expect(board.getByRole('button', { name: /^phonological/i }).first()).toBeVisible()
    await page.keyboard.press('t')
    await expect(board.getByRole('button', { name: /^Phonological awareness/ })).toBeHidden()
    await board.getByRole('button', { name: '"phonological awareness"' }).click()
    await page.keyboard.press('4')
    await page
      .getByRole('region', { name: 'Plan and lines' })
      .getByRole('button', { name: 'put it in' })
      .click()
    await run(page)
    await page.keyboard.press('6')
    await expect(board).toContainText('finds 1 of 1 known item')
  })
  await test.step('a NOT that throws the item away is remarked and taken out again', async () => {
    await page.locator('[data-line="2"]').dblclick()
    await page.locator('.cm-content').press('Control+End')
    await page.keyboard.type(' NOT text: rhymes')
    await page.keyboard.press('Enter')
    await page.keyboard.press('5')
    const advice = page.getByRole('region', { name: 'Advice' })
    await expect(
      advice.getByText(/throws away .* records? that all the rest asks for; 1 of them is wanted/),
    ).toBeVisible()
    await advice.getByRole('button', { name: /^Leave NOT .* out/ }).click()
    await expect(
      advice.getByText(/throws away .* records? that all the rest asks for; 1 of them is wanted/),
    ).toBeHidden()
    // What it asks now was run before.
    await expect(page.getByRole('button', { name: /All run/ })).toBeVisible()
  })
  await test.step('a step to fewer gives the count that was said beforehand', async () => {
    await page.keyboard.press('5')
    const steps = page.getByRole('region', { name: 'Fewer or more' })
    const step = steps.getByRole('button', { name: /words of B, Reading, in the title only/ })
    const said = Number((await step.locator('b').innerText()).replace(/\D/g, ''))
    expect(said).toBeLessThan(await count(page, 3))
    await step.click()
    await expect(page.locator('[data-line="2"]')).toContainText('title: reading')
    await run(page)
    expect(await count(page, 3)).toBe(said)
    await undoPastRuns(page)
    await expect(page.locator('[data-line="2"]')).toContainText('text: reading')
  })
  await test.step('half a year later the newer release has new records and misses others', async () => {
    await page.keyboard.press('0')
    const again = page.getByRole('region', { name: 'Run again' })
    const before = await count(page, 3)
    await again.getByRole('button', { name: /Run all again in the release of September/ }).click()
    await expect(again.getByText(/New: added to the database since/)).toBeVisible()
    await expect(again.getByText(/Gone: withdrawn from the database/)).toBeVisible()
    const figure = (await again.getByRole('group', { name: /in both/ }).getAttribute('aria-label')) ?? ''
    const [fresh = 0, gone = 0, both = 0] = (figure.match(/\d+/g) ?? []).map(Number)
    expect(both + gone).toBe(before)
    expect(both + fresh).toBe(await count(page, 3))
    expect(fresh).toBeGreaterThan(0)
    expect(gone).toBeGreaterThan(0)
  })
  await test.step('a reminder goes into a calendar file', async () => {
    const again = page.getByRole('region', { name: 'Run again' })
    await again.getByLabel('How often to run it again').click()
    await page.locator('.ant-select-item-option', { hasText: 'half year' }).click()
    await expect(again.getByText(/^Next on/)).toBeVisible()
    const download = page.waitForEvent('download')
    await again.getByRole('button', { name: /Save the reminder for a calendar/ }).click()
    const file = await download
    expect(file.suggestedFilename()).toMatch(/\.ics$/)
    const text = readFileSync(await file.path(), 'utf8')
    expect(text).toContain('BEGIN:VEVENT\r\n')
    expect(text).toContain('RRULE:FREQ=MONTHLY;INTERVAL=6')
  })
  await saved(page)
})

const HISTORY = `Line\tStatement\tHits\tRun on
6\tline 5 and lang:(English or German)\t61\t2026-03-12 14:31
5\tline 4 and year:2016-2026\t97\t2026-03-12 14:21
4\tline 1 and line 3\t318\t2026-03-12 14:19
3\ttopic:(listening or “reading comprehension”)\t9 120\t2026-03-12 14:16
2\ttopic:(listening or\tabout 9000\t2026-03-12 14:15
1\ttopic:(noise or reverberat+)\t4 812\t2026-03-12 14:02
Page 1 of 1`

/** Codes stand before in a word of their own, lines are numbered in brackets, and there is no truncation. */
const WEIR = {
  id: 'weir',
  name: 'Weir Street Papers',
  kind: 'other',
  operators: { and: ['AND'], or: ['OR'], not: ['BUT NOT'], binding: [['not'], ['and'], ['or']] },
  sideBySide: 'phrase',
  quotes: { open: '"', close: '"' },
  fields: [{ of: ['title', 'abstract', 'keywords'], form: 'words({expr})' }],
  any: ['title', 'abstract', 'keywords'],
  lines: { reference: 'S{n}', kept: 'session' },
}
const WEIR_HISTORY = `No.;Query;Results;Date
1;words(noise OR din);1 204;12.03.2026
2;words(reading OR listening);3 310;12.03.2026
3;S1 AND S2;4;13.03.2026
4;words(otters);51;13.03.2026`
const doiOf = (title: string): string => `10.5555/${title.toLowerCase().replaceAll(' ', '-')}`
const WEIR_EXPORT = `Title,Year,Authors,DOI
Noise and reading,2020,"Larch, B.",${doiOf('Noise and reading')}
Rooms at noon,2020,"Alder, C.",${doiOf('Rooms at noon')}
Corridors and spelling,2018,"Alder, C.",${doiOf('Corridors and spelling')}
Ventilation and reading aloud,2021,"Moss, D.",${doiOf('Ventilation and reading aloud')}
`

test('a database outside: described in a form, its history taken over, a run logged, its exports held against each other', async ({
  page,
}) => {
  await beginReview(page)
  await test.step('it is described and tried out', async () => {
    await page.getByRole('button', { name: /^Add a database/ }).click()
    await page.getByRole('menuitem', { name: /described here/ }).click()
    const form = page.getByRole('dialog')
    await form.getByLabel('name', { exact: true }).fill('Lantern Index')
    await form.getByLabel('any ending').fill('+')
    await form.getByLabel('title, abstract and keywords', { exact: true }).fill('topic:')
    await expect(form.getByRole('button', { name: '1 part to put right' })).toBeDisabled()
    await form.getByLabel('title, abstract and keywords', { exact: true }).fill('topic:({expr})')
    await form.getByLabel('a line by its number').fill('line {n}')
    await form.getByText('Limits', { exact: true }).click()
    await form.getByLabel('years: form').fill('year:{from}-{to}')
    await form.getByLabel('language: form').fill('lang:({values})')
    await form.getByText('How far it goes', { exact: true }).click()
    await form.getByLabel('most records exported').fill('2')
    await form.getByLabel('A query in plain notation').fill('text: (noise OR reverberat*) AND #3')
    await expect(form.getByText('topic:(noise or reverberat+) and line 3')).toBeVisible()
    await expect(form.getByText('The same: what is written there means what was meant.')).toBeVisible()
    await accessible(page, 'the description', '[role=dialog]')
    await form.getByLabel('A query of the database').fill('line 3 and year:2016-2026')
    await expect(form.getByText('#3 + 2016–2026')).toBeVisible()
    const download = page.waitForEvent('download')
    await form.getByRole('button', { name: 'Save as a file to share' }).click()
    const shared = JSON.parse(readFileSync(await (await download).path(), 'utf8')) as { id: string }
    expect(shared.id).toBe('lantern-index')
    await form.getByRole('button', { name: 'Keep the description' }).click()
    await expect(form).toBeHidden()
  })
  await stage(page, 'Searches')
  await test.step('its history is recognised, corrected, folded and taken over', async () => {
    await page.keyboard.press('h')
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('The history as it was copied').fill(HISTORY)
    await expect(
      dialog.getByText(/6 searches recognised in columns parted by tabs, the newest first/),
    ).toBeVisible()
    await expect(dialog.getByText(/1 search has no exact count/)).toBeVisible()
    await expect(dialog.getByLabel('Search 2 in plain notation')).toHaveValue('')
    await accessible(page, 'the history', '[role=dialog]')
    await dialog.getByLabel('Search 2 in plain notation').fill('text: listening')
    await dialog.getByLabel('Hits of search 2').fill('9000')
    await dialog.getByRole('checkbox', { name: 'Fold the 2 lines that only limit another into it' }).check()
    await dialog.getByRole('button', { name: 'Take over 4 lines' }).click()
    await expect(dialog).toBeHidden()
    await expect(page.locator('[data-line="4"]')).toContainText(
      '#1 AND #3 + years 2016–2026 + English or German',
    )
    await expect(hits(page, 4)).toHaveText('61')
    await expect(hits(page, 2)).toHaveText('9,000')
  })
  await test.step('remarks are made from the lines alone', async () => {
    await page.keyboard.press('5')
    await expect(page.getByText('No line uses line 2.')).toBeVisible()
  })
  await test.step('a search without text is logged in words, with a note kept beside it', async () => {
    await page.keyboard.press('w')
    await page.keyboard.type('browsed the last six issues of Rooms and Pupils')
    await page.keyboard.press('Enter')
    await page.keyboard.press('1')
    await page.getByLabel('Hits of line 5, as shown there').fill('3')
    await page.getByLabel('Platform it was run on').fill('the reading room')
    await page.getByRole('button', { name: 'Log the run' }).click()
    await expect(hits(page, 5)).toHaveText('3')
    await page.getByLabel('Evidence for line 5').setInputFiles({
      name: 'shelf.txt',
      mimeType: 'text/plain',
      buffer: Buffer.from('seen on the shelf'),
    })
    await expect(page.getByRole('button', { name: 'shelf.txt', exact: true })).toBeVisible()
    await expect(page.getByRole('complementary', { name: 'What this writes' })).toContainText(
      /Without a query we browsed the last six issues of Rooms and Pupils \(on \d+ \w+ \d{4}\); this gave 3\./,
    )
  })
  await test.step('an export is short of the hits; the next one shows what is new and what is gone', async () => {
    await page.locator('[data-line="4"]').click()
    const bring = (titles: string[]) =>
      page.getByLabel('Export file').setInputFiles({
        name: 'export.ris',
        mimeType: 'text/plain',
        buffer: Buffer.from(
          titles.map((t) => `TY  - JOUR\nTI  - ${t}\nPY  - 2020\nDO  - ${doiOf(t)}\nER  - \n`).join(''),
        ),
      })
    await bring(['Noise and reading', 'Rooms and listening'])
    await expect(
      page.getByText(/holds 2 records, 59 fewer than the 61 hits logged: Lantern Index hands out at most 2/),
    ).toBeVisible()
    await page.getByLabel('Another part of the export').setInputFiles({
      name: 'part.ris',
      mimeType: 'text/plain',
      buffer: Buffer.from('TY  - JOUR\nTI  - Din and listening\nPY  - 2019\nER  - \n'),
    })
    await expect(page.getByText(/The 2 parts together hold 3 records, 58 fewer than the 61/)).toBeVisible()
    await bring(['Noise and reading', 'Hum and listening', 'Babble and listening'])
    await page.keyboard.press('0')
    const again = page.getByRole('region', { name: 'Run again' })
    await expect(again.getByRole('group', { name: /in both/ })).toHaveAttribute(
      'aria-label',
      '2 new, 2 gone, 1 in both',
    )
    await expect(again.getByText('Rooms and listening')).toBeVisible()
  })
  await saved(page)
  await page.reload()
  await expect(page.locator('[data-line="5"]')).toContainText('browsed the last six issues')
  await test.step('what it gave is read, and the flow adds up', async () => {
    await stage(page, 'Selection')
    const head = page.locator('.pass-head')
    await expect(head).toContainText('1 of 3')
    await page.keyboard.press('ArrowRight')
    await nameReader(page, 'R. Ahola')
    await page.keyboard.press('ArrowRight')
    await expect(head).toContainText('3 of 3')
    await page.keyboard.press('ArrowDown')
    await page.getByRole('tab', { name: /^Flow/ }).click()
    expect(await flowNumbers(page, 0)).toEqual({
      'records identified': 3,
      'titles and abstracts read': 3,
      'left open': 1,
      'full texts to be sought': 2,
      'not looked for yet': 2,
    })
    await expect(page.locator('.flow-column').first()).toContainText('3 from Lantern Index')
  })
  await test.step('a second one comes as a file, with a history in another layout and an export in another form', async () => {
    await stage(page, 'Question')
    await page.getByLabel('Description of a database').setInputFiles({
      name: 'weir.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(WEIR)),
    })
    await page.getByLabel('Platform of Weir Street Papers').fill('the search of the society')
    await page.getByLabel('Coverage of Weir Street Papers').fill('1971 to today')
    await page.getByLabel('Coverage of Weir Street Papers').blur()
    await stage(page, 'Searches')
    await page.getByRole('tab', { name: /Weir Street Papers/ }).click()
    await page.keyboard.press('h')
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('The history as it was copied').fill(WEIR_HISTORY)
    await expect(dialog.getByText(/4 searches recognised/)).toBeVisible()
    await dialog.getByRole('button', { name: 'Take over 4 lines' }).click()
    await expect(dialog).toBeHidden()
    await expect(hits(page, 3)).toHaveText('4')
    // What was tried behind it is not what was found.
    await expect(page.getByText('Line 4 is the last and says what this search found.')).toBeVisible()
    await page.getByRole('button', { name: 'Line 3 counts' }).click()
    await expect(page.locator('[data-line="4"]')).toContainText('tried, not used')
    await expect(page.getByLabel('In Table 1')).toContainText(/Concepts joined\s*4/)
    await page.locator('[data-line="3"]').click()
    await page.getByLabel('Export file').setInputFiles({
      name: 'weir.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(WEIR_EXPORT),
    })
    await expect(dialog.getByText('Ventilation and reading aloud', { exact: true })).toBeVisible()
    await dialog.getByRole('button', { name: 'Bring the records in' }).click()
    await expect(page.getByLabel('In Table 1')).toContainText(/Brought in\s*4/)
    await saved(page)
  })
  await test.step('works that both hold are read once, what is new is read on, and the flow adds up', async () => {
    await stage(page, 'Selection')
    const head = page.locator('.pass-head')
    await expect(head).toContainText('of 6')
    await expect(head).toContainText('found in Weir Street Papers')
    for (let n = 0; n < 3; n++) await page.keyboard.press('ArrowLeft')
    await page.getByRole('tab', { name: /^Flow/ }).click()
    expect(await flowNumbers(page, 0)).toEqual({
      'records identified': 7,
      'described a work already found': 1,
      'titles and abstracts read': 6,
      'set aside': 3,
      'left open': 1,
      'full texts to be sought': 2,
      'not looked for yet': 2,
    })
  })
  await test.step('the section tells each database by what was done there', async () => {
    await stage(page, 'Methods')
    await expect(page.getByRole('textbox', { name: 'Where and how we looked' })).toContainText(
      'We searched two databases (Table 1): Lantern Index and Weir Street Papers. Both were searched between 12 and 13 March 2026.',
    )
    const terms = page.getByRole('textbox', { name: 'With which terms' })
    await expect(terms).toContainText('(on ')
    await expect(terms).toContainText(
      'In Lantern Index the search was limited to work published from 2016 to 2026 and work in English or German.',
    )
    await expect(terms).not.toContainText('otters')
    await expect(page.getByRole('textbox', { name: 'How we screened' })).toContainText(
      'In all, 7 records came in; 1 described a work already found, and 6 works remained',
    )
  })
})

test('the demo review was searched twice: what came since is listed', async ({ page }) => {
  await openDemo(page, 'searches')
  await page.keyboard.press('0')
  const again = page.getByRole('region', { name: 'Run again' })
  await expect(again.getByText(/April 2026, release of March 2026, \d+ hits/)).toBeVisible()
  await expect(again.getByText('New: added to the database since')).toBeVisible()
  const [fresh = 0, gone = 0, both = 0] = (
    (await again.getByRole('group', { name: /in both/ }).getAttribute('aria-label')) ?? ''
  )
    .match(/\d+/g)!
    .map(Number)
  expect(fresh + both).toBe(await count(page, 13))
  expect(gone + both).toBe(174)
})
