import { item, levels, type Topic } from '../topic'
import { fluency, reading } from './sound'

const attention = item('sustained attention', 'sustained attention;concentration;on-task behaviour', {
  f: 'Attention in class',
  g: 'Occupant performance',
  m: 'Attention',
  measure: 'a letter-cancellation test',
  test: 'Cross-the-Letters Task',
})
const memory = item('working memory', 'working memory;short-term memory', {
  f: 'Working memory',
  m: 'Working memory',
  measure: 'a backward digit span',
  test: 'Backward Digits',
})
const arithmetic = item('mental arithmetic', 'arithmetic;numeracy;mathematics', {
  f: 'Mental arithmetic;Numeracy',
  g: 'School performance',
  m: 'Number ability',
  measure: 'three-minute sum sheets',
  test: 'Three-Minute Sums',
})
const wellbeing = item('wellbeing at school', 'wellbeing;school climate', {
  f: 'Learner wellbeing',
  g: 'Occupant satisfaction',
  m: 'Well-being',
  measure: 'a wellbeing questionnaire',
  test: 'Days at School Questionnaire',
})
const wordLearning = item('vocabulary growth', 'vocabulary;word learning', {
  f: 'Vocabulary growth',
  m: 'Vocabulary development',
  measure: 'a picture-choice vocabulary test',
  test: 'Point-to-It Vocabulary',
})
const rhyme = item('phonological awareness', 'phonological awareness;rhyme;phonemes', {
  f: 'Phonological awareness',
  m: 'Phonological awareness',
  measure: 'rhyme and segmentation tasks',
  test: 'Sounds-in-Words Battery',
})
const marks = item('+school marks', 'school marks;achievement', {
  f: 'School marks;Learning results',
  m: 'Academic achievement',
  measure: 'end-of-year marks',
})
const spelling = item('spelling', 'spelling;writing', {
  f: 'Spelling',
  m: 'Spelling ability',
  measure: 'a forty-word dictation',
  test: 'Forty Word Dictation',
})
const motivation = item('motivation', 'motivation;engagement', {
  f: 'Motivation',
  m: 'Motivation',
  measure: 'pupil ratings',
})
const interest = item('reading interest', 'reading for pleasure;motivation', {
  f: 'Reading interest',
  m: 'Motivation;Reading development',
  measure: 'a reading diary',
})

