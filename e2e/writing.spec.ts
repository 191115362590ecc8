import { readFileSync, writeFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import {
  accessible,
  beginReview,
  nameReader,
  openDemo,
  saved,
  stage,
  twoBrowsers,
  test,
  hasSaid,
} from './help'

const tab = (page: Page, name: RegExp): Promise<void> => page.getByRole('tab', { name }).click()

test('what strikes in an edited text is said in the margin, and the text stands beside its draft', async ({
  page,
}) => {
  await openDemo(page, 'methods')
  await expect(page.getByText('Nothing strikes in text and record.')).toBeVisible()
  await page.getByText('mark it as read').click()
  await expect(page.getByText('no fact changed since')).toBeVisible()
  const part = page.locator('#passage-judged')
  await part.locator('.tiptap').click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type(' In 98765 schools it was loud.')
  await page.locator('h1').first().click()
  await saved(page)
  const advice = page.getByRole('region', { name: 'Advice' })
  await expect(advice.getByText('The number 98765 was typed, and the record does not hold it.')).toBeVisible()
  await advice.getByText('leave it, because …').first().click()
  await page.keyboard.type('it is quoted from a report')
  await page.keyboard.press('Enter')
  await expect(advice.getByText('Left, because it is quoted from a report.')).toBeVisible()
  await part.getByText('beside the draft').click()
  await expect(part.getByText('only in yours')).toBeVisible()
  // A sentence that was deleted can be taken from the draft again, its facts bound.
  await part.locator('.tiptap').click()
  await page.keyboard.press('Control+A')
  await page.keyboard.type('Nothing is left of it.')
  await page.locator('h1').first().click()
  await saved(page)
  await part.getByText('take it').first().click()
  await expect(part.locator('.tiptap').getByText(/were not to be had/)).toBeVisible()
  await expect(part.locator('.tiptap .fact').first()).toBeVisible()
})

test('a table, a note, a reference and a comment are put in, are there again, and go into the file they belong to', async ({
  page,
}) => {
  await openDemo(page, 'methods')
  const part = page.locator('#passage-judged')
  const put = (what: string): Promise<void> => part.getByText(what, { exact: true }).click()
  await part.locator('.tiptap p').first().click()
  await put('a table')
  await page.keyboard.type('Rooms and levels')
  await part.locator('.tiptap th').first().click()
  await page.keyboard.type('Room')
  await page.keyboard.press('Tab')
  await page.keyboard.type('Level')
  await part.locator('.tiptap p').first().click()
  await page.keyboard.press('Home')
  await page.keyboard.type('Told here. ')
  await put('a note')
  await page.getByLabel('Words at the foot of the page').fill('Counted by hand.')
  await page.keyboard.press('Enter')
  await put('a reference')
  await page.getByRole('menuitem', { name: 'Table 2: Rooms and levels' }).click()
  await expect(part.locator('.tiptap')).toBeFocused()
  await page.keyboard.type(' has it. ')
  await page.keyboard.press('Shift+Home')
  await put('a comment')
  await page.getByLabel('What you say of these words').fill('Is this so?')
  await page.getByRole('button', { name: 'Say it' }).click()
  await nameReader(page, 'A. Quill')
  const comments = page.getByRole('region', { name: 'Comments' })
  await expect(comments.getByText('Is this so?')).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(part.locator('.table-caption')).toHaveText('Table 2. Rooms and levels')
  await expect(part.locator('.pointer')).toHaveText('Table 2')
  await expect(part.locator('.tiptap th').nth(1)).toHaveText('Level')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.locator('.hand-out').getByText('Markdown').click(),
  ])
  const text = readFileSync(await file.path(), 'utf8')
  expect(text).toContain('Table 2. *Rooms and levels*')
  expect(text).toContain('[^1]: Counted by hand.')
  expect(text).not.toContain('Is this so?')
  await comments.getByText('done: take it away').click()
  await expect(comments).toBeHidden()
  await expect(part.locator('.tiptap')).toContainText('Told here.')
  await accessible(page, 'a part with a table', '#passage-judged')
})

test('a plan is frozen as a protocol, and what departs from it lists itself and asks why', async ({
  page,
}) => {
  await beginReview(page)
  await stage(page, 'Question')
  await page.goto(page.url().replace('/review/question', '/review/methods'))
  await tab(page, /Protocol/)
  await expect(page.getByText('A question and a source are needed first')).toBeVisible()
  await openDemo(page, 'methods')
  await tab(page, /Protocol/)
  await expect(page.getByText('The review departs from it in two points')).toBeVisible()
  await accessible(page, 'Protocol', '.page')
  await page.getByText('amend the protocol instead').click()
  await page.getByLabel('Why the protocol is amended').fill('a question was not clear')
  await page.getByRole('button', { name: 'Amend', exact: true }).click()
  // What was acted on before stays a departure, with the reason that was first given.
  await expect(page.getByText(/the protocol was amended for it on/)).toBeVisible()
  await expect(page.getByText('The review departs from it in two points')).toBeVisible()
  await expect(page.getByLabel('Why: question asked of each work')).toHaveValue(
    'we disagreed on studies of mixed ages among the first sixty works',
  )
  await tab(page, /Section/)
  await expect(page.getByText(/The protocol was amended once/)).toBeVisible()
})

