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

/**
 * A day, with the time of day where it stands there, as "2026-03-12" or "2026-03-12T14:05". Years first, months in
 * words, and days before months with dots are read; "03/12/2026" may be either day and is not.
 */
export function readWhen(text: string): string | undefined {
  const t = text.trim()
  const time = /(?:^|[\sT,])(\d{1,2}):(\d{2})(?::\d{2})?\s*(am|pm)?/i.exec(t)
  const iso = /(\d{4})-(\d{2})-(\d{2})/.exec(t)
  const dots = /(?:^|\s)(\d{1,2})\.(\d{1,2})\.(\d{4})/.exec(t)
  const dayFirst = /(\d{1,2})\.?\s+(\p{L}{3})\p{L}*\.?,?\s+(\d{4})/u.exec(t)
  const monthFirst = /(\p{L}{3})\p{L}*\.?\s+(\d{1,2}),?\s+(\d{4})/u.exec(t)
  const [year, month, day] = iso
    ? [iso[1]!, iso[2]!, iso[3]!].map(Number)
    : dots
      ? [dots[3]!, dots[2]!, dots[1]!].map(Number)
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

const NAMED: Record<string, string> = { amp: '&', lt: '<', gt: '>', quot: '"', apos: "'", nbsp: '\u00a0' }
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
