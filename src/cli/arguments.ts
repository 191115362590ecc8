/** The call itself was wrong; exit code 2. */
export class UsageError extends Error {}

export type Arguments = ReadonlyMap<string, readonly string[]>

/** What an option takes: a value, several values by repetition, or nothing. */
export type Options = Readonly<Record<string, 'value' | 'values' | 'flag'>>

/**
 * Reads `--name value`, `--name=value` and `--flag`; words without a name are files, where the command takes any, and stand
 * under the empty name. Throws a UsageError on anything else.
 */
export function parseArguments(words: readonly string[], options: Options, files = false): Arguments {
  const all: Options = { json: 'flag', ...options }
  const found = new Map<string, string[]>()
  for (let i = 0; i < words.length; i++) {
    const word = words[i]!
    if (files && !word.startsWith('--')) {
      found.set('', [...(found.get('') ?? []), word])
      continue
    }
    const match = /^--([a-z-]+)(?:=(.*))?$/s.exec(word)
    const name = match?.[1]
    if (!name || !Object.hasOwn(all, name))
      throw new UsageError(
        `"${word}" is not understood here. Options: ${Object.keys(all)
          .map((o) => `--${o}`)
          .join(', ')}.`,
      )
    const kind = all[name]
    if (kind === 'flag') {
      found.set(name, [])
      continue
    }
    const value = match[2] ?? words[++i]
    if (value === undefined) throw new UsageError(`--${name} needs a value behind it.`)
    if (kind === 'value' && found.has(name)) throw new UsageError(`--${name} is given twice.`)
    found.set(name, [...(found.get(name) ?? []), value])
  }
  return found
}

/** The one value of an option that must be there. */
export function required(args: Arguments, name: string): string {
  const value = args.get(name)?.[0]
  if (value === undefined) throw new UsageError(`--${name} is missing.`)
  return value
}
