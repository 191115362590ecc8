/** The slow checker of what is said of databases that were searched at once: it reads the journal's deeds only. */
import { stateOf, type CheckedEntry, type Patterns } from './journal-state.fixture'

export function togetherPatterns(entries: readonly CheckedEntry[]): Patterns {
  const holds = (short: string, others: string): boolean =>
    entries.some((e) => {
      const p = e.payload as { id: string; name: string; together?: string }
      return (
        e.kind === 'source.set' &&
        p.name.startsWith(short) &&
        p.together === others &&
        stateOf(entries).runs.some((r) => r.sourceId === p.id)
      )
    })
  return [
    [
      /^(.+?) was searched at once with (.+?); its counts are of all of them\.$/,
      (m) => holds(m[1]!.replace(/^the /i, ''), m[2]!),
    ],
    [
      /^Together with (.+?), one search reached (.+?); the counts are of all of them\.$/,
      (m) => holds(m[1]!.replace(/^the /i, ''), m[2]!),
    ],
  ]
}
