/** The smallest changes of a review by which what a sentence says of works, ways and runs is no longer so. */
import type { Command, Entry } from '../review'
import { WORKS } from './random-reading.fixture'
import { noted } from './random-ways.fixture'
import { limitsBeyond } from './sayings/limits-beyond'
import { leavingOut } from './leaving-out'
import { apartIn } from './taken-apart'
import type { FactContext } from '.'

/** A change for each; undefined: this review has nothing of it to change. */
export type Breaks = Readonly<
  Record<string, (entries: readonly Entry[], c: FactContext) => Command[] | undefined>
>

export const OF_WORKS = {
  duplicates: (_e, c) => {
    const known = new Set(c.review.decisions.map((d) => [d.a, d.b].sort().join()))
    const pairs = ids.flatMap((a) => ids.filter((b) => a < b).map((b) => ({ a, b })))
    const fresh = pairs.find(({ a, b }) => !known.has(`${a},${b}`))
    return fresh && [{ kind: 'pair.part', payload: fresh }]
  },
  'came-in': (_e, c) => more(c.review.imports.at(-1)),
  'removed-unread': (_e, c) => {
    const recordId = ids.find((id) => !readBy(c, id, 'broad').length)
    return recordId === undefined
      ? undefined
      : [
          {
            kind: 'ruling.many',
            payload: {
              ...{ records: [recordId], pass: 'broad', reader: 'p-1', verdict: 'out' },
              ...{ because: 'no study', which: 'type' },
            } as never,
          },
        ]
  },
  'titles-agreed': (_e, c) => rule(c, 'broad', (id) => readBy(c, id, 'broad').length > 0, 'p-9'),
  'texts-agreed': (_e, c) =>
    rule(c, 'close', (id) => passed(c, id) && readBy(c, id, 'close').length > 0, 'p-9'),
  'titles-settled': (_e, c) => differ(c, 'broad'),
  'texts-settled': (_e, c) => differ(c, 'close'),
  'texts-sought': (_e, c) => rule(c, 'broad', (id) => !readBy(c, id, 'broad').length, 'p-1'),
  studies: (_e, c) => {
    const [one] = c.review.studies ?? []
    return one && [{ kind: 'study.part', payload: { id: one.id } }]
  },
  'update-brought': (_e, c) => more(c.review.imports.findLast((i) => i.roundId !== undefined)),
  'titles-read': (_e, c) => rule(c, 'broad', (id) => !readBy(c, id, 'broad').length, 'p-1'),
  'titles-who': (_e, c) => rule(c, 'broad', (id) => readBy(c, id, 'broad').length > 0, 'p-9'),
  'titles-asked': (_e, c) => {
    const [question] = c.review.criteria.filter((q) => q.pass === 'broad' && q.text.trim())
    return question && [{ kind: 'criterion.set', payload: { ...question, text: `${question.text} Really?` } }]
  },
  'titles-order': (_e, c) => {
    const recordId = ids.find((id) => readBy(c, id, 'broad').includes('p-1'))
    if (recordId === undefined) return undefined
    const of = { recordId, pass: 'broad' as const, reader: 'p-1' }
    return [
      { kind: 'ruling.remove', payload: of },
      { kind: 'order.choose', payload: { pass: 'broad', order: 'chance', at: 'at' } },
      { kind: 'ruling.set', payload: { ...of, verdict: 'in' } },
    ]
  },
  'texts-asked': (_e, c) => {
    const [question] = c.review.criteria.filter((q) => q.pass === 'close' && q.text.trim())
    return question && [{ kind: 'criterion.set', payload: { ...question, text: `${question.text} Really?` } }]
  },
  'texts-reasons': (_e, c) => {
    const recordId = ids.find((id) => passed(c, id) && !readBy(c, id, 'close').length)
    return recordId === undefined
      ? undefined
      : [
          {
            kind: 'ruling.set',
            payload: { recordId, pass: 'close', reader: 'p-1', verdict: 'out', reason: 'too short' },
          },
        ]
  },
  'way-followed': (_e, c) => again(c, ['reference lists', 'citing papers']),
  'way-looked': (_e, c) => again(c, ['people', 'web', 'register', 'hand search', 'own collection']),
  'way-people': (_e, c) => {
    const [one] = (c.review.contacts ?? []).filter((x) => x.asked)
    return one && [{ kind: 'contact.set', payload: { ...one, id: 'c-9', asked: '2027-01-04' } }]
  },
  'ways-not-gone': (_e, c) => {
    const kinds = ['register', 'web', 'reference lists', 'citing papers', 'people'] as const
    const kind = kinds.find((k) => c.review.sources.every((s) => s.kind !== k))
    return kind && [{ kind: 'source.set', payload: { id: 'more', kind, name: 'more', why: '' } }]
  },
  'source-gone': (_e, c) => {
    // It is searched once more, on a later day.
    const run = c.review.runs.find((r) => !c.review.sources.some((s) => s.id === r.sourceId))
    return run && [{ kind: 'run.log', payload: { ...run, id: 'later', at: '2027-02-02T09:00:00Z' } }]
  },
  deposited: (_e, c) => {
    const [one] = c.review.deposits ?? []
    return (
      one && [
        { kind: 'package.deposit', payload: { ...one, id: 'd-2', address: 'https://archive.example/2' } },
      ]
    )
  },
  'search-again': (_e, c) => {
    const source = c.review.sources.find((s) => s.reminder)
    return (
      source && [
        { kind: 'source.set', payload: { ...source, reminder: { every: 'month', from: '2027-03-03' } } },
      ]
    )
  },
  'brought-short': (_e, c) => more(c.review.imports[0]),
  'limits-beyond': (_e, c) => {
    // One of them is planned after all.
    const [limit] = [...limitsBeyond(c.review).values()][0] ?? []
    return limit && [{ kind: 'limit.set', payload: { id: 'after-all', limit: limit as never, reason: '' } }]
  },
  'counts-by-hand': (_e, c) => {
    const run = c.review.runs.findLast((r) => r.how !== 'stand-in' && r.lineId === last(c, r.sourceId))
    return run && [{ kind: 'run.log', payload: { ...run, id: 'other', how: 'stand-in' } }]
  },
  'counts-corrected': (_e, c) => {
    const wrong = new Set(c.review.runs.map((r) => r.supersedes))
    const run = c.review.runs.find((r) => r.supersedes === undefined && !wrong.has(r.id))
    return run && [{ kind: 'run.log', payload: { ...run, id: 'better', supersedes: run.id, because: 'so' } }]
  },
  'searches-without': (_e, c) =>
    c.review.limits.length
      ? undefined
      : [{ kind: 'limit.set', payload: { id: 'z', limit: { kind: 'years', from: 2018 }, reason: '' } }],
  'headings-seen': (_e, c) =>
    c.review.headingsNoted?.length || c.review.lookups?.length
      ? [{ kind: 'heading.noted', payload: noted('n-late', 'Din', '2027-03-04') as never }]
      : undefined,
  truncation: (_e, c) => {
    // The same line is sent again as it is written.
    const run = c.review.runs.findLast((r) => /\*/.test(r.text) && r.lineId === last(c, r.sourceId))
    return run && [{ kind: 'run.log', payload: { ...run, id: 'again', sent: run.text } }]
  },
  'phrases-apart': (_e, c) => {
    // The same line is sent again as it is written.
    const run = c.review.runs.findLast((r) => apartIn(r).length > 0)
    return run && [{ kind: 'run.log', payload: { ...run, id: 'again', sent: run.text } }]
  },
  'not-partly': (_e, c) => {
    // The same line is sent again as it is written.
    const run = c.review.runs.findLast((r) => leavingOut(r).includes('partly'))
    return run && [{ kind: 'run.log', payload: { ...run, id: 'again', sent: run.text } }]
  },
  'not-sent': (_e, c) => {
    // The same line is sent again as it is written.
    const run = c.review.runs.findLast((r) => leavingOut(r).includes('lost'))
    return run && [{ kind: 'run.log', payload: { ...run, id: 'again', sent: run.text } }]
  },
  'texts-read': (_e, c) => rule(c, 'close', (id) => passed(c, id) && !readBy(c, id, 'close').length, 'p-1'),
  'texts-who': (_e, c) => rule(c, 'close', (id) => passed(c, id) && readBy(c, id, 'close').length > 0, 'p-9'),
} satisfies Breaks

