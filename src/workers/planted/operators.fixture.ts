import { evaluate } from '@/core/engine'
import { mapChildren, near, parse, phrase, print, walk, withoutPlaces, word, type Expr } from '@/core/query'
import type { OpenStandin } from '@/standins'
import type { JudgedPlan, PlannedLine } from '../judge-desk'

/** What a fault is planted into. */
export interface Ground {
  lines: readonly PlannedLine[]
  plan: JudgedPlan
  source: OpenStandin
}

/** A sheet with one fault, and the remarks that say what is wrong: codes at their line. */
export interface Planted {
  lines: PlannedLine[]
  at: string
  codes: readonly string[]
  /** Codes that may be said as well, for they follow from it or say it in another way. */
  also: readonly string[]
}

/** Plants one kind of fault; undefined where the sheet has no place for it. */
export type Operator = (ground: Ground) => Planted | undefined

const treeOf = (line: PlannedLine): Expr => withoutPlaces(parse(line.text).tree!)
const numberOf = (lines: readonly PlannedLine[], id: string): number =>
  lines.findIndex((l) => l.id === id) + 1

const isWords = (line: PlannedLine): boolean => treeOf(line).kind === 'fields'
const isHeadings = (line: PlannedLine): boolean =>
  [...walk(treeOf(line))].every((e) => e.kind === 'heading' || e.kind === 'or')
const isJoin = (line: PlannedLine): boolean => treeOf(line).kind === 'lines'

function changed(
  { lines }: Ground,
  line: PlannedLine | undefined,
  change: (tree: Expr) => Expr | undefined,
  codes: readonly string[],
  also: readonly string[] = [],
): Planted | undefined {
  const tree = line && change(treeOf(line))
  if (!line || !tree) return undefined
  const text = print(tree)
  if (text === line.text) return undefined
  return { lines: lines.map((l) => (l === line ? { ...l, text } : l)), at: line.id, codes, also }
}

/** The leaves of a line of words joined with OR. */
const leaves = (tree: Expr): Expr[] => [...walk(tree)].filter((e) => e.kind === 'word' || e.kind === 'phrase')
/** The tree with its first leaf of which this is true put otherwise. */
function first(tree: Expr, of: (e: Expr) => Expr | undefined): Expr | undefined {
  const at = [...walk(tree)].find((e) => of(e) !== undefined)
  const go = (e: Expr): Expr => (e === at ? of(e)! : mapChildren(e, go))
  return at && go(tree)
}
/** The join that asks for the concepts, the first AND. */
const joinOf = (lines: readonly PlannedLine[]): PlannedLine | undefined =>
  lines.find((l) => isJoin(l) && l.text.startsWith('all('))
/** A block of words and headings. */
const blockOf = (lines: readonly PlannedLine[]): PlannedLine | undefined =>
  lines.find((l) => isJoin(l) && l.text.startsWith('any(') && !isSpare(l))
const isSpare = (l: PlannedLine): boolean => l.conceptId === 'a'
const wordsOf = (lines: readonly PlannedLine[]): PlannedLine | undefined =>
  lines.find((l) => isWords(l) && !isSpare(l) && leaves(treeOf(l)).length > 1)
const headingsOf = (lines: readonly PlannedLine[]): PlannedLine | undefined =>
  lines.find((l) => isHeadings(l) && !isSpare(l))

/** Behind the last line, with a new number. */
const appended = (lines: readonly PlannedLine[], line: Omit<PlannedLine, 'id'>): PlannedLine[] => [
  ...lines,
  { ...line, id: `l${lines.length + 1}` },
]
/** A line put in before another; references follow. */
function inserted(lines: readonly PlannedLine[], before: string, texts: readonly string[]): PlannedLine[] {
  const at = numberOf(lines, before)
  const moved = (text: string): string =>
    text.replace(/#(\d+)(?:-#?(\d+))?/g, (_, a: string, b?: string) => {
      const to = (n: string): number => (Number(n) >= at ? Number(n) + texts.length : Number(n))
      return b === undefined ? `#${to(a)}` : `#${to(a)}-#${to(b)}`
    })
  const own = texts.map((text, i): PlannedLine => ({ id: `n${i}`, text, limits: [] }))
  return [
    ...lines.slice(0, at - 1),
    ...own,
    ...lines.slice(at - 1).map((l) => ({ ...l, text: moved(l.text) })),
  ]
}

const swapped = (w: string): string => w.slice(0, 2) + w[3] + w[2] + w.slice(4)

