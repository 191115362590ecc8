import type { Source } from '../../../review'
import type { FactContext } from '../../facts'
import { wasGone } from '../../ways-gone'
import { denies, isPlan, type Matter } from './said'

const WAYS: readonly { about: RegExp; kinds: readonly Source['kind'][]; what: string }[] = [
  { about: /\bweb ?sites?\b|\bweb pages?\b/i, kinds: ['web'], what: 'websites' },
  {
    about: /\bregisters of (?:studies|trials)\b|\btrial regist(?:er|rie)s\b/i,
    kinds: ['register'],
    what: 'registers of studies',
  },
  {
    about: /\bciting works?\b|\bworks? that cite\b|\bforward citation|\bcited by\b/i,
    kinds: ['citing papers'],
    what: 'citing works',
  },
  { about: /\breference lists?\b|\bbackward citation/i, kinds: ['reference lists'], what: 'reference lists' },
  {
    about:
      /\bask(?:ed)? (?:anybody|nobody|experts|people|authors)\b|\bexperts\b|\b(?:nobody|no one|people|authors) (?:was|were) asked\b|\bauthors were (?:asked|contacted)\b/i,
    kinds: ['people'],
    what: 'people',
  },
]
const DEED = /\bsearch|\bconsult|\bfollow|\bcarried out\b|\blook|\bread\b|\bask|\bcontact|\bwent through\b/i

const gone = ({ review, figures }: FactContext, kinds: readonly Source['kind'][]): boolean =>
  review.sources.some((s) => kinds.includes(s.kind) && (s.id in figures.brought || wasGone(review, s.id))) ||
  (kinds.includes('people') && (review.contacts ?? []).some((x) => x.asked))

/** Which ways beyond databases were gone; each part of a sentence is looked at for itself. */
export const ways: Matter = (s, c) => {
  if (isPlan(s) || !c.figures.searched.length) return undefined
  for (const part of s.split(/[;,]| and (?=[a-z]+ed\b|no\b|look|ask)/)) {
    for (const { about, kinds, what } of WAYS) {
      if (!about.test(part) || (!DEED.test(part) && !DEED.test(s))) continue
      const done = gone(c, kinds)
      if (denies(part) && done) return what === 'people' ? 'people were asked' : `${what} were gone through`
      if (!denies(part) && !done) return `nothing was done with ${what}`
    }
  }
  return undefined
}
