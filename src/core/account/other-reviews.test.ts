import { expect, it } from 'vitest'
import { listed } from '../base'
import { holds, type World } from './meanings'
import { strategiesBySource } from './appendices/strategies'
import type { AppendixContext } from './appendices/context'
import { OTHERS } from './other-reviews.fixture'
import { READS } from './reads/en'
import { SAYING_NAMES } from './sayings'
import { sentencesIn } from './sentences'
import { draftAccount, inlinesOf, inlineWords, type FactContext, type Telling } from '.'

const TELLINGS: readonly Telling[] = (['theme', 'time'] as const).flatMap((order) =>
  (['full', 'short'] as const).map((length) => ({ order, length })),
)

/** What is known of its databases beside the journal, from how they are described. */
function worldOf(c: FactContext): World {
  const all = c.review.sources.filter((s) => s.kind === 'database')
  const of = <T>(value: (id: string) => T): Record<string, T> =>
    Object.fromEntries(all.map(({ id }) => [id, value(id)]))
  const profile = (id: string) => c.source(id)?.profile
  return {
    indexed: all.flatMap((s) => (c.source(s.id)?.hasVocabulary ? [s.id] : [])),
    noLimit: of((id) => (profile(id) && !profile(id)?.limits.years ? ['years'] : [])),
    standIn: of(() => ({})),
    usual: of((id) => {
      const called: Record<string, string> = { fulltext: 'full text', subject: 'subject headings' }
      const any = profile(id)?.any.map((f) => called[f] ?? f)
      return `all fields that it searches by default${any ? ` (${listed(any)})` : ''}`
    }),
    lacks: of((id) => {
      const whole = ['title', 'abstract', 'keywords'].join()
      const forms = profile(id)?.fields.map((f) => f.of.join())
      return [
        ...(!forms || forms.includes(whole) ? [] : ['text']),
        ...(!forms || forms.includes('title') ? [] : ['title']),
      ]
    }),
    nearless: all.flatMap((s) => (profile(s.id) && !profile(s.id)?.nearness ? [s.id] : [])),
    stems: of((id) => profile(id)?.stemming ?? 'none'),
    titleOf: (id) => id,
  }
}

for (const [name, make] of Object.entries(OTHERS))
  it(`says of ${name} nothing that its journal does not bear out, in any voice, order and length`, () => {
    const made = make()
    // Databases by their whole names throughout.
    const c: FactContext = {
      ...made,
      source: (id) => {
        const source = made.source(id)
        return source && { ...source, short: undefined }
      },
    }
    let told = 0
    for (const voice of ['we', 'I', 'passive'] as const)
      for (const telling of TELLINGS) {
        // The order of a section is chosen by a deed, as meanings see it.
        const chosen = { kind: 'account.telling', payload: telling, seq: -1, at: '', by: 'p-1' }
        const entries = [chosen, ...c.entries!]
        const context = { ...c, review: { ...c.review, account: { ...c.review.account, voice } } }
        for (const passage of draftAccount(context, telling))
          for (const block of passage.content)
            for (const sentence of sentencesIn(
              [...inlinesOf(block)].map((n) => inlineWords(context, n)).join(''),
            )) {
              const names = SAYING_NAMES.filter((n) => READS[n](sentence) !== undefined)
              expect(names, sentence).toHaveLength(1)
              const read = READS[names[0]!](sentence)!
              expect(holds(names[0]!, read as never, entries as never, undefined, worldOf(c)), sentence).toBe(
                true,
              )
              told++
            }
      }
    expect(told).toBeGreaterThan(24)
  })

it('has of three described databases every line as it was sent and what it found, each time that it was run', () => {
  const c = OTHERS['three described databases, searched twice, one export capped']!()
  const tables = strategiesBySource(c as AppendixContext).flatMap(({ name, blocks }) =>
    blocks.flatMap((b) =>
      b.kind === 'table'
        ? [{ name, rows: b.rows.map((row) => row.map((one) => one.map((n) => inlineWords(c, n)).join(''))) }]
        : [],
    ),
  )
  const told = tables.map(({ name, rows }) => [
    name,
    rows.map((r) => [r[0], r[1], r[4], r[5]!.split(',')[0]]),
  ])
  const tarn = (day: string, ...hits: string[]) => [
    'Tarn Abstracts',
    ['("quiet corner*" or retreat)[q2]', 'read*[q2]', '#1 and #2'].map((sent, n) => [
      `${n + 1}`,
      sent,
      hits[n],
      day,
    ]),
  ]
  expect(told).toEqual([
    tarn('4 May 2026', '41', '512', '9'),
    tarn('10 November 2026', '43', '530', '11'),
    ['Cope Catalogue', [['1', 'Any field: "quiet corner"\nand Any field: reading', '3', '4 May 2026']]],
    [
      'Salt Scholar',
      [
        ['1', 'w/("quiet corner" OR retreat)', '77', '4 May 2026'],
        ['2', 'w/reading', '940', '4 May 2026'],
        ['3', '1 AND 2', '12', '4 May 2026'],
      ],
    ],
  ])
})
