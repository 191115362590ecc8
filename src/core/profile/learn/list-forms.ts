import type { Example, Shown } from './examples'

export interface Lists {
  anyOf?: string
  allOf?: string
  range?: string
  separator?: string
}

/** The forms of lists of lines: what stands round them, between two of them, and in a range. */
export function listForms(
  by: ReadonlyMap<string, (Example & { shows: Shown })[]>,
  forms: ReadonlyMap<string, string>,
  doubt: (at: string, words: string, of: readonly Example[]) => void,
  seen: Record<string, number[]>,
): Lists {
  const reference = forms.get('lines.reference')
  const lists: Lists = {}
  for (const mode of ['anyOf', 'allOf'] as const) {
    const of = by.get(`lines.${mode}`)
    if (!of) continue
    const [example] = of
    if (reference === undefined) {
      doubt(`lines.${mode}`, 'How one line is named no example shows.', of)
      continue
    }
    const one = reference.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&').replace('\\{n\\}', '\\d+')
    const found = [...example!.text.matchAll(new RegExp(one, 'gu'))]
    const ends = found.map((m) => m.index + m[0].length)
    if (found.length < 2) {
      doubt(`lines.${mode}`, 'Two lines at least have to stand in the list.', of)
      continue
    }
    lists[mode] = `${example!.text.slice(0, found[0]!.index)}{list}${example!.text.slice(ends.at(-1))}`
    seen[`lines.${mode}`] = of.map((e) => e.at)
    const between = found.slice(1).map((m, i) => example!.text.slice(ends[i], m.index))
    lists.separator ??= between[0]!
    const range = between.find((b) => b !== between[0])
    if (range !== undefined) lists.range ??= `{from}${range}{to}`
  }
  return lists
}
