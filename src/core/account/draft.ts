import { listed } from '../base'
import { limitState } from '../profile'
import { limitWords, type LimitValue } from '../query'
import { termsInUse, type PlannedLimit, type Review, type Source, type Voice } from '../review'
import {
  outsideOwn,
  PASSAGES,
  paragraph,
  verbatim,
  type Paragraph,
  type Passage,
  type PassageId,
} from './document'
import { currentRuns, joiningLine, runWith, type FactContext } from './facts'

/** Chooses between a sentence in the first person (written with "we") and one in the passive. */
type Say = (active: string, passive: string) => string

function speaker(voice: Voice): Say {
  return (active, passive) => {
    if (voice === 'passive') return passive
    return voice === 'we'
      ? active
      : outsideOwn(active, (part) => part.replace(/\b[Ww]e\b/g, 'I').replace(/\bour\b/g, 'my'))
  }
}

/**
 * The account as the record has it: every passage drafted from the review, except those that the person has edited.
 * A passage about which nothing is known yet has no paragraphs.
 */
export function draftAccount(context: FactContext): Passage[] {
  const { account } = context.review
  const say = speaker(account.voice)
  return PASSAGES.map(({ id, title }) => {
    const edited = account.edited[id]
    if (edited) return { id, title, edited: true, content: edited as unknown as Paragraph[] }
    return { id, title, edited: false, content: DRAFT[id](context, say).filter(Boolean).map(paragraph) }
  })
}

const DRAFT: Record<PassageId, (c: FactContext, say: Say) => string[]> = {
  question,
  sources,
  terms,
  searches,
  records,
  selection,
}

function question({ review }: FactContext, say: Say): string[] {
  if (!review.question.trim()) return []
  const first = ['The review asks: {question}']
  if (review.concepts.length)
    first.push(
      say(
        'We broke the question into {concepts}: {concept.names}.',
        'The question was broken into {concepts}: {concept.names}.',
      ),
    )
  const second: string[] = []
  const optional = review.concepts.filter((k) => !k.essential)
  if (optional.length) {
    const names = listed(optional.map((k) => `{concept.name:${k.id}}`))
    const it = optional.length > 1 ? 'them' : 'it'
    second.push(
      say(
        `We did not require ${names} in the searches, because authors often leave ${it} unsaid.`,
        `The searches did not require ${names}, because authors often leave ${it} unsaid.`,
      ),
    )
  }
  second.push(...review.limits.map((planned) => limitSentence(planned, say)))
  if (review.knownItems.length)
    second.push(
      say(
        'Before searching we named {known} that a good search had to find.',
        'Before searching, {known} were named that a good search had to find.',
      ),
    )
  return [first.join(' '), second.join(' ')]
}

function limitSentence({ id, limit, reason }: PlannedLimit, say: Say): string {
  const said = verbatim(reason.replace(/\.$/, ''))
  const because = !reason ? '' : /^(because|since|as|for)\b/i.test(reason) ? `, ${said}` : `, because ${said}`
  switch (limit.kind) {
    case 'years':
      return say(
        `We sought work published {limit:${id}}${because}.`,
        `Work published {limit:${id}} was sought${because}.`,
      )
    case 'language':
      return say(
        `We kept to work in {limit:${id}}${because}.`,
        `Only work in {limit:${id}} was considered${because}.`,
      )
    case 'peer reviewed':
      return say(
        `We asked for work that was {limit:${id}}${because}.`,
        `Work had to be {limit:${id}}${because}.`,
      )
    default:
      return say(
        `We limited the searches to {limit:${id}}${because}.`,
        `The searches were limited to {limit:${id}}${because}.`,
      )
  }
}

