import { problem, type Problem, type Span } from '../base'
import type { Form } from './forms'
import type { Profile } from './schema'
import { rulesOf, type Found, type SyntaxMark } from './syntax'

/** A mark with its place, and the form that it was recognised by; words, quotes and brackets have none. */
export type Placed = SyntaxMark & { at: Span; form?: Form | undefined }

/** The marks of a text; what is none is named in `problems` and passed over. */
export function marksOf(typed: string, profile: Profile, problems: Problem[]): Placed[] {
  const rules = rulesOf(profile)
  const text = straightened(typed, profile)
  const marks: Placed[] = []
  for (let i = 0; i < text.length;) {
    if (/\s/.test(text.charAt(i))) {
      i++
      continue
    }
    const found = first(rules, text, i)
    if (found && found.end > i && found.mark.kind === 'unknown') {
      problems.push(
        problem(
          'unknown-code',
          'error',
          `"${found.mark.text}" looks like a code that the description of ${profile.name} does not know: describe it, or take it out.`,
          [i, found.end],
        ),
      )
      i = found.end
    } else if (found && found.end > i) {
      marks.push({ ...found.mark, at: [i, found.end], form: found.form })
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
  return marks
}

/** Quotation marks as they come from word processors and pages, straight where the database's own are; none is moved. */
const straightened = (text: string, { quotes }: Profile): string => {
  const double = quotes.open === '"' && quotes.close === '"'
  return double ? text.replace(/[“”„‟]/g, '"') : text
}

function first(rules: ReturnType<typeof rulesOf>, text: string, i: number): Found | undefined {
  for (const rule of rules) {
    const found = rule(text, i)
    if (found) return found
  }
  return undefined
}
