/** Which databases a sentence says were searched before the record was kept, nobody here knowing what they were asked. */
export interface SearchedBefore {
  names: string
}

const SAID =
  /^(?:The search(?:es)? in ([^;]+?) (?:was|were) made before this record was kept|Before this record was kept, ([^;]+?) (?:was|were) searched); with which words, limits and filters is not known here\.$/

export function searchedBefore(sentence: string): SearchedBefore | undefined {
  const m = SAID.exec(sentence)
  return m ? { names: (m[1] ?? m[2])! } : undefined
}
