import { item, levels, type Topic } from '../topic'

const reverberation = item('reverberation', 'reverberation;room acoustics;classroom acoustics', {
  f: 'Classroom sound;Classrooms',
  g: 'Reverberation time;Room acoustics',
  m: 'Auditory masking;School environment',
  classes: 'B4.2',
  measure: 'reverberation time',
  levels: levels('s', [0.3, 0.6], [0.7, 1.4], 1),
})
const ceilings = item('+absorbent ceilings', 'acoustic treatment;sound absorption;classroom acoustics', {
  f: 'Acoustic treatment of classrooms;Classroom sound',
  g: 'Sound absorption;Ceilings',
  m: 'School environment;Auditory masking',
  classes: 'B4.3',
  measure: 'reverberation time',
  levels: levels('s', [0.3, 0.5], [0.7, 1.2], 1),
})
const panels = item('+wall absorbers', 'sound absorption;acoustic panels;room acoustics', {
  f: 'Acoustic treatment of classrooms',
  g: 'Sound absorption;Wall linings',
  m: 'School environment',
  classes: 'B4.3',
  measure: 'reverberation time',
  levels: levels('s', [0.3, 0.5], [0.6, 1.1], 1),
})
const chatter = item('classroom babble', 'babble;speech noise;classroom noise', {
  f: 'Speech noise;Classroom sound',
  g: 'Background noise;Room acoustics',
  m: 'Informational masking;Irrelevant speech',
  classes: 'B4.1',
  measure: 'signal-to-noise ratio',
  levels: levels('dB', [9, 15], [-3, 3]),
})
const background = item('background noise', 'background noise;classroom noise;signal-to-noise ratio', {
  f: 'Background noise;Classroom sound',
  g: 'Background noise',
  m: 'Auditory masking;Noise exposure',
  classes: 'B4.1',
  measure: 'sound level',
  levels: levels('dB', [35, 44], [52, 71]),
})
const traffic = item('traffic noise', 'traffic noise;environmental noise;noise exposure', {
  f: 'Traffic noise',
  g: 'Road traffic noise;Noise exposure',
  m: 'Noise exposure',
  classes: 'B5.1',
  measure: 'outdoor level',
  levels: levels('dB', [42, 52], [58, 72]),
})
const aircraft = item('aircraft noise', 'aircraft noise;noise exposure;airports', {
  f: 'Traffic noise;School location',
  g: 'Aircraft noise',
  m: 'Noise exposure',
  classes: 'B5.2',
  measure: 'outdoor level',
  levels: levels('dB', [40, 50], [56, 68]),
})
const hvac = item('ventilation noise', 'ventilation noise;background noise;building services', {
  f: 'Background noise;School ventilation',
  g: 'Services noise;Background noise',
  m: 'Auditory masking',
  classes: 'B4.1;C2.1',
  measure: 'sound level',
  levels: levels('dB', [30, 36], [41, 52]),
})
const system = item(
  'sound-field amplification',
  'sound-field system;classroom amplification;assistive listening',
  {
    f: 'Sound amplification in class',
    g: 'Sound reinforcement',
    m: 'Hearing assistance',
    classes: 'B4.4',
    measure: 'gain of the system',
    levels: levels('dB', [7, 12], [2, 4]),
  },
)
const signals = item('+quiet signals', 'noise feedback;noise meter;classroom management', {
  f: 'Quiet signals;Classroom management',
  g: 'Noise control',
  m: 'Feedback',
  classes: 'B4.1',
  measure: 'sound level',
  levels: levels('dB', [54, 59], [62, 68]),
})

