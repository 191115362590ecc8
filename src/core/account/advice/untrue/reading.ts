import { plural, thousands } from '../../../base'
import type { FactContext } from '../../facts'
import { passSums } from '../../facts/selection'
import { readAlike } from '../../sayings/who-read'
import { SAYINGS } from '../../sayings'
import { denies, isPlan, ofAll, type Matter } from './said'

const OF_TEXTS = /\bfull[- ]texts?\b|\bin full\b/i
const OF_TITLES = /\btitles?\b|\babstracts?\b|\bscreen|\brecords?\b/i
const READ =
  /\bread\b|\breaders?\b|\bscreen|\bassess|\bexamin|\bcheck|\bjudged\b|\breview(?:ed|ers?)\b|\bdouble/i
/** How many are said to have read each; undefined: it is not said. */
function readers(s: string): number | undefined {
  if (/\bthree (?:of us|people|readers|reviewers|persons)\b/i.test(s)) return 3
  const two =
    /\btwo (?:of us|people|readers|reviewers|persons|independent)\b|\bboth (?:of us|readers|reviewers)\b|\bdouble-|\bin duplicate\b|\b(?:read|screened|assessed|judged) twice\b|\ba second (?:reader|reviewer|person)\b/i
  return two.test(s) ? 2 : undefined
}

/** By how many each work of a pass was read: groups of works, told in short. */
function whoRead(pass: 'broad' | 'close', s: string, c: FactContext): string | undefined {
  const groups = readAlike(c, pass)
  const each = readers(s)
  const all = ofAll(s) || /\bthe full texts\b/i.test(s) || /\bfull texts were\b/i.test(s)
  // A sentence with numbers of works tells of parts.
  if (
    each === undefined ||
    !groups.length ||
    !all ||
    /\d|\bshared among\b|\bamong (?:two|three)\b/i.test(s) ||
    denies(s)
  )
    return undefined
  if (groups.every((g) => g.each === each)) return undefined
  const list = groups.map((g) => `${thousands(g.works)} by ${g.each === 0 ? 'nobody' : g.each}`)
  return `of ${pass === 'broad' ? 'titles and abstracts' : 'full texts'} that were read, ${list.join(' and ')}`
}

export const whoReadTitles: Matter = (s, c) =>
  OF_TEXTS.test(s) ||
  !/\btitles?\b|\babstracts?\b|\bscreen/i.test(s) ||
  !READ.test(s) ||
  /\bagreed\b/i.test(s)
    ? undefined
    : whoRead('broad', s, c)

export const whoReadTexts: Matter = (s, c) =>
  OF_TEXTS.test(s) && READ.test(s) && !isPlan(s) ? whoRead('close', s, c) : undefined

/** Whether all titles were read. */
export const howMuchRead: Matter = (s, { figures }) => {
  const { left, total } = figures.broad
  const begun = passSums(figures).screened > 0
  if (
    !begun ||
    !left ||
    OF_TEXTS.test(s) ||
    /\bplan/i.test(s) ||
    /\bsearch|\bof (?:them|these|those)\b|\bbrought|\bcame\b/i.test(s)
  )
    return undefined
  const record = `${thousands(left)} of ${plural(total, 'work')} ${left === 1 ? 'is' : 'are'} still to be read`
  const none =
    denies(s) && OF_TITLES.test(s) && /\bleft (?:to be read|unread)|\bunread\b|\bremains? to be read/i.test(s)
  if (none) return record
  const whole = /\b(?:all|every|whole|complete|finished|each)\b/i.test(s)
  const about = /\btitles?\b|\babstracts?\b|\bscreen/i.test(s)
  const done = /\bread\b|\bscreen|\bassessed\b|\bcheck/i.test(s)
  return whole && about && done && !denies(s) && !new RegExp(`of ${total}\\b`).test(s) ? record : undefined
}

/** In which order titles were shown. */
export const order: Matter = (s, c) => {
  const about =
    /\border\b|\brandom|\branked\b|\bnewest\b|\boldest\b|\bmost likely\b|\bas they came\b|\bsequence\b|\brelevance\b/i
  const works = /\bworks?\b|\brecords?\b|\btitles?\b|\bscreen/i
  if (!about.test(s) || !works.test(s) || /\bin order to\b|\bheld by the most\b/i.test(s) || isPlan(s))
    return undefined
  if (!passSums(c.figures).screened) return undefined
  const claimed = /\balphabet|\bfrom (?:the )?oldest|\boldest to\b/i.test(s)
    ? 'other'
    : /\brandom|\bchance\b/i.test(s)
      ? 'chance'
      : /\brelevan|\blikely\b|\branked\b|\bmodel\b/i.test(s)
        ? 'likely'
        : /\bnewest\b/i.test(s)
          ? 'year'
          : /\bas they came\b/i.test(s)
            ? 'source'
            : undefined
  if (!claimed) return undefined
  const { orders } = SAYINGS['titles-order'].finds.found(c, '')
  const said = {
    source: 'as they came',
    year: 'from the newest to the oldest',
    chance: 'by chance',
    likely: 'those most like the kept ones first',
  } as Record<string, string>
  const list = orders.map((o) => `${thousands(o.works)} ${said[o.order] ?? o.order}`).join(', ')
  const record = list ? `works were shown so: ${list}` : 'no order was chosen'
  if (!orders.some((o) => o.order === claimed))
    return orders.length || claimed !== 'source' ? record : undefined
  // One order alone is told of all.
  return orders.length > 1 && !/\d/.test(s) ? record : undefined
}
