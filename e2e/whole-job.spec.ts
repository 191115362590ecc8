import { expect } from '@playwright/test'
import { test } from './help'
import { Person } from './person'

const QUESTION = 'How does background noise in the classroom bear on reading comprehension of children?'

test('mouse: the whole job', async ({ page }, info) => {
  const one = new Person(page, info)
  await page.goto('/')
  try {
    await one.press('Begin a review')
    await one.write(QUESTION)
    await one.key('Enter')
    const ideas = page.getByRole('grid', { name: 'Suggestions from the question' })
    await expect(ideas.getByRole('row')).toHaveCount(4)
    await one.at('1-ideas')
    for (const [idea, letter] of [
      ['background noise', 'A'],
      ['reading comprehension', 'B'],
      ['children', 'C'],
    ] as const)
      await one.press(letter, ideas.getByRole('row').filter({ hasText: idea }))
    await one.at('2-concepts')
    await one.press('Add a database')
    await one.press(/All 5/)
    await one.at('3-sources')
    await one.press('Searches')
    await one.press('All, by concept')
    await one.at('4-searches')
    await one.press('Draft all from the plan')
    await expect(page.getByText('5 strategies drafted')).toBeVisible()
    await one.press('Run every source')
    for (const total of await page
      .getByRole('row', { name: /^Last line/ })
      .getByRole('cell')
      .all())
      await expect(total).toHaveText(/^\d/)
    await one.at('5-run')
  } finally {
    console.info(one.told)
  }
})
