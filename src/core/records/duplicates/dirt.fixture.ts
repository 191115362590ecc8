import type { Rec } from '../record'
import { emptyRecord } from '../record'

/**
 * Lists in which it is known who is whose duplicate. The rules of dirt are written by hand from what databases do to
 * records; they share no code with what finds duplicates, nor with what makes the stand-ins.
 */
export interface Truth {
  records: { name: string; record: Rec }[]
  /** The work behind each record, by its name. */
  workOf: Map<string, number>
}

/** A small generator of chance of its own (mulberry32), so that the same seed gives the same lists. */
export function chance(seed: number) {
  let state = seed
  const next = (): number => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
  const below = (n: number): number => Math.floor(next() * n)
  return {
    next,
    below,
    pick: <T>(list: readonly T[]): T => list[below(list.length)]!,
    odds: (p: number) => next() < p,
  }
}

const THINGS =
  'absorbent ceilings,wall panels,seat spacing,corridor noise,ventilation hum,road traffic,talker distance,echo,floor covers,door seals,playground shouts,desk rows,loudspeakers,headsets,visual cues,rain on roofs,projector fans,double glazing,partition walls,music lessons'.split(
    ',',
  )
const EFFECTS =
  'word reading,story recall,vocabulary growth,sentence repetition,spelling,attention span,teacher voice strain,following directions,phoneme awareness,answering speed,homework accuracy,listening fatigue,classroom talk,oral retelling,letter naming,dictation errors'.split(
    ',',
  )
const PLACES =
  'first grade,rural schools,second-language classes,open-plan halls,special units,after-school clubs,large lecture rooms,kindergartens,village schools,music rooms'.split(
    ',',
  )
const SHAPES = [
  '{T} and {E} in {P}',
  '{E} under {T}: evidence from {P}',
  'Does {T} matter for {E}? A study in {P}',
  '{T}, {E} and the {P} pupil',
  'How {T} bears on {E}',
  'Listening through {T}: {E} in {P}',
  '{E} before and after {T}',
]
const FAMILIES =
  'Ångmark,Bøgelund,Çelikoba,Dürrwald,Ekström,Fabregón,Górnicka,Hällgren,Ibarrondo,Jürgensohn,Kowalik,Lindqvold,Müllner,Norregard,Østergren,Pavlenka,Quiroz,Rößler,Šimanek,Thorvall,Ullmark,Vázquera,Weißbach,Ytterdal,Žemlička,Brandhoff,Castellmar,Dornfeld,Elverum,Fjordsen'.split(
    ',',
  )
const GIVEN =
  'Anna,Bernd,Clara,David,Elena,Farid,Greta,Hugo,Ines,Jonas,Karin,Luis,Maja,Nils,Olga,Petra,Rafael,Sofia,Tomas,Ulla'.split(
    ',',
  )
const JOURNALS = [
  'Journal of Classroom Acoustics',
  'Sound and Schooling',
  'Review of Early Reading',
  'Educational Spaces',
  'International Journal of Listening Research',
  'Zeitschrift für Schulräume',
  'Speech in Rooms',
  'Annals of School Building',
]
const WORDS =
  'pupils heard sentences against recorded babble while their answers were timed and scored by two raters who did not know which room was treated the gain was small but held at the later visit teachers spoke less loudly and moved closer windows stayed shut in winter results differ between schools and call for care in planning'.split(
    ' ',
  )

export interface Base {
  title: string
  subtitle: string
  authors: { given: string; family: string }[]
  year: number
  journal: string
  volume: number
  issue: number
  page: number
  doi: string
  abstract: string
  type: string
}

const cap = (text: string): string => text.replace(/^./, (c) => c.toUpperCase())

