import { expect, type Locator, type Page } from '@playwright/test'
import { saved, stage, test } from './help'

/** A person who presses only what is on the screen at that moment, and counts. */
class Person {
  actions = 0
  constructor(private readonly page: Page) {}
  async press(what: Locator): Promise<void> {
    await expect(what).toBeVisible()
    this.actions++
    await what.click()
  }
  async fill(what: Locator, text: string): Promise<void> {
    await expect(what).toBeVisible()
    this.actions++
    await what.fill(text)
  }
  /** A key is pressed where it is shown, or where the focus says what it does. */
  async key(name: string): Promise<void> {
    this.actions++
    await this.page.keyboard.press(name)
  }
}

test('a question of which no vocabulary knows a word is planned for two databases that are only described, to the first logged count', async ({
  page,
}, info) => {
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write'])
  const person = new Person(page)
  await page.goto('/')
  await person.press(page.getByRole('button', { name: 'Begin a review' }))
  await person.fill(
    page.getByRole('textbox', { name: 'The question' }),
    'Do wildflower strips raise yields of apple orchards?',
  )
  await person.key('Enter')
  const ideas = page.getByRole('grid', { name: 'Suggestions from the question' })
  await expect(ideas.getByRole('row').first()).toBeVisible()
  await expect(page.getByText('S chooses one, a concept’s letter takes it')).toBeVisible()
  await person.key('s')
  const wanted = await ideas.getByRole('row').count()
  for (const letter of ['a', 'b', 'c'].slice(0, wanted)) {
    const left = await ideas.getByRole('row').count()
    await person.key(letter)
    if (left > 1) await expect(ideas.getByRole('row')).toHaveCount(left - 1)
  }
  await expect(page.getByRole('textbox', { name: 'Name of concept C' })).toHaveValue('Apple orchards')

  for (const [name, words] of [
    ['Pomona Index', 'TI,AB({expr})'],
    ['Orchard Register', 'topic:({expr})'],
  ] as const) {
    await person.press(page.getByRole('button', { name: /^Add a database/ }))
    await person.press(page.getByRole('menuitem', { name: /described here/ }))
    const form = page.getByRole('dialog')
    await person.fill(form.getByLabel('name', { exact: true }), name)
    await person.fill(form.getByLabel('any ending'), '+')
    await person.fill(form.getByLabel('title, abstract and keywords', { exact: true }), words)
    await person.press(form.getByRole('button', { name: 'Keep the description' }))
    await expect(form).toBeHidden()
  }

  await person.press(
    page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Searches/ }),
  )
  await person.press(page.getByRole('button', { name: /^Draft/ }).first())
  await expect(page.locator('.sheet-row').first()).toBeVisible()
  const lines = await page.locator('.sheet-row').count()
  expect(lines).toBeGreaterThan(2)
  await person.press(page.getByRole('button', { name: /^Run/ }).first())
  const sheet = page.getByRole('dialog')
  await expect(sheet).toBeVisible()
  await person.fill(sheet.getByRole('spinbutton').first(), '1204')
  await person.key('Enter')
  await expect(sheet).toContainText(/1,204|2 of/)
  await saved(page)
  info.annotations.push({ type: 'actions to the first logged count', description: `${person.actions}` })
  expect(person.actions).toBeLessThanOrEqual(80)
  await page.keyboard.press('Escape')
  await stage(page, 'Methods')
  await expect(page.locator('#stage')).toContainText('Pomona Index')
})
