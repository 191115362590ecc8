import { hasErrors, keptByText, problem, type Problem, type Span } from '../base'
import { lex, type Mark } from './lexer'
import { maskedWords, typedAs } from './mask'
import { print } from './print'
import { unquoted } from './spelling'
import { MOST_IN_RANGE, readWord, type Expr, type Lines } from './tree'

export interface Parsed {
  /** The part that was understood; undefined where there was nothing to understand. */
  readonly tree: Expr | undefined
  readonly problems: readonly Problem[]
}

/** Brackets and fields deeper than this are refused: no reader follows them, and no recursion may run away. */
export const DEEPEST = 120

/**
 * Reads plain notation. Never throws, takes linear time, and always returns a tree of what it understood together
 * with problems whose spans point into `text`. A problem of severity `error` means that the tree is not what was
 * written and must not be run. The empty text gives no tree and no problem. What was read of a text is kept: whoever asks
 * again is given the same tree, which nobody changes.
 */
export function parse(text: string): Parsed {
  return kept(text)
}
// The lines of a review are read again by every screen, sentence and check: after each deed, all of them.
const kept = keptByText(read, { most: 500, longest: 10_000 })

function read(text: string): Parsed {
  const { marks, problems } = lex(text)
  const parser = new Parser(text, marks, problems)
  const tree = parser.whole()
  problems.sort((a, b) => startOf(a) - startOf(b))
  return { tree, problems: problems.length > MOST_PROBLEMS ? firstProblems(problems) : problems }
}

/** The tree of a text that is read without error; undefined where any part of it is not understood. */
export function parseSound(text: string): Expr | undefined {
  const { tree, problems } = parse(text)
  return hasErrors(problems) ? undefined : tree
}

/** Nobody reads more problems than this in one query; the rest are counted. */
const MOST_PROBLEMS = 200

function firstProblems(problems: Problem[]): Problem[] {
  const rest = problems.slice(MOST_PROBLEMS)
  const severity = rest.some((p) => p.severity === 'error') ? 'error' : 'warning'
  const message = `${rest.length} more places like these; mend the first ones and look again.`
  return [...problems.slice(0, MOST_PROBLEMS), problem('more', severity, message, rest[0]!.at)]
}

const startOf = (p: Problem): number => (Array.isArray(p.at) ? (p.at[0] as number) : 0)

type Level = { used: Set<string>; start: number }

class Parser {
  private next = 0
  private depth = 0
  private tooDeep = false
  private level: Level = { used: new Set(), start: 0 }
  private readonly partner: Int32Array

  constructor(
    private readonly text: string,
    private readonly marks: Mark[],
    private readonly problems: Problem[],
  ) {
    this.partner = matchBrackets(marks)
  }

  /** The whole text: one level, then whatever closing brackets are left over. */
  whole(): Expr | undefined {
    const parts: Expr[] = []
    while (this.next < this.marks.length) {
      const part = this.group()
      if (part) parts.push(part)
      const mark = this.marks[this.next]
      if (mark?.kind === 'close') {
        this.say(
          'bracket-close',
          'error',
          'This bracket closes nothing: take it out, or add "(" before it.',
          mark.at,
          {
            label: 'Take it out',
            span: mark.at,
            text: '',
          },
        )
        this.next++
      }
    }
    return parts.length > 1 ? { kind: 'and', parts, at: around(parts) } : parts[0]
  }

  /** One level between brackets, with the warning on mixed operators. */
  private group(): Expr | undefined {
    const outer = this.level
    this.level = { used: new Set(), start: this.marks[this.next]?.at[0] ?? this.text.length }
    const tree = this.anyOf()
    if (tree && this.level.used.size > 1) {
      const span: Span = [this.level.start, this.marks[this.next - 1]?.at[1] ?? this.text.length]
      const used = [...this.level.used].map((u) => u.toUpperCase()).join(', ')
      this.say(
        'mixed',
        'warning',
        `${used} stand side by side without brackets. Databases read such a line differently; brackets say what is meant.`,
        span,
        { label: 'Add the brackets', span, text: print(tree) },
      )
    }
    this.level = outer
    return tree
  }

  private anyOf(): Expr | undefined {
    return this.chain('or', () => this.allOf())
  }

  /** AND, also where two things stand side by side with nothing between. */
  private allOf(): Expr | undefined {
    const parts: Expr[] = []
    const first = this.minus()
    if (first) parts.push(first)
    for (;;) {
      const mark = this.marks[this.next]
      if (!mark || mark.kind === 'close' || (mark.kind === 'op' && mark.op === 'or')) break
      if (mark.kind === 'op' && mark.op === 'and') {
        this.level.used.add('and')
        this.next++
        if (!parts.length) this.missing('AND', 'before', mark.at)
        const part = this.minus()
        if (part) parts.push(part)
        else this.missing('AND', 'behind', mark.at)
      } else {
        const before = this.marks[this.next - 1]
        const part = this.minus()
        if (!part) continue
        if (parts.length) {
          this.level.used.add('and')
          this.sideBySide(before?.at ?? mark.at, mark.at)
        }
        parts.push(part)
      }
    }
    return parts.length > 1 ? { kind: 'and', parts, at: around(parts) } : parts[0]
  }

