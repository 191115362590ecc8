import { partsOf } from './number'

/** What a sentence says was not done with the strategies. */
export type Without = ('limits' | 'filter' | 'earlier' | 'review')[]

const SAID: readonly [RegExp, Without][] = [
  [/^(?:set no limits|no limits were set)$/, ['limits']],
  [/^(?:took over )?no published filter(?: was taken over)?$/, ['filter']],
  [/^(?:took over )?no earlier strategy(?: was taken over)?$/, ['earlier']],
  [/^(?:took over )?no published filter or earlier strategy(?: was taken over)?$/, ['filter', 'earlier']],
  [/^(?:had the strategies|the strategies were) reviewed by nobody else$/, ['review']],
]

export function searchesWithout(sentence: string): Without | undefined {
  const m =
    /^(?:In these searches,? )?(?:We |I |we )?((?:set no|[Nn]o limits|took over no|[Nn]o published|[Nn]o earlier|had the strategies|[Tt]he strategies were reviewed by nobody)\b.*)\.$/.exec(
      sentence,
    )
  if (!m) return undefined
  const found = partsOf(m[1]!.charAt(0).toLowerCase() + m[1]!.slice(1)).map((part) =>
    SAID.find(([words]) => words.test(part)),
  )
  return found.every((f) => f) ? found.flatMap((f) => f![1]) : undefined
}
