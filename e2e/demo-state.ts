import { chromium, expect, type FullConfig } from '@playwright/test'
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'

/** A browser in which the demo was opened once, and nobody has worked: other tests begin there. */
export const DEMO_STATE = path.join(import.meta.dirname, '../test-results/demo-state.json')

/** How many states to open from the browser keeps. */
const statesKept = (): Promise<number> =>
  new Promise((done, failed) => {
    const opening = indexedDB.open('luvren')
    opening.onerror = () => failed(opening.error)
    opening.onsuccess = () => {
      const db = opening.result
      const asked = db.transaction('snapshots').objectStore('snapshots').count()
      asked.onerror = () => failed(asked.error)
      asked.onsuccess = () => {
        db.close()
        done(asked.result)
      }
    }
  })

/** Opens the demo once, as a person does the first time, before all tests. */
export default async function openOnce(config: FullConfig): Promise<void> {
  const { baseURL, launchOptions } = config.projects[0]!.use
  const browser = await chromium.launch(launchOptions)
  const context = await browser.newContext({ baseURL: baseURL! })
  const page = await context.newPage()
  await page.goto('/demo')
  await expect(page.locator('.question-text')).toBeVisible({ timeout: 180_000 })
  await expect(page.locator('[data-state="saved"]')).toBeVisible()
  // A state to open from is kept once the journal was checked.
  await expect.poll(() => page.evaluate(statesKept), { timeout: 180_000 }).toBeGreaterThan(0)
  mkdirSync(path.dirname(DEMO_STATE), { recursive: true })
  await context.storageState({ path: DEMO_STATE, indexedDB: true })
  await browser.close()
  // Who works in a browser is made there, and never the same in two.
  const state = JSON.parse(readFileSync(DEMO_STATE, 'utf8')) as {
    origins: { indexedDB?: { name: string; stores: { name: string; records: unknown[] }[] }[] }[]
  }
  for (const { indexedDB = [] } of state.origins)
    for (const { stores } of indexedDB)
      for (const store of stores) if (store.name === 'settings') store.records = []
  writeFileSync(DEMO_STATE, JSON.stringify(state))
}