  private minus(): Expr | undefined {
    return this.chain('not', () => this.nearby())
  }

  /** `x op y op z`, flat. A missing side is named and left out. */
  private chain(op: 'or' | 'not', operand: () => Expr | undefined): Expr | undefined {
    const parts: Expr[] = []
    const first = operand()
    if (first) parts.push(first)
    let mark = this.marks[this.next]
    while (mark?.kind === 'op' && mark.op === op) {
      this.level.used.add(op)
      this.next++
      const name = op.toUpperCase()
      if (!parts.length) this.missing(name, 'before', mark.at)
      const part = operand()
      if (!part) this.missing(name, 'behind', mark.at)
      // "NOT a" alone takes away from nothing; what follows must not pass for what is wanted.
      else if (parts.length || op === 'or') parts.push(part)
      mark = this.marks[this.next]
    }
    return parts.length > 1 ? { kind: op, parts, at: around(parts) } : parts[0]
  }

  private nearby(): Expr | undefined {
    let left = this.unit()
    let mark = this.marks[this.next]
    // A chain is an error, named once for each link; its parts are added to, so that no chain runs deep.
    let chained: Expr[] | undefined
    while (mark?.kind === 'near') {
      this.level.used.add(mark.ordered ? 'then' : 'near')
      this.next++
      const name = mark.ordered ? 'THEN' : 'NEAR'
      const right = this.unit()
      if (!left) this.missing(name, 'before', mark.at)
      if (!right) this.missing(name, 'behind', mark.at)
      if (left && right) {
        const wrong: Expr | undefined = chained ? left : [left, right].find((e) => !isNearOperand(e))
        const at = around([left, right])
        if (wrong) {
          this.say(
            'near-operand',
            'error',
            `${name} joins words, phrases, or groups of them joined by OR. Write what stands here as two parts joined by AND.`,
            wrong.at ?? at,
          )
          if (chained) {
            chained.push(right)
            left.at = at
          } else left = { kind: 'and', parts: (chained = [left, right]), at }
        } else {
          left = { kind: 'near', ordered: mark.ordered, distance: mark.distance, left, right, at }
        }
      } else left = left ?? right
      mark = this.marks[this.next]
    }
    return left
  }

  private unit(): Expr | undefined {
    const mark = this.marks[this.next]
    if (!mark) return undefined
    switch (mark.kind) {
      case 'text':
        this.next++
        return this.words(mark.text, mark.at)
      case 'quote':
        this.next++
        return this.words(mark.text, mark.at, mark)
      case 'line':
        this.next++
        if (mark.number < 1) this.say('line-zero', 'error', 'Lines are numbered from 1.', mark.at)
        return { kind: 'line', number: mark.number, at: mark.at }
      case 'lines':
        this.next++
        return this.lines(mark)
      case 'open':
        return this.bracket(mark.at)
      case 'field':
        return this.inside(mark.at, () => {
          this.next++
          const of = this.unit()
          if (of) return { kind: 'fields', fields: mark.fields, of, at: [mark.at[0], of.at![1]] }
          this.say('field-empty', 'error', 'A field needs something to look for behind its colon.', mark.at)
          return undefined
        })
      case 'heading':
      case 'class':
        return this.inside(mark.at, () => {
          this.next++
          return this.named(mark)
        })
      case 'op':
      case 'near':
      case 'close':
        return undefined
    }
  }

  private bracket(at: Span): Expr | undefined {
    const opening = this.next
    const partner = this.partner[opening]!
    if (partner < 0)
      this.say('bracket-open', 'error', 'This bracket is not closed: add ")".', at, {
        label: 'Close it at the end',
        span: [this.text.length, this.text.length],
        text: ')',
      })
    return this.inside(at, () => {
      this.next++
      const of = this.group()
      const end = this.marks[this.next]
      if (end?.kind === 'close') this.next++
      if (!of)
        this.say('bracket-empty', 'warning', 'There is nothing in these brackets.', [
          at[0],
          end?.at[1] ?? at[1],
        ])
      return of && { ...of, at: [at[0], end?.at[1] ?? of.at![1]] }
    })
  }

  /** Runs `read` one level deeper; past the deepest level the whole bracket is named once and passed over. */
  private inside(at: Span, read: () => Expr | undefined): Expr | undefined {
    if (this.depth >= DEEPEST) {
      if (!this.tooDeep)
        this.say('deep', 'error', `More than ${DEEPEST} levels of brackets: split the query over lines.`, at)
      this.tooDeep = true
      const partner = this.partner[this.next] ?? -1
      const open = this.marks[this.next]?.kind === 'open'
      this.next = open ? (partner < 0 ? this.marks.length : partner + 1) : this.next + 1
      return undefined
    }
    this.depth++
    const tree = read()
    this.depth--
    return tree
  }

