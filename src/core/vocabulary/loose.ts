import { foldLabel } from '../base'

const LITTLE = new Set(['of', 'in', 'and', 'the', 'for', 'to', 'a', 'by', 'on', 'with', 'at'])

/** The words of a name that count, folded, without a plural ending, so that "ceilings" meets "ceiling". */
export const looseWords = (name: string): string[] =>
  foldLabel(name)
    .split(' ')
    .filter((w) => w && !LITTLE.has(w))
    .map((w) => w.replace(/(?<=..)s$/, ''))

/** What two names have in common that differ in little words and plural endings only. */
export const looseKey = (name: string): string => looseWords(name).join(' ')
