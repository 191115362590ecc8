// Handing on and opening a review with many records in a real browser: how long, how long the page is held, what memory.
import type { Browser, Page } from '@playwright/test'
import { mkdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { DESK, longest, watch, withApp } from './browser'
import { COUNT, longRecords } from './long-records'
import { manyWorks } from './many-works'

/**
 * The most that the processes of all pages held while `work` went on, in megabytes, workers included. What processes share,
 * as the program of the browser itself, is counted once (Pss): the browser keeps one or two that show nothing at hand.
 */
async function mostMemory(browser: Browser, work: () => Promise<void>): Promise<number> {
  const session = await browser.newBrowserCDPSession()
  let most = 0
  let going = true
  const look = async (): Promise<void> => {
    while (going) {
      const { processInfo } = (await session.send('SystemInfo.getProcessInfo')) as {
        processInfo: { type: string; id: number }[]
      }
      const held = processInfo
        .filter((p) => p.type === 'renderer')
        .map((p) =>
          Number(/^Pss:\s+(\d+)/m.exec(readFileSync(`/proc/${p.id}/smaps_rollup`, 'utf8'))?.[1] ?? 0),
        )
      most = Math.max(most, held.reduce((a, b) => a + b, 0) / 1000)
      await new Promise((done) => setTimeout(done, 250))
    }
  }
  const looking = look()
  await work()
  going = false
  await looking
  return most
}

const held = async (page: Page): Promise<string> =>
  `the page held ${(await longest(page)).toFixed(0)} ms at most`

async function handing(browser: Browser, base: string): Promise<void> {
  const id = `works-${COUNT}`
  mkdirSync('test-results', { recursive: true })
  const file = `test-results/${id}.zip`
  writeFileSync(file, manyWorks(id, longRecords()))
  const page = await (await browser.newContext(DESK)).newPage()
  await watch(page)
  await page.goto(base)
  // The program starts first, which holds the page by itself.
  await page.waitForTimeout(3000)
  await page.evaluate(() => ((window as unknown as { held: number[] }).held.length = 0))
  let start = performance.now()
  const opening = await mostMemory(browser, async () => {
    await page.locator('input[type=file]').setInputFiles(file)
    await page.waitForURL(/review/, { timeout: 300_000 })
  })
  console.log(
    `taken in: ${COUNT} records after ${(performance.now() - start).toFixed(0)} ms, ${await held(page)}, ${opening.toFixed(0)} MB at most`,
  )
  const settled = await mostMemory(browser, () => page.waitForTimeout(30_000))
  console.log(`open for half a minute: ${settled.toFixed(0)} MB at most`)
  await page.evaluate(() => ((window as unknown as { held: number[] }).held.length = 0))
  start = performance.now()
  let size = 0
  const packing = await mostMemory(browser, async () => {
    const download = page.waitForEvent('download', { timeout: 600_000 })
    // The empty question has the focus: keys do things only outside of a field.
    await page.locator('#stage').focus()
    await page.keyboard.press('Shift+S')
    size = statSync(await (await download).path()).size
  })
  console.log(
    `handed on: ${(size / 1e6).toFixed(1)} MB after ${(performance.now() - start).toFixed(0)} ms, ${await held(page)}, ${packing.toFixed(0)} MB at most`,
  )
}

withApp(handing).catch((error: unknown) => {
  console.error(error)
  process.exitCode = 1
})
