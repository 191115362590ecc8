// The list of works in a real browser: opening a review with many records, narrowing, sorting, walking, and what it holds.
import type { Browser, Page } from '@playwright/test'
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { thousands } from '../src/core/base'
import { DESK, keystrokes, longest, say, watch, withApp } from './browser'
import { COUNT, longRecords } from './long-records'
import { manyWorks } from './many-works'

/** In the page: clicks a year and waits for the frame that shows how many works are left. A text: it is not built here. */
const clickToShown = (year: number, left: string): string => `new Promise((done) => {
  const button = [...document.querySelectorAll('.works-facet > button:first-child')].find((b) => b.textContent === '${year}')
  const start = performance.now()
  button.click()
  const look = () => {
    if (document.querySelector('.works-shown')?.textContent?.startsWith('${left} of')) done(performance.now() - start)
    else requestAnimationFrame(look)
  }
  requestAnimationFrame(look)
})`

const heap = async (page: Page): Promise<number> => {
  const session = await page.context().newCDPSession(page)
  await session.send('HeapProfiler.collectGarbage')
  const { usedSize } = (await session.send('Runtime.getHeapUsage')) as { usedSize: number }
  return usedSize / 1e6
}

/** Opens the list and looks for a word in it: how long each takes. */
async function opened(page: Page, url: string, how: string): Promise<void> {
  const start = performance.now()
  await page.goto(url)
  await page.locator('.works-row .title').filter({ hasText: 'Title' }).first().waitFor({ timeout: 120_000 })
  const list = performance.now() - start
  await page.keyboard.press('/')
  await page.keyboard.type('title: 77')
  await page
    .locator('.works-shown')
    .filter({ hasText: /^1 of / })
    .waitFor({ timeout: 120_000 })
  const words = performance.now() - start
  const held = await longest(page)
  console.log(
    `opened ${how}: ${COUNT} works listed after ${list.toFixed(0)} ms, words looked for after ${words.toFixed(0)} ms, the page held ${held.toFixed(0)} ms at most`,
  )
}

/** What the processes of all pages hold, in megabytes. */
async function memory(browser: Browser): Promise<number> {
  const session = await browser.newBrowserCDPSession()
  const { processInfo } = (await session.send('SystemInfo.getProcessInfo')) as {
    processInfo: { type: string; id: number }[]
  }
  const ids = processInfo.filter((p) => p.type === 'renderer').map((p) => p.id)
  const held = ids.map((id) =>
    Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${id}/status`, 'utf8'))?.[1] ?? 0),
  )
  return held.reduce((a, b) => a + b, 0) / 1000
}

async function works(browser: Browser, base: string): Promise<void> {
  const id = `works-${COUNT}`
  mkdirSync('test-results', { recursive: true })
  const file = `test-results/${id}.zip`
  writeFileSync(file, manyWorks(id, longRecords()))
  const context = await browser.newContext(DESK)
  const page = await context.newPage()
  await watch(page)
  await page.goto(base)
  await page.locator('input[type=file]').setInputFiles(file)
  await page.waitForURL(/review/, { timeout: 180_000 })
  // Who works here is asked once, before anything is measured.
  await page.getByRole('button', { name: /^I am / }).click({ timeout: 180_000 })
  await opened(page, `${base}/review/${id}/records`, 'first')
  // The words are kept some time after they can be looked for.
  await page.waitForTimeout(8000)
  await page.goto(base)
  await opened(page, `${base}/review/${id}/records`, 'again')
  await page.locator('#works-find').fill('')
  await page.locator('.works-shown').waitFor({ state: 'hidden', timeout: 60_000 })
  await page.evaluate(() => ((window as unknown as { held: number[] }).held.length = 0))
  await page.getByRole('button', { name: '2016', exact: true }).waitFor({ timeout: 60_000 })
  const narrowed: number[] = []
  let left = 0
  for (const year of [2025, 2024, 2023, 2022, 2021, 2020, 2019, 2018, 2017, 2016]) {
    left += Array.from({ length: COUNT }, (_, i) => 2000 + (i % 26)).filter((y) => y === year).length
    narrowed.push(await page.evaluate<number>(clickToShown(year, thousands(left))))
  }
  say('narrowing by one more year, click to frame', narrowed)
  await page.locator('.works-list').focus()
  say(
    'from work to work, key to frame',
    await keystrokes(
      page,
      Array.from({ length: 40 }, () => 'ArrowDown'),
    ),
  )
  const held = await longest(page)
  console.log(
    `the page was held ${held.toFixed(0)} ms at most meanwhile; its heap is ${(await heap(page)).toFixed(0)} MB`,
  )
  for (let tabs = 1; tabs <= 3; tabs++) {
    if (tabs > 1) {
      const more = await context.newPage()
      await more.goto(`${base}/review/${id}/records`)
      await more
        .locator('.works-row .title')
        .filter({ hasText: 'Title' })
        .first()
        .waitFor({ timeout: 120_000 })
      await more.waitForTimeout(5000)
    }
    console.log(
      `${tabs} of its tabs: ${(await memory(browser)).toFixed(0)} MB in their processes, workers included`,
    )
  }
  await context.close()
}

withApp(works).catch((error: unknown) => {
  console.error(error)
  process.exitCode = 1
})
