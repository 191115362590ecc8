import { isMasked, or, word } from '../../../query'
import { saidBy } from '../../tree'
import { fixAt, plain } from '../change'
import type { Finding, Rule } from '../check'
import { gainOfMore, gainWords, worth } from '../gain'

/** A whole word with the sign for any ending. */
const OPEN = /^(\p{L}{4,})\*$/u

/**
 * Where a source looks for all forms of a word by itself, the sign for any ending takes that away: forms that do not begin as the
 * word does are lost. Said where the word without the sign, beside it, brings something.
 */
export const stemmingOff: Rule = (c) => {
  const { stemming } = c.profile
  if (!c.searched || stemming === 'none') return []
  return [...c.search.all()].flatMap((part): Finding[] => {
    if (part.kind !== 'leaf' || part.at.kind !== 'word' || !isMasked(part.at.text)) return []
    const bare = OPEN.exec(part.at.text)?.[1]
    if (bare === undefined) return []
    const gain = gainOfMore(c, part, c.find(saidBy({ at: word(bare), fields: part.fields })))
    if (!gain || !worth(c, part, gain)) return []
    const instead = or(part.at, word(bare))
    const forms = stemming === 'stems' ? 'all forms of a word' : 'singular and plural'
    return [
      {
        code: 'stemming-off',
        kind: 'gain',
        element: 'Text words',
        lineId: c.lines[part.line - 1]!.id,
        about: part.at.text,
        message: `${part.at.text} in line ${part.line} is looked for as it begins; ${bare} by itself, of which ${c.profile.name} looks for ${forms}, brings ${gainWords(gain)}.`,
        why: 'With a sign for its ending a word is no longer looked for in its other forms.',
        gain: { hits: gain.hits, wanted: gain.wanted },
        fixes: fixAt(c, part.line, part.at, instead, `Write ${plain(instead)}`),
      },
    ]
  })
}
