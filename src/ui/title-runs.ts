/** A part of a title between its tags, with the styles that it is in; places are those of the whole text. */
export interface TitleRun {
  start: number
  end: number
  styles: readonly ('i' | 'b' | 'sup' | 'sub')[]
}

const TAG = /<(\/?)(i|b|sup|sub)>/g

/**
 * The parts of a title that has italics and the like as tags, as references set it: without the tags. Where a tag is opened
 * and not closed, or the other way round, all are letters like any others. One part for a title without tags.
 */
export function titleRuns(text: string): TitleRun[] {
  const whole: TitleRun[] = [{ start: 0, end: text.length, styles: [] }]
  if (!text.includes('<')) return whole
  const runs: TitleRun[] = []
  const open: TitleRun['styles'][number][] = []
  let at = 0
  const put = (end: number): void => {
    if (end > at) runs.push({ start: at, end, styles: [...open] })
  }
  for (const { 0: tag, 1: closes, 2: name, index } of text.matchAll(TAG)) {
    put(index)
    at = index + tag.length
    if (!closes) open.push(name as TitleRun['styles'][number])
    else if (open.pop() !== name) return whole
  }
  if (open.length) return whole
  put(text.length)
  return runs
}

/** A title without its tags, for where text is all that can stand. */
export const plainTitle = (text: string): string =>
  titleRuns(text)
    .map(({ start, end }) => text.slice(start, end))
    .join('')