/** One record more came in the same way. */
const more = (i: FactContext['review']['imports'][number] | undefined): Command[] | undefined =>
  i && [{ kind: 'records.import', payload: { ...i, id: 'more', count: 1, digest: 'd'.repeat(64) } as never }]
/** Somebody else says another thing of a work of which all who read it said the same. */
function differ(c: FactContext, pass: 'broad' | 'close'): Command[] | undefined {
  for (const recordId of ids) {
    const said = new Set(Object.values(own(c, recordId)).flatMap((r) => (r.pass === pass ? [r.verdict] : [])))
    if (said.size === 1) {
      const verdict = said.has('in') ? 'out' : 'in'
      return [{ kind: 'ruling.set', payload: { recordId, pass, reader: 'p-9', verdict } }]
    }
  }
  return undefined
}
const last = (c: FactContext, sourceId: string): string | undefined =>
  c.review.strategies[sourceId]?.at(-1)?.id
/** The way is gone once more, on another day. */
function again(c: FactContext, kinds: readonly string[]): Command[] | undefined {
  const way = c.review.ways?.find((w) =>
    kinds.includes(c.review.sources.find((s) => s.id === w.sourceId)!.kind),
  )
  return way && [{ kind: 'way.log', payload: { ...way, id: 'w-9', day: '2027-01-04' } }]
}
const ids = Array.from({ length: WORKS }, (_, i) => `i/${i + 1}`)
const own = (c: FactContext, id: string): Record<string, { pass: string; reader: string; verdict: string }> =>
  Object.assign({}, ...Object.values(c.review.rulings).map((bucket) => bucket[id] ?? {})) as never
const readBy = (c: FactContext, id: string, pass: string): string[] =>
  Object.values(own(c, id)).flatMap((r) => (r.pass === pass ? [r.reader] : []))
const passed = (c: FactContext, id: string): boolean =>
  Object.values(own(c, id)).filter((r) => r.pass === 'broad').length > 0 &&
  Object.values(own(c, id)).every((r) => r.pass !== 'broad' || r.verdict === 'in')
function rule(
  c: FactContext,
  pass: 'broad' | 'close',
  test: (id: string) => boolean,
  reader: string,
): Command[] | undefined {
  const recordId = ids.find(test)
  return recordId === undefined
    ? undefined
    : [{ kind: 'ruling.set', payload: { recordId, pass, reader, verdict: 'in' } }]
}
