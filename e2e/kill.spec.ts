import { chromium, expect, type Page } from '@playwright/test'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { crash, test } from './help'

/** Few in each run of the tests, all of them in `npm run reliability`. */
const KILLS = process.env.RELIABILITY ? 12 : 1
/** A key so often; what is older than `OLD` when the browser is killed must be there again. Both in milliseconds. */
const EVERY = 145
const OLD = 500

const TEXT =
  'Do sound conditions in classrooms bear on how pupils listen and read when there is babble about them? '

async function typed(page: Page, until: number): Promise<{ text: string; at: number[] }> {
  const at: number[] = []
  let text = ''
  const begun = Date.now()
  while (Date.now() - begun < until) {
    const letter = TEXT[text.length % TEXT.length]!
    await page.keyboard.type(letter)
    text += letter
    at.push(Date.now())
    await page.waitForTimeout(Math.max(0, EVERY - 25))
  }
  return { text, at }
}

test(`what is typed without a pause survives ${KILLS === 1 ? 'a kill' : `${KILLS} kills`} of the browser, but for the last half second`, async ({
  baseURL,
}, info) => {
  const profile = mkdtempSync(path.join(tmpdir(), 'luvren-kill-'))
  const launch = () =>
    chromium.launchPersistentContext(profile, {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      args: info.project.use.launchOptions?.args ?? ['--no-sandbox'],
      baseURL: baseURL!,
    })
  const lost: number[] = []
  let url = ''
  try {
    for (let n = 0; n < KILLS; n++) {
      const context = await launch()
      const page = context.pages()[0] ?? (await context.newPage())
      if (n === 0) {
        await page.goto('/')
        await page.getByRole('button', { name: 'Begin a review' }).click()
        await page.waitForURL(/question/)
        url = page.url()
      } else {
        await page.goto(url)
        await page.getByRole('button', { name: 'Change the wording' }).click()
      }
      const field = page.getByRole('textbox', { name: 'The question' })
      await expect(field).toBeFocused()
      await field.fill('')
      const { text, at } = await typed(page, 1500 + ((n * 293) % 1700))
      const killed = Date.now()
      await crash(context)
      const again = await launch()
      const after = again.pages()[0] ?? (await again.newPage())
      await after.goto(url)
      await expect(
        after.getByRole('heading', { level: 1 }).or(after.locator('.question-text')).first(),
      ).toBeVisible()
      const there = await after.evaluate(() => document.querySelector('.question-text')?.textContent ?? '')
      const old = at.filter((t) => t < killed - OLD).length
      const kept = there.trimEnd().length
      expect(text.startsWith(there.trimEnd()), `kill ${n + 1}: “${there}” of “${text}”`).toBe(true)
      // A space at the end is not shown.
      expect(
        kept,
        `kill ${n + 1}: ${kept} of ${text.length} letters, ${old} of them old`,
      ).toBeGreaterThanOrEqual(old - 1)
      lost.push(text.length - kept)
      await again.close()
    }
  } finally {
    rmSync(profile, { recursive: true, force: true })
  }
  info.annotations.push({ type: 'letters lost at each kill', description: lost.join(' ') })
})
