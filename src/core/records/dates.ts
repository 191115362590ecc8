/** A date as far as a text gives it. */
export interface ReadDate {
  year?: number
  /** ISO 8601, where at least the month is known. */
  issued?: string
  /** Nothing of the text was left over. */
  whole: boolean
}

const MONTHS = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ')
const two = (n: number): string => String(n).padStart(2, '0')
const monthOf = (word: string): number => MONTHS.indexOf(word.slice(0, 3).toLowerCase()) + 1

const FORMS: readonly [
  RegExp,
  (m: RegExpExecArray) => [year: string, month?: number, day?: string | undefined],
][] = [
  [/^(\d{4})$/, (m) => [m[1]!]],
  [/^(\d{4})[-/.](\d{1,2})(?:[-/.](\d{1,2}))?$/, (m) => [m[1]!, Number(m[2]), m[3]]],
  [/^(\d{4}),? +([A-Za-z]{3,9})\.?(?: +(\d{1,2}))?$/, (m) => [m[1]!, monthOf(m[2]!), m[3]]],
  [/^(?:(\d{1,2})\.? +)?([A-Za-z]{3,9})\.?,? +(\d{4})$/, (m) => [m[3]!, monthOf(m[2]!), m[1]]],
  [/^([A-Za-z]{3,9})\.? +(\d{1,2}),? +(\d{4})$/, (m) => [m[3]!, monthOf(m[1]!), m[2]]],
]

const YEAR = /^\d{4}$/

/**
 * Reads a date: "2019", "2019/05", "2019-05-12", "May 2019", "12 May 2019", "May 12, 2019", with signs behind it that mean
 * nothing ("2019/05//"). Of another text only a year of four digits is taken. What month comes first in 03/04/2019 nobody
 * can know: then the year is all.
 */
export function readDate(text: string): ReadDate {
  // Most files have years alone.
  if (text.length === 4 && YEAR.test(text)) return { year: Number(text), whole: true }
  const bare = text.trim().replace(/[/;,\s]+$/, '')
  for (const [form, parts] of FORMS) {
    const found = form.exec(bare)
    if (!found) continue
    const [year, month, day] = parts(found)
    if (month === undefined) return { year: Number(year), whole: true }
    if (month < 1 || month > 12 || (day !== undefined && (Number(day) < 1 || Number(day) > 31))) continue
    const issued = [year, two(month), ...(day === undefined ? [] : [two(Number(day))])].join('-')
    return { year: Number(year), issued, whole: true }
  }
  // A season or the like behind a date: the date is taken, the rest is left over.
  const dated = /^(\d{4}[-/]\d{1,2}(?:[-/]\d{1,2})?)[/ ].+$/.exec(bare)
  if (dated) return { ...readDate(dated[1]!), whole: false }
  const year = /(?<!\d)[12]\d{3}(?!\d)/.exec(bare)?.[0]
  return { ...(year ? { year: Number(year) } : {}), whole: false }
}
