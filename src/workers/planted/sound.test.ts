import { describe, expect, it } from 'vitest'
import { judgePlanted, sheetOf } from './planted.fixture'
import { NEEDLESS } from './trial.fixture'

const B = 'text: (noise OR reverberat* OR acoustic* OR "sound field" OR babble OR amplif*)'
const C =
  'text: ("listening comprehension" OR "listening effort" OR "speech perception" OR "early reading" OR "reading fluency" OR "word reading")'
const HB = 'heading.below: "Classroom sound" OR heading.below: "Noise (sound)"'
const HC =
  'heading.below: "Listening comprehension" OR heading: "Listening effort" OR heading: "Speech perception in class" OR heading.below: "Beginning reading"'
const LIMITS = '\tyears=2017-2026; language=en,de,es; peer reviewed'

/** Sheets of the demo’s plan that a librarian would sign, each with something in it that looks like a fault. */
const SOUND: Readonly<Record<string, [source: string, lines: string[]]>> = {
  'all that is planned, typed without letters': [
    'fernhollow',
    [B, HB, 'any(#1-#2)', C, HC, 'any(#4-#5)', 'all(#3, #6)', `#7${LIMITS}`],
  ],
  'a NOT of what is far from the matter': [
    'fernhollow',
    [
      B,
      HB,
      'any(#1-#2)',
      C,
      HC,
      'any(#4-#5)',
      'all(#3, #6) NOT title: (orchestra* OR "concert hall*")',
      `#7${LIMITS}`,
    ],
  ],
  'an AND of two ideas within a concept': [
    'fernhollow',
    [
      B.replace('babble', 'babble OR (speech AND mask*)'),
      HB,
      'any(#1-#2)',
      C,
      HC,
      'any(#4-#5)',
      `all(#3, #6)${LIMITS}`,
    ],
  ],
  'words near each other, where the database has nearness': [
    'girder',
    [
      'text: (classroom* NEAR/5 (noise OR acoustic* OR reverberat*)) OR text: ("sound field" OR babble OR amplif*)',
      'heading.below: "Room acoustics" OR heading.below: "Background noise"',
      'any(#1-#2)',
      C,
      `all(#3, #4)${LIMITS}`,
    ],
  ],
  'a single box': ['mindmere', [`(${B.slice(6)}) AND (${C.slice(6)})${LIMITS}`]],
  'a single box where there is no vocabulary': [
    'wideband',
    [`${B} AND ${C}\tyears=2017-2026; peer reviewed`],
  ],
  'forms written out where there is no truncation': [
    'quayside',
    [
      'noise OR reverberation OR reverberant OR acoustic OR acoustics OR "sound field" OR babble OR amplification',
      C.slice(7, -1),
      'all(#1-#2)\tyears=2017-2026; peer reviewed',
    ],
  ],
  'a name beside the words': [
    'fernhollow',
    [B, HB, 'any(#1-#2) OR author: osei', C, HC, 'any(#4-#5)', `all(#3, #6)${LIMITS}`],
  ],
  'one broad word in the title alone': [
    'fernhollow',
    [`${B} OR title: hearing`, HB, 'any(#1-#2)', C, HC, 'any(#4-#5)', `all(#3, #6)${LIMITS}`],
  ],
  'the optional concept drafted and left unused': [
    'fernhollow',
    [
      'text: (classroom* OR "primary school*" OR "elementary school*")',
      B,
      HB,
      'any(#2-#3)',
      C,
      HC,
      'any(#5-#6)',
      `all(#4, #7)${LIMITS}`,
    ],
  ],
  'limits one after the other': [
    'fernhollow',
    [
      B,
      HB,
      'any(#1-#2)',
      C,
      HC,
      'any(#4-#5)',
      'all(#3, #6)',
      '#7\tyears=2017-2026',
      '#8\tlanguage=en,de,es',
      '#9\tpeer reviewed',
    ],
  ],
  'a limit that stands in for a planned one': [
    'girder',
    [
      B,
      'heading.below: "Background noise"',
      'any(#1-#2)',
      C,
      `all(#3, #4)\tyears=2017-2026; language=en,de,es; document type=journal article`,
    ],
  ],
}

describe('a sheet that a librarian would sign', () => {
  it.each(Object.entries(SOUND))('%s: nothing is said that is not so', async (_, [source, lines]) => {
    const { remarks } = await judgePlanted(source, sheetOf(lines))
    const needless = remarks.filter((r) => NEEDLESS.has(r.code))
    expect(needless.map((r) => `${r.code}: ${r.message}`)).toEqual([])
  })
})
