/** An entry of a journal as much of it as a meaning needs. */
export interface Deed {
  seq: number
  at: string
  by: string
  kind: string
  payload?: unknown
}
type Any = Record<string, unknown>

export interface RuledBy {
  verdict: string
  unread: boolean
  /** In words, or a question: “question:” and its id. */
  reason: string
  at: string
  /** When that reader first said something of the work, having read it; absent: never. */
  first?: string
  /** The questions as they stood then. */
  asked: string
}

/** What was brought in at once. */
export interface Brought {
  id: string
  sourceId: string
  count: number
  roundId?: string
}

/** How databases are known to speak, by the id of the source. */
export interface World {
  /** Sources that index with headings. */
  indexed: readonly string[]
  /** Kinds of limits that a source does not have, and what stands in for others. */
  noLimit: Readonly<Record<string, readonly string[]>>
  standIn: Readonly<Record<string, Readonly<Record<string, string>>>>
  /** Where a source looks for words without a field, in words. */
  usual: Readonly<Record<string, string>>
  /** Fields that a source does not have: words in them are looked for where words without one are. */
  lacks: Readonly<Record<string, readonly string[]>>
  /** Sources that know no nearness. */
  nearless: readonly string[]
  /** Sources that look for other forms of a word too: all of them, or singular and plural. */
  stems: Readonly<Record<string, string>>
  /** The title of a record. */
  titleOf: (recordId: string) => string
}
const NO_WORLD: World = {
  indexed: [],
  noLimit: {},
  standIn: {},
  usual: {},
  lacks: {},
  nearless: [],
  stems: {},
  titleOf: (id) => id,
}

/** The last line that asks something: what was done without a query stands for itself. */
export const lastAsking = <L extends { described?: string }>(
  lines: readonly L[] | undefined,
): L | undefined => lines?.findLast((l) => l.described === undefined)

/** A slow reading of a journal, deed by deed: what meanings are judged by. */
export class Deeds {
  readonly live: readonly Deed[]

  constructor(
    entries: readonly Deed[],
    readonly beside?: (digest: string) => readonly number[] | undefined,
    /** What is known of databases beside the journal. */
    readonly world: World = NO_WORLD,
  ) {
    const gone = new Set<number>()
    for (const e of entries) {
      if (e.kind === 'undo') gone.add((e.payload as { seq: number }).seq)
      if (e.kind === 'redo') gone.delete((e.payload as { seq: number }).seq)
    }
    this.live = entries.filter((e) => !gone.has(e.seq) && e.kind !== 'undo' && e.kind !== 'redo')
  }

  of(kind: string): (Any & { $at: string; $by: string })[] {
    return this.live.flatMap((e) =>
      e.kind === kind ? [{ ...(e.payload as Any), $at: e.at, $by: e.by }] : [],
    )
  }

  /** What was brought in and not taken out again, in order. */
  brought(): Brought[] {
    const gone = new Set(this.of('import.remove').map((i) => i.id))
    return this.of('records.import').filter((i) => !gone.has(i.id)) as unknown as Brought[]
  }

  /**
   * Works with their records, and what brought each: records that people joined are one work, unless they parted them again.
   * `ever`: those too that were taken out again; what was said of them was said of the work.
   */
  groups(): { records: string[]; from: Brought[]; ever: string[] }[] {
    const here = new Set(this.brought().map((i) => i.id))
    const all = this.of('records.import') as unknown as Brought[]
    const records = all.flatMap((from) =>
      Array.from({ length: from.count }, (_, n) => ({ id: `${from.id}/${n + 1}`, from })),
    )
    const joined = new Map<string, boolean>()
    for (const e of this.live)
      if (e.kind === 'pair.join' || e.kind === 'pair.part') {
        const { a, b } = e.payload as { a: string; b: string }
        joined.set([a, b].sort().join(' '), e.kind === 'pair.join')
      }
    const groups = records.map((r) => [r])
    for (const [pair, one] of joined) {
      if (!one) continue
      const [x, y] = pair.split(' ').map((id) => groups.findIndex((g) => g.some((r) => r.id === id)))
      if (x === y || x! < 0 || y! < 0) continue
      groups[x!]!.push(...groups[y!]!)
      groups.splice(y!, 1)
    }
    const place = ({ id }: { id: string }): number => records.findIndex((r) => r.id === id)
    return groups.flatMap((g) => {
      const sorted = g.filter((r) => here.has(r.from.id))
      sorted.sort((a, b) => place(a) - place(b))
      const ever = g.map((r) => r.id)
      return sorted.length
        ? [{ records: sorted.map((r) => r.id), from: sorted.map((r) => r.from), ever }]
        : []
    })
  }

  /** Every work, by its first record. */
  get works(): string[] {
    return (this.first ??= this.groups().map((g) => g.records[0]!))
  }
  private first: string[] | undefined

  private recordsOf(work: string): readonly string[] {
    this.records ??= new Map(this.groups().map((g) => [g.records[0]!, g.ever]))
    return this.records.get(work) ?? [work]
  }
  private records: ReadonlyMap<string, readonly string[]> | undefined

