/** The slow checker of what is said of selection: it reads the journal's deeds only, and shares no code with the account. */
import type { Said } from './journal-state.fixture'

interface Standing {
  verdict: 'left' | 'in' | 'out' | 'unsure'
  unread: boolean
}

export type Patterns = [RegExp, (m: RegExpExecArray) => boolean][]

/** Patterns of sentences about selection, each with what makes it true. Works are records here: none is found twice. */
export function selectionPatterns(
  deeds: readonly { kind: string; payload: Said }[],
  number: (words: string) => number,
): Patterns {
  const last = new Map<string, { verdict: string; unread: boolean; reader: string }>()
  /** What each said first of what they read. */
  const first = new Map<string, string>()
  const states = new Map<string, string>()
  for (const { kind, payload: p } of deeds) {
    if (kind === 'ruling.set') {
      const key = `${p.recordId} ${p.pass} ${p.reader}`
      if (!first.has(key)) first.set(key, p.verdict)
      last.set(`${p.recordId} ${p.pass} ${p.reader}`, { verdict: p.verdict, unread: false, reader: p.reader })
    }
    if (kind === 'ruling.many')
      for (const id of p.records)
        last.set(`${id} ${p.pass} ${p.reader}`, { verdict: p.verdict, unread: true, reader: p.reader })
    if (kind === 'retrieval.set') states.set(p.recordId, p.state)
  }
  const records = [...new Set([...last.keys()].map((k) => k.split(' ')[0]!))]
  const standing = (id: string, pass: string): Standing => {
    const own = [...last].filter(([k]) => k.startsWith(`${id} ${pass} `)).map(([, v]) => v)
    if (!own.length) return { verdict: 'left', unread: false }
    if (own.some((o) => o.verdict === 'in')) return { verdict: 'in', unread: false }
    if (own.every((o) => o.verdict === 'out')) return { verdict: 'out', unread: own.every((o) => o.unread) }
    return { verdict: 'unsure', unread: false }
  }
  const count = (test: (broad: Standing, close: Standing, id: string) => boolean): number =>
    records.filter((id) => test(standing(id, 'broad'), standing(id, 'close'), id)).length
  const removed = count((b) => b.unread)
  const read = count((b) => b.verdict !== 'left' && !b.unread)
  const kept = count((b) => b.verdict === 'in')
  const aside = count((b) => b.verdict === 'out' && !b.unread)
  const open = count((b) => b.verdict === 'unsure')
  const full = count((b, c) => b.verdict === 'in' && c.verdict !== 'left')
  const notHad = count(
    (b, c, id) => b.verdict === 'in' && c.verdict === 'left' && states.get(id) === 'not to be had',
  )
  const notLooked = count((b, c, id) => b.verdict === 'in' && c.verdict === 'left' && !states.has(id))
  const noText = count(
    (b, c, id) =>
      b.verdict === 'in' &&
      c.verdict !== 'left' &&
      !['open copy', 'subscription', 'have'].includes(states.get(id) ?? ''),
  )
  const out = count((b, c) => b.verdict === 'in' && c.verdict === 'out')
  const closeOpen = count((b, c) => b.verdict === 'in' && c.verdict === 'unsure')
  const both = records.flatMap((id) => {
    const [p, q] = ['P', 'Q'].map((r) => first.get(`${id} broad ${r}`))
    return p && q ? [p === q] : []
  })
  const readers = new Set([...last].filter(([k]) => k.includes(' broad ')).map(([, v]) => v.reader)).size
  /** How many are told to be without a text: a number, all of them, or none. */
  const without = (told: string | undefined, words: string): number =>
    told !== undefined ? number(told) : /without a text noted/.test(words) ? full : 0
  const counts = (words: string): boolean => {
    const m =
      /^: ([\d,]+) went on to full text(?:,| and) (?:([\d,]+) (?:was|were)|none was) set aside(?: and ([\d,]+) left open|(?:, ([\d,]+) (?:(?:is|are) )?open)?,(?: and)? [\d,]+ (?:(?:is|are) still to be read|unread))?$/.exec(
        words,
      )
    return (
      m !== null &&
      number(m[1]!) === kept &&
      number(m[2] ?? '0') === aside &&
      number(m[3] ?? m[4] ?? '0') === open
    )
  }
  return [
    [
      /^(?:Before anything was read, ([\d,]+) works? (?:was|were) removed|([\d,]+) works? (?:was|were) removed before anything was read)(?: \(.*\))?\.$/,
      (m) => number((m[1] ?? m[2])!) === removed,
    ],
    [
      /^(?:So far )?(\w+) of us (?:have|has) (?:so far )?read titles and abstracts of ([\d,]+) of ([\d,]+) works?(.*)\.$/,
      (m) => number(m[1]!.toLowerCase()) === readers && number(m[2]!) === read && counts(m[4]!),
    ],
    [
      /^(?:(\w+) of us read titles and abstracts of ([\d,]+) works?|Titles and abstracts of ([\d,]+) works? were read by (\w+) of us)(:.*)\.$/,
      (m) =>
        number((m[1] ?? m[4])!.toLowerCase()) === readers &&
        number((m[2] ?? m[3])!) === read &&
        counts(m[5]!),
    ],
    [
      /^(?:One question was asked of each|These questions were asked of each|Each was asked|Asked of each was one question): .*$/,
      () => read > 0,
    ],
    [
      /^(?:Two readers agreed on ([\d.]+) % of ([\d,]+) works?|On ([\d,]+) works?, two readers agreed in ([\d.]+) % of cases)(?: \(.*\))?\.$/,
      (m) =>
        number((m[2] ?? m[3])!) === both.length &&
        (m[1] ?? m[4]) === ((both.filter(Boolean).length / both.length) * 100).toFixed(1),
    ],
    [
      /^(?:Two readers ruled the same ([\d,]+) works? and agreed on ([\d.]+) %|On ([\d,]+) works? that both read, two readers agreed in ([\d.]+) % of cases)(?: \(.*\))?\.$/,
      (m) =>
        number((m[1] ?? m[3])!) === both.length &&
        (m[2] ?? m[4]) === ((both.filter(Boolean).length / both.length) * 100).toFixed(1),
    ],
    [
      /^(?:We sought the full text of|Full texts were sought of) ([\d,]+) works?(?:; ([\d,]+) (?:was|were) not to be had)?(?:(?:;| and) ([\d,]+) (?:is|are) still awaited or unread)?\.$/,
      (m) =>
        number(m[1]!) === kept &&
        number(m[2] ?? '0') === notHad &&
        number(m[3] ?? '0') === kept - full - notHad &&
        notLooked === 0,
    ],
    [
      /^(?:The full texts of ([\d,]+) works? were to be sought|To be sought were the full texts of ([\d,]+) works?); ([\d,]+) (?:has|have) not been looked for yet(?:, ([\d,]+) (?:was|were) not to be had)?(?:(?:,)? and ([\d,]+) (?:is|are) still awaited or unread)?\.$/,
      (m) =>
        number((m[1] ?? m[2])!) === kept &&
        number(m[3]!) === notLooked &&
        number(m[4] ?? '0') === notHad &&
        number(m[5] ?? '0') === kept - full - notHad - notLooked,
    ],
    [
      /^(?:Of ([\d,]+) works? that we (have so far read|read) in full(?: \((?:([\d,]+) of them )?without a text noted\))?, |Reading ([\d,]+) works? in full(?: \((?:([\d,]+) of them )?without a text noted\))? (?:has so far given|gave) this: )(?:([\d,]+) (?:was|were)|none was) set aside(?: \(.*\))?(?:, ([\d,]+) (?:was|were) left open)? and ([\d,]+) (?:remained|remains|remain)\.$/,
      (m) =>
        number((m[1] ?? m[4])!) === full &&
        noText === without(m[3] ?? m[5], m[0]) &&
        number(m[6] ?? '0') === out &&
        number(m[7] ?? '0') === closeOpen &&
        number(m[8]!) === full - out - closeOpen,
    ],
  ]
}
