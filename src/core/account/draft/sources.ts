import { listed } from '../../base'
import type { Review, Source } from '../../review'
import type { FactContext } from '../facts'
import { searchedIn } from '../standing'
import { because, named, type Say } from './say'

/** Where was searched, and where it is only planned; how a source was reached, why it was taken, and when. */
export function sources({ review, source }: FactContext, say: Say): string[] {
  const databases = review.sources.filter((s) => s.kind === 'database')
  const others = review.sources.filter((s) => s.kind !== 'database').map((s) => otherSource(review, s, say))
  if (!databases.length) return [others.join(' ')]
  const sentences = searchedAndPlanned(review, databases, say)
  const indexed = databases.filter((s) => source(s.id)?.hasVocabulary)
  if (indexed.length)
    sentences.push(
      `${listed(indexed.map(named))} ${indexed.length === 1 ? 'indexes records with headings of a thesaurus of its' : 'index records with headings of thesauri of their'} own.`,
    )
  for (const s of databases) {
    const where = [
      ...(s.platform ? [`is reached through {source.platform:${s.id}}`] : []),
      ...(s.coverage ? [`covers {source.coverage:${s.id}}`] : []),
    ]
    if (where.length) sentences.push(`${named(s)} ${listed(where)}.`)
  }
  for (const s of databases) if (s.why.trim()) sentences.push(`${named(s)} was chosen${because(s.why)}.`)
  for (const s of searchedIn(review)) sentences.push(`${named(s)} was searched {source.searched:${s.id}}.`)
  return [sentences.join(' '), others.join(' ')]
}

/** Which databases were searched, and which are only planned yet: a plan must not read as a deed. */
function searchedAndPlanned(review: Review, databases: readonly Source[], say: Say): string[] {
  const done = searchedIn(review)
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

/** What is done with a source that is no database: people are asked, lists are read, websites are searched. */
const DEED: Record<Exclude<Source['kind'], 'database'>, { plan: string; done: string }> = {
  'reference lists': { plan: 'read', done: 'read' },
  'citing papers': { plan: 'follow', done: 'followed' },
  people: { plan: 'ask', done: 'asked' },
  web: { plan: 'search', done: 'searched' },
  catalogue: { plan: 'search', done: 'searched' },
  'own collection': { plan: 'go through', done: 'went through' },
}
const PASSIVE: Partial<Record<Source['kind'], string>> = { 'own collection': 'gone through' }

/** Done shows in the verb: only what brought records was done for certain. */
function otherSource(review: Review, s: Source, say: Say): string {
  const reason = because(s.why)
  const { plan, done } = DEED[s.kind as Exclude<Source['kind'], 'database'>]
  const passive = PASSIVE[s.kind] ?? done
  return review.imports.some((i) => i.sourceId === s.id)
    ? say(
        `Beyond databases we ${done} ${named(s)}${reason}.`,
        `Beyond databases, records came from ${named(s)}${reason}.`,
      )
    : say(
        `Beyond databases we plan to ${plan} ${named(s)}${reason}.`,
        `Beyond databases, it is planned that ${named(s)} be ${passive}${reason}.`,
      )
}
