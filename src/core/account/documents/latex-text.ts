const MARKS: Record<string, string> = {
  '\\': '\\textbackslash{}',
  '{': '\\{',
  '}': '\\}',
  $: '\\$',
  '&': '\\&',
  '#': '\\#',
  '%': '\\%',
  _: '\\_',
  '^': '\\textasciicircum{}',
  '~': '\\textasciitilde{}',
  '<': '\\textless{}',
  '>': '\\textgreater{}',
  '|': '\\textbar{}',
  '"': '\\textquotedbl{}',
}

/** Text as LaTeX has it; signs that mean something there stand for themselves. */
export const latexText = (text: string): string => text.replace(/[\\{}$&#%_^~<>|"]/g, (c) => MARKS[c]!)

/** Query text, which may be broken behind each sign of it and, where it is long, within: nothing of it is left out or added. */
export const latexQuery = (text: string): string =>
  text
    .split(/(\s+)/)
    .map((word) =>
      word.length > 20 && !/^\s/.test(word)
        ? [...word].map((c) => latexText(c)).join('\\allowbreak{}')
        : latexText(word),
    )
    .join('')
