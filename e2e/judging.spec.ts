import { expect } from '@playwright/test'
import { accessible, beginReview, openDemo, saved, stage, typeWords, test } from './help'

test('a known item is missed, the reason is seen, a term is added, and the item is found', async ({
  page,
}) => {
  await openDemo(page, 'searches')
  await page.keyboard.press('6')
  const board = page.getByRole('region', { name: 'Known items against lines' })
  const found = async (): Promise<number> => Number(/finds (\d+) of/.exec(await board.innerText())?.[1])
  await expect(board).toContainText(/finds \d+ of 9 known items/)
  const row = board.getByRole('row', { name: /three-year study/ })
  await expect(row.getByRole('cell', { name: '✕' }).first()).toBeVisible()
  await row.getByRole('button').click()
  await expect(board.getByText(/other words for C Listening and reading \(lines 7, 8\)/)).toBeVisible()
  const before = await found()
  await board.getByRole('button', { name: 'Reading comprehension heading' }).click()
  // The term is planned now and in no line yet: one press joins it to the line of its concept.
  await page.keyboard.press('4')
  await page
    .getByRole('region', { name: 'Plan and lines' })
    .getByRole('paragraph')
    .filter({ hasText: 'Reading comprehension' })
    .getByRole('button', { name: 'put it in' })
    .click()
  await expect(page.locator('[data-line="8"] [title*="Reading comprehension"]')).toBeVisible()
  await page.keyboard.press('r')
  await expect(page.getByRole('button', { name: /All run/ })).toBeVisible()
  await page.keyboard.press('6')
  await expect.poll(found).toBeGreaterThan(before)
})

test('a NOT that loses records is remarked and mended; another remark is left with a reason', async ({
  page,
}) => {
  await openDemo(page, 'searches')
  await page.locator('[data-line="4"]').dblclick()
  await page.locator('.cm-content').click()
  await page.keyboard.press('Control+Home')
  await page.keyboard.type('(')
  await page.keyboard.press('Control+End')
  await page.keyboard.type(') NOT text: reading')
  await page.keyboard.press('Enter')
  await page.keyboard.press('7')
  await expect(page.getByText(/NOT text: reading in line 4 throws away \d+/)).toBeVisible()
  await page.keyboard.press('5')
  const advice = page.getByRole('region', { name: 'Advice' })
  await expect(
    advice.getByText(/throws away .* records? that all the rest asks for; \d+ of them (is|are) wanted/),
  ).toBeVisible()
  await advice.getByRole('button', { name: /^Leave NOT .* out/ }).click()
  await expect(page.locator('[data-line="4"]')).not.toContainText('NOT')
  await expect(
    advice.getByText(/throws away .* records? that all the rest asks for; \d+ of them (is|are) wanted/),
  ).toBeHidden()

  const remark = advice.locator('.remark', { hasText: 'Reading comprehension' })
  await remark.getByRole('button', { name: 'leave it, because …' }).click()
  await page.keyboard.type('feelings are not asked for')
  await page.keyboard.press('Enter')
  await expect(advice.getByText('Left as it is')).toBeVisible()
  await expect(advice.getByText('feelings are not asked for')).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(page.locator('.sheet-row').first()).toBeVisible()
  await page.keyboard.press('5')
  await expect(page.getByText('feelings are not asked for')).toBeVisible()
})

