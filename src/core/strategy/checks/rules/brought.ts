import { choicesOf, SearchTree } from '../../tree'
import { fixAt, plain } from '../change'
import type { Finding, Judging, Rule } from '../check'
import { corrected } from './dead-part'
import { noiseIn } from './noise'

/** With fewer records brought in, that none of them has a word says nothing. */
const LEAST = 30

/** The search over the records that were brought in of it; undefined where there are too few. */
function broughtSearch(c: Judging): SearchTree | undefined {
  const { brought, lines, search } = c
  if (!brought || brought.size < LEAST) return undefined
  const unread = lines.map((l) => ({ ...l, docs: undefined }))
  return new SearchTree(unread, search.counting, {
    size: brought.size,
    ask: (e) => ({ docs: brought.find(e), losses: [] }),
    // What was brought in was limited there already.
    limited: (docs) => docs,
  })
}

/**
 * Where the records lie outside: a word that none of those brought in has, although others beside it do, and that is nearly one
 * which they have.
 */
export const noneBrought: Rule = (c) => {
  const search = broughtSearch(c)
  if (!search) return []
  return [...search.all()].flatMap((part): Finding[] => {
    const block = search.blockOf(part)
    if (part.kind !== 'leaf' || !search.reached.has(part.line) || part.fields?.includes('author')) return []
    if (part.docs?.length || !choicesOf(block).some((p) => p.docs?.length)) return []
    const meant = corrected(c, part.at)
    if (!meant || plain(meant) === plain(part.at) || !c.brought!.find(meant).length) return []
    return [
      {
        code: 'none-brought',
        kind: 'form',
        element: 'Text words',
        lineId: c.lines[part.line - 1]!.id,
        about: plain(part.at),
        message: `None of the ${c.brought!.size} records that were brought in has ${plain(part.at)} (line ${part.line}); “${plain(meant).replace(/"/g, '')}” may be meant.`,
        why: 'Judged by what was brought in of this search: a word that finds nothing there is mistyped, as a rule.',
        fixes: fixAt(c, part.line, part.at, meant, `Write ${plain(meant)}`),
      },
    ]
  })
}

/** The same of words that bring noise, by what was ruled of the records that were brought in. */
export const noiseBrought: Rule = (c) => {
  const search = broughtSearch(c)
  return search ? noiseIn(c, search, { in: c.brought!.in, out: c.brought!.out }, 'of those brought in') : []
}
