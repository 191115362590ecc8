import { foldWord } from '../base'

/** A name that is plain in every system: small letters, digits and hyphens. */
export const plainName = (words: string): string =>
  foldWord(words)
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40) || 'unnamed'
