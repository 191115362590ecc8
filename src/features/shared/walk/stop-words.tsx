import type { ReactNode } from 'react'
import type { StopId } from '@/core/doing'
import { Press } from './press'

interface StopWords {
  /** What is done here, as one says it. */
  title: string
  how: ReactNode
  /** What it was for, once it was done. */
  then: string
}

/** What is said at each stop, keys as the person has set them. */
export const STOP_WORDS: Record<StopId, StopWords> = {
  'known item': {
    title: 'Name a work that a good search must find',
    how: (
      <>
        <Press of="known-paste" first />, paste <b>10.5555/tsr.2025.0557</b> and take it in. DOIs, references
        and exports are all understood.
      </>
    ),
    then: 'Each search is tested against it from now on, and the section tells it.',
  },
  term: {
    title: 'Give a concept one more word',
    how: (
      <>
        Press <kbd>↓</kbd> for Sound conditions, then <Press of="terms-look" />, type <b>hubbub</b> and press
        Enter. A row is a concept; words serve every database, headings their own.
      </>
    ),
    then: 'The word is planned. It is in no line yet, and Plan and lines says so.',
  },
  line: {
    title: 'Put the word into a line',
    how: (
      <>
        Choose line 4 and <Press of="line-edit" />; write <b>OR hubbub</b> at its end and press Enter. Below,
        the line stands as this database is asked.
      </>
    ),
    then: 'Counts that hang on this line are struck through: they are not true any more.',
  },
  run: {
    title: 'Run what is out of date',
    how: (
      <>
        <Press of="run" first />. Only what changed is run.
      </>
    ),
    then: 'Each count is kept with its day, its person and the text as it was sent; none can be typed over.',
  },
  bring: {
    title: 'Bring in what was found',
    how: (
      <>
        Choose the last line and <Press of="bring" />.
      </>
    ),
    then: 'Records that describe a work already here join it, by rules that can be read.',
  },
  pair: {
    title: 'Settle what the rules left open',
    how: (
      <>
        <Press of="records-settle" first />: two records may be one work. <kbd>1</kbd> says that they are,{' '}
        <kbd>2</kbd> that they are not.
      </>
    ),
    then: 'The number of works followed, and with it everything that is told of them.',
  },
  ruling: {
    title: 'Rule a work in or out',
    how: (
      <>
        Read title and abstract, then press <kbd>→</kbd> or <kbd>←</kbd>. Say who reads when you are asked.
      </>
    ),
    then: 'Look at the text beside the stage: its numbers are those of a moment ago no more.',
  },
  'full text': {
    title: 'Note where a full text is',
    how: (
      <>
        <Press of="selection-texts" first /> and a digit for what came of looking for it.
      </>
    ),
    then: 'Only what was sought is told as sought, and only what was read as read.',
  },
  section: {
    title: 'Read the section that all of this has written',
    how: (
      <>
        Rest on a number: it says where it comes from, and a click leads there. Then choose another voice, or
        click into a paragraph and write.
      </>
    ),
    then: 'What you write stays yours; the numbers in it stay bound to what was done.',
  },
  package: {
    title: 'Hand it on',
    how: (
      <>
        <Press of="methods-package" first />. Check it first runs every search again and reckons every number;
        whoever gets the file can do the same.
      </>
    ),
    then: '',
  },
}
