import { problem, type Problem, type Span } from '../base'
import {
  DEEPEST,
  isNearOperand,
  maskedWords,
  readWord,
  typedAs,
  tooDeep,
  withoutPlaces,
  type Expr,
} from '../query'
import type { Profile } from './schema'
import { marksOf, type Placed } from './marks'
import { joinedRows, rowsIn, type Row } from './rows'
import type { SyntaxMark } from './syntax'

export interface ReadTheirs {
  tree: Expr | undefined
  problems: Problem[]
}

const MOST_PROBLEMS = 100

/**
 * Reads text in a database's own syntax as that database understands it: words side by side, mixed operators, small
 * operators where only capitals count. The tree says in plain terms what the database will do. Never throws.
 */
export function readFrom(text: string, profile: Profile): ReadTheirs {
  const rows = rowsIn(text, profile)
  if (rows) return readRows(rows, profile)
  return readLine(text, profile)
}

function readLine(text: string, profile: Profile): ReadTheirs {
  const problems: Problem[] = []
  const marks = marksOf(text, profile, problems)
  const reader = new Reader(marks, profile, problems)
  const tree = reader.whole()
  const deep = tree && tooDeep(tree)
  if (deep) return { tree: undefined, problems: [...problems.slice(0, MOST_PROBLEMS - 1), deep] }
  return { tree, problems: problems.slice(0, MOST_PROBLEMS) }
}

/** Reads the rows of a form, each by itself; each is joined to all above it. */
function readRows(rows: NonNullable<ReturnType<typeof rowsIn>>, profile: Profile): ReadTheirs {
  const problems: Problem[] = []
  const read = rows.flatMap(({ join, fields, typed, at }): Row[] => {
    const inside = readLine(typed, profile)
    problems.push(...inside.problems.map((p) => moved(p, at)))
    return inside.tree ? [{ join, fields, of: withoutPlaces(inside.tree) }] : []
  })
  return { tree: read.length ? joinedRows(read) : undefined, problems: problems.slice(0, MOST_PROBLEMS) }
}
const moved = (p: Problem, by: number): Problem =>
  Array.isArray(p.at) ? { ...p, at: p.at.map((n) => Number(n) + by) as unknown as Span } : p

const startsUnit = new Set<SyntaxMark['kind']>([
  'open',
  'wrap',
  'prefix',
  'quote',
  'heading',
  'class',
  'line',
  'lines',
  'text',
])

class Reader {
  private next = 0
  private depth = 0
  constructor(
    private readonly marks: Placed[],
    private readonly profile: Profile,
    private readonly problems: Problem[],
  ) {}

  whole(): Expr | undefined {
    const parts: Expr[] = []
    while (this.next < this.marks.length) {
      const part = this.top()
      if (part) parts.push(part)
      const mark = this.marks[this.next]
      if (mark) {
        if (mark.kind === 'close')
          this.say('bracket-close', 'error', `"${mark.text}" closes nothing here.`, mark.at)
        else if (mark.kind === 'op' || mark.kind === 'near')
          this.say('operand-missing', 'error', 'An operator has nothing to work on here.', mark.at)
        else this.say('unexpected', 'error', 'This does not belong here.', mark.at)
        this.next++
      }
    }
    return parts.length > 1 ? { kind: 'and', parts, at: around(parts) } : parts[0]
  }

  /** All up to the end or a closing bracket; a code that reaches over the row holds for what stands before it. */
  private top(): Expr | undefined {
    let e = this.level(this.profile.operators.binding.length - 1)
    for (let mark = this.marks[this.next]; e; mark = this.marks[this.next]) {
      if (mark?.kind === 'suffix' && mark.reach === 'row') {
        this.next++
        e = { kind: 'fields', fields: [...mark.fields], of: e, at: [e.at![0], mark.at[1]] }
      } else if (mark?.kind === 'op' && e.kind === 'fields') {
        this.next++
        const right = this.level(this.profile.operators.binding.length - 1)
        if (!right) {
          this.say('operand-missing', 'error', 'An operator has nothing behind it to work on.', mark.at)
          continue
        }
        e = { kind: mark.op, parts: [e, right], at: around([e, right]) }
      } else break
    }
    return e
  }