export const OPERATORS: Readonly<Record<string, Operator>> = {
  'a misspelt word': (g) =>
    changed(
      g,
      wordsOf(g.lines),
      (t) =>
        first(t, (e) => {
          if (e.kind === 'word' && e.text.length > 5 && e.text[2] !== e.text[3]) return word(swapped(e.text))
          if (e.kind !== 'phrase') return undefined
          const i = e.words.findIndex((w) => w.length > 5 && w[2] !== w[3])
          return i < 0 ? undefined : phrase(...e.words.map((w, k) => (k === i ? swapped(w) : w)))
        }),
      ['dead-part'],
      ['planned-missing'],
    ),
  'AND inside a concept': (g) =>
    changed(
      g,
      wordsOf(g.lines),
      (t) => first(t, (e) => (e.kind === 'or' ? { ...e, kind: 'and' } : undefined)),
      ['and-in-concept', 'dead-line'],
      [
        'planned-missing',
        'no-heading-asked',
        'and-adds-nothing',
        'concept-twice',
        'plural-missing',
        'dead-line',
      ],
    ),
  'words and headings joined with AND': (g) =>
    changed(
      g,
      blockOf(g.lines),
      (t) => (t.kind === 'lines' ? { ...t, mode: 'all' } : undefined),
      ['and-in-concept', 'concept-twice', 'dead-line'],
      ['planned-missing', 'dead-line'],
    ),
  'OR between concepts': (g) =>
    changed(
      g,
      joinOf(g.lines),
      (t) => (t.kind === 'lines' ? { ...t, mode: 'any' } : undefined),
      ['or-between-concepts'],
      ['cap'],
    ),
  'a heading without its narrower': (g) =>
    changed(
      g,
      g.lines.find((l) => isHeadings(l) && !isSpare(l) && l.text.includes('.below')),
      (t) => first(t, (e) => (e.kind === 'heading' && e.below ? { ...e, below: false } : undefined)),
      ['narrower-forgotten'],
    ),
  'a heading as main focus only': (g) =>
    changed(
      g,
      headingsOf(g.lines),
      function main(t): Expr {
        return t.kind === 'heading' ? { ...t, main: true } : mapChildren(t, main)
      },
      ['main-focus'],
    ),
  'a misspelt heading': (g) =>
    changed(
      g,
      headingsOf(g.lines),
      (t) =>
        first(t, (e) =>
          e.kind === 'heading' && e.label.length > 6 ? { ...e, label: swapped(e.label) } : undefined,
        ),
      ['heading-unknown'],
    ),
  'an entry term for a heading': (g) =>
    changed(
      g,
      g.lines.find((l) => isHeadings(l) && !isSpare(l)),
      (t) =>
        first(t, (e) => {
          const [entry] = (e.kind === 'heading' && g.source.thesaurus?.byLabel(e.label)?.entryTerms) || []
          return e.kind === 'heading' && entry ? { ...e, label: entry } : undefined
        }),
      ['entry-term'],
    ),
  'a heading looked for as words': (g) =>
    changed(
      g,
      g.lines.find((l) => treeOf(l).kind === 'heading' && !isSpare(l)),
      (t) =>
        t.kind === 'heading' && /^[A-Za-z ]+$/.test(t.label)
          ? { kind: 'fields', fields: ['subject'], of: phrase(...t.label.split(' ')) }
          : undefined,
      ['heading-as-words', 'dead-part'],
      ['no-heading-asked'],
    ),
  'the title alone': (g) =>
    changed(
      g,
      wordsOf(g.lines),
      (t) => (t.kind === 'fields' ? { ...t, fields: ['title'] } : undefined),
      ['one-field'],
      ['planned-missing'],
    ),
  'the author field for words': (g) =>
    changed(
      g,
      wordsOf(g.lines),
      (t) => (t.kind === 'fields' ? { ...t, fields: ['author'] } : undefined),
      ['one-field', 'dead-part'],
      ['planned-missing'],
    ),
  'NOT with a word of the matter': (g) => {
    const join = joinOf(g.lines)
    const other = g.plan.terms.findLast((t) => t.conceptId === 'c' && t.kind === 'text')
    return join && other
      ? changed(
          g,
          join,
          (t) => ({
            kind: 'not',
            parts: [t, { kind: 'fields', fields: ['text'], of: parse(other.expression).tree! }],
          }),
          ['not-loses'],
        )
      : undefined
  },
  'a word twice': (g) =>
    changed(
      g,
      wordsOf(g.lines),
      (t) =>
        t.kind === 'fields' && t.of.kind === 'or'
          ? { ...t, of: { ...t.of, parts: [...t.of.parts, t.of.parts[0]!] } }
          : undefined,
      ['twice', 'covered'],
    ),
  'a phrase within one of its words': (g) =>
    changed(
      g,
      wordsOf(g.lines),
      (t) => {
        const long = leaves(t).find((e) => e.kind === 'phrase')
        return t.kind === 'fields' && t.of.kind === 'or' && long?.kind === 'phrase'
          ? { ...t, of: { ...t.of, parts: [...t.of.parts, word(long.words[0]!)] } }
          : undefined
      },
      ['covered', 'twice'],
      ['plural-missing', 'spelling-missing'],
    ),
  'a part joined for its block': (g) => {
    const block = blockOf(g.lines)
    const join = joinOf(g.lines)
    if (!block || !join) return undefined
    const n = numberOf(g.lines, block.id)
    return changed(
      g,
      join,
      (t) => (t.kind === 'lines' ? replaced(t, n, n - 2) : undefined),
      ['part-for-block'],
      ['no-heading-asked', 'planned-missing', 'unused-line', 'no-words-asked'],
    )
  },
  'a line that nothing uses': (g) => {
    const block = blockOf(g.lines)
    if (!block) return undefined
    const n = numberOf(g.lines, block.id)
    const planted = changed(
      g,
      block,
      () => ({ kind: 'line', number: n - 2 }),
      ['unused-line'],
      ['no-heading-asked'],
    )
    return planted && { ...planted, at: g.lines[n - 2]!.id }
  },
  'a concept asked for twice': (g) => {
    const join = joinOf(g.lines)
    const words = wordsOf(g.lines)
    if (!join || !words) return undefined
    const n = numberOf(g.lines, words.id)
    const parts = (t: Expr): Expr => ({ kind: 'and', parts: [t, { kind: 'line', number: n }] })
    return changed(g, join, parts, ['concept-twice', 'and-adds-nothing', 'and-in-concept'])
  },
  'the optional concept asked for': (g) => {
    const join = joinOf(g.lines)
    const spare = g.lines.findIndex((l) => l.conceptId === 'a') + 1
    return join && spare
      ? changed(g, join, (t) => ({ kind: 'and', parts: [t, { kind: 'line', number: spare }] }), [
          'optional-asked',
        ])
      : undefined
  },
  'too many at once': (g) => {
    const join = joinOf(g.lines)
    if (!join) return undefined
    const lines = inserted(g.lines, join.id, ['text: school*', 'text: teacher*', 'text: pupil*'])
    const at = numberOf(lines, join.id)
    const tree = treeOf(lines[at - 1]!)
    const more = [at - 3, at - 2, at - 1].map((number): Expr => ({ kind: 'line', number }))
    return {
      lines: lines.map((l) =>
        l.id === join.id ? { ...l, text: print({ kind: 'and', parts: [tree, ...more] }) } : l,
      ),
      at: join.id,
      codes: ['many-asked', 'and-adds-nothing'],
      also: [
        'optional-asked',
        'plural-missing',
        'stem-too-short',
        'spelling-missing',
        'dead-part',
        'and-adds-nothing',
        'and-in-concept',
      ],
    }
  },
  'words side by side': (g) => changed(g, wordsOf(g.lines), (t) => t, ['side-by-side']) ?? sideBySide(g),
  'operators mixed': (g) => {
    const line = wordsOf(g.lines)
    const [a, b] = line ? leaves(treeOf(line)) : []
    if (!line || !a || !b) return undefined
    const text = `text: (${print(a)} OR ${print(b)} AND school*)`
    return {
      lines: g.lines.map((l) => (l === line ? { ...l, text } : l)),
      at: line.id,
      codes: ['mixed-operators'],
      also: ['planned-missing', 'plural-missing', 'stem-too-short', 'spelling-missing', 'and-adds-nothing'],
    }
  },
  'a limit lost': (g) => {
    const limited = g.lines.findIndex((l) => l.limits.length)
    const words = wordsOf(g.lines)
    const join = joinOf(g.lines)
    if (limited < 0 || !words || !join) return undefined
    const lines = appended(g.lines, { text: join.text, limits: [] })
    return { lines, at: lines.at(-1)!.id, codes: ['limit-lost'], also: [] }
  },
  'a limit set otherwise': (g) =>
    limited(g, [{ kind: 'years', from: 2019, to: 2026 }], ['limit-stricter', 'limit-other']),
  'a limit that is not planned': (g) =>
    limited(
      g,
      [
        { kind: 'years', from: 2012, to: 2026 },
        { kind: 'document type', values: ['journal article'] },
      ],
      ['limit-unplanned'],
    ),
  'a planned limit forgotten': (g) => limited(g, [], ['limit-forgotten']),
  'a truncated word cut too late': (g) =>
    changed(
      g,
      wordsOf(g.lines),
      (t) => first(t, (e) => longStem(g.source, e)),
      ['stem-too-long', 'plural-missing'],
      ['planned-missing', 'plural-missing'],
    ),
}