const listening = item('listening comprehension', 'listening comprehension;listening;story comprehension', {
  f: 'Listening comprehension',
  g: 'Speech intelligibility',
  m: 'Listening comprehension;Discourse understanding',
  measure: 'a story-retelling task',
  test: 'Retold Stories Scale',
})
const perception = item('speech perception', 'speech perception;speech intelligibility;word recognition', {
  f: 'Speech perception in class',
  g: 'Speech intelligibility',
  m: 'Speech perception',
  measure: 'a sentence-repetition test',
  test: 'Short Sentences in Babble Test',
})
const effort = item('-listening effort', 'listening effort;mental fatigue;response time', {
  f: 'Listening effort;Fatigue of learners',
  g: 'Listening conditions',
  m: 'Listening effort;Mental fatigue',
  measure: 'a dual-task paradigm',
  test: 'Effort Ladder for Children',
})
const instructions = item(
  'understanding of spoken instructions',
  'following instructions;listening comprehension',
  {
    f: 'Following instructions;Listening comprehension',
    g: 'Speech intelligibility',
    m: 'Listening comprehension;Working memory',
    measure: 'a task of following spoken directions',
    test: 'Do-as-I-Say Task',
  },
)
const reading = item('early reading', 'early reading;word reading;reading development', {
  f: 'Beginning reading;Decoding of words',
  g: 'School performance',
  m: 'Reading development',
  measure: 'a one-minute word-reading test',
  test: 'First Words Reading Probe',
})
const fluency = item('reading fluency', 'reading fluency;reading speed', {
  f: 'Reading fluency',
  g: 'School performance',
  m: 'Reading development;Reading rate',
  measure: 'timed passages read aloud',
  test: 'Timed Passages Record',
})
const comprehension = item('reading comprehension', 'reading comprehension;text comprehension', {
  f: 'Reading comprehension',
  g: 'School performance',
  m: 'Reading comprehension',
  measure: 'multiple-choice questions on short texts',
  test: 'Short Texts Questionnaire',
})
const annoyance = item('-annoyance', 'noise annoyance;wellbeing', {
  f: 'Annoyance',
  g: 'Noise annoyance',
  m: 'Annoyance',
  measure: 'a five-point picture scale',
  test: 'Smiley Annoyance Scale',
})
const recall = item('recall of spoken words', 'verbal memory;auditory memory;working memory', {
  f: 'Working memory;Distraction',
  g: 'Listening conditions',
  m: 'Working memory;Serial recall',
  measure: 'a serial-recall task',
  test: 'Spoken Lists Recall',
})

