import { expect, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { openDemo, saved, stage, test } from './help'

const STAGES = ['Question', 'Terms', 'Searches', 'Records', 'Selection', 'Methods']

test('every answer says what may run, all stages work under it, and nothing is refused', async ({ page }) => {
  const refused: string[] = []
  page.on('console', (m) => m.type() === 'error' && refused.push(m.text()))
  const scripts: string[] = []
  page.on('response', (answer) => {
    const { 'content-security-policy': policy = '', 'x-content-type-options': sniff } = answer.headers()
    const { pathname } = new URL(answer.url())
    expect(policy, pathname).toContain("default-src 'none'; script-src 'self'")
    expect(policy, pathname).not.toMatch(/script-src[^;]*(?:(?<!wasm-)unsafe-eval|unsafe-inline)/)
    expect(sniff, pathname).toBe('nosniff')
    if (policy.includes('wasm-unsafe-eval')) scripts.push(pathname)
  })
  await openDemo(page, 'question', 'first')
  for (const name of STAGES) {
    await stage(page, name)
    await expect(page.locator('#stage')).not.toContainText('Opening')
  }
  const [word] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /^Word/ }).click(),
  ])
  expect(readFileSync(await word.path()).length).toBeGreaterThan(10_000)
  expect(refused).toEqual([])
  // What draws figures may be compiled in workers, and nowhere else.
  expect(scripts.length).toBeGreaterThan(0)
  for (const path of scripts) expect(path).toContain('worker')
  await page.goto('/review/demo/terms')
  await expect(page).toHaveURL(/\/review\/terms\?id=demo$/)
})

test('a review that is open in another tab is not removed, and can be when it was left there', async ({
  context,
  page,
}) => {
  await openDemo(page, 'selection')
  const other = await context.newPage()
  await other.goto('/')
  await other.getByRole('button', { name: 'Put away' }).click()
  await other.getByText('1 review put away').click()
  await other.getByRole('button', { name: 'Remove for good' }).click()
  await other.getByRole('dialog').getByRole('button', { name: 'Remove for good' }).click()
  await expect(other.getByText('open in another tab or window')).toBeVisible()
  await page.keyboard.press('ArrowDown')
  await page.reload()
  await expect(page.locator('.pass-head')).toContainText('of')
})

test('where all data of the page are removed while one works, nothing is said to be on disk that is not', async ({
  page,
}) => {
  await openDemo(page, 'selection')
  await saved(page)
  const cdp = await page.context().newCDPSession(page)
  await cdp.send('Storage.clearDataForOrigin', {
    origin: new URL(page.url()).origin,
    storageTypes: 'indexeddb',
  })
  const trouble = page.getByRole('alert').filter({ hasText: 'were removed from this browser' })
  await expect(trouble).toContainText('nothing is written here any more')
  await expect(trouble).toContainText('Nowhere to be had any more')
  await expect(trouble).not.toContainText('Everything you did is on disk')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    trouble.getByRole('button', { name: 'Save a package' }).click(),
  ])
  expect(readFileSync(await file.path()).length).toBeGreaterThan(100_000)
})

const withoutWorkers = (page: Page): Promise<unknown> => page.route(/worker/i, (route) => route.abort())

test('where the workers do not come, the review opens all the same, is told of and can be saved', async ({
  context,
  page,
}) => {
  await openDemo(page)
  await saved(page)
  const other = await context.newPage()
  await withoutWorkers(other)
  await other.goto('/review/question?id=demo')
  await expect(other.locator('.question-text')).toBeVisible()
  await expect(other.locator('.trouble')).toContainText('could not be started')
  const [file] = await Promise.all([other.waitForEvent('download'), other.keyboard.press('Shift+S')])
  expect(readFileSync(await file.path()).length).toBeGreaterThan(300_000)
  await other.unroute(/worker/i)
  await other.getByRole('button', { name: 'Try again' }).click()
  await expect(other.locator('.trouble')).toBeHidden()
  // A server that hands out another build: the page says that it is of an older one.
  const third = await context.newPage()
  await withoutWorkers(third)
  await third.route('/health', (route) => route.fulfill({ json: { luvren: 'here', build: 'another' } }))
  await third.goto('/review/question?id=demo')
  await expect(third.getByText('A newer Luvren is there: reload this page')).toBeVisible()
})

test('a browser that lacks what is needed is told so in plain words', async ({ page }) => {
  await page.addInitScript(() => delete (Navigator.prototype as unknown as { locks?: unknown }).locks)
  await page.goto('/')
  await expect(page.getByText('This browser is too old for Luvren')).toBeVisible()
})
