/**
 * A slow checker of what the account says. It reads the entries of a journal only, folds what it needs in its own plain
 * way, and shares no code with the account: every sentence has to fit one of the patterns below, and what it claims is
 * reckoned again. A sentence that fits none is a fault too: nothing may be said that nobody checks.
 */
export interface CheckedEntry {
  seq: number
  at: string
  kind: string
  payload: unknown
}

type Any = Record<string, never>
/** What the checker knows of how databases speak, by the id of the source. */
export interface World {
  /** Sources that index with headings. */
  indexed: readonly string[]
  /** Kinds of limits that a source does not have, and what stands in for others. */
  noLimit: Record<string, string[]>
  standIn: Record<string, Record<string, string>>
}

interface Line {
  id: string
  text: string
  limits: { kind: string; values?: string[]; from?: number; to?: number }[]
  conceptId?: string
}

/** The state that matters, folded by hand: later entries win, undone ones count for nothing. */
function stateOf(entries: readonly CheckedEntry[]) {
  const gone = new Set<number>()
  for (const e of entries) {
    const seq = (e.payload as { seq?: number }).seq
    if (e.kind === 'undo') gone.add(seq!)
    if (e.kind === 'redo') gone.delete(seq!)
  }
  const live = entries.filter((e) => !gone.has(e.seq))
  const last = (kind: string): Any | undefined =>
    live.findLast((e) => e.kind === kind)?.payload as Any | undefined
  const byId = (set: string, remove: string): Any[] => {
    const found = new Map<string, Any>()
    for (const e of live) {
      const p = e.payload as { id: string }
      if (e.kind === set) found.set(p.id, p as never)
      if (e.kind === remove) found.delete(p.id)
    }
    return [...found.values()]
  }
  const strategies: Record<string, Line[]> = {}
  for (const e of live)
    if (e.kind === 'strategy.set') {
      const p = e.payload as { sourceId: string; lines: Line[] }
      strategies[p.sourceId] = p.lines
    }
  const all = live.filter((e) => e.kind === 'run.log').map((e) => e.payload as never as Run)
  const corrected = new Set(all.map((r) => r.supersedes))
  return {
    question: (last('question.set') as { text?: string } | undefined)?.text ?? '',
    concepts: byId('concept.set', 'concept.remove') as never as {
      id: string
      name: string
      essential: boolean
      note: string
    }[],
    limits: byId('limit.set', 'limit.remove') as never as {
      id: string
      limit: Line['limits'][number]
      reason: string
    }[],
    sources: byId('source.set', 'source.remove') as never as {
      id: string
      kind: string
      name: string
      why: string
    }[],
    terms: byId('term.set', 'term.remove') as never as {
      expression: string
      status: string
      kind: string
      reason?: string
    }[],
    known: live.flatMap((e) =>
      e.kind === 'known.add'
        ? (e.payload as { items: { id: string; title: string }[] }).items.map((i) => ({ ...i, at: e.at }))
        : [],
    ),
    imports: byId('records.import', 'import.remove') as never as { sourceId: string; count: number }[],
    rulings: live
      .filter((e) => e.kind === 'ruling.set')
      .map((e) => e.payload as never as { workId: string; verdict: string; reader: string }),
    runs: all.filter((r) => !corrected.has(r.id)),
    strategies,
  }
}
interface Run {
  id: string
  sourceId: string
  lineId: string
  text: string
  limits: Line['limits']
  hits: number
  at: string
  release: string
  supersedes?: string
  asked?: string
}

/** What a line asks, spelled out through all lines it refers to, as plain text: two that are equal ask the same. */
function spelledOut(lines: readonly Line[], i: number): string {
  const { text, limits } = lines[i]!
  const opened = text
    .replace(/any\(([^)]*)\)|all\(([^)]*)\)/g, (_, any: string | undefined, every: string | undefined) => {
      const numbers = [...(any ?? every ?? '').matchAll(/#(\d+)(?:-#(\d+))?/g)].flatMap((m) =>
        Array.from({ length: Number(m[2] ?? m[1]) - Number(m[1]) + 1 }, (_x, k) => `#${Number(m[1]) + k}`),
      )
      return `(${numbers.join(any === undefined ? ' AND ' : ' OR ')})`
    })
    .replace(/#(\d+)/g, (_, n: string) =>
      Number(n) - 1 < i ? `(${spelledOut(lines, Number(n) - 1)})` : '#none',
    )
  return limits.length ? `(${opened}) LIMIT ${JSON.stringify(limits)}` : opened
}