  /** Pairs of records that the rules in force found alike, and did not join. */
  alike(): (readonly [string, string])[] {
    const last = this.of('partition.set').at(-1)
    const places = last?.toSettle === undefined ? [] : (this.beside?.(last.toSettle as string) ?? [])
    const there = this.groups().flatMap((g) => g.records)
    return Array.from({ length: places.length / 2 }, (_, n) => places.slice(2 * n, 2 * n + 2)).flatMap(
      ([a, b]) => {
        const [one, other] = [there[a!], there[b!]]
        return one !== undefined && other !== undefined ? [[one, other] as const] : []
      },
    )
  }

  /** The questions of a pass with words, as they stand behind a deed; behind the last where none is named. */
  questions(pass: string, until = Infinity): { text: string; sense: string }[] {
    const found = new Map<string, { text: string; sense: string; pass: string }>()
    for (const e of this.live)
      if (e.seq <= until && e.kind === 'criterion.set') {
        const p = e.payload as { id: string; text: string; sense: string; pass: string }
        found.set(p.id, p)
      }
    return [...found.values()].filter((c) => c.pass === pass && c.text.trim())
  }

  /** What each reader said last of a work in a pass, by reader. */
  ruled(work: string, pass: string): ReadonlyMap<string, RuledBy> {
    const key = `${pass} ${work}`
    const known = this.said.get(key) ?? this.saidOf(work, pass)
    this.said.set(key, known)
    return known
  }

  private readonly said = new Map<string, ReadonlyMap<string, RuledBy>>()
  private saidOf(work: string, pass: string): Map<string, RuledBy> {
    const found = new Map<string, RuledBy>()
    const own = this.recordsOf(work)
    for (const e of this.live) {
      const p = e.payload as Any
      const mine =
        e.kind === 'ruling.set'
          ? own.includes(p.recordId as string)
          : e.kind === 'ruling.many' && (p.records as string[]).some((r) => own.includes(r))
      if (e.kind === 'ruling.remove' && own.includes(p.recordId as string) && p.pass === pass)
        found.delete(p.reader as string)
      if (!mine || p.pass !== pass) continue
      const reader = p.reader as string
      const unread = e.kind === 'ruling.many'
      const before = found.get(reader)?.first
      const first = before ?? (unread ? undefined : e.at)
      found.set(reader, {
        verdict: p.verdict as string,
        unread,
        reason: p.criterionId
          ? `question:${p.criterionId as string}`
          : String((p.reason as string | undefined) ?? (p.because as string | undefined) ?? ''),
        at: e.at,
        ...(first === undefined ? {} : { first }),
        asked: unread ? '' : JSON.stringify(this.questions(pass, e.seq)),
      })
    }
    return found
  }

  /** Who read a work in a pass: those whose last word on it was said having read it. */
  readers(work: string, pass: string): string[] {
    return [...this.ruled(work, pass)].filter(([, r]) => !r.unread).map(([reader]) => reader)
  }

  /** What a pass came to for a work by the rule of the review, with the settled word before all. */
  stands(work: string, pass: 'broad' | 'close'): { verdict: string; unread: boolean; reason: string } {
    const each = [...this.ruled(work, pass).values()]
    const verdicts = new Set(each.map((r) => r.verdict))
    if (!each.length) return { verdict: 'left', unread: false, reason: '' }
    const word = this.of('ruling.settle').findLast((p) => p.pass === pass && p.recordId === work)
    if (word) {
      const reason = word.criterionId ? `question:${word.criterionId as string}` : String(word.reason ?? '')
      return { verdict: word.verdict as string, unread: false, reason }
    }
    const rule = this.of('selection.rule').findLast((p) => p.pass === pass)?.rule ?? 'any yes goes on'
    const outs = each.filter((r) => r.verdict === 'out')
    const reasons = new Set(outs.map((r) => r.reason.trim()))
    if (reasons.size > 1) reasons.delete('')
    const out = {
      verdict: 'out',
      unread: outs.length > 0 && outs.every((r) => r.unread),
      reason: reasons.size > 1 ? 'reasons differ' : ([...reasons][0] ?? ''),
    }
    const other = (verdict: string) => ({ verdict, unread: false, reason: '' })
    if (verdicts.size === 1) return outs.length ? out : other(each[0]!.verdict)
    if (rule === 'settle first') return other('to settle')
    if (rule === 'all agree') return outs.length ? out : other('unsure')
    return other(verdicts.has('in') ? 'in' : 'unsure')
  }

  /** Works that count as read in a pass. */
  counted(pass: 'broad' | 'close'): string[] {
    return this.works.filter((w) => {
      const broad = this.stands(w, 'broad')
      return pass === 'broad'
        ? broad.verdict !== 'left' && !(broad.verdict === 'out' && broad.unread)
        : broad.verdict === 'in' && this.stands(w, 'close').verdict !== 'left'
    })
  }
}
