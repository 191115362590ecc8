import { isBody } from './body'
import { isGiven } from './given'
import {
  beginsWithParticle,
  familyAndInitials,
  hasNoCase,
  isInitials,
  isSuffix,
  LEGAL,
  readName,
} from './person'

export type Role = 'editor' | 'translator'
export interface NamesRead {
  names: { name: string; role?: Role }[]
  /** Others are told of and not named. */
  others: boolean
  /** Commas leave open whether they part persons or the parts of one name: it was read the likelier way. */
  open?: true
}
/** What commas do in a column: stand between persons, or within the names of each. */
export type Commas = 'between' | 'within'

const OTHERS =
  /(?:[,;]\s*|\s+)(?:and\s+|&\s+)?(?:et al\.?|and others|& others|others|u\.\s?a\.|y otros|et autres)\s*$/i
const ROLE =
  /\s*[([]\s*(ed|eds|editor|editors|hrsg|hg|trans|transl|translator|translators|übers|author|aut)\.?\s*[)\]]\s*$/i
const INNER_ROLE = new RegExp(`(${ROLE.source.replace(/\\s\*\$$/, '')}),(?=\\s)`, 'gi')
const PLURAL = /^(?:eds|editors|translators)$/i

/**
 * The names that a text lists: parted by semicolons; by "and" and "&", and by words of other languages where whole names
 * stand on both sides; by commas where those can part persons. What is the name of a body is one name, whatever stands in
 * it. `commas` says what they do, where it is known of the column.
 */
export function readNames(raw: string, commas?: Commas): NamesRead {
  let text = raw.replace(/\s+/g, ' ').replace(/、/g, ';').replace(/،/g, ',').trim()
  const others = OTHERS.test(text)
  if (others) text = text.replace(OTHERS, '')
  // Marks that lead to addresses are no part of a name.
  text = text.replace(/(?<=\p{L}\.?)[\d*†‡§¹²³⁴-⁹]+(?=\s*(?:[,;]|$))/gu, '').replace(/[\s;,]+$/, '')
  if (!text) return { names: [], others }
  // A role closes a name; what stands behind it is another.
  text = text.replace(INNER_ROLE, '$1;').replace(/\s*\|\s*/g, ';')
  const parts = text.includes(';') ? text.split(/\s*;\s*/) : undefined
  let open = false
  const names: NamesRead['names'] = []
  const put = (part: string, one: boolean): void => {
    const bare = part.replace(/^(?:and|&)\s+/i, '').trim()
    if (!bare) return
    const role = ROLE.exec(bare)
    const inside = role ? bare.slice(0, role.index) : bare
    const read = one && !severalIn(inside) ? undefined : personsIn(inside, one ? 'within' : commas)
    open ||= read?.open ?? false
    const said = role && roleOf(role[1]!)
    const list = read?.names ?? [readName(inside)]
    list.forEach((name, n) =>
      names.push({
        name,
        ...(said && (PLURAL.test(role[1]!) || n === list.length - 1) ? { role: said } : {}),
      }),
    )
  }
  if (parts) for (const part of parts) put(part, true)
  else put(text, false)
  return { names, others, ...(open ? { open: true } : {}) }
}

/** Between semicolons there is one name, unless each between its commas has initials of its own: "Lund E, Prins D". */
const severalIn = (text: string): boolean => {
  const atoms = text.split(/\s*,\s*/)
  return atoms.length > 1 && atoms.every((a) => familyAndInitials(a))
}

const roleOf = (word: string): Role | undefined =>
  /^(?:ed|hrsg|hg)/i.test(word) ? 'editor' : /^(?:trans|übers)/i.test(word) ? 'translator' : undefined

/** Where "and", or what other languages have for it, stands between names. */
function segmentsOf(text: string): string[] {
  const segments: string[] = []
  let rest = text
  for (;;) {
    const at = [...rest.matchAll(/,?\s+(and|&|und|y|et|og|och)\s+/gi)].find((m) => {
      if (/^(?:and|&)$/i.test(m[1]!)) return true
      const [before, behind] = [rest.slice(0, m.index), rest.slice(m.index + m[0].length)]
      const whole = (s: string): boolean => s.includes(',') || s.trim().split(' ').length > 1
      return whole(before.split(',').length % 2 ? before.split(',').at(-1)! : before) && whole(behind)
    })
    if (!at) return [...segments, rest]
    segments.push(rest.slice(0, at.index))
    rest = rest.slice(at.index + at[0].length)
  }
}

