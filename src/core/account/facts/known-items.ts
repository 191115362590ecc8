import type { FactContext } from './fact'

/** Known items that were in the review before the first run: by the time of the run itself, where it was logged later. */
export function knownBefore({ review, entries }: FactContext): string[] {
  if (!entries) return []
  const first = review.runs.map((r) => Date.parse(r.at)).reduce((a, b) => Math.min(a, b), Infinity)
  const since = new Map<string, number>()
  for (const { kind, payload, at } of entries) {
    const ids = kind === 'known.add' ? (payload as { items: { id: string }[] }).items.map((i) => i.id) : []
    for (const id of ids) if (!since.has(id)) since.set(id, Date.parse(at))
  }
  return review.knownItems.filter((k) => (since.get(k.id) ?? Infinity) < first).map((k) => k.id)
}
