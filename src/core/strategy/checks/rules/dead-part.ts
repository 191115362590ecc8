import { listed } from '../../../base'
import { mapChildren, or, word, phrase, isMasked, type Expr } from '../../../query'
import { saidBy, type Part } from '../../tree'
import { fixAt, plain } from '../change'
import type { Fix, Finding, Judging, Rule } from '../check'
import { formsOf } from '../forms'
import { meantIn } from '../nearest'

/** A part that finds nothing as it is sent: mistyped, not to be had there, or in no record. */
export const deadPart: Rule = (c) =>
  !c.searched
    ? []
    : [...c.search.all()].flatMap((part): Finding[] => {
        const { at, line, docs } = part
        if (part.kind !== 'leaf' || part.whole || docs?.length !== 0) return []
        if (at.kind === 'line' || at.kind === 'lines') return []
        // One that the vocabulary does not have is told as such.
        if (at.kind === 'heading' && !(c.thesaurus && c.thesaurus.byLabel(at.label))) return []
        const { because, fixes } = causeOf(c, part)
        return [
          {
            code: 'dead-part',
            kind: 'form',
            element: at.kind === 'heading' ? 'Subject headings' : 'Text words',
            lineId: c.lines[line - 1]!.id,
            about: plain(at),
            message: `${plain(at)} in line ${line} finds nothing${because}.`,
            why: 'Joined with OR it is idle; joined with AND it empties the line.',
            fixes,
            owns: [part],
          },
        ]
      })

function causeOf(c: Judging, part: Part): { because: string; fixes: Fix[] } {
  const { at, line, fields, losses } = part
  const finds = (e: Expr): boolean => c.find(saidBy({ at: e, fields })).length > 0
  const lost = losses.find((l) => ['mask-no-sign', 'mask-short', 'phrase-truncated'].includes(l.cause.code))
  if (lost) {
    const forms = formsOf(c, at, finds)
    const fixes = forms.length ? fixAt(c, line, at, or(...forms), 'Write out the forms') : []
    return { because: `: ${lost.why}`, fixes }
  }
  // A name is spelled as it is; that no record has it says nothing of its letters.
  if (fields?.includes('author')) return { because: '', fixes: [] }
  const meant = corrected(c, at)
  if (!meant || plain(meant) === plain(at) || !finds(meant)) return { because: ' here', fixes: [] }
  return {
    because: `; ${listed([`“${plain(meant).replace(/"/g, '')}”`])} may be meant`,
    fixes: fixAt(c, line, at, meant, `Write ${plain(meant)}`),
  }
}

/** The same with each word that no record has put right, as far as one is near. */
export function corrected(c: Judging, e: Expr): Expr | undefined {
  const right = (text: string): string =>
    isMasked(text) || c.index.termsFor(text.toLowerCase()).length
      ? text
      : (meantIn(c.index, text.toLowerCase()) ?? text)
  if (e.kind === 'word') return word(right(e.text))
  if (e.kind === 'phrase') return phrase(...e.words.map(right))
  return e.kind === 'near' ? mapChildren(e, (part) => corrected(c, part) ?? part) : undefined
}
