import fc from 'fast-check'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import { trials } from '../base/trials.fixture'
import { draftAccount, inlinesOf, inlineWords, type FactContext, type Telling } from '.'
import { contextOf, findsSomething, journal, reviews } from './random-review.fixture'
import { demoContext } from './demo-context.fixture'
import { OTHERS } from './other-reviews.fixture'

const VOICES = ['we', 'I', 'passive'] as const
const TELLINGS: readonly Telling[] = (['theme', 'time'] as const).flatMap((order) =>
  (['full', 'short'] as const).map((length) => ({ order, length })),
)

const voiced = (c: FactContext, voice: (typeof VOICES)[number]): FactContext => ({
  ...c,
  review: { ...c.review, account: { ...c.review.account, voice } },
})
const paragraphs = (c: FactContext, telling: Telling): { title: string; text: string }[] =>
  draftAccount(c, telling).flatMap((p) =>
    p.content.map((block) => ({
      title: p.title,
      text: [...inlinesOf(block)].map((n) => inlineWords(c, n)).join(''),
    })),
  )
const sentencesOf = (text: string): string[] => text.split(/(?<=[.?!]["”’]?) (?=\p{Lu})/u)
const words = (text: string): number => text.split(/\s+/).filter(Boolean).length

/** The draft as a person reads it, with its headings. */
const asText = (c: FactContext, telling: Telling): string =>
  draftAccount(c, telling)
    .map(({ title }) => title)
    .map((title) =>
      [
        `## ${title}`,
        ...paragraphs(c, telling)
          .filter((p) => p.title === title)
          .map((p) => p.text),
      ].join('\n\n'),
    )
    .join('\n\n') + '\n'

const golden = (name: string): string => path.join(import.meta.dirname, 'golden', `${name}.txt`)

describe('the drafts that were read aloud', () => {
  for (const voice of VOICES)
    for (const telling of TELLINGS)
      it(
        `of the demo are as they were: ${voice}, by ${telling.order}, ${telling.length}`,
        { timeout: 120_000 },
        async () => {
          const text = asText(voiced(await demoContext(), voice), telling)
          await expect(text).toMatchFileSnapshot(golden(`demo.${voice}.${telling.order}.${telling.length}`))
          const count = words(text)
          if (telling.length === 'full') expect(count).toBeGreaterThanOrEqual(450)
          expect(count).toBeLessThanOrEqual(telling.length === 'full' ? 1100 : 250)
          if (telling.length === 'short') expect(count).toBeGreaterThanOrEqual(150)
        },
      )
  for (const [name, context] of Object.entries(OTHERS))
    it(`of another review are as they were: ${name}`, async () => {
      await expect(asText(context(), { order: 'theme', length: 'full' })).toMatchFileSnapshot(golden(name))
    })
})

const CASES = trials(200, 2000)
describe('the draft of any review', () => {
  it('has no empty slot, no word twice in a row, no two sentences that begin alike, and every number is a fact', () => {
    fc.assert(
      fc.property(
        reviews,
        fc.constantFrom(...VOICES),
        fc.constantFrom(...TELLINGS),
        (drawn, voice, telling) => {
          fc.pre(drawn.strategies.every((lines) => findsSomething(lines as never)))
          const entries = journal(drawn)
          const context = voiced(contextOf(entries), voice)
          for (const passage of draftAccount(context, telling)) {
            for (const node of inlinesOf(passage)) {
              if (node.type !== 'text') continue
              // The reason of the limit, and the names of table and appendices, are no figures.
              expect(node.text.replace(/rules changed in 2016|Table 1|95 % interval/g, '')).not.toMatch(/\d/)
            }
            const sentences = passage.content.flatMap((block) =>
              sentencesOf([...inlinesOf(block)].map((n) => inlineWords(context, n)).join('')),
            )
            for (const sentence of sentences) {
              expect(sentence).toMatch(/^[\p{Lu}\d“"]/u)
              expect(sentence).toMatch(/[.?!]["”’]?$/)
              expect(sentence).not.toMatch(/…|undefined|NaN|\{|\}|\(\)| {2}| ,| \./)
              expect(sentence).not.toMatch(/\b(\p{L}+) \1\b/u)
              // The ninth appendix is no person.
              const spoken = sentence.replaceAll('Appendix I', '')
              if (voice === 'passive') expect(spoken).not.toMatch(/\b(?:we|our|I|my)\b/i)
              if (voice === 'I') expect(sentence).not.toMatch(/\b(?:we|our|us)\b/i)
              // One is one, and more are more.
              expect(sentence).not.toMatch(
                /\b1 (?:records|works|steps|terms)\b|\b(?:[02-9]|\d\d+) (?:record|work|term)\b/,
              )
            }
            const openings = sentences.map((s) => /^[^\s,;:]+/.exec(s)?.[0].toLowerCase())
            openings.forEach((o, n) => {
              if (n) expect(`${o} (${sentences[n]})`).not.toBe(`${openings[n - 1]} (${sentences[n]})`)
            })
          }
        },
      ),
      { numRuns: CASES },
    )
  })
})
