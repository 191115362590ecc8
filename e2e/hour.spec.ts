// An hour of use with the memory watched: `MINUTES=60 npm run reliability -- hour`. It prints what the page and its workers
// hold after each tenth of the time, and every task of the page that kept it for longer than a fifth of a second.
import { expect, type CDPSession, type Page } from '@playwright/test'
import { nameReader, openDemo, saved, stage, test } from './help'

const MINUTES = Number(process.env.MINUTES ?? 60)
test.skip(!process.env.RELIABILITY, 'npm run reliability')

/** Megabytes that the page holds when nothing is left to be thrown away, and how many nodes. */
async function held(cdp: CDPSession): Promise<{ heap: number; nodes: number }> {
  await cdp.send('HeapProfiler.collectGarbage')
  const { metrics } = await cdp.send('Performance.getMetrics')
  const of = (name: string): number => metrics.find((m) => m.name === name)!.value
  return { heap: of('JSHeapUsedSize') / 1e6, nodes: of('Nodes') }
}

/** The tasks of the page longer than a fifth of a second since it was asked last, in milliseconds. */
const longTasks = (page: Page): Promise<number[]> =>
  page.evaluate(() => {
    const of = window as unknown as { tasks?: number[] }
    if (!of.tasks) {
      const tasks: number[] = (of.tasks = [])
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) if (duration > 200) tasks.push(Math.round(duration))
      }).observe({ type: 'longtask' })
    }
    return of.tasks.splice(0)
  })

async function round(page: Page, n: number): Promise<void> {
  await stage(page, 'Selection')
  await page.getByRole('tab', { name: /^Broad pass/ }).click()
  await page.locator('#stage').focus()
  for (let k = 0; k < 10; k++) await page.keyboard.press(k % 3 ? 'ArrowLeft' : 'ArrowRight', { delay: 40 })
  for (let k = 0; k < 10; k++) await page.keyboard.press('z', { delay: 40 })
  await stage(page, 'Searches')
  await page.locator('[data-line="4"]').click()
  for (let k = 0; k < 6; k++) await page.keyboard.press(k % 2 ? 'ArrowUp' : 'ArrowDown', { delay: 30 })
  await stage(page, 'Terms')
  for (let k = 0; k < 6; k++) await page.keyboard.press('ArrowDown', { delay: 30 })
  await stage(page, 'Records')
  await page.locator('.records-head').waitFor()
  await stage(page, 'Methods')
  await page.waitForTimeout(600)
  await stage(page, 'Question')
  await page.keyboard.press('k')
  const palette = page.getByRole('dialog')
  await palette.waitFor()
  await page.keyboard.type(n % 2 ? 'noise' : 'word')
  await page.keyboard.press('Escape')
  await palette.waitFor({ state: 'hidden' })
  if (n % 5 === 0) {
    const file = page.waitForEvent('download')
    await page.keyboard.press('Shift+S')
    await (await file).delete()
  }
  await saved(page)
}

test(`${MINUTES} minutes of use`, async ({ page }) => {
  test.setTimeout(0)
  await openDemo(page, 'selection', 'first')
  await page.locator('#stage').focus()
  await page.keyboard.press('ArrowRight')
  await nameReader(page, 'A. Quill')
  const cdp = await page.context().newCDPSession(page)
  await cdp.send('Performance.enable')
  for (let n = 1; n <= 5; n++) await round(page, n)
  await longTasks(page)
  const first = await held(cdp)
  const begun = Date.now()
  const seen: number[] = []
  let last = first
  let tenth = 1
  for (let n = 6; Date.now() - begun < MINUTES * 60_000; n++) {
    await round(page, n)
    seen.push(...(await longTasks(page)))
    if (Date.now() - begun < (tenth * MINUTES * 60_000) / 10) continue
    last = await held(cdp)
    process.stdout.write(
      `${tenth * 10} %: round ${n}, ${last.heap.toFixed(1)} MB, ${last.nodes} nodes; long tasks so far: ${seen.length}, longest ${Math.max(0, ...seen)} ms\n`,
    )
    tenth++
  }
  process.stdout.write(
    `begun with ${first.heap.toFixed(1)} MB and ${first.nodes} nodes; long tasks: ${seen.join(' ')}\n`,
  )
  // What is done stays in the journal, and the page holds the journal: it grows, by what was done and no more.
  expect(last.heap).toBeLessThan(first.heap * 2)
  expect(last.nodes).toBeLessThan(first.nodes * 1.5)
})
