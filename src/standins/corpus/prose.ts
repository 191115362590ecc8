import { thousands } from '../../core/base'
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
  const where = study.settingSaid && !study.topic.sites ? random.pick(bank.WHERE[study.stage]) : ''
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
  const atSchool = SCHOOL_STAGES.has(study.stage) && !topic.sites
  const grouped = ['experiment', 'field trial', 'longitudinal'].includes(design)
  const calculated = design === 'modelling' || design === 'measurement'
  if (random.chance(0.75))
    add(
      random.chance(0.55)
        ? topic.background
        : bank.BACKGROUND.filter((b) => atSchool || !/Teachers|learner/.test(b)),
      random.chance(0.3) ? 2 : 1,
    )
  if (random.chance(0.82)) add(bank.AIM)
  add(bank.SAMPLE[design])
  if (random.chance(0.7) && !['review', 'interviews', 'survey', 'modelling'].includes(design))
    add(topic.methods)
  if (
    random.chance(0.25) &&
    SCHOOL_STAGES.has(study.stage) &&
    !topic.who &&
    ['field trial', 'longitudinal'].includes(design)
  )
    add(['[Mixed|Multilevel] models allowed for [classes and schools|the nesting of pupils in classes].'])
  const measured = design !== 'interviews' && design !== 'review'
  if (measured && random.chance(0.6)) {
    const compared = grouped
    add(
      [...bank.METHOD, ...(compared ? bank.METHOD_COMPARED : [])].filter(
        (m) => study.outcome.measure || !m.includes('{measure}'),
      ),
    )
  }
  const varied = design === 'field trial' || design === 'measurement' || design === 'observation'
  if (varied && study.good !== undefined && random.chance(0.75)) {
    const patterns = risesToGood(study.exposure) ? bank.LEVELS_RISE : bank.LEVELS
    add(patterns.filter((p) => design === 'field trial' || !p.startsWith('Mean')))
  }
  if (design === 'interviews') add(bank.RESULT_INTERVIEWS, 2)
  else if (design === 'review') add(bank.RESULT_REVIEW, 2)
  else if (calculated) {
    add(
      study.effect === 'none' ? bank.RESULT.none.filter((r) => r.includes('relation')) : bank.RESULT_MEASURED,
    )
    if (random.chance(0.6)) add(bank.SECOND_MEASURED)
  } else {
    const results = (study.outcome.unwanted ? bank.RESULT_UNWANTED : bank.RESULT)[study.effect]
    add(
      results
        .filter((r) => grouped || !/group|Gains|condition|moved/.test(r))
        .concat(grouped ? [] : [ASSOCIATION]),
    )
    if (random.chance(0.75))
      add(
        study.effect === 'none'
          ? bank.SECOND.filter((x) => !/difference|pattern|such|Effects|change/.test(x))
          : bank.SECOND,
      )
  }
  if (random.chance(0.6) && design !== 'review' && design !== 'interviews')
    add(topic.findings.filter((f) => study.effect === 'gain' || !SPEAKS_OF_CHANGE.test(f)))
  const meaning = study.exposure.levels && random.chance(0.5) ? bank.MEANING_OF_ROOMS : bank.MEANING
  if (random.chance(0.7)) add(meaning, random.chance(0.25) ? 2 : 1)
  return sentences.join(' ')
}

/** Verbs that agree with what is varied (.x) or the outcome (.y): "bear.x" becomes "bears" behind a singular. */
function agree(pattern: string, study: Study): string {
  return pattern.replace(/\b(\w+)\.([xy])\b/g, (_, verb: string, which: string) => {
    const { plural } = which === 'x' ? study.exposure : study.outcome
    const bare = verb.replace(/^matters$/, 'matter')
    return plural ? bare : bare === 'do' ? 'does' : `${bare}s`
  })
}

/** What studies without groups can say of any effect. */
const ASSOCIATION = 'The [association|relation] between {x} and {y} was {sized} (r = {d}).'

/** Findings that speak of a change do not go with a study that found none. */
const SPEAKS_OF_CHANGE =
  /rose|fell|gain|larg|improv|twice|lost|double|halved|corresponded|removed|stronger|better|rated/

const SCHOOL_STAGES = new Set<Study['stage']>(['preschool', 'primary', 'secondary', 'special'])

function slotsFor(study: Study, random: Random, where: string): Slots {
  const unsaid: Partial<Record<Study['stage'], string>> = {
    preschool: 'young children',
    primary: 'children',
    secondary: 'participants',
    special: 'children',
  }
  // First graders are six or seven: a grade is named only where the ages fit it.
  const fitting = bank.WHO[study.stage].filter(
    (w) =>
      !/grader/.test(w) ||
      (w.startsWith('third') ? study.ages[0] >= 8 && study.ages[1] <= 10 : study.ages[1] <= 8),
  )
  const usual = random.pick(fitting)
  const who = study.topic.who
    ? random.pick(study.topic.who)
    : study.settingSaid
      ? usual
      : (unsaid[study.stage] ?? usual)
  const [from, to] = study.ages
  const counted = `${numberWord(study.people)} ${who}`
  const ages = to > 12 ? `${from} to ${to}` : `${numberWord(from)} to ${numberWord(to)}`
  const ageSaid = random.chance(0.6) && study.stage !== 'none' && !study.topic.who && !/grader/.test(who)
  const aged = ageSaid ? `${counted} aged ${ages}` : counted
  const [sites, places] =
    study.topic.sites ??
    (study.stage === 'none'
      ? ['rooms', 'buildings']
      : study.stage === 'university'
        ? ['courses', 'universities']
        : ['classrooms', 'schools'])
  const adult = study.topic.who !== undefined || ['university', 'adults', 'none'].includes(study.stage)
  const control = random.int(0, bank.CONTROLS.length - 1)
  const control2 = bank.CONTROLS[(control + 2) % bank.CONTROLS.length]!
  const form = (name: string, item: Item): Slots => ({
    [name]: item.np,
    [`${name}.is`]: item.plural ? 'are' : 'is',
    [`${name}.was`]: item.plural ? 'were' : 'was',
    [`${name}.its`]: item.plural ? 'their' : 'its',
  })
  const value = (n: number | undefined): string =>
    n === undefined
      ? ''
      : `${thousands(n).replace('-', '−')} ${study.exposure.levels!.unit}`.replace(' %', '%')
  const design = random.pick(bank.DESIGN_WORDS[study.design])
  return {
    ...form('x', study.exposure),
    ...form('y', study.outcome),
    ...(study.also ? form('z', study.also) : {}),
    x0: study.exposure.np,
    'x.do': study.exposure.plural ? 'Do' : 'Does',
    sized: study.size < 0.25 ? 'small' : study.size < 0.5 ? random.pick(['modest', 'moderate']) : 'clear',
    people: aged,
    who,
    where,
    sites,
    places,
    sexes: adult ? 'Men and women' : 'Boys and girls',
    n: thousands(study.people),
    rooms: numberWord(study.rooms),
    schools: numberWord(study.schools),
    country: study.country,
    ages: `${from} to ${to}`,
    measure: study.outcome.measure ?? study.outcome.np,
    control: bank.CONTROLS[control]!,
    control2,
    'control2.was': bank.PLURAL_CONTROLS.has(control2) ? 'were' : 'was',
    others: adult ? 'other regions' : study.stage === 'preschool' ? 'older children' : 'younger children',
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
