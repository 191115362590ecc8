import type { Doing } from '../doing'

/** What a title begins with where it is a notice on another work. */
const NOTICE =
  /^\s*(?:retraction(?: note| notice)?|retracted article|withdrawal|correction|corrigendum|erratum|addendum|expression of concern)\b(?:\s+(?:to|of|for|on))?\s*[:–—-]?\s*/i

/** What the work is called that a title is a notice on; undefined where it does not say so. */
export function noticedTitle(title: string): string | undefined {
  const [start] = NOTICE.exec(title) ?? []
  const rest =
    start === undefined
      ? ''
      : title
          .slice(start.length)
          .replace(/^[“"']|[”"']\.?$/g, '')
          .trim()
  return start !== undefined && rest !== '' ? rest : undefined
}

/** Says that a work is a notice on another: a retraction, a correction. It is not read then, and counted as removed for that. */
export const sayNotice: Doing<{ notice: string; of: string }> = (_at, { notice, of }) =>
  notice === of ? [] : [{ kind: 'work.relate', payload: { a: notice, b: of, how: 'notice of' } }]
