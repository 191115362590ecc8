import { GUIDE, type GuidePage } from './pages'

/** So long is a line of a document at most. */
const WIDTH = 116

/** Words in lines of a document. */
function wrapped(words: string): string {
  const lines: string[] = []
  for (const word of words.split(' ')) {
    const last = lines.at(-1)
    if (last !== undefined && last.length + 1 + word.length <= WIDTH)
      lines[lines.length - 1] = `${last} ${word}`
    else lines.push(word)
  }
  return lines.join('\n')
}

/** A page of the guide as a document, with its picture and the way to the next one. */
export function guideText(page: GuidePage): string {
  const next = GUIDE[GUIDE.indexOf(page) + 1]
  return [
    `# ${page.title}`,
    wrapped(page.aim),
    `![${page.title}](../screenshots/${page.stage}.png)`,
    ...page.parts.flatMap((part) => [`## ${part.head}`, wrapped(part.words)]),
    ...(next ? [`Next: [${next.title}](${next.stage}.md)`] : []),
    '',
  ]
    .join('\n\n')
    .replace(/\n+$/, '\n')
}
