import { Parser } from 'n3'
import { fail, foldLabel, messageOf, ok, problem, thousands, type Problem, type Result } from '../base'
import type { Heading, Vocabulary } from './heading'
import { relate, type Link } from './relations'

const SKOS = 'http://www.w3.org/2004/02/skos/core#'
const RDF_TYPE = 'http://www.w3.org/1999/02/22-rdf-syntax-ns#type'
const DCT = 'http://purl.org/dc/terms/'
const DC = 'http://purl.org/dc/elements/1.1/'
const RDFS = 'http://www.w3.org/2000/01/rdf-schema#'
const XL = 'http://www.w3.org/2008/05/skos-xl#'
const RDF_VALUE = 'http://www.w3.org/1999/02/22-rdf-syntax-ns#value'
const LABELS = ['prefLabel', 'altLabel', 'hiddenLabel'] as const
const NOTES = ['scopeNote', 'definition'] as const

/** The statements about one subject, by predicate. */
type Statements = Map<string, { value: string; language: string }[]>

/** What addresses are from that a file gives without their beginning; a name that is nobody's (RFC 2606). */
const BASE = 'https://file.invalid/'

/**
 * Reads a vocabulary in SKOS from Turtle or N-Triples. Labels are taken in `language` where there is a choice.
 * Relations are completed both ways; breaches of the SKOS integrity conditions (SKOS Reference, S9, S13, S14, S27,
 * S46) and rings in the hierarchy are mended and reported. Fails only where the text is no Turtle or holds no concept.
 */
export function readSkos(text: string, language = 'en'): Result<Vocabulary> {
  try {
    return vocabularyOfQuads(new Parser({ baseIRI: BASE }).parse(text), language)
  } catch (error) {
    // What a reader breaks down at says nothing to readers of the file; what it found does, and where.
    const said = messageOf(error)
    const why = / on line \d+|^Expected |^Unexpected |^Undefined prefix/.test(said) ? `: ${said}` : ''
    return fail(problem('turtle', 'error', `This is not Turtle or N-Triples${why}. Nothing was taken over.`))
  }
}

/** As much of an RDF statement as is looked at here. */
export interface Statement {
  subject: { value: string }
  predicate: { value: string }
  object: { termType: string; value: string; language?: string }
}

/** No label and no note of a vocabulary has so many letters. */
const LONGEST = 20_000

/** The vocabulary that RDF statements describe; see `readSkos`. */
export function vocabularyOfQuads(quads: readonly Statement[], language = 'en'): Result<Vocabulary> {
  const subjects = new Map<string, Statements>()
  const problems: Problem[] = []
  for (const { subject, predicate, object } of quads) {
    if (object.value.length > LONGEST) {
      const message = `${subject.value} has a text of ${thousands(object.value.length)} letters; it is left out.`
      problems.push(problem('too-long', 'warning', message, subject.value))
      continue
    }
    let statements = subjects.get(subject.value)
    if (!statements) subjects.set(subject.value, (statements = new Map()))
    const list = statements.get(predicate.value) ?? []
    list.push({ value: object.value, language: object.language ?? '' })
    statements.set(predicate.value, list)
  }
  plainly(subjects)
  const values = (id: string, property: string): string[] =>
    subjects
      .get(id)
      ?.get(property)
      ?.map((o) => o.value) ?? []
  const isA = (id: string, type: string): boolean => values(id, RDF_TYPE).includes(SKOS + type)
  const concepts = [...subjects.keys()].filter(
    (id) =>
      isA(id, 'Concept') ||
      // A collection has a label and is no heading.
      (values(id, SKOS + 'prefLabel').length > 0 &&
        !['ConceptScheme', 'Collection', 'OrderedCollection'].some((type) => isA(id, type))),
  )
  if (!concepts.length)
    return fail(
      problem('no-concepts', 'error', 'No skos:Concept was found, so there is no vocabulary in this file.'),
    )

  const headings = new Map<string, Heading>()
  const one = languageOf(concepts, subjects, language, problems)
  for (const id of concepts) headings.set(id, readHeading(id, subjects.get(id)!, one, problems))
  sameLabels(headings, problems)
  relateStatements(headings, subjects, problems)
  checkMappings(concepts, values, problems)
  const scheme = [...subjects.keys()].find((id) => isA(id, 'ConceptScheme'))
  for (const id of concepts)
    if (isA(id, 'ConceptScheme'))
      problems.push(
        problem(
          'S9',
          'warning',
          `${id} is both a concept and a concept scheme; it is read as a concept.`,
          id,
        ),
      )
  const title =
    scheme &&
    [DCT + 'title', DC + 'title', SKOS + 'prefLabel', RDFS + 'label'].flatMap((name) =>
      values(scheme, name),
    )[0]
  return ok(
    {
      id: scheme ?? concepts[0]!,
      title: title ?? 'Vocabulary without a title',
      version: (scheme && values(scheme, DCT + 'issued')[0]) ?? '',
      headings: [...headings.values()],
    },
    problems,
  )
}

/**
 * Puts labels of SKOS-XL and notes that are nodes of their own (SKOS Reference, appendix B and section 7) where plain ones
 * stand: what a node says, in its place.
 */
function plainly(subjects: Map<string, Statements>): void {
  const said = (node: string, property: string) => subjects.get(node)?.get(property) ?? []
  for (const statements of subjects.values()) {
    for (const label of LABELS) {
      const own = (statements.get(XL + label) ?? []).flatMap(({ value }) => said(value, `${XL}literalForm`))
      if (!own.length) continue
      const plain = statements.get(SKOS + label) ?? []
      const further = own.filter((o) => !plain.some((p) => p.value === o.value && p.language === o.language))
      statements.set(SKOS + label, [...plain, ...further])
    }
    for (const note of NOTES) {
      const own = statements.get(SKOS + note)
      if (own?.some(({ value }) => said(value, RDF_VALUE).length))
        statements.set(
          SKOS + note,
          own.flatMap((o) => (said(o.value, RDF_VALUE).length ? said(o.value, RDF_VALUE) : [o])),
        )
    }
  }
}

