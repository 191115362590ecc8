/** With what the search of one source was limited, and whether the plan has other limits. */
export interface LimitsBeyond {
  source: string
  /** Each as one of these: "years 2016 2026", "years 2016", "years up to 2026", "language English, German", "peer reviewed". */
  limits: string[]
  others: boolean
}

const SAID =
  /^(?:In (.+?) the search|The search in (.+?)) was (also )?limited to (.+?)(, which the plan does not have)?\.$/

const LIMITS: readonly (readonly [RegExp, (m: RegExpExecArray) => string])[] = [
  [/^work published from (\d+) to (\d+)$/, (m) => `years ${m[1]} ${m[2]}`],
  [/^work published in (\d+)$/, (m) => `years ${m[1]} ${m[1]}`],
  [/^work published from (\d+) on$/, (m) => `years ${m[1]}`],
  [/^work published up to (\d+)$/, (m) => `years up to ${m[1]}`],
  [
    /^work in (.+)$/,
    (m) =>
      `language ${m[1]!
        .split(/, | or /)
        .sort()
        .join(', ')}`,
  ],
  [/^peer-reviewed work$/, () => 'peer reviewed'],
]

export function limitsBeyond(sentence: string): LimitsBeyond | undefined {
  const m = SAID.exec(sentence)
  if (!m || (m[3] !== undefined) !== (m[5] !== undefined)) return undefined
  const limits = m[4]!.split(/, (?=work |peer-)| and (?=work |peer-)/).map((words) => {
    for (const [form, read] of LIMITS) {
      const found = form.exec(words)
      if (found) return read(found)
    }
    return words
  })
  return { source: (m[1] ?? m[2])!, limits, others: m[3] !== undefined }
}