function personsIn(text: string, commas?: Commas): { names: string[]; open: boolean } {
  const segments = segmentsOf(text)
  // "Society for Speech and Rooms": a body goes on behind "and", unless a person stands there.
  if (LEGAL.test(text) && !withInitials(text)) return { names: [readName(text)], open: false }
  if (isBody(segments[0]!.split(',')[0]!) && !segments.slice(1).some(isPerson) && !withInitials(text))
    return { names: [readName(text)], open: false }
  const natural =
    segments.length > 1 &&
    segments.some((s) => !s.includes(',') && s.split(' ').length > 1 && !familyAndInitials(s))
  let open = false
  const names = segments.flatMap((segment) => {
    const read = byCommas(segment, commas ?? (natural ? 'between' : undefined))
    open ||= read.open
    return read.names
  })
  return { names, open }
}

const isPerson = (text: string): boolean => withInitials(text) || isGiven(text.trim().split(' ')[0]!)
const withInitials = (text: string): boolean => text.split(/\s*,\s*/).some((p, i) => i > 0 && isInitials(p))

const words = (text: string): number => text.split(' ').length
/** Could this be a family name by itself? */
const family = (text: string): boolean => words(text) === 1 || beginsWithParticle(text)
const given = (text: string): boolean =>
  isInitials(text) || text.split(' ').every((w) => isGiven(w) || isInitials(w))

function byCommas(text: string, commas?: Commas): { names: string[]; open: boolean } {
  const atoms: string[] = []
  for (const atom of text.split(/\s*,\s*/).filter(Boolean))
    if (atoms.length && isSuffix(atom)) atoms[atoms.length - 1] += `, ${atom}`
    else atoms.push(atom)
  const one = { names: [readName(text)], open: false }
  if (atoms.length < 2) return one
  if (isBody(atoms[0]!) && !atoms.slice(1).some((a) => isInitials(a))) return one
  const list = (open = false) => ({ names: atoms.map(readName), open })
  const pairs = (open = false) => ({
    names: atoms.flatMap((atom, n) => {
      if (n % 2) return []
      const behind = atoms[n + 1]
      if (behind === undefined) return [readName(atom)]
      // A suffix stands behind the given name.
      return [readName(`${atom}, ${behind}`)]
    }),
    open,
  })
  if (atoms.every((a) => familyAndInitials(a) || (words(a) > 1 && isInitials(a.split(' ')[0]!))))
    return list()
  const even = atoms.length % 2 === 0
  const behind = atoms.filter((_, n) => n % 2)
  const before = atoms.filter((_, n) => n % 2 === 0)
  if (even && behind.every((a) => isInitials(a.split(',')[0]!))) return pairs()
  if (atoms.some((a) => isInitials(a.split(',')[0]!))) return { names: greedy(atoms), open: false }
  const asPairs =
    even && (behind.every((a) => words(a) === 1) || before.every(family) || behind.every(hasNoCase))
  const asList = atoms.every((a) => words(a) > 1)
  if (asPairs && !asList) return pairs()
  if (asList && !even) return list()
  if (!asList) return even ? pairs() : { names: greedy(atoms), open: true }
  if (commas) return commas === 'between' ? list() : pairs()
  if (before.every(beginsWithParticle)) return pairs()
  if (behind.every(given) && !before.some((a) => isGiven(a.split(' ')[0]!))) return pairs()
  return list(!atoms.every((a) => isGiven(a.split(' ')[0]!)))
}

/** Initials belong to the family name before them; what has none is a name by itself. */
function greedy(atoms: readonly string[]): string[] {
  const names: string[] = []
  for (let n = 0; n < atoms.length; n++) {
    const behind = atoms[n + 1]
    if (behind !== undefined && isInitials(behind.split(',')[0]!))
      names.push(readName(`${atoms[n]!}, ${atoms[++n]!}`))
    else if (behind !== undefined && words(atoms[n]!) === 1 && words(behind) === 1)
      names.push(readName(`${atoms[n]!}, ${atoms[++n]!}`))
    else names.push(readName(atoms[n]!))
  }
  return names
}

/** What commas do in a column of lists of names, as its other cells show; undefined where they leave it open. */
export function commasOf(cells: readonly string[]): Commas | undefined {
  const lists = cells.filter((c) => c.includes(';'))
  if (!lists.length) return undefined
  const names = lists.flatMap((c) => c.split(';')).filter((n) => n.trim() && !isBody(n))
  return names.filter((n) => n.includes(',')).length * 2 > names.length ? 'within' : undefined
}
