import { newStemmer } from 'snowball-stemmers'
import { hasErrors, problem, type Problem } from '../../base'
import { evaluate, EMPTY, type DocSet, type EvaluateOptions, type Index } from '../../engine'
import { readFrom, type Profile } from '../../profile'
import { isMasked, looksLikeOperator, maskStem, type Expr } from '../../query'

/**
 * The singular of an English plural by three rules (the "S stemmer" of Harman, How effective is suffixing?, JASIS 42,
 * 1991): ies → y, es → e, s → nothing, each with its exceptions.
 */
export function singular(word: string): string {
  if (word.length < 4) return word
  if (/[^ea]ies$/.test(word)) return `${word.slice(0, -3)}y`
  if (/[^aeo]es$/.test(word)) return word.slice(0, -1)
  if (/[^us]s$/.test(word)) return word.slice(0, -1)
  return word
}

const english = newStemmer('english')
const FOLD: Record<Exclude<Profile['stemming'], 'none'>, (word: string) => string> = {
  plurals: singular,
  stems: (word) => english.stem(word),
}

/** Terms of an index by their stem; made once for an index and a way of stemming. */
const stemmed = new WeakMap<Index, Map<string, Map<string, number[]>>>()
function termsByStem(index: Index, stemming: Exclude<Profile['stemming'], 'none'>): Map<string, number[]> {
  let kinds = stemmed.get(index)
  if (!kinds) stemmed.set(index, (kinds = new Map()))
  let byStem = kinds.get(stemming)
  if (!byStem) {
    byStem = new Map()
    for (let t = 0; t < index.words.terms.length; t++) {
      const stem = FOLD[stemming](index.term(t))
      const known = byStem.get(stem)
      if (known) known.push(t)
      else byStem.set(stem, [t])
    }
    kinds.set(stemming, byStem)
  }
  return byStem
}

/** How a database with this profile evaluates: its default fields, its stemming, its limits on truncation. */
export function habitsOf(
  profile: Profile,
  say: (p: Problem) => void = () => undefined,
): Pick<EvaluateOptions, 'any' | 'terms'> {
  const { stemming, truncation, quotes, name } = profile
  return {
    any: profile.any,
    terms: (index, word, inPhrase) => {
      if (!isMasked(word)) {
        if (stemming === 'none' || (inPhrase && quotes.exact)) return index.termsFor(word)
        const [own] = index.termsFor(word)
        const stem = FOLD[stemming](own === undefined ? maskStem(word) : index.term(own))
        return termsByStem(index, stemming).get(stem) ?? []
      }
      const stem = maskStem(word)
      if (stem && stem.length < truncation.shortestStem) {
        say(
          problem(
            'stem-short',
            'warning',
            `${name} wants at least ${truncation.shortestStem} letters before a truncation sign; "${word}" found nothing.`,
          ),
        )
        return []
      }
      const terms = index.termsFor(word)
      const { mostForms } = truncation
      if (mostForms === undefined || terms.length <= mostForms) return terms
      say(
        problem(
          'forms-cap',
          'warning',
          `"${word}" has ${terms.length} forms; ${name} searches only the first ${mostForms}.`,
        ),
      )
      return terms.slice(0, mostForms)
    },
  }
}

/** The expression without its stop words; undefined if nothing is left. A phrase keeps them, for its order. */
export function withoutStopWords(e: Expr, stopWords: readonly string[]): Expr | undefined {
  switch (e.kind) {
    case 'word':
      return stopWords.includes(e.text.toLowerCase()) ? undefined : e
    case 'phrase': {
      // A word spelled like an operator is kept as a phrase of one word; it is a word all the same.
      const [only = ''] = e.words
      return e.words.length === 1 && looksLikeOperator(only) && stopWords.includes(only.toLowerCase())
        ? undefined
        : e
    }
    case 'and':
    case 'or': {
      const parts = e.parts.flatMap((p) => withoutStopWords(p, stopWords) ?? [])
      return parts.length > 1 ? { ...e, parts } : parts[0]
    }
    case 'not': {
      const [first, ...rest] = e.parts.map((p) => withoutStopWords(p, stopWords))
      const parts = rest.flatMap((p) => p ?? [])
      return first && parts.length ? { ...e, parts: [first, ...parts] } : first
    }
    case 'fields': {
      const of = withoutStopWords(e.of, stopWords)
      return of && { ...e, of }
    }
    default:
      return e
  }
}

export interface TypedAnswer {
  docs: DocSet | undefined
  /** What the database understood. */
  tree: Expr | undefined
  problems: Problem[]
}

/** Searches as if the text had been typed into the database: read by its profile, evaluated by its habits. */
export function searchAsTyped(
  index: Index,
  text: string,
  profile: Profile,
  options: EvaluateOptions,
): TypedAnswer {
  const { tree, problems } = readFrom(text, profile)
  if (!tree || hasErrors(problems)) {
    const none = problem(
      'query-empty',
      'error',
      `${profile.name} finds nothing in this that it could search.`,
    )
    return { docs: undefined, tree, problems: hasErrors(problems) ? problems : [...problems, none] }
  }
  const said: Problem[] = [...problems]
  const asked = withoutStopWords(tree, profile.stopWords)
  if (!asked) {
    said.push(
      problem(
        'stop-words',
        'warning',
        `${profile.name} does not search for these words: they are all stop words.`,
      ),
    )
    return { docs: EMPTY, tree, problems: said }
  }
  const found = evaluate(index, asked, { ...options, ...habitsOf(profile, (p) => said.push(p)) })
  return { docs: found.docs, tree, problems: [...said, ...found.problems] }
}
