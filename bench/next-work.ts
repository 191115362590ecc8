// From the key that rules to the frame that shows the next work, against a key that does nothing, in one run: 5,000 and
// 50,000 works. Ruling may take twice as long as the empty key, and as long in the large review as in the small one.
import { mkdirSync, writeFileSync } from 'node:fs'
import type { Browser } from '@playwright/test'
import { emptyRecord } from '../src/core/records'
import { DESK, at, keystrokes, PASS_SHOWN, withApp } from './browser'
import { manyWorks } from './many-works'

const SIZES = [5000, 50_000]
const KEYS = 120

async function measured(browser: Browser, base: string, works: number): Promise<[number[], number[]]> {
  const id = `next-${works}`
  const page = await (await browser.newContext(DESK)).newPage()
  mkdirSync('test-results', { recursive: true })
  const file = `test-results/${id}.zip`
  const records = Array.from({ length: works }, (_, i) => ({
    ...emptyRecord(`r${i}`, `Title ${i} on sound and reading`),
    abstract: 'Noise in rooms where children listen was measured before and after. '.repeat(8),
    year: 2000 + (i % 26),
  }))
  writeFileSync(file, manyWorks(id, records, []))
  await page.goto(base)
  await page.getByLabel('You read as').fill('R. Bench')
  await page.waitForTimeout(500)
  await page.locator('input[type=file]').setInputFiles(file)
  await page.waitForURL(/review/, { timeout: 180_000 })
  await page.goto(`${base}/review/selection?id=${id}`)
  await page.waitForFunction(PASS_SHOWN, undefined, { polling: 20, timeout: 180_000 })
  await page.getByRole('button', { name: /^I am R\. Bench/ }).click()
  // What is checked and kept when a review was opened is done first.
  await page.waitForTimeout(15_000)
  await page.keyboard.press('ArrowLeft')
  await page.waitForTimeout(1000)
  const keys = Array.from({ length: KEYS }, (_, n) => (n % 2 ? 'F8' : n % 4 ? 'ArrowLeft' : 'ArrowRight'))
  const took = await keystrokes(page, keys)
  const head = await page.locator('.pass-head').innerText()
  console.log(`${works} works: ${head.split('·')[0]!.trim()} after ${KEYS / 2} rulings`)
  await page.context().close()
  return [took.filter((_, n) => n % 2 === 0), took.filter((_, n) => n % 2 === 1)]
}

withApp(async (browser, base) => {
  for (const works of SIZES) {
    const [ruled, empty] = await measured(browser, base, works)
    const line = (part: number): string =>
      `${at(ruled, part).toFixed(0)} ms against ${at(empty, part).toFixed(0)} ms: ${(at(ruled, part) / at(empty, part)).toFixed(2)} ×`
    console.log(`  median ${line(0.5)}; 95 of 100 within ${line(0.95)}`)
  }
}).catch((error: unknown) => {
  console.error(error)
  process.exitCode = 1
})