function sources({ review, source }: FactContext, say: Say): string[] {
  const databases = review.sources.filter((s) => s.kind === 'database')
  const others = review.sources.filter((s) => s.kind !== 'database').map((s) => otherSource(s, say))
  if (!databases.length) return [others.join(' ')]
  const sentences = searchedAndPlanned(review, databases, say)
  const indexed = databases.filter((s) => source(s.id)?.hasVocabulary)
  if (indexed.length)
    sentences.push(
      databases.length === 1
        ? 'It indexes records with headings of a thesaurus of its own.'
        : `${listed(indexed.map(named))} ${indexed.length === 1 ? 'indexes records with headings of a thesaurus of its' : 'index records with headings of thesauri of their'} own.`,
    )
  for (const s of databases) {
    const where = [
      ...(s.platform ? [`is reached through {source.platform:${s.id}}`] : []),
      ...(s.coverage ? [`covers {source.coverage:${s.id}}`] : []),
    ]
    if (where.length) sentences.push(`${named(s)} ${listed(where)}.`)
  }
  for (const s of databases) if (s.why) sentences.push(`${named(s)} was chosen because ${own(s.why)}.`)
  for (const s of databases)
    if (review.runs.some((r) => r.sourceId === s.id))
      sentences.push(`${named(s)} ({source.release:${s.id}}) was searched {source.searched:${s.id}}.`)
  return [sentences.join(' '), others.join(' ')]
}

/** Which databases were searched, and which are only planned yet: a plan must not read as a deed. */
function searchedAndPlanned(review: Review, databases: readonly Source[], say: Say): string[] {
  const done = databases.filter((s) => review.runs.some((r) => r.sourceId === s.id))
  const open = databases.filter((s) => !done.includes(s))
  const names = (list: readonly Source[]): string => listed(list.map(named))
  const sentences: string[] = []
  if (done.length === 1)
    sentences.push(
      say(`We searched one database, ${names(done)}.`, `One database was searched, ${names(done)}.`),
    )
  else if (done.length)
    sentences.push(
      say(
        `We searched {databases.searched}: ${names(done)}.`,
        `The search covered {databases.searched}: ${names(done)}.`,
      ),
    )
  if (!open.length) return sentences
  if (done.length)
    sentences.push(
      say(
        `We plan to search ${names(open)} as well, which has not been done yet.`,
        `${names(open)} ${open.length === 1 ? 'is' : 'are'} still to be searched.`,
      ),
    )
  else
    sentences.push(
      open.length === 1
        ? say(
            `We plan to search one database, ${names(open)}.`,
            `One database is to be searched, ${names(open)}.`,
          )
        : say(
            `We plan to search {databases}: ${names(open)}.`,
            `The search is to cover {databases}: ${names(open)}.`,
          ),
    )
  return sentences
}

/** What is planned beside the databases; that it was done is for its own stage to say. */
function otherSource(s: Source, say: Say): string {
  const because = s.why ? `, because ${own(s.why)}` : ''
  return say(
    `Beyond databases we planned to use ${named(s)}${because}.`,
    `Beyond databases, ${named(s)} was to be used${because}.`,
  )
}

/** A reason behind "because", as the person gave it. */
const own = (reason: string): string => verbatim(reason.replace(/^because\s+/i, '').replace(/\.$/, ''))

const named = (s: Source): string => `{source.name:${s.id}}`

function terms({ review }: FactContext, say: Say): string[] {
  const used = termsInUse(review)
  if (!used.length) return []
  const sentences = [
    say(
      'We gathered search terms for each concept, {terms.count} in all.',
      'Search terms were gathered for each concept, {terms.count} in all.',
    ),
  ]
  for (const concept of review.concepts) {
    const own = used.filter((t) => t.conceptId === concept.id)
    const words = own.some((t) => t.kind === 'text') ? [`the words {terms.words:${concept.id}}`] : []
    const headings = review.sources
      .filter((s) => own.some((t) => t.sourceId === s.id && t.kind === 'heading'))
      .map((s) => {
        const count = own.filter((t) => t.sourceId === s.id && t.kind === 'heading').length
        return `the ${count === 1 ? 'heading' : 'headings'} {terms.headings:${concept.id}/${s.id}} of ${named(s)}`
      })
    const names = own.some((t) => t.kind === 'named') ? [`the names {terms.names:${concept.id}}`] : []
    const said = [...words, ...headings, ...names]
    if (said.length) sentences.push(`For {concept.name:${concept.id}} these were ${listed(said)}.`)
  }
  for (const gap of review.gaps) {
    const at = review.sources.find((s) => s.id === gap.sourceId)
    if (at) sentences.push(`The vocabulary of ${named(at)} has no heading for {gap.about:${gap.id}}.`)
  }
  if (review.terms.some((t) => t.status === 'dropped'))
    sentences.push(
      say(
        'We tried and dropped {terms.dropped} more; the reasons are kept with the terms.',
        'Another {terms.dropped} were tried and dropped; the reasons are kept with the terms.',
      ),
    )
  return [sentences.join(' ')]
}

