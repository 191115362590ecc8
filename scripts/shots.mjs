// npm run shots: rewrites docs/screenshots from the demo review. ONLY=question,terms limits it; OUT= another folder;
// THEME=dark the other theme.
import { spawn } from 'node:child_process'
import { mkdirSync, readFileSync } from 'node:fs'
import { chromium } from '@playwright/test'
import { buildApp, findChromium, install, root } from './lib.mjs'

// A history as a page of the first database might give it: the newest first, spaces in its numbers, a line that broke off.
install()
await buildApp()
const port = process.env.PORT ?? '4379'
const out = process.env.OUT ?? `${root}/docs/screenshots`
mkdirSync(out, { recursive: true })
const server = spawn(process.execPath, ['scripts/serve.mjs'], {
  env: { ...process.env, PORT: port },
  stdio: 'ignore',
})
const base = `http://127.0.0.1:${port}`
for (let i = 0; i < 60; i++) {
  const up = await fetch(base).then(
    () => true,
    () => false,
  )
  if (up) break
  await new Promise((r) => setTimeout(r, 500))
}
const browser = await chromium.launch({
  executablePath: findChromium(),
  args: ['--no-sandbox', '--disable-gpu'],
})
try {
  const page = await browser.newPage({
    viewport: { width: 1280, height: 800 },
    colorScheme: process.env.THEME === 'dark' ? 'dark' : 'light',
  })
  page.on('pageerror', (e) => console.error('page error:', e.message))
  page.on('console', (m) => m.type() === 'error' && console.error('console:', m.text()))
  const wanted = process.env.ONLY?.split(',')
  const shot = async (name, prepare) => {
    if (wanted && !wanted.includes(name)) return
    await prepare?.()
    await page.waitForTimeout(700)
    await page.mouse.move(640, 798)
    await page.screenshot({ path: `${out}/${name}.png` })
    console.log(name)
  }
  const stage = (name) =>
    page.goto(`${base}/review/${name}?id=demo`).then(() => page.waitForSelector('#stage h1, .question-text'))
  await page.goto(`${base}/demo`)
  await page.waitForURL(/question/)
  await page.waitForSelector('.question-text')
  await shot('question', () => stage('question'))
  const cell = (n) =>
    page
      .locator('td')
      .nth(n)
      .click({ position: { x: 140, y: 3 } })
  await shot('terms', async () => {
    await stage('terms')
    await cell(5)
    await page.getByLabel('Look up a heading').fill('echo in rooms')
    await page.waitForSelector('.elsewhere')
  })
  await shot('harvest', async () => {
    await stage('terms')
    await page.keyboard.press('h')
    await page.getByText(/Works ruled in/).click()
    await page.waitForSelector('#harvest')
  })
  await shot('searches', async () => {
    await stage('searches')
    await page.getByRole('tab', { name: /^Wideband/ }).click()
    await page.locator('[data-line="1"]').click()
    await page.waitForSelector('.translation')
  })
  for (const [name, key, wait] of [
    ['advice', '5', '.remark'],
    ['board', '6', '.board table'],
  ])
    await shot(name, async () => {
      await stage('searches')
      await page.keyboard.press(key)
      await page.waitForSelector(wait)
    })
  await shot('records', async () => {
    await stage('records')
    await page.locator('.works-row .title').first().waitFor()
    for (let n = 0; n < 4; n++) await page.keyboard.press('ArrowDown')
    await page.waitForTimeout(600)
  })
  for (const [name, key, wait] of [
    ['settle', 't', '.settle-pair'],
    ['overlap', 'o', '.overlap-row'],
    ['references', 'f', '.reference-entries li'],
  ])
    await shot(name, async () => {
      await stage('records')
      await page.locator('.works-row .title').first().waitFor()
      await page.keyboard.press(key)
      await page.waitForSelector(wait)
    })
  await shot('selection', async () => {
    await stage('selection')
    await page.waitForSelector('.record-title')
  })
  await shot('flow', async () => {
    await stage('selection')
    await page.keyboard.press('f')
    await page.waitForSelector('.flow-row')
  })
  await shot('methods', () => stage('methods'))
  await shot('protocol', async () => {
    await stage('methods')
    await page.keyboard.press('o')
    await page.waitForSelector('#protocol')
  })
  await shot('search-review', async () => {
    await stage('methods')
    await page.keyboard.press('r')
    await page.waitForSelector('.search-comment')
  })
  // Last of all: it changes the text.
  const margin = async () => {
    await stage('methods')
    await page.locator('#passage-judged .tiptap').click()
    await page.keyboard.press('Control+End')
    await page.keyboard.type(' Getting 17 further reports was difficult. We exclude them.')
    await page.locator('#passage-judged').getByText('beside the draft').click()
    await page.waitForSelector('.beside')
    await page.waitForTimeout(1500)
  }
  await shot('shelf', async () => {
    await page.goto(base)
    await page.waitForSelector('.shelf-row')
  })
  await shot('searches-dark', async () => {
    await page.emulateMedia({ colorScheme: 'dark' })
    await stage('searches')
    await page.locator('[data-line="4"]').click()
    await page.waitForSelector('.translation')
  })
  await page.emulateMedia({ colorScheme: 'light' })
  await shot('margin', margin)
  // It adds a database to the demo, so nothing of the demo may be shown after it.
  await shot('describe', async () => {
    await page.emulateMedia({ colorScheme: 'light' })
    await stage('question')
    await page.getByLabel('Description of a database').setInputFiles({
      name: 'lantern.json',
      mimeType: 'application/json',
      buffer: Buffer.from(/```json\n([\s\S]*?)```/.exec(readFileSync(`${root}/docs/profiles.md`, 'utf8'))[1]),
    })
    await page.getByRole('button', { name: 'how it speaks' }).click()
    await page.waitForSelector('.describe-try .theirs')
  })
} finally {
  await browser.close()
  server.kill()
}
