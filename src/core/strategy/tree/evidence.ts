import { newStemmer } from 'snowball-stemmers'
import { foldLabel, tokens } from '../../base'
import { maskStem, parse, walk, type Expr } from '../../query'
import type { Thesaurus } from '../../vocabulary'
import { termExpression, type PlanTerm } from '../draft/draft'
import { unitsOf } from '../draft/units'
import { leavesOf, type Part } from './part'

export interface EvidencePlan {
  concepts: readonly { id: string; letter: string; name: string; essential: boolean }[]
  terms: readonly PlanTerm[]
}

const english = newStemmer('english')
/** Fewer letters tell nothing of what a truncated word is about. */
const LEAST_STEM = 4

/**
 * What the parts of a search are about, whether or not their lines have a letter: a planned term that a leaf says whole decides;
 * then the letter of its line; then words that it has in common with the terms and the name of one concept alone. A heading is
 * also known by its entry terms and by a planned heading above it.
 */
export class ConceptEvidence {
  private readonly byUnit = new Map<string, Set<string>>()
  private readonly byStem = new Map<string, Set<string>>()
  private readonly byHeadingStem = new Map<string, Set<string>>()
  private readonly known = new Map<Part, string | undefined>()

  constructor(
    plan: EvidencePlan,
    private readonly thesaurus: Thesaurus | undefined,
    /** The letter of a line, by its number. */
    private readonly letterOf: (line: number) => string | undefined,
  ) {
    for (const { id, name } of plan.concepts)
      for (const stem of stemsIn(name)) {
        put(this.byStem, stem, id)
        put(this.byHeadingStem, stem, id)
      }
    for (const term of plan.terms) {
      const e = term.status === 'in use' ? termExpression(term) : undefined
      if (!e) continue
      for (const { key, text } of unitsOf(e)) {
        put(this.byUnit, key, term.conceptId)
        // A heading names other things beside its matter; its words tell of other headings only.
        for (const stem of stemsIn(text)) {
          if (e.kind !== 'heading') put(this.byStem, stem, term.conceptId)
          put(this.byHeadingStem, stem, term.conceptId)
        }
      }
      if (e.kind === 'heading')
        for (const label of thesaurus?.foldedLabels(e.label, true) ?? [])
          put(this.byUnit, `heading ${label}`, term.conceptId)
    }
  }

  /** The one concept that a part is about: of what joins others, that of all its parts of which anything is known. */
  of(part: Part): string | undefined {
    if (this.known.has(part)) return this.known.get(part)
    const found =
      part.kind === 'leaf' && !part.whole
        ? this.ofLeaf(part)
        : only(new Set((part.whole ? [] : leavesOf(part)).flatMap((l) => this.of(l) ?? [])))
    this.known.set(part, found)
    return found
  }

  /** The one concept of which a part says planned terms whole, whatever letters and words there are. */
  said(part: Part): string | undefined {
    return only(new Set(leavesOf(part).map((l) => this.byTerms(l))))
  }

  /** The concept of an expression that stands in no line. */
  ofExpression(at: Expr): string | undefined {
    return only(this.unitsAbout(at)) ?? this.byWords(at)
  }

  /** All concepts that a part speaks of. */
  all(part: Part): Set<string> {
    return new Set(leavesOf(part).flatMap((l) => this.of(l) ?? []))
  }

  private ofLeaf(part: Part): string | undefined {
    return this.byTerms(part) ?? (this.letterOf(part.line) || this.byWords(part.at))
  }

  private byTerms(leaf: Part): string | undefined {
    return only(this.unitsAbout(leaf.at))
  }

  private unitsAbout(at: Expr): Set<string> {
    return new Set(unitsOf(at).flatMap(({ key }) => [...(this.byUnit.get(key) ?? [])]))
  }

  private byWords(at: Expr): string | undefined {
    const said = [...walk(at)].flatMap((e): string[] => {
      if (e.kind === 'word') return [e.text]
      if (e.kind === 'phrase') return e.words
      if (e.kind !== 'heading') return []
      const heading = this.thesaurus?.byLabel(e.label)
      return [e.label, ...(heading?.entryTerms ?? [])]
    })
    const votes = new Map<string, number>()
    for (const text of said)
      for (const stem of stemsIn(text))
        for (const [planned, concepts] of at.kind === 'heading' ? this.byHeadingStem : this.byStem)
          if (concepts.size === 1 && (planned === stem || begins(planned, stem)))
            for (const c of concepts) votes.set(c, (votes.get(c) ?? 0) + 1)
    const [first, second] = [...votes].sort((a, b) => b[1] - a[1])
    return first && first[1] !== second?.[1] ? first[0] : undefined
  }
}

const begins = (a: string, b: string): boolean => {
  const [short, long] = a.length < b.length ? [a, b] : [b, a]
  return short.length >= LEAST_STEM && long.startsWith(short)
}

const put = (map: Map<string, Set<string>>, key: string, id: string): void => {
  map.set(key, (map.get(key) ?? new Set()).add(id))
}

const only = <T>(set: ReadonlySet<T>): T | undefined => (set.size === 1 ? [...set][0] : undefined)

/** Of each word its stem, a truncated one as far as it goes. */
const stemsIn = (text: string): string[] =>
  (parse(text).tree ? text : foldLabel(text))
    .split(/[\s"()-]+/)
    .flatMap((w) => {
      const stem = maskStem(w.toLowerCase())
      return tokens(stem).map((t) => (w === stem ? english.stem(t.text) : t.text))
    })
    .filter((s) => s.length > 2)
