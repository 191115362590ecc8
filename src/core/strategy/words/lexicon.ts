/** Words that share a sense, with the broader word that tells which sense it is. */
export interface Sense {
  words: readonly string[]
  broader: string
}

/**
 * Synonyms by word. Made from a text with a line for each sense: words separated by semicolons, a tab, a broader word
 * (or nothing). Several words of one entry are separated by spaces.
 */
export class Lexicon {
  private readonly lines: string[]
  private readonly byWord = new Map<string, number[]>()

  constructor(text: string) {
    this.lines = text.split('\n').filter(Boolean)
    this.lines.forEach((line, n) => {
      for (const word of line.slice(0, line.indexOf('\t')).split(';')) {
        const known = this.byWord.get(word)
        if (known) known.push(n)
        else this.byWord.set(word, [n])
      }
    })
  }

  /** The senses of a word or a phrase in small letters, without the word itself; none where it is not known. */
  senses(text: string): Sense[] {
    return (this.byWord.get(text) ?? []).map((n) => {
      const [words = '', broader = ''] = this.lines[n]!.split('\t')
      return { words: words.split(';').filter((w) => w !== text), broader }
    })
  }
}

/**
 * Makes the text of a lexicon from the data files of WordNet (format: wndb(5WN) of its manual): one line a synset with
 * two words or more; the broader word is the first of its first hypernym.
 */
export function lexiconText(dataFiles: readonly string[]): string {
  const out: string[] = []
  for (const data of dataFiles) {
    const synsets = new Map<string, { words: string[]; broader: string | undefined }>()
    for (const line of data.split('\n')) {
      if (!/^\d{8} /.test(line)) continue
      const parts = line.split(' ')
      const count = parseInt(parts[3]!, 16)
      const words: string[] = []
      for (let i = 0; i < count; i++)
        // An adjective may carry its place in brackets: "alone(p)".
        words.push(
          parts[4 + 2 * i]!.replace(/\([a-z]+\)$/, '')
            .replace(/_/g, ' ')
            .toLowerCase(),
        )
      const pointers = parts.slice(4 + 2 * count + 1)
      const at = pointers.findIndex((p, i) => p === '@' && /^\d{8}$/.test(pointers[i + 1] ?? ''))
      synsets.set(parts[0]!, { words: [...new Set(words)], broader: at < 0 ? undefined : pointers[at + 1] })
    }
    for (const { words, broader } of synsets.values()) {
      const plain = words.filter((w) => /^[a-z][a-z' -]*$/.test(w))
      if (plain.length > 1)
        out.push(`${plain.join(';')}\t${(broader && synsets.get(broader)?.words[0]) ?? ''}`)
    }
  }
  return out.join('\n') + '\n'
}
