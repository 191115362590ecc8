// Two readers in two browsers, files between them; conflicts, full texts, the close pass, other ways, the flow.
import { readFileSync, writeFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import { FIGURE_FONTS, rasteriser } from '../src/core/picture'
import { accessible, flowNumbers, nameReader, openDemo, saved, twoBrowsers, test, hasSaid } from './help'

const go = async (page: Page, pane: string): Promise<void> => {
  await page.getByRole('tab', { name: new RegExp(`^${pane}`) }).click()
}
/** The numbers of the flow by the words behind them, of the first column. */
const flowOf = async (page: Page): Promise<Record<string, number>> => {
  await go(page, 'Flow')
  return flowNumbers(page, 0)
}
const addsUp = (f: Record<string, number>): void => {
  const n = (words: string): number => f[words] ?? 0
  expect(n('records identified')).toBe(
    n('described a work already found') +
      n('removed before screening') +
      n('not read yet') +
      n('titles and abstracts read'),
  )
  expect(n('full texts to be sought')).toBe(
    n('not looked for yet') + n('not to be had') + n('awaited or unread') + n('full texts read'),
  )
}

test('two readers read apart, hand their rulings over, settle what differs, and the flow adds up all the while', async ({
  browser,
}, info) => {
  // A long way for two browsers, twice with figures drawn.
  const [one, other] = await twoBrowsers(browser)
  await openDemo(one)
  await openDemo(other)
  const file = info.outputPath('rulings.luvren.json')

  await test.step('the second reader rules in her own browser, and saves her rulings', async () => {
    await other.goto('/review/selection?id=demo')
    await expect(other.getByRole('heading', { name: 'Broad pass' })).toBeVisible()
    await accessible(other, 'Broad pass', '.selecting')
    await other.locator('#stage').focus()
    await other.keyboard.press('ArrowRight')
    await nameReader(other, 'S. Ebers')
    for (let n = 0; n < 3; n++) await other.keyboard.press('ArrowRight')
    await expect(other.locator('.pass-head')).toContainText('5 of')
    await go(other, 'Readers')
    const download = other.waitForEvent('download')
    await other.keyboard.press('s')
    writeFileSync(file, readFileSync(await (await download).path()))
  })

  await test.step('her file comes in, once and again, and what she saw differently is settled', async () => {
    await one.goto('/review/selection?id=demo')
    const before = await flowOf(one)
    addsUp(before)
    await go(one, 'Readers')
    await expect(one.locator('.agreement')).toContainText('Cohen’s kappa is')
    const waiting = one.getByRole('tab', { name: /^To settle/ }).locator('i')
    const conflicts = Number(await waiting.innerText())
    await one.locator('input[aria-label="A reader’s file"]').setInputFiles(file)
    await hasSaid(one, 'Taken in: 4 new rulings.')
    await one.locator('input[aria-label="A reader’s file"]').setInputFiles(file)
    await expect(one.getByText('All of this file is here already.')).toBeVisible()
    await expect(one.locator('.agreements')).toContainText('S. Ebers')
    await expect.poll(async () => Number(await waiting.innerText())).toBeGreaterThan(conflicts)
    const now = Number(await waiting.innerText())
    await accessible(one, 'Readers', '.selecting')
    await go(one, 'To settle')
    await one.getByRole('region', { name: 'To settle' }).waitFor()
    await accessible(one, 'To settle', '.selecting')
    addsUp(await flowOf(one))
    await go(one, 'To settle')
    await one.locator('#stage').focus()
    await one.keyboard.press('1')
    await nameReader(one, 'A. Quill')
    await expect.poll(async () => Number(await waiting.innerText())).toBe(now - 1)
    addsUp(await flowOf(one))
  })

  await test.step('a full text is not to be had, and one is out by one main reason', async () => {
    const before = await flowOf(one)
    await go(one, 'Full texts')
    await one.locator('.texts-row').first().waitFor()
    await accessible(one, 'Full texts', '.selecting')
    await one.locator('#stage').focus()
    await one.keyboard.press('6')
    const why = one.getByRole('dialog', { name: 'Why was it not to be had?' })
    // Keys are heard when the answers have the focus.
    await expect(why.locator('[class*="choices"]:focus')).toBeVisible()
    await one.keyboard.press('0')
    await expect(why.getByRole('textbox')).toBeFocused()
    await one.keyboard.type('the volume is lost')
    await one.keyboard.press('Enter')
    await expect(one.locator('.texts-row.on')).toContainText('not to be had: the volume is lost')
    const fetched = await flowOf(one)
    addsUp(fetched)
    expect(fetched['not to be had']).toBe((before['not to be had'] ?? 0) + 1)
    await go(one, 'Close pass')
    await one.locator('.pass-head').waitFor()
    await one.locator('#stage').focus()
    // Its text is noted already; of one that is not it would be asked where it was had.
    await one.keyboard.press('ArrowLeft')
    await one.getByLabel('Another reason').fill('the room was no classroom')
    await one.keyboard.press('Enter')
    await expect(one.getByLabel('Another reason')).toBeHidden()
    await expect(one.locator('.pass-head')).toContainText('2 of')
    await one.keyboard.press('ArrowUp')
    await expect(one.locator('.pass-head')).toContainText('ruled out: the room was no classroom')
    addsUp(await flowOf(one))
    await accessible(one, 'Flow', '.selecting')
  })

  await test.step('the flow is drawn here as on a command line, with the same bytes', async () => {
    await go(one, 'Flow')
    const drawnAs = async (button: string): Promise<Uint8Array> => {
      const download = one.waitForEvent('download')
      await one.locator('.flow-head').getByRole('button', { name: button }).click()
      return readFileSync(await (await download).path())
    }
    const svg = new TextDecoder().decode(await drawnAs('Save as SVG'))
    expect(svg).toContain('@font-face')
    const bytes = (file: string): Uint8Array<ArrayBuffer> => new Uint8Array(readFileSync(file))
    const drawing = await rasteriser(
      bytes('node_modules/@resvg/resvg-wasm/index_bg.wasm'),
      FIGURE_FONTS.map((f) => ({
        ...f,
        woff: bytes(`node_modules/@fontsource/atkinson-hyperlegible-next/files/${f.file}`),
      })),
    )
    expect(Buffer.compare(await drawnAs('PNG'), drawing.png(svg))).toBe(0)
  })

  await test.step('references are followed, a page is noted, and all of it is there after the browser was closed', async () => {
    await go(one, 'Other ways')
    await one.getByRole('button', { name: /^Read the references of/ }).click()
    await expect(one.locator('.way-step').nth(1)).toContainText('Step 2')
    await saved(one)
    await one.reload()
    await go(one, 'Other ways')
    await expect(one.locator('.way-step').nth(1)).toContainText('Step 2')
    const flow = await flowOf(one)
    addsUp(flow)
    await go(one, 'Still missing')
    await expect(one.locator('.missing')).toContainText('Wilson')
    await accessible(one, 'Still missing', '.selecting')
  })
})
