import { tickedLimit, type LimitValue } from './limit'

/**
 * Limits as they stand behind a line of plain notation: `years=2017-2026; language=en,de; peer reviewed`. What names no limit is
 * handed back as it stands. An empty row has none.
 */
export function limitsInRow(row: string): { limits: LimitValue[]; unknown: string[] } {
  const limits: LimitValue[] = []
  const unknown: string[] = []
  for (const part of row.split(';').map((p) => p.trim())) {
    if (!part) continue
    const [, kind = part, said] = /^([^=]+?)\s*=\s*(.*)$/.exec(part) ?? []
    const values = said?.replace(/^(\d{4})\s*-\s*(\d{4})$/, '$1–$2').replace(/^(\d{4})\s*-$/, '$1 and later')
    const read = tickedLimit(
      values === undefined
        ? kind
        : `${kind}: ${values.replace(/^-\s*(\d{4})$/, 'up to $1').replace(/\s*,\s*/g, ' / ')}`,
    )
    if (read) limits.push(read)
    else unknown.push(part)
  }
  return { limits, unknown }
}
