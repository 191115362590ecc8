import { plural, thousands } from '../base'
import type { Source, WayLogged } from '../review'

/** A part of a way that can be logged: what it is asked for by, for one kind of way. */
export type WayPart = Exclude<keyof WayLogged, 'id' | 'sourceId' | 'importId'>

type Asked = readonly (readonly [part: WayPart, label: string])[]
const NUMBERS = [
  ['named', 'named'],
  ['known', 'known already'],
  ['taken', 'taken on'],
] as const
const LOOKED = [
  ['lookedThrough', 'looked through'],
  ['stopped', 'stopped where'],
  ['taken', 'taken on'],
] as const

/** What is asked when a way of each kind is logged, in the order in which it is filled in; PRISMA-S items 3 to 7. */
export const WAY_PARTS: Readonly<Record<Exclude<Source['kind'], 'database'>, Asked>> = {
  'reference lists': [
    ['of', 'of which works'],
    ['where', 'or of what, in words'],
    ['how', 'how'],
    ['through', 'through what'],
    ...NUMBERS,
  ],
  'citing papers': [
    ['of', 'of which works'],
    ['where', 'or of what, in words'],
    ['how', 'how'],
    ['through', 'through what'],
    ...NUMBERS,
  ],
  people: [
    ['how', 'how they were asked'],
    ['asked', 'asked what'],
    ['answered', 'answered what'],
    ...NUMBERS,
  ],
  web: [['where', 'which page or search'], ['how', 'with which words'], ...LOOKED],
  register: [['where', 'which register'], ['how', 'with which words and limits'], ...LOOKED],
  catalogue: [['where', 'which catalogue'], ['how', 'with which words and limits'], ...LOOKED],
  'hand search': [['where', 'which journal or proceedings'], ['how', 'which issues'], ...LOOKED],
  'own collection': [
    ['where', 'where it lies'],
    ['how', 'how it was gone through'],
    ['lookedThrough', 'looked through'],
    ['taken', 'taken on'],
  ],
}

/** A way that was gone, once, in words: of what, how, and what came of it; numbers that nobody counted are not told. */
export function wayWords(way: WayLogged): string {
  const { of, where, how, through, lookedThrough, named, known, taken, asked, answered, stopped } = way
  const first = of?.length ? `of ${plural(of.length, 'work')}` : (where?.trim() ?? '')
  const parts = [
    [first, of?.length ? where?.trim() : '', how.trim()].filter(Boolean).join(', '),
    through?.trim() ? `through ${through.trim()}` : '',
    asked?.trim() ? `asked: ${asked.trim()}` : '',
    answered?.trim() ? `answered: ${answered.trim()}` : '',
    lookedThrough === undefined ? '' : `${thousands(lookedThrough)} looked through`,
    named === undefined ? '' : `${thousands(named)} named`,
    known === undefined ? '' : `${thousands(known)} known already`,
    taken === undefined ? '' : taken ? `${thousands(taken)} taken on` : 'nothing taken on',
    stopped?.trim() ? `stopped at ${stopped.trim()}` : '',
  ]
  const words = parts.filter(Boolean).join('; ')
  return gaveNothing(way) ? `${words}; it gave nothing new` : words
}

/** Did a way give nothing that was not known, as it was counted? */
export const gaveNothing = ({ named, known, taken }: WayLogged): boolean =>
  taken === 0 || (taken === undefined && named !== undefined && named === known)

/** What of a way's numbers cannot be; undefined where nothing is wrong. */
export function wrongInWay({
  named,
  known,
  taken,
  lookedThrough,
  of,
  where,
  how,
}: Partial<WayLogged>): string | undefined {
  if (!of?.length && !where?.trim() && !how?.trim()) return 'Say of what, or how.'
  if (named !== undefined && known !== undefined && known > named) return 'More are known than were named.'
  if (named !== undefined && taken !== undefined && taken > named) return 'More are taken on than were named.'
  if (lookedThrough !== undefined && taken !== undefined && taken > lookedThrough)
    return 'More are taken on than were looked through.'
  return undefined
}
