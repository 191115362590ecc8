export interface CheckedEntry {
  seq: number
  at: string
  kind: string
  payload?: unknown
}

type Any = Record<string, never>

export interface Line {
  id: string
  text: string
  limits: { kind: string; values?: string[]; from?: number; to?: number }[]
  conceptId?: string
}

/** The state that matters, folded by hand: later entries win, undone ones count for nothing. */
export function stateOf(entries: readonly CheckedEntry[]) {
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
  /** The lines of a source as they stood when a run was made, by the run. */
  const linesAt = new Map<string, Line[]>()
  for (const e of live) {
    const p = e.payload as { id: string; sourceId: string; lines: Line[] }
    if (e.kind === 'strategy.set') strategies[p.sourceId] = p.lines
    if (e.kind === 'run.log') linesAt.set(p.id, strategies[p.sourceId] ?? [])
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
        ? (e.payload as { items: { id: string; title: string; year?: number }[] }).items.map((i) => ({
            ...i,
            at: e.at,
          }))
        : [],
    ),
    imports: byId('records.import', 'import.remove') as never as {
      id: string
      sourceId: string
      count: number
    }[],
    runs: all.filter((r) => !corrected.has(r.id)),
    strategies,
    linesAt,
  }
}

export interface Run {
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

/** Patterns of sentences, each with what makes it true. */
export type Patterns = [RegExp, (m: RegExpExecArray) => boolean][]