  /** The operators of one binding group, from left to right; a run of the same one is one flat node. */
  private level(group: number): Expr | undefined {
    if (group < 0) return this.beside()
    let left = this.level(group - 1)
    const ops = this.profile.operators.binding[group]!
    // The parts of the node that is being built: they are added to, not copied, or a long chain would take for ever.
    let flat: { op: 'and' | 'or' | 'not'; parts: Expr[] } | undefined
    for (
      let mark = this.marks[this.next];
      mark?.kind === 'op' && ops.includes(mark.op);
      mark = this.marks[this.next]
    ) {
      const { op, at } = mark
      this.next++
      const right = this.level(group - 1)
      if (!left || !right) {
        this.say(
          'operand-missing',
          'error',
          `An operator has nothing ${left ? 'behind' : 'before'} it to work on.`,
          at,
        )
        // What stands behind a NOT that takes away from nothing is not what is wanted.
        if (!left && op !== 'not') left = right
        continue
      }
      if (flat?.op === op && left.kind === op) {
        flat.parts.push(right)
        left.at = around([left, right])
      } else {
        flat = { op, parts: [left, right] }
        left = { kind: op, parts: flat.parts, at: around([left, right]) }
      }
    }
    return left
  }

  /** Things that stand side by side with nothing between. */
  private beside(): Expr | undefined {
    const parts: { e: Expr; bare: boolean }[] = []
    for (let mark = this.marks[this.next]; mark; mark = this.marks[this.next]) {
      if (mark.kind === 'suffix' && mark.reach === 'run' && parts.length) {
        this.next++
        const of = this.joinedBeside(parts)!
        const e: Expr = { kind: 'fields', fields: [...mark.fields], of, at: [of.at![0], mark.at[1]] }
        parts.splice(0, parts.length, { e, bare: false })
        continue
      }
      if (!startsUnit.has(mark.kind)) break
      const bare = mark.kind === 'text'
      const e = this.near()
      if (e) parts.push({ e, bare: bare && (e.kind === 'word' || e.kind === 'phrase') })
      else if (this.marks[this.next] === mark) this.next++
    }
    return this.joinedBeside(parts)
  }

  private joinedBeside(parts: readonly { e: Expr; bare: boolean }[]): Expr | undefined {
    if (parts.length < 2) return parts[0]?.e
    const whole = around(parts.map((p) => p.e))
    if (this.profile.sideBySide !== 'phrase') {
      const kind = this.profile.sideBySide === 'any' ? 'or' : 'and'
      return { kind, parts: parts.map((p) => p.e), at: whole }
    }
    // Words run together into phrases; what is no word is joined with AND.
    const joined: Expr[] = []
    let run: Expr[] = []
    const flush = (): void => {
      if (run.length === 1) joined.push(run[0]!)
      else if (run.length)
        joined.push({
          kind: 'phrase',
          words: run.flatMap((e) => (e.kind === 'word' ? [e.text] : e.kind === 'phrase' ? e.words : [])),
          loose: true,
          at: around(run),
        })
      run = []
    }
    for (const { e, bare } of parts) {
      if (bare) run.push(e)
      else {
        flush()
        joined.push(e)
      }
    }
    flush()
    return joined.length > 1 ? { kind: 'and', parts: joined, at: whole } : joined[0]
  }

  private near(): Expr | undefined {
    let left = this.suffixed()
    let chained: Expr[] | undefined
    for (let mark = this.marks[this.next]; mark?.kind === 'near'; mark = this.marks[this.next]) {
      this.next++
      const right = this.suffixed()
      if (!left || !right) {
        this.say('operand-missing', 'error', 'Nearness has nothing on one side.', mark.at)
        left = left ?? right
        continue
      }
      if (chained) {
        chained.push(right)
        left.at = around([left, right])
        this.say('near-operand', 'error', NEAR_JOINS, mark.at)
      } else if (isNearOperand(left) && isNearOperand(right)) {
        left = {
          kind: 'near',
          ordered: mark.ordered,
          distance: mark.distance,
          left,
          right,
          at: around([left, right]),
        }
      } else {
        this.say('near-operand', 'error', NEAR_JOINS, mark.at)
        chained = [left, right]
        left = { kind: 'and', parts: chained, at: around([left, right]) }
      }
    }
    return left
  }

