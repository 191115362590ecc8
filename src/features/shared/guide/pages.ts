/** What the guide says of one stage; the same words stand in `docs/guide`, with a picture. */
export interface GuidePage {
  stage: 'question' | 'terms' | 'searches' | 'records' | 'selection' | 'methods'
  title: string
  /** What is there when this stage is done. */
  aim: string
  parts: readonly GuidePart[]
}
export interface GuidePart {
  head: string
  words: string
  /** The actions that it speaks of, by id: their keys are shown as the person has set them. */
  actions?: readonly string[]
}

export const GUIDE: readonly GuidePage[] = [
  {
    stage: 'question',
    title: 'Question',
    aim: 'A question whose ideas have names, and a plan with its reasons: what limits it, what is asked of each record, where to look.',
    parts: [
      {
        head: 'From words to concepts',
        words:
          'Type the question. Words that lead to headings, or may be ideas, are offered below it: choose one and press the letter of the concept that it belongs to. Words of the question itself are chosen with the mouse or the arrows; the same letter takes them out again.',
        actions: ['question-words', 'question-suggestions', 'concept-add'],
      },
      {
        head: 'What is always asked for',
        words:
          'A concept is essential, optional with a reason, or one of several of which one is enough. Strategies are drafted so, and the section tells it so.',
      },
      {
        head: 'Limits and criteria',
        words:
          'A limit is what a database leaves out by itself; beside it stands what each database can make of it. A criterion is a question that a person asks of each record, and which answer leads out. Both want a reason.',
        actions: ['limit-plan', 'criterion-ask'],
      },
      {
        head: 'Where to look',
        words:
          'Databases, catalogues, people, reference lists, the web: each with why. A database that is not here is described from a few lines as it writes them, and tried out before it is kept; the description is there for your next review.',
        actions: ['source-add'],
      },
      {
        head: 'Known items',
        words:
          'A few works that you know belong to the review. Paste DOIs, references or an export. Each search is tested against them.',
        actions: ['known-paste'],
      },
    ],
  },
  {
    stage: 'terms',
    title: 'Terms',
    aim: 'For each concept the words that authors use, and the headings that each thesaurus has for it.',
    parts: [
      {
        head: 'The grid',
        words:
          'A row is a concept; the first column has words, which serve every database, and each thesaurus has a column of its own. Arrows move; what you type in the box is looked up in the column you stand in.',
        actions: ['terms-look', 'terms-chips'],
      },
      {
        head: 'Headings',
        words:
          'A heading stands among its neighbours, with how many records have it alone, with its narrower ones, and as their main focus. Take it as you want it counted. The same in the other vocabularies is offered beside it.',
      },
      {
        head: 'Words',
        words:
          'A word is weighed before it is taken: how many records have it, how many of these near the rest of your plan, which spellings and forms it has, and what a truncation would bring in that you did not mean.',
      },
      {
        head: 'Harvest',
        words:
          'What good records have in common and the grid does not: words, headings and keywords that stand out in known items or in works ruled in.',
        actions: ['terms-pane-harvest'],
      },
      {
        head: 'A vocabulary of your own',
        words:
          'SKOS in its four forms, or a printed list of terms, is read from a file and shown with what is wrong in it before it is used. Headings of a database outside are pasted from the pages of its thesaurus.',
        actions: ['vocabulary-import'],
      },
    ],
  },
  {
    stage: 'searches',
    title: 'Searches',
    aim: 'A strategy for each database in its own syntax, run line by line, each count with its day and its text.',
    parts: [
      {
        head: 'The sheet',
        words:
          'Draft it from the plan, then edit it: a line is typed in plain notation, refers to others by number, and stands below as the database is asked, with whatever is lost on the way said in words.',
        actions: ['line-edit', 'draft', 'run'],
      },
      {
        head: 'A database outside',
        words:
          'Copy a line, run it there, type the count that came back. The run sheet leads through all lines. A history that was copied or saved there is recognised, put right by you and taken over with its counts.',
        actions: ['log-hits', 'history'],
      },
      {
        head: 'What is wrong, and what to try',
        words:
          'Advice judges what was sent, not what was typed: a term that is planned and in no line, a field that loses most, a line that nothing uses. Steps to fewer or more show what each would bring.',
      },
      {
        head: 'Bring the records in',
        words:
          'The records of the line that counts come into the review, from here or from the export file; an export that is shorter than its count is noticed. Beside all sheets, all sources are drafted, run and brought in at once.',
        actions: ['bring', 'all-sources', 'bring-all'],
      },
      {
        head: 'Again, later',
        words:
          'The same strategy in a newer release brings only what is new, as an update with numbers of its own. A line that was changed since is told as another strategy.',
      },
    ],
  },
  {
    stage: 'records',
    title: 'Records',
    aim: 'Every work once, whatever database it came from.',
    parts: [
      {
        head: 'Files',
        words:
          'RIS, BibTeX, CSL-JSON, tables and tagged text are told by what is in them. What could not be read is kept and named, line by line.',
        actions: ['records-file'],
      },
      {
        head: 'One work, or two',
        words:
          'Rules tell records apart and say why. What they leave open is shown side by side with what speaks for and against; you say which, and can take it back.',
        actions: ['records-settle', 'pair-one'],
      },
      {
        head: 'The list',
        words:
          'Narrow it by words and by what its columns hold. Each value of a work says which record it is from, and another can be chosen.',
      },
      {
        head: 'What each source gave',
        words: 'How many works each found alone, which of them overlap, and by year.',
        actions: ['records-overlap'],
      },
    ],
  },
  {
    stage: 'selection',
    title: 'Selection',
    aim: 'Each work ruled in or out, on title and abstract and then on full text, with reasons, and a flow that adds up.',
    parts: [
      {
        head: 'Ruling',
        words:
          'One work at a time, your criteria below it. A key rules and leads to the next; a digit rules out by that question. At the end of an order you are told what is left.',
        actions: ['rule-in', 'selection-texts', 'selection-close'],
      },
      {
        head: 'Full texts',
        words:
          'What came of looking for each: here, asked for as a loan with its day, not to be had. Only what is here can be read in full.',
      },
      {
        head: 'Two readers and more',
        words:
          'Each reads apart and hands their rulings over as a file. What they see differently is settled, by talking or by a third; agreement is reckoned from first rulings.',
        actions: ['selection-settle', 'selection-readers'],
      },
      {
        head: 'Other ways',
        words: 'References followed, people asked, pages seen: each with its day and with what it gave.',
        actions: ['selection-ways'],
      },
      {
        head: 'The flow',
        words: 'Every number of it leads to the works behind it.',
        actions: ['selection-flow', 'selection-missing'],
      },
    ],
  },
  {
    stage: 'methods',
    title: 'Methods',
    aim: 'A section that a stranger can repeat, and a file that proves it.',
    parts: [
      {
        head: 'The section',
        words:
          'It is written by what you did. Underlined words are bound to the record and change with it; everything else can be written over, and your words stay beside what the record would say.',
        actions: ['where-from'],
      },
      {
        head: 'What strikes',
        words:
          'In the margin: a number typed by hand, a statement that the record does not bear out, a sentence that tells a plan as a deed.',
      },
      {
        head: 'Protocol, search review, reporting',
        words:
          'A plan is frozen as a protocol, and what departs from it lists itself and asks why. A second person looks the searches over in their own browser. Reporting items are closed by the record and never by a tick.',
      },
      {
        head: 'Hand it on',
        words:
          'As Word, Markdown, HTML or LaTeX with tables and appendices; or as a package that whoever gets it can check: every search is run again and every number reckoned.',
        actions: ['methods-package', 'backup'],
      },
    ],
  },
]

/** The parts that have all these words, page by page; all of them where nothing is asked. */
export function guideFor(asked: string): readonly GuidePage[] {
  const words = asked.toLowerCase().split(/\s+/).filter(Boolean)
  if (!words.length) return GUIDE
  return GUIDE.map((page) => ({
    ...page,
    parts: page.parts.filter((p) => {
      const text = `${page.title} ${p.head} ${p.words}`.toLowerCase()
      return words.every((w) => text.includes(w))
    }),
  })).filter((page) => page.parts.length > 0)
}
