import ISO6391 from 'iso-639-1'
import { z } from 'zod'
import { byName, foldLabel, listed } from '../base'

/** Restrictions that are no search words. Languages are ISO 639-1 codes; years include both ends. */
export const LimitValue = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('years'),
    from: z.int().min(1000).max(9999).optional(),
    to: z.int().min(1000).max(9999).optional(),
  }),
  z.object({ kind: z.literal('language'), values: z.array(z.string().min(1)).min(1) }),
  z.object({ kind: z.literal('document type'), values: z.array(z.string().min(1)).min(1) }),
  z.object({ kind: z.literal('peer reviewed') }),
  z.object({ kind: z.literal('population'), values: z.array(z.string().min(1)).min(1) }),
  z.object({ kind: z.literal('place'), values: z.array(z.string().min(1)).min(1) }),
  z.object({ kind: z.literal('open access') }),
  z.object({ kind: z.literal('other'), text: z.string().min(1) }),
])
export type LimitValue = z.infer<typeof LimitValue>
export type LimitKind = LimitValue['kind']

/** The kinds in the order in which limits are applied. */
export const LIMIT_KINDS = [
  'years',
  'language',
  'document type',
  'peer reviewed',
  'population',
  'place',
  'open access',
  'other',
] as const satisfies readonly LimitKind[]

/** One letter for the mark of a limit on a line. */
export const LIMIT_LETTER: Record<LimitKind, string> = {
  years: 'Y',
  language: 'L',
  'document type': 'D',
  'peer reviewed': 'P',
  population: 'A',
  place: 'G',
  'open access': 'O',
  other: '+',
}

/** The codes of all languages of ISO 639-1, in the order of their English names. */
export const LANGUAGE_CODES: readonly string[] = ISO6391.getAllCodes().sort((a, b) =>
  foldLabel(ISO6391.getName(a)) < foldLabel(ISO6391.getName(b)) ? -1 : 1,
)
const LANGUAGES = byName(Object.fromEntries(LANGUAGE_CODES.map((code) => [code, ISO6391.getName(code)])))

/** The English name of a language code; a code that is not known stays as it is. */
export const languageName = (code: string): string => LANGUAGES[code] ?? code

/** Is this the English name of a language? */
export const isLanguageName = (text: string): boolean => {
  const code = languageCode(text)
  return code.length === 2 && code !== text.trim().toLowerCase()
}

const CODES = byName(
  Object.fromEntries(LANGUAGE_CODES.map((code) => [languageName(code).toLowerCase(), code])),
)

/** The code of a language given as name or code, in any case; what is not known stays as it is. */
export function languageCode(text: string): string {
  const name = text.trim().toLowerCase()
  return LANGUAGES[name] ? name : (CODES[name] ?? text.trim())
}

/** Do two limits say the same? The order of their values says nothing. */
export function sameLimit(a: LimitValue, b: LimitValue): boolean {
  if (a.kind !== b.kind) return false
  if ('values' in a && 'values' in b) {
    const [one, other] = [a, b].map((l) => [...new Set(l.values.map((v) => v.toLowerCase()))].sort())
    return String(one) === String(other)
  }
  if (a.kind === 'years' && b.kind === 'years') return a.from === b.from && a.to === b.to
  return a.kind !== 'other' || (b.kind === 'other' && a.text === b.text)
}

/** Does the first let through only what the second does, and less of it? */
export function stricterLimit(a: LimitValue, b: LimitValue): boolean {
  if (a.kind !== b.kind || sameLimit(a, b)) return false
  if (a.kind === 'years' && b.kind === 'years')
    return (a.from ?? -Infinity) >= (b.from ?? -Infinity) && (a.to ?? Infinity) <= (b.to ?? Infinity)
  return 'values' in a && 'values' in b && a.values.every((v) => b.values.includes(v))
}

/** The limit in words: "2017–2026", "English, German or Spanish", "peer reviewed". */
export function limitWords(limit: LimitValue): string {
  switch (limit.kind) {
    case 'years':
      if (limit.from !== undefined && limit.to !== undefined)
        return limit.from === limit.to ? `${limit.from}` : `${limit.from}–${limit.to}`
      if (limit.from !== undefined) return `${limit.from} and later`
      return limit.to !== undefined ? `up to ${limit.to}` : 'any year'
    case 'language':
      return listed(limit.values.map(languageName), 'or')
    case 'document type':
    case 'population':
    case 'place':
      return listed(limit.values, 'or')
    case 'peer reviewed':
    case 'open access':
      return limit.kind
    case 'other':
      return limit.text
  }
}

/** A limit so that it can be ticked on a screen and read back: its kind and its values ("years: 2017–2026"). */
export const limitToTick = (limit: LimitValue): string =>
  limit.kind === 'peer reviewed' || limit.kind === 'open access'
    ? limit.kind
    : limit.kind === 'language'
      ? `language: ${limit.values.map(languageName).join(' / ')}`
      : 'values' in limit
        ? `${limit.kind}: ${limit.values.join(' / ')}`
        : `${limit.kind}: ${limitWords(limit)}`

/** The limit that such words name; undefined where they name none. */
export function tickedLimit(words: string): LimitValue | undefined {
  const [, kind = '', said = ''] = /^([a-z ]+?)(?::\s*(.*))?$/.exec(words.trim()) ?? []
  const values = said.split(' / ').map((v) => v.trim())
  const years = /^(\d{4})(?:(–)(\d{4})| (and later))?$/.exec(said)
  const upTo = /^up to (\d{4})$/.exec(said)
  const value =
    kind === 'years'
      ? years
        ? {
            kind,
            from: Number(years[1]),
            ...(years[4] ? {} : { to: Number(years[3] ?? years[1]) }),
          }
        : upTo
          ? { kind, to: Number(upTo[1]) }
          : said === 'any year'
            ? { kind }
            : undefined
      : kind === 'language'
        ? { kind, values: values.map(languageCode) }
        : kind === 'other'
          ? { kind, text: said }
          : kind === 'peer reviewed' || kind === 'open access'
            ? { kind }
            : { kind, values }
  const read = LimitValue.safeParse(value)
  return read.success ? read.data : undefined
}
