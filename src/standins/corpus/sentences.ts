import type { Design, Stage } from './topic'

/**
 * Sentence patterns by section. Slots: {x} what is varied, {y} the outcome, {z} a second outcome, each with {x.is},
 * {x.was}, {x.has}, {x.s} for agreement; {people} the sample with its number, {who} the sample without; {where} the
 * setting (empty where authors leave it unsaid); {n}, {rooms}, {schools}, {country}, {ages}, {measure}, {xgood},
 * {xbad}, {d}, {p}.
 */
export const BACKGROUND: readonly string[] = [
  '{x} {x.is} often [named|mentioned|blamed] when {y} {y.is} discussed, but [seldom|rarely] measured.',
  'Little is known about how {x} bear.x on {y} {where}.',
  'That {x} [matters.x|play.x a part] for {y} is widely [held|assumed]; the evidence is [thin|mixed|older than most buildings].',
  'Earlier studies of {x} [have mostly been done in laboratories|drew on small samples].',
  '[Policy|Practice] has moved faster than research on {x}.',
  'Findings on {x} and {y} [do not agree|point in different directions].',
  'Teachers [report|say] that {x} [make.x a difference|count.x]; whether {y} bear.y this out has not been [tested|shown].',
  'Research on {y} has [long|mostly] looked at the learner and [left the surroundings aside|paid little heed to conditions].',
  'Two [earlier|recent] reviews [called for|asked for] studies of {x} under everyday conditions.',
  'There is [growing|renewed] interest in {x}.',
]

export const AIM: readonly string[] = [
  'This study [asked|examined|tested] whether {x} [affect.x|change.x|bear.x on] {y} {where}.',
  'We [asked|wanted to know] how {x} {x.is} related to {y} {where}.',
  'The aim was to [estimate|measure|describe] the effect of {x} on {y} {where}.',
  'We wanted to see whether {x} [make.x a difference to|change.x] {y} {where}.',
  'The [present study|paper] [looks at|takes up] {x} and {y} {where}.',
  'How far {y} depend.y on {x} {where} was the question of this study.',
  'We set out to [replicate|extend] an earlier finding on {x} and {y}.',
  'This paper reports [what happened to {y} when {x} {x.was} changed|a study of {x} and {y}] {where}.',
]

export const SAMPLE: Record<Design, readonly string[]> = {
  experiment: [
    '{people} [took part|were tested one by one] [in a quiet room|in sessions of half an hour].',
    'In a within-subject design {people} [completed|worked through] {measure} under [two|three|four] conditions.',
    '{people} were [tested|seen] twice, a week apart.',
    '{people} served as their own controls[, the order of conditions being balanced|].',
  ],
  'field trial': [
    '{rooms} {sites} in {schools} {places} [took part|were matched in pairs]; {people} were tested before and after.',
    '{schools} {places} in {country} were assigned [by lot|at random] to the change or to waiting; {people} took part.',
    'Over one [school year|term], {people} in {rooms} {sites} were followed, half of them with the change and half without.',
    '{people} from {schools} {places} were assessed [at the start and the end of the year|three times].',
  ],
  survey: [
    '{people} in {country} [answered|completed] a questionnaire.',
    'A survey reached {people} in {schools} [districts|regions] of {country}; [about half|sixty per cent|two in three] replied.',
    '[Paper|Online] questionnaires were [filled in|returned] by {people}.',
  ],
  observation: [
    '{rooms} {sites} in {schools} {places} were observed for [three|four|six] [days|mornings] each; {people} were present.',
    '{rooms} {sites} were [recorded|watched] over [two|three] weeks, with {people} taking part.',
    '{people} were observed on [ordinary|regular] working days.',
  ],
  longitudinal: [
    '{people} in {country} were followed for [two|three|four] years.',
    'Three waves of data from {people} were [analysed|used].',
    '{people} were assessed [each autumn|at the beginning and end of each year] over [two|three] years.',
  ],
  interviews: [
    '{people} were interviewed [individually|in small groups] in {schools} {places}.',
    'Interviews with {people} in {country} were recorded, transcribed and [coded|sorted by theme].',
    '[Eight|Six|Ten] focus groups brought together {people}.',
  ],
  review: [
    '[Four|Five|Six] databases were searched; {n} studies met the criteria.',
    'After screening, {n} studies [published up to the year before last|from fourteen countries] were [included|kept].',
    '{n} studies with {y} as an outcome were [coded|synthesised].',
  ],
  modelling: [
    'A model of {rooms} {sites} was [calibrated against|compared with] measurements.',
    '{n} variants of a standard [room|building] were [simulated|calculated].',
  ],
  measurement: [
    '{rooms} {sites} in {schools} {places} were measured [at rest and in use|over one winter|over two weeks].',
    'Measurements were made in {rooms} {sites} in {country}[, a third of them more than forty years old|].',
    'Loggers in {rooms} {sites} recorded [conditions|values] for [four|six|ten] weeks.',
  ],
}

