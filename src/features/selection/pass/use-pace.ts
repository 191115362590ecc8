import { useMemo } from 'react'
import { useSession } from '@/page/provider'

/** Longer than this and the reader was away. */
const AWAY = 5 * 60_000
const LATEST = 40

/** How long one ruling takes this reader, by their latest ones, in milliseconds; undefined where there are too few. */
export function usePace(pass: string, person: string): number | undefined {
  const entries = useSession((s) => s.entries)
  return useMemo(() => {
    const times: number[] = []
    for (let n = entries.length - 1; n >= 0 && times.length < LATEST; n--) {
      const { kind, payload, by, at } = entries[n]!
      const { pass: own } = (payload ?? {}) as { pass?: string }
      if (kind === 'ruling.set' && by === person && own === pass) times.push(Date.parse(at))
    }
    const gaps = times.slice(1).flatMap((t, n) => (times[n]! - t < AWAY ? [times[n]! - t] : []))
    if (gaps.length < 8) return undefined
    return [...gaps].sort((a, b) => a - b)[Math.floor(gaps.length / 2)]
  }, [entries, pass, person])
}

/** "about 2 h 10", "about 20 minutes", "a few minutes". */
export function inHours(milliseconds: number): string {
  const minutes = Math.round(milliseconds / 60_000)
  if (minutes < 10) return 'a few minutes'
  if (minutes < 60) return `about ${Math.round(minutes / 5) * 5} minutes`
  const hours = Math.floor(minutes / 60)
  const rest = Math.round((minutes % 60) / 10) * 10
  return rest === 60 ? `about ${hours + 1} h` : `about ${hours} h${rest ? ` ${rest}` : ''}`
}
