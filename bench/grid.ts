// The term grid with 8 concepts and 400 terms beside one with 8 and 16, in a real browser: from a key to the next frame.
import { spawn } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import path from 'node:path'
import { chromium, type Page } from '@playwright/test'
import { LETTERS, nextEntry, packReview, type Command, type Entry } from '../src/core/review'
import { STANDINS } from '../src/standins'

const PORT = process.env.PORT ?? '4385'
const base = `http://127.0.0.1:${PORT}`

function review(id: string, terms: number): Uint8Array {
  const entries: Entry[] = []
  const act = (command: Command): void => {
    const at = new Date(Date.UTC(2026, 10, 16, 8, 0, entries.length)).toISOString()
    entries.push(nextEntry(entries[entries.length - 1], command, at, 'M. Osei'))
  }
  act({ kind: 'review.create', payload: { id, title: `Grid of ${terms}` } })
  act({ kind: 'question.set', payload: { text: 'What does noise do?' } })
  for (const letter of LETTERS)
    act({
      kind: 'concept.set',
      payload: { id: letter, letter, name: `Concept ${letter}`, essential: true, note: '' },
    })
  const columns = STANDINS.filter((s) => s.vocabularyTitle)
  for (const s of columns)
    act({
      kind: 'source.set',
      payload: { id: s.id, kind: 'database', name: s.name, profileId: s.id, why: '' },
    })
  for (let n = 0; n < terms; n++) {
    const column = n % 4
    act({
      kind: 'term.set',
      payload: {
        id: `t${n}`,
        conceptId: LETTERS[n % LETTERS.length]!,
        sourceId: column ? columns[column - 1]!.id : 'all',
        kind: column ? 'heading' : 'text',
        expression: column ? `Heading number ${n}` : `word${n}*`,
        withNarrower: n % 3 === 0,
        mainFocus: false,
        origin: 'typed',
        status: n % 11 ? 'in use' : 'dropped',
      },
    })
  }
  return packReview({ entries, blobs: new Map() }, `Grid of ${terms}`)
}

/** Milliseconds from a key to the frame that shows what it did, many times over. */
async function keystrokes(page: Page, keys: string[]): Promise<number[]> {
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

const at = (list: number[], part: number): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length * part)]!

async function main(): Promise<void> {
  const server = spawn('node', ['node_modules/next/dist/bin/next', 'start', '-p', PORT], { stdio: 'ignore' })
  try {
    for (
      let i = 0;
      i < 60 &&
      !(await fetch(base).then(
        () => true,
        () => false,
      ));
      i++
    )
      await new Promise((done) => setTimeout(done, 500))
    const browser = await chromium.launch({
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu'],
    })
    const medians: Record<string, number[]> = {}
    for (const terms of [16, 400]) {
      const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
      const file = path.join('test-results', `grid-${terms}.zip`)
      writeFileSync(file, review(`grid-${terms}`, terms))
      await page.goto(base)
      await page.locator('input[type=file]').setInputFiles(file)
      await page.waitForURL(/review/)
      await page.goto(`${base}/review/grid-${terms}/terms`)
      await page.waitForSelector('.grid .chip')
      await page.waitForTimeout(6000)
      const walk = await keystrokes(
        page,
        Array.from(
          { length: 40 },
          (_, i) => ['ArrowRight', 'ArrowDown', 'ArrowLeft', 'ArrowUp'][Math.floor(i / 2) % 4]!,
        ),
      )
      await page.keyboard.press('ArrowLeft')
      await page
        .locator('.grid td')
        .first()
        .click({ position: { x: 120, y: 4 } })
      await page.keyboard.press('/')
      const typing = await keystrokes(page, [...'reverberati', 'Backspace', ...'ion noise sound'])
      medians[terms] = [at(walk, 0.5), at(typing, 0.5)]
      const say = (what: string, list: number[]): void =>
        console.log(
          `${terms} terms, ${what}: median ${at(list, 0.5).toFixed(1)} ms, 95th ${at(list, 0.95).toFixed(1)} ms, most ${at(list, 0.999).toFixed(1)} ms`,
        )
      say('from cell to cell', walk)
      say('typing a word    ', typing)
      await page.close()
    }
    console.log(
      `ratio of medians, 400 to 16 terms: from cell to cell ${(medians[400]![0]! / medians[16]![0]!).toFixed(2)}, typing ${(medians[400]![1]! / medians[16]![1]!).toFixed(2)}`,
    )
    await browser.close()
  } finally {
    server.kill()
  }
}
void main()
