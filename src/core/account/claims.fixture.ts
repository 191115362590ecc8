/**
 * A slow checker of what the account says. It reads the entries of a journal only, folds what it needs in its own plain
 * way, and shares no code with the account: every sentence has to fit one of the patterns below, and what it claims is
 * reckoned again. A sentence that fits none is a fault too: nothing may be said that nobody checks.
 */
import { stateOf, type CheckedEntry, type Line, type Run } from './journal-state.fixture'
import { protocolPatterns } from './protocol-checker.fixture'
import { togetherPatterns } from './sources-checker.fixture'
import { searchReviewPatterns } from './search-review-checker.fixture'
import { foundWords } from './known-checker.fixture'
import { titleOf } from './random-review.fixture'
import { timesIn } from './reads/en/days'
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

/** The places of a line and of all that it refers to. */
const reachedFrom = (lines: readonly Line[], at: number): number[] => [
  at,
  ...[...(lines[at]?.text ?? '').matchAll(/#(\d+)/g)].flatMap((m) => reachedFrom(lines, Number(m[1]) - 1)),
]

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
  // What was run is told as it was run: of a line that was edited since, the lines as they stood at its last run.
  for (const { id } of databases) {
    const now = s.strategies[id] ?? []
    const asks = (lines: Line[], line: Line): string => spelledOut(lines, lines.indexOf(line))
    const ran = (line: Line | undefined): Run | undefined => runsOf(id).findLast((r) => r.lineId === line?.id)
    const counting = ran(now.at(-1))
    const then = counting && s.linesAt.get(counting.id)!
    const whole =
      counting && then && counting.asked !== asks(now, now.at(-1)!)
        ? then.slice(0, then.findIndex((l) => l.id === counting.lineId) + 1)
        : now
    // To which concept a line belongs is no part of what was run.
    const belongs = (line: Line): Line => {
      const { conceptId: _then, ...was } = line
      const conceptId = now.find((l) => l.id === line.id)?.conceptId
      return conceptId === undefined ? was : { ...was, conceptId }
    }
    // What the run that counts had reached stands as it stood then, whatever was run of it since.
    const reached = new Set(whole === now ? [] : reachedFrom(whole, whole.length - 1))
    s.strategies[id] = whole.map((line, at) => {
      const run = ran(line)
      if (reached.has(at) || !run || run.asked === asks(whole, line)) return belongs(line)
      return belongs(s.linesAt.get(run.id)!.find((l) => l.id === line.id)!)
    })
  }
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
  const reasonGiven = (reason: string | undefined): boolean =>
    !reason ||
    [...s.limits.map((l) => l.reason), ...s.concepts.map((c) => c.note), ...s.sources.map((x) => x.why)].some(
      (r) => r && reason.includes(r),
    )
  const first = Math.min(...s.runs.map((r) => Date.parse(r.at)))
  const before = s.known.filter((k) => Date.parse(k.at) < first).length

  type Check = (m: RegExpExecArray) => boolean
  const because = '(?:, because (.*?))?'
  /** Words for limits, one or several: each is one of the plan; gives their ids. */
  const limitsIn = (words: string): string[] | undefined => {
    const found = words.split(/, and to |; only /).map((part) => {
      const said = part.replace(/, because .*$/, '')
      // One phrase may name several: "peer-reviewed work published from 2017 to 2026 in English".
      const own = s.limits.filter(({ limit: l }) =>
        l.kind === 'years'
          ? said.includes(`from ${l.from} to ${l.to}`)
          : l.kind === 'peer reviewed'
            ? said.includes('peer-reviewed')
            : l.kind === 'language' &&
              / in \w/.test(said) &&
              limitOf(said.replace(/^.* in /, 'in ')) !== undefined,
      )
      return own.length ? own.map((l) => l.id) : undefined
    })
    return found.every((ids) => ids !== undefined) ? (found as string[][]).flat() : undefined
  }
  const limitById = (id: string) => s.limits.find((l) => l.id === id)!.limit
  const stands = (source: string, limitId: string): boolean => {
    const lines = s.strategies[source] ?? []
    return (
      current(source, final(source)) !== undefined && limitHolds(lines, lines.length - 1, limitById(limitId))
    )
  }
  const lacks = (source: string, limitId: string): boolean =>
    (world.noLimit[source] ?? []).includes(limitById(limitId).kind)
  /** It held in every database that was searched and has such a limit, and in one at least. */
  const keptEverywhere = (limitId: string): boolean =>
    searched.some((d) => stands(d.id, limitId)) &&
    searched.every((d) => stands(d.id, limitId) || lacks(d.id, limitId))
  const runLines = (id: string): Line[] => (s.strategies[id] ?? []).filter((l) => current(id, l))
  const HEADING = /heading/
  /** What is said that the lines of a source were made of. */
  const madeOf = (id: string, words: string): boolean => {
    const run = runLines(id)
    const headings = world.indexed.includes(id) && run.some((l) => HEADING.test(l.text))
    if (words.includes('headings of the thesaurus') !== headings) return false
    const own = run.filter((l) => HEADING.test(l.text))
    if (words.includes('(with their narrower ones)') && own.some((l) => /heading:/.test(l.text))) return false
    if (words.includes('(some with') && !own.some((l) => /heading\.below/.test(l.text))) return false
    // Headings without a concept named: every concept that was asked for has some.
    const asked = new Set(
      run.flatMap((l) => (l.conceptId && /[a-z]/.test(l.text.replace(/any|all/g, '')) ? [l.conceptId] : [])),
    )
    const with_ = new Set(run.flatMap((l) => (l.conceptId && HEADING.test(l.text) ? [l.conceptId] : [])))
    const bare = /headings of the thesaurus(?: \([^)]*\))?(?: and |,|$)/.test(words)
    return !headings || !bare || with_.size === 0 || asked.size === with_.size
  }
  const conceptsAsked = (id: string): string => {
    const lines = s.strategies[id] ?? []
    const own = s.concepts.filter((c) => lines.some((l) => l.conceptId === c.id))
    return own.map((c) => c.name).join(', ')
  }
  const joinedSo = (id: string, join: string | undefined): boolean => {
    if (!join) return true
    const m = /^, and (.*) then with AND$/.exec(join)
    if (!m)
      return (
        join === ', joined line by line as Appendix B has it' && runLines(id).some((l) => /#/.test(l.text))
      )
    return joinIs(id, m[1] === 'the concepts' ? undefined : m[1]!, m[1] === 'the concepts')
  }
  const wayOf = (who: string | undefined, parts: string, join: string | undefined): boolean =>
    (who === undefined ? searched.map((d) => d.name) : names(who)).every(
      (n) => madeOf(idOf(n), parts) && joinedSo(idOf(n), join),
    )
  const JOIN = '(, and .*? then with AND|, joined line by line as Appendix B has it)?'
  const tried = s.terms.filter(
    (t) =>
      t.status === 'dropped' &&
      s.runs.some((r) =>
        new RegExp(`(^|[^\\w*])${t.expression.replace('*', '\\*')}($|[^\\w*])`).test(r.text),
      ),
  )
  const inUse = s.terms.filter((t) => t.status === 'in use')
  const FOUND = '(?:; (.*?))?'
  const knownSo = foundWords(s, number, {
    titles: new Set(
      s.imports.flatMap((i) => Array.from({ length: i.count }, (_, n) => titleOf(`${i.id}/${n}`))),
    ),
    leftOut: (year) =>
      searched.length > 0 &&
      searched.every((d) => {
        const lines = s.strategies[d.id] ?? []
        const limited = limitHolds(lines, lines.length - 1, { kind: 'years', from: 2017, to: 2026 })
        return current(d.id, final(d.id)) !== undefined && limited && (year < 2017 || year > 2026)
      }),
  })
  const searchedAre = (words: string): boolean =>
    same(
      names(words),
      searched.map((d) => d.name),
    )
  const open = databases.filter((d) => !searched.includes(d)).map((d) => d.name)
  /** Those that the sentence before named. */
  const spoken = searched.length ? searched : databases
  /** The times at which a source was searched, from the first to the last day of each. */
  const spells = (id: string): { first: string; last: string }[] => {
    const days = [...new Set(runsOf(id).map((r) => r.at.slice(0, 10)))].sort()
    const begins = days.filter(
      (d, n) => n === 0 || Date.parse(d) - Date.parse(days[n - 1]!) > 14 * 86_400_000,
    )
    return begins.map((first, n) => ({
      first,
      last: days.filter((d) => d < (begins[n + 1] ?? '~')).at(-1)!,
    }))
  }
  /** Each of these was searched at these times, one after the other. */
  const searchedAt = (ids: readonly string[], words: string): boolean => {
    const times = timesIn(words.replace(/again, with revised strategies,/, 'again'))
    return (
      times !== undefined &&
      times.every(({ first, last }, n) => {
        const own = ids.flatMap((id) => spells(id)[n] ?? [])
        return (
          own.length === ids.length &&
          own.map((t) => t.first).sort()[0] === first &&
          own
            .map((t) => t.last)
            .sort()
            .at(-1) === last
        )
      })
    )
  }
  const countedLast = (id: string): boolean => {
    const run = current(id, final(id))
    return run !== undefined && run.at.slice(0, 10) >= spells(id).at(-1)!.first
  }
  const way = (name: string) => s.sources.find((x) => x.name === name && x.kind !== 'database')
  const patterns: [RegExp, Check][] = [
    [/^The review asks: (.*)$/, (m) => m[1] === s.question],
    [
      /^(?:We divided the question|Its question was divided) into (.*)\.$/,
      (m) => names(m[1]!).length === s.concepts.length,
    ],
    [
      new RegExp(
        `^(?:We did not require (.*?) in the searches|The searches did not require (.*?))${because}\\.$`,
      ),
      (m) =>
        reasonGiven(m[3]) &&
        s.concepts
          .filter((c) => !c.essential)
          .some((c) => (m[1] ?? m[2])!.toLowerCase().includes(c.name.toLowerCase())),
    ],
    [
      /^(?:We plan to limit the database searches to|The database searches are to be limited to|In the databases, searches are to be limited to) (.*)\.$/,
      (m) =>
        limitsIn(m[1]!) !== undefined &&
        (!searched.length || searched.some((d) => !current(d.id, final(d.id)))),
    ],
    [
      /^(?:We limited the database searches to|The database searches were limited to|In the databases, searches were limited to) (.*)\.$/,
      (m) => (limitsIn(m[1]!) ?? ['none']).every((id) => id !== 'none' && keptEverywhere(id)),
    ],
    [
      /^They (were also|will also be) limited to (.*), because (.*)\.$/,
      (m) => {
        const id = limitOf(m[2]!)?.id
        return id !== undefined && reasonGiven(m[3]) && (m[1] === 'will also be' || keptEverywhere(id))
      },
    ],
    [
      new RegExp(
        `^(?:In (.*?) we kept to (.*?)${because}; the other searches were not limited so|Only in (.*?) did we keep to (.*?)${because})\\.$`,
      ),
      (m) => {
        const id = limitOf((m[2] ?? m[5])!)?.id
        return (
          id !== undefined &&
          same(
            names((m[1] ?? m[4])!),
            searched.filter((d) => stands(d.id, id)).map((d) => d.name),
          )
        )
      },
    ],
    [
      new RegExp(
        `^(?:A limit to (.*?) was planned${because}; no search was limited so|Planned, but set in no search, was a limit to (.*))\\.$`,
      ),
      (m) =>
        (limitsIn((m[1] ?? m[3])!) ?? ['none']).every(
          (id) =>
            id !== 'none' &&
            searched.length > 0 &&
            searched.every((d) => current(d.id, final(d.id)) && !stands(d.id, id)),
        ),
    ],
    [
      new RegExp(
        `^(?:([\\w,]+) known items? that (?:was|were) named before searching served as a test|As a test served ([\\w,]+) known items? that (?:was|were) named before searching)${FOUND}\\.$`,
      ),
      (m) => number((m[1] ?? m[2])!.toLowerCase()) === before && before > 0 && knownSo(m[3]),
    ],
    [
      new RegExp(
        `^(?:Another|Later, another) (\\w+) (?:was|were) added later${FOUND}\\.$|^Later, another (\\w+) (?:was|were) added${FOUND}\\.$`,
      ),
      (m) => number((m[1] ?? m[3])!) === s.known.length - before && before > 0 && knownSo(m[2] ?? m[4]),
    ],
    [
      new RegExp(
        `^(?:([\\w,]+) known items? that (?:was|were) named while searching served as a test|As a test served ([\\w,]+) known items? that (?:was|were) named while searching)${FOUND}\\.$`,
      ),
      (m) =>
        number((m[1] ?? m[2])!.toLowerCase()) === s.known.length &&
        before === 0 &&
        s.runs.length > 0 &&
        knownSo(m[3]),
    ],
    [
      new RegExp(
        `^(?:([\\w,]+) known items? (?:was|were) named to test the searches|To test the searches, ([\\w,]+) known items? (?:was|were) named)${FOUND}\\.$`,
      ),
      (m) => number((m[1] ?? m[2])!.toLowerCase()) === s.known.length && !s.runs.length && knownSo(m[3]),
    ],
    [/^We searched one database, (.*) \(Table 1\)\.$/, (m) => searchedAre(m[1]!)],
    [
      /^(?:In all, we|We) searched (\w+) databases \(Table 1\): (.*)\.$/,
      (m) => number(m[1]!) === searched.length && searchedAre(m[2]!),
    ],
    [
      /^(?:We plan to search (.*?) as well, which has not been done yet|Still to be searched (?:is|are) (.*?))\.$/,
      (m) => searched.length > 0 && same(names((m[1] ?? m[2])!), open),
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
      /^(?:Its records are indexed with a thesaurus of its own|It indexes records with a thesaurus)\.$/,
      () => spoken.length === 1 && world.indexed.includes(spoken[0]!.id),
    ],
    [
      /^(?:All of them index their records|Each indexes its records) with a thesaurus(?: of its own)?\.$/,
      () => spoken.length > 1 && spoken.every((d) => world.indexed.includes(d.id)),
    ],
    [
      /^(?:(\w+) of them, |Of these, |One of them, )(.*?),? (?:indexes its|index their) records with a thesaurus\.$/,
      (m) =>
        same(
          names(m[2]!),
          spoken.filter((d) => world.indexed.includes(d.id)).map((d) => d.name),
        ) &&
        spoken.length > 1 &&
        (!m[1] || number(m[1].toLowerCase()) === names(m[2]!).length),
    ],
    [
      /^(?:(All|The search|.*? Index) (?:was run|was searched|were searched)|Searching took place) ((?:on|between) .*?)( in .*?)?(; the counts given here are those of the last search)?\.$/,
      (m) => {
        const who = m[3]
          ? names(m[3].slice(4))
          : m[1] && !/^(?:All|The search)$/.test(m[1])
            ? names(m[1])
            : undefined
        const list = who?.map(idOf) ?? searched.map((d) => d.id)
        const said = m[2]!.split(' and again').length
        return (
          list.length > 0 &&
          list.every((x) => spells(x).length === said) &&
          searchedAt(list, m[2]!) &&
          (!m[4] || searched.every((d) => countedLast(d.id)))
        )
      },
    ],
    [
      new RegExp(
        `^(?:We|We also|Beyond databases we|Further we|In addition, we) (asked|read) (.*?)${because}\\.$`,
      ),
      (m) => s.imports.some((i) => i.sourceId === way(m[2]!)?.id) && reasonGiven(m[3]),
    ],
    [
      new RegExp(`^(?:We plan|Beyond that we plan) to (?:ask|read) (.*?)(?: as well)?${because}\\.$`),
      (m) => way(m[1]!) !== undefined && !s.imports.some((i) => i.sourceId === way(m[1]!)!.id),
    ],
    [
      /^(?:The terms are|As terms (?:were taken|serve)) (.*?)(?:; Appendix A has them by concept, and Appendix B the strategies as they were run, line by line)?\.$/,
      (m) => same(names(m[1]!), [...new Set(inUse.map((t) => t.expression))]),
    ],
    [
      /^(?:We tried and dropped (\w+) more|Another (\w+) (?:was|were) tried and dropped)(; Appendix A says why)?\.$/,
      (m) => number((m[1] ?? m[2])!) === tried.length && (!m[3] || tried.every((t) => t.reason)),
    ],
    [
      new RegExp(
        `^(?:In (.*?), |Lines in (.*?) were built so: )(?:for each concept, )?((?:headings|codes|words) .*?) were (?:joined with OR|used)${JOIN}\\.$`,
      ),
      (m) => wayOf(m[1] ?? m[2], m[3]!, m[4]),
    ],
    [
      new RegExp(
        `^(?:For each concept, |Lines were built so: (?:for each concept, )?)((?:headings|codes|words) .*?) were (?:joined with OR|used)${JOIN}\\.$`,
      ),
      (m) => wayOf(undefined, m[1]!, m[2]),
    ],
    [
      new RegExp(`^The searches used ((?:headings|codes|words) .*?)${JOIN}\\.$`),
      (m) => wayOf(undefined, m[1]!, m[2]),
    ],
    [
      /^(.*? Index) (?:was|were) asked with (.*)\.$/,
      (m) =>
        m[0]
          .slice(0, -1)
          .replace(/ (?:was|were) asked with /, ' with ')
          .split(/; (?=\w+ Index)/)
          .every((part) => {
            const [, who = '', how = ''] = /^(.*? Index) with (.*)$/.exec(part) ?? []
            return names(who).every((n) =>
              madeOf(
                idOf(n),
                how.startsWith('words alone') ? how.replace('words alone, in', 'words in') : how,
              ),
            )
          }),
    ],
    [
      /^(?:(.*? Index) knows? no nearness; AND stood in its place there|Where nearness is not known \((.*)\), AND stood in its place)\.$/,
      (m) =>
        names((m[1] ?? m[2])!).every((n) => (s.strategies[idOf(n)] ?? []).some((l) => /NEAR/.test(l.text))),
    ],
    [
      /^(?:We left out, with NOT,|With NOT we left out) (.*)\.$/,
      (m) =>
        [...m[1]!.matchAll(/ in (\w+ Index)/g)].every(([, n]) =>
          runLines(idOf(n!)).some((l) => / NOT /.test(l.text)),
        ),
    ],
    [
      /^(?:As to limits, )?(.* cannot limit by .*)\.$/,
      (m) =>
        m[1]!.split('; ').every((part) => {
          const [who = '', kinds = ''] = part.split(' cannot limit by ')
          return names(who).every((n) =>
            kinds
              .split(' or ')
              .every((k) =>
                (world.noLimit[idOf(n)] ?? []).includes(k === 'peer review' ? 'peer reviewed' : k),
              ),
          )
        }),
    ],
    [
      /^(?:Where (?:there is no limit by (.*?)|peer review is not marked), something else stood in for it|Something else stood in where (?:there is no limit by (.*?)|peer review is not marked)): (.*)\.$/,
      (m) => {
        const kind = m[1] ?? m[2] ?? 'peer reviewed'
        return m[3]!.split('; ').every((part) => {
          const who = [...part.matchAll(/(\w+ Index)/g)].map((x) => x[1]!)
          return who.every((n) => {
            const id = idOf(n)
            return (
              part.includes(world.standIn[id]?.[kind] ?? '\u0000') &&
              (s.strategies[id] ?? []).some((l) => l.limits.some((x) => x.kind === kind)) &&
              current(id, final(id)) !== undefined
            )
          })
        })
      },
    ],
    ...protocolPatterns(entries, number),
    ...searchReviewPatterns(entries, number),
    ...togetherPatterns(entries),
  ]
  /** Concepts joined with AND: what is found must need each of them, tried on records of every make. */
  function joinIs(id: string, said: string | undefined, single: boolean): boolean {
    const lines = s.strategies[id] ?? []
    const groups = single
      ? conceptsAsked(id)
          .split(', ')
          .map((n) => [n])
      : said!.split(/, (?![^(]*\))| and (?![^(]*\))/).map((g) => g.replace(/[()]/g, '').split(/ or |, /))
    const conceptOf = (name: string) => s.concepts.find((c) => c.name.toLowerCase() === name.toLowerCase())!
    return lines.some((joining, at) => {
      if (!current(id, joining) || !/all\(|AND/.test(joining.text)) return false
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
      // Of the concepts, those that were joined: each of them is needed.
      const needed = groups.filter((g) => records.every((r) => g.flatMap(wordsOf).some((w) => r.includes(w))))
      if (single) return needed.length > 1
      return groups.every((g) => records.every((r) => g.flatMap(wordsOf).some((w) => r.includes(w))))
    })
  }
  return sentences.flatMap((sentence) => {
    for (const [pattern, check] of patterns) {
      const m = pattern.exec(sentence)
      if (m && check(m)) return []
      if (m) return [`not so: ${sentence}`]
    }
    return [`nobody checks: ${sentence}`]
  })
}
