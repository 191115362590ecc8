import { resolveFact, type FactContext, type FactLink } from '../account'

/** The appendix in which the evidence of a kind of fact stands, by the first part of its name. */
const APPENDIX: Readonly<Record<string, string>> = {
  terms: 'a',
  gap: 'a',
  hits: 'b',
  source: 'b',
  searched: 'b',
  join: 'b',
  words: 'b',
  limit: 'c',
  limits: 'c',
  records: 'g',
  works: 'g',
  readers: 'g',
  broad: 'g',
  removed: 'g',
  agreed: 'g',
  texts: 'g',
  followed: 'g',
  round: 'g',
  close: 'e',
  out: 'e',
  studies: 'f',
  reviewer: 'i',
  reviewed: 'i',
  protocol: 'j',
  departures: 'j',
}

/** Facts that lead to the appendix that bears them out, where the document has it. */
export function factLinks(context: FactContext, letters: ReadonlySet<string>): FactLink {
  return (ref) => {
    const { text, from } = resolveFact(context, ref)
    const letter = APPENDIX[/^\^?(\w+)/.exec(ref)?.[1] ?? '']
    return { text, from, ...(letter && letters.has(letter) ? { to: `appendix-${letter}` } : {}) }
  }
}
