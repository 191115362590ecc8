/** A stretch of text, counted in UTF-16 units: start included, end not. */
export type Span = readonly [start: number, end: number]

export type Severity = 'error' | 'warning' | 'note'

/** A ready change that would remove a problem: put `text` in place of `span`. */
export interface Fix {
  label: string
  span: Span
  text: string
}

/**
 * Something wrong (or worth knowing) with what a person wrote or a file held.
 * `at` is a span of the text read, or a path into the value checked. `message` says what is wrong, where, and
 * what to do about it, in words meant for a reader.
 */
export interface Problem {
  code: string
  severity: Severity
  at?: Span | string
  message: string
  fix?: Fix
}

/** What a core function gives back: a value with remarks, or only the reasons why there is none. */
export type Result<T> = { ok: true; value: T; problems: Problem[] } | { ok: false; problems: Problem[] }

export function ok<T>(value: T, problems: Problem[] = []): Result<T> {
  return { ok: true, value, problems }
}

export function fail(...problems: Problem[]): { ok: false; problems: Problem[] } {
  return { ok: false, problems }
}

export function problem(
  code: string,
  severity: Severity,
  message: string,
  at?: Span | string,
  fix?: Fix,
): Problem {
  return { code, severity, message, ...(at === undefined ? {} : { at }), ...(fix ? { fix } : {}) }
}

export function hasErrors(problems: readonly Problem[]): boolean {
  return problems.some((p) => p.severity === 'error')
}

/** For the end of a switch over a union: does not compile while a case is missing. */
export function never(value: never): never {
  throw new Error(`Unhandled case: ${JSON.stringify(value)}`)
}
