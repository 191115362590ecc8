// Other ways into the review and through it: an update, a loan, a page on the web; and a browser killed while ruling.
import { chromium, expect, type Page } from '@playwright/test'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import {
  addDatabase,
  beginReview,
  crash,
  flowNumbers,
  nameReader,
  openDemo,
  saved,
  stage,
  typeWords,
  test,
  hasSaid,
} from './help'

const tab = async (page: Page, pane: string): Promise<void> => {
  await page.getByRole('tab', { name: new RegExp(`^${pane}`) }).click()
}

test('a strategy run again in a later release brings only what is new, into an update; rulings stand', async ({
  page,
}) => {
  await beginReview(page)
  await addDatabase(page, 'Fernhollow')
  await stage(page, 'Terms')
  await typeWords(page, ['noise', 'reading'])
  await stage(page, 'Searches')
  await page.getByLabel('Release that is searched').click()
  await page.locator('.ant-select-item-option', { hasText: 'March' }).click()
  await page.keyboard.press('d')
  await page.keyboard.press('r')
  await expect(page.locator('[data-line="3"] .hits')).toHaveText('136')
  await page.locator('[data-line="3"]').click()
  await page.keyboard.press('b')
  await expect(page.getByText(/136 records are in the review/)).toBeVisible()
  await stage(page, 'Selection')
  await page.keyboard.press('ArrowRight')
  await nameReader(page, 'A. Quill')
  await page.keyboard.press('ArrowLeft')
  await expect(page.locator('.pass-head')).toContainText('3 of 136')

  await stage(page, 'Searches')
  await page.locator('[data-line="3"]').click()
  await page.keyboard.press('0')
  const again = page.getByRole('region', { name: 'Run again' })
  await again.getByRole('button', { name: /Run all again in the release of September/ }).click()
  const begin = again.getByRole('button', { name: /^Begin an update with the \d+ new ones/ })
  const fresh = Number((await begin.innerText()).match(/\d+/)![0])
  expect(fresh).toBeGreaterThan(0)
  await begin.click()
  await hasSaid(page, new RegExp(`${fresh} records came into the update`))
  await expect(begin).toBeHidden()

  await stage(page, 'Selection')
  await tab(page, 'Flow')
  const columns = page.locator('.flow-column')
  await expect(columns).toHaveCount(2)
  await expect(columns.first()).toContainText('0 works included by the first search')
  await page.getByRole('button', { name: 'Earlier searches in full' }).click()
  const [first, update] = [await flowNumbers(page, 0), await flowNumbers(page, 1)]
  expect(first['records identified']).toBe(136)
  expect(first['titles and abstracts read']).toBe(2)
  expect(update['records identified']).toBe(fresh)
  expect((update['described a work already found'] ?? 0) + (update['not read yet'] ?? 0)).toBe(fresh)
  await saved(page)
  await page.reload()
  await tab(page, 'Flow')
  await expect(columns).toHaveCount(2)
})

test('every source is run again in a newer release at once, and what is new comes into one update', async ({
  page,
}) => {
  await beginReview(page)
  await addDatabase(page, 'Fernhollow')
  await addDatabase(page, 'Mindmere')
  await stage(page, 'Terms')
  await typeWords(page, ['noise', 'reading'])
  await stage(page, 'Searches')
  for (const source of ['Fernhollow', 'Mindmere']) {
    await tab(page, source)
    await page.getByLabel('Release that is searched').click()
    await page.locator('.ant-select-item-option', { hasText: 'March' }).last().click()
    await page.keyboard.press('d')
    await page.keyboard.press('r')
    await expect(page.locator('[data-line="3"] .hits')).toHaveText(/^\d+$/)
    await page.locator('[data-line="3"]').click()
    await page.keyboard.press('b')
    await expect(page.getByText(/records are in the review/)).toBeVisible()
    await expect(page.getByText(/records are in the review/)).toBeHidden()
  }
  await tab(page, 'All, by concept')
  const again = page.getByRole('region', { name: 'Run again' })
  await expect(again).toContainText('There is a newer release of Fernhollow and Mindmere.')
  await again.getByRole('button', { name: /Run all again in the release of September/ }).click()
  await again.getByRole('button', { name: 'Show what came and went in 2 sources' }).click()
  const rows = again.locator('tbody tr')
  await expect(rows).toHaveCount(2)
  const fresh = (await rows.locator('td:last-child').allInnerTexts()).map(Number)
  expect(fresh.every((n) => n > 0)).toBe(true)
  const sum = fresh.reduce((a, b) => a + b, 0)
  await again.getByRole('button', { name: `Begin an update with the ${sum} new ones` }).click()
  await hasSaid(page, `${sum} records came into the update`)
  await stage(page, 'Selection')
  await tab(page, 'Flow')
  await expect(page.locator('.flow-column')).toHaveCount(2)
  expect((await flowNumbers(page, 1))['records identified']).toBe(sum)
})

