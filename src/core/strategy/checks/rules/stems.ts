import { intersect, wordForms, EMPTY, type DocSet } from '../../../engine'
import { keptFor, listed } from '../../../base'
import { isMasked } from '../../../query'
import { adviseStem, type StemAdvice } from '../../words'
import { demandsOf, leavesOf, saidBy, type Part } from '../../tree'
import { fixAt, plain, readPlain } from '../change'
import type { Finding, Judging, Rule } from '../check'
import { gainOfMore, gainWords, worth } from '../gain'

interface Stem {
  part: Part
  text: string
  advice: StemAdvice
}

/** Truncated words with what their stems take in, judged by the records that the other concepts find; both rules ask for them. */
const stemsOf = keptFor((c: Judging): Stem[] => [...stemsIn(c)])

function* stemsIn(c: Judging): Generator<Stem> {
  if (!c.searched) return
  for (const part of c.search.all())
    if (part.kind === 'leaf' && part.at.kind === 'word' && isMasked(part.at.text)) {
      const near = nearOf(c, part)
      const { text } = part.at
      yield { part, text, advice: adviseStem(text.toLowerCase(), (mask) => wordForms(c.index, mask, near)) }
    }
}

/** Records that all other demands of the line that counts find; where there is no other, those wanted. */
function nearOf(c: Judging, part: Part): DocSet {
  const demands = c.search.root ? demandsOf(c.search.root) : []
  const others = demands.filter((d) => d.docs && !leavesOf(d).includes(part))
  const [first, ...rest] = others.map((d) => d.docs!)
  if (first && first.length) return rest.reduce(intersect, first)
  return c.wanted.size ? Uint32Array.from([...c.wanted].sort((a, b) => a - b)) : EMPTY
}

/** A stem that takes in other words: cut too short. */
export const stemTooShort: Rule = (c) =>
  stemsOf(c).flatMap(({ part, text, advice: { tooShort } }): Finding[] => {
    if (!tooShort) return []
    const instead = readPlain(tooShort.instead)
    return [
      {
        code: 'stem-too-short',
        kind: 'gain',
        element: 'Text words',
        lineId: c.lines[part.line - 1]!.id,
        about: text,
        message: `${text} in line ${part.line} also matches ${listed(tooShort.drops.slice(0, 3).map((d) => `“${d}”`))}.`,
        why: 'A stem cut too short brings in other words.',
        fixes: instead ? fixAt(c, part.line, part.at, instead, `Write ${plain(instead)}`) : [],
      },
    ]
  })

/** A stem that misses other forms of its word: cut too late. */
export const stemTooLong: Rule = (c) =>
  stemsOf(c).flatMap(({ part, text, advice: { tooLong } }): Finding[] => {
    const instead = tooLong && readPlain(tooLong.instead)
    if (!instead) return []
    const gain = gainOfMore(c, part, c.find(saidBy({ at: instead, fields: part.fields })))
    if (!gain || !worth(c, part, gain)) return []
    return [
      {
        code: 'stem-too-long',
        kind: 'gain',
        element: 'Text words',
        lineId: c.lines[part.line - 1]!.id,
        about: text,
        message: `${text} in line ${part.line} misses ${listed(tooLong.adds.slice(0, 3).map((f) => `“${f.form}”`))}; ${plain(instead)} brings ${gainWords(gain)}.`,
        why: 'A stem that is cut too late loses other forms of the same word.',
        gain: { hits: gain.hits, wanted: gain.wanted },
        fixes: fixAt(c, part.line, part.at, instead, `Write ${plain(instead)}`),
      },
    ]
  })