export function baseOf(n: number, { pick, below }: ReturnType<typeof chance>): Base {
  const filled = pick(SHAPES)
    .replace('{T}', pick(THINGS))
    .replace('{E}', pick(EFFECTS))
    .replace('{P}', pick(PLACES))
  const [title = '', subtitle = ''] = filled.split(': ')
  const authors = Array.from({ length: 1 + below(5) }, () => ({ given: pick(GIVEN), family: pick(FAMILIES) }))
  return {
    title: cap(title),
    subtitle:
      subtitle ||
      (below(2)
        ? pick(['a field study', 'a controlled trial', 'two experiments', 'results of a survey'])
        : ''),
    authors,
    year: 1995 + below(31),
    journal: pick(JOURNALS),
    volume: 1 + below(40),
    issue: 1 + below(6),
    page: 1 + below(900),
    doi: `10.5555/dirt.${n}`,
    abstract: Array.from({ length: 60 }, () => pick(WORDS)).join(' '),
    type: 'journal article',
  }
}

/** A record without some of its fields. */
export const without = (r: Rec, ...keys: (keyof Rec)[]): Rec => {
  const copy = { ...r }
  for (const key of keys) delete copy[key]
  return copy
}

const whole = (b: Base): string => (b.subtitle ? `${b.title}: ${b.subtitle}` : b.title)
export const plain = (b: Base): Rec => ({
  ...emptyRecord('x', whole(b)),
  authors: b.authors.map((a) => `${a.family}, ${a.given}`),
  year: b.year,
  journal: b.journal,
  volume: String(b.volume),
  issue: String(b.issue),
  pages: `${b.page}–${b.page + 12}`,
  doi: b.doi,
  abstract: b.abstract,
  type: b.type,
})

type Dirt = (record: Rec, b: Base, c: ReturnType<typeof chance>) => void
const TRANSLITERATED: Record<string, string> = {
  ä: 'ae',
  ö: 'oe',
  ü: 'ue',
  ß: 'ss',
  Ä: 'Ae',
  Ö: 'Oe',
  Ü: 'Ue',
}
/** What a database does to its copy, one thing each. */
export const DIRT: Dirt[] = [
  (r, b) => {
    r.authors = b.authors.map((a) => `${a.family}, ${a.given[0]}.`)
  },
  (r, b) => {
    r.authors = b.authors.map((a) => `${a.given[0]} ${a.family}`)
  },
  (r) => {
    r.title = r.title.toUpperCase()
  },
  (r) => {
    r.title = r.title.replace(/(^|\s)(\p{Ll})/gu, (_, s: string, l: string) => s + l.toUpperCase())
  },
  (r) => {
    r.authors = r.authors.map((a) =>
      a.normalize('NFD').replace(/\p{M}/gu, '').replace(/ø/g, 'o').replace(/Ø/g, 'O'),
    )
  },
  (r) => {
    r.authors = r.authors.map((a) => a.replace(/[äöüßÄÖÜ]/g, (l) => TRANSLITERATED[l]!))
  },
  (r) => {
    const [first, ...rest] = r.title.split(' ')
    r.title = [`<i>${first}</i>`, ...rest].join(' ').replace(' and ', ' &amp; ').replace('&amp;', 'and')
  },
  (r) => {
    r.title = `{${r.title.replace(/ (\p{L}+)$/u, ' \\emph{$1}')}}`
  },
  (r) => {
    delete r.doi
  },
  (r) => {
    delete r.doi
  },
  (r, _, { odds }) => {
    r.year = r.year! + (odds(0.5) ? 1 : -1)
  },
  (r, b) => {
    r.title = b.title
  },
  (r) => {
    r.title = r.title.replace(': ', ' – ')
  },
  (r) => {
    r.journal = r
      .journal!.split(' ')
      .filter((w) => !['of', 'and', 'in', 'für'].includes(w))
      .map((w) => (w.length > 5 ? `${w.slice(0, 4)}.` : w))
      .join(' ')
  },
  (r, b) => {
    r.pages = String(b.page)
  },
  (r, b) => {
    r.pages = `pp. ${b.page}-${String(b.page + 12).slice(-2)}`
  },
  (r) => {
    delete r.abstract
  },
  (r) => {
    if (r.abstract) r.abstract = `${r.abstract.slice(0, 160)} …`
  },
  (r) => {
    delete r.issue
  },
  (r, _, { below }) => {
    const at = 3 + below(Math.max(1, r.title.length - 6))
    r.title = r.title.slice(0, at) + r.title.slice(at + 1)
  },
  (r) => {
    r.authors = r.authors.slice(0, 1)
  },
  (r) => {
    r.doi = r.doi && `https://doi.org/${r.doi.toUpperCase()}`
    if (r.doi === undefined) delete r.doi
  },
]

