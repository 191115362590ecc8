/** The slow checker of what is said of the protocol: it reads the journal's deeds only, and shares no code with the account. */
import { stateOf, type CheckedEntry, type Patterns } from './journal-state.fixture'
import { Deeds } from './meanings'

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
    | { place: string; number: string }
    | undefined
  const frozen = (m: RegExpExecArray): boolean => {
    const [first] = freezing
    if (!first || !isDay(m, 1, at(first))) return false
    const before = runs.length > 0 && runs.every((r) => Date.parse(r.at) > Date.parse(at(first)))
    if (m[0].includes('before the first search') !== before) return false
    const where = registration && `${registration.place} (${registration.number})`
    return m[0].includes('registered') ? where !== undefined && m[0].includes(where) : !registration
  }
  const differing = (a: number, b: number): string[] => {
    const [was, is] = [planAt(entries, a), planAt(entries, b)]
    return [...new Set([...was.keys(), ...is.keys()])].filter((k) => was.get(k) !== is.get(k))
  }
  /** What an amendment took in when it had been acted on already: changed, then something run or ruled, then amended. */
  const amendedLate = (): number =>
    freezing.slice(1).reduce((sum, amended, n) => {
      const before = freezing[n]!
      return (
        sum +
        differing(before.seq, amended.seq).filter((key) => {
          const changed = entries.findLast(
            (e) =>
              e.seq > before.seq &&
              e.seq < amended.seq &&
              planAt(entries, e.seq - 1).get(key) !== planAt(entries, e.seq).get(key),
          )
          return (
            changed &&
            entries.some(
              (e) => e.seq > changed.seq && e.seq < amended.seq && /^(?:run|ruling)\./.test(e.kind),
            )
          )
        }).length
      )
    }, 0)
  /** Titles and abstracts that fewer read than the protocol has it, where the reading is over or was acted on. */
  const fewer = (planned: number): number => {
    const deeds = new Deeds(entries as never)
    const counted = deeds.counted('broad')
    const over = deeds.works.every((w) => deeds.stands(w, 'broad').verdict !== 'left')
    if (!counted.length || !(over || deeds.counted('close').length)) return 0
    return counted.some((w) => deeds.readers(w, 'broad').length < planned) ? 1 : 0
  }
  const points = (): number[] => {
    const last = freezing.at(-1)
    if (!last) return []
    const { readers } = last.payload as { readers: number }
    return [amendedLate() + differing(last.seq, Infinity).length + fewer(readers)]
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
