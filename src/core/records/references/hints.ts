import type { Rec } from '../record'

/** Where a reference wants a human eye, in words. */
export type Hint = string

/** Nothing but capitals, in a script that has them. */
const inCapitals = (text: string, least: number): boolean => {
  const own = letters(text)
  return own.length > least && own === own.toUpperCase() && own !== own.toLowerCase()
}
const letters = (text: string): string => text.replace(/<[^>]+>/g, '').replace(/[^\p{L}]/gu, '')
const ABBREVIATED = /(?:^|\s)\p{L}{1,7}\.(?:\s|$)/u
const PERIODICAL = /journal|magazine|newspaper/i

/**
 * What in a record will not read well as a reference, or is missing from it: capitals that no style can put right, parts
 * that most styles print. Empty where nothing was noticed, which does not say that all is right.
 */
export function hintsFor(r: Rec): Hint[] {
  const hints: Hint[] = []
  const say = (when: boolean, hint: Hint): void => {
    if (when) hints.push(hint)
  }
  say(!r.title.trim(), 'no title')
  say(inCapitals(r.title, 8), 'title in capitals throughout')
  const words = r.title.split(/\s+/).filter((w) => /^\p{L}{4,}/u.test(w))
  say(
    !inCapitals(r.title, 0) && words.length > 3 && words.every((w) => /^\p{Lu}/u.test(w)),
    'every word of the title begins with a capital',
  )
  say(
    [r.title, r.journal ?? ''].some((t) => /\\[a-z]+|&[a-z]+;|\$[^$]+\$/i.test(t)),
    'signs of a format stand in the title or journal',
  )
  say(/[.。]$/.test(r.title.trim()) && !/\betc\.$|\.\.\.$/.test(r.title), 'the title ends with a full stop')
  say(
    /\b\p{Lu}\. \p{Ll}{4,}\b/u.test(r.title) && !/<i>/.test(r.title),
    'perhaps a name of a species, which is set in italics',
  )
  say(!r.authors.length && !r.editors?.length, 'no author')
  say(
    r.authors.some((a) => inCapitals(a, 3)),
    'an author in capitals throughout',
  )
  say(
    r.authors.some((a) => /\bet al\b/i.test(a)),
    '“et al.” stands in the place of an author',
  )
  say(r.year === undefined, 'no year')
  say(r.type === undefined, 'no type: it is set as a document')
  say(r.inferred?.includes('type') === true, `the type was not said: taken for a ${r.type}`)
  const journal = PERIODICAL.test(r.type ?? '') || (r.type === undefined && r.volume !== undefined)
  say(journal && !r.journal, 'no journal')
  say(r.journal !== undefined && ABBREVIATED.test(r.journal), 'journal abbreviated')
  say(r.journal !== undefined && inCapitals(r.journal, 5), 'journal in capitals throughout')
  say(journal && !r.volume, 'no volume')
  say((journal || r.type === 'chapter') && !r.pages && !r.number, 'no pages')
  say(/^(?:book|edited book|chapter|report|thesis)$/.test(r.type ?? '') && !r.publisher, 'no publisher')
  say(r.type === 'chapter' && !r.editors?.length, 'no editor of the book')
  say(journal && !r.doi && !r.url, 'no DOI')
  say(r.url !== undefined && holdsSession(r.url), 'the address holds a session: it will not work for others')
  return hints
}

/** Does an address hold what lets only one person in, for a while? */
export const holdsSession = (url: string): boolean =>
  /[?&;/](?:j?session(?:_?id)?|sid|sessid|phpsessid|token|ticket|auth|access_token|login)=/i.test(url) ||
  /\.(?:proxy|ezp|libproxy|lib-proxy)[.-]|^https?:\/\/(?:www[.-])?(?:ez)?proxy\b/i.test(url)
