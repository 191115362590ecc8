import { produce } from 'immer'
import { drain, problem, type Problem } from '../../base'
import type { Command } from '../commands'
import { kindNamed } from '../kinds'
import { reviewFromPlain, type PlainReview } from '../plain-review'
import type { SideTaken } from '../side-taken'
import { emptyReview, type Review } from '../values'
import { Deeds } from './deeds'
import type { Entry } from './entry'
import { SCHEMA_VERSION } from './migrations'
import { commandOf, whatItSays } from './read-entry'

/** The review behind entry `seq`, as far as nothing before that entry has been undone or done again since. */
export interface Mark {
  seq: number
  review: Review
}

export interface Folded {
  review: Review
  /** Entries in force of a kind that can be undone, the latest last; see `undoable`. */
  done: number[]
  /** Entries that could be done again, the next last. */
  undone: number[]
  /** Nothing up to this entry can be undone any more. */
  floor: number
  problems: Problem[]
  /** From where an undo can be reckoned without the whole journal, the oldest first. */
  marks: Mark[]
}

/** A fold kept to open faster. Only a cache: dropping it loses nothing. */
export interface Snapshot {
  /** The last entry that is folded in, and its digest. */
  seq: number
  digest: string
  schema: number
  folded: Folded
}

/** What lies beside the journal and reading it needs. */
export interface Beside {
  /** The state of a journal whose first form was left out, by digest. */
  state?: ((digest: string) => PlainReview | undefined) | undefined
  /** Side journals that were taken in, by digest. */
  side?: ((digest: string) => SideTaken | undefined) | undefined
}

/** Of a kept state: of the entries that it was read from, and of its own (2: rulings lie in buckets, with their times). */
const FORM = SCHEMA_VERSION * 10 + 3
/** Commands that are read or done between two breaths of a fold in steps. */
const STEP = 500
/** Marks lie this far apart: close at the end, where one undoes, and far apart before. */
const MARK_EVERY = 100
const MARK_FAR = 2000
const MARKS_NEAR = 5

const NOTHING: Folded = { review: emptyReview(''), done: [], undone: [], floor: -1, problems: [], marks: [] }

/**
 * Reads the journal into the review it describes. An entry that was undone counts as if it were not there; an entry
 * that is not understood is passed over and named, never lost from the journal.
 */
export function fold(entries: readonly Entry[], beside: Beside = {}): Folded {
  return drain(foldInSteps(entries, undefined, beside))!
}

/**
 * The same fold, begun from a snapshot. Gives undefined where the snapshot does not serve: it belongs to another
 * journal or schema, or an entry behind it undoes one before it. Then fold from the beginning.
 */
export function foldFrom(
  snapshot: Snapshot,
  entries: readonly Entry[],
  beside: Beside = {},
): Folded | undefined {
  return drain(foldInSteps(entries, snapshot, beside))
}

/** The same in steps, so that a page can draw in between; from a snapshot where one is given, and as far as it serves. */
export function* foldInSteps(
  entries: readonly Entry[],
  snapshot?: Snapshot,
  beside: Beside = {},
): Generator<undefined, Folded | undefined> {
  const first = entries[0]?.seq ?? 0
  if (snapshot) {
    const serves =
      snapshot.schema === FORM &&
      entries[snapshot.seq - first]?.digest === snapshot.digest &&
      isFolded(snapshot.folded)
    if (!serves) return undefined
    return yield* foldOnto(snapshot.folded, snapshot.seq, entries, beside)
  }
  const begun = first > 0 ? beginLate(entries[0]!, beside) : undefined
  return yield* foldOnto(begun ?? NOTHING, begun ? first : first - 1, entries, beside)
}

/** A journal whose first form was left out begins with the state that the entry of going over names. */
function beginLate(entry: Entry, { state }: Beside): Folded | undefined {
  const read = commandOf(entry)
  if (!read.ok || read.value.kind !== 'journal.goOver') return undefined
  const plain = state?.(read.value.payload.state)
  return plain && { ...NOTHING, review: reviewFromPlain(plain), floor: entry.seq }
}

