import type { Rec } from '../../core/records'
import { Random } from './random'
import { drawStudy, type Study } from './study'
import { writeProse } from './prose'
import type { Topic } from './topic'
import type { Work } from './corpus'

/** A doctoral thesis: one author, no journal, many pages. Numbered behind all other works. */
export function drawTheses(
  count: number,
  seed: string,
  topics: readonly Topic[],
  from: number,
  last: { year: number; month: number },
): Work[] {
  const taken = new Set<string>()
  const weights = Object.fromEntries(topics.map((t) => [t.id, t.weight]))
  const byId = new Map(topics.map((t) => [t.id, t]))
  return Array.from({ length: count }, (_, i): Work => {
    const random = new Random(`${seed}/thesis/${i}`)
    const drawn = drawStudy(from + i, byId.get(random.weighted(weights))!, random, last)
    const study: Study = {
      ...drawn,
      authors: drawn.authors.slice(0, 1),
      language: 'en',
      pages: random.int(140, 320),
      cited: Math.floor(drawn.cited / 8),
    }
    return { study, prose: writeProse(study, random, taken) }
  })
}

const SCHOOLS = [
  'Rothmoor University',
  'University of Aldenvale',
  'Kestrelby University of Technology',
  'Universität Hohenlauten',
  'Universidad de Valdearroyo',
]
/** What a thesis has in the place of a journal. */
export const schoolOf = ({ number, language, authorCountry }: Study): string =>
  /Germany|Austria|Switzerland/.test(authorCountry)
    ? SCHOOLS[3]!
    : /Spain|Chile|Colombia|Uruguay/.test(authorCountry)
      ? SCHOOLS[4]!
      : SCHOOLS[(number + language.length) % 3]!

/** The record of a work turned into that of a thesis. */
export function thesisRecord(record: Rec, study: Study): Rec {
  const { journal: _j, volume: _v, issue: _i, issn: _n, doi: _d, ...rest } = record
  return {
    ...rest,
    type: 'thesis',
    pages: `${study.pages} pp.`,
    ...(rest.peerReviewed === undefined ? {} : { peerReviewed: false }),
    extra: { ...rest.extra, PB: [schoolOf(study)] },
  }
}
