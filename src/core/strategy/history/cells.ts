import { byName } from '../../base'
const GAP = "[.,'’\\u00a0\\u202f\\u2009 ]"
const COUNT = new RegExp(
  `^[([{→=:\\s]*(?:n\\s*=\\s*)?(\\d{1,3}(?:(${GAP})\\d{3})(?:\\2\\d{3})*|\\d{1,9})\\s*(?:hits?|results?|records?|items?|documents?|references?|found)?[\\s)\\]}]*$`,
  'iu',
)

/**
 * A count as people and databases write it: "1,204", "1.204", "1 204", "(1204 records)". Undefined where the text is no
 * count, or none that is exact ("about 1200", "1.2k").
 */
export function readCount(text: string): number | undefined {
  const m = COUNT.exec(text.trim())
  return m ? Number(m[1]!.replace(/\D/g, '')) : undefined
}

/** The number of a line, with whatever sign or word stands before it: "3", "#3", "L3", "3.", "Search 3". */
export function readLineNumber(text: string): number | undefined {
  const m = /^[#(\s☐☑✓]*(?:\p{L}{1,10}[\s.-]?)?#?(\d{1,4})[.):\s]*$/u.exec(text.trim())
  return m && Number(m[1]) > 0 ? Number(m[1]) : undefined
}

const MONTHS = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ')
const two = (n: number): string => String(n).padStart(2, '0')

/** Which of the two small numbers of "03/12/2026" is the day. */
export type DayOrder = 'day first' | 'month first'

const STROKES = /(?:^|\s)(\d{1,2})([/-])(\d{1,2})\2(\d{4})(?!\d)/

/**
 * Which order the days of one history are written in, as far as they tell: by a number that can be no month, else by
 * the order that never goes back and forth in time, nor beyond `today` where that is told. Undefined where no day is
 * written with strokes, `'unclear'` where both orders would do.
 */
export function dayOrderOf(texts: readonly string[], today = '9999'): DayOrder | 'unclear' | undefined {
  const pairs = texts.flatMap((t) => {
    const m = STROKES.exec(t)
    return m ? [[Number(m[1]), Number(m[3])] as const] : []
  })
  if (!pairs.length) return undefined
  if (pairs.some(([a, b]) => a > 12 && b <= 12)) return 'day first'
  if (pairs.some(([a, b]) => b > 12 && a <= 12)) return 'month first'
  if (pairs.every(([a, b]) => a === b)) return 'day first'
  const likely = (order: DayOrder): boolean => {
    const days = texts.flatMap((t) => readWhen(t, order) ?? [])
    if (days.some((d) => d.slice(0, 10) > today)) return false
    const up = days.every((d, i) => i === 0 || days[i - 1]! <= d)
    return up || days.every((d, i) => i === 0 || days[i - 1]! >= d)
  }
  const [day, month] = [likely('day first'), likely('month first')]
  return day === month ? 'unclear' : day ? 'day first' : 'month first'
}

/**
 * A day, with the time of day where it stands there, as "2026-03-12" or "2026-03-12T14:05". Years first, months in
 * words, and days before months with dots are read; "03/12/2026" may be either day and is read only in a given order.
 */
export function readWhen(text: string, order?: DayOrder): string | undefined {
  const t = text.trim()
  const time = /(?:^|[\sT,])(\d{1,2}):(\d{2})(?::\d{2})?\s*(am|pm)?/i.exec(t)
  const iso = /(\d{4})-(\d{2})-(\d{2})/.exec(t)
  const dots = /(?:^|\s)(\d{1,2})\.(\d{1,2})\.(\d{4})/.exec(t)
  const strokes = order && STROKES.exec(t)
  const dayFirst = /(\d{1,2})\.?\s+(\p{L}{3})\p{L}*\.?,?\s+(\d{4})/u.exec(t)
  const monthFirst = /(\p{L}{3})\p{L}*\.?\s+(\d{1,2}),?\s+(\d{4})/u.exec(t)
  const [year, month, day] = iso
    ? [iso[1]!, iso[2]!, iso[3]!].map(Number)
    : dots
      ? [dots[3]!, dots[2]!, dots[1]!].map(Number)
      : strokes
        ? [strokes[4]!, strokes[order === 'day first' ? 3 : 1]!, strokes[order === 'day first' ? 1 : 3]!].map(
            Number,
          )
        : dayFirst
          ? [Number(dayFirst[3]), MONTHS.indexOf(dayFirst[2]!.toLowerCase()) + 1, Number(dayFirst[1])]
          : monthFirst
            ? [Number(monthFirst[3]), MONTHS.indexOf(monthFirst[1]!.toLowerCase()) + 1, Number(monthFirst[2])]
            : []
  if (!year || !month || !day || month > 12 || day > 31) return undefined
  const date = `${year}-${two(month)}-${two(day)}`
  if (!time) return date
  const noon = time[3]?.toLowerCase()
  const hour = (Number(time[1]) % (noon ? 12 : 24)) + (noon === 'pm' ? 12 : 0)
  return `${date}T${two(hour)}:${time[2]}`
}

const NAMED: Readonly<Record<string, string>> = byName({
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  apos: "'",
  nbsp: '\u00a0',
})
const entity = (whole: string, name: string): string =>
  name.startsWith('#')
    ? String.fromCodePoint(Math.min(0x10ffff, Number(name.slice(1).replace(/^x/i, '0x')) || 0xfffd))
    : (NAMED[name.toLowerCase()] ?? whole)

/** A page that was saved, as the text of its tables: cells parted by tabs, a row a line. Other text is left as it is. */
function withoutMarkup(text: string): string {
  if (!/<t[rdh][\s>]/i.test(text)) return text
  return (
    text
      .replace(/<(script|style)[\s\S]*?<\/\1>/gi, '')
      .replace(/\s+/g, ' ')
      .replace(/<\/t[dh]>\s*/gi, '\t')
      .replace(/<\/(?:tr|p|div|h\d|li|caption)>/gi, '\n')
      // Marks inside a word (bold, links) do not part it.
      .replace(/<\/?(?:a|b|code|em|font|i|mark|span|strong|u)\b[^>]*>/gi, '')
      .replace(/<[^>]*>/g, ' ')
      .replace(/ *([\t\n]) */g, '$1')
      .replace(/\t\n/g, '\n')
      .replace(/&(#\d+|#x[\da-f]+|\w+);/gi, entity)
  )
}

/** What a paste brings that nobody wrote: markup, byte order marks, soft hyphens, zero-width signs, three ways to end a line. */
export const cleaned = (text: string): string =>
  withoutMarkup(text)
    .replace(/[\ufeff\u200b\u200c\u200d\u00ad]/g, '')
    .replace(/\r\n?|\u2028/g, '\n')
    .normalize('NFC')
