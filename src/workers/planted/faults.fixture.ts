/**
 * Faults of everyday practice, planted in sheets of the demo’s plan by a reader of searches, with the remark that is right for
 * each and the line as it should read. Written before the rules that look for them.
 *
 * Lines are in plain notation, limits behind a tab (`years=2017-2026; language=en`); `at` is the line that is at fault.
 */
export interface PlantedFault {
  source: string
  lines: readonly string[]
  at: number
  /** The codes of remarks that say what is wrong; the first is the best. */
  codes: readonly string[]
  /** The lines as they should read, by number; absent where no single one is right, for somebody has to choose. */
  right?: Readonly<Record<number, string>>
  /** Why this one is no fault. */
  sound?: string
}

const F = 'fernhollow'
const B = 'text: (noise OR reverberat*)'
const C = 'text: ("listening comprehension" OR "speech perception")'
const fault = (
  source: string,
  lines: readonly string[],
  at: number,
  codes: string | readonly string[],
  right?: PlantedFault['right'],
): PlantedFault => ({
  source,
  lines,
  at,
  codes: typeof codes === 'string' ? [codes] : codes,
  ...(right ? { right } : {}),
})

export const PLANTED: readonly PlantedFault[] = [
  fault(F, ['text: noise OR reverberat* AND acoustic*', C, 'all(#1, #2)'], 1, 'mixed-operators', {
    // As it is read now: AND ranks above OR.
    1: 'text: noise OR (reverberat* AND acoustic*)',
  }),
  fault(
    F,
    [
      B,
      'text: traffic',
      '#1 NOT #2',
      'text: ("listening comprehension" OR "reading fluency")',
      'all(#3, #4)',
    ],
    3,
    'not-loses',
    { 3: '#1' },
  ),
  fault(F, ['text: (noise NEAR/1 classroom*)', C, 'all(#1, #2)'], 1, 'no-nearness', {
    1: 'text: (noise AND classroom*)',
  }),
  fault(F, ['text: (noise NEAR/25 classroom*)', C, 'all(#1, #2)'], 1, 'no-nearness', {
    1: 'text: (noise AND classroom*)',
  }),
  fault(F, ['heading: "Classroom acoustics"', C, 'all(#1, #2)'], 1, 'entry-term', {
    1: 'heading: "Classroom sound"',
  }),
  fault(F, ['heading: "Classroom sound"', C, 'all(#1, #2)'], 1, 'narrower-forgotten', {
    1: 'heading.below: "Classroom sound"',
  }),
  fault(F, [B, 'text: (behaviour OR "listening comprehension")', 'all(#1, #2)'], 2, 'spelling-missing', {
    2: 'text: (behaviour OR "listening comprehension" OR behavior)',
  }),
  fault(F, [B, 'text: list*', 'all(#1, #2)'], 2, 'stem-too-short', { 2: 'text: listen*' }),
  fault(F, ['text: classroom*', B, C, 'all(#1-#3)'], 4, 'optional-asked', { 4: 'all(#2-#3)' }),
  fault(
    F,
    [B, C, 'all(#1, #2)\tyears=2017-2026', 'heading.below: "Classroom sound"', 'any(#1, #4)', 'all(#5, #2)'],
    6,
    'limit-lost',
    { 6: 'all(#5, #2)\tyears=2017-2026' },
  ),
  fault('wideband', [B, C, 'all(#1, #2)\tlanguage=en'], 3, 'limit-unavailable', { 3: 'all(#1, #2)' }),
  fault(
    F,
    [
      B,
      'heading.below: "Classroom sound"',
      'any(#1, #2)',
      C,
      'heading.below: "Listening comprehension"',
      'any(#4, #5)',
      'all(#3, #5)',
    ],
    7,
    'part-for-block',
    { 7: 'all(#3, #6)' },
  ),
  fault(
    F,
    ['text: (noise AND reverberat* AND acoustic* AND babble)', C, 'all(#1, #2)'],
    1,
    'and-in-concept',
    {
      1: 'text: (noise OR reverberat* OR acoustic* OR babble)',
    },
  ),
  fault(
    F,
    [
      'text: (noise OR acoustic*)',
      'text: adult*',
      '#1 NOT #2',
      'text: ("listening comprehension")',
      'all(#3, #4)',
    ],
    3,
    'not-loses',
    { 3: '#1' },
  ),
  fault(F, ['text: (listening comprehension)', 'text: noise', 'all(#1, #2)'], 1, 'side-by-side', {
    1: 'text: "listening comprehension"',
  }),
  fault(F, ['heading: "Begining reading"', 'text: noise', 'all(#1, #2)'], 1, 'heading-unknown', {
    1: 'heading: "Beginning reading"',
  }),
  fault(F, ['text: class*', 'text: noise', C, 'all(#2, #3)'], 1, 'stem-too-short', {
    1: 'text: classroom*',
  }),
  fault('wideband', ['heading.below: "Classroom sound"', C, 'all(#1, #2)'], 1, 'no-vocabulary', {
    1: 'text: "classroom sound"',
  }),
  {
    ...fault('mindmere', ['text: "reverberat* time"', C, 'all(#1, #2)'], 1, []),
    sound: 'Mindmere takes signs inside quotes: the phrase is sent as it stands and finds what is meant.',
  },
  fault(F, [B, C, 'all(#1, #2)', '#3\tlanguage=en'], 4, ['limit-stricter', 'limit-other'], {
    4: '#3\tlanguage=en,de,es',
  }),
  fault(F, ['text: (nosie OR reverberat*)', C, 'all(#1, #2)'], 1, 'dead-part', { 1: B }),
  fault(F, [B, 'text: "listening comprehnsion"', 'all(#1, #2)'], 2, 'dead-part', {
    2: 'text: "listening comprehension"',
  }),
  fault(F, [B, C, 'any(#1, #2)'], 3, 'or-between-concepts', { 3: 'all(#1, #2)' }),
  fault(F, [B, 'heading.below: "Classroom sound"', 'all(#1, #2)', C, 'all(#3, #4)'], 3, 'and-in-concept', {
    3: 'any(#1, #2)',
  }),
  {
    ...fault(F, ['heading.below: "Classroom sound" OR heading: "Speech noise"', C, 'all(#1, #2)'], 1, []),
    sound: 'In this vocabulary “Speech noise” stands below “Noise (sound)”, and brings records of its own.',
  },
  fault(
    F,
    ['heading.below.main: "Classroom sound" OR heading.below.main: "Noise (sound)"', C, 'all(#1, #2)'],
    1,
    'main-focus',
    { 1: 'heading.below: "Classroom sound" OR heading.below: "Noise (sound)"' },
  ),
  fault(F, ['subject: "classroom sound"', C, 'all(#1, #2)'], 1, 'heading-as-words', {
    1: 'heading.below: "Classroom sound"',
  }),
  fault(F, ['text: (noise OR reverberation*)', C, 'all(#1, #2)'], 1, 'stem-too-long', { 1: B }),
  fault(F, ['text: (classroom* OR class OR class*)', 'text: noise', C, 'all(#2, #3)'], 1, 'covered', {
    1: 'text: class*',
  }),
  fault(F, ['text: (noise OR "traffic noise" OR "background noise")', C, 'all(#1, #2)'], 1, 'covered', {
    1: 'text: noise',
  }),
  fault(F, [B, B, 'any(#1, #2)', C, 'all(#3, #4)'], 2, 'twice', { 3: '#1' }),
  fault(F, [B, 'heading.below: "Classroom sound"', 'any(#1-#2)', C, 'all(#3, #4)'], 4, 'no-heading-asked', {
    4: `${C} OR heading.below: "Listening comprehension"`,
  }),
  fault(
    F,
    [
      'heading.below: "Classroom sound" OR heading.below: "Noise (sound)"',
      C,
      'heading.below: "Listening comprehension"',
      'any(#2-#3)',
      'all(#1, #4)',
    ],
    1,
    'no-words-asked',
  ),
  fault(
    'quayside',
    ['reverberat* OR noise', '"listening comprehension" OR "speech perception"', 'all(#1, #2)'],
    1,
    'dead-part',
    { 1: 'reverberation OR reverberant OR noise' },
  ),
  fault(F, ['title: noise OR acoustic*', C, 'all(#1, #2)'], 1, 'one-field', {
    1: 'text: (noise OR acoustic*)',
  }),
  fault(F, ['author: noise', C, 'all(#1, #2)'], 1, 'one-field', { 1: 'text: noise' }),
  fault(F, ['title: (noise OR reverberat*)', C, 'all(#1, #2)'], 1, 'one-field', { 1: B }),
  fault(
    'quayside',
    ['noise NEAR/5 classroom', '"listening comprehension" OR "speech perception"', 'all(#1, #2)'],
    1,
    'no-nearness',
    { 1: 'noise AND classroom' },
  ),
  fault(F, ['text: classroom', B, C, 'all(#2, #3)'], 1, 'plural-missing', { 1: 'text: classroom*' }),
  fault(F, ['text: "primary school*"', B, C, 'all(#2, #3)'], 1, 'planned-missing'),
  fault(F, [B, C, 'all(#1, #2)', '#3\tdocument type=journal article'], 4, 'limit-unplanned', { 4: '#3' }),
  fault(F, [B, C, 'all(#1, #2)', '#3\tyears=2020-2026'], 4, ['limit-stricter', 'limit-other'], {
    4: '#3\tyears=2017-2026',
  }),
  fault(
    F,
    [
      'text: noise',
      'text: listening',
      'text: classroom*',
      'text: pupil*',
      'text: reading',
      'text: teacher*',
      'all(#1-#6)',
    ],
    7,
    'many-asked',
  ),
  fault(
    F,
    [B, 'text: (noise OR reverberat* OR "listening comprehension")', 'all(#1, #2)'],
    3,
    ['and-adds-nothing', 'and-in-concept'],
    { 2: 'text: "listening comprehension"' },
  ),
  fault(F, [B, C, 'heading.below: "Listening comprehension"', 'any(#1-#3)'], 4, 'or-between-concepts', {
    4: '#1 AND (#2 OR #3)',
  }),
  fault(
    F,
    [B, C, 'all(#1, #2)', 'heading: "Reading fluency"', 'all(#3, #1)'],
    5,
    ['and-adds-nothing', 'concept-twice'],
    { 5: '#3' },
  ),
  fault(
    F,
    [B, 'heading.below: "Classroom sound"', 'any(#1-#2)', 'all(#3, #1)', C, 'all(#4, #5)'],
    4,
    ['and-in-concept', 'concept-twice'],
    { 4: '#3' },
  ),
  fault(F, [B, C, 'text: (aircraft OR traffic)', 'all(#1, #2)'], 3, 'unused-line'),
]