test('a text that was frozen keeps its words and numbers, whatever is done afterwards', async ({ page }) => {
  await openDemo(page, 'methods')
  await tab(page, /Frozen texts/)
  await page.getByLabel('Name of the frozen text').fill('as sent')
  await page.getByRole('button', { name: 'Freeze the text' }).click()
  await expect(page.getByText('All its facts are as they were.')).toBeVisible()
  await expect(page.getByText('The same to read out:')).toBeVisible()
  await tab(page, /Section/)
  const part = page.locator('#passage-judged .tiptap')
  await part.click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type(' Later words.')
  await page.locator('h1').first().click()
  await saved(page)
  await tab(page, /Frozen texts/)
  await expect(page.getByText('Later words.')).toBeHidden()
  await page.getByText('compare it with the text as it is now').click()
  await expect(page.locator('.compared ins').getByText('Later words.')).toBeVisible()
  await page.reload()
  await tab(page, /Frozen texts/)
  await expect(page.getByText('as sent').first()).toBeVisible()
})

test('a librarian looks the searches over in her own browser; her file comes back, and the section tells what came of it', async ({
  browser,
}, info) => {
  const [one, other] = await twoBrowsers(browser)
  await openDemo(one, 'methods')
  await openDemo(other, 'searches')
  const file = info.outputPath('search review.luvren.json')

  await test.step('she comments on a line with a better text, which is counted, and answers an element', async () => {
    await other.locator('.sheet-row').nth(3).click()
    await other.keyboard.press('5')
    await other.getByRole('button', { name: /^comment on line 4/ }).click()
    await other.getByLabel('Comment on line 4').fill('Children hear hum as well.')
    const better = other.getByLabel('Better text for line 4')
    await better.fill((await better.inputValue()).replace(/\)$/, ' OR hum)'))
    await better.press('Enter')
    await nameReader(other, 'E. Rask')
    await expect(other.locator('.search-comment').last()).toContainText(/better: .* OR hum\) finds [\d,]+/)
    await stage(other, 'Methods')
    await other.keyboard.press('r')
    // All six are answered before a review can be finished.
    const finish = other.getByRole('button', { name: 'My review is finished' })
    await expect(finish).toBeDisabled()
    const findings = other.getByLabel(/^Finding: /)
    await expect(findings).toHaveCount(6)
    for (let n = 0; n < 6; n++) {
      await findings.nth(n).click()
      const words = (await findings.nth(n).getAttribute('aria-label')) === 'Finding: Text words'
      await other
        .locator('.ant-select-dropdown:visible .ant-select-item-option')
        .nth(words ? 1 : 0)
        .click()
    }
    await other.getByLabel('As what you review').fill('subject librarian')
    await finish.click()
    await expect(other.locator('#searchreview')).toContainText('finished on')
    await accessible(other, 'Search review', '#searchreview')
    const download = other.waitForEvent('download')
    await other.locator('#stage').focus()
    await other.keyboard.press('f')
    writeFileSync(file, readFileSync(await (await download).path()))
  })

  await test.step('it comes in, the better text goes into the line, what she found of an element is declined, and the section says so', async () => {
    await one.keyboard.press('r')
    await one.locator('input[aria-label="A reader’s file"]').setInputFiles(file)
    await hasSaid(one, 'Taken in: 6 answers and 1 comment.')
    const theirs = one.getByRole('region', { name: 'Review by E. Rask' })
    await expect(theirs).toContainText('still open')
    await theirs.getByRole('button', { name: 'put it in the line' }).click()
    await expect(theirs).toContainText('acted on: the line was changed as proposed; it reads now:')
    const words = theirs.getByRole('row', { name: /^Text words/ })
    await words.getByRole('button', { name: 'decline it, because …' }).click()
    await words.getByLabel('Why it is declined').fill('they are all there')
    await one.keyboard.press('Enter')
    await expect(words).toContainText('declined, because they are all there')
    await accessible(one, 'Search review, answered', '#searchreview')
    await one.getByRole('tab', { name: /^Section/ }).click()
    await expect(one.locator('.page')).toContainText(
      /E\. Rask \(subject librarian\) reviewed the strategies on [^.]*, after the searches, by [^.]*, and suggested revisions\. Of two points, we acted on one and declined the other, with a reason\./,
    )
  })
})