export const SCHOOL_TOPICS: Topic[] = [
  {
    id: 'ventilation',
    weight: 3,
    covered: { fernhollow: 0.6, girder: 0.85, mindmere: 0.25 },
    stages: { primary: 6, secondary: 3, preschool: 1 },
    designs: { 'field trial': 4, measurement: 5, survey: 1, experiment: 1 },
    exposures: [
      item('carbon dioxide concentration', 'carbon dioxide;ventilation;indoor air quality', {
        f: 'Classroom air quality',
        g: 'Indoor air quality;Ventilation rate',
        m: 'School environment',
        classes: 'C2.1',
        measure: 'concentration',
        levels: levels('ppm', [650, 980], [1350, 2600]),
      }),
      item('window airing', 'airing;natural ventilation;school ventilation', {
        f: 'School ventilation',
        g: 'Natural ventilation',
        m: 'School environment',
        classes: 'C2.2',
      }),
      item('mechanical ventilation', 'mechanical ventilation;school ventilation', {
        f: 'School ventilation',
        g: 'Mechanical ventilation;Services noise',
        classes: 'C2.1',
      }),
    ],
    outcomes: [
      attention,
      arithmetic,
      item('-absence through illness', 'absence;pupil health', {
        f: 'Pupil health',
        g: 'Occupant health',
        m: 'Health',
        measure: 'school registers',
      }),
      item('-tiredness', 'tiredness;fatigue', {
        f: 'Fatigue of learners',
        g: 'Occupant health',
        m: 'Mental fatigue',
        measure: 'pupil ratings at noon',
      }),
    ],
    leads: [
      'Air between the lessons',
      'Stale by ten',
      'Open windows, open minds?',
      'Breathing space',
      'Airing by the clock',
    ],
    background: [
      'Many classrooms exceed recommended concentrations within the first lesson.',
      'Opening windows lets in noise and cold as well as air.',
    ],
    methods: [
      'Sensors logged temperature and carbon dioxide every [five|ten] minutes.',
      'A lamp told the class when to open the windows.',
    ],
    findings: [
      'The lamp halved the time above the limit.',
      'Windows stayed shut on cold days and beside busy roads.',
    ],
  },
  {
    id: 'daylight',
    weight: 1.6,
    covered: { fernhollow: 0.6, girder: 0.8, mindmere: 0.2 },
    stages: { primary: 5, secondary: 4, university: 1 },
    designs: { measurement: 4, survey: 3, 'field trial': 2, modelling: 2 },
    exposures: [
      item('daylight', 'daylight;classroom lighting', {
        f: 'Daylight in classrooms',
        g: 'Daylighting',
        classes: 'C3.1',
        measure: 'daylight factor',
        levels: levels('%', [2.5, 5], [0.4, 1.6], 1),
      }),
      item('tunable lighting', 'lighting;colour temperature', {
        f: 'Classroom lighting',
        g: 'Electric lighting',
        classes: 'C3.2',
      }),
      item('glare', 'glare;visual comfort', { f: 'Visual comfort', g: 'Glare', classes: 'C3.1' }),
    ],
    outcomes: [attention, wellbeing, reading],
    leads: ['Light from the left', 'Desks by the window', 'Morning light', 'Bright enough to read'],
    background: [
      'Blinds that stay down all day undo what the architect planned.',
      'Screens have changed what good light in a classroom means.',
    ],
    methods: ['Illuminance was logged at desk height.', 'Two of four rooms kept their old lamps.'],
    findings: [
      'Blinds were down [on most days|in nearly half of the lessons], whatever the sky.',
      'Pupils by the window rated their place better.',
    ],
  },
  {
    id: 'thermal-comfort',
    weight: 1.8,
    covered: { fernhollow: 0.5, girder: 0.85, mindmere: 0.15 },
    stages: { primary: 5, secondary: 4, university: 2 },
    designs: { survey: 4, measurement: 5, 'field trial': 1, modelling: 2 },
    exposures: [
      item('classroom temperature', 'temperature;thermal comfort;overheating', {
        f: 'Classroom temperature',
        g: 'Thermal comfort',
        classes: 'C1.1',
        measure: 'room temperature',
        levels: levels('°C', [20, 23], [26, 31]),
      }),
      item('external shading', 'shading;overheating', {
        f: 'Classroom temperature;School renovation',
        g: 'Solar shading',
        classes: 'C1.2',
      }),
    ],
    outcomes: [
      attention,
      arithmetic,
      item('thermal sensation', 'thermal sensation;thermal comfort', {
        f: 'Classroom temperature',
        g: 'Thermal comfort',
        m: 'Well-being',
        measure: 'votes on a seven-point scale',
      }),
    ],
    leads: ['Too warm to think', 'Heat days', 'Sums in summer', 'Comfort below twelve years'],
    background: [
      'Comfort models were drawn up with adults in offices.',
      'Heatwaves now fall into term time in many regions.',
    ],
    methods: ['Votes were taken [three|four] times a day.'],
    findings: ['Children preferred rooms [two|three] degrees cooler than the model foresees.'],
  },
  {
    id: 'furniture',
    weight: 1.2,
    covered: { fernhollow: 0.85, girder: 0.25, mindmere: 0.2 },
    stages: { primary: 6, secondary: 3 },
    designs: { 'field trial': 4, survey: 3, observation: 3 },
    exposures: [
      item('+sit-stand desks', 'classroom furniture;standing desks', {
        f: 'Classroom furniture',
        g: 'Furniture',
        m: 'School environment',
      }),
      item('seating in rows', 'seating arrangement;rows and groups', {
        f: 'Classroom seating',
        m: 'Classroom behavior',
      }),
      item('flexible seating', 'flexible seating;classroom furniture', {
        f: 'Classroom seating;Classroom furniture',
        m: 'School environment',
      }),
    ],
    outcomes: [
      attention,
      item('posture', 'posture;back pain', {
        f: 'Sitting posture',
        m: 'Health',
        measure: 'photographs taken from the side',
      }),
      motivation,
    ],
    leads: ['Sitting, standing, learning', 'Rows or islands', 'A chair that fits', 'Where shall I sit?'],
    background: ['Furniture is bought once in twenty years and seldom fits.'],
    methods: ['Chair and body heights were compared for each child.'],
    findings: ['[Four in ten|Half of the] pupils sat on chairs too high for them.'],
  },
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
  {
    id: 'music-lessons',
    weight: 1.6,
    covered: { fernhollow: 0.8, girder: 0.05, mindmere: 0.7 },
    stages: { preschool: 2, primary: 7, secondary: 2 },
    designs: { 'field trial': 4, longitudinal: 4, experiment: 1, review: 0.6 },
    exposures: [
      item('+music lessons', 'music lessons;music education', { f: 'Music lessons', m: 'Music training' }),
      item('rhythm training', 'rhythm;music education', { f: 'Music lessons', m: 'Music training;Rhythm' }),
    ],
    outcomes: [
      rhyme,
      reading,
      memory,
      item('speech perception in noise', 'speech perception;hearing in noise', {
        f: 'Speech perception in class',
        g: 'Speech intelligibility',
        m: 'Speech perception',
        measure: 'words in babble',
        test: 'Short Sentences in Babble Test',
      }),
    ],
    leads: ['Keeping time', 'Strings and syllables', 'In tune with letters', 'Drums before books'],
    background: ['Claims that music makes children clever have outrun the evidence.'],
    methods: ['Classes were drawn by lot to music or to [drama|drawing].'],
    findings: ['The drama classes gained as much.'],
  },
  {
    id: 'class-size',
    weight: 1.4,
    covered: { fernhollow: 0.95, girder: 0.02, mindmere: 0.25 },
    stages: { primary: 6, secondary: 4 },
    designs: { survey: 3, longitudinal: 4, observation: 2, review: 0.6 },
    exposures: [
      item('class size', 'class size;pupil-teacher ratio', {
        f: 'Class size',
        m: 'School environment',
        measure: 'number of pupils',
        levels: levels('pupils', [14, 19], [25, 33]),
      }),
    ],
    outcomes: [
      marks,
      reading,
      item('-classroom noise', 'classroom noise;class size', {
        f: 'Classroom sound;Background noise',
        g: 'Background noise',
        m: 'Noise exposure',
        measure: 'sound level in lessons',
      }),
      item('teacher attention', 'teacher attention;classroom talk', {
        f: 'Classroom talk;Classroom management',
        m: 'Classroom behavior',
        measure: 'timed observation',
      }),
    ],
    leads: ['One fewer', 'Small classes, large hopes', 'Twenty or thirty', 'Counting heads'],
    background: ['Smaller classes are popular and dear.'],
    methods: ['Enrolment just above and below the legal maximum was used to compare classes.'],
    findings: ['Noise in lessons rose by [one decibel|about a decibel] for every [four|five] pupils.'],
  },
  {
    id: 'homework',
    weight: 1.2,
    covered: { fernhollow: 0.95, girder: 0, mindmere: 0.35 },
    stages: { primary: 4, secondary: 6 },
    designs: { survey: 5, longitudinal: 2, interviews: 2, review: 0.5 },
    exposures: [
      item('homework', 'homework;home assignments', { f: 'Homework', m: 'Study habits' }),
      item('parental help', 'parental help;homework', {
        f: 'Homework;Socio-economic background',
        m: 'Home environment',
      }),
    ],
    outcomes: [marks, motivation, wellbeing],
    leads: ["After four o'clock", 'The kitchen table', 'Home work', 'Helping or hovering'],
    background: ['Time spent on homework says little about what is learnt.'],
    methods: ['Families kept diaries for [two|three] weeks.'],
    findings: ['Help that was asked for did good; help that was not did none.'],
  },
  {
    id: 'outdoor-learning',
    weight: 1.5,
    covered: { fernhollow: 0.9, girder: 0.1, mindmere: 0.3 },
    stages: { preschool: 3, primary: 6, secondary: 1 },
    designs: { 'field trial': 3, interviews: 3, observation: 3, survey: 1 },
    exposures: [
      item('outdoor learning', 'outdoor learning;forest school', { f: 'Outdoor learning', m: 'Nature' }),
      item('+green playgrounds', 'playgrounds;green schoolyards', {
        f: 'Playgrounds;School gardens',
        g: 'Urban green space',
        m: 'Nature',
        classes: 'D2.1',
      }),
    ],
    outcomes: [wellbeing, attention, motivation],
    leads: ['Lessons under trees', 'Out of doors', 'A morning in the wood', 'Mud and measuring'],
    background: ['Teaching outside is easily praised and seldom measured.'],
    methods: ['One day a week was spent in [a wood|a park|the school garden] near the school.'],
    findings: ['Quiet pupils spoke more outside than in the room.'],
  },
  {
    id: 'playgrounds',
    weight: 1,
    covered: { fernhollow: 0.85, girder: 0.3, mindmere: 0.2 },
    stages: { primary: 7, preschool: 3 },
    designs: { observation: 5, survey: 2, 'field trial': 2, measurement: 1 },
    exposures: [
      item('playground design', 'playgrounds;school yards', {
        f: 'Playgrounds',
        g: 'Outdoor spaces',
        m: 'Play',
        classes: 'D2.1',
      }),
      item('playground noise', 'playground noise;school yards', {
        f: 'Playgrounds;Noise (sound)',
        g: 'Noise exposure',
        classes: 'B5.3',
        measure: 'sound level',
        levels: levels('dB', [61, 67], [73, 82]),
      }),
    ],
    outcomes: [
      item('play activity', 'play;physical activity', {
        f: 'Playgrounds;Pupil health',
        m: 'Play',
        measure: 'step counters',
      }),
      wellbeing,
    ],
    leads: ['The other classroom', 'Break', 'Corners to hide in', 'Ten past ten'],
    background: ['Break is where pupils say they learn to get along.'],
    methods: ['Pupils were counted by zone every five minutes.'],
    findings: ['Paved middle areas belonged to ball games.'],
  },
  {
    id: 'digital-textbooks',
    weight: 1.4,
    covered: { fernhollow: 0.95, girder: 0.02, mindmere: 0.4 },
    stages: { primary: 4, secondary: 5, university: 2 },
    designs: { 'field trial': 4, survey: 3, experiment: 3, review: 0.6 },
    exposures: [
      item('+digital textbooks', 'digital textbooks;educational software', {
        f: 'Digital learning materials',
        m: 'Computer-based learning',
      }),
      item('reading on screens', 'screen reading;digital reading', {
        f: 'Digital reading',
        m: 'Reading development;Media use',
      }),
    ],
    outcomes: [
      item('reading comprehension', 'reading comprehension', {
        f: 'Reading comprehension',
        m: 'Reading comprehension',
        measure: 'questions on texts of 400 words',
        test: 'Short Texts Questionnaire',
      }),
      motivation,
      marks,
    ],
    leads: ['Page or screen', 'Swipe to continue', 'The weight of the bag', 'Glass pages'],
    background: ['Schools buy devices faster than they test them.'],
    methods: ['Each pupil read [two|four] texts on paper and as many on a tablet.'],
    findings: ['Pupils thought they understood more on screen than they did.'],
  },
  {
    id: 'teacher-turnover',
    weight: 1.2,
    who: ['teachers', 'new teachers'],
    covered: { fernhollow: 0.98, girder: 0, mindmere: 0.25 },
    stages: { primary: 5, secondary: 5 },
    designs: { survey: 5, interviews: 4, longitudinal: 2 },
    exposures: [
      item('teacher workload', 'workload;teachers', { f: 'Teacher workload', m: 'Occupational stress' }),
      item('mentoring of new teachers', 'mentoring;teacher education', {
        f: 'Teacher education;Teacher turnover',
        m: 'Mentoring',
      }),
    ],
    outcomes: [
      item('-teacher turnover', 'teacher turnover;retention', {
        f: 'Teacher turnover',
        m: 'Occupational stress',
        measure: 'staff records',
      }),
      item('job satisfaction', 'job satisfaction;teachers', {
        f: 'Teacher attitudes',
        m: 'Job satisfaction',
        measure: 'a short questionnaire',
      }),
    ],
    leads: ['Staying on', 'Five years and out', 'The leavers', 'Who stays to teach'],
    background: ['In some districts a third of new teachers leave within five years.'],
    methods: ['Leavers were interviewed by telephone.'],
    findings: ['Workload was named more often than pay.'],
  },
]
