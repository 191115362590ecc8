import { describe, expect, it } from 'vitest'
import {
  CHECKLISTS,
  draftAccount,
  inlinesOf,
  inlineWords,
  notApplicable,
  openItems,
  outcomeWords,
  paragraph,
  sectionDocument,
  withDrafted,
  wordsOfCell,
} from '.'
import type { Review } from '../review'
import { demoContext } from './demo-context.fixture'
import type { FactContext } from './facts'

const changed = async (part: Partial<Review>): Promise<FactContext> => {
  const context = await demoContext()
  return { ...context, review: { ...context.review, ...part } }
}
const evidenceOf = (c: FactContext, list: 'prisma-s' | 'prisma-2020', number: string): string | undefined =>
  CHECKLISTS.find((l) => l.id === list)!
    .items(c)
    .find((i) => i.number === number)?.evidence
const closedOf = (c: FactContext, list: 'prisma-s' | 'prisma-2020', number: string): boolean | undefined =>
  CHECKLISTS.find((l) => l.id === list)!
    .items(c)
    .find((i) => i.number === number)?.closed
/** The rows of an appendix's tables, by its letter. */
const appendix = (c: FactContext, letter: string): string[][] => {
  const { blocks } = sectionDocument(c)
  const from = blocks.findIndex(
    (b) => b.kind === 'heading' && wordsOfCell(b.content).startsWith(`Appendix ${letter}.`),
  )
  const own = blocks.slice(from + 1)
  const to = own.findIndex((b) => b.kind === 'heading' && b.level === 1)
  return own
    .slice(0, to < 0 ? undefined : to)
    .flatMap((b) => (b.kind === 'table' ? b.rows.map((r) => r.map(wordsOfCell)) : []))
}

describe('the reporting items', () => {
  it('have something only where the record has it: what is taken out of it opens them again', async () => {
    const context = await demoContext()
    expect(openItems(context)).toBe(0)
    expect(evidenceOf(context, 'prisma-s', '14')).toBe('H. Marrow (subject librarian)')
    expect(evidenceOf(context, 'prisma-2020', '24b')).toBe('frozen on 14 April 2026')
    const { protocol: _p, searchReviews: _s, registration: _r, ...bare } = context.review
    const without = { ...context, review: bare as Review }
    expect(evidenceOf(without, 'prisma-s', '14')).toBeUndefined()
    // That nobody looked the strategies over is told, and closes its item.
    expect(closedOf(without, 'prisma-s', '14')).toBe(true)
    expect(openItems(without)).toBe(3)
    const left = { [notApplicable('prisma-2020', '24a')]: 'a thesis is not registered' }
    expect(openItems({ ...without, review: { ...without.review, leftAdvice: left } })).toBe(2)
  })

  it('are closed by what the text says: in the same words, or in others that are read the same', async () => {
    const context = await demoContext()
    const passage = draftAccount(context).find((p) => p.id === 'screened')!
    const sentence =
      /Duplicates were looked for by the rules of Luvren \(version 2\), for which a preprint and its article are one work, and 5 pairs were judged by hand; 4 pairs that may be one work are still to be judged\. /
    const words = passage.content
      .map((p) => [...inlinesOf(p)].map((n) => inlineWords(context, n)).join(''))
      .join(' ')
    expect(words).toMatch(sentence)
    const edited = (text: string): FactContext => {
      const content = [paragraph(text.replaceAll('{', '(').replaceAll('}', ')'))]
      const account = { ...context.review.account, edited: { screened: content } }
      return { ...context, review: { ...context.review, account } as unknown as Review }
    }
    expect(closedOf(edited(words), 'prisma-s', '16')).toBe(true)
    const bare = edited(words.replace(sentence, ''))
    expect(closedOf(bare, 'prisma-s', '16')).toBe(false)
    expect(evidenceOf(bare, 'prisma-s', '16')).toBe('by rules, version 2, and 5 pairs by hand')
    const other =
      'By the rules of Luvren (version 2), for which a preprint and its article are one work, duplicates were looked for, and 5 pairs were judged by hand; 4 pairs that may be one work are still to be judged. '
    expect(closedOf(edited(words.replace(sentence, other)), 'prisma-s', '16')).toBe(true)
    const untrue = other.replace('5 pairs', '7 pairs')
    expect(closedOf(edited(words.replace(sentence, untrue)), 'prisma-s', '16')).toBe(false)
    // What is offered closes it again.
    const [item] = CHECKLISTS[0].items(bare).filter((i) => i.number === '16')
    const own = draftAccount(bare).find((p) => p.id === item!.passage)!
    const content = withDrafted(bare, own, item!.offered!)
    const account = { ...bare.review.account, edited: { screened: content } }
    const mended = { ...bare, review: { ...bare.review, account } as unknown as Review }
    expect(closedOf(mended, 'prisma-s', '16')).toBe(true)
  })

  it('name databases that one search reached together, with those they were searched with', async () => {
    const { review } = await demoContext()
    const sources = review.sources.map((s) =>
      s.id === 'demo-girder' ? { ...s, together: 'the Lantern Reports' } : s,
    )
    expect(evidenceOf(await changed({ sources }), 'prisma-s', '2')).toBe(
      'Girder & Sound Abstracts with the Lantern Reports',
    )
  })

  it('do not call the answers of somebody who ran the searches a review by another person', async () => {
    const { review } = await demoContext()
    const runs = review.runs.map((r, n) => (n ? r : { ...r, by: 'demo-person-3' }))
    expect(evidenceOf(await changed({ runs }), 'prisma-s', '14')).toBeUndefined()
  })
})

describe('the appendix on the review of the searches', () => {
  it('has the six elements, and each comment with the line as it read then, and what became of it', async () => {
    const rows = appendix(await demoContext(), 'I')
    expect(rows.slice(0, 6).map((r) => r[1])).toEqual([
      'nothing to change',
      'nothing to change',
      'could be better',
      'could be better',
      'nothing to change',
      'nothing to change',
    ])
    expect(rows.slice(6).map((r) => [r[0], r[4]])).toEqual([
      ['Mindmere Psychology File, line 5', 'acted on: a note stands beside the line'],
      [
        'Fernhollow Education Index, line 1',
        'declined, because it names the people, not the place, and finds nearly everything',
      ],
    ])
  })

  it('opens a comment again that was worded anew after it was settled, and shows a line that was changed', async () => {
    const { review } = await demoContext()
    const said = review.searchReviews!['demo-person-3']!
    const [first] = said.comments
    const reworded = { ...first!, text: 'Say it in the text.', at: '2026-12-01T08:00:00.000Z' }
    expect(outcomeWords(review, reworded)).toBe('still open')
    expect(outcomeWords(review, { ...first!, of: 'another text' })).toContain(
      '; it reads now: heading.below:',
    )
  })
})
