import { listed } from '../../base'
import { nameOfPerson, type TakenOver } from '../../review'
import { asTold } from '../as-run'
import { limitsBeyond } from '../sayings/limits-beyond'
import { takenOverIn } from '../sayings/as-sent'
import { reviewersOf, searchReviewed } from '../sayings/search-reviewed'
import { text } from '../document'
import { cell, type Block, type Cell } from '../documents/tree'
import { searchedIn, searchedUnknown } from '../standing'
import { toldInText } from '../told-in-text'
import { isTold, SAYINGS, type SayingName } from '../sayings'
import type { NotGone } from '../sayings/ways-not-gone'
import { daysOf, spellsOf } from '../words'
import { wasGone } from '../ways-gone'
import type { AppendixContext } from './context'
import { reportingItems2020 } from './reporting-2020'
import { item, type ReportingItem, type SaidBy } from './reporting-item'

/** By what it is told which limits there were. */
const LIMITS_TOLD: readonly SayingName[] = [
  'limits-kept',
  'limits-planned',
  'limits-dropped',
  'limit-in-some',
  'no-limit',
  'limits-beyond',
]

/**
 * The sixteen items of PRISMA-S (Rethlefsen et al., Systematic Reviews 2021;10:39; numbers and matters of the items from
 * memory, wording our own), each closed by what the record holds.
 */
export function reportingItems(c: AppendixContext): ReportingItem[] {
  const { review, figures } = c
  const told = toldInText(c)
  const searched = searchedIn(review)
  const unknown = searchedUnknown(review)
  const others = review.sources.filter((s) => s.kind !== 'database')
  const done = others.filter((s) => s.id in figures.brought || wasGone(review, s.id))
  const ways = (...kinds: string[]): string[] => done.filter((s) => kinds.includes(s.kind)).map((s) => s.name)
  /** Said where the ways of these kinds are told, and what came of them. */
  const notGone: readonly NotGone[] = isTold('ways-not-gone', c)
    ? SAYINGS['ways-not-gone'].finds.found(c, '').what
    : []
  const byWays = (not: readonly NotGone[], ...kinds: string[]): SaidBy => ({
    tells: ['way-gone', 'ways-at-once', 'way-followed', 'way-looked', 'way-people', 'pages-noted'],
    of: done.filter((s) => kinds.includes(s.kind)).map((s) => s.id),
    not: not.length && not.every((n) => notGone.includes(n)) ? ['ways-not-gone'] : [],
  })
  const names = (list: readonly string[]): string => list.join('; ')
  const platforms = searched.filter((s) => s.platform || c.source(s.id)?.releaseWords)
  const together = searched.flatMap((s) =>
    s.together?.trim() ? [`${s.name} with ${s.together.trim()}`] : [],
  )
  const registers = ways('register')
  const web = ways('web', 'catalogue')
  const cited = ways('reference lists', 'citing papers')
  const people = [
    ...new Set([...ways('people'), ...(review.contacts ?? []).filter((x) => x.asked).map((x) => x.who)]),
  ]
  const hand = ways('hand search', 'own collection')
  // What a line says and nobody ran closes nothing.
  const tookOver = takenOverIn(c)
  const taken = (what: TakenOver['what']): string[] => [
    ...new Set(tookOver.flatMap((t) => (t.what === what ? [t.name] : []))),
  ]
  const limited = review.limits.length > 0
  const beyond = limitsBeyond(review).size > 0
  const reasons = review.limits.every((l) => l.reason.trim())
  const again =
    figures.flow.rounds.length > 1 || searched.some((s) => spellsOf(daysOf(review, s.id)).length > 1)
  const reminded = searched.some((s) => s.reminder)
  const every = (list: readonly unknown[]): boolean => list.length > 0 && list.length === searched.length
  return [
    item(
      told,
      1,
      'each database by name, with its platform',
      searched.length
        ? `${names(searched.map((s) => s.name))}${every(platforms) ? '' : '; a platform is not noted for each'}`
        : undefined,
      'Table 1',
      'question',
    ),
    item(
      told,
      2,
      'databases searched at once on one platform',
      names(together) || undefined,
      'first part',
      'question',
      { tells: ['together'], not: notGone.includes('at once') ? ['ways-not-gone'] : [] },
      !together.length,
    ),
    item(
      told,
      3,
      'registers of studies',
      names(registers) || undefined,
      'first part',
      'question',
      byWays(['registers'], 'register'),
      !registers.length,
    ),
    item(
      told,
      4,
      'websites and other places looked through',
      names(web) || undefined,
      'first part',
      'selection',
      byWays(['websites'], 'web', 'catalogue'),
      !web.length,
    ),
    item(
      told,
      5,
      'references cited by, and works citing, what was kept',
      names(cited) || undefined,
      'first part',
      'selection',
      byWays(['references', 'citing'], 'reference lists', 'citing papers'),
      !cited.length,
    ),
    item(
      told,
      6,
      'people who were asked',
      names(people) || undefined,
      'first part',
      'selection',
      byWays(['people'], 'people'),
      !people.length,
    ),
    item(
      told,
      7,
      'any other way',
      names(hand) || undefined,
      'first part',
      'question',
      byWays([], 'hand search', 'own collection'),
      !hand.length,
    ),
    item(
      told,
      8,
      'every strategy in full, as it was run',
      searched.length
        ? `${searched.length - unknown.length} of ${searched.length} databases, line by line${unknown.length ? `; what ${listed(unknown.map((s) => s.name))} was asked is not known here` : ''}`
        : undefined,
      'Appendix B',
      'searches',
    ),
    item(
      told,
      9,
      'limits, with reasons, or that there were none',
      limited
        ? reasons
          ? 'each with its reason'
          : 'some without a reason'
        : beyond
          ? 'none planned; what was set all the same is told'
          : searched.length
            ? unknown.length
              ? 'none planned; of a search before the record it is told that they are not known'
              : 'none was set'
            : undefined,
      'second part',
      'question',
      {
        tells: limited || beyond ? LIMITS_TOLD : ['searches-without', 'searched-before'],
      },
    ),
    item(
      told,
      10,
      'filters that others published',
      names(taken('filter')) || undefined,
      'second part',
      'searches',
      { tells: ['taken-over'], not: ['searches-without', 'searched-before'] },
      !taken('filter').length,
    ),
    item(
      told,
      11,
      'earlier strategies that were taken over',
      names(taken('earlier strategy')) || undefined,
      'second part',
      'searches',
      { tells: ['taken-over'], not: ['searches-without', 'searched-before'] },
      !taken('earlier strategy').length,
    ),
    item(
      told,
      12,
      'how the search is kept up to date',
      again ? 'searched again' : reminded ? 'a date for it is set' : undefined,
      'first part',
      'searches',
      { tells: again ? ['searched-on', 'searched-again', 'update-brought'] : ['search-again'] },
    ),
    item(
      told,
      13,
      'the day of each search',
      searched.length ? 'the day of every run' : undefined,
      'Table 1',
      'searches',
    ),
    item(
      told,
      14,
      'whether the strategies were looked over by somebody',
      names(
        reviewersOf(c).map((reader) => {
          const { as } = searchReviewed.finds.found(c, reader)
          return `${nameOfPerson(review, reader)}${as ? ` (${as})` : ''}`
        }),
      ) || undefined,
      'second part',
      'methods',
      { tells: ['search-reviewed'], not: ['searches-without'] },
      true,
    ),
    item(
      told,
      15,
      'how many records each source gave',
      figures.identified ? `${figures.identified} records` : undefined,
      'Table 1',
      'records',
    ),
    item(
      told,
      16,
      'how duplicates were told apart',
      review.partition
        ? `by rules, version ${review.partition.rules}${figures.settledByHand ? `, and ${figures.settledByHand} pairs by hand` : ''}`
        : figures.identified
          ? 'by rules, version 0'
          : undefined,
      'third part',
      'records',
      { tells: ['duplicates'] },
    ),
  ]
}

