import { numberWord, write, type Slots } from './grammar'
import type { Random } from './random'
import * as bank from './sentences'
import type { Study } from './study'
import type { Item } from './topic'

export interface Prose {
  title: string
  abstract: string
}

/** Rising values are the better ones (signal-to-noise ratio, daylight factor). */
const risesToGood = (item: Item): boolean => !!item.levels && item.levels.good[0] > item.levels.bad[0]

/** Writes title and abstract of a study. `taken` holds the titles and abstracts already written, so none occurs twice. */
export function writeProse(study: Study, random: Random, taken: Set<string>): Prose {
  const where = study.settingSaid ? random.pick(bank.WHERE[study.stage]) : ''
  const slots = slotsFor(study, random, where)
  let title = ''
  for (let tries = 0; tries < 40; tries++) {
    const pattern = random.pick(bank.TITLE)
    if (pattern.includes('{z}') && !study.also) continue
    if (pattern.includes('{who}') && (study.design === 'review' || study.design === 'modelling')) continue
    if (study.stage !== 'none' && !study.settingSaid && pattern.includes('{who}')) continue
    title = titleCase(write(agree(pattern, study), slots, random))
    if (!taken.has(title) && title.length < 150) break
  }
  let abstract = ''
  for (let tries = 0; tries < 40; tries++) {
    abstract = writeAbstract(study, random, slotsFor(study, random, where))
    if (!taken.has(abstract)) break
  }
  taken.add(title)
  taken.add(abstract)
  return study.spelling === 'american'
    ? { title: american(title), abstract: american(abstract) }
    : { title, abstract }
}

function writeAbstract(study: Study, random: Random, slots: Slots): string {
  const sentences: string[] = []
  const used = new Set<string>()
  const add = (patterns: readonly string[], count = 1): void => {
    for (const pattern of random.some(patterns, patterns.length)) {
      if (count <= 0) return
      if (used.has(pattern) || (pattern.includes('{z}') && !study.also)) continue
      used.add(pattern)
      sentences.push(write(agree(pattern, study), slots, random))
      count--
    }
  }
  const { topic, design } = study
  if (random.chance(0.75))
    add(random.chance(0.55) ? topic.background : bank.BACKGROUND, random.chance(0.3) ? 2 : 1)
  if (random.chance(0.82)) add(bank.AIM)
  add(bank.SAMPLE[design])
  if (random.chance(0.7) && design !== 'review' && design !== 'interviews') add(topic.methods)
  const measured = design !== 'interviews' && design !== 'review'
  if (measured && random.chance(0.6))
    add(bank.METHOD.filter((m) => study.outcome.measure || !m.includes('{measure}')))
  const varied = design === 'field trial' || design === 'measurement' || design === 'observation'
  if (varied && study.good !== undefined && random.chance(0.75)) {
    const patterns = risesToGood(study.exposure) ? bank.LEVELS_RISE : bank.LEVELS
    add(patterns.filter((p) => design === 'field trial' || !p.startsWith('Mean')))
  }
  if (design === 'interviews') add(bank.RESULT_INTERVIEWS, 2)
  else if (design === 'review') add(bank.RESULT_REVIEW, 2)
  else {
    add(bank.RESULT[study.effect])
    if (random.chance(0.75)) add(bank.SECOND)
  }
  if (random.chance(0.6) && design !== 'review') add(topic.findings)
  if (random.chance(0.7)) add(bank.MEANING, random.chance(0.25) ? 2 : 1)
  return sentences.join(' ')
}

/** Verbs that agree with what is varied: "bear.x" becomes "bears" behind a singular. */
function agree(pattern: string, study: Study): string {
  return pattern.replace(/\b(\w+)\.x\b/g, (_, verb: string) => {
    if (study.exposure.plural) return verb.replace(/^matters$/, 'matter')
    return verb === 'do' ? 'does' : verb.endsWith('s') ? verb : `${verb}s`
  })
}

function slotsFor(study: Study, random: Random, where: string): Slots {
  const who =
    study.settingSaid || !/primary|elementary|secondary/.test(bank.WHO[study.stage].join())
      ? random.pick(bank.WHO[study.stage])
      : 'children'
  const [from, to] = study.ages
  const counted = `${capitalNumber(study.people)} ${who}`
  const aged =
    random.chance(0.6) && study.stage !== 'none'
      ? `${counted} aged ${numberWord(from)} to ${numberWord(to)}`
      : counted
  const form = (name: string, item: Item): Slots => ({
    [name]: item.np,
    [`${name}.is`]: item.plural ? 'are' : 'is',
    [`${name}.was`]: item.plural ? 'were' : 'was',
    [`${name}.has`]: item.plural ? 'have' : 'has',
  })
  const value = (n: number | undefined): string =>
    n === undefined ? '' : `${n.toLocaleString('en-GB')} ${study.exposure.levels!.unit}`.replace(' %', '%')
  const design = random.pick(bank.DESIGN_WORDS[study.design])
  return {
    ...form('x', study.exposure),
    ...form('y', study.outcome),
    ...(study.also ? form('z', study.also) : {}),
    x0: study.exposure.np,
    people: aged,
    who,
    where,
    n: String(study.people),
    rooms: capitalNumber(study.rooms),
    schools: numberWord(study.schools),
    country: study.country,
    ages: `${from} to ${to}`,
    measure: study.outcome.measure ?? study.outcome.np,
    control: random.pick(bank.CONTROLS),
    xm: study.exposure.measure ?? study.exposure.np,
    xgood: value(study.good),
    xbad: value(study.bad),
    d: study.size.toFixed(2),
    p: random.pick(['0.01', '0.02', '0.03', '0.004', '0.001']),
    p0: random.pick(['0.31', '0.44', '0.62', '0.27', '0.78']),
    lead: random.pick(study.topic.leads),
    design,
    Design: design.replace(/^./, (c) => c.toUpperCase()),
  }
}

const capitalNumber = (n: number): string => numberWord(n)

/** Behind a colon, a question mark or a full stop a title goes on with a capital. */
function titleCase(text: string): string {
  return text
    .replace(/([:?.] )(\p{Ll})/gu, (_, sign: string, c: string) => sign + c.toUpperCase())
    .replace(/\?([:.])/g, '?')
    .trim()
}

const AMERICAN: [RegExp, string][] = [
  [/\b([Bb])ehaviour/g, '$1ehavior'],
  [/\b([Cc])olour/g, '$1olor'],
  [/\b([Ff])avour/g, '$1avor'],
  [/\b([Aa])nalyse/g, '$1nalyze'],
  [/\b([Ss])ynthesise/g, '$1ynthesize'],
  [/\b([Rr])andomise/g, '$1andomize'],
  [/\b([Pp])ractised\b/g, '$1racticed'],
  [/\b([Mm])etres\b/g, '$1eters'],
  [/\b([Mm])odelled\b/g, '$1odeled'],
  [/\b([Pp])upils\b/g, '$1upils'],
  [/\b([Pp])rimary-school\b/g, '$1rimary-school'],
  [/\b([Ll])abour/g, '$1abor'],
  [/\b([Ee])nrolment/g, '$1nrollment'],
  [/\bper cent\b/g, 'percent'],
]

/** American spelling of what was written in British spelling. */
export function american(text: string): string {
  return AMERICAN.reduce((t, [from, to]) => t.replace(from, to), text)
}