export const METHOD: readonly string[] = [
  '{y} {y.was} [assessed|measured] with {measure}.',
  '{measure} served as the [main outcome|outcome measure].',
  'Age, [gender|sex] and {control} were [controlled for|taken into account].',
  'The analysis plan was [registered|fixed] beforehand.',
  'Outcome and conditions were recorded on the same [day|morning].',
]

/** What only studies with two groups or two times say. */
export const METHOD_COMPARED: readonly string[] = [
  'Assessors did not know [which group was which|the condition].',
  'Attrition was [low|below one in ten].',
]

export const LEVELS: readonly string[] = [
  'On average {xm} was {xbad} in the [worse|poorer] {sites} and {xgood} in the [better|best] ones.',
  'Mean {xm} [fell|went down] from {xbad} to {xgood}.',
  '{sites} ranged from {xgood} to {xbad} in {xm}.',
]
export const LEVELS_RISE: readonly string[] = [
  'On average {xm} was {xgood} in the [better|best] {sites} and {xbad} in the [worse|poorer] ones.',
  'Mean {xm} [rose|went up] from {xbad} to {xgood}.',
  '{sites} ranged from {xbad} to {xgood} in {xm}.',
]

/** Results where {x} is a change made (a treatment) or a condition compared; good and bad are about {y}. */
export const RESULT: Record<'gain' | 'none' | 'loss', readonly string[]> = {
  gain: [
    'With better conditions {y} [improved|{y.was} better|rose] (d = {d}).',
    'There was a {sized} difference in {y} in favour of the [changed|better] condition (d = {d}, p = {p}).',
    'The groups differed in {y} by {d} standard deviations.',
    '{y} [changed|differed] between conditions in the expected direction (p = {p}).',
    'The relation between {x} and {y} was {sized} (r = {d}).',
    'Gains in {y} were [larger|greater] in the group [with the change|under better conditions] than in the comparison group.',
    'An advantage of {d} standard deviations in {y} [remained|was left] after adjustment.',
  ],
  none: [
    'No difference in {y} was found (d = {d}, p = {p0}).',
    '{y} did not differ between [groups|conditions].',
    'The [relation|association] between {x} and {y} was [close to zero|not reliable] (r = {d}).',
    'Contrary to expectation, {x} [make.x no difference to|do.x not explain] {y}.',
    'Both groups gained in {y}, and by the same amount.',
    'Scores moved by less than the error of measurement.',
  ],
  loss: [
    'Under the changed condition {y} [fell|{y.was} poorer] (d = −{d}).',
    'The comparison group did better in {y} (d = {d}, p = {p}).',
    'Against expectation, {y} [declined|{y.was} poorer] under the changed condition (d = −{d}).',
  ],
}

/** The same where less of {y} is better. */
export const RESULT_UNWANTED: Record<'gain' | 'none' | 'loss', readonly string[]> = {
  gain: [
    'With better conditions {y} [fell|{y.was} lower] (d = {d}).',
    'There was [clearly|somewhat|a little] less {y} in the [changed|better] condition (d = {d}, p = {p}).',
    '{y} {y.was} [lower|rarer] in the group with the change (p = {p}).',
    'A reduction in {y} of {d} standard deviations [remained|was left] after adjustment.',
  ],
  none: [
    '{y} did not differ between [groups|conditions] (p = {p0}).',
    'No change in {y} was found (d = {d}, p = {p0}).',
    'The [relation|association] between {x} and {y} was [close to zero|not reliable] (r = {d}).',
  ],
  loss: [
    'Against expectation, {y} [rose|{y.was} higher] under the changed condition (d = {d}).',
    '{y} {y.was} higher under the changed condition (d = {d}, p = {p}).',
  ],
}

export const RESULT_INTERVIEWS: readonly string[] = [
  'Three themes [emerged|were found]: [habit|space], [control|time] and [fairness|noise].',
  '{x} {x.was} described as [a daily matter|something one gets used to|a matter of luck].',
  'Most [speakers|participants] linked {x} with {y}, though few had [ever raised it|spoken of it to the school].',
  'Accounts differed more between schools than between persons.',
]

export const RESULT_REVIEW: readonly string[] = [
  'The pooled effect on {y} was {d} [with wide variation between studies|and smaller in studies of better quality].',
  'Most studies were small and [few|only a handful] [measured {x} directly|reported conditions].',
  'Evidence on {y} was [weak|moderate], on longer-term effects [missing|very weak].',
]

export const SECOND: readonly string[] = [
  '{z} [showed the same pattern|followed the same pattern|changed little].',
  'No such difference was [seen|found] for {z}.',
  'Effects on {z} were [smaller|weaker] and [not reliable|confined to the younger group].',
  'The difference was [larger|greater] among [younger participants|those with low scores at the start].',
  '{sexes} did not differ.',
  'At follow-up [six months|one year] later [about half|little] of the difference was left.',
  '[Individual|Person-to-person] differences were [large|considerable].',
  'Results held when {control2} {control2.was} [added to the model|taken into account].',
  'One site showed no [change|effect] at all.',
]