/** Has a fold from disk all its parts? A part that is missing would only be missed much later, somewhere else. */
function isFolded(folded: unknown): folded is Folded {
  const alike = (a: unknown, like: unknown): boolean =>
    typeof a === typeof like && Array.isArray(a) === Array.isArray(like) && a !== null
  const whole = (a: unknown, like: object): boolean =>
    typeof a === 'object' &&
    a !== null &&
    Object.entries(like).every(([key, part]) => alike((a as Record<string, unknown>)[key], part))
  return whole(folded, NOTHING) && whole((folded as Folded).review, NOTHING.review)
}

/** Folds what stands behind entry `upTo` onto what is folded up to there. */
function* foldOnto(
  base: Folded,
  upTo: number,
  entries: readonly Entry[],
  { side, state }: Beside,
): Generator<undefined, Folded | undefined> {
  const first = entries[0]?.seq ?? 0
  const end = first + entries.length - 1
  const deeds = new Deeds(base)
  const unread: Problem[] = []
  const commands = new Map<number, Command>()
  const idle = new Set<number>()
  /** The earliest entry that was undone or done again here. */
  let low = Infinity
  for (let seq = upTo + 1; seq <= end; seq++) {
    const entry = entries[seq - first]!
    const read = commandOf(entry)
    if (!read.ok) {
      unread.push(...read.problems)
      // What is withheld was done all the same: an undo counts from it.
      if (read.problems[0]?.code === 'entry-withheld') deeds.take(seq, { kind: entry.kind })
      continue
    }
    const effect = deeds.take(seq, read.value)
    if (!effect) idle.add(seq)
    else if ('did' in effect) commands.set(seq, read.value)
    else low = Math.min(low, 'undid' in effect ? effect.undid : effect.redid)
    if ((seq - upTo) % STEP === 0) yield
  }
  let start: Mark = { seq: upTo, review: base.review }
  if (low <= upTo) {
    const mark = base.marks.findLast((m) => m.seq < low)
    if (!mark) return undefined
    start = mark
  }
  const marks = base.marks.filter((m) => m.seq <= start.seq)
  if (marks.at(-1)?.seq !== start.seq && start.seq >= first) marks.push(start)
  // They ascend: what was done since the start stands at the end, however long the journal is.
  const inForce = new Set(deeds.done.slice(deeds.done.findLastIndex((seq) => seq <= start.seq) + 1))
  const unfit: Problem[] = []
  let review = start.review
  let batch: [number, Command][] = []
  const flush = (seq: number): void => {
    const applied = applyAll(review, batch, entries, { side, state })
    review = applied.review
    unfit.push(...applied.problems)
    batch = []
    if (seq - (marks.at(-1)?.seq ?? first - 1) >= MARK_EVERY) marks.push({ seq, review })
  }
  for (let seq = start.seq + 1; seq <= end; seq++) {
    const entry = entries[seq - first]!
    const undoable = kindNamed(entry.kind)?.undo === 'yes'
    if (undoable ? inForce.has(seq) : !idle.has(seq)) {
      const command = commands.get(seq) ?? whatItSays(entry)
      if (command) batch.push([seq, command])
    }
    // Far from the end marks are seldom: each is a state of its own, and costs what it copies.
    const near = end - seq < MARK_EVERY * (MARKS_NEAR + 5)
    if ((seq - start.seq) % (near ? MARK_EVERY : MARK_FAR) === 0) flush(seq)
    if ((seq - start.seq) % STEP === 0) yield
  }
  flush(end)
  // What was passed over behind the start was tried again, and is named again.
  const kept = base.problems.filter((p) => p.code !== 'entry-unfit' || seqOf(p) <= start.seq)
  return {
    review,
    done: deeds.done,
    undone: deeds.undone,
    floor: deeds.floor,
    problems: [...kept, ...unread, ...unfit].sort((a, b) => seqOf(a) - seqOf(b)),
    marks: thinned(marks),
  }
}

const seqOf = ({ at }: Problem): number => Number(at?.slice('entry '.length))

/** Many states share most of what they hold, but not all: the older ones are kept further apart. */
function thinned(marks: readonly Mark[]): Mark[] {
  const far = marks.slice(0, -MARKS_NEAR)
  const kept = far.filter((m, i) => {
    const before = far[i - 1]
    return !before || Math.floor(before.seq / MARK_FAR) !== Math.floor(m.seq / MARK_FAR)
  })
  return [...kept, ...marks.slice(-MARKS_NEAR)]
}

