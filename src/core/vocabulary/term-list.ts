import { fail, foldLabel, ok, plural, problem, type Problem, type Result } from '../base'
import type { Heading, Vocabulary } from './heading'
import { printedRows, rowsOf, type Row, type Sign } from './printed-rows'
import { relate, type Link } from './relations'

/**
 * Reads a plain list of terms as thesauri are printed: a term at the margin, below it USE, UF, BT, NT, RT, SN (and CC
 * for a class code, HN or DI for when it came in), or the same written out; NT1, NT2 … show the tree below a heading. A list with no such signs
 * is read by its indents alone: what stands deeper is narrower. Relations are completed both ways; a heading that is
 * only spoken of is added; breaches are named by their lines. Fails only where there is no term.
 */
export function readTermList(
  text: string,
  about: { id: string; title: string; version: string },
): Result<Vocabulary> {
  const rows = rowsOf(text)
  if (!rows.some((r) => !r.sign))
    return fail(problem('no-terms', 'error', 'No term was found in this file, so there is no vocabulary.'))
  const list = new TermList(about.id)
  if (rows.some((r) => r.sign)) readSigned(printedRows(rows, list.problems), list)
  else readIndented(rows, list)
  const problems = list.finish()
  return ok({ ...about, headings: [...list.headings.values()] }, problems)
}

function readSigned(rows: readonly Row[], list: TermList): void {
  let term: string | undefined
  let tree: string[] = []
  for (const row of rows) {
    if (!row.sign) {
      term = row.text
      tree = []
      list.mention(term, row.number)
      continue
    }
    if (term === undefined) {
      list.say('list-stray', `Line ${row.number} stands under no term: it is left out.`, row.number)
      continue
    }
    // The top of a tree is told by what is broader already.
    if (row.sign === 'top') continue
    if (row.sign === 'use') list.use(term, row.text, row.number)
    else if (row.sign === 'narrower') {
      tree.length = Math.max(0, row.depth - 1)
      list.link(tree[tree.length - 1] ?? term, 'narrower', row.text, row.number)
      tree[row.depth - 1] = row.text
    } else list.tell(term, row.sign, row.text, row.number)
  }
}

function readIndented(rows: readonly Row[], list: TermList): void {
  const stack: Row[] = []
  for (const row of rows) {
    while (stack.length && stack[stack.length - 1]!.indent >= row.indent) stack.pop()
    list.mention(row.text, row.number)
    const parent = stack[stack.length - 1]
    if (parent) list.link(parent.text, 'narrower', row.text, row.number)
    stack.push(row)
  }
}

class TermList {
  readonly headings = new Map<string, Heading>()
  readonly problems: Problem[] = []
  private readonly links: { from: string; kind: Link['kind']; to: string; line: number }[] = []
  private readonly uses: { entry: string; heading: string; line: number }[] = []
  /** Terms that stand at the margin, by their folded names. */
  private readonly listed = new Map<string, { label: string; line: number }>()

  constructor(private readonly prefix: string) {}

  say(code: string, message: string, line: number): void {
    this.problems.push(problem(code, 'warning', message, `line ${line}`))
  }

  mention(label: string, line: number): void {
    const key = foldLabel(label)
    if (key) this.listed.set(key, this.listed.get(key) ?? { label, line })
    else this.say('list-empty', `Line ${line} holds no letter and no digit: it is left out.`, line)
  }

  link(from: string, kind: Link['kind'], to: string, line: number): void {
    if (foldLabel(from) && foldLabel(to)) this.links.push({ from, kind, to, line })
  }

  use(entry: string, heading: string, line: number): void {
    if (foldLabel(entry) && foldLabel(heading)) this.uses.push({ entry, heading, line })
  }

