// What comes with Luvren is slow, gone or another build's; and a newer Luvren is handed out while one works.
import { expect, type Page } from '@playwright/test'
import { createServer, request as ask, type Server } from 'node:http'
import { accessible, openDemo, saved, stage, test } from './help'

const RECORDS = /\/data\/quayside\.2026-09/
/** On the sheet of Quayside, with a line changed, so that something has to be run. */
async function changedLine(page: Page, word: string): Promise<void> {
  await page.locator('[data-line="2"]').dblclick()
  await page.locator('.cm-content').click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type(` OR ${word}`)
  await page.keyboard.press('Enter')
  await expect(page.locator('.sheet-row .hits.stale').first()).toBeVisible()
}

test('records of a database that are slow, gone or damaged are named, and nothing is run by halves', async ({
  page,
}) => {
  let hold: () => void = () => undefined
  const held = new Promise<void>((done) => (hold = done))
  let asked = 0
  let answer: 'hold' | 'none' | 'other' | 'own' = 'none'
  await page.route(RECORDS, async (route) => {
    asked++
    if (answer === 'none') return route.fulfill({ status: 404 })
    if (answer === 'other') return route.fulfill({ path: 'public/data/girder.2026-09.json.gz' })
    if (answer === 'hold') await held
    return route.continue()
  })
  await openDemo(page, 'searches')
  await page.getByRole('tab', { name: /^Quayside/ }).click()
  await changedLine(page, 'clatter')
  const stale = await page.locator('.sheet-row .hits.stale').count()
  const bar = page.locator('.trouble')
  const again = bar.getByRole('button', { name: 'Try again' })
  const stands = async (words: RegExp): Promise<void> => {
    await expect(bar).toContainText(words)
    expect(await page.locator('.sheet-row .hits.stale').count()).toBe(stale)
  }
  await page.keyboard.press('r')
  await stands(/The records of Quayside .* are not where this Luvren is kept/)
  // What is shown of the chosen line does not say that it is still coming.
  await expect(page.getByText('Opening Quayside')).toHaveCount(0)
  answer = 'other'
  await again.click()
  await stands(/The records of Quayside .* came damaged, or belong to another Luvren/)
  await accessible(page, 'data gone', '.trouble')

  answer = 'hold'
  const before = asked
  await again.click()
  const late = bar.getByText(/The records of Quayside .* have not come yet/)
  await expect(late).toBeVisible()
  expect(asked).toBe(before + 1)
  await page.locator('[data-line="2"]').click()
  await page.keyboard.press('r')
  answer = 'own'
  await page.getByRole('button', { name: 'Ask anew' }).click()
  await expect(late).toBeHidden()
  await expect(page.locator('.sheet-row .hits.stale')).toHaveCount(0)
  await saved(page)
  hold()
})

/** The app as the server of all walks hands it out, until it is told to hand out a newer service worker. */
async function twoBuilds(baseURL: string, port: number): Promise<{ server: Server; newer: () => void }> {
  let isNewer = false
  const server = createServer((of, to) => {
    const { hostname, port: own } = new URL(baseURL)
    const headers = { ...of.headers, 'accept-encoding': 'identity' }
    const passed = ask({ hostname, port: own, path: of.url, method: of.method, headers }, (answer) => {
      const changed = isNewer && of.url === '/sw.js'
      const { 'content-length': _, etag: __, ...others } = answer.headers
      to.writeHead(answer.statusCode!, changed ? others : answer.headers)
      answer.on('data', (part) => to.write(part))
      answer.on('end', () => to.end(changed ? '\n// another build\n' : undefined))
    })
    of.pipe(passed)
  })
  await new Promise<void>((ready) => server.listen(port, '127.0.0.1', ready))
  return { server, newer: () => (isNewer = true) }
}

test.describe('with a service worker', () => {
  test.use({ serviceWorkers: 'allow' })

  test('a newer Luvren waits until somebody wants it, names the other tabs, and then shows the page', async ({
    context,
    page,
    baseURL,
  }, info) => {
    const { server, newer } = await twoBuilds(baseURL!, 4600 + info.workerIndex)
    const home = `http://127.0.0.1:${4600 + info.workerIndex}/`
    try {
      await page.goto(home)
      await expect(page.getByText(/Luvren opens (and searches )?in this browser without/)).toBeVisible()
      await page.getByRole('button', { name: 'Open the demo review' }).click()
      await page.locator('.question-text').waitFor()
      await stage(page, 'Records')
      newer()
      const other = await context.newPage()
      await other.goto(home)
      const foot = other.getByText(/A newer Luvren is here/)
      await expect(foot).toBeVisible()
      // It is offered, and nothing changes by itself: the page that was open goes on as it was.
      await stage(page, 'Searches')
      await expect(page.locator('[data-line="4"]')).toBeVisible()
      await other.getByRole('button', { name: 'now' }).click()
      await expect(foot).toContainText('when 1 other tab of it is closed')
      await page.close()
      await other.getByRole('button', { name: 'now' }).click()
      await expect(foot).toBeHidden()
      await expect(other.getByText(/How do|Sound|review/i).first()).toBeVisible()
      await other.goto(`${home}review/methods?id=demo`)
      await expect(other.locator('#stage')).not.toContainText('Opening')
    } finally {
      server.closeAllConnections()
      server.close()
    }
  })
})
