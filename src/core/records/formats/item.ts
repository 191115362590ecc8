import type { Problem } from '../../base'
import type { Rec } from '../record'

/** What came of one record of a file. Without `record` it is broken: `problems` says why, and its text can be mended. */
export interface Item {
  /** Among the records of the file, broken ones counted, from 1. */
  position: number
  line: number
  record?: Rec
  /** As it stands in the file; kept where the record is broken. */
  text?: string
  problems: Problem[]
}

/** Whom a reader tells. */
export interface ReadsTo {
  item: (item: Item) => void
  /** What stands between records and belongs to none. */
  stray: (problem: Problem) => void
}

/**
 * Takes a text in pieces and gives it back record by record, in time that grows with the text and memory that grows with
 * its longest record. Never throws.
 */
export interface Reader {
  push: (text: string) => void
  end: () => void
}

/** Puts a problem to the line that it is of. */
export const atLine = (
  line: number,
  code: string,
  severity: Problem['severity'],
  message: string,
): Problem => ({
  code,
  severity,
  message: `Line ${line}: ${message}`,
  at: `line ${line}`,
})

/**
 * Takes a text in pieces and tells where its lines are in what is at hand of it, whatever ends them; the last without an
 * end comes with `end`.
 */
export class LineSpans {
  private rest = ''
  private count = 0
  private first = true

  constructor(private readonly each: (text: string, from: number, to: number, number: number) => void) {}

  push(text: string): void {
    let all = this.rest + text
    if (this.first && all) {
      this.first = false
      if (all.charCodeAt(0) === 0xfeff) all = all.slice(1)
    }
    let from = 0
    // Each is looked for again only behind where it was found: a file has one of them throughout, as a rule.
    let [lf, cr] = [all.indexOf('\n'), all.indexOf('\r')]
    for (;;) {
      if (lf >= 0 && lf < from) lf = all.indexOf('\n', from)
      if (cr >= 0 && cr < from) cr = all.indexOf('\r', from)
      if (cr >= 0 && (lf < 0 || cr < lf)) {
        // A carriage return at the very end may be half of a pair.
        if (cr === all.length - 1) break
        this.each(all, from, cr, ++this.count)
        from = cr + (all.charCodeAt(cr + 1) === 10 ? 2 : 1)
      } else if (lf >= 0) {
        this.each(all, from, lf, ++this.count)
        from = lf + 1
      } else break
    }
    this.rest = from ? all.slice(from) : all
  }

  end(): void {
    const last = this.rest.replace(/\r$/, '')
    if (this.rest) this.each(last, 0, last.length, ++this.count)
    this.rest = ''
  }
}

/** The same, each line as a text. */
export class Lines extends LineSpans {
  constructor(each: (line: string, number: number) => void) {
    super((text, from, to, number) => each(text.slice(from, to), number))
  }
}
