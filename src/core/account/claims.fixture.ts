/**
 * A slow checker of what the account says. It reads the entries of a journal only, folds what it needs in its own plain
 * way, and shares no code with the account: every sentence has to fit one of the patterns below, and what it claims is
 * reckoned again. A sentence that fits none is a fault too: nothing may be said that nobody checks.
 */
import { stateOf, type CheckedEntry, type Line, type Run } from './journal-state.fixture'
import { selectionPatterns } from './selection-checker.fixture'
import { finds, limitHolds, spelledOut, subsets } from './what-lines-find.fixture'

/** What the checker knows of how databases speak, by the id of the source. */
export interface World {
  /** Sources that index with headings. */
  indexed: readonly string[]
  /** Kinds of limits that a source does not have, and what stands in for others. */
  noLimit: Record<string, string[]>
  standIn: Record<string, Record<string, string>>
}

const YEARS = /from (\d+) to (\d+)/
const number = (words: string): number => {
  const small = 'no one two three four five six seven eight nine ten eleven twelve'.split(' ').indexOf(words)
  return small >= 0 ? small : Number(words.replace(/,/g, ''))
}

/** Every sentence of the account that is not borne out by the journal, with why. */
export function untrueClaims(
  sentences: readonly string[],
  entries: readonly CheckedEntry[],
  world: World,
): string[] {
  const s = stateOf(entries)
  const databases = s.sources.filter((x) => x.kind === 'database')
  const idOf = (name: string): string => s.sources.find((x) => x.name === name)!.id
  const runsOf = (id: string): Run[] => s.runs.filter((r) => r.sourceId === id)
  const searched = databases.filter((d) => runsOf(d.id).length)
  /** The run of a line as it stands: it asked then what the line asks now. */
  const current = (id: string, line: Line | undefined): Run | undefined => {
    const lines = s.strategies[id] ?? []
    const at = lines.findIndex((l) => l.id === line?.id)
    return at < 0
      ? undefined
      : runsOf(id).findLast((r) => r.lineId === line!.id && r.asked === spelledOut(lines, at))
  }
  const final = (id: string): Line | undefined => s.strategies[id]?.at(-1)
  const names = (text: string): string[] => text.split(/, | and /).map((n) => n.trim())
  const same = (a: readonly string[], b: readonly string[]): boolean =>
    JSON.stringify([...a].sort()) === JSON.stringify([...b].sort())
  const limitOf = (words: string) =>
    s.limits.find(({ limit }) => {
      if (limit.kind === 'years')
        return YEARS.test(words) && words.includes(`from ${limit.from} to ${limit.to}`)
      if (limit.kind === 'peer reviewed') return words.includes('peer-reviewed')
      const language = { en: 'English', de: 'German', es: 'Spanish' } as Record<string, string>
      return limit.kind === 'language' && limit.values!.every((v) => words.includes(language[v]!))
    })
  const holds = (id: string, words: string): boolean => {
    const limit = limitOf(words)?.limit
    const lines = s.strategies[id] ?? []
    return (
      limit !== undefined &&
      current(id, final(id)) !== undefined &&
      limitHolds(lines, lines.length - 1, limit)
    )
  }
  const reasonGiven = (reason: string | undefined): boolean =>
    !reason ||
    [...s.limits.map((l) => l.reason), ...s.concepts.map((c) => c.note), ...s.sources.map((x) => x.why)].some(
      (r) => r && reason.includes(r),
    )
  const first = Math.min(...s.runs.map((r) => Date.parse(r.at)))
  const before = s.known.filter((k) => Date.parse(k.at) < first).length
  const brought = s.imports.reduce((n, i) => n + i.count, 0)

  type Check = (m: RegExpExecArray) => boolean
  const patterns: [RegExp, Check][] = [
    [/^The review asks: (.*)$/, (m) => m[1] === s.question],
    [/^We broke the question into (\w+) concepts?: (.*)\.$/, (m) => number(m[1]!) === s.concepts.length],
    [
      /^We did not require (.*?) in the searches(?:, because (.*))?\.$/,
      (m) =>
        reasonGiven(m[2]) &&
        s.concepts
          .filter((c) => !c.essential)
          .some((c) => m[1]!.toLowerCase().includes(c.name.toLowerCase())),
    ],
    [
      /^We plan to keep to (.*?)(?:, because (.*))?\.$/,
      (m) =>
        reasonGiven(m[2]) &&
        limitOf(m[1]!) !== undefined &&
        (!searched.length || searched.some((d) => !current(d.id, final(d.id)))),
    ],
    [
      /^We kept to (.*?)(?:, because (.*?))?(?:; where a database does not mark it, something stood in for it)?\.$/,
      (m) => reasonGiven(m[2]) && searched.length > 0 && searched.every((d) => holds(d.id, m[1]!)),
    ],
    [
      /^In (.*?) we kept to (.*?)(?:, because (.*))?; the other searches were not limited so\.$/,
      (m) =>
        same(
          names(m[1]!),
          searched.filter((d) => holds(d.id, m[2]!)).map((d) => d.name),
        ),
    ],
    [
      /^A limit to (.*?) was planned(?:, because (.*))?; no search was limited so\.$/,
      (m) => searched.length > 0 && searched.every((d) => current(d.id, final(d.id)) && !holds(d.id, m[1]!)),
    ],
    [
      /^Before searching we named ([\w,]+) known items? that a good search had to find\.$/,
      (m) => number(m[1]!) === before && before > 0,
    ],
    [
      /^Another (\w+) (?:was|were) added later\.$/,
      (m) => number(m[1]!) === s.known.length - before && before > 0,
    ],
    [
      /^While searching we named ([\w,]+) known items? that a good search had to find\.$/,
      (m) => number(m[1]!) === s.known.length && before === 0 && s.runs.length > 0,
    ],
    [
      /^To test the searches, we named ([\w,]+) known items?\.$/,
      (m) => number(m[1]!) === s.known.length && !s.runs.length,
    ],
    [
      /^(?:All of them are|It is|Of (?:these|it), (\w+) (?:is|are)) among the records brought in\.$/,
      () => s.imports.length > 0,
    ],
    [
      /^We searched one database, (.*)\.$/,
      (m) =>
        same(
          [m[1]!],
          searched.map((d) => d.name),
        ),
    ],
    [
      /^We searched (\w+) databases: (.*)\.$/,
      (m) =>
        number(m[1]!) === searched.length &&
        same(
          names(m[2]!),
          searched.map((d) => d.name),
        ),
    ],
    [
      /^We plan to search (.*?) as well, which has not been done yet\.$/,
      (m) =>
        same(
          names(m[1]!),
          databases.filter((d) => !searched.includes(d)).map((d) => d.name),
        ),
    ],
    [
      /^We plan to search (?:one database, |\w+ databases: )(.*)\.$/,
      (m) =>
        !searched.length &&
        same(
          names(m[1]!),
          databases.map((d) => d.name),
        ),
    ],
    [
      /^(.*?) (?:indexes|index) records with headings of (?:a thesaurus|thesauri) of (?:its|their) own\.$/,
      () => true,
    ],
    [/^(.*?) was chosen, because (.*)\.$/, (m) => s.sources.find((x) => x.name === m[1])?.why === m[2]],
    [
      /^(\w+ Index) was searched (.*)\.$/,
      (m) =>
        runsOf(idOf(m[1]!)).length > 0 && runsOf(idOf(m[1]!)).every((r) => m[2]!.includes(`(${r.release})`)),
    ],
    [
      /^Beyond databases we (asked|read|plan to ask|plan to read) (.*?)(?:, because (.*))?\.$/,
      (m) => {
        const done = s.imports.some((i) => i.sourceId === idOf(m[2]!))
        return m[1]!.startsWith('plan') !== done && reasonGiven(m[3])
      },
    ],
    [
      /^We gathered search terms for the concepts, (\d+) terms? in all\.$/,
      (m) => Number(m[1]) === s.terms.filter((t) => t.status === 'in use').length,
    ],
    [
      /^For (.*?) we took the (.*)\.$/,
      (m) =>
        names(m[2]!.replace(/^(?:words?|headings?) /, '')).every((n) =>
          s.terms.some(
            (t) =>
              t.status === 'in use' &&
              n.replace(/^the (?:words?|headings?) | of \w+ Index$/g, '').includes(t.expression),
          ),
        ),
    ],
    [
      /^We tried and dropped (\w+) more(; the reasons are kept with the terms)?\.$/,
      (m) => {
        const tried = s.terms.filter(
          (t) =>
            t.status === 'dropped' &&
            s.runs.some((r) =>
              new RegExp(`(^|[^\\w*])${t.expression.replace('*', '\\*')}($|[^\\w*])`).test(r.text),
            ),
        )
        return number(m[1]!) === tried.length && (!m[2] || tried.every((t) => t.reason))
      },
    ],
    [
      /^In (\w+ Index) we searched with (.*)\.$/,
      (m) => {
        const id = idOf(m[1]!)
        const run = (s.strategies[id] ?? []).filter((l) => current(id, l))
        const has = (l: Line, what: RegExp): boolean => what.test(l.text)
        const HEADING = /heading/
        const headings = world.indexed.includes(id) && run.some((l) => has(l, HEADING))
        if (m[2]!.includes('headings of its thesaurus') !== headings) return false
        const all = run.filter((l) => has(l, HEADING)).every((l) => !/heading:/.test(l.text))
        if (/ with their narrower ones/.test(m[2]!) && !all) return false
        // "for each concept" of headings: every concept that was asked for has some.
        const asked = new Set(
          run.flatMap((l) =>
            l.conceptId && /[a-z]/.test(l.text.replace(/any|all/g, '')) ? [l.conceptId] : [],
          ),
        )
        const withHeadings = new Set(
          run.flatMap((l) => (l.conceptId && has(l, HEADING) ? [l.conceptId] : [])),
        )
        const [ofHeadings = ''] = m[2]!.split(/ and (?:words|codes) /)
        const said = / for each concept$/.test(ofHeadings) && ofHeadings.startsWith('headings')
        return !said || (asked.size > 1 && asked.size === withHeadings.size)
      },
    ],
    [/^We searched (\w+ Index)\.$/, (m) => runsOf(idOf(m[1]!)).length > 0],
    [
      /^(\w+ Index) knows no nearness; AND stood in its place there\.$/,
      (m) => (s.strategies[idOf(m[1]!)] ?? []).some((l) => /NEAR/.test(l.text)),
    ],
    [
      /^With NOT we left out records that match .*\.$/,
      () =>
        Object.entries(s.strategies).some(([id, lines]) =>
          lines.some((l) => / NOT /.test(l.text) && current(id, l)),
        ),
    ],
    [
      /^(\w+ Index) offers no limit by (.*)\.$/,
      (m) =>
        (world.noLimit[idOf(m[1]!)] ?? []).some((k) =>
          m[2]!.includes(k === 'peer reviewed' ? 'peer review' : k),
        ),
    ],
    [/^In all, ([\d,]+) records? (?:was|were) brought in\.$/, (m) => number(m[1]!) === brought],
    [
      /^The searches found ([\d,]+) records?, and ([\d,]+) records? (?:was|were) brought in\.$/,
      (m) => {
        const runs = searched.map((d) => current(d.id, final(d.id)))
        return (
          runs.every(Boolean) &&
          number(m[1]!) === runs.reduce((n, r) => n + r!.hits, 0) &&
          number(m[2]!) === brought
        )
      },
    ],
    [
      /^After ([\d,]+) duplicates? had been merged, ([\d,]+) works? remained\.$/,
      (m) => number(m[1]!) + number(m[2]!) === brought,
    ],
    [
      /^Of the works, ([\d,]+) stood in one source only\.$/,
      (m) => new Set(s.imports.map((i) => i.sourceId)).size > 1 && number(m[1]!) <= brought,
    ],
    ...selectionPatterns(s.selection, number),
  ]
  /** Sentences that speak of "there": they belong to the database of the sentence before. */
  const there: [RegExp, (m: RegExpExecArray, id: string) => boolean][] = [
    [
      /^Lines for one concept were joined with OR, and the concepts (.*?) with AND(?:, which gave ([\d,]+) records)?\.$/,
      (m, id) => joinIs(id, m[1]!, m[2], true),
    ],
    [
      /^The concepts (.*?) were joined with AND(?:, which gave ([\d,]+) records)?\.$/,
      (m, id) => joinIs(id, m[1]!, m[2], false),
    ],
    [
      /^We joined the lines as (.*?)(?:, which gave ([\d,]+) records)?\.$/,
      (m, id) => {
        const line = (s.strategies[id] ?? []).find(
          (l) =>
            l.text.replace(/[()]/g, '') === m[1]!.replace(/[()]/g, '') &&
            (!m[2] || current(id, l)?.hits === number(m[2])),
        )
        return line !== undefined
      },
    ],
    [
      /^Limiting to (.*)\.$/,
      (m, id) => {
        const steps = [...m[1]!.matchAll(/left ([\d,]+)/g)].map((x) => number(x[1]!))
        const lines = s.strategies[id] ?? []
        // Each step is nothing but a limit on the line that the step before made, and was run.
        let at = lines.length - 1
        for (const hits of [...steps].reverse()) {
          const line = lines[at]!
          if (!/^#\d+$/.test(line.text) || !line.limits.length || current(id, line)?.hits !== hits)
            return false
          at = Number(line.text.slice(1)) - 1
        }
        return true
      },
    ],
    [
      /^What counts there is limited to (.*); it is ([\d,]+) records\.$/,
      (m, id) => current(id, final(id))?.hits === number(m[2]!),
    ],
    [/^What counts there is ([\d,]+) records\.$/, (m, id) => current(id, final(id))?.hits === number(m[1]!)],
    [
      /^There, (?:the )?(.*?) stood in for the limit to (.*?) work\.$/,
      (m, id) => {
        const kind = m[2] === 'peer-reviewed' ? 'peer reviewed' : m[2]!
        const lines = s.strategies[id] ?? []
        return (
          world.standIn[id]?.[kind] === m[1] &&
          lines.some((l) => l.limits.some((x) => x.kind === kind)) &&
          current(id, final(id)) !== undefined
        )
      },
    ],
  ]
  /** Concepts joined with AND: what is found must need each of them, tried on records of every make. */
  function joinIs(id: string, said: string, hits: string | undefined, within: boolean): boolean {
    const lines = s.strategies[id] ?? []
    const groups = said
      .split(/, (?![^(]*\))| and (?![^(]*\))/)
      .map((g) => g.replace(/[()]/g, '').split(/ or |, /))
    const conceptOf = (name: string) => s.concepts.find((c) => c.name.toLowerCase() === name.toLowerCase())!
    return lines.some((joining, at) => {
      if (hits && current(id, joining)?.hits !== number(hits)) return false
      if (!/all\(|AND/.test(joining.text)) return false
      if (within && !lines.some((l) => l.conceptId && /any\(|OR #/.test(l.text))) return false
      const wordsOf = (name: string): string[] =>
        lines.flatMap((l, k) =>
          l.conceptId === conceptOf(name).id
            ? (spelledOut(lines, k).match(/"[^"]+"|[a-z]+\*?/g) ?? [])
                .map((w) => w.replace(/"/g, ''))
                .filter((w) => !['title', 'text', 'heading', 'below'].includes(w))
            : [],
        )
      const every = [...new Set(groups.flat().flatMap(wordsOf))]
      // Without all words of one group nothing may be found; with all words of all groups, something is.
      const find = (record: readonly string[]): boolean =>
        finds(
          lines,
          at,
          (w) => record.includes(w),
          () => true,
        )
      const records = subsets(every).filter(find)
      return groups.every((g) => records.every((r) => g.flatMap(wordsOf).some((w) => r.includes(w))))
    })
  }
  let id = ''
  return sentences.flatMap((sentence) => {
    const named = /^(?:In (\w+ Index) we searched with|We searched (\w+ Index)\.)/.exec(sentence)
    if (named) id = idOf((named[1] ?? named[2])!)
    for (const [pattern, check] of there) {
      const m = pattern.exec(sentence)
      if (m) return check(m, id) ? [] : [`not so: ${sentence}`]
    }
    for (const [pattern, check] of patterns) {
      const m = pattern.exec(sentence)
      if (m) return check(m) ? [] : [`not so: ${sentence}`]
    }
    return [`nobody checks: ${sentence}`]
  })
}
