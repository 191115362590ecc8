const MONTHS = 'January February March April May June July August September October November December'.split(
  ' ',
)

/** From the first to the last day of a time, as dates. */
export interface Time {
  first: string
  last: string
}

function day(words: string, like?: string): string | undefined {
  const [d, m = like?.split(' ')[1], y = like?.split(' ')[2]] = words.split(' ')
  const month = MONTHS.indexOf(m ?? '') + 1
  return month && d && y ? `${y}-${String(month).padStart(2, '0')}-${d.padStart(2, '0')}` : undefined
}

/** "on 1 May 2026 and again between 17 and 23 November 2026" as times; undefined: it is none. */
export function timesIn(words: string): Time[] | undefined {
  const found = words.split(' and again ').map((part): Time | undefined => {
    const on = /^on (\d+ \w+ \d{4})$/.exec(part)
    const between = /^between (\d+(?: \w+)?(?: \d{4})?) and (\d+ \w+ \d{4})$/.exec(part)
    const last = day(on?.[1] ?? between?.[2] ?? '')
    const first = on ? last : day(between?.[1] ?? '', between?.[2])
    return first && last ? { first, last } : undefined
  })
  return found.every((t) => t !== undefined) ? found : undefined
}

/** Such words in a pattern, to be taken apart by `timesIn`. */
export const TIMES = '((?:on|between) \\d.*? \\d{4}(?: and again (?:on|between) .*? \\d{4})*)'
