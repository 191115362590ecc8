import { expect } from '@playwright/test'
import { spawn, type ChildProcess } from 'node:child_process'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { nameReader, saved, stage, test } from './help'

test.use({ serviceWorkers: 'allow' })

/** A server of this walk's own, which it can stop. */
async function ownServer(port: string): Promise<ChildProcess> {
  const server = spawn(process.execPath, [path.join(import.meta.dirname, '..', 'scripts', 'serve.mjs')], {
    env: { ...process.env, PORT: port },
  })
  await new Promise<void>((ready, failed) => {
    server.stdout.on('data', (said) => /Ready/.test(String(said)) && ready())
    server.on('exit', (code) => failed(new Error(`The server ended with ${code}.`)))
  })
  return server
}

test('the server is stopped before a second page was opened: demo, search, ruling, Word, package and each stage anew', async ({
  page,
}, info) => {
  const port = String(4500 + info.workerIndex)
  const server = await ownServer(port)
  try {
    await page.goto(`http://127.0.0.1:${port}/`)
    await expect(page.getByText('opens and searches in this browser without a network')).toBeVisible({
      timeout: 180_000,
    })
  } finally {
    server.removeAllListeners('exit')
    server.kill()
    await new Promise((ended) => server.on('exit', ended))
  }
  await page.getByRole('button', { name: 'Open the demo review' }).click()
  await expect(page.locator('.question-text')).toBeVisible()

  await stage(page, 'Searches')
  await page.locator('[data-line="4"]').dblclick()
  await page.locator('.cm-content').click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type(' OR title: sound')
  await page.keyboard.press('Enter')
  await expect(page.locator('.sheet-row .hits.stale').first()).toBeVisible()
  await page.keyboard.press('r')
  await expect(page.locator('.sheet-row .hits.stale')).toHaveCount(0)

  await stage(page, 'Selection')
  await page.locator('#stage').focus()
  await page.keyboard.press('ArrowRight')
  await nameReader(page, 'A. Quill')
  await saved(page)

  await stage(page, 'Methods')
  const [word] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /^Word/ }).click(),
  ])
  expect(readFileSync(await word.path()).length).toBeGreaterThan(100_000)
  const [file] = await Promise.all([page.waitForEvent('download'), page.keyboard.press('Shift+S')])
  expect(readFileSync(await file.path()).length).toBeGreaterThan(500_000)

  for (const name of ['question', 'terms', 'searches', 'records', 'selection', 'methods']) {
    await page.goto(`http://127.0.0.1:${port}/review/${name}?id=demo`)
    await expect(page.locator('#stage')).toBeVisible()
    await expect(page.locator('#stage')).not.toContainText('Opening')
  }
  // An address of before.
  await page.goto(`http://127.0.0.1:${port}/review/demo/terms`)
  await expect(page).toHaveURL(/\/review\/terms\?id=demo$/)
})
