/** The slow checker of what is said of the protocol: it reads the journal's deeds only, and shares no code with the account. */
import { stateOf, type CheckedEntry } from './journal-state.fixture'
import type { Patterns } from './selection-checker.fixture'

export const DAY = '(\\d+) (\\w+) (\\d{4})'
const MONTHS = 'January February March April May June July August September October November December'.split(
  ' ',
)
export const isDay = (m: RegExpExecArray, from: number, iso: string): boolean =>
  `${m[from + 2]}-${String(MONTHS.indexOf(m[from + 1]!) + 1).padStart(2, '0')}-${m[from]!.padStart(2, '0')}` ===
  iso.slice(0, 10)

/** Everything of a plan that can differ, by its name, as it stood behind an entry. */
function planAt(entries: readonly CheckedEntry[], seq: number): Map<string, string> {
  const s = stateOf(entries.filter((e) => e.seq <= seq))
  const plan = new Map<string, string>([['question', s.question]])
  for (const c of s.concepts) plan.set(`concept ${c.id}`, `${c.name} ${c.essential}`)
  for (const l of s.limits) plan.set(`limit ${l.id}`, JSON.stringify(l.limit))
  for (const x of s.sources) plan.set(`source ${x.id}`, `${x.name} ${x.kind}`)
  plan.set('known', s.known.map((k) => k.title).join())
  for (const e of entries)
    if (e.kind === 'criterion.set' && e.seq <= seq)
      plan.set(`criterion ${(e.payload as { id: string }).id}`, JSON.stringify(e.payload))
  return plan
}

/** Patterns of sentences about the protocol, each with what makes it true. */
export function protocolPatterns(
  entries: readonly CheckedEntry[],
  number: (words: string) => number,
): Patterns {
  const freezing = entries.filter((e) => e.kind === 'protocol.freeze' || e.kind === 'protocol.amend')
  const at = (e: CheckedEntry): string => (e.payload as { at: string }).at
  const runs = stateOf(entries).runs
  const registration = entries.findLast((e) => e.kind === 'protocol.register')?.payload as
    { place: string; number: string } | undefined
  const frozen = (m: RegExpExecArray): boolean => {
    const [first] = freezing
    if (!first || !isDay(m, 1, at(first))) return false
    const before = runs.length > 0 && runs.every((r) => Date.parse(r.at) > Date.parse(at(first)))
    if (m[0].includes('before the first search') !== before) return false
    const where = registration && `${registration.place} (${registration.number})`
    return m[0].includes('registered') ? where !== undefined && m[0].includes(where) : !registration
  }
  const points = (): number[] => {
    const last = freezing.at(-1)
    if (!last) return []
    const [was, is] = [planAt(entries, last.seq), planAt(entries, Infinity)]
    const n = [...new Set([...was.keys(), ...is.keys()])].filter((k) => was.get(k) !== is.get(k)).length
    const readers = new Set(
      entries.flatMap((e) => {
        const p = e.payload as { pass?: string; reader?: string }
        return e.kind.startsWith('ruling.') && p.pass === 'broad' ? [p.reader] : []
      }),
    )
    // How many read is a matter of its own where the reading is over.
    return readers.size && readers.size !== (last.payload as { readers: number }).readers ? [n, n + 1] : [n]
  }
  const because = '(?:, because (.*))?'
  return [
    [
      new RegExp(
        `^(?:We froze our plan|Our plan was frozen|Its plan was frozen|A protocol was frozen)(?: as a protocol)? on ${DAY}(?:,|\\.| and).*$`,
      ),
      frozen,
    ],
    [
      new RegExp(`^The protocol was amended once, on ${DAY}${because}\\.$`),
      (m) =>
        freezing.length === 2 &&
        isDay(m, 1, at(freezing[1]!)) &&
        (m[4] === undefined || (freezing[1]!.payload as { why: string }).why === m[4]),
    ],
    [
      new RegExp(`^The protocol was amended (twice|\\w+ times), last on ${DAY} \\(Appendix J\\)\\.$`),
      (m) =>
        (m[1] === 'twice' ? 2 : number(m[1]!.split(' ')[0]!)) === freezing.length - 1 &&
        isDay(m, 2, at(freezing.at(-1)!)),
    ],
    [
      new RegExp(
        `^(?:(?:We|I|It) followed a|A) protocol frozen (before the first search|on ${DAY})(?: was followed)?(?:, but for (\\w+) points? \\(Appendix J\\))?\\.$`,
      ),
      (m) => {
        const [first] = freezing
        if (!first) return false
        const before = runs.length > 0 && runs.every((r) => Date.parse(r.at) > Date.parse(at(first)))
        const told = m[5] ? number(m[5]) : 0
        return (m[2] ? isDay(m, 2, at(first)) : before) && (points().includes(told) || !runs.length)
      },
    ],
    [
      /^(?:In all, )?(?:[Ww]e departed|[Tt]he review departs) from the protocol in (\w+) points?, (?:which Appendix J explains|listed with reasons in Appendix J)\.$/,
      (m) => points().includes(number(m[1]!)) && runs.length > 0,
    ],
  ]
}
