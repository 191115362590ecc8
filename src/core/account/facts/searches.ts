import { listed, plural, pluralInWords, thousands } from '../../base'
import { standingRuns, type Line, type Run } from '../../review'
import { finalLine } from '../../strategy'
import { phrasesApart } from '../taken-apart'
import { correctedRuns } from '../sayings/counts-corrected'
import { cutWords } from '../cut-words'
import { joinOf } from '../joins'
import { currentRuns, joiningLine } from '../runs'
import { fieldsInWords } from '../searched-with'
import { finalRun, runWith, searchedIn } from '../standing'
import { dateWords, daysOf, searchedWords, someNamed, spellsOf, spellWords, workWords } from '../words'
import { linesWithoutNot } from '../not-sent'
import { limitsBeyond } from '../sayings/limits-beyond'
import { MISSING, nameOf, type Fact, type FactContext, type Reader } from './fact'

function hitsOf(
  c: FactContext,
  sourceId: string,
  line: Line | undefined,
): Omit<Fact, 'missing'> & { missing?: boolean } {
  const run = line && currentRuns(c.review, sourceId).get(line.id)
  const from = run
    ? `line ${run.number} of ${nameOf(c, sourceId)}, run on ${dateWords(run.at)}`
    : `a line of ${nameOf(c, sourceId)} that has not been run as it stands`
  return {
    text: run ? thousands(run.hits) : MISSING,
    missing: !run,
    stage: 'searches',
    anchor: line ? `line:${line.id}` : `source:${sourceId}`,
    from,
  }
}

/** "on 15 April 2026 (release of March 2026) and on 17 November 2026 (release of September 2026)". */
function searchedByRelease(runs: readonly Run[], words: (release: string) => string): string {
  const releases = [...new Set(runs.map((r) => r.release))]
  const parts = releases.map((release) => {
    const own = runs.filter((r) => r.release === release)
    const days = own.map((r) => r.at.slice(0, 10)).sort()
    return { first: days[0]!, text: `${searchedWords(days)} (${words(release)})` }
  })
  return listed(parts.sort((a, b) => (a.first < b.first ? -1 : 1)).map((p) => p.text))
}

/** Lines whose NOT was not sent, or only in part. */
const linesOf =
  (became: 'lost' | 'partly'): Reader =>
  (c, id) => {
    const lines = linesWithoutNot(c.review, id, became)
    return {
      text: lines.length ? `line${lines.length === 1 ? '' : 's'} ${listed(lines.map(String))}` : MISSING,
      missing: !lines.length,
      stage: 'searches',
      anchor: `source:${id}`,
      from: `what was sent to ${nameOf(c, id)}`,
    }
  }