/** Works that look like another and are not: what a matcher must keep apart. */
export const LOOKALIKES: ((b: Base, c: ReturnType<typeof chance>) => Rec)[] = [
  // The conference paper that the article grew out of.
  (b, { below }) => ({
    ...plain({ ...b, year: b.year - 1, volume: 90 + below(9), page: 1 + below(300), doi: `${b.doi}.c` }),
    journal: 'Proceedings of the Meeting on Rooms for Learning',
    type: 'conference paper',
  }),
  (b) => ({
    ...plain({ ...b, page: b.page + 400, year: b.year + 1, doi: `${b.doi}.e` }),
    title: `Erratum: ${whole(b)}`,
    abstract: 'Table 2 was wrong.',
  }),
  (b) => ({
    ...plain({ ...b, page: b.page + 300, year: b.year + 2, doi: `${b.doi}.r` }),
    title: `Retraction: ${whole(b)}`,
    abstract: 'This article is retracted.',
  }),
  // The next part of a series, by the same people in the same volume.
  (b) => ({ ...plain({ ...b, page: b.page + 20, doi: `${b.doi}.2` }), title: `${b.title}. Part II` }),
  // A second study by the same people on nearly the same.
  (b, { pick, below }) => ({
    ...plain({
      ...b,
      year: b.year + 1,
      volume: b.volume + 1,
      page: 1 + below(800),
      doi: `${b.doi}.s`,
      abstract: Array.from({ length: 60 }, () => pick(WORDS)).join(' '),
    }),
    title: `${b.title} revisited: ${pick(['a second look', 'three years on', 'a replication'])}`,
  }),
]

/** So many works, each in one to four copies with dirt, with works beside them that only look alike. */
export function truthOf(works: number, seed: number): Truth {
  const c = chance(seed)
  const records: Truth['records'] = []
  const workOf = new Map<string, number>()
  let work = 0
  const put = (record: Rec, of: number): void => {
    const name = `t#${records.length + 1}`
    records.push({ name, record: { ...record, id: name } })
    workOf.set(name, of)
  }
  for (let n = 0; n < works; n++) {
    const base = baseOf(n, c)
    const own = work++
    for (let copies = c.pick([1, 2, 2, 3, 3, 4]); copies > 0; copies--) {
      const record = plain(base)
      for (let k = c.below(4); k > 0; k--) c.pick(DIRT)(record, base, c)
      put(record, own)
    }
    if (c.odds(0.18)) put(c.pick(LOOKALIKES)(base, c), work++)
  }
  // Editorials of every year, each another work under one title.
  for (let n = 0; n < works / 60; n++)
    put(
      {
        ...plain({
          ...baseOf(works + n, c),
          title: 'Editorial',
          subtitle: '',
          authors: [{ given: 'Anna', family: 'Ångmark' }],
          doi: `10.5555/ed.${n}`,
        }),
        ...(c.odds(0.5) ? { doi: undefined as never } : {}),
      },
      work++,
    )
  for (const r of records) if (r.record.doi === undefined) delete r.record.doi
  // No list comes sorted by what belongs together.
  for (let i = records.length - 1; i > 0; i--) {
    const j = c.below(i + 1)
    ;[records[i], records[j]] = [records[j]!, records[i]!]
  }
  return { records, workOf }
}
