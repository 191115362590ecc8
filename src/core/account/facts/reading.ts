import { inWords, plural, thousands } from '../../base'
import { reasonsOfTheirOwn } from '../sayings/texts-reasons'
import { readAlike } from '../sayings/who-read'
import { noneOf, othersOf, passSums } from './selection'
import { MISSING, type FactContext, type Reader } from './fact'

type Group = ReturnType<typeof readAlike>[number]

/** A number of a group of works, by "broad/2": the pass, and how many read each of them. */
const ofGroup =
  (words: (group: Group) => string, from: string): Reader =>
  (c, of) => {
    const [pass, each] = of.split('/')
    const group = readAlike(c, pass === 'close' ? 'close' : 'broad').find((g) => g.each === Number(each))
    return { text: group ? words(group) : MISSING, missing: !group, stage: 'selection', from }
  }

const works = (n: number): string => plural(n, 'work')

type Row = FactContext['figures']['read']['broad'][number]

const rows = (c: FactContext, pass: 'broad' | 'close', test: (row: Row) => boolean): number =>
  c.figures.read[pass].reduce((n, r) => n + (test(r) ? r.count : 0), 0)

const counted =
  (words: (n: number) => string, test: (row: Row, of: string) => boolean, from: string): Reader =>
  (c, of) => ({
    text: words(rows(c, of === 'close' ? 'close' : 'broad', (r) => test(r, of))),
    stage: 'selection',
    from,
  })

/** Facts of who read what, on which questions, in which order. */
export const READING = {
  'read.each': ofGroup((g) => inWords(g.each), 'who ruled each of these works'),
  'read.among': ofGroup((g) => inWords(g.among), 'who ruled any of these works'),
  'read.works': ofGroup((g) => thousands(g.works), 'works that so many readers ruled'),
  'asked.others': counted(
    works,
    (r) => r.asked === 'others',
    'works ruled when the questions read otherwise',
  ),
  'asked.notNoted': counted(
    works,
    (r) => r.asked === 'not noted',
    'works of which it is not noted what was asked',
  ),
  'shown.in': counted(thousands, (r, of) => r.order === of, 'works first ruled in this order'),
  'shown.unknown': counted(works, (r) => r.order === undefined, 'works whose order is not known'),
  'broad.undecided': (c) => {
    const { open, toSettle } = passSums(c.figures)
    return { text: thousands(open + toSettle), stage: 'selection', from: 'works left open or to settle' }
  },
  'duplicates.rules': ({ review }) => ({
    text: review.partition ? `version ${review.partition.rules}` : MISSING,
    missing: !review.partition,
    stage: 'records',
    from: 'the rules by which records were told apart',
  }),
  'duplicates.byHand': ({ figures }) => ({
    text: plural(figures.settledByHand, 'pair'),
    stage: 'records',
    from: 'pairs of records that were judged by hand',
  }),
  'duplicates.open': ({ figures }) => ({
    text: plural(figures.pairsToSettle, 'pair'),
    stage: 'records',
    from: 'pairs of works of which nobody has said yet whether they are one',
  }),
  'reasons.own': (c) => ({
    text: thousands(reasonsOfTheirOwn(c)),
    stage: 'selection',
    from: 'works ruled out on their full text for words that are no question',
  }),
  'out.none': (c) => noneOf(passSums(c.figures).outReasons),
  'out.others': (c, of) => othersOf(passSums(c.figures).outReasons, of),
} satisfies Record<string, Reader> satisfies Record<string, Reader>
