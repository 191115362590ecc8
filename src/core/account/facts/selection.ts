import { inWords, plural, pluralInWords, thousands } from '../../base'
import type { Figures } from '../../figures'
import { reasonWords, undecided, type FlowColumn, type Reason, type ReaderPair } from '../../selection'
import { MISSING, type Reader } from './fact'

type Sums = Pick<
  FlowColumn,
  | 'removed'
  | 'screened'
  | 'setAside'
  | 'open'
  | 'toSettle'
  | 'sought'
  | 'notLooked'
  | 'notHad'
  | 'awaited'
  | 'assessed'
  | 'noText'
  | 'closeOpen'
  | 'closeToSettle'
  | 'out'
  | 'included'
> & { removedReasons: Reason[]; outReasons: Reason[]; fetched: boolean; undecided: number }

/** The flow of all columns and rounds in sum. */
export function passSums({ flow, close }: Figures): Sums {
  const columns = flow.rounds.flatMap((r) => r.columns)
  const sum = (of: (c: FlowColumn) => number): number => columns.reduce((n, c) => n + of(c), 0)
  const together = (of: (c: FlowColumn) => readonly Reason[]): Reason[] => {
    const counts = new Map<string, number>()
    for (const { reason, count } of columns.flatMap(of)) counts.set(reason, (counts.get(reason) ?? 0) + count)
    return [...counts]
      .map(([reason, count]) => ({ reason, count }))
      .sort((a, b) => b.count - a.count || (a.reason < b.reason ? -1 : 1))
  }
  const notHad = sum((c) => c.notHad)
  const assessed = sum((c) => c.assessed)
  return {
    removed: sum((c) => c.removed),
    removedReasons: together((c) => c.removedReasons),
    screened: sum((c) => c.screened),
    setAside: sum((c) => c.setAside),
    open: sum((c) => c.open),
    toSettle: sum((c) => c.toSettle),
    sought: sum((c) => c.sought),
    notLooked: sum((c) => c.notLooked),
    notHad,
    awaited: sum((c) => c.awaited),
    assessed,
    noText: sum((c) => c.noText),
    closeOpen: sum((c) => c.closeOpen),
    closeToSettle: sum((c) => c.closeToSettle),
    out: sum((c) => c.out),
    outReasons: together((c) => c.outReasons),
    included: sum((c) => c.included),
    // Before anything was fetched or read in full, nobody sought anything yet.
    fetched: notHad > 0 || assessed > 0 || close.in > 0,
    undecided: sum(undecided),
  }
}

const number =
  (of: (sums: Sums) => number, from: string): Reader =>
  (c) => ({ text: thousands(of(passSums(c.figures))), stage: 'selection', from })
const works =
  (of: (sums: Sums) => number, from: string): Reader =>
  (c) => ({ text: plural(of(passSums(c.figures)), 'work'), stage: 'selection', from })
const forReason =
  (of: (sums: Sums) => readonly Reason[], from: string): Reader =>
  (c, reason) => {
    const found = of(passSums(c.figures)).find((r) => r.reason === reason)
    const words = reasonWords(c.review, reason)
    // A question without a statement of its own is told as it is asked; other reasons are a person’s own words.
    const said = words.endsWith('?') ? `“${words}”` : words
    return {
      text: `${said}: ${thousands(found?.count ?? 0)}`,
      missing: !found,
      stage: 'selection',
      from,
    }
  }
const passOf = (of: string): 'broad' | 'close' => (of === 'close' ? 'close' : 'broad')

/** Each two readers of a pass who ruled some of the same works, unseen by each other. */
export const pairsOf = ({ agreements }: Figures, pass: 'broad' | 'close' = 'broad'): ReaderPair[] =>
  agreements[pass].pairs.filter((p) => p.both > 0)

/** Numbers of all pairs: the one, or the lowest and the highest. */
const spread = (all: readonly number[], words: (n: number) => string): string => {
  const sorted = [...all].sort((a, b) => a - b)
  const ends = [...new Set([sorted[0], sorted.at(-1)].flatMap((n) => (n === undefined ? [] : words(n))))]
  return ends.join(' to ')
}
const two = (n: number): string => `${n < 0 ? '−' : ''}${Math.abs(n).toFixed(2)}`

/** Of those without a reason. */
export function noneOf(reasons: readonly Reason[]): ReturnType<Reader> {
  const none = reasons.find((r) => r.reason === 'none')
  return {
    text: `no reason noted: ${thousands(none?.count ?? 0)}`,
    missing: !none,
    stage: 'selection',
    from: 'works that went out without a reason',
  }
}

/** Of those with any other reason than the ones that are named, one a row. */
export function othersOf(reasons: readonly Reason[], of: string): ReturnType<Reader> {
  const named = new Set(of.split('\n'))
  const rest = reasons.reduce((n, r) => n + (named.has(r.reason) ? 0 : r.count), 0)
  return {
    text: `other reasons: ${thousands(rest)}`,
    missing: !rest,
    stage: 'selection',
    from: 'reasons that are not named',
  }
}