/** A list of lines with one number put for another, as an AND. */
function replaced(t: Extract<Expr, { kind: 'lines' }>, from: number, to: number): Expr {
  const numbers = t.ranges.flatMap((r) => Array.from({ length: r.to - r.from + 1 }, (_, i) => r.from + i))
  return {
    kind: 'and',
    parts: numbers.map((number) => ({ kind: 'line', number: number === from ? to : number })),
  }
}

function limited(g: Ground, limits: PlannedLine['limits'], codes: readonly string[]): Planted | undefined {
  const line = g.lines.find((l) => l.limits.length)
  return (
    line && { lines: g.lines.map((l) => (l === line ? { ...l, limits } : l)), at: line.id, codes, also: [] }
  )
}

function sideBySide(g: Ground): Planted | undefined {
  const line = wordsOf(g.lines)
  const long = line && leaves(treeOf(line)).find((e) => e.kind === 'phrase' && e.words.length === 2)
  if (!line || long?.kind !== 'phrase') return undefined
  return {
    lines: g.lines.map((l) =>
      l === line ? { ...l, text: l.text.replace(print(long), `(${long.words.join(' ')})`) } : l,
    ),
    at: line.id,
    codes: ['side-by-side'],
    also: ['planned-missing', 'plural-missing', 'spelling-missing'],
  }
}