export const SOUND_TOPICS: Topic[] = [
  {
    id: 'rooms-and-listening',
    weight: 2.2,
    covered: { fernhollow: 0.82, girder: 0.75, mindmere: 0.6 },
    stages: { primary: 8, preschool: 1, secondary: 1 },
    designs: { experiment: 4, 'field trial': 4, measurement: 2, observation: 1, survey: 1, review: 0.6 },
    exposures: [reverberation, ceilings, panels, reverberation, chatter, background],
    outcomes: [listening, perception, effort, instructions],
    leads: [
      'Ceilings that listen',
      'Hearing the teacher',
      'Seconds that matter',
      'When rooms answer back',
      'What the back row hears',
      'A quieter lesson',
      'Between walls and words',
      'The room as a third speaker',
    ],
    background: [
      'Children need [more favourable|better] listening conditions than adults to understand the same sentence.',
      'Much of what is taught in the first school years is taught by ear.',
      'Late reflections [smear|blur] the consonants on which word recognition depends.',
      'Guidelines for school buildings set limits for reverberation, but [few|hardly any] rest on data from children at work.',
      "A teacher's voice reaches the back rows some [six|eight|ten] decibels weaker than the front.",
    ],
    methods: [
      "Sentences were played back from the teacher's place and repeated by each child.",
      'Room impulse responses were recorded at [four|six|nine] seats in each room.',
      'Recorded babble of [two|four|eight] children served as the masker.',
      'Binaural recordings made in [empty|occupied] rooms were presented over headphones.',
    ],
    findings: [
      'Pupils seated in the last row lost most.',
      'The youngest group needed a signal-to-noise ratio [3|4|5] dB better than the oldest for the same score.',
      'In babble the gain was larger than in steady noise.',
      'Ratings of listening effort fell [even where scores did not change|together with response times].',
    ],
  },
  {
    id: 'noise-and-reading',
    weight: 1.8,
    covered: { fernhollow: 0.8, girder: 0.5, mindmere: 0.7 },
    stages: { primary: 8, secondary: 1 },
    designs: { observation: 2, survey: 2, longitudinal: 3, 'field trial': 2, experiment: 2, review: 0.6 },
    exposures: [traffic, aircraft, background, chatter, hvac],
    outcomes: [reading, fluency, comprehension, annoyance, recall],
    leads: [
      'Reading under the flight path',
      'First graders in babble',
      'The price of a busy road',
      'Learning to read next door to noise',
      'Noise, letters and time',
      'Loud streets, slow pages',
    ],
    background: [
      'Chronic noise has been linked with slower progress in reading, but the path between the two is disputed.',
      'Learning to read rests on hearing differences between similar sounds.',
      'Most studies of noise at school have looked at [aircraft|one source of noise only].',
    ],
    methods: [
      'Outdoor levels were modelled for each school and checked by measurements over [one week|two weeks].',
      'Indoor levels were logged during lessons [with windows closed|on ordinary school days].',
      'Models allowed for family income and language spoken at home.',
    ],
    findings: [
      'A difference of 5 dB corresponded to [one|two] months of reading progress.',
      'The relation was stronger in rooms with single glazing.',
      'Adjusting for [family income|school intake] removed about half of the association.',
    ],
  },
  {
    id: 'sound-field',
    weight: 1,
    covered: { fernhollow: 0.85, girder: 0.5, mindmere: 0.45 },
    stages: { primary: 7, preschool: 1, special: 2 },
    designs: { 'field trial': 5, experiment: 2, survey: 2, interviews: 1, observation: 1 },
    exposures: [system, system, signals],
    outcomes: [listening, perception, instructions, reading, effort],
    leads: [
      'A voice for every seat',
      'Turning up the teacher',
      'Amplify or absorb?',
      'Louder is not clearer',
      'One microphone, thirty listeners',
    ],
    background: [
      'Amplifying the teacher is [often proposed|sold] as a [cheap|quick] answer to poor rooms.',
      'Whether loudspeakers help in rooms that are already reverberant is [not settled|open].',
    ],
    methods: [
      'The systems were switched on and off by turns of [two|four|six] weeks.',
      'Teachers wore a [head|collar] microphone for [most|all] lessons.',
    ],
    findings: [
      'In rooms with long reverberation the system brought nothing.',
      'Teachers [reported|described] less strain on the voice by the end of the day.',
      'Pupils with mild hearing loss gained [twice as much as|more than] their classmates.',
    ],
  },
  {
    id: 'hearing-loss',
    weight: 1,
    covered: { fernhollow: 0.75, girder: 0.2, mindmere: 0.75 },
    stages: { special: 6, primary: 5, secondary: 1 },
    designs: { experiment: 4, survey: 2, interviews: 2, longitudinal: 2, review: 0.7 },
    exposures: [
      item('mild hearing loss', 'mild hearing loss;hearing-impaired children', {
        f: 'Pupils with mild hearing loss;Learners with hearing loss',
        m: 'Hearing loss',
      }),
      item('remote-microphone use', 'remote microphone;hearing aids', {
        f: 'Learners with hearing loss;Sound amplification in class',
        g: 'Sound reinforcement',
        m: 'Hearing assistance;Hearing loss',
        measure: 'wearing time',
      }),
      item('+cochlear implants', 'cochlear implants;hearing-impaired children', {
        f: 'Pupils with cochlear implants',
        m: 'Hearing loss;Hearing assistance',
      }),
      background,
    ],
    outcomes: [
      perception,
      listening,
      effort,
      item('vocabulary', 'vocabulary;word learning', {
        f: 'Vocabulary growth',
        m: 'Vocabulary development',
        measure: 'a picture-naming test',
        test: 'Name-the-Picture Series',
      }),
    ],
    leads: [
      'Listening with half an ear',
      'Hard of hearing in a loud class',
      'In the mainstream, at the margin',
      'What aids do not reach',
    ],
    background: [
      'Pupils with hearing loss [increasingly|more and more often] attend ordinary schools.',
      'A mild loss is easily overlooked in a [busy|lively] class.',
    ],
    methods: [
      'Hearing thresholds were [taken from clinic files|measured on the day].',
      'Normal-hearing classmates of the same age served for comparison.',
    ],
    findings: [
      'Half of the pupils with a loss had never been [seated near the teacher|given any aid].',
      'The gap to classmates widened in noise.',
    ],
  },
  {
    id: 'second-language-listening',
    weight: 1,
    covered: { fernhollow: 0.85, girder: 0.12, mindmere: 0.6 },
    stages: { primary: 5, secondary: 4, university: 3, adults: 1 },
    designs: { experiment: 5, 'field trial': 2, survey: 1, longitudinal: 1 },
    exposures: [
      item('listening in a second language', 'second-language listening;multilingual pupils', {
        f: 'Second-language listening;Second-language learners',
        m: 'Second language;Listening comprehension',
      }),
      chatter,
      reverberation,
      item('talker accent', 'accent;second-language listening', {
        f: 'Second-language listening;Oral language',
        m: 'Second language;Speech perception',
      }),
    ],
    outcomes: [listening, perception, effort, recall],
    leads: [
      'Twice as hard',
      'Listening across languages',
      'New words in a noisy room',
      'Understanding the unfamiliar voice',
    ],
    background: [
      'Listeners in a second language are hit harder by noise than native listeners.',
      'In many city schools [every third|every second] pupil is taught in a language not spoken at home.',
    ],
    methods: [
      'Language background was taken from a parent questionnaire.',
      'Talkers with [two|three] accents read the same passages.',
    ],
    findings: [
      'The cost of noise was [about twice as large|larger] for second-language listeners.',
      'Vocabulary size explained most of the difference between groups.',
    ],
  },
  {
    id: 'teachers-voice',
    weight: 2.5,
    who: ['teachers', 'primary-school teachers', 'class teachers'],
    covered: { fernhollow: 0.75, girder: 0.4, mindmere: 0.35 },
    stages: { primary: 6, preschool: 3, secondary: 3 },
    designs: { survey: 5, observation: 3, measurement: 2, 'field trial': 1, interviews: 2 },
    exposures: [
      reverberation,
      background,
      item('vocal load', 'vocal load;voice use', {
        f: 'Voice care of teachers',
        g: 'Speech level',
        m: 'Voice',
        measure: 'voice level at the mouth',
        levels: levels('dB', [60, 65], [70, 78]),
      }),
    ],
    outcomes: [
      item('-+voice complaints', "teachers' voice;voice disorders;hoarseness", {
        f: 'Voice care of teachers;Teachers',
        g: 'Occupational noise',
        m: 'Voice;Occupational health',
        measure: 'a questionnaire on hoarseness',
        test: 'Teacher Hoarseness Inventory',
      }),
      item('-teacher fatigue', 'teacher fatigue;teacher workload', {
        f: 'Teacher workload;Teachers',
        m: 'Occupational health;Mental fatigue',
        measure: 'end-of-day ratings',
      }),
    ],
    leads: ['Hoarse by Thursday', 'Speaking over the class', 'The cost of being heard', 'Voices at work'],
    background: [
      'Teachers are [among the most frequent visitors of voice clinics|heavy users of their voices].',
      'Speakers raise their voices with the noise around them, mostly without noticing.',
    ],
    methods: [
      'Voice use was logged with a [neck-worn sensor|dosimeter] over [two|three|five] working days.',
      'Rooms were sorted by reverberation time.',
    ],
    findings: [
      'Voice level rose by about half a decibel for each decibel of noise.',
      'Women reported complaints [about twice as often as|more often than] men.',
    ],
  },
  {
    id: 'open-plan-schools',
    weight: 1,
    covered: { fernhollow: 0.8, girder: 0.6, mindmere: 0.3 },
    stages: { primary: 7, secondary: 3 },
    designs: { observation: 3, survey: 3, measurement: 3, interviews: 2, 'field trial': 1 },
    exposures: [
      item('open-plan teaching', 'open-plan classrooms;flexible learning spaces', {
        f: 'Open-plan schools',
        g: 'Open-plan spaces',
        m: 'School environment',
        classes: 'B4.5',
      }),
      item('+partition walls', 'partitions;open-plan classrooms', {
        f: 'Open-plan schools;School renovation',
        g: 'Partitions;Sound insulation',
        m: 'School environment',
        classes: 'B3.1',
      }),
      chatter,
    ],
    outcomes: [
      perception,
      annoyance,
      item('on-task behaviour', 'on-task behaviour;attention', {
        f: 'Attention in class',
        m: 'Attention;Classroom behavior',
        measure: 'momentary time sampling',
      }),
      listening,
    ],
    leads: [
      'Without walls',
      'Four classes, one hall',
      'Sharing the air',
      'Open plans revisited',
      'Doors that came back',
    ],
    background: [
      'Open-plan schools have returned with the talk of flexible learning.',
      'What is gained in freedom of movement may be lost in quiet.',
    ],
    methods: [
      'Speech of neighbouring groups was measured at each place of teaching.',
      'Plans were sorted into [three|four] types by the share of open sides.',
    ],
    findings: [
      'Speech from the next group was understood at up to [nine|twelve|fifteen] metres.',
      'Teachers moved quiet work to [other rooms|the end of the day].',
    ],
  },
]

export {
  annoyance,
  background,
  chatter,
  listening,
  perception,
  reading,
  recall,
  fluency,
  comprehension,
  effort,
  traffic,
  aircraft,
}
