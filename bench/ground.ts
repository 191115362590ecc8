// Long journals and large reviews in a real browser: opening, ruling until it is saved, undo, and packing.
import { writeFileSync, mkdirSync } from 'node:fs'
import type { Browser, Page } from '@playwright/test'
import { packReview, type Command } from '../src/core/review'
import { digestOf } from '../src/core/base'
import { emptyRecord } from '../src/core/records'
import { DESK, at, entriesOf, longest, PASS_SHOWN, say, watch, withApp } from './browser'

const WORDS = 'noise in rooms where children listen and read was measured before and after the change'.split(
  ' ',
)
const records = (count: number, words: number) =>
  Array.from({ length: count }, (_, i) => ({
    ...emptyRecord(String(i + 1), `Title ${i + 1} on sound and reading`),
    abstract: Array.from({ length: words }, (_w, k) => WORDS[(i + k * 7) % WORDS.length]!).join(' '),
    year: 2000 + (i % 26),
  }))

/** A review with so many records, and so many entries, most of which rule. */
function review(id: string, brought: number, words: number, entries: number): Uint8Array {
  const block = new TextEncoder().encode(JSON.stringify(records(brought, words)))
  const digest = digestOf(block)
  const commands = [
    { kind: 'review.create', payload: { id, title: id } },
    {
      kind: 'source.set',
      payload: {
        id: 's',
        kind: 'database',
        name: 'Mindmere Psychology File',
        profileId: 'mindmere',
        why: '',
      },
    },
    {
      kind: 'records.import',
      payload: { id: 'i', sourceId: 's', digest, count: brought, at: '2026-11-16T09:00:00Z' },
    },
  ] as Command[]
  for (let n = commands.length; n < entries; n++) {
    const place = (n * 13) % Math.max(1, brought - 60)
    commands.push(
      (n % 9
        ? {
            kind: 'ruling.set',
            payload: {
              recordId: `i/${place + 1}`,
              workId: `s:${place + 1}`,
              pass: 'broad',
              reader: 'R. Bench',
              verdict: n % 2 ? 'in' : 'out',
            },
          }
        : { kind: 'question.set', payload: { text: `What does noise do, for the ${n}th time?` } }) as Command,
    )
  }
  return packReview({ entries: entriesOf(commands), blobs: new Map([[digest, block]]) }, id)
}

/** Milliseconds until a condition in the page holds. */
async function until(page: Page, what: string): Promise<number> {
  const start = performance.now()
  await page.waitForFunction(what, undefined, { polling: 20, timeout: 180_000 })
  return performance.now() - start
}
const SAVED = `document.querySelector('.saved')?.getAttribute('data-state') === 'saved'`

/** From the next key until one more entry is saved, in `window.took`. A text: what runs in the page is not built here. */
const CLOCK = `
  window.took = -1
  {
    const strip = document.querySelector('footer')
    const entries = () => strip.textContent.match(/Journal (\\d+)/)[1]
    const before = entries()
    addEventListener('keydown', () => (window.from = performance.now()), { once: true, capture: true })
    const tick = () => {
      const saved = document.querySelector('.saved')?.getAttribute('data-state') === 'saved'
      if (saved && entries() !== before) window.took = performance.now() - window.from
      else requestAnimationFrame(tick)
    }
    requestAnimationFrame(tick)
  }`

async function journal(browser: Browser, base: string, entries: number): Promise<void> {
  const id = `ground-${entries}`
  const page = await (await browser.newContext(DESK)).newPage()
  await watch(page)
  mkdirSync('test-results', { recursive: true })
  const file = `test-results/${id}.zip`
  writeFileSync(file, review(id, 400, 60, entries))
  await page.goto(base)
  await page.getByLabel('You read as').fill('R. Bench')
  await page.waitForTimeout(500)
  await page.locator('input[type=file]').setInputFiles(file)
  const taken = performance.now()
  await page.waitForURL(/review/, { timeout: 180_000 })
  const intake = performance.now() - taken
  const opens: number[] = []
  for (let i = 0; i < 5; i++) {
    const start = performance.now()
    await page.goto(`${base}/review/${id}/selection`)
    await until(page, PASS_SHOWN)
    opens.push(performance.now() - start)
    if (i) continue
    // So much is done once that a snapshot is there the next time.
    for (let n = 0; n < 230; n++) await page.keyboard.press(n % 2 ? 'ArrowLeft' : 'ArrowUp')
    await until(page, SAVED)
    await page.waitForTimeout(1500)
  }
  await page.waitForTimeout(2500)
  const blocked = await longest(page)
  const measured = async (key: string): Promise<number> => {
    await until(page, SAVED)
    await page.evaluate(CLOCK)
    await page.keyboard.press(key)
    await page.waitForFunction('window.took >= 0', undefined, { timeout: 20_000, polling: 20 })
    return page.evaluate(() => (window as unknown as { took: number }).took)
  }
  const rulings: number[] = []
  for (let n = 0; n < 20; n++) rulings.push(await measured(n % 2 ? 'ArrowRight' : 'ArrowLeft'))
  const undos: number[] = []
  for (let n = 0; n < 12; n++) undos.push(await measured('z'))
  console.log(
    `${entries} entries: taken in ${intake.toFixed(0)} ms, first opened ${opens[0]!.toFixed(0)} ms, opened again ${at(opens.slice(1), 0.5).toFixed(0)} ms; the page was held ${blocked.toFixed(0)} ms at most while opening again`,
  )
  say(`${entries} entries, ruling until saved`, rulings)
  say(`${entries} entries, undo until saved  `, undos)
  await page.context().close()
}

async function packing(browser: Browser, base: string, count: number): Promise<void> {
  const id = `ground-pack-${count}`
  const page = await (await browser.newContext({ acceptDownloads: true })).newPage()
  await watch(page)
  const file = `test-results/${id}.zip`
  writeFileSync(file, review(id, count, 60, 40))
  await page.goto(base)
  await page.locator('input[type=file]').setInputFiles(file)
  const start = performance.now()
  await page.waitForURL(/review/, { timeout: 180_000 })
  const intake = performance.now() - start
  await page.goto(`${base}/review/${id}/methods`)
  await page.waitForSelector('footer', { timeout: 180_000 })
  await page.waitForTimeout(8000)
  const download = page.waitForEvent('download', { timeout: 180_000 })
  const from = performance.now()
  await page.keyboard.press('k')
  await page.keyboard.type('Save the review as a package')
  await page.keyboard.press('Enter')
  await download
  console.log(
    `${count} records: taken in ${intake.toFixed(0)} ms, packed ${(performance.now() - from).toFixed(0)} ms`,
  )
  await page.context().close()
}

withApp(async (browser, base) => {
  for (const entries of (process.env.ENTRIES ?? '1000,20000,60000').split(',').map(Number))
    await journal(browser, base, entries)
  await packing(browser, base, Number(process.env.RECORDS ?? 100_000))
}).catch((error: unknown) => {
  console.error(error)
  process.exitCode = 1
})