  tell(term: string, sign: Exclude<Sign, 'use' | 'narrower' | 'top'>, text: string, line: number): void {
    if (sign === 'broader' || sign === 'related') return this.link(term, sign, text, line)
    if (sign === 'entry term') return this.use(text, term, line)
    if (!foldLabel(term)) return
    const heading = this.heading(term)
    if (sign === 'scope note') heading.scopeNote = heading.scopeNote ? `${heading.scopeNote} ${text}` : text
    else if (sign === 'code') heading.code ??= text
    else {
      const year = Number(/\b(1[89]\d\d|20\d\d)\b/.exec(text)?.[1])
      if (year) heading.since ??= year
      else heading.scopeNote = heading.scopeNote ? `${heading.scopeNote} ${text}` : text
    }
  }

  private heading(label: string): Heading {
    const key = foldLabel(label)
    let heading = this.headings.get(key)
    if (!heading) {
      const id = `${this.prefix}/${key.replace(/ /g, '-')}`
      heading = { id, label, entryTerms: [], broader: [], narrower: [], related: [] }
      this.headings.set(key, heading)
    }
    return heading
  }

  /** Sorts out what is a heading and what only leads to one, then relates the headings. */
  finish(): Problem[] {
    const entries = new Map<string, string>()
    for (const { entry, heading, line } of this.uses) {
      const [from, to] = [foldLabel(entry), foldLabel(heading)]
      if (from === to) this.say('list-self', `Line ${line}: "${entry}" leads to itself.`, line)
      else if (!entries.has(from)) entries.set(from, to)
    }
    const related = new Set(this.links.flatMap((l) => [foldLabel(l.from), foldLabel(l.to)]))
    for (const [key, { line }] of this.listed) {
      if (!entries.has(key)) continue
      // A term with relations of its own is a heading, whatever another line says of it.
      if (!related.has(key)) this.listed.delete(key)
      else {
        entries.delete(key)
        this.say(
          'list-both',
          `Line ${line}: this term has relations of its own and also leads to another; it is kept as a heading.`,
          line,
        )
      }
    }
    this.makeHeadings(entries)
    const added = [...this.headings.keys()].filter((key) => !this.listed.has(key))
    if (added.length && this.listed.size)
      this.problems.push(
        problem(
          'list-unlisted',
          'warning',
          `${plural(added.length, 'heading is', 'headings are')} spoken of but not listed, and ${added.length === 1 ? 'was' : 'were'} added: ${added.slice(0, 8).join('; ')}${added.length > 8 ? ' …' : ''}.`,
        ),
      )
    const idOf = (label: string): string => this.headings.get(this.resolved(label, entries))!.id
    const byId = new Map([...this.headings.values()].map((h) => [h.id, h]))
    relate(
      byId,
      this.links.map((l) => ({ from: idOf(l.from), kind: l.kind, to: idOf(l.to) })),
      this.problems,
    )
    this.headings.clear()
    for (const [id, heading] of byId) this.headings.set(id, heading)
    return this.problems
  }

  /** The folded name of the heading that a term means: itself, or where USE leads, however long the way. */
  private resolved(label: string, entries: ReadonlyMap<string, string>): string {
    let key = foldLabel(label)
    const seen = new Set<string>()
    for (let next = entries.get(key); next !== undefined && !seen.has(key); next = entries.get(key)) {
      seen.add(key)
      key = next
    }
    return key
  }

  private makeHeadings(entries: ReadonlyMap<string, string>): void {
    const names = new Map<string, string>()
    for (const { entry, heading } of this.uses)
      names.set(foldLabel(heading), heading).set(foldLabel(entry), entry)
    for (const { from, to } of this.links) names.set(foldLabel(from), from).set(foldLabel(to), to)
    // In the order of the list first, then in order of mention.
    for (const { label } of this.listed.values()) this.heading(label)
    for (const { from, to } of this.links)
      for (const label of [from, to]) {
        const key = this.resolved(label, entries)
        this.heading(names.get(key) ?? key)
      }
    for (const { entry, line } of this.uses) {
      const key = foldLabel(entry)
      if (!entries.has(key)) continue
      const target = this.resolved(entry, entries)
      const heading = this.heading(names.get(target) ?? target)
      if (target === key) this.say('list-ring', `Line ${line}: "${entry}" leads back to itself by USE.`, line)
      else if (!heading.entryTerms.some((t) => foldLabel(t) === key)) heading.entryTerms.push(entry)
    }
  }
}
