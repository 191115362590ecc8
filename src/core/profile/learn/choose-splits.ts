import { codeIn, shapeOf, type Split } from './slots'

/**
 * For each place the splits of its examples that fit together best: codes of one database are written alike, differ from place
 * to place, and are the same in all examples of one. Not sure where another way fits as well.
 */
export function chooseSplits(
  places: readonly (readonly Split[])[][],
  common: ReadonlySet<string>,
  alike: boolean,
): { splits: Split[]; sure: boolean }[] {
  const worth = (s: Split): number => {
    const words = s.content.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []
    const code = codeIn(s)
    return (
      (words.some((w) => common.has(w)) ? 3 : 0) +
      (/^["'«“(]/u.test(s.content) ? 3 : 0) +
      (common.has(code.toLowerCase()) ? -3 : 0) +
      (code ? 1 : 0) +
      Math.min(words.length, 3) * 0.5 +
      Math.min(words.join('').length, 12) * 0.05 -
      Math.min(code.length, 12) * 0.05
    )
  }
  /** The best split of each example of a place under a shape, all with one code; undefined where one has none. */
  const under = (
    place: readonly (readonly Split[])[],
    shape: string | undefined,
  ): { splits: Split[]; worth: number } | undefined => {
    const fitting = place.map((splits) => splits.filter((s) => shape === undefined || shapeOf(s) === shape))
    const codes = new Set(fitting.flat().map((s) => `${s.before}\n${s.after}`))
    let best: { splits: Split[]; worth: number } | undefined
    for (const code of codes) {
      const splits = fitting.map((f) => f.find((s) => `${s.before}\n${s.after}` === code))
      const own = splits.filter((s) => s !== undefined)
      const value =
        own.reduce((n, s) => n + worth(s), 0) + (own.length === place.length && place.length > 1 ? 4 : 0)
      if (own.length && (!best || value > best.worth))
        best = {
          splits:
            own.length === place.length
              ? own
              : [...own, ...fitting.flatMap((f, i) => (splits[i] ? [] : (f[0] ?? [])))],
          worth: value,
        }
    }
    return best
  }
  if (!alike) {
    // Headings begin with a capital, and a help page mostly shows the same one in all its forms.
    const capital = (s: Split): boolean => /^["'«“]?\p{Lu}/u.test(s.content)
    const everywhere = (s: Split): boolean =>
      places.every((p) => p.every((splits) => splits.some((o) => o.content === s.content)))
    const named = (s: Split): number => worth(s) + (capital(s) ? 2 : 0) + (everywhere(s) ? 2 : 0)
    return places.map((place) => {
      const ranked = rankedCodes(place, named)
      const [first, second] = ranked
      // Quotes round a heading may be those of a phrase, or belong to the form: no example of one heading can tell.
      const quoted = first?.splits.some((s) => /^["'«“]/u.test(s.content)) ?? false
      const rival = second?.splits.every((s) => capital(s) && everywhere(s)) ?? false
      return {
        splits: first?.splits ?? [],
        sure: !quoted && !rival && (!second || first!.worth - second.worth > 1),
      }
    })
  }
  const shapes = [...new Set(places.flat(2).map(shapeOf))]
  const scored = shapes
    .map((shape) => {
      const chosen = places.map((p) => under(p, shape))
      const codes = chosen.flatMap((c) => c?.splits.slice(0, 1).map(codeIn) ?? [])
      const value = chosen.reduce((n, c) => n + (c?.worth ?? -6), 0) + new Set(codes).size - codes.length
      return { chosen, value }
    })
    .sort((a, b) => b.value - a.value)
  const [best, second] = scored
  if (!best) return places.map(() => ({ splits: [], sure: false }))
  const sure = !second || best.value - second.value > 1
  return best.chosen.map((c) => ({ splits: c?.splits ?? [], sure }))
}

/** The codes that the examples of one place may have, the likeliest first. */
function rankedCodes(
  place: readonly (readonly Split[])[],
  worth: (s: Split) => number,
): { splits: Split[]; worth: number }[] {
  const codes = new Map<string, Split[]>()
  for (const splits of place)
    for (const s of splits)
      codes.set(`${s.before}\n${s.after}`, [...(codes.get(`${s.before}\n${s.after}`) ?? []), s])
  return [...codes.values()]
    .map((splits) => ({
      splits:
        splits.length === place.length
          ? splits
          : [...splits, ...place.flatMap((p) => (p.some((s) => splits.includes(s)) ? [] : (p[0] ?? [])))],
      worth:
        splits.reduce((n, s) => n + worth(s), 0) +
        (splits.length === place.length && place.length > 1 ? 4 : 0),
    }))
    .sort((a, b) => b.worth - a.worth)
}
