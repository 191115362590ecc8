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
      const chosen = places.map(
        (place) =>
          rankedCodes(
            place.map((splits) => splits.filter((s) => shapeOf(s) === shape)),
            worth,
          )[0],
      )
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
  for (const s of place.flat()) {
    const code = `${s.before}\n${s.after}`
    codes.set(code, [...(codes.get(code) ?? []), s])
  }
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
