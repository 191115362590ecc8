import { inFields, or, type Expr } from '../../../query'
import { variantsOf } from '../../words'
import { saidBy, type Part } from '../../tree'
import { fixAt, plain, readPlain } from '../change'
import type { Finding, Judging, Rule } from '../check'
import { gainOfMore, gainWords, newTo, worth } from '../gain'

const NUMBERS = ['plural', 'singular']

/** A word that is asked for in one number only, where the other one would bring records. */
export const numberMissing: Rule = (c) =>
  c.searched
    ? [...c.search.all()].flatMap((part): Finding[] => {
        const { at, line } = part
        if (part.kind !== 'leaf' || (at.kind !== 'word' && at.kind !== 'phrase') || !c.about.of(part))
          return []
        const variants = variantsOf(at, c.pairs, () => false)
        const other = variants.find((v) => NUMBERS.includes(v.kind))
        const form = other && readPlain(other.text)
        if (!form) return []
        const docs = c.find(saidBy({ at: form, fields: part.fields }))
        const gain = newTo(c.search.blockOf(part), docs) ? gainOfMore(c, part, docs) : undefined
        if (!gain || !worth(c, part, gain)) return []
        return [
          {
            code: 'plural-missing',
            kind: 'gain',
            element: 'Text words',
            lineId: c.lines[line - 1]!.id,
            about: plain(at),
            message: `${plain(at)} in line ${line} is asked for in one number only; ${other.text} brings ${gainWords(gain)}.`,
            why: 'Singular and plural are two words to a database that does not stem.',
            gain: { hits: gain.hits, wanted: gain.wanted },
            fixes: [
              ...anyEnding(c, part, variants.find((v) => v.kind === 'any ending')?.text),
              ...fixAt(c, line, at, or(at, form), `Add ${other.text}`),
            ],
          },
        ]
      })
    : []

/** The word cut at its end, where the source has a sign for that and it brings little else. */
function anyEnding(c: Judging, part: Part, text: string | undefined) {
  const cut: Expr | undefined = text === undefined ? undefined : readPlain(text)
  if (
    !cut ||
    c.lossesOf(cut).some((l) => l.cause.code.startsWith('mask') || l.cause.code === 'phrase-truncated')
  )
    return []
  const docs = c.find(part.fields ? inFields([...part.fields], cut) : cut)
  return docs.length <= MOST_TIMES * (part.docs?.length ?? 0)
    ? fixAt(c, part.line, part.at, cut, `Write ${text}`)
    : []
}
/** A cut word that finds more times as much as the word itself has taken in others. */
const MOST_TIMES = 8
