// A sheet of 150 lines beside one of 10, in a real browser: from a key to the next frame, walking and typing in a line.
import type { Command, Line } from '../src/core/review'
import { at, keystrokes, openReview, packageOf, say, withApp } from './browser'

function review(id: string, count: number): Uint8Array {
  const lines = Array.from({ length: count }, (_, n): Line => ({
    id: `l${n}`,
    text: n % 3 === 2 ? `any(#${n - 1}-#${n})` : `text: (noise OR reverberat* OR "sound field" OR word${n}*)`,
    limits: n % 10 === 9 ? [{ kind: 'years', from: 2010, to: 2026 }] : [],
    conceptId: n % 2 ? 'a' : 'b',
    note: '',
    drafted: false,
  }))
  const commands: Command[] = [
    { kind: 'review.create', payload: { id, title: `Sheet of ${count}` } },
    { kind: 'question.set', payload: { text: 'What does noise do?' } },
    { kind: 'concept.set', payload: { id: 'a', letter: 'A', name: 'Sound', essential: true, note: '' } },
    { kind: 'concept.set', payload: { id: 'b', letter: 'B', name: 'Reading', essential: true, note: '' } },
    {
      kind: 'source.set',
      payload: {
        id: 's',
        kind: 'database',
        name: 'Mindmere Psychology File',
        profileId: 'mindmere',
        why: '',
      },
    },
    { kind: 'strategy.draft', payload: { sourceId: 's', lines } },
  ]
  return packageOf(commands, `Sheet of ${count}`)
}

withApp(async (browser, base) => {
  const medians: Record<string, number[]> = {}
  for (const count of [10, 150]) {
    const page = await openReview(
      browser,
      base,
      `sheet-${count}`,
      review(`sheet-${count}`, count),
      'searches',
    )
    await page.waitForSelector('.sheet-row')
    await page.waitForTimeout(4000)
    const walk = await keystrokes(
      page,
      Array.from({ length: 40 }, (_, i) => (i % 16 < 8 ? 'ArrowUp' : 'ArrowDown')),
    )
    await page.locator('[data-line="4"]').dblclick()
    await page.locator('.cm-content').click()
    await page.keyboard.press('Control+End')
    const typing = await keystrokes(page, [...' OR babble OR "listening effort" OR (speech'])
    medians[count] = [at(walk, 0.5), at(typing, 0.5)]
    say(`${count} lines, from line to line`, walk)
    say(`${count} lines, typing in a line `, typing)
    await page.close()
  }
  const ratio = (n: number): string => (medians[150]![n]! / medians[10]![n]!).toFixed(2)
  console.log(`ratio of medians, 150 to 10 lines: from line to line ${ratio(0)}, typing ${ratio(1)}`)
}).catch((error: unknown) => {
  console.error(error)
  process.exitCode = 1
})