/** The one language that labels of a file are read in: the one asked for where half the concepts have it, else the most common. */
function languageOf(
  concepts: readonly string[],
  subjects: ReadonlyMap<string, Statements>,
  asked: string,
  problems: Problem[],
): string {
  const counts = new Map<string, number>()
  let unmarked = 0
  for (const id of concepts) {
    const languages = new Set(
      (subjects.get(id)!.get(`${SKOS}prefLabel`) ?? []).map((o) => o.language.split('-')[0]!),
    )
    if (languages.has('')) unmarked++
    for (const language of languages) if (language) counts.set(language, (counts.get(language) ?? 0) + 1)
  }
  const most = [...counts].sort((a, b) => b[1] - a[1])[0]
  if (!most || ((counts.get(asked) ?? 0) + unmarked) * 2 >= concepts.length || most[0] === asked) return asked
  problems.push(
    problem(
      'language',
      'warning',
      `Few concepts have a label in "${asked}": all labels are read in "${most[0]}", which ${thousands(most[1])} of ${thousands(concepts.length)} have.`,
    ),
  )
  return most[0]
}

/** Two concepts that are called the same cannot be told apart in a query: it is said of each. */
function sameLabels(headings: ReadonlyMap<string, Heading>, problems: Problem[]): void {
  const first = new Map<string, Heading>()
  for (const heading of headings.values()) {
    const other = first.get(foldLabel(heading.label))
    if (other)
      problems.push(
        problem(
          'same-label',
          'warning',
          `${other.id} and ${heading.id} are both called "${heading.label}": a query cannot say which of them is meant.`,
          heading.id,
        ),
      )
    else first.set(foldLabel(heading.label), heading)
  }
}

function readHeading(id: string, statements: Statements, language: string, problems: Problem[]): Heading {
  const literals = (property: string): { value: string; language: string }[] => statements.get(property) ?? []
  const chosen = (property: string): string[] => {
    const all = literals(property)
    const own = all.filter((o) => o.language === '' || o.language.split('-')[0] === language)
    return (own.length ? own : all).map((o) => o.value)
  }
  const preferred = literals(SKOS + 'prefLabel')
  const perLanguage = new Map<string, number>()
  for (const { language: l } of preferred) perLanguage.set(l, (perLanguage.get(l) ?? 0) + 1)
  for (const [l, n] of perLanguage)
    if (n > 1)
      problems.push(
        problem(
          'S14',
          'warning',
          `${id} has ${n} preferred labels${l ? ` in "${l}"` : ''}: ${preferred
            .filter((o) => o.language === l)
            .map((o) => `"${o.value}"`)
            .join(', ')}; the first is used.`,
          id,
        ),
      )
  const [label = id.replace(/^.*[/#]/, ''), ...others] = chosen(SKOS + 'prefLabel')
  if (!preferred.length)
    problems.push(problem('no-label', 'warning', `${id} has no label; its name in the file is used.`, id))
  const entryTerms = new Set<string>(others)
  for (const term of [...chosen(SKOS + 'altLabel'), ...chosen(SKOS + 'hiddenLabel')]) {
    if (term === label || entryTerms.has(term))
      problems.push(
        problem('S13', 'warning', `"${term}" is given twice as a label of ${id}; it is kept once.`, id),
      )
    if (foldLabel(term) !== foldLabel(label)) entryTerms.add(term)
  }
  const scopeNote = (chosen(SKOS + 'scopeNote')[0] ?? chosen(SKOS + 'definition')[0])?.trim()
  const code = literals(SKOS + 'notation')[0]?.value
  const since = Number(/^\d{4}/.exec(literals(DCT + 'created')[0]?.value ?? '')?.[0])
  const replacedBy = literals(DCT + 'isReplacedBy')[0]?.value
  return {
    id,
    label,
    entryTerms: [...entryTerms],
    ...(scopeNote ? { scopeNote } : {}),
    broader: [],
    narrower: [],
    related: [],
    ...(code ? { code } : {}),
    ...(since ? { since } : {}),
    ...(replacedBy ? { replacedBy } : {}),
  }
}

/** The relations that the file states, then completed both ways. */
function relateStatements(
  headings: Map<string, Heading>,
  subjects: Map<string, Statements>,
  problems: Problem[],
): void {
  const links: Link[] = []
  for (const id of headings.keys()) {
    const statements = subjects.get(id)!
    for (const kind of ['broader', 'narrower', 'related'] as const)
      for (const { value } of statements.get(SKOS + kind) ?? []) {
        if (headings.has(value)) links.push({ from: id, kind, to: value })
        else {
          const message = `${id} names ${value}, which is not in this file.`
          problems.push(problem('unknown-concept', 'warning', message, id))
        }
      }
  }
  relate(headings, links, problems)
}

function checkMappings(
  ids: string[],
  values: (id: string, property: string) => string[],
  problems: Problem[],
): void {
  for (const id of ids) {
    const exact = new Set(values(id, SKOS + 'exactMatch'))
    for (const other of [...values(id, SKOS + 'broadMatch'), ...values(id, SKOS + 'relatedMatch')])
      if (exact.has(other))
        problems.push(
          problem(
            'S46',
            'warning',
            `${id} matches ${other} exactly and also as broader or related; only one can hold.`,
            id,
          ),
        )
  }
}