/**
 * Does every record that a line finds have a property? Tried on records of every make: each has some of the words and
 * some of the limits. The words of the texts are single letters, so that a record is a set of letters.
 */
export function finds(
  lines: readonly Line[],
  i: number,
  has: (word: string) => boolean,
  passes: (limit: string) => boolean,
): boolean {
  const expression = spelledOut(lines, i)
  let at = 0
  const skip = (): void => {
    while (expression[at] === ' ') at++
  }
  const or = (): boolean => {
    let value = and()
    for (skip(); expression.startsWith('OR', at); skip()) {
      at += 2
      const right = and()
      value = value || right
    }
    return value
  }
  const and = (): boolean => {
    let value = not()
    for (skip(); expression.startsWith('AND', at); skip()) {
      at += 3
      const right = not()
      value = value && right
    }
    return value
  }
  const not = (): boolean => {
    let value = unit()
    for (skip(); expression.startsWith('NOT', at); skip()) {
      at += 3
      const right = unit()
      value = value && !right
    }
    return value
  }
  const unit = (): boolean => {
    skip()
    if (expression[at] === '(') {
      at++
      let value = or()
      skip()
      at++
      skip()
      if (expression.startsWith('LIMIT', at)) {
        at += 6
        const end = expression.indexOf(']', expression.indexOf('}]', at)) + 1
        for (const l of JSON.parse(expression.slice(at, end)) as object[])
          value = value && passes(JSON.stringify(l))
        at = end
      }
      return value
    }
    const word = /^(?:(?:title|text): )?(?:heading(?:\.below)?: "([^"]+)"|#none|[\w*"]+)/.exec(
      expression.slice(at),
    )!
    at += word[0].length
    return has(word[1] ?? word[0].replace(/^(?:title|text): /, ''))
  }
  return or()
}

const subsets = <T>(list: readonly T[]): T[][] =>
  list.reduce<T[][]>((all, x) => [...all, ...all.map((s) => [...s, x])], [[]])

/** Can a line find anything at all? Of nothing, everything is true, and nothing can be checked. */
export function findsSomething(lines: readonly Line[]): boolean {
  const words = [...new Set(lines.flatMap((_, i) => spelledOut(lines, i).match(/"[^"]+"|[a-z]+\*?/g) ?? []))]
  const last = lines.length - 1
  return subsets(words.map((w) => w.replace(/"/g, ''))).some((r) =>
    finds(
      lines,
      last,
      (w) => r.includes(w),
      () => true,
    ),
  )
}

/** Does a limit hold for everything that a line finds? */
function limitHolds(lines: readonly Line[], i: number, limit: Line['limits'][number]): boolean {
  const words = [...new Set(lines.flatMap((l) => l.text.match(/[a-z]+\*?/g) ?? []))].filter(
    (w) => !['any', 'all', 'title', 'text', 'heading', 'below'].includes(w),
  )
  const labels = [...new Set(lines.flatMap((l) => [...l.text.matchAll(/"([^"]+)"/g)].map((m) => m[1]!)))]
  const limits = [...new Set(lines.flatMap((l) => l.limits.map((x) => JSON.stringify(x))))]
  const same = (x: string): boolean => {
    const y = JSON.parse(x) as typeof limit
    return (
      y.kind === limit.kind &&
      JSON.stringify([...(y.values ?? [])].sort()) === JSON.stringify([...(limit.values ?? [])].sort()) &&
      y.from === limit.from &&
      y.to === limit.to
    )
  }
  if (!limits.some(same)) return false
  for (const record of subsets([...words, ...labels]))
    for (const passed of subsets(limits)) {
      if (
        !finds(
          lines,
          i,
          (w) => record.includes(w),
          (l) => passed.includes(l),
        )
      )
        continue
      if (!passed.some(same)) return false
    }
  return true
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
  const ruled = new Set(s.rulings.map((r) => r.workId)).size

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
      /^So far we have read titles and abstracts of ([\d,]+) of ([\d,]+) works?; (\w+) readers? ruled: .*\.$/,
      (m) => number(m[1]!) === ruled && number(m[3]!) === new Set(s.rulings.map((r) => r.reader)).size,
    ],
    [
      /^We read titles and abstracts of ([\d,]+) works?; (\w+) readers? ruled: .*\.$/,
      (m) => number(m[1]!) === ruled,
    ],
    [/^(?:One question was|These questions were) asked of each: .*$/, () => ruled > 0],
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

export { spelledOut }