test('a database outside is described by a file, its runs are logged by hand, and a short export is noticed', async ({
  page,
}) => {
  const profile = {
    id: 'lantern',
    name: 'Lantern Index',
    kind: 'index with vocabulary',
    operators: { and: ['and'], or: ['or'], not: ['except'], binding: [['not'], ['and'], ['or']] },
    sideBySide: 'all',
    quotes: { open: '"', close: '"' },
    truncation: { any: '+' },
    fields: [{ of: ['title', 'abstract', 'keywords'], form: 'topic:({expr})' }],
    any: ['title', 'abstract', 'keywords'],
    headings: { plain: 'subj:"{label}"', below: 'subj:"{label}/all"' },
    lines: { reference: 'line {n}', kept: 'session' },
    caps: { exported: 1 },
  }
  await beginReview(page)
  const file = page.getByLabel('Description of a database')
  await file.setInputFiles({
    name: 'broken.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"id": "X"}'),
  })
  await expect(page.getByText('This description cannot be used yet').last()).toBeVisible()
  await page.getByRole('button', { name: 'OK', exact: true }).click()
  await file.setInputFiles({
    name: 'lantern.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(profile)),
  })
  await page.getByLabel('Platform of Lantern Index').fill('the reading room')
  await page.getByLabel('Coverage of Lantern Index').fill('1990 to 2026')
  await page.getByLabel('Coverage of Lantern Index').blur()
  await stage(page, 'Terms')
  await typeWords(page, ['noise', 'read*'])
  await test.step('what a page of its thesaurus shows is noted, taken, and looked up from then on', async () => {
    for (const key of ['ArrowUp', 'ArrowUp', 'ArrowRight']) await page.keyboard.press(key)
    const seen = page.getByRole('region', { name: 'Headings of Lantern Index' })
    const field = seen.getByLabel('What the page of a heading shows')
    await field.fill('Room sound\nfound in 300 records')
    await expect(seen.getByText(/No part of a heading is named in this/)).toBeVisible()
    await field.fill('Room sound\nScope note: Sound in rooms.\nNarrower terms\nRoom noise (31)\nEchoes')
    await expect(seen.getByText('Narrower: Room noise and Echoes')).toBeVisible()
    await accessible(page, 'headings that were seen', '.headings-seen')
    await seen.getByRole('button', { name: 'Note “Room sound” and take it' }).click()
    await expect(seen.getByText(/Noted: Room sound \(/)).toBeVisible()
    await seen.getByLabel('Looked up and not found').fill('school bells')
    await page.keyboard.press('Enter')
    await expect(seen.getByText(/Not there: “school bells”/)).toBeVisible()
    await page.getByLabel('Look up a heading').fill('echo')
    await expect(page.getByRole('heading', { name: 'Take “Echoes”' })).toBeVisible()
  })
  await stage(page, 'Searches')
  await page.getByRole('button', { name: /Draft from the plan/ }).click()
  await page.locator('[data-line="2"]').click()
  await expect(page.getByText('subj:"Room sound"')).toBeVisible()
  await page.locator('[data-line="1"]').click()
  await page.getByLabel('Hits of line 1, as shown there').fill('120')
  await page.getByRole('button', { name: 'Log the run' }).click()
  await expect(page.locator('[data-line="1"] .hits')).toHaveText('120')
  await test.step('a sheet leads through the other lines: copied, run there, the count typed in', async () => {
    await page.context().grantPermissions(['clipboard-write'])
    await page.keyboard.press('r')
    const sheet = page.getByRole('dialog', { name: 'Lantern Index, line by line' })
    await expect(sheet.getByText('Line 2; 4 lines still to be run')).toBeVisible()
    await accessible(page, 'a run sheet', '.run-sheet')
    for (const [line, hits] of [
      [2, '80'],
      [3, '180'],
      [4, '80'],
      [5, '2'],
    ] as const) {
      await sheet.getByLabel(`Hits of line ${line} there`).fill(hits)
      await page.keyboard.press('Enter')
    }
    await sheet.getByRole('button', { name: 'Done' }).click()
    await expect(page.locator('[data-line="5"] .hits')).toHaveText('2')
  })
  await page.getByLabel('By what the records that are handed out are ranked').fill('relevance')
  await page.getByLabel('Export file').setInputFiles({
    name: 'export.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Title,Year,Descriptors\nNoise and reading,2020,Hall noise; Echoes\n'),
  })
  await page.getByRole('button', { name: 'Bring the records in' }).click()
  await expect(
    page.getByText(/holds 1 record, 1 fewer than the 2 hits logged: Lantern Index hands out at most 1/),
  ).toBeVisible()
  await expect(page.getByLabel('In Table 1')).toContainText(/Concepts joined\s*2/)
  await test.step('what its records say of its thesaurus is offered, and noted as seen there', async () => {
    await stage(page, 'Terms')
    await page.keyboard.press('ArrowRight')
    const seen = page.getByRole('region', { name: 'Headings of Lantern Index' })
    await seen.getByRole('button', { name: 'Hall noise 1 record' }).click()
    await expect(seen.getByText(/Hall noise \(seen in records, /)).toBeVisible()
    await expect(seen.getByRole('button', { name: /Hall noise/ })).toHaveCount(0)
    await accessible(page, 'headings that records have', '.headings-seen')
  })
  await test.step('a search of before the record, its strategy lost, is taken in and told as such', async () => {
    await stage(page, 'Question')
    await file.setInputFiles({
      name: 'oast.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify({ ...profile, id: 'oast', name: 'Oast Index' })),
    })
    await expect(page.getByLabel('Platform of Oast Index')).toBeVisible()
    await stage(page, 'Searches')
    await page.getByRole('tab', { name: /Oast Index/ }).click()
    await page.getByRole('button', { name: 'day and count' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('Day on which it was searched').fill('18 Nov 2024')
    await page.keyboard.press('Enter')
    await dialog.getByLabel('Hits that it had').fill('318')
    await dialog.getByLabel('What else is remembered').fill('noted in a laboratory book')
    await accessible(page, 'a search of before', '.ant-modal')
    await dialog.getByRole('button', { name: 'Take it in' }).click()
    await expect(page.locator('[data-line="1"]')).toContainText('searched before this record was kept')
    await expect(page.locator('[data-line="1"] .hits')).toHaveText('318')
    await saved(page)
    await stage(page, 'Methods')
    await expect(
      page.getByText(/1 was brought in, the most that it hands out, the first by relevance/),
    ).toBeVisible()
    await expect(
      page.getByText(/The search in Oast Index was made before this record was kept; with which words/),
    ).toBeVisible()
  })
  await test.step('another review takes a database as it was described before', async () => {
    await page.goto('/')
    await beginReview(page)
    await page.getByRole('button', { name: 'Add a database' }).click()
    await page.getByRole('menuitem', { name: /^Oast Index described before, on / }).click()
    await expect(page.getByLabel('Name of Oast Index')).toBeVisible()
    await expect(page.getByRole('button', { name: 'how it speaks' })).toBeVisible()
    await saved(page)
  })
})

test('a look at a line: facets show what they would leave, become a line, a limit, or terms in the grid', async ({
  page,
}) => {
  await openDemo(page, 'searches')
  await page.locator('[data-line="10"]').click()
  await page.keyboard.press('8')
  const peek = page.getByRole('region', { name: 'Peek' })
  await expect(peek).toContainText('Line 10 finds 546')
  await expect(peek.locator('mark').first()).toBeVisible()
  const headings = peek.getByRole('group', { name: 'Headings' })
  const first = headings.getByRole('button').first()
  const [name = '', count = ''] = (await first.innerText()).split('\n')
  await first.click()
  await expect(peek).toContainText(`${count} with what is chosen`)
  await peek.getByRole('button', { name: 'new line with it' }).click()
  await expect(page.locator('[data-line="14"]')).toContainText(`#10 AND heading: "${name}"`)
  await page.keyboard.press('r')
  await expect(page.locator('[data-line="14"] .hits')).toHaveText(count)
  await page.locator('[data-line="10"]').click()
  await peek.getByRole('group', { name: 'Author keywords' }).getByRole('button').first().click()
  await peek.getByRole('button', { name: 'Harvest into C' }).click()
  await stage(page, 'Terms')
  await expect(page.locator('.chip.C[title^="from: harvest"]')).toHaveCount(1)
})
