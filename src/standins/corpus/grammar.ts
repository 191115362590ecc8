import { thousands } from '../../core/base'
import type { Random } from './random'

/** Words that fill the slots of a pattern: `{name}`. */
export type Slots = Readonly<Record<string, string>>

/**
 * Writes one sentence from a pattern. `[a|b|c]` chooses (an empty choice is allowed, and choices nest), `{slot}` is
 * filled, and the first letter becomes a capital. Throws on a slot that nobody filled: that is a fault in the pattern.
 */
export function write(pattern: string, slots: Slots, random: Random): string {
  const chosen = choose(pattern, random)
  const filled = chosen.replace(/\{([\w.]+)\}/g, (_, name: string) => {
    const value = slots[name]
    if (value === undefined) throw new Error(`No words for {${name}} in "${pattern}"`)
    return value
  })
  return tidy(filled)
}

function choose(pattern: string, random: Random): string {
  let text = pattern
  // Innermost brackets first, so that choices may nest.
  for (let found = /\[([^[\]]*)\]/.exec(text); found; found = /\[([^[\]]*)\]/.exec(text)) {
    text =
      text.slice(0, found.index) +
      random.pick(found[1]!.split('|')) +
      text.slice(found.index + found[0].length)
  }
  return text
}

function tidy(text: string): string {
  const spaced = text
    .replace(/\s+/g, ' ')
    .replace(/ ([,.;:?])/g, '$1')
    .replace(
      /\b([Aa]) (?=[aeio](?!ne\b|nce\b)|8\b|11\b|18\b|8\d\b|eight|eleven|unaided|untreated|unexpected)/g,
      '$1n ',
    )
    .trim()
  return spaced.replace(/^(["“]?)(\p{Ll})/u, (_, quote: string, c: string) => quote + c.toUpperCase())
}

/** Whole numbers to twelve in words, as running text has them. */
export function numberWord(n: number): string {
  const words = 'no one two three four five six seven eight nine ten eleven twelve'.split(' ')
  return words[n] ?? thousands(n)
}