test('a loan is asked for with its day, comes due, and goes into a calendar; a page is noted with its worth', async ({
  page,
}) => {
  await openDemo(page, 'selection')
  await tab(page, 'Full texts')
  await page.locator('.texts-row').first().waitFor()
  await page.locator('#stage').focus()
  await page.keyboard.press('2')
  await expect(page.locator('.texts-row.on')).toContainText('loan asked for, due')
  const due = await page.getByLabel('Due on').inputValue()
  const day = new Date(`${due} 12:00 UTC`)
  expect([1, 2, 3, 4, 5]).toContain(day.getUTCDay())
  expect(day.getTime()).toBeGreaterThan(Date.now())
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: /calendar/i }).click()
  expect(readFileSync(await (await download).path(), 'utf8')).toContain(
    day.toISOString().slice(0, 10).replaceAll('-', ''),
  )

  await stage(page, 'Question')
  await page.getByRole('button', { name: 'Add another way' }).click()
  await page.getByRole('menuitem', { name: /web/i }).first().click()
  await stage(page, 'Selection')
  await tab(page, 'Other ways')
  await page.getByRole('button', { name: 'A page was seen' }).last().click()
  const typed: [string, string][] = [
    ['address', 'https://acoustics.example/rooms'],
    ['title', 'Rooms for listening'],
    ['what was searched there', 'reverberation'],
    ['who publishes it', 'a town'],
    ['what it rests on', 'measurements in twelve rooms'],
  ]
  for (const [label, text] of typed) {
    await page.getByLabel(label, { exact: true }).last().fill(text)
    await page.getByLabel(label, { exact: true }).last().blur()
  }
  await page.getByLabel('seen on').last().fill('4 May 2026')
  await page.keyboard.press('Enter')
  await saved(page)
  await page.reload()
  await tab(page, 'Other ways')
  for (const [label, text] of typed)
    await expect(page.getByLabel(label, { exact: true }).last()).toHaveValue(text)
  await expect(page.getByLabel('seen on').last()).toHaveValue('4 May 2026')
})

/** How many rulings of this reader the page has called saved, at most, since it was asked first. */
async function calledSaved(page: Page): Promise<number> {
  return page.evaluate(() => {
    const seen = window as unknown as { calledSaved?: number }
    const look = (): void => {
      const head = document.querySelector('.pass-head')?.textContent?.match(/\d+/)
      if (head && document.querySelector('[data-state="saved"]'))
        seen.calledSaved = Math.max(seen.calledSaved!, Number(head[0]) - 1)
    }
    if (seen.calledSaved === undefined) {
      seen.calledSaved = 0
      new MutationObserver(look).observe(document.body, { subtree: true, childList: true, attributes: true })
    }
    return seen.calledSaved
  })
}

test('rulings that were called saved survive a browser killed while more are made', async ({
  baseURL,
}, info) => {
  test.setTimeout(300_000)
  const profile = mkdtempSync(path.join(tmpdir(), 'luvren-rulings-'))
  const launch = () =>
    chromium.launchPersistentContext(profile, {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      args: info.project.use.launchOptions?.args ?? ['--no-sandbox'],
      baseURL: baseURL!,
    })
  try {
    let before = 0
    for (let n = 0; n < (process.env.RELIABILITY ? 6 : 1); n++) {
      const context = await launch()
      const page = context.pages()[0] ?? (await context.newPage())
      if (n === 0) await openDemo(page, 'selection')
      else await page.goto('/review/selection?id=demo')
      await page.locator('.pass-head').waitFor()
      await page.locator('#stage').focus()
      await calledSaved(page)
      let pressed = 0
      const press = async (times: number): Promise<void> => {
        for (let k = 0; k < times; k++) {
          await page.keyboard.press(k % 2 ? 'ArrowLeft' : 'ArrowRight')
          if (n === 0 && pressed === 0) await nameReader(page, 'A. Quill')
          pressed++
          await page.waitForTimeout(120)
        }
      }
      await press(8)
      // Some were called saved, whatever the machine; the page is killed with others on their way.
      await expect.poll(() => calledSaved(page)).toBeGreaterThan(before)
      await press(4)
      const called = await calledSaved(page)
      await crash(context)
      const again = await launch()
      const after = again.pages()[0] ?? (await again.newPage())
      await after.goto('/review/selection?id=demo')
      await after.locator('.pass-head').waitFor()
      // How many this reader has ruled: the place of the first that is left to them.
      const place = async (): Promise<number> =>
        Number((await after.locator('.pass-head').innerText()).match(/\d+/)![0]) - 1
      await expect.poll(place).toBeGreaterThanOrEqual(called)
      const there = await place()
      expect(there).toBeLessThanOrEqual(before + pressed)
      before = there
      await tab(after, 'Flow')
      const flow = await flowNumbers(after, 0)
      expect(flow['full texts to be sought']).toBe(
        (flow['not looked for yet'] ?? 0) +
          (flow['not to be had'] ?? 0) +
          (flow['awaited or unread'] ?? 0) +
          (flow['full texts read'] ?? 0),
      )
      await again.close()
    }
  } finally {
    rmSync(profile, { recursive: true, force: true })
  }
})
