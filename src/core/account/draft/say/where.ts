import { listed } from '../../../base'
import type { Source } from '../../../review'
import type { GroupedOf } from '../grouped'
import { afterwards, are, because, commaBecause, database, were, type Say } from './speaker'

const names = (ids: readonly string[], word?: string): string => listed(ids.map(database), word)

/** The question, the sources, why and when they were searched, and the other ways. */
export const WHERE = {
  asked: () => ['The review asks: {question}'],
  searched: ({ sourceIds: ids, table }: GroupedOf<'searched'>, say: Say) => {
    if (ids.length === 1)
      return say(
        [`We searched one database, ${names(ids)} ({@table:sources}).`],
        [`One database was searched, ${names(ids)} ({@table:sources}).`],
      )
    // In the short form the table has their names.
    const where = ` ({@table:sources})${table ? `: ${names(ids)}` : ''}`
    return say(
      [`We searched {databases.searched}${where}.`, `In all, we searched {databases.searched}${where}.`],
      [
        `The search covered {databases.searched}${where}.`,
        `In all, {databases.searched} were searched${where}.`,
      ],
    )
  },
  'to search': ({ sourceIds: ids, besides }: GroupedOf<'to search'>, say: Say) => {
    if (besides)
      return say(
        [
          `We plan to search ${names(ids)} as well, which has not been done yet.`,
          `Still to be searched ${are(ids.length)} ${names(ids)}.`,
        ],
        [
          `Still to be searched ${are(ids.length)} ${names(ids)}.`,
          `${names(ids)} ${are(ids.length)} still to be searched.`,
        ],
      )
    return ids.length === 1
      ? say(
          [`We plan to search one database, ${names(ids)}.`],
          [`One database is to be searched, ${names(ids)}.`],
        )
      : say(
          [`We plan to search {databases}: ${names(ids)}.`],
          [
            `{^databases} are to be searched: ${names(ids)}.`,
            `The search is to cover {databases}: ${names(ids)}.`,
          ],
        )
  },
  together: ({ sourceId, platform }: GroupedOf<'together'>) => {
    const source = database(sourceId)
    const through = platform ? `, through {source.platform:${sourceId}}` : ''
    const others = `{source.together:${sourceId}}`
    return [
      `${source} was searched at once with ${others}${through}; its counts are of all of them.`,
      `Together with ${source}, one search reached ${others}${through}; the counts are of all of them.`,
    ]
  },
  indexed: ({ sourceIds: ids, of }: GroupedOf<'indexed'>) => {
    if (of === 1)
      return ['Its records are indexed with a thesaurus of its own.', 'It indexes records with a thesaurus.']
    if (ids.length === of)
      return [
        'All of them index their records with a thesaurus.',
        'Each indexes its records with a thesaurus of its own.',
      ]
    return ids.length === 1
      ? [
          `Of these, ${names(ids)} indexes its records with a thesaurus.`,
          `One of them, ${names(ids)}, indexes its records with a thesaurus.`,
        ]
      : [
          `{^databases.indexed} of them, ${names(ids)}, index their records with a thesaurus.`,
          `Of these, ${names(ids)} index their records with a thesaurus.`,
        ]
  },
  /** At most two reasons in a sentence; each begins with another name. */
  chosen: ({ reasons, only }: GroupedOf<'chosen'>, say: Say) => {
    const [single] = reasons
    if (only && single && because(single.what))
      return say(
        [`We chose it ${because(single.what)}.`, `It was chosen ${because(single.what)}.`],
        [`It was chosen ${because(single.what)}.`, `Chosen it was ${because(single.what)}.`],
      )
    const fitting = reasons.filter((r) => because(r.what))
    const own = reasons.filter((r) => !because(r.what))
    const verbs = ['chosen', 'taken', 'added', 'included']
    const passive = (list: typeof reasons, n: number): string => {
      const [one, two] = list
      const first = `${names(one!.sourceIds)} ${were(one!.sourceIds.length)} ${verbs[n % verbs.length]} ${because(one!.what)}`
      return two ? `${first}, and ${names(two.sourceIds)} ${because(two.what)}.` : `${first}.`
    }
    const pairs = Array.from({ length: Math.ceil(fitting.length / 2) }, (_, n) =>
      fitting.slice(2 * n, 2 * n + 2),
    )
    const [head, ...rest] = pairs
    const tail = [
      ...rest.map((p, n) => passive(p, n + 1)),
      ...own.map((r) => `${names(r.sourceIds)} ${were(r.sourceIds.length)} wanted too.${afterwards(r.what)}`),
    ]
    const all = (first: string[]): string => [...first, ...tail].join(' ')
    if (!head) return [all([])]
    const [one, two] = head
    const active = `We chose ${names(one!.sourceIds)} ${because(one!.what)}${two ? `, and ${names(two.sourceIds)} ${because(two.what)}` : ''}.`
    return say([all([active]), all([passive(head, 0)])], [all([passive(head, 0)])])
  },
  dated: ({ spells, all, revised, counted }: GroupedOf<'dated'>, say: Say) => {
    const total = spells.reduce((n, s) => n + s.sourceIds.length, 0)
    const when = (ids: readonly string[], list: readonly number[]): string => {
      const spell = (n: number): string => `{searched.spell:${n}/${ids.join('+')}}`
      return list
        .map((n, i) =>
          i
            ? `again${i === list.length - 1 && revised ? ', with revised strategies,' : ''} ${spell(n)}`
            : spell(n),
        )
        .join(' and ')
    }
    const count = counted ? '; the counts given here are those of the last search' : ''
    const [one, ...others] = spells
    const alone = one!.what.length === 1 && one!.what[0]! > 0
    const ids = one!.sourceIds
    const words = when(ids, one!.what)
    const more = others
      .map((o) => ` ${names(o.sourceIds)} ${were(o.sourceIds.length)} searched ${when(o.sourceIds, o.what)}.`)
      .join('')
    if (alone) {
      const what = revised ? ', with revised strategies,' : ''
      return say(
        [
          `We searched ${all ? (total === 1 ? 'it' : 'all of them') : names(ids)} again${what} ${words}${count}.`,
          `A further search was run${what} ${words}${all ? '' : ` in ${names(ids)}`}${count}.`,
        ],
        [
          `${all && total > 1 ? 'All' : names(ids)} ${were(all ? total : ids.length)} searched again${what} ${words}${count}.`,
          `A further search was run${what} ${words}${all ? '' : ` in ${names(ids)}`}${count}.`,
        ],
      )
    }
    const subject = all && total > 1 ? 'All' : total === 1 ? 'The search' : names(ids)
    const verb = total === 1 ? 'was run' : `${were(all ? total : ids.length)} searched`
    return [
      `${subject} ${verb} ${words}${count}.${more}`,
      `Searching took place ${words}${all ? '' : ` in ${names(ids)}`}${count}.${more}`,
    ]
  },
  'other way': ({ sourceId, kind, done, reason, nth, alone }: GroupedOf<'other way'>, say: Say) => {
    // Each of several begins in its own way.
    const turned = (ways: string[]): string[] => ways.map((_, n) => ways[(n + nth) % ways.length]!)
    const why = commaBecause(reason)
    const own = afterwards(reason)
    const source = database(sourceId)
    const verb = DEED[kind as Exclude<Source['kind'], 'database'>]
    if (!done)
      return say(
        [
          `We plan to ${verb.plan} ${source} as well${why}.${own}`,
          `Beyond that we plan to ${verb.plan} ${source}${why}.${own}`,
        ],
        [
          `Beyond that, it is planned that ${source} be ${verb.passive ?? verb.done}${why}.${own}`,
          `As yet only planned: that ${source} be ${verb.passive ?? verb.done}${why}.${own}`,
        ],
      )
    const asked = kind === 'people'
    const behind = `${source}${why}.${own}`
    if (alone && nth === 0)
      return say(
        [`We ${verb.done} ${behind}`],
        [asked ? `Questions went to ${behind}` : `Works were sought through ${behind}`],
      )
    return say(
      turned([
        `We also ${verb.done} ${behind}`,
        `${alone ? 'Further' : 'Beyond databases'} we ${verb.done} ${behind}`,
        `In addition, we ${verb.done} ${behind}`,
      ]),
      asked
        ? turned([
            `${alone ? 'Further' : 'Beyond databases'}, questions went to ${behind}`,
            `Questions went to ${behind}`,
            `In addition, questions went to ${behind}`,
          ])
        : turned([
            `${alone ? 'Further' : 'Beyond databases'}, works were sought through ${behind}`,
            `Works were also sought through ${behind}`,
            `In addition, works were sought through ${behind}`,
          ]),
    )
  },
  /** All other ways in one sentence, for the short form. */
  'other ways': ({ ways }: GroupedOf<'other ways'>, say: Say) => {
    const deeds = listed(
      ways.map((w) => `${DEED[w.kind as Exclude<Source['kind'], 'database'>].done} ${database(w.sourceId)}`),
    )
    const names_ = listed(ways.map((w) => database(w.sourceId)))
    return say(
      [`We also ${deeds}.`, `Beyond that we ${deeds}.`],
      [`Works were also sought through ${names_}.`, `Beyond that, works were sought through ${names_}.`],
    )
  },
  pages: ({ sourceId: id, count }: GroupedOf<'pages'>) => [
    `{^pages:${id}} there ${were(count)} noted, with who publishes, how it is dated, what it rests on and what it is for.`,
  ],
}

/** What is done with a source that is no database: people are asked, lists are read, websites are searched. */
const DEED: Record<Exclude<Source['kind'], 'database'>, { plan: string; done: string; passive?: string }> = {
  'reference lists': { plan: 'read', done: 'read' },
  'citing papers': { plan: 'follow', done: 'followed' },
  people: { plan: 'ask', done: 'asked' },
  web: { plan: 'search', done: 'searched' },
  catalogue: { plan: 'search', done: 'searched' },
  'own collection': { plan: 'go through', done: 'went through', passive: 'gone through' },
  'hand search': { plan: 'go through', done: 'went through', passive: 'gone through' },
  register: { plan: 'search', done: 'searched' },
}
