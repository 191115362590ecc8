import { item, levels, type Topic } from '../topic'
import { attention, marks, memory, motivation, rhyme, wellbeing } from './outcomes'
import { reading } from './sound'

/** How school is held: lessons, classes, breaks, staff. */
export const SCHOOL_LIFE_TOPICS: Topic[] = [
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
