import { problem, type Problem, type Span } from '../base'
import { DEEPEST, isNearOperand, maskedWords, readWord, tooDeep, type Expr, type Lines } from '../query'
import type { Profile } from './schema'
import { rulesOf, type Rule, type SyntaxMark } from './syntax'

export interface ReadTheirs {
  tree: Expr | undefined
  problems: Problem[]
}

type Placed = SyntaxMark & { at: Span }
const MOST_PROBLEMS = 100
const rulesKept = new WeakMap<Profile, Rule[]>()

/**
 * Reads text in a database's own syntax as that database understands it: words side by side, mixed operators, small
 * operators where only capitals count. The tree says in plain terms what the database will do. Never throws.
 */
export function readFrom(text: string, profile: Profile): ReadTheirs {
  let rules = rulesKept.get(profile)
  if (!rules) rulesKept.set(profile, (rules = rulesOf(profile)))
  const problems: Problem[] = []
  const marks: Placed[] = []
  for (let i = 0; i < text.length;) {
    if (/\s/.test(text.charAt(i))) {
      i++
      continue
    }
    const found = first(rules, text, i)
    if (found && found.end > i) {
      marks.push({ ...found.mark, at: [i, found.end] })
      i = found.end
    } else {
      const last = problems[problems.length - 1]
      if (last?.code === 'sign' && Array.isArray(last.at) && last.at[1] === i)
        last.at = [last.at[0] as number, i + 1]
      else
        problems.push(
          problem(
            'sign',
            'warning',
            `"${text.charAt(i)}" means nothing to ${profile.name} and is passed over.`,
            [i, i + 1],
          ),
        )
      i++
    }
  }
  const reader = new Reader(marks, profile, problems)
  const tree = reader.whole()
  const deep = tree && tooDeep(tree)
  if (deep) return { tree: undefined, problems: [...problems.slice(0, MOST_PROBLEMS - 1), deep] }
  return { tree, problems: problems.slice(0, MOST_PROBLEMS) }
}

function first(rules: readonly Rule[], text: string, i: number): ReturnType<Rule['at']> {
  for (const rule of rules) {
    const found = rule.at(text, i)
    if (found) return found
  }
  return undefined
}

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
      const part = this.level(this.profile.operators.binding.length - 1)
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

  /** The operators of one binding group, from left to right; a run of the same one is one flat node. */
  private level(group: number): Expr | undefined {
    if (group < 0) return this.beside()
    let left = this.level(group - 1)
    const ops = this.profile.operators.binding[group]!
    let flat: 'and' | 'or' | 'not' | undefined
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
      left =
        flat === op && left.kind === op
          ? { ...left, parts: [...left.parts, right], at: around([left, right]) }
          : { kind: op, parts: [left, right], at: around([left, right]) }
      flat = op
    }
    return left
  }

  /** Things that stand side by side with nothing between. */
  private beside(): Expr | undefined {
    const parts: { e: Expr; bare: boolean }[] = []
    for (let mark = this.marks[this.next]; mark && startsUnit.has(mark.kind); mark = this.marks[this.next]) {
      const bare = mark.kind === 'text'
      const e = this.near()
      if (e) parts.push({ e, bare: bare && (e.kind === 'word' || e.kind === 'phrase') })
      else if (this.marks[this.next] === mark) this.next++
    }
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
    for (let mark = this.marks[this.next]; mark?.kind === 'near'; mark = this.marks[this.next]) {
      this.next++
      const right = this.suffixed()
      if (!left || !right) {
        this.say('operand-missing', 'error', 'Nearness has nothing on one side.', mark.at)
        left = left ?? right
        continue
      }
      if (isNearOperand(left) && isNearOperand(right)) {
        left = {
          kind: 'near',
          ordered: mark.ordered,
          distance: mark.distance,
          left,
          right,
          at: around([left, right]),
        }
      } else {
        this.say(
          'near-operand',
          'error',
          'Nearness joins words, phrases, or groups of them joined by OR.',
          mark.at,
        )
        left = { kind: 'and', parts: [left, right], at: around([left, right]) }
      }
    }
    return left
  }

  private suffixed(): Expr | undefined {
    let e = this.unit()
    for (let mark = this.marks[this.next]; e && mark?.kind === 'suffix'; mark = this.marks[this.next]) {
      this.next++
      e = { kind: 'fields', fields: mark.fields, of: e, at: [e.at![0], mark.at[1]] }
    }
    return e
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
        return of && { kind: 'fields', fields: mark.fields, of, at: of.at! }
      }
      case 'prefix': {
        this.next++
        const of = this.unit()
        if (!of) this.say('field-empty', 'error', 'A field needs something to look for.', mark.at)
        return of && { kind: 'fields', fields: mark.fields, of, at: [mark.at[0], of.at![1]] }
      }
      default:
        return undefined
    }
  }

  private inside(at: Span, until: string): Expr | undefined {
    this.next++
    if (this.depth >= DEEPEST) {
      if (this.depth === DEEPEST)
        this.say('deep', 'error', `More than ${DEEPEST} levels of brackets: split the query over lines.`, at)
      this.next = this.marks.length
      return undefined
    }
    this.depth++
    const of = this.level(this.profile.operators.binding.length - 1)
    this.depth--
    const end = this.marks[this.next]
    if (end?.kind === 'close' && end.text === until) this.next++
    else this.say('bracket-open', 'error', `"${until}" is missing to close this.`, at)
    return of && { ...of, at: [at[0], end?.at[1] ?? of.at![1]] }
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
      : { kind: 'phrase', words, at: mark.at }
  }

  private lines(mark: Placed & { kind: 'lines' }): Expr | undefined {
    const { lines } = this.profile
    const [between = '-'] = /(?<=\{from\}).*(?=\{to\})/.exec(lines?.range ?? '') ?? []
    const number = (text: string): number => Number(/\d+/.exec(text)?.[0])
    const ranges: Lines['ranges'] = []
    for (const item of mark.list.split((lines?.separator ?? ',').trim() || /\s+/)) {
      const [from, to] = between ? item.split(between) : [item]
      const range = { from: number(from ?? ''), to: number(to ?? from ?? '') }
      if (range.from >= 1 && range.to >= range.from && range.to - range.from < 10_000) ranges.push(range)
      else this.say('lines-item', 'error', `"${item.trim()}" is no line.`, mark.at)
    }
    return ranges.length ? { kind: 'lines', mode: mark.mode, ranges, at: mark.at } : undefined
  }

  private say(code: string, severity: Problem['severity'], message: string, at: Span): void {
    if (this.problems.length < MOST_PROBLEMS) this.problems.push(problem(code, severity, message, at))
  }
}

function around(parts: readonly Expr[]): Span {
  return [parts[0]!.at![0], parts[parts.length - 1]!.at![1]]
}