/** The checklists that a review closes from its record. */
export const CHECKLISTS = [
  { id: 'prisma-s', name: 'PRISMA-S', items: (c: AppendixContext) => reportingItems(asTold(c)) },
  {
    id: 'prisma-2020',
    name: 'PRISMA 2020, searching and selecting',
    items: (c: AppendixContext) => reportingItems2020(asTold(c)),
  },
] as const
type ChecklistId = (typeof CHECKLISTS)[number]['id']

/** The key under which a person says why an item is not applicable. */
export const notApplicable = (checklist: ChecklistId, item: string): string => `${checklist}/${item}`

/** Does an item still ask for something: that it be done, or that the text say it? */
export const isOpen = (i: ReportingItem): boolean => !i.closed && (!i.notUsed || i.offered !== undefined)

/** Items that neither the text closes nor a person called not applicable. */
export const openItems = (c: AppendixContext): number =>
  CHECKLISTS.flatMap(({ id, items }) =>
    items(c).filter((i) => isOpen(i) && !c.review.leftAdvice?.[notApplicable(id, i.number)]),
  ).length

/** What there is of an item, in words: what closes it, or how far it is. */
export function itemWords({ evidence, closed, notUsed }: ReportingItem): string {
  if (evidence) return closed ? evidence : `${evidence}: in the record, not in the text`
  if (closed) return 'told as not done'
  return notUsed ? 'the record names none' : 'not reported'
}

/** H: the items as tables: what closes each, and where it stands. */
export const reportingAppendix = (c: AppendixContext): Block[] =>
  checklistTables(c).map(({ name, head, rows }) => ({
    kind: 'table',
    caption: [text(`Reporting items of ${name}, with what closes each`)],
    head,
    rows,
  }))

/** The checklists as tables; none where nothing was searched. */
export function checklistTables(
  c: AppendixContext,
): { id: ChecklistId; name: string; head: string[]; rows: Cell[][] }[] {
  if (!c.figures.searched.length) return []
  return CHECKLISTS.map(({ id, name, items }) => ({
    id,
    name,
    head: ['Item', 'About', 'What closes it', 'Where'],
    rows: items(c).map((i) => {
      const left = c.review.leftAdvice?.[notApplicable(id, i.number)]
      return [
        cell(i.number),
        cell(i.about),
        cell(left ? `not applicable, because ${left}` : itemWords(i)),
        cell(i.closed ? i.place : ''),
      ]
    }),
  }))
}
