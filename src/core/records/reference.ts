import { doiIn } from './identifiers'

/** What a reference says of a work; what could not be told apart is empty. */
export interface ReferenceParts {
  title: string
  authors: string[]
  year?: number
  journal?: string
  doi?: string
}

const YEAR = /\b(1[6-9]\d\d|20\d\d)[a-z]?\b/
const QUOTED = /[“"„«]([^”"“»]{8,})[”"“»]/
/** A stop that ends a part: not the one behind an initial. */
const PART_END = /(?<![\s.(][A-Z]|^[A-Z])[.?!](?=\s|$)/

/**
 * Reads a reference as people write it, whatever the style: the title in quotation marks, or what stands behind a year
 * in brackets, or the part behind the authors. What is not understood is not guessed at: then the title is the whole
 * text without its DOI, and `sure` is false.
 */
export function readReference(text: string): ReferenceParts & { sure: boolean } {
  const doi = doiIn(text)
  const bare = text
    .replace(/^\s*(?:\[\d+\]|\(?\d{1,3}[.)]|[•*–-])\s+/, '')
    .replace(/\s*(?:https?:\/\/\S+|\bdoi:?\s*10\.\S+|\b10\.\d{4,9}\/\S+)/gi, '')
    .replace(/\s+/g, ' ')
    .trim()
  const year = Number(YEAR.exec(bare.replace(/\b\d+\s?[-–]\s?\d+\b/g, ''))?.[1] ?? YEAR.exec(bare)?.[1])
  const base = { ...(year ? { year } : {}), ...(doi ? { doi } : {}) }
  const split = behindQuotes(bare) ?? behindYear(bare) ?? behindAuthors(bare)
  if (!split) return { title: bare, authors: [], ...base, sure: false }
  const journal = journalOf(split.rest)
  return {
    title: split.title,
    authors: authorsOf(split.authors),
    ...base,
    ...(journal ? { journal } : {}),
    sure: split.title.split(' ').length > 1,
  }
}

interface Split {
  authors: string
  title: string
  rest: string
}

function behindQuotes(text: string): Split | undefined {
  const found = QUOTED.exec(text)
  if (!found) return undefined
  return {
    authors: text.slice(0, found.index).replace(/\(?\b\d{4}[a-z]?\)?\.?\s*$/, ''),
    title: found[1]!.replace(/[.,]$/, ''),
    rest: text.slice(found.index + found[0].length),
  }
}

function behindYear(text: string): Split | undefined {
  const found = /\((1[6-9]\d\d|20\d\d)[a-z]?(?:,[^)]*)?\)[.,:]?\s+/.exec(text)
  // A year in brackets at the end belongs to the journal, not to the authors.
  if (!found || found.index > text.length * 0.6) return undefined
  const behind = text.slice(found.index + found[0].length)
  const end = PART_END.exec(behind)
  return {
    authors: text.slice(0, found.index),
    title: behind.slice(0, end ? end.index + (end[0] === '.' ? 0 : 1) : undefined).trim(),
    rest: end ? behind.slice(end.index + 1) : '',
  }
}

/** The authors end where a stop is followed by what begins like a sentence: a capital word, then a small one. */
const AUTHORS_END = /\.\s+(?=\p{Lu}\p{L}*\s\p{Ll})/u

/** "Ahola R, Prins D. The title. The journal. 2019;7:41-58." */
function behindAuthors(text: string): Split | undefined {
  const stop = AUTHORS_END.exec(text)
  if (!stop) return undefined
  const authors = text.slice(0, stop.index)
  const behind = text.slice(stop.index + stop[0].length)
  const end = PART_END.exec(behind)
  const title = behind.slice(0, end ? end.index + (end[0] === '.' ? 0 : 1) : undefined).trim()
  const rest = end ? behind.slice(end.index + 1) : ''
  if (title.split(' ').length < 3 || authors.split(' ').length > 60) return undefined
  if (!/\p{L}{2,},? \p{Lu}\.?/u.test(authors)) return undefined
  return { authors, title, rest }
}

function authorsOf(text: string): string[] {
  const list = text
    .replace(/\bet al\.?/i, '')
    .replace(/[,;\s]+$/, '')
    .replace(/(?<!(?:^|[\s.])\p{Lu})\.$/u, '')
    .replace(/\s*(?:,?\s*&|,?\s+and|;)\s*/g, ' ; ')
  return list
    .split(' ; ')
    .flatMap((part) => {
      // "Ahola, R., Prins, D.": names and initials in turn, or "Ahola R, Prins D": a name in each part.
      const pieces = part.split(/,\s*/).filter(Boolean)
      const out: string[] = []
      for (const piece of pieces) {
        const last = out[out.length - 1]
        const initials = /^(?:\p{Lu}\.?[\s-]?){1,4}$/u.test(piece.trim())
        if (last !== undefined && !last.includes(',') && (initials || pieces.length === 2))
          out[out.length - 1] = `${last}, ${piece.trim()}`
        else out.push(piece.trim().replace(/^(\p{L}[\p{L}’'-]+) ((?:\p{Lu}\.?){1,3})$/u, '$1, $2'))
      }
      return out
    })
    .filter((name) => /\p{L}/u.test(name))
}

function journalOf(rest: string): string | undefined {
  const found = /^[\s.,]*(?:In:?\s+)?([^,.;\d(]{3,120})/.exec(rest)?.[1]?.trim()
  return found && /\p{L}{3}/u.test(found) ? found : undefined
}
