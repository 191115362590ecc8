import { fail, ok, problem, type Result } from '../base'

/** A DOI as ISO 26324 has it: the prefix "10.", a registrant's number, a slash, anything printable. */
const DOI = /\b10\.\d{4,9}(?:\.\d+)*\/[^\s"<>{}|\\^`]+/g

/** The DOIs in a text, each as it is compared: in small letters, without the signs that a sentence puts behind it. */
export function doisIn(text: string): string[] {
  return [...text.matchAll(DOI)].map(([found]) => {
    let doi = found.toLowerCase()
    for (let before = ''; before !== doi;) {
      before = doi
      doi = doi.replace(/[.,;:'’”\]]+$/, '')
      // A closing bracket belongs to the DOI only where it was opened there.
      if (doi.endsWith(')') && doi.split(')').length > doi.split('(').length) doi = doi.slice(0, -1)
    }
    return doi
  })
}

/** The first DOI of a text, as it is compared. */
export const doiIn = (text: string): string | undefined => doisIn(text)[0]

/** The check character of an ORCID's first fifteen digits (ISO 7064, MOD 11-2). */
export function orcidCheck(fifteen: string): string {
  let total = 0
  for (const digit of fifteen) total = ((total + Number(digit)) * 2) % 11
  const check = (12 - total) % 11
  return check === 10 ? 'X' : String(check)
}

/** Reads an ORCID from an address or its characters; gives four groups of four. Says what is wrong where it is none. */
export function readOrcid(text: string): Result<string> {
  const bare = text
    .replace(/^\s*https?:\/\/[^/]+\//i, '')
    .replace(/[\s-]/g, '')
    .toUpperCase()
  if (!/^\d{15}[\dX]$/.test(bare))
    return fail(
      problem(
        'orcid-form',
        'error',
        'An ORCID has sixteen characters, as in 0000-0002-1825-0097: digits, the last perhaps an X.',
      ),
    )
  const expected = orcidCheck(bare.slice(0, 15))
  if (bare[15] !== expected)
    return fail(
      problem(
        'orcid-check',
        'error',
        `The last character does not fit the others: it would be ${expected}. Was a digit mistyped?`,
      ),
    )
  return ok(bare.match(/.{4}/g)!.join('-'))
}
