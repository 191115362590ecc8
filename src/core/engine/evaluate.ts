import { foldLabel, never, problem, type Problem } from '../base'
import type { Expr, Field } from '../query'
import { DEFAULT_ANY, fieldMask } from './document'
import { EMPTY, intersect, subtract, uniteAll, type DocSet } from './docset'
import type { Index } from './index-read'
import { mergePlaces, nearDocs, phrasePlaces, placesOfTerms, type Places } from './positions'
import { besideEachOther, nearOfTwo } from './straight'

/** What evaluation takes from outside the index. */
export interface EvaluateOptions {
  /** Folded labels a heading stands for (itself, and all below if asked); undefined if there is no such heading. */
  headings?: (label: string, below: boolean) => readonly string[] | undefined
  /** The result of another line; undefined if there is none. */
  line?: (number: number) => DocSet | undefined
  /** What `any` searches. */
  any?: readonly Field[]
  /** The terms that a word means, where the source does more than compare (stemming). */
  terms?: (index: Index, word: string, inPhrase: boolean) => number[]
}

export interface Evaluated {
  docs: DocSet
  problems: Problem[]
}

/**
 * The documents that an expression finds. Set algebra over sorted lists; words are compared folded. A heading or a
 * line that does not exist finds nothing and is named in a problem.
 */
export function evaluate(index: Index, e: Expr, options: EvaluateOptions = {}): Evaluated {
  const problems: Problem[] = []
  const any = options.any ?? DEFAULT_ANY
  const docs = new Evaluation(index, options, any, problems).docs(e, fieldMask(['any'], any))
  return { docs, problems }
}

class Evaluation {
  constructor(
    private readonly index: Index,
    private readonly options: EvaluateOptions,
    private readonly any: readonly Field[],
    private readonly problems: Problem[],
  ) {}

  /** The terms that words stand for: asked for documents, for places, and whether they are one. */
  private readonly found = new Map<string, number[]>()

  docs(e: Expr, mask: number): DocSet {
    switch (e.kind) {
      case 'word':
        return uniteAll(
          this.terms(e.text, false).map((t) => this.index.docsOf(t, mask)),
          this.index.size,
        )
      case 'phrase':
        return this.phrase(e, mask)
      case 'and':
        return this.all(e.parts, mask)
      case 'or':
        return uniteAll(
          e.parts.map((p) => this.docs(p, mask)),
          this.index.size,
        )
      case 'not': {
        const [first, ...rest] = e.parts
        return rest.reduce((docs, p) => subtract(docs, this.docs(p, mask)), this.docs(first!, mask))
      }
      case 'near': {
        const [left, right] = [this.single(e.left), this.single(e.right)]
        if (left !== undefined && right !== undefined)
          return nearOfTwo(this.index, left, right, mask, e.distance, e.ordered)
        const both = intersect(this.docs(e.left, mask), this.docs(e.right, mask))
        if (!both.length) return EMPTY
        return nearDocs(
          this.places(e.left, mask, both),
          this.places(e.right, mask, both),
          e.distance,
          e.ordered,
        )
      }
      case 'fields':
        return this.docs(e.of, fieldMask(e.fields, this.any))
      case 'heading': {
        const labels = this.options.headings ? this.options.headings(e.label, e.below) : [foldLabel(e.label)]
        if (!labels) this.say('heading-unknown', `There is no heading "${e.label}" here.`, e)
        return labels ? this.index.headingDocs(labels, e.main) : EMPTY
      }
      case 'class':
        return this.index.classDocs(e.code, e.below)
      case 'line':
        return this.line(e.number, e)
      case 'lines':
        return this.lines(e)
      default:
        return never(e)
    }
  }

  /** The one term that a word stands for here; undefined where it is none or several, or no word. */
  private single(e: Expr): number | undefined {
    const terms = e.kind === 'word' ? this.terms(e.text, false) : []
    return terms.length === 1 ? terms[0] : undefined
  }

  private phrase(e: Expr & { kind: 'phrase' }, mask: number): DocSet {
    const slots = e.words.map((w) => this.terms(w, !e.loose))
    if (slots.some((terms) => !terms.length)) return EMPTY
    return slots.every((terms) => terms.length === 1)
      ? besideEachOther(
          this.index,
          slots.map(([t]) => t!),
          mask,
        )
      : this.places(e, mask).docs
  }

  /** Shortest first, so that every step works on as little as can be. */
  private all(parts: readonly Expr[], mask: number): DocSet {
    const sets = parts.map((p) => this.docs(p, mask)).sort((a, b) => a.length - b.length)
    return sets.slice(1).reduce(intersect, sets[0]!)
  }

  private terms(word: string, inPhrase: boolean): number[] {
    const key = `${inPhrase ? '"' : ' '}${word}`
    const known =
      this.found.get(key) ??
      (this.options.terms ? this.options.terms(this.index, word, inPhrase) : this.index.termsFor(word))
    this.found.set(key, known)
    return known
  }

  /** Places of what may stand beside NEAR: words, phrases, OR groups of them. Anything else has no places. */
  private places(e: Expr, mask: number, within?: DocSet): Places {
    switch (e.kind) {
      case 'word':
        return placesOfTerms(this.index, this.terms(e.text, false), mask, within)
      case 'phrase': {
        const slots = e.words.map((w) => this.terms(w, !e.loose))
        // Documents that hold every word of the phrase are few; only their positions are laid out.
        const sets = slots.map((terms) =>
          uniteAll(
            terms.map((t) => this.index.docsOf(t, mask)),
            this.index.size,
          ),
        )
        if (within) sets.push(within)
        sets.sort((a, b) => a.length - b.length)
        const both = sets.slice(1).reduce(intersect, sets[0]!)
        return phrasePlaces(slots.map((terms) => placesOfTerms(this.index, terms, mask, both)))
      }
      case 'or':
        return mergePlaces(e.parts.map((p) => this.places(p, mask, within)))
      default:
        return mergePlaces([])
    }
  }

  private line(number: number, e: Expr): DocSet {
    const docs = this.options.line?.(number)
    if (!docs) this.say('line-unknown', `There is no line ${number} to refer to.`, e)
    return docs ?? EMPTY
  }

  private lines(e: Expr & { kind: 'lines' }): DocSet {
    const sets: DocSet[] = []
    for (const { from, to } of e.ranges) for (let n = from; n <= to; n++) sets.push(this.line(n, e))
    if (e.mode === 'any') return uniteAll(sets, this.index.size)
    sets.sort((a, b) => a.length - b.length)
    return sets.slice(1).reduce(intersect, sets[0] ?? EMPTY)
  }

  private say(code: string, message: string, e: Expr): void {
    this.problems.push(problem(code, 'error', message, e.at))
  }
}
