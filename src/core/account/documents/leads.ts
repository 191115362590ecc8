/** A part of a text: plain, an address that it leads to, or what a table, a figure or an appendix is called. */
export type Lead = { words: string; address?: string; called?: string }

/** What is found in a document by what it is called: "Table 2" as "table-2". */
export const keyOf = (called: string): string => called.toLowerCase().replace(' ', '-')

const LEADS = /(https:\/\/doi\.org\/\S+[^\s.,;)\]])|\b((?:Table|Figure) \d+|Appendix [A-Z])\b/g

/** A text in parts, as far as they lead somewhere: addresses, and what is called so in this document. */
export function leadsIn(words: string, has: (called: string) => boolean): Lead[] {
  const found: Lead[] = []
  let from = 0
  const plain = (to: number): void => {
    if (to > from) found.push({ words: words.slice(from, to) })
  }
  for (const { 0: own, 1: address, index } of words.matchAll(LEADS)) {
    if (!address && !has(own)) continue
    plain(index)
    from = index + own.length
    found.push(address ? { words: own, address } : { words: own, called: own })
  }
  plain(words.length)
  return found
}
