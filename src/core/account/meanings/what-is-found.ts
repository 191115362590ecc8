/** A line of a strategy, as much of it as a meaning needs. */
export interface SlowLine {
  id: string
  text: string
  limits: { kind: string; values?: string[]; from?: number; to?: number }[]
  conceptId?: string
  described?: string
  takenOver?: { what: string; name: string; changed: string }
}

/** What a line asks, read by hand: words, other lines, and how they are joined. */
type Node =
  | { kind: 'and' | 'or' | 'less'; parts: Node[] }
  | { kind: 'word'; text: string; field: string }
  | { kind: 'line'; number: number }
  | { kind: 'nothing' }

const TOKENS = /any\(|all\(|[(),]|#\d+(?:-#?\d+)?|NEAR\/\d+|[\w.,]+:(?= )|"[^"]*"|[^\s(),]+/g

/** Reads a text: NOT binds closest, then AND, then OR; nearness is read as AND. */
export function readLine(text: string): Node {
  const node = READ.get(text) ?? readText(text)
  READ.set(text, node)
  return node
}
const READ = new Map<string, Node>()

function readText(text: string): Node {
  const tokens = text.match(TOKENS) ?? []
  let at = 0
  const joined = (word: string, kind: 'and' | 'or' | 'less', part: () => Node): Node => {
    const parts = [part()]
    while (tokens[at] === word || (word === 'AND' && tokens[at]?.startsWith('NEAR/'))) {
      at++
      parts.push(part())
    }
    return parts.length > 1 ? { kind, parts } : parts[0]!
  }
  const all = (field: string): Node =>
    joined('OR', 'or', () => joined('AND', 'and', () => joined('NOT', 'less', () => unit(field))))
  const unit = (field: string): Node => {
    const token = tokens[at++]
    if (token === undefined) return { kind: 'nothing' }
    if (token === '(') {
      const inner = all(field)
      at++
      return inner
    }
    if (token === 'any(' || token === 'all(') {
      const parts: Node[] = []
      for (; tokens[at] !== undefined && tokens[at] !== ')'; at++)
        if (tokens[at] !== ',') parts.push(...linesIn(tokens[at]!))
      at++
      return { kind: token === 'any(' ? 'or' : 'and', parts }
    }
    if (token.endsWith(':')) return unit(token.slice(0, -1))
    if (/^#\d/.test(token)) return linesIn(token)[0]!
    return { kind: 'word', text: token.replace(/"/g, ''), field }
  }
  return all('')
}

const linesIn = (token: string): Node[] => {
  const m = /^#(\d+)(?:-#?(\d+))?$/.exec(token)
  const [from, to] = [Number(m?.[1]), Number(m?.[2] ?? m?.[1])]
  return Array.from({ length: to - from + 1 }, (_, n) => ({ kind: 'line' as const, number: from + n }))
}

/** Every word of a text, with its field and whether it is a heading. */
export function wordsIn(node: Node): { text: string; field: string }[] {
  if (node.kind === 'word') return [node]
  return 'parts' in node ? node.parts.flatMap(wordsIn) : []
}
/** The lines that a text refers to. */
export function refersTo(node: Node): number[] {
  if (node.kind === 'line') return [node.number]
  return 'parts' in node ? node.parts.flatMap(refersTo) : []
}

export interface Finding {
  /** Is it a record that has this: a word, or (where concepts stand for themselves) `line 3`? */
  has: (what: string) => boolean
  passes?: (limit: string) => boolean
  /** Lines of concepts stand for themselves, whatever they ask. */
  byConcepts?: boolean
}

/** Does the line at a place find a record? A line that is not above finds nothing. */
export function finds(lines: readonly SlowLine[], at: number, f: Finding): boolean {
  const line = lines[at]
  if (!line) return false
  if (f.byConcepts && line.conceptId !== undefined) return f.has(`line ${at + 1}`)
  const node = (n: Node): boolean => {
    switch (n.kind) {
      case 'and':
        return n.parts.every(node)
      case 'or':
        return n.parts.some(node)
      case 'less':
        return node(n.parts[0]!) && !n.parts.slice(1).some(node)
      case 'word':
        return f.has(n.text)
      case 'line':
        return n.number - 1 < at && finds(lines, n.number - 1, f)
      case 'nothing':
        return false
    }
  }
  return node(readLine(line.text)) && line.limits.every((l) => !f.passes || f.passes(JSON.stringify(l)))
}

/** Places of a line and of all that it refers to; where concepts stand for themselves, not what is behind these. */
export function reached(lines: readonly SlowLine[], at: number, byConcepts = false): number[] {
  const line = lines[at]
  if (!line) return []
  if (byConcepts && line.conceptId !== undefined) return [at]
  const below = refersTo(readLine(line.text)).filter((n) => n - 1 < at)
  return [...new Set([at, ...below.flatMap((n) => reached(lines, n - 1, byConcepts))])]
}

/** Every part of a list, the empty one and the whole too. */
export const subsets = <T>(list: readonly T[]): T[][] =>
  list.reduce<T[][]>((all, x) => [...all, ...all.map((s) => [...s, x])], [[]])

/** Everything that a record could have by which a line finds it. */
function marks(lines: readonly SlowLine[], at: number, byConcepts: boolean): string[] {
  return [
    ...new Set(
      reached(lines, at, byConcepts).flatMap((k) =>
        byConcepts && lines[k]!.conceptId !== undefined
          ? [`line ${k + 1}`]
          : wordsIn(readLine(lines[k]!.text)).map((w) => w.text),
      ),
    ),
  ]
}

/** All records of every make that a line finds, each as what it has. */
export const foundBy = (lines: readonly SlowLine[], at: number, byConcepts = false): string[][] =>
  subsets(marks(lines, at, byConcepts)).filter((record) =>
    finds(lines, at, { has: (w) => record.includes(w), byConcepts }),
  )

const sameLimit = (a: SlowLine['limits'][number], b: SlowLine['limits'][number]): boolean =>
  a.kind === b.kind &&
  JSON.stringify([...(a.values ?? [])].sort()) === JSON.stringify([...(b.values ?? [])].sort()) &&
  a.from === b.from &&
  a.to === b.to

/** Does a limit hold for everything that a line finds, of records that have some of its words and pass some of its limits? */
export function limitHolds(
  lines: readonly SlowLine[],
  at: number,
  limit: SlowLine['limits'][number],
): boolean {
  const same = (words: string): boolean => sameLimit(JSON.parse(words) as typeof limit, limit)
  const limits = [
    ...new Set(reached(lines, at).flatMap((k) => lines[k]!.limits.map((l) => JSON.stringify(l)))),
  ]
  if (!limits.some(same)) return false
  for (const record of subsets(marks(lines, at, false)))
    for (const passed of subsets(limits))
      if (
        !passed.some(same) &&
        finds(lines, at, { has: (w) => record.includes(w), passes: (l) => passed.includes(l) })
      )
        return false
  return true
}