function searches(context: FactContext, say: Say): string[] {
  const { review, source } = context
  return review.sources.flatMap((s) => {
    const lines = review.strategies[s.id] ?? []
    if (!lines.length || !currentRuns(review, s.id).size) return []
    const asked = runWith(context, s.id)
    const how = listed([
      ...(asked.headings ? ['with headings of its thesaurus'] : []),
      ...(asked.codes ? ['with codes of its classification'] : []),
      ...(asked.fields.length ? [`with words in {words.fields:${s.id}}`] : []),
    ])
    const sentences = how
      ? [
          say(
            `In ${named(s)} we searched for each concept ${how}.`,
            `In ${named(s)} each concept was searched ${how}.`,
          ),
        ]
      : [say(`We searched ${named(s)}.`, `${named(s)} was searched.`)]
    const joining = joiningLine(lines)
    if (joining && !joining.limits.length && /^all\(|AND/.test(joining.text))
      sentences.push(
        `Lines for one concept were joined with OR and the concepts with AND, which gave {hits.joined:${s.id}} records.`,
      )
    if (asked.leftOut.length)
      sentences.push(
        say(
          `With NOT we left out records that match {words.leftOut:${s.id}}.`,
          `Records that match {words.leftOut:${s.id}} were left out with NOT.`,
        ),
      )
    const steps = lines.filter((l) => l.limits.length)
    if (steps.length) {
      const [first, ...rest] = steps.map(
        (l) => `${l.limits.map(limitWords).join(' and ')} left {hits.line:${s.id}/${l.id}}`,
      )
      sentences.push([`Limiting to ${first}`, ...rest.map((r) => `to ${r}`)].join('; ') + '.')
    }
    for (const l of lines)
      if (l.described)
        sentences.push(describedSentence(s, l.id, verbatim(l.described.replace(/\.$/, '')), say))
    const kinds = review.limits.map((l) => l.limit.kind)
    const profile = source(s.id)?.profile
    const state = (kind: LimitValue['kind']): string | undefined => profile && limitState(kind, profile)
    const missing = kinds.filter((k) => state(k) === 'not available')
    if (missing.length) sentences.push(`It offers no limit by ${listed(missing.map(limitName), 'or')}.`)
    for (const kind of kinds.filter((k) => state(k) === 'stood in'))
      if (steps.some((l) => l.limits.some((x) => x.kind === kind)))
        sentences.push(`There the limit to ${limitName(kind)} work is only approximate.`)
    return [sentences.join(' ')]
  })
}

/** A search without text: what was done stands as it was noted, beginning with a verb. */
const describedSentence = (s: Source, lineId: string, deed: string, say: Say): string =>
  say(
    `Without a query we ${deed}; this gave {hits.line:${s.id}/${lineId}}.`,
    `Without a query, this was done: ${deed}; it gave {hits.line:${s.id}/${lineId}}.`,
  )

/** A kind of limit as a word in a sentence. */
const limitName = (kind: LimitValue['kind']): string => (kind === 'peer reviewed' ? 'peer-reviewed' : kind)

function records({ review, works }: FactContext, say: Say): string[] {
  if (!review.imports.length) return []
  const merged = review.imports.reduce((n, i) => n + i.count, 0) > works.length
  const first = merged
    ? 'The searches brought {records.identified}; after {records.duplicates} had been merged, {works} remained.'
    : 'The searches brought {records.identified}.'
  return [`${first} ${say('We took all of them into selection.', 'All of them went into selection.')}`]
}

function selection({ review, works }: FactContext, say: Say): string[] {
  if (!works.length || !Object.keys(review.rulings).length) return []
  const asked = review.criteria.filter((k) => k.pass === 'broad').map((k) => `*${verbatim(k.text)}*`)
  const against = asked.length
    ? ` against ${asked.length === 1 ? 'one question' : 'these questions'}: ${asked.join(' ')}`
    : '.'
  return [
    `${say('We read titles and abstracts of {works}', 'Titles and abstracts of {works} were read')}${against} So far {readers} ruled on {broad.ruled}: {broad.in} for full text, {broad.out} set aside and {broad.unsure} left open, with {broad.left} still to be read.`,
  ]
}