/** Facts of the searches, as they were run. */
export const SEARCHES = {
  'databases.searched': (c) => {
    const n = c.figures.searched.length
    return {
      text: pluralInWords(n, 'database'),
      missing: !n,
      stage: 'searches',
      anchor: 'sources',
      from: 'the sources in which something was run',
    }
  },
  'join.text': (c, id) => {
    const join = joinOf(
      c.review.strategies[id] ?? [],
      c.review.concepts.map((k) => k.id),
    )
    return {
      text: join?.kind === 'other' ? join.text : MISSING,
      missing: join?.kind !== 'other',
      stage: 'searches',
      anchor: `source:${id}`,
      from: `the line of ${nameOf(c, id)} that joins the others`,
    }
  },
  'runs.corrected': (c) => {
    const n = correctedRuns(c)
    return {
      text: pluralInWords(n, 'run'),
      missing: !n,
      stage: 'searches',
      from: 'runs that stand in the place of others, which were logged wrongly',
    }
  },
  'words.cut': (c, id) => {
    const words = cutWords(c.review, id)
    return {
      text: someNamed(words) || MISSING,
      missing: !words.length,
      stage: 'searches',
      anchor: `source:${id}`,
      from: `what was sent to ${nameOf(c, id)}`,
    }
  },
  'phrases.apart': (c, id) => {
    const phrases = phrasesApart(c.review, id)
    return {
      text: someNamed(phrases) || MISSING,
      missing: !phrases.length,
      stage: 'searches',
      anchor: `source:${id}`,
      from: `what was sent to ${nameOf(c, id)}`,
    }
  },
  'lines.withoutNot': linesOf('lost'),
  'lines.partNot': linesOf('partly'),
  'limits.beyond': (c, id) => {
    const beyond = limitsBeyond(c.review).get(id) ?? []
    return {
      text: listed(beyond.map(workWords)) || MISSING,
      missing: !beyond.length,
      stage: 'searches',
      anchor: `source:${id}`,
      from: `the limits that hold for the last line of ${nameOf(c, id)}`,
    }
  },
  'hits.total': (c) => {
    const runs = searchedIn(c.review).map((s) => finalRun(c.review, s.id))
    const sum = runs.reduce((n, r) => n + (r?.hits ?? 0), 0)
    return {
      text: plural(sum, 'record'),
      missing: !runs.length || runs.some((r) => !r),
      stage: 'searches',
      from: 'the last line of each source, as it was run',
    }
  },
  'source.release': (c, id) => {
    const about = c.source(id)
    return {
      text: about?.release ?? MISSING,
      missing: !about,
      stage: 'searches',
      anchor: `source:${id}`,
      from: 'the release that was searched',
    }
  },
  'source.vocabulary': (c, id) => {
    const title = c.source(id)?.vocabularyTitle
    return {
      text: title ?? MISSING,
      missing: !title,
      stage: 'terms',
      anchor: `source:${id}`,
      from: 'the vocabulary of the source',
    }
  },
  'source.searched': (c, id) => {
    const runs = standingRuns(c.review.runs).filter((r) => r.sourceId === id)
    const about = c.source(id)
    const words = about?.releaseWords
      ? searchedByRelease(runs, about.releaseWords)
      : searchedWords(runs.map((r) => r.at.slice(0, 10)))
    return {
      text: words || MISSING,
      missing: !words,
      stage: 'searches',
      anchor: `source:${id}`,
      from: `the runs in ${nameOf(c, id)}`,
    }
  },
  'source.days': (c, id) => {
    const words = searchedWords(daysOf(c.review, id))
    return {
      text: words || MISSING,
      missing: !words,
      stage: 'searches',
      anchor: `source:${id}`,
      from: `the runs in ${nameOf(c, id)}`,
    }
  },
  'searched.spell': (c, of) => {
    const slash = of.indexOf('/')
    const n = Number(of.slice(0, slash))
    const spells = of
      .slice(slash + 1)
      .split('+')
      .flatMap((id) => spellsOf(daysOf(c.review, id))[n] ?? [])
    const first = spells.map((s) => s.first).sort()[0]
    const last = spells
      .map((s) => s.last)
      .sort()
      .at(-1)
    return {
      text: first && last ? spellWords({ first, last }) : MISSING,
      missing: !first,
      stage: 'searches',
      anchor: 'sources',
      from: 'the days on which lines were run',
    }
  },
  'words.fields': (c, id) => {
    const words = fieldsInWords(runWith(c, id), c.source(id)?.profile)
    return {
      text: words || MISSING,
      missing: !words,
      stage: 'searches',
      anchor: `source:${id}`,
      from: `the fields that the lines of ${nameOf(c, id)} name`,
    }
  },
  'words.leftOut': (c, id) => {
    const { leftOut } = runWith(c, id)
    return {
      text: listed(leftOut, 'or') || MISSING,
      missing: !leftOut.length,
      stage: 'searches',
      anchor: `source:${id}`,
      from: `what stands behind NOT in the lines of ${nameOf(c, id)}`,
    }
  },
  'hits.joined': (c, id) => hitsOf(c, id, joiningLine(c.review.strategies[id] ?? [])),
  'hits.line': (c, of) => {
    const [sourceId = '', lineId] = of.split('/')
    return hitsOf(
      c,
      sourceId,
      c.review.strategies[sourceId]?.find((l) => l.id === lineId),
    )
  },
  'line.day': (c, of) => {
    const [sourceId = '', lineId = ''] = of.split('/')
    const run = currentRuns(c.review, sourceId).get(lineId)
    return {
      text: run ? `on ${dateWords(run.at)}` : MISSING,
      missing: !run,
      stage: 'searches',
      anchor: `line:${lineId}`,
      from: `a line of ${nameOf(c, sourceId)}`,
    }
  },
  'hits.final': (c, id) => {
    const lines = c.review.strategies[id] ?? []
    return hitsOf(c, id, finalLine(lines))
  },
} satisfies Record<string, Reader>
