import type { NotSent } from '../reads/en'
import { countingRuns } from './counting-runs'
import type { Deeds } from './deeds'

/** What stands behind each NOT of a text, up to the bracket that closes around it. */
function behindNot(text: string): string[] {
  return text
    .split(/\bNOT\b/)
    .slice(1)
    .map((rest) => {
      let depth = 0
      for (let i = 0; i < rest.length; i++) {
        if (rest[i] === '(') depth++
        if (rest[i] === ')' && --depth < 0) return rest.slice(0, i)
      }
      return rest
    })
}
const signs = (text: string): string[] =>
  (text.toLowerCase().match(/[\p{L}\p{N}]+(?=[*?]|\b)/gu) ?? []).filter(
    (w) => !/^(?:and|or|not|near|then|any|all)$/.test(w),
  )

/** Just in these lines so much of what stands behind a NOT is in what was sent. */
function sentSo(read: NotSent, deeds: Deeds, so: (found: number, wanted: number) => boolean): boolean {
  const own = countingRuns(deeds).find((c) => c.name === read.source)
  if (!own || !read.lines.length) return false
  const lost = own.runs.filter((run) => {
    const sent = signs(run.sent)
    return behindNot(run.text).some((part) => {
      const wanted = signs(part)
      const found = wanted.filter((w) => sent.some((s) => s.startsWith(w)))
      return wanted.length > 0 && so(found.length, wanted.length)
    })
  })
  const numbers = [...new Set(lost.map((r) => r.number))]
  return numbers.length === read.lines.length && read.lines.every((n) => numbers.includes(n))
}

export const notSent = (read: NotSent, deeds: Deeds): boolean => sentSo(read, deeds, (found) => !found)
export const notPartly = (read: NotSent, deeds: Deeds): boolean =>
  sentSo(read, deeds, (found, wanted) => found > 0 && found < wanted)
