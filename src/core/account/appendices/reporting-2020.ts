import { isTold, SAYINGS } from '../sayings'
import { thousands } from '../../base'
import { waysGone } from '../sayings/ways'
import { departures } from '../protocol'
import { searchedIn } from '../standing'
import { toldInText } from '../told-in-text'
import { dateWords } from '../words'
import type { AppendixContext } from './context'
import { item, type ReportingItem } from './reporting-item'

/**
 * The items of PRISMA 2020 about searching and selecting (Page et al., BMJ 2021;372:n71; numbers and matters of the items
 * from memory, wording our own): those that a review of this kind can close with its record.
 */
export function reportingItems2020(c: AppendixContext): ReportingItem[] {
  const { review, figures } = c
  const told = toldInText(c)
  const { readers } = figures
  const searched = searchedIn(review)
  const criteria = review.criteria.filter((q) => q.text.trim())
  const ways = waysGone(c).length
  const plural = (n: number, one: string): string => `${thousands(n)} ${one}${n === 1 ? '' : 's'}`
  const included = isTold('texts-read', c) ? SAYINGS['texts-read'].finds.found(c, '') : undefined
  const [frozen, ...amended] = review.protocol ?? []
  const { registration } = review
  return [
    item(
      told,
      5,
      'by which criteria works were let in or set aside',
      criteria.length ? `${plural(criteria.length, 'question')} asked of each work` : undefined,
      'Appendix D',
      'question',
    ),
    item(
      told,
      6,
      'every place searched or person asked, with the last day',
      searched.length
        ? `${plural(searched.length, 'database')}${ways ? ` and ${plural(ways, 'other way')}` : ''}`
        : undefined,
      'Table 1',
      'searches',
    ),
    item(
      told,
      7,
      'full strategies with filters and limits',
      searched.length ? `of all ${plural(searched.length, 'database')}, line by line` : undefined,
      'Appendix B',
      'searches',
    ),
    item(
      told,
      8,
      'how works were chosen: how many read each, and whether apart',
      readers.broad.length
        ? `${plural(readers.broad.length, 'reader')} of titles and abstracts${readers.close.length ? `, ${thousands(readers.close.length)} of full texts` : ''}`
        : undefined,
      'third part',
      'selection',
      { tells: ['titles-who', 'titles-read', 'texts-who'] },
    ),
    item(
      told,
      '16a',
      'the way from records found to works included, best as a figure',
      figures.identified && readers.broad.length
        ? `${thousands(figures.identified)} records, as a flow`
        : undefined,
      'Appendix G',
      'selection',
    ),
    item(
      told,
      '16b',
      'works that seemed to fit and were set aside, with why',
      included?.out ? `${plural(included.out, 'work')}, each with its reason` : undefined,
      'Appendix E',
      'selection',
      undefined,
      included !== undefined && !included.out,
    ),
    item(
      told,
      17,
      'each work included, cited',
      included?.included ? `${plural(included.included, 'work')} in full` : undefined,
      'Appendix F',
      'selection',
    ),
    item(
      told,
      '24a',
      'where the review is registered, or that it is not',
      registration && `${registration.place}${registration.number ? ` (${registration.number})` : ''}`,
      'first part',
      'methods',
      { tells: ['protocol-frozen'] },
    ),
    item(
      told,
      '24b',
      'where the protocol can be read',
      frozen && `frozen on ${dateWords(frozen.at)}`,
      'first part',
      'methods',
      { tells: ['protocol-frozen'] },
    ),
    item(
      told,
      '24c',
      'what was amended of, or departs from, what was planned',
      frozen && `${plural(amended.length, 'amendment')}, ${plural(departures(c).length, 'departure')}`,
      'Appendix J',
      'methods',
    ),
  ]
}