/** What calculations and measurements alone can show. */
export const RESULT_MEASURED: readonly string[] = [
  'The relation between {x} and {y} was {sized} (r = {d}).',
  '{x} explained [a small part|about a tenth|less than was expected] of the differences in {y}.',
  'Values differed more between {places} than within them.',
  'Between the worst and the best tenth of the {sites}, {y} differed by {d} standard deviations.',
]
export const SECOND_MEASURED: readonly string[] = [
  'Results held when [age of the building|size|season] was [added to the model|taken into account].',
  'Differences within one day were larger than those between [days|seasons].',
  'Two of the {sites} fell outside the pattern.',
  '{z} followed the same pattern.',
]

export const MEANING: readonly string[] = [
  'The findings [speak for|support] [attending to|taking up] {x} [in everyday practice|more widely|where it can be done at little cost].',
  'We [discuss|consider] what this means for [teachers and planners|schools|practice].',
  'Effects of this size are [worth having|small, but so are the costs].',
  'Whether the [result|effect] lasts [remains open|should be followed up].',
  'The study has limits: [the sample was small|groups were not drawn at random|only one region was covered].',
  '[Practitioners|Those in charge] [should not expect|cannot count on] {x} alone to change {y}.',
  'Further work should [include|look at] [{others}|longer periods|more than one region].',
  'Taken together, the results [suggest|indicate] that {x} and {y} are linked [less closely than is often said|by way of attention|under everyday conditions].',
  '{x} {x.is} only one of several conditions that [matter|count].',
]

/** What only studies of measured surroundings conclude. */
export const MEANING_OF_ROOMS: readonly string[] = [
  'The findings [speak for|support] measuring {xm} [before spending on other things|when buildings are planned].',
  '[Guidelines|Standards] should [say how {xm} is to be checked in use|name the age group they are meant for].',
  '[Planners|Schools] [should not expect|cannot count on] better values of {xm} alone to change {y}.',
]

export const TITLE: readonly string[] = [
  '{lead}: {x} and {y} {where}',
  '{x} and {y} {where}: {design}',
  '{lead}: {x}, {y} and {z}',
  'Effects of {x} on {y} {where}',
  '{lead}: {design} on {x}',
  '{x.do} {x0} change {y}? {Design} {where}',
  '{y} {where}: the part of {x}',
  '{x} {where} and {x.its} relation to {y}',
  '{y} and {x}: {design} with {n} {who}',
  '{lead}. {x} and {y} {where}',
]

export const DESIGN_WORDS: Record<Design, readonly string[]> = {
  experiment: ['an experiment', 'a controlled experiment', 'a laboratory study', 'two experiments'],
  'field trial': [
    'a field trial',
    'a cluster-randomised trial',
    'a trial in schools',
    'a before-and-after study',
  ],
  survey: ['a survey', 'results of a questionnaire', 'a national survey'],
  observation: ['an observational study', 'observations in class', 'a study in ordinary lessons'],
  longitudinal: ['a longitudinal study', 'a three-year study', 'a follow-up study'],
  interviews: ['an interview study', 'voices from schools', 'a qualitative study'],
  review: ['a systematic review', 'a review of studies', 'what the studies say'],
  modelling: ['a model study', 'a simulation study'],
  measurement: ['measurements in use', 'a measurement campaign', 'a field study'],
}

export const WHO: Record<Stage, readonly string[]> = {
  preschool: ['preschool children', 'kindergarten children', 'young children'],
  primary: [
    'pupils',
    'primary-school pupils',
    'children',
    'first and second graders',
    'third graders',
    'elementary school children',
  ],
  secondary: ['secondary-school pupils', 'adolescents', 'pupils'],
  university: ['undergraduates', 'university students', 'students'],
  special: ['pupils with hearing loss', 'children with hearing loss', 'pupils with special needs'],
  adults: ['adults', 'adult learners', 'employees'],
  none: ['adults', 'residents', 'respondents'],
}

export const WHERE: Record<Stage, readonly string[]> = {
  preschool: ['in preschools', 'in kindergartens', 'in nursery rooms'],
  primary: [
    'in primary-school classrooms',
    'in primary classrooms',
    'in elementary schools',
    'in primary schools',
    'in the first school years',
    'in elementary classrooms',
  ],
  secondary: ['in secondary schools', 'in secondary classrooms'],
  university: ['in lecture halls', 'at university'],
  special: ['in mainstream classrooms', 'in special classes'],
  adults: ['in adult classes', 'at work'],
  none: ['in everyday use', 'in existing buildings', 'in use', ''],
}

export const CONTROLS: readonly string[] = [
  'family income',
  'language spoken at home',
  "parents' schooling",
  'prior scores',
  'class size',
]
export const PLURAL_CONTROLS: ReadonlySet<string> = new Set(['prior scores'])
