// What the benchmarks in a real browser share: a server, a page, a clock from key to frame.
import { spawn } from 'node:child_process'
import { mkdirSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { chromium, type Browser, type Page } from '@playwright/test'
import { nextEntry, packReview, type Command, type Entry } from '../src/core/review'

/** A desk of usual size. What is asked of the page is asked as text, which its own rules would refuse. */
export const DESK = { viewport: { width: 1280, height: 800 }, bypassCSP: true }

/** Milliseconds from a key to the frame that shows what it did, many times over. */
export async function keystrokes(page: Page, keys: string[]): Promise<number[]> {
  const times: number[] = []
  for (const key of keys) {
    await page.evaluate(() => {
      addEventListener(
        'keydown',
        () => {
          const start = performance.now()
          requestAnimationFrame(() =>
            setTimeout(() => ((window as unknown as { took: number }).took = performance.now() - start)),
          )
        },
        { once: true, capture: true },
      )
      ;(window as unknown as { took: number }).took = -1
    })
    await page.keyboard.press(key)
    await page.waitForFunction(() => (window as unknown as { took: number }).took >= 0)
    times.push(await page.evaluate(() => (window as unknown as { took: number }).took))
  }
  return times
}

export const at = (list: number[], part: number): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length * part)]!

/** Entries with these commands, a second apart. */
export function entriesOf(commands: readonly Command[]): Entry[] {
  const entries: Entry[] = []
  for (const command of commands) {
    const at = new Date(Date.UTC(2026, 10, 16, 8, 0, entries.length)).toISOString()
    const salt = entries.length.toString(16).padStart(32, '0')
    entries.push(nextEntry(entries[entries.length - 1], command, { at, by: 'person-1', salt }))
  }
  return entries
}

/** A package with these commands. */
export const packageOf = (commands: readonly Command[], title: string): Uint8Array =>
  packReview({ entries: entriesOf(commands), blobs: new Map() }, title)

/** Opens a review on a stage in a page of its own, from its package. */
export async function openReview(
  browser: Browser,
  base: string,
  id: string,
  bytes: Uint8Array,
  stage: string,
): Promise<Page> {
  const page = await (await browser.newContext(DESK)).newPage()
  mkdirSync('test-results', { recursive: true })
  const file = path.join('test-results', `${id}.zip`)
  writeFileSync(file, bytes)
  await page.goto(base)
  await page.locator('input[type=file]').setInputFiles(file)
  await page.waitForURL(/review/)
  await page.goto(`${base}/review/${id}/${stage}`)
  return page
}

/** Serves the built app and hands out a browser for as long as `work` lasts. */
export async function withApp(work: (browser: Browser, base: string) => Promise<void>): Promise<void> {
  const port = process.env.PORT ?? '4385'
  const base = `http://127.0.0.1:${port}`
  const server = spawn('node', ['scripts/serve.mjs'], {
    env: { ...process.env, PORT: port },
    stdio: 'ignore',
  })
  const up = (): Promise<boolean> =>
    fetch(base).then(
      () => true,
      () => false,
    )
  try {
    for (let i = 0; i < 60 && !(await up()); i++) await new Promise((done) => setTimeout(done, 500))
    const browser = await chromium.launch({
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu'],
    })
    try {
      await work(browser, base)
    } finally {
      await browser.close()
    }
  } finally {
    server.kill()
  }
}

/** Watches for work that holds the page. */
export const watch = async (page: Page): Promise<void> => {
  await page.addInitScript(() => {
    const held: number[] = []
    ;(window as unknown as { held: number[] }).held = held
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) held.push(entry.duration)
    }).observe({ type: 'longtask', buffered: true })
  })
}
/** The longest of it since. */
export const longest = (page: Page): Promise<number> =>
  page.evaluate(() => Math.max(0, ...(window as unknown as { held: number[] }).held))

export const say = (what: string, list: number[]): void =>
  console.log(
    `${what}: median ${at(list, 0.5).toFixed(1)} ms, 95th ${at(list, 0.95).toFixed(1)} ms, most ${at(list, 0.999).toFixed(1)} ms`,
  )

/** Is the broad pass on the screen? A text: it runs in the page. */
export const PASS_SHOWN = `[...document.querySelectorAll('h2')].some((h) => h.textContent === 'Broad pass')`