/** A word cut behind its last letter, which misses what it was cut for. */
function longStem(source: OpenStandin, e: Expr): Expr | undefined {
  if (e.kind !== 'word' || e.text.length < 7 || e.text.includes('*')) return undefined
  const cut = word(`${e.text}*`)
  const wider = word(`${e.text.slice(0, -3)}*`)
  const n = (x: Expr): number => evaluate(source.index, x).docs.length
  return n(wider) > n(cut) * 1.2 ? cut : undefined
}

/** The same place with nothing wrong: what looks like a fault and is none. */
export const NEAR_MISSES: Readonly<Record<string, (g: Ground) => PlannedLine[] | undefined>> = {
  'AND of two ideas within a concept': (g) => {
    const line = wordsOf(g.lines)
    const tree = line && treeOf(line)
    if (!line || tree?.kind !== 'fields' || tree.of.kind !== 'or') return undefined
    const idea: Expr = { kind: 'and', parts: [word('school*'), word('measur*')] }
    const text = print({ ...tree, of: { ...tree.of, parts: [...tree.of.parts, idea] } })
    return g.lines.map((l) => (l === line ? { ...l, text } : l))
  },
  'NOT of what is far': (g) => {
    const join = joinOf(g.lines)
    return (
      join &&
      g.lines.map((l) =>
        l === join ? { ...l, text: `${join.text} NOT title: (orchestra* OR "hip joint")` } : l,
      )
    )
  },
  'nearness where there is one': (g) => {
    const line = wordsOf(g.lines)
    const tree = line && treeOf(line)
    const long = tree && leaves(tree).find((e) => e.kind === 'phrase' && e.words.length === 2)
    if (!line || !g.source.profile.nearness || long?.kind !== 'phrase') return undefined
    const [left, right] = long.words.map(word)
    const text = print(
      first(tree!, (e) =>
        e.kind === 'phrase' && print(e) === print(long) ? near(4, left!, right!) : undefined,
      )!,
    )
    return g.lines.map((l) => (l === line ? { ...l, text } : l))
  },
  'one field beside the whole text': (g) => {
    const line = wordsOf(g.lines)
    const [a] = line ? leaves(treeOf(line)) : []
    if (!line || !a) return undefined
    // A word that is too broad for the whole text, and is no concept’s own.
    return g.lines.map((l) => (l === line ? { ...l, text: `${l.text} OR title: measurement*` } : l))
  },
  'a name beside the words': (g) => {
    const line = wordsOf(g.lines)
    const [a] = line ? leaves(treeOf(line)) : []
    return line && a && g.lines.map((l) => (l === line ? { ...l, text: `${l.text} OR author: ahola` } : l))
  },
  'a line tried behind the one that counts': (g) =>
    appended(g.lines, { text: 'text: (noise NOT music)', limits: [] }),
  'the optional concept left unused': (g) => (g.lines.some(isSpare) ? [...g.lines] : undefined),
  'limits in one line with the join': (g) => {
    const join = joinOf(g.lines)
    const line = g.lines.find((l) => l.limits.length)
    if (!join || !line || g.lines.at(-1) !== line || g.lines.at(-2) !== join) return undefined
    return g.lines.slice(0, -1).map((l) => (l === join ? { ...l, limits: line.limits } : l))
  },
}
