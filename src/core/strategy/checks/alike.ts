import { listed } from '../../base'
import type { Remark } from './check'

/** Remarks that say the same of several lines: shown as one. */
export interface AlikeRemarks<T extends Remark> {
  first: T
  others: T[]
  /** The message, with the other lines named behind it. */
  message: string
}

const LINE = /\b(line) (\d+)/i

/** Puts remarks together that differ in nothing but the number of a line, in the order of the first of each. */
export function alikeRemarks<T extends Remark>(remarks: readonly T[]): AlikeRemarks<T>[] {
  const found = new Map<string, T[]>()
  for (const r of remarks) {
    const key = [r.code, r.about, r.message.replace(LINE, '$1 ◊'), r.lineId ? '' : r.conceptId].join('\n')
    found.set(key, [...(found.get(key) ?? []), r])
  }
  return [...found.values()].map((list): AlikeRemarks<T> => {
    const [first, ...others] = list as [T, ...T[]]
    const numbers = others.flatMap((r) => LINE.exec(r.message)?.[2] ?? [])
    const more = numbers.length
      ? ` The same holds for ${numbers.length === 1 ? 'line' : 'lines'} ${listed(numbers)}.`
      : ''
    return { first, others, message: first.message + more }
  })
}
