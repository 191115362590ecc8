// The term grid with 8 concepts and 400 terms beside one with 16 terms, in a real browser: from a key to the next frame.
import { LETTERS, type Command } from '../src/core/review'
import { STANDINS } from '../src/standins'
import { at, keystrokes, openReview, packageOf, say, withApp } from './browser'

function review(id: string, terms: number): Uint8Array {
  const columns = STANDINS.filter((s) => s.vocabularyTitle)
  const commands: Command[] = [
    { kind: 'review.create', payload: { id, title: `Grid of ${terms}` } },
    { kind: 'question.set', payload: { text: 'What does noise do?' } },
  ]
  for (const letter of LETTERS)
    commands.push({
      kind: 'concept.set',
      payload: { id: letter, letter, name: `Concept ${letter}`, essential: true, note: '' },
    })
  for (const s of columns)
    commands.push({
      kind: 'source.set',
      payload: { id: s.id, kind: 'database', name: s.name, profileId: s.id, why: '' },
    })
  for (let n = 0; n < terms; n++) {
    const column = n % 4
    commands.push({
      kind: 'term.set',
      payload: {
        id: `t${n}`,
        conceptId: LETTERS[n % LETTERS.length]!,
        sourceId: column ? columns[column - 1]!.id : 'all',
        kind: column ? 'heading' : 'text',
        expression: column ? `Heading number ${n}` : `word${n}*`,
        withNarrower: n % 3 === 0,
        mainFocus: false,
        origin: 'typed',
        status: n % 11 ? 'in use' : 'dropped',
      },
    })
  }
  return packageOf(commands, `Grid of ${terms}`)
}

const WALK = ['ArrowRight', 'ArrowDown', 'ArrowLeft', 'ArrowUp']

withApp(async (browser, base) => {
  const medians: Record<string, number[]> = {}
  for (const terms of [16, 400]) {
    const page = await openReview(browser, base, `grid-${terms}`, review(`grid-${terms}`, terms), 'terms')
    await page.waitForSelector('.grid .chip')
    await page.waitForTimeout(6000)
    const walk = await keystrokes(
      page,
      Array.from({ length: 40 }, (_, i) => WALK[Math.floor(i / 2) % 4]!),
    )
    await page
      .locator('.grid td')
      .first()
      .click({ position: { x: 120, y: 4 } })
    await page.keyboard.press('/')
    const typing = await keystrokes(page, [...'reverberati', 'Backspace', ...'ion noise sound'])
    medians[terms] = [at(walk, 0.5), at(typing, 0.5)]
    say(`${terms} terms, from cell to cell`, walk)
    say(`${terms} terms, typing a word    `, typing)
    await page.close()
  }
  const ratio = (n: number): string => (medians[400]![n]! / medians[16]![n]!).toFixed(2)
  console.log(`ratio of medians, 400 to 16 terms: from cell to cell ${ratio(0)}, typing ${ratio(1)}`)
}).catch((error: unknown) => {
  console.error(error)
  process.exitCode = 1
})