/** Applies commands by the number of their entry. One that cannot be applied is passed over whole, and named. */
function applyAll(
  before: Review,
  commands: readonly (readonly [number, Command])[],
  entries: readonly Entry[],
  { side, state }: Beside,
): { review: Review; problems: Problem[] } {
  const first = entries[0]?.seq ?? 0
  if (!commands.length) return { review: before, problems: [] }
  const apply = (draft: Review, [seq, command]: readonly [number, Command]): void => {
    const { at, by } = entries[seq - first]!
    kindNamed(command.kind)!.apply(draft, command.payload, { seq, at, by, side, state })
  }
  try {
    const review = produce(before, (draft: Review) => {
      for (const one of commands) apply(draft, one)
    })
    return { review, problems: [] }
  } catch {
    // Rare and slow: one by one, so that what fails leaves nothing behind. They are read anew: the first trial may have
    // changed what it was handed.
    let review = before
    const problems: Problem[] = []
    for (const [seq, { kind }] of commands)
      try {
        const command = whatItSays(entries[seq - first]!)!
        review = produce(review, (draft: Review) => apply(draft, [seq, command]))
      } catch {
        problems.push(
          unfitProblem(
            seq,
            kind,
            kind === 'side.take' && !side?.((entries[seq - first]!.payload as { digest: string }).digest),
          ),
        )
      }
    return { review, problems }
  }
}

/** Both have the same code: what was passed over is tried again when the journal is folded on. */
const unfitProblem = (seq: number, kind: string, gone: boolean): Problem =>
  problem(
    'entry-unfit',
    'error',
    gone
      ? `Entry ${seq} took in what another person did; the file it came in is not here any more, so what they did is not shown.`
      : `Entry ${seq} (${kind}) does not fit what was there before it, and was passed over.`,
    `entry ${seq}`,
  )

/** A snapshot of a fold over all of these entries; undefined for an empty journal. */
export function snapshotOf(entries: readonly Entry[], folded: Folded): Snapshot | undefined {
  const last = entries[entries.length - 1]
  return last && { seq: last.seq, digest: last.digest, schema: FORM, folded }
}

/**
 * Tells of any entry which is the earliest deed that was undone or done again behind it. A mark is the review as it is
 * known at the end: what was undone behind it is no longer in it, and who began there could not do that again.
 */
function earliestTouched(entries: readonly Entry[]): (seq: number) => number {
  const first = entries[0]?.seq ?? 0
  const lowest = Array.from<number>({ length: entries.length + 1 }).fill(Infinity)
  for (let i = entries.length - 1; i >= 0; i--) {
    const { kind } = entries[i]!
    const command = kind === 'undo' || kind === 'redo' ? whatItSays(entries[i]!) : undefined
    const seq = command && 'seq' in command.payload ? Number(command.payload.seq) : Infinity
    lowest[i] = Math.min(lowest[i + 1]!, seq)
  }
  return (seq) => lowest[seq - first + 1] ?? Infinity
}

/** Undoing so far back is quick when a journal has just been opened. */
const BEHIND = 100

/**
 * A snapshot for the disk, some deeds before the end, so that those can be undone without folding the whole journal;
 * undefined for a short one, which needs none. Its marks share what they hold only in memory and are left out.
 */
export function snapshotToKeep(entries: readonly Entry[], folded: Folded): Snapshot | undefined {
  const first = entries[0]?.seq ?? 0
  const end = first + entries.length - 1
  const touched = earliestTouched(entries)
  const mark = folded.marks.findLast((m) => m.seq <= end - BEHIND && touched(m.seq) > m.seq)
  const entry = mark && entries[mark.seq - first]
  if (!entry) return undefined
  const before = (seq: number): boolean => seq <= mark.seq
  return {
    seq: mark.seq,
    digest: entry.digest,
    schema: FORM,
    folded: {
      review: mark.review,
      done: folded.done.filter(before),
      undone: folded.undone.filter(before),
      floor: before(folded.floor) ? folded.floor : -1,
      problems: folded.problems.filter((p) => before(seqOf(p))),
      marks: [],
    },
  }
}
