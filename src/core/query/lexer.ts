import { problem, type Problem, type Span } from '../base'
import { unquoted } from './spelling'
import { FIELDS, type Field } from './tree'

/**
 * The marks of plain notation. A `text` token is a run of word characters and truncation signs; a `field` token is a
 * field list with its colon; a `near` token is NEAR/n or THEN/n; `lines` is `any(` or `all(` up to its bracket.
 */
export type Mark =
  | { kind: 'text'; at: Span; text: string }
  /** `text` is what stands between the quotes; `loose` has a tilde before them. */
  | { kind: 'quote'; at: Span; text: string; loose: boolean }
  | { kind: 'op'; at: Span; op: 'and' | 'or' | 'not' }
  | { kind: 'near'; at: Span; ordered: boolean; distance: number }
  | { kind: 'field'; at: Span; fields: Field[] }
  | { kind: 'heading'; at: Span; below: boolean; main: boolean }
  | { kind: 'class'; at: Span; below: boolean }
  | { kind: 'line'; at: Span; number: number }
  | { kind: 'lines'; at: Span; mode: 'any' | 'all'; inside: Span }
  | { kind: 'open'; at: Span }
  | { kind: 'close'; at: Span }

export const MOST_WORDS_BETWEEN = 999

const SPACE = /\s+/y
const NEARNESS = /(near|then)\/(\d+)(?![\p{L}\p{N}])/iuy
const BARE_NEARNESS = /(NEAR|THEN)(?![\p{L}\p{N}\p{M}*?:,./-])/uy
const LINES = /(any|all)\s{0,9}\(\s{0,9}(?=#)/iuy
// Bounded on purpose: at any place it reads only so far ahead, so that reading stays linear.
const PREFIX = /([a-z]{1,20}(?:\s{0,9},\s{0,9}[a-z]{1,20}){0,15})((?:\.[a-z]{1,20}){0,4})\s{0,9}:/iuy
const LINE = /#\s{0,9}(\d{1,9})/y
const TEXT = /[\p{L}\p{N}\p{M}*?]+(?:['’.\-–/&+][\p{L}\p{N}\p{M}*?]+)*/uy
const OPERATOR = /^(?:and|or|not)$/i
const QUOTES = /["“”„«»]/
const isField = (name: string): name is Field => (FIELDS as readonly string[]).includes(name)

/** Reads marks from left to right in one pass; what cannot be read is named in a problem and passed over. */
export function lex(text: string): { marks: Mark[]; problems: Problem[] } {
  const marks: Mark[] = []
  const problems: Problem[] = []
  let i = 0
  const match = (re: RegExp): RegExpExecArray | null => {
    re.lastIndex = i
    return re.exec(text)
  }
  while (i < text.length) {
    const space = match(SPACE)
    if (space) {
      i += space[0].length
      continue
    }
    const start = i
    const char = text.charAt(i)
    if (char === '(' || char === ')') {
      i++
      marks.push({ kind: char === '(' ? 'open' : 'close', at: [start, i] })
      continue
    }
    const loose = char === '~' && QUOTES.test(text.charAt(i + 1))
    if (loose || QUOTES.test(char)) {
      i = readQuote(text, start, loose, marks, problems)
      continue
    }
    const line = match(LINE)
    if (line) {
      i += line[0].length
      marks.push({ kind: 'line', at: [start, i], number: Number(line[1]) })
      continue
    }
    const lines = match(LINES)
    if (lines) {
      const close = text.indexOf(')', i)
      const end = close < 0 ? text.length : close
      if (close < 0)
        problems.push(
          problem('lines-open', 'error', 'This list of lines is not closed: add ")".', [start, end]),
        )
      marks.push({
        kind: 'lines',
        mode: lines[1]!.toLowerCase() as 'any' | 'all',
        at: [start, Math.min(end + 1, text.length)],
        inside: [i + lines[0].length, end],
      })
      i = Math.min(end + 1, text.length)
      continue
    }
    const nearness = match(NEARNESS)
    if (nearness) {
      i += nearness[0].length
      marks.push(nearMark(nearness, [start, i], problems))
      continue
    }
    const bare = match(BARE_NEARNESS)
    if (bare) {
      i += bare[0].length
      const fix = { label: `${bare[1]}/5`, span: [start, i] as Span, text: `${bare[1]}/5` }
      const message = `${bare[1]} needs to know how many words may stand between: write ${bare[1]}/5, say.`
      problems.push(problem('near-number', 'error', message, [start, i], fix))
      marks.push({ kind: 'near', at: [start, i], ordered: bare[1] === 'THEN', distance: 5 })
      continue
    }
    const prefix = match(PREFIX)
    if (prefix) {
      i += prefix[0].length
      const mark = prefixMark(prefix, [start, i], problems)
      if (mark) marks.push(mark)
      continue
    }
    const run = match(TEXT)
    if (run) {
      i += run[0].length
      const op = OPERATOR.test(run[0])
      marks.push(
        op
          ? { kind: 'op', at: [start, i], op: run[0].toLowerCase() as 'and' | 'or' | 'not' }
          : { kind: 'text', at: [start, i], text: run[0] },
      )
      continue
    }
    i += text.codePointAt(i)! > 0xffff ? 2 : 1
    const last = problems[problems.length - 1]
    if (last?.code === 'sign' && Array.isArray(last.at) && last.at[1] === start) {
      last.at = [last.at[0] as number, i]
      continue
    }
    problems.push(
      problem('sign', 'warning', `"${text.slice(start, i)}" means nothing here and is passed over.`, [
        start,
        i,
      ]),
    )
  }
  return { marks, problems }
}

function readQuote(text: string, start: number, loose: boolean, marks: Mark[], problems: Problem[]): number {
  const inside = start + (loose ? 2 : 1)
  let end = inside
  while (end < text.length && !QUOTES.test(text.charAt(end)))
    // A backslash guards the quotation mark or backslash behind it.
    end += text.charAt(end) === '\\' && /[\\"“”„«»]/.test(text.charAt(end + 1)) ? 2 : 1
  end = Math.min(end, text.length)
  if (end >= text.length)
    problems.push(
      problem(
        'quote-open',
        'error',
        'This phrase is not closed: add a second quotation mark.',
        [start, text.length],
        {
          label: 'Close the phrase',
          span: [text.length, text.length],
          text: '"',
        },
      ),
    )
  const after = Math.min(end + 1, text.length)
  marks.push({ kind: 'quote', at: [start, after], text: unquoted(text.slice(inside, end)), loose })
  return after
}

function nearMark(match: RegExpExecArray, at: Span, problems: Problem[]): Mark {
  const asked = Number(match[2])
  const name = match[1]!.toUpperCase()
  if (asked > MOST_WORDS_BETWEEN)
    problems.push(
      problem(
        'near-far',
        'error',
        `At most ${MOST_WORDS_BETWEEN} words may stand between; AND says the rest.`,
        at,
        {
          label: `${name}/${MOST_WORDS_BETWEEN}`,
          span: at,
          text: `${name}/${MOST_WORDS_BETWEEN}`,
        },
      ),
    )
  return { kind: 'near', at, ordered: name === 'THEN', distance: Math.min(asked, MOST_WORDS_BETWEEN) }
}

function prefixMark(match: RegExpExecArray, at: Span, problems: Problem[]): Mark | undefined {
  const names = match[1]!.split(',').map((n) => n.trim().toLowerCase())
  const options = match[2]!.toLowerCase().split('.').filter(Boolean)
  const [first] = names
  const allowed = first === 'heading' ? ['below', 'main'] : first === 'class' ? ['below'] : []
  const wrong = options.filter((o) => !allowed.includes(o))
  if (wrong.length)
    problems.push(
      problem(
        'field-option',
        'error',
        `"${first}" takes no ".${wrong[0]}"${offer(allowed.map((a) => `.${a}`))}.`,
        at,
      ),
    )
  if (names.length === 1 && first === 'heading')
    return { kind: 'heading', at, below: options.includes('below'), main: options.includes('main') }
  if (names.length === 1 && first === 'class') return { kind: 'class', at, below: options.includes('below') }
  const fields = [...new Set(names.filter(isField))]
  for (const name of names.filter((n) => !isField(n))) {
    const close = FIELDS.find((f) => f.startsWith(name.slice(0, 3)) || name.startsWith(f.slice(0, 4)))
    const fix = close ? { label: `${close}:`, span: at, text: `${close}:` } : undefined
    const message = `There is no field "${name}". The fields are ${FIELDS.join(', ')}, heading and class.`
    problems.push(problem('field-unknown', 'error', message, at, fix))
  }
  return fields.length ? { kind: 'field', at, fields } : undefined
}

const offer = (names: string[]): string => (names.length ? `; it takes ${names.join(' and ')}` : '')
