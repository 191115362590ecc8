import { keptFor } from '../../base'
import { parse, walk } from '../../query'
import type { FactContext } from '../facts'
import { finalRun, searchedIn } from '../standing'
import { saying } from './saying'

interface Stemmed {
  /** Databases that look for every form of a word, and those that look for singular and plural. */
  stems: string[]
  plurals: string[]
}

const stemmedIn = keptFor((c: FactContext): Stemmed => {
  const bare = searchedIn(c.review).filter(({ id }) => {
    // What the run that counts asked: its line, and those it reached as they stood then.
    const run = finalRun(c.review, id)
    const texts = run ? [...(run.reached ?? []).map((l) => l.text), run.text] : []
    return texts.some((text) => {
      const { tree } = parse(text)
      return tree !== undefined && [...walk(tree)].some((e) => e.kind === 'word' && !/[*?]/.test(e.text))
    })
  })
  const doing = (how: 'stems' | 'plurals'): string[] =>
    bare.flatMap(({ id }) => (c.source(id)?.profile?.stemming === how ? [id] : []))
  return { stems: doing('stems'), plurals: doing('plurals') }
})

/** Databases that found other forms of words than were asked for, by what is known of them; of words that were sent bare. */
export const stemmed = saying<Stemmed>({
  family: 'forms of words',
  groups: (c) => (stemmedIn(c).stems.length + stemmedIn(c).plurals.length ? [''] : []),
  place: { theme: 'words', phase: 'searched', stage: 'searches' },
  finds: { when: {}, found: (c) => stemmedIn(c) },
})