  private suffixed(): Expr | undefined {
    let e = this.unit()
    for (let mark = this.marks[this.next]; e && mark?.kind === 'suffix'; mark = this.marks[this.next]) {
      if (mark.reach === 'run' || mark.reach === 'row') break
      this.next++
      this.reach(mark, e)
      e = { kind: 'fields', fields: [...mark.fields], of: e, at: [e.at![0], mark.at[1]] }
    }
    return e
  }

  /** Names a code that stands at more than it reaches. */
  private reach(mark: Placed & { kind: 'prefix' | 'suffix' }, of: Expr): void {
    const words = of.kind === 'phrase' ? of.words.length : of.kind === 'word' ? 1 : undefined
    if (mark.reach === 'word' && words !== 1)
      this.say('reach', 'error', 'This code reaches one word only: give each word its own.', mark.at)
    if (mark.reach === 'phrase' && words === undefined)
      this.say('reach', 'error', 'This code reaches one word or phrase only: give each its own.', mark.at)
  }

  private unit(): Expr | undefined {
    const mark = this.marks[this.next]
    if (!mark) return undefined
    switch (mark.kind) {
      case 'text':
      case 'quote':
        this.next++
        return this.words(mark)
      case 'heading':
        this.next++
        return { kind: 'heading', label: mark.label, below: mark.below, main: mark.main, at: mark.at }
      case 'class':
        this.next++
        return { kind: 'class', code: mark.code, below: mark.below, at: mark.at }
      case 'line':
        this.next++
        return { kind: 'line', number: mark.number, at: mark.at }
      case 'lines':
        this.next++
        return this.lines(mark)
      case 'open':
        return this.inside(mark.at, this.profile.brackets.close)
      case 'wrap': {
        const of = this.inside(mark.at, mark.until)
        return of && { kind: 'fields', fields: [...mark.fields], of, at: of.at! }
      }
      case 'prefix': {
        if (this.depth >= DEEPEST) return this.tooDeep(mark.at)
        this.next++
        this.depth++
        const of = mark.reach === 'row' ? this.top() : mark.reach === 'run' ? this.beside() : this.unit()
        this.depth--
        if (!of) this.say('field-empty', 'error', 'A field needs something to look for.', mark.at)
        else this.reach(mark, of)
        return of && { kind: 'fields', fields: [...mark.fields], of, at: [mark.at[0], of.at![1]] }
      }
      default:
        return undefined
    }
  }

  private inside(at: Span, until: string): Expr | undefined {
    this.next++
    if (this.depth >= DEEPEST) return this.tooDeep(at)
    this.depth++
    const of = this.top()
    this.depth--
    const end = this.marks[this.next]
    if (end?.kind === 'close' && end.text === until) this.next++
    else this.say('bracket-open', 'error', `"${until}" is missing to close this.`, at)
    return of && { ...of, at: [at[0], end?.at[1] ?? of.at![1]] }
  }

  /** Brackets and codes inside one another deeper than any reader follows: that is named, and nothing behind it is read. */
  private tooDeep(at: Span): undefined {
    this.say('deep', 'error', `More than ${DEEPEST} levels of brackets: split the query over lines.`, at)
    this.next = this.marks.length
  }

  private words(mark: Placed & { kind: 'text' | 'quote' }): Expr | undefined {
    if (mark.kind === 'quote' && !mark.closed)
      this.say('quote-open', 'error', `This phrase is not closed: add ${this.profile.quotes.close}.`, mark.at)
    const words = maskedWords(mark.text)
    const [only] = words
    if (!only) {
      this.say('no-letter', 'error', 'A search word needs at least one letter or digit.', mark.at)
      return undefined
    }
    return words.length === 1 && mark.kind === 'text'
      ? readWord(only, mark.at)
      : { kind: 'phrase', words, ...typedAs(mark.text, words), at: mark.at }
  }

  private lines(mark: Placed & { kind: 'lines' }): Expr | undefined {
    const { mode, ranges, at } = mark
    if (ranges.length) return { kind: 'lines', mode, ranges, at }
    this.say('lines-item', 'error', 'Not every item of this list is a line.', at)
    return undefined
  }

  private say(code: string, severity: Problem['severity'], message: string, at: Span): void {
    if (this.problems.length < MOST_PROBLEMS) this.problems.push(problem(code, severity, message, at))
  }
}

const NEAR_JOINS = 'Nearness joins words, phrases, or groups of them joined by OR.'

function around(parts: readonly Expr[]): Span {
  return [parts[0]!.at![0], parts[parts.length - 1]!.at![1]]
}
