// Ruling in a real browser with 40,000 rulings by two readers over 20,000 works: key to frame, key to disk, opening, memory.
import { mkdirSync, writeFileSync } from 'node:fs'
import type { Browser, Page } from '@playwright/test'
import { emptyRecord } from '../src/core/records'
import type { Command } from '../src/core/review'
import { DESK, at, keystrokes, longest, PASS_SHOWN, say, watch, withApp } from './browser'
import { manyWorks } from './many-works'

const WORKS = Number(process.env.WORKS ?? 20_000)
const MORE = Number(process.env.RULINGS ?? 2000)

/** A review with so many works; `ruled`: two readers have ruled all but the last thousand of them. */
function review(id: string, ruled: boolean): Uint8Array {
  const records = Array.from({ length: WORKS }, (_, i) => ({
    ...emptyRecord(`r${i}`, `Title ${i} on sound and reading`),
    abstract: 'Noise in rooms where children listen was measured before and after. '.repeat(8),
    year: 2000 + (i % 26),
  }))
  const rulings: Command[] = []
  if (ruled)
    for (let n = 0; n < (WORKS - 1000) * 2; n++)
      rulings.push({
        kind: 'ruling.set',
        payload: {
          recordId: `i/${(n >> 1) + 1}`,
          pass: 'broad',
          reader: n % 2 ? 'person-1' : 'person-2',
          verdict: ['in', 'out', 'out', 'unsure'][(n * 7) % 4],
        },
      } as Command)
  return manyWorks(id, records, rulings)
}

const SAVED = `document.querySelector('.saved')?.getAttribute('data-state') === 'saved'`

async function heap(page: Page): Promise<number> {
  const session = await page.context().newCDPSession(page)
  await session.send('HeapProfiler.collectGarbage')
  const { usedSize } = (await session.send('Runtime.getHeapUsage')) as { usedSize: number }
  await session.detach()
  return usedSize / 1e6
}

async function opened(browser: Browser, base: string, ruled: boolean): Promise<{ page: Page; took: number }> {
  const id = `ruling-${ruled ? 'ruled' : 'bare'}`
  const page = await (await browser.newContext(DESK)).newPage()
  await watch(page)
  mkdirSync('test-results', { recursive: true })
  const file = `test-results/${id}.zip`
  writeFileSync(file, review(id, ruled))
  await page.goto(base)
  await page.getByLabel('You read as').fill('R. Bench')
  await page.waitForTimeout(500)
  await page.locator('input[type=file]').setInputFiles(file)
  await page.waitForURL(/review/, { timeout: 180_000 })
  const opens: number[] = []
  // Once it has been open for as long as checking it takes, what was reckoned of it is kept for opening again.
  await page.waitForTimeout(20_000)
  for (let i = 0; i < 5; i++) {
    await page.goto(base)
    const start = performance.now()
    await page.goto(`${base}/review/${id}/selection`)
    await page.waitForFunction(PASS_SHOWN, undefined, { polling: 20, timeout: 180_000 })
    opens.push(performance.now() - start)
    await page.waitForTimeout(4000)
  }
  return { page, took: at(opens.slice(1), 0.5) }
}

withApp(async (browser, base) => {
  const bare = await opened(browser, base, false)
  await bare.page.context().close()
  const { page, took } = await opened(browser, base, true)
  console.log(
    `opened again: ${bare.took.toFixed(0)} ms without rulings, ${took.toFixed(0)} ms with ${(WORKS - 1000) * 2}; the page was held ${(await longest(page)).toFixed(0)} ms at most`,
  )
  const before = await heap(page)
  // Rulings by arrow keys; now and then one is taken back, or another stage is looked at.
  await page.keyboard.press('ArrowLeft')
  await page.waitForTimeout(1000)
  const frames: number[] = []
  const disk: number[] = []
  for (let n = 0; n < MORE; n += 50) {
    frames.push(
      ...(await keystrokes(
        page,
        Array.from({ length: 50 }, (_, k) => (k % 10 === 9 ? 'z' : k % 3 ? 'ArrowLeft' : 'ArrowRight')),
      )),
    )
    const start = performance.now()
    await page.waitForFunction(SAVED, undefined, { polling: 20, timeout: 60_000 })
    disk.push(performance.now() - start)
    if (n % 500 === 450) {
      await page
        .getByRole('link', { name: /Records/ })
        .first()
        .click()
      await page.waitForTimeout(800)
      await page
        .getByRole('link', { name: /Selection/ })
        .first()
        .click()
      await page.waitForFunction(PASS_SHOWN, undefined, { polling: 20 })
    }
  }
  say('ruling or undo, key to frame', frames)
  say('the last of fifty until all are on disk', disk)
  await page.waitForTimeout(3000)
  console.log(
    `the page's heap: ${before.toFixed(0)} MB before, ${(await heap(page)).toFixed(0)} MB after ${MORE}`,
  )
}).catch((error: unknown) => {
  console.error(error)
  process.exitCode = 1
})
