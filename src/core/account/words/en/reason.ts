import { verbatim } from '../../document'
import { standsInside } from '../../reasons-given'

const SMALL = new Set(
  'a an the it its they their there this that these those he she we i our my in on at of for from to with without by as because since most many few some all no not only other others such studies records works readers authors searches rules people both each every'.split(
    ' ',
  ),
)

/** The reason as it stands inside a sentence: its first word small where it is a small word, no stop at its end. */
function inside(reason: string): string {
  const said = reason.trim().replace(/\.$/, '')
  const [first = ''] = said.split(/\s/)
  return SMALL.has(first.toLowerCase()) && first !== 'I' ? said[0]!.toLowerCase() + said.slice(1) : said
}

/** "because …" as the person gave it, for the inside of a sentence; empty where none was given or it is sentences. */
export function because(reason: string): string {
  if (!standsInside(reason)) return ''
  const said = inside(reason)
  return /^(?:because|since|as|for)\b/i.test(said) ? verbatim(said) : `because ${verbatim(said)}`
}

/** The same behind a comma. */
export const commaBecause = (reason: string): string => {
  const why = because(reason)
  return why ? `, ${why}` : ''
}

/** A reason of several sentences, to follow as it is; empty where it stands inside. */
export const afterwards = (reason: string): string =>
  reason.trim() && !standsInside(reason) ? ` ${verbatim(reason.trim().replace(/([^.!?])$/, '$1.'))}` : ''
