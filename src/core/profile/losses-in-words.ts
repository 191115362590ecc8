import { listed } from '../base'
import type { LossCause, LossCode, Parted } from './loss'

export interface LossWords {
  /** What is concerned, in a word or two. */
  what: string
  /** Why it cannot be said, to stand behind a colon. */
  why: string
  /** What to do about it, a sentence. */
  advice: string
}

type Of<C extends LossCode> = Extract<LossCause, { code: C }>

const forms = (known: boolean): string =>
  known
    ? 'The forms that are known are listed; add others by hand.'
    : 'Write out the forms that matter, joined with OR.'

const PARTED: Record<Parted, string> = {
  lines:
    'Run the lines one after the other; the last joins those before it, by the numbers that they were given there.',
  apart: 'Run each query by itself and take the records of all of them: together they are what was asked.',
  not: 'This cannot be asked there in one: drop words that bring nothing, or run the parts by themselves and join their records by hand.',
}

/** Every loss in words: one place, and a cause without words does not compile. */
export const LOSS_WORDS: { [C in LossCode]: (cause: Of<C>, name: string) => LossWords } = {
  'no-not': (_, name) => ({
    what: 'NOT',
    why: `${name} has no NOT`,
    advice: 'Run the part behind NOT as a search of its own and take its records away after merging.',
  }),
  'no-nearness': (_, name) => ({
    what: 'nearness',
    why: `${name} has no nearness`,
    advice: 'Try a phrase instead, or title only, if AND brings too much.',
  }),
  'near-too-far': ({ most }, name) => ({
    what: 'nearness',
    why: `${name} lets at most ${most} stand between`,
    advice: 'Ask for fewer words between, or leave it at AND.',
  }),
  'near-sides': () => ({
    what: 'nearness',
    why: 'one of its sides became more than words and phrases',
    advice: 'Write the sides without truncated phrases.',
  }),
  'no-order': (_, name) => ({
    what: 'order of words',
    why: `${name} does not tell which word comes first`,
    advice: 'A phrase keeps the order where the words stand side by side.',
  }),
  'phrase-truncated': (_, name) => ({
    what: 'truncation in a phrase',
    why: `${name} does not truncate inside quotes`,
    advice: 'Write out the phrases that matter, each in quotes.',
  }),
  'mask-left': ({ known }, name) => ({
    what: 'truncation',
    why: `${name} does not truncate in front of a word`,
    advice: forms(known),
  }),
  'mask-short': ({ known, least }, name) => ({
    what: 'truncation',
    why: `${name} wants at least ${least} letters before the sign`,
    advice: forms(known),
  }),
  'mask-no-sign': ({ known }, name) => ({
    what: 'truncation',
    why: `${name} has no sign for truncation`,
    advice: forms(known),
  }),
  'mask-any-only': (_, name) => ({
    what: 'truncation',
    why: `${name} knows only any ending`,
    advice: 'If that brings noise, write out the forms instead.',
  }),
  'stop-words': ({ words }, name) => ({
    what: 'stop word',
    why: `${name} does not search for ${listed(words)}`,
    advice: 'Leave the word out, or use another one.',
  }),
  stemming: ({ how, quotesHelp }, name) => ({
    what: 'stemming',
    why: `${name} searches ${how === 'plurals' ? 'singular and plural' : 'all forms of a word'} together`,
    advice: quotesHelp
      ? 'Put the word in quotes to search for this form alone.'
      : 'There is no way to switch it off; look at what it adds.',
  }),
  'field-wider': ({ fields }, name) => ({
    what: 'field',
    why: `${name} has no field for ${listed(fields, 'or')} alone`,
    advice: 'Look at a few of the records it adds.',
  }),
  'field-missing': ({ fields, covered }, name) => ({
    what: 'field',
    why: `${name} has no field for ${listed(fields, 'or')}`,
    advice: covered
      ? 'All its fields are searched instead; title only may be nearer.'
      : 'Its usual fields are searched instead, which do not hold this.',
  }),
  'no-vocabulary': (_, name) => ({
    what: 'heading',
    why: `${name} has no vocabulary`,
    advice: 'Check that the words of the heading are what authors write, and add synonyms.',
  }),
  'no-main-focus': (_, name) => ({
    what: 'main focus',
    why: `${name} does not mark the main focus`,
    advice: 'Nothing to do: it finds more.',
  }),
  'no-narrower': (_, name) => ({
    what: 'with narrower',
    why: `${name} cannot take narrower headings along, and they are not known here`,
    advice: 'Look the narrower headings up and add them.',
  }),
  'no-codes': (_, name) => ({
    what: 'classification code',
    why: `${name} has no codes`,
    advice: 'Use words for what the code stands for.',
  }),
  'no-codes-below': (_, name) => ({
    what: 'codes below',
    why: `${name} cannot take the codes below along`,
    advice: 'Add the codes below one by one.',
  }),
  'no-lines': (_, name) => ({
    what: 'line',
    why: `${name} keeps no lines`,
    advice: 'Write out what the lines say in one query.',
  }),
  unsayable: ({ text }, name) => ({
    what: 'a word that looks like something else',
    why: `${name} would read ${text} as something else`,
    advice: 'Use another word, or a phrase that holds it.',
  }),
  'name-unsayable': ({ name: label }, name) => ({
    what: 'heading',
    why: `“${label}” holds signs that mean something else to ${name}`,
    advice: 'Look up how it is written there, and check that its words are what authors write.',
  }),
  'field-reach': ({ fields, reach }, name) => ({
    what: 'field',
    why: `the code for ${listed(fields, 'or')} reaches one ${reach} only in ${name}`,
    advice: 'Look at a few of the records it adds.',
  }),
  'too-long': ({ most, length, how }, name) => ({
    what: 'length',
    why: `${name} takes at most ${most} characters, and this has ${length}`,
    advice: PARTED[how],
  }),
  'rows-cannot': ({ how }, name) => ({
    what: 'rows',
    why: `the form of ${name} cannot ask this in one`,
    advice: PARTED[how],
  }),
}
