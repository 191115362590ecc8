import { item, type Topic } from '../topic'
import { arithmetic, attention, interest, marks, memory, rhyme, spelling, wordLearning } from './outcomes'
import { fluency, reading } from './sound'

/** What is learnt, and what learning needs. */
export const LEARNING_TOPICS: Topic[] = [
  {
    id: 'vocabulary',
    weight: 2.4,
    covered: { fernhollow: 0.85, girder: 0.02, mindmere: 0.75 },
    stages: { preschool: 4, primary: 6 },
    designs: { longitudinal: 4, 'field trial': 4, experiment: 3, observation: 1, review: 0.5 },
    exposures: [
      item('shared reading', 'shared reading;reading aloud', { f: 'Reading aloud', m: 'Reading aloud' }),
      item('rich talk in class', 'classroom talk;oral language', {
        f: 'Classroom talk;Oral language',
        m: 'Language input',
      }),
      item('book reading at home', 'home reading;family', {
        f: 'Reading aloud;Socio-economic background',
        m: 'Home environment',
      }),
    ],
    outcomes: [
      wordLearning,
      item('listening comprehension', 'listening comprehension;story comprehension', {
        f: 'Listening comprehension',
        m: 'Listening comprehension',
        measure: 'questions on a story told aloud',
        test: 'Retold Stories Scale',
      }),
      reading,
    ],
    leads: ['Ten new words', 'Talking before reading', 'Stories that stay', 'Words heard, words kept'],
    background: [
      'Children who know more words learn new ones faster.',
      "Talk in class is mostly the teacher's.",
    ],
    methods: [
      'New words were met [three|six|nine] times within [one week|two weeks].',
      'Lessons were recorded and all turns counted.',
    ],
    findings: [
      'Words explained in passing were kept as well as words taught apart.',
      'Gains were larger for children with fewer words at the start.',
    ],
  },
  {
    id: 'phonological-awareness',
    weight: 2.2,
    covered: { fernhollow: 0.85, girder: 0.02, mindmere: 0.8 },
    stages: { preschool: 5, primary: 6 },
    designs: { longitudinal: 4, 'field trial': 4, experiment: 2, review: 0.8 },
    exposures: [
      rhyme,
      item('phonics teaching', 'phonics;beginning reading', {
        f: 'Phonics teaching',
        m: 'Reading education',
      }),
      item('letter knowledge', 'letter knowledge;early literacy', {
        f: 'Letter knowledge',
        m: 'Reading development',
        measure: 'naming of all letters',
      }),
    ],
    outcomes: [
      reading,
      spelling,
      item('word decoding', 'word decoding;pseudoword reading', {
        f: 'Decoding of words',
        m: 'Word recognition',
        measure: 'a list of made-up words',
        test: 'Made-up Words List',
      }),
    ],
    leads: [
      'From sound to letter',
      'Rhymes before reading',
      'Small sounds, first words',
      'What the ear brings to the page',
    ],
    background: [
      'Awareness of sounds in words is among the best predictors of early reading.',
      'Regular spelling may make sounds matter less.',
    ],
    methods: ['Small groups practised for [ten|fifteen|twenty] minutes a day over [eight|ten|twelve] weeks.'],
    findings: ['Effects faded within [one year|two years] unless letters were taught along with sounds.'],
  },
  {
    id: 'handwriting',
    weight: 1.2,
    covered: { fernhollow: 0.85, girder: 0, mindmere: 0.5 },
    stages: { primary: 8, preschool: 2 },
    designs: { 'field trial': 4, experiment: 3, longitudinal: 2, observation: 1 },
    exposures: [
      item('handwriting practice', 'handwriting;letter formation', { f: 'Handwriting', m: 'Handwriting' }),
      item('typing in place of writing by hand', 'typing;handwriting;tablets', {
        f: 'Handwriting;Tablet computers in class',
        m: 'Handwriting',
      }),
    ],
    outcomes: [
      spelling,
      reading,
      item('text quality', 'composition;writing', {
        f: 'Composition',
        m: 'Written communication',
        measure: 'blind ratings of short texts',
      }),
    ],
    leads: ['By hand', 'The pen and the page', 'Joined or printed', 'Letters on paper'],
    background: ['Whether letters are joined or printed divides schools more than research does.'],
    methods: ['Pen movements were recorded on a tablet.'],
    findings: ['Slow writers wrote shorter texts but not poorer ones.'],
  },
  {
    id: 'numeracy',
    weight: 1.8,
    covered: { fernhollow: 0.85, girder: 0, mindmere: 0.7 },
    stages: { preschool: 3, primary: 7, secondary: 1 },
    designs: { longitudinal: 3, 'field trial': 4, experiment: 3 },
    exposures: [
      item('+number games', 'number sense;board games', {
        f: 'Number sense;Play-based learning',
        m: 'Number ability',
      }),
      memory,
      item('+worked examples', 'worked examples;mathematics teaching', {
        f: 'Teaching methods;Numeracy',
        m: 'Learning strategies',
      }),
    ],
    outcomes: [
      arithmetic,
      item('number sense', 'number sense;counting', {
        f: 'Number sense',
        m: 'Number ability',
        measure: 'a number-line task',
        test: 'Number Line to Hundred',
      }),
    ],
    leads: ['Counting on', 'Games that add up', 'Before the sums', 'Twenty and beyond'],
    background: ['Children enter school with very different knowledge of numbers.'],
    methods: ['Games were played [twice|three times] a week in groups of four.'],
    findings: ['Errors on the number line fell by [a fifth|a third].'],
  },
  {
    id: 'working-memory',
    weight: 2,
    covered: { fernhollow: 0.5, girder: 0, mindmere: 0.95 },
    stages: { primary: 6, secondary: 2, university: 3 },
    designs: { experiment: 6, longitudinal: 2, 'field trial': 1, review: 0.6 },
    exposures: [
      memory,
      item('memory training', 'training;working memory', {
        f: 'Working memory',
        m: 'Working memory;Training',
      }),
      item('irrelevant speech', 'irrelevant speech;auditory distraction', {
        f: 'Speech noise;Distraction',
        m: 'Irrelevant speech;Distraction',
        classes: 'B4.1',
      }),
    ],
    outcomes: [
      reading,
      arithmetic,
      item('serial recall', 'serial recall;short-term memory', {
        f: 'Working memory',
        m: 'Serial recall',
        measure: 'lists of seven digits',
        test: 'Seven Digit Lists',
      }),
      attention,
    ],
    leads: ['Seven or fewer', 'Holding on', 'The cost of overhearing', 'Trained, but for what?'],
    background: [
      'Speech that need not be attended disturbs memory for order.',
      'Training tasks improve with training; the question is what else does.',
    ],
    methods: ['Lists were shown in silence, in speech and in a foreign language.'],
    findings: [
      'Meaning of the background speech made no difference.',
      'Near transfer was found, far transfer was not.',
    ],
  },
  {
    id: 'attention',
    weight: 2,
    covered: { fernhollow: 0.6, girder: 0.1, mindmere: 0.9 },
    stages: { primary: 6, secondary: 3, preschool: 1 },
    designs: { experiment: 4, observation: 3, 'field trial': 2, survey: 1 },
    exposures: [
      item('+short movement breaks', 'movement breaks;physical activity', {
        f: 'Attention in class;Classroom management',
        m: 'Physical activity',
      }),
      item('+wall displays', 'wall displays;visual distraction', {
        f: 'Distraction;Classroom environment',
        m: 'Distraction',
      }),
      item('screen time before school', 'screen time;media use', { f: 'Attention in class', m: 'Media use' }),
    ],
    outcomes: [
      attention,
      item('on-task behaviour', 'on-task behaviour;classroom management', {
        f: 'Attention in class',
        m: 'Classroom behavior',
        measure: 'observation in ten-second intervals',
      }),
      marks,
    ],
    leads: ['Eyes on the page', 'Ten minutes of quiet', 'Looking out of the window', 'Busy walls'],
    background: ['Attention in class rises and falls over the morning.'],
    methods: ['Observers did not know which class had which condition.'],
    findings: ['The effect was gone after [twenty|thirty] minutes.'],
  },
  {
    id: 'reading-fluency',
    weight: 2,
    covered: { fernhollow: 0.9, girder: 0, mindmere: 0.7 },
    stages: { primary: 8, secondary: 1, special: 1 },
    designs: { 'field trial': 4, longitudinal: 3, experiment: 2, review: 0.7 },
    exposures: [
      item('repeated reading', 'repeated reading;fluency practice', {
        f: 'Reading support;Reading fluency',
        m: 'Reading education',
      }),
      item('peer reading', 'peer tutoring;paired reading', {
        f: 'Group work;Reading support',
        m: 'Peer tutoring',
      }),
      item('reading while listening', 'audiobooks;reading while listening', {
        f: 'Reading aloud;Listening skills',
        m: 'Reading aloud',
      }),
    ],
    outcomes: [
      fluency,
      item('reading comprehension', 'reading comprehension', {
        f: 'Reading comprehension',
        m: 'Reading comprehension',
        measure: 'open questions on short texts',
        test: 'Short Texts Questionnaire',
      }),
      interest,
    ],
    leads: ['Faster is not deeper', 'Reading it again', 'Two voices, one page', 'Pace and prosody'],
    background: ['Fluent readers have attention left for meaning.'],
    methods: ['Pairs read for [fifteen|twenty] minutes on [three|four] days a week.'],
    findings: [
      'Words read per minute rose by [eight|eleven|fourteen].',
      'Comprehension followed only in the second half of the year.',
    ],
  },
]
