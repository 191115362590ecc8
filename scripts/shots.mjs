// npm run shots: rewrites docs/screenshots from the demo review. ONLY=question,terms limits it; OUT= another folder;
// THEME=dark the other theme.
import { spawn } from 'node:child_process'
import { mkdirSync } from 'node:fs'
import { chromium } from '@playwright/test'
import { buildApp, findChromium, install, root } from './lib.mjs'

install()
buildApp()
const port = process.env.PORT ?? '4379'
const out = process.env.OUT ?? `${root}/docs/screenshots`
mkdirSync(out, { recursive: true })
const server = spawn('node', ['node_modules/next/dist/bin/next', 'start', '-p', port], { stdio: 'ignore' })
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
    page.goto(`${base}/review/demo/${name}`).then(() => page.waitForSelector('#stage h1, .question-text'))
  await page.goto(`${base}/demo`)
  await page.waitForURL(/question/)
  await page.waitForSelector('.question-text')
  await shot('question', () => stage('question'))
  await shot('known-items', async () => {
    await stage('question')
    await page.locator('#known-head').scrollIntoViewIfNeeded()
    await page
      .getByText(/held by/)
      .first()
      .waitFor()
    await page.locator('#stage').evaluate((room) => room.scrollTo(0, room.scrollHeight))
  })
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
  await shot('terms-words', async () => {
    await stage('terms')
    await cell(8)
    await page.getByLabel(/New words/).fill('read*')
    await page.waitForSelector('.word-report')
  })
  await shot('harvest', async () => {
    await stage('terms')
    await page.keyboard.press('h')
    await page.getByText(/Works kept in selection/).click()
    await page.waitForSelector('#harvest')
  })
  await shot('searches', async () => {
    await stage('searches')
    await page.getByRole('tab', { name: /^Wideband/ }).click()
    await page.locator('[data-line="1"]').click()
    await page.waitForSelector('.translation')
  })
  await shot('limits', async () => {
    await stage('searches')
    await page.keyboard.press('2')
    await page.getByText(/before any limit/).waitFor()
  })
  for (const [name, key, wait] of [
    ['advice', '5', '.remark'],
    ['board', '6', '.board table'],
    ['peek', '8', '.peek-record'],
  ])
    await shot(name, async () => {
      await stage('searches')
      await page.keyboard.press(key)
      await page.waitForSelector(wait)
    })
  await shot('all-sources', async () => {
    await stage('searches')
    await page.keyboard.press('a')
    await page.waitForSelector('.all-sources')
  })
  await shot('line-editor', async () => {
    await stage('searches')
    await page.locator('[data-line="4"]').dblclick()
    await page.waitForSelector('.cm-content')
    await page.keyboard.press('End')
    await page.keyboard.type(' OR (rattle AND')
  })
  if (await page.locator('.cm-content').count()) {
    await page.locator('.cm-content').click()
    await page.keyboard.press('Escape')
    await page.keyboard.press('Escape')
    await page.waitForTimeout(300)
  }
  await shot('records', () => stage('records'))
  await shot('selection', () => stage('selection'))
  await shot('methods', () => stage('methods'))
  await shot('palette', async () => {
    await stage('searches')
    await page.keyboard.press('k')
    await page.waitForSelector('.palette input')
  })
  await shot('shelf', async () => {
    await page.goto(base)
    await page.waitForSelector('.shelf-row')
  })
  await shot('new-review', async () => {
    await page.goto(base)
    await page.getByRole('button', { name: 'Begin a review' }).click()
    await page.waitForSelector('.question-edit')
  })
} finally {
  await browser.close()
  server.kill()
}