/** Facts of the rulings. */
export const SELECTION = {
  readers: (c) => {
    const names = c.figures.readers.broad
    return {
      text: pluralInWords(names.length, 'reader'),
      missing: !names.length,
      stage: 'selection',
      from: 'who has ruled',
    }
  },
  'readers.n': (c) => {
    const n = c.figures.readers.broad.length
    return { text: inWords(n), missing: !n, stage: 'selection', from: 'who has ruled' }
  },
  'broad.removed': works((s) => s.removed, 'works that went out together, unread'),
  'removed.none': (c) => noneOf(passSums(c.figures).removedReasons),
  'removed.others': (c, of) => othersOf(passSums(c.figures).removedReasons, of),
  'removed.for': forReason((s) => s.removedReasons, 'works that went out together, unread'),
  'broad.read': works((s) => s.screened, 'the rulings of the broad pass'),
  'broad.ruled': number((s) => s.screened, 'the rulings of the broad pass'),
  'broad.in': number((s) => s.sought, 'works ruled in'),
  'broad.out': number((s) => s.setAside, 'works ruled out'),
  'broad.unsure': number((s) => s.open, 'works left open'),
  'broad.left': (c) => ({
    text: thousands(c.figures.broad.left),
    stage: 'selection',
    from: 'works nobody has ruled',
  }),
  'broad.toSettle': number((s) => s.toSettle, 'works ruled differently and not settled'),
  // Of titles where no pass is named: so they stand in sections that people edited.
  'agreed.both': (c, of) => {
    const all = pairsOf(c.figures, passOf(of)).map((p) => p.both)
    const [one, many] = of === 'close' ? ['full text', 'full texts'] : ['work', 'works']
    return {
      text: all.length === 1 ? plural(all[0]!, one, many) : `${spread(all, thousands)} ${many}`,
      missing: !all.length,
      stage: 'selection',
      from: 'works on which two readers ruled',
    }
  },
  'agreed.seen': (c, of) => {
    const n = pairsOf(c.figures, passOf(of)).reduce((sum, p) => sum + p.seen, 0)
    return { text: thousands(n), stage: 'selection', from: 'works ruled with the other’s ruling in sight' }
  },
  'agreed.pairs': (c, of) => ({
    text: pluralInWords(pairsOf(c.figures, passOf(of)).length, 'pair'),
    stage: 'selection',
    from: 'readers who ruled the same works',
  }),
  'agreed.share': (c, of) => {
    const all = pairsOf(c.figures, passOf(of)).flatMap((p) => p.agreed ?? [])
    return {
      text: `${spread(all, (n) => (n * 100).toFixed(1))} %`,
      missing: !all.length,
      stage: 'selection',
      from: 'what readers said first of the same works',
    }
  },
  'agreed.kappa': (c, of) => {
    const all = pairsOf(c.figures, passOf(of)).flatMap((p) => p.kappa ?? [])
    return {
      text: spread(all, two),
      missing: !all.length,
      stage: 'selection',
      from: 'what readers said first of the same works',
    }
  },
  'agreed.interval': (c, of) => {
    const [pair] = pairsOf(c.figures, passOf(of))
    return {
      text: pair?.interval ? `${two(pair.interval[0])} to ${two(pair.interval[1])}` : MISSING,
      missing: !pair?.interval,
      stage: 'selection',
      from: 'what readers said first of the same works',
    }
  },
  'settled.n': (c, of) => ({
    text: inWords(c.figures.settled[passOf(of)]),
    stage: 'selection',
    from: 'works ruled differently and settled',
  }),
  'settled.of': (c, of) => {
    const pass = passOf(of)
    const n = c.figures.settled[pass] + c.figures.conflicts[pass]
    return {
      text: pass === 'close' ? plural(n, 'full text') : plural(n, 'work'),
      stage: 'selection',
      from: 'works ruled differently',
    }
  },
  'texts.sought': works((s) => s.sought, 'works that passed titles and abstracts'),
  'texts.notLooked': number((s) => s.notLooked, 'full texts that nobody has looked for'),
  'texts.noText': number((s) => s.noText, 'works ruled on a full text of which none is noted'),
  'close.toSettle': number((s) => s.closeToSettle, 'full texts ruled differently and not settled'),
  'texts.notHad': number((s) => s.notHad, 'full texts that were not to be had'),
  'texts.awaited': number((s) => s.awaited, 'full texts that are awaited or unread'),
  'texts.read': works((s) => s.assessed, 'the rulings of the close pass'),
  'close.out': number((s) => s.out, 'works ruled out on their full text'),
  'out.for': forReason((s) => s.outReasons, 'the main reasons of the close pass'),
  'close.open': number((s) => s.closeOpen, 'works left open on their full text'),
  'close.in': number((s) => s.included, 'works included'),
  studies: (c) => ({
    text: plural(c.figures.flow.studies, 'study', 'studies'),
    stage: 'selection',
    from: 'works bound as reports of one study',
  }),
} satisfies Record<string, Reader>