  private words(text: string, at: Span, quote?: { loose: boolean }): Expr | undefined {
    const words = maskedWords(text)
    const [only] = words
    if (!only) {
      this.say('no-letter', 'error', 'A search word needs at least one letter or digit.', at)
      return undefined
    }
    if (words.length === 1 && !quote) return readWord(only, at)
    return { kind: 'phrase', words, ...(quote?.loose ? { loose: true } : typedAs(text, words)), at }
  }

  /** What stands behind `heading:` or `class:`: one name, or several in brackets joined by OR. */
  private named(prefix: Mark & { kind: 'heading' | 'class' }): Expr | undefined {
    const make = (name: string, at: Span): Expr =>
      prefix.kind === 'heading'
        ? { kind: 'heading', label: name, below: prefix.below, main: prefix.main, at }
        : { kind: 'class', code: name, below: prefix.below, at }
    const mark = this.marks[this.next]
    if (mark?.kind === 'quote' || mark?.kind === 'text') {
      this.next++
      const name = mark.text.trim()
      if (name) return make(name, [prefix.at[0], mark.at[1]])
    }
    if (mark?.kind === 'open') {
      const of = this.bracket(mark.at)
      const parts = of?.kind === 'or' ? of.parts : of ? [of] : []
      const names = parts.map((p) => (p.kind === 'word' || p.kind === 'phrase' ? this.source(p) : undefined))
      if (names.length && names.every((n) => n !== undefined)) {
        const made = names.map((n, i) => make(n, parts[i]!.at!))
        return made.length > 1 ? { kind: 'or', parts: made, at: [prefix.at[0], of!.at![1]] } : made[0]
      }
    }
    this.say(
      'name-missing',
      'error',
      `"${prefix.kind}:" needs a name in quotation marks behind it.`,
      prefix.at,
    )
    return undefined
  }

  private source(e: Expr): string {
    const [start, end] = e.at!
    const raw = this.text.slice(start, end).replace(/^[(\s]+|[)\s]+$/g, '')
    return /^["“”„«»]/.test(raw) ? unquoted(raw.slice(1).replace(/["“”„«»]$/, '')).trim() : raw
  }

  private lines(mark: Mark & { kind: 'lines' }): Expr | undefined {
    const ranges: Lines['ranges'] = []
    const inner = this.text.slice(mark.inside[0], mark.inside[1])
    let offset = mark.inside[0]
    for (const item of inner.split(',')) {
      const at: Span = [offset, offset + item.length]
      offset += item.length + 1
      const found = /^\s*#?\s*(\d+)\s*(?:[-–]\s*#?\s*(\d+)\s*)?$/.exec(item)
      const from = Number(found?.[1])
      const to = Number(found?.[2] ?? found?.[1])
      if (!found) this.say('lines-item', 'error', `"${item.trim()}" is no line: write #3 or #1-#3.`, at)
      else if (from < 1 || to < from || to - from > MOST_IN_RANGE)
        this.say('lines-range', 'error', 'A range goes from a lower line to a higher one: #1-#3.', at)
      else ranges.push({ from, to })
    }
    if (!ranges.length) return undefined
    return { kind: 'lines', mode: mark.mode, ranges, at: mark.at }
  }

  private sideBySide(before: Span, behind: Span): void {
    this.say(
      'side-by-side',
      'warning',
      'Nothing joins these two. Databases read that as AND or as a phrase; Luvren reads AND.',
      [before[0], behind[1]],
      { label: 'Write AND', span: [before[1], behind[0]], text: ' AND ' },
    )
  }

  private missing(name: string, where: 'before' | 'behind', at: Span): void {
    this.say('operand-missing', 'error', `${name} has nothing ${where} it to work on.`, at)
  }

  private say(...args: [string, Problem['severity'], string, Span, Problem['fix']?]): void {
    this.problems.push(problem(...args))
  }
}

/** What may stand beside NEAR and THEN: words, phrases, and OR groups of them. */
export function isNearOperand(e: Expr): boolean {
  return e.kind === 'word' || e.kind === 'phrase' || (e.kind === 'or' && e.parts.every(isNearOperand))
}

function around(parts: Expr[]): Span {
  return [parts[0]!.at![0], parts[parts.length - 1]!.at![1]]
}

/** For each opening bracket the index of the mark that closes it, else −1. */
function matchBrackets(marks: Mark[]): Int32Array {
  const partner = new Int32Array(marks.length).fill(-1)
  const open: number[] = []
  marks.forEach((mark, i) => {
    if (mark.kind === 'open') open.push(i)
    else if (mark.kind === 'close') {
      const from = open.pop()
      if (from !== undefined) partner[from] = i
    }
  })
  return partner
}
