import type { DocSet } from '../../engine'
import { numbersIn, type Expr, type Field, type LimitValue } from '../../query'
import type { Loss } from '../../profile'
import { combined, withoutPart } from './combined'
import { partsWithin, saidBy, type Part } from './part'

/** One line as it was read and run. */
export interface TreeLine {
  tree: Expr | undefined
  limits: readonly LimitValue[]
  /** What the whole line found; undefined where the records lie elsewhere, or it could not be run. */
  docs: DocSet | undefined
}

/** How a source is asked for a part. */
export interface TreeSource {
  /** Records that it holds; 0 where they lie elsewhere. */
  size: number
  /** What it finds for an expression as it is sent there, and what it cannot say of it. */
  ask: (said: Expr) => { docs: DocSet | undefined; losses: readonly Loss[] }
  limited: (docs: DocSet, limit: LimitValue) => DocSet
}

/**
 * The search that was built, from the line that counts down to the words: what joins what, and what each part finds as it was
 * sent. A line that several others use stands once. What is changed in a part is recounted along its ways to the root alone.
 */
export class SearchTree {
  /** By line, in order; undefined where a line cannot be read. */
  readonly roots: (Part | undefined)[] = []
  /** The numbers of the lines that the counting one is built of, itself among them. */
  readonly reached: ReadonlySet<number>
  private readonly above = new Map<Part, Part[]>()

  constructor(
    lines: readonly TreeLine[],
    /** The number of the line that counts; 0 where there is none. */
    readonly counting: number,
    readonly source: TreeSource,
  ) {
    lines.forEach((line, i) => this.roots.push(this.rootOf(line, i + 1)))
    for (const part of this.all())
      for (const p of part.parts) this.above.set(p, [...new Set([...(this.above.get(p) ?? []), part])])
    this.reached = new Set([
      ...(counting ? [counting] : []),
      ...(this.root ? [...partsWithin(this.root)].map((p) => p.line) : []),
    ])
  }

  /** The root of the line that counts. */
  get root(): Part | undefined {
    return this.roots[this.counting - 1]
  }

  /** Every part of every line, each once. */
  *all(): Generator<Part> {
    const seen = new Set<Part>()
    for (const root of this.roots) if (root) yield* partsWithin(root, seen)
  }

  /** The parts that are made of this one. */
  madeOf(part: Part): readonly Part[] {
    return this.above.get(part) ?? []
  }

  /** The part of which this one is a choice, as high as ORs go; of a part that several lines use, the first way up. */
  blockOf(part: Part): Part {
    let block = part
    for (;;) {
      const up = this.madeOf(block).find((p) => p.kind === 'or')
      if (!up) return block
      block = up
    }
  }

  /** What a part would find without some of its parts. */
  without(part: Part, gone: readonly Part[]): DocSet {
    const [only] = gone
    if (part.kind === 'or' && only && gone.length === 1) return withoutPart(part, only)
    const left = part.parts.filter((p) => !gone.includes(p))
    // Of a limit only what is limited is left.
    return part.limit
      ? part.parts[0]!.docs!
      : combined(
          part.kind,
          left.map((p) => p.docs!),
          this.source.size,
        )
  }

  /**
   * What the root finds when these parts find something else. Parts that are not on the way keep what they found; undefined
   * where nothing is known of records.
   */
  atRoot(instead: ReadonlyMap<Part, DocSet>, root: Part | undefined = this.root): DocSet | undefined {
    if (!root?.docs) return undefined
    const touched = new Set<Part>()
    const mark = (part: Part): void => {
      for (const up of this.madeOf(part))
        if (!touched.has(up)) {
          touched.add(up)
          mark(up)
        }
    }
    for (const part of instead.keys()) mark(part)
    const known = new Map<Part, DocSet>(instead)
    const count = (part: Part): DocSet => {
      const own = known.get(part)
      if (own) return own
      if (!touched.has(part)) return part.docs!
      const docs = this.joined(part, part.parts.map(count))
      known.set(part, docs)
      return docs
    }
    return count(root)
  }

  private joined(part: Part, docs: readonly DocSet[]): DocSet {
    return part.limit
      ? this.source.limited(docs[0]!, part.limit)
      : combined(part.kind, docs, this.source.size)
  }

  private rootOf(line: TreeLine, number: number): Part | undefined {
    if (!line.tree) return undefined
    const at = line.tree
    let part = this.partOf(at, number, undefined)
    for (const limit of line.limits) {
      const docs = part.docs && this.source.limited(part.docs, limit)
      part = { kind: 'limit', line: number, at, fields: undefined, parts: [part], docs, losses: [], limit }
    }
    if (!line.docs || (part.docs && same(line.docs, part.docs))) return part
    const { losses } = this.source.ask(at)
    return { ...leaf(at, number, undefined), docs: line.docs, losses, whole: true }
  }

  private partOf(at: Expr, line: number, fields: readonly Field[] | undefined): Part {
    const made = (kind: 'or' | 'and' | 'not', parts: readonly Part[]): Part => {
      const docs = parts.flatMap((p) => p.docs ?? [])
      const all = docs.length === parts.length ? combined(kind, docs, this.source.size) : undefined
      return { kind, line, at, fields, parts, docs: all, losses: [] }
    }
    const root = (n: number): readonly Part[] => (n < line ? [this.roots[n - 1] ?? []].flat() : [])
    switch (at.kind) {
      case 'and':
      case 'or':
      case 'not':
        return made(
          at.kind,
          at.parts.map((p) => this.partOf(p, line, fields)),
        )
      case 'fields':
        return this.partOf(at.of, line, at.fields)
      case 'line': {
        const [part] = root(at.number)
        return part ?? leaf(at, line, fields)
      }
      case 'lines': {
        const parts = numbersIn(at.ranges).flatMap(root)
        return parts.length ? made(at.mode === 'any' ? 'or' : 'and', parts) : leaf(at, line, fields)
      }
      default:
        return { ...leaf(at, line, fields), ...this.source.ask(saidBy({ at, fields })) }
    }
  }
}

const leaf = (at: Expr, line: number, fields: readonly Field[] | undefined): Part => ({
  kind: 'leaf',
  line,
  at,
  fields,
  parts: [],
  docs: undefined,
  losses: [],
})

const same = (a: DocSet, b: DocSet): boolean => a.length === b.length && a.every((d, i) => d === b[i])
