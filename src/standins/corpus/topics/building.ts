import { item, levels, type Topic } from '../topic'
import { annoyance, background } from './sound'

const insulation = item('impact sound insulation', 'impact sound;sound insulation', {
  f: 'School buildings',
  g: 'Impact sound;Floors',
  classes: 'B3.2',
  measure: 'impact level',
  levels: levels('dB', [42, 50], [56, 68]),
})
const satisfaction = item('occupant satisfaction', 'occupant satisfaction;comfort', {
  f: 'Learner wellbeing',
  g: 'Occupant satisfaction',
  m: 'Well-being',
  measure: 'a questionnaire to users',
})
const disturbance = item('-disturbance by sound', 'noise annoyance;disturbance', {
  f: 'Annoyance',
  g: 'Noise annoyance;Community response',
  m: 'Annoyance',
  measure: 'an eleven-point scale',
})
const performance = item('work performance', 'performance;concentration', {
  f: 'Attention in class',
  g: 'Occupant performance',
  m: 'Work performance;Attention',
  measure: 'proof-reading and search tasks',
})
const clarity = item('perceived clarity', 'clarity;listening test', {
  g: 'Clarity of rooms;Listening tests',
  m: 'Music perception',
  measure: 'paired comparisons',
})
const recognition = item('automatic speech recognition', 'speech recognition;speech technology', {
  g: 'Speech technology',
  m: 'Speech perception',
  measure: 'word error rates',
})
const intelligibility = item('speech intelligibility', 'speech intelligibility;speech transmission', {
  f: 'Speech perception in class',
  g: 'Speech intelligibility;Speech transmission',
  m: 'Speech perception',
  measure: 'word lists read in the room',
})
const energy = item('-energy use', 'energy;retrofit', {
  f: 'School buildings',
  g: 'Energy standards',
  measure: 'metered consumption',
})

export const BUILDING_TOPICS: Topic[] = [
  {
    id: 'impact-sound',
    weight: 1.6,
    who: ['residents', 'users'],
    sites: ['floors', 'buildings'],
    covered: { fernhollow: 0.06, girder: 0.97, mindmere: 0.02 },
    stages: { none: 8, primary: 1 },
    designs: { measurement: 6, modelling: 4, survey: 2, experiment: 1 },
    exposures: [
      insulation,
      item('+floating floors', 'floating floors;impact sound', {
        f: 'School buildings',
        g: 'Floating floors;Impact sound',
        classes: 'B3.2',
      }),
      item('+floor coverings', 'floor coverings;carpets', {
        f: 'School buildings',
        g: 'Floor coverings',
        classes: 'B3.2',
      }),
    ],
    outcomes: [disturbance, satisfaction],
    leads: ['Steps above', 'Footfall', 'Below the dance class', 'Soft underfoot'],
    background: [
      'Footfall is the sound most often named in complaints about [floors|lightweight buildings].',
      'Low frequencies are left out of the usual ratings.',
    ],
    methods: ['A standard tapping machine and a rubber ball were used as sources.'],
    findings: ['Ratings by the ball agreed better with complaints than those by the tapping machine.'],
  },
  {
    id: 'noise-maps',
    weight: 1.5,
    who: ['residents', 'households'],
    sites: ['streets', 'towns'],
    covered: { fernhollow: 0.05, girder: 0.95, mindmere: 0.1 },
    stages: { none: 9 },
    designs: { modelling: 6, measurement: 4, survey: 2 },
    exposures: [
      item('road traffic noise', 'traffic noise;noise maps', {
        f: 'Traffic noise',
        g: 'Road traffic noise;Noise maps',
        m: 'Noise exposure',
        classes: 'B5.1',
        measure: 'day-evening-night level',
        levels: levels('dB', [48, 55], [62, 74]),
      }),
      item('aircraft noise', 'aircraft noise;noise maps', {
        f: 'Traffic noise',
        g: 'Aircraft noise;Noise maps',
        m: 'Noise exposure',
        classes: 'B5.2',
        measure: 'day-evening-night level',
        levels: levels('dB', [45, 52], [58, 68]),
      }),
    ],
    outcomes: [disturbance, annoyance],
    leads: ['Colours on a map', 'Quiet sides', 'Contours', 'Mapping the night'],
    background: [
      'Maps of noise are drawn by calculation and seldom checked.',
      'Schools and homes near main roads fall into the same contour but not into the same quiet.',
    ],
    methods: ['Calculated levels were compared with [two|four] weeks of measurements at façades.'],
    findings: ['Calculation was too high by about [two|three] decibels in narrow streets.'],
  },
  {
    id: 'concert-halls',
    weight: 1.2,
    who: ['listeners', 'concert-goers'],
    sites: ['halls', 'cities'],
    covered: { fernhollow: 0.01, girder: 0.95, mindmere: 0.12 },
    stages: { none: 9 },
    designs: { measurement: 4, modelling: 4, experiment: 3 },
    exposures: [
      item('hall shape', 'concert halls;room shape', { g: 'Concert halls;Room acoustics', classes: 'B4.6' }),
      item('variable absorption', 'variable acoustics;sound absorption', {
        g: 'Sound absorption;Concert halls',
        classes: 'B4.3',
        measure: 'reverberation time',
        levels: levels('s', [1.6, 1.9], [2.2, 2.8], 1),
      }),
    ],
    outcomes: [
      clarity,
      item('preference of listeners', 'listener preference;listening test', {
        g: 'Listening tests;Auditoria',
        m: 'Music perception',
        measure: 'paired comparisons',
      }),
    ],
    leads: ['Shoebox or fan', 'Third balcony', 'The width of the hall', 'Curtains for the choir'],
    background: ['Halls are compared from memory, which is short for sound.'],
    methods: ['Binaural recordings from [eight|twelve] seats were compared in the laboratory.'],
    findings: ['Listeners fell into two groups, one for clarity and one for fullness.'],
  },
  {
    id: 'offices',
    weight: 1.6,
    who: ['employees', 'office workers'],
    sites: ['offices', 'firms'],
    covered: { fernhollow: 0.03, girder: 0.85, mindmere: 0.45 },
    stages: { adults: 9 },
    designs: { survey: 4, 'field trial': 2, experiment: 4, measurement: 2 },
    exposures: [
      item('open-plan work', 'open-plan offices;speech privacy', {
        g: 'Open-plan spaces;Offices',
        m: 'Built environment',
        classes: 'B4.5',
      }),
      item('sound masking', 'sound masking;open-plan offices', {
        g: 'Masking of sound;Offices',
        m: 'Auditory masking',
        classes: 'B4.5',
      }),
      item('irrelevant speech', 'irrelevant speech;speech privacy', {
        f: 'Speech noise',
        g: 'Speech privacy;Open-plan spaces',
        m: 'Irrelevant speech',
        classes: 'B4.5',
      }),
    ],
    outcomes: [performance, satisfaction, annoyance],
    leads: ['The next desk', 'Half a conversation', 'Screens and whispers', 'Not my call'],
    background: ['Speech that is understood disturbs more than louder sound that is not.'],
    methods: ['Employees worked under [two|three] conditions for a week each.'],
    findings: ['What was liked and what helped were not the same.'],
  },
  {
    id: 'ward-alarms',
    weight: 1,
    who: ['nurses', 'members of staff'],
    sites: ['wards', 'hospitals'],
    covered: { fernhollow: 0.01, girder: 0.7, mindmere: 0.4 },
    stages: { adults: 9 },
    designs: { observation: 4, measurement: 3, experiment: 2, survey: 2 },
    exposures: [
      item('alarm load', 'alarms;hospital noise', {
        g: 'Alarm sounds;Hospitals',
        m: 'Noise exposure',
        classes: 'B5.4',
        measure: 'sound level on the ward',
        levels: levels('dB', [41, 48], [55, 66]),
      }),
    ],
    outcomes: [
      item('-response time of staff', 'response time;alarms', {
        g: 'Alarm sounds',
        m: 'Reaction time',
        measure: 'times from video',
      }),
      item('sleep of patients', 'sleep;hospital noise', {
        g: 'Hospitals;Occupant health',
        m: 'Sleep',
        measure: 'wrist sensors',
      }),
    ],
    leads: ['Which bed?', 'Beeps at night', 'Crying wolf', 'Quiet hours'],
    background: ['Nine alarms in ten call for nothing to be done.'],
    methods: ['Alarms were counted by hand for [three|five] nights.'],
    findings: ['Quiet hours halved the peaks but not the mean.'],
  },
  {
    id: 'timber-and-retrofit',
    weight: 1.6,
    who: ['users', 'occupants'],
    sites: ['rooms', 'buildings'],
    covered: { fernhollow: 0.15, girder: 0.97, mindmere: 0.01 },
    stages: { primary: 3, secondary: 2, none: 5 },
    designs: { measurement: 5, modelling: 5, survey: 1 },
    exposures: [
      item('timber construction', 'timber buildings;lightweight construction', {
        f: 'Timber school buildings',
        g: 'Timber construction;Airborne sound',
        classes: 'D1.2',
      }),
      item('energy retrofit', 'retrofit;renovation of schools', {
        f: 'School renovation',
        g: 'Retrofit;Energy standards',
        classes: 'D1.3',
      }),
      item('new glazing', 'glazing;façade insulation', {
        f: 'School renovation;Noise (sound)',
        g: 'Glazing;Facade insulation',
        classes: 'B3.1',
      }),
    ],
    outcomes: [
      satisfaction,
      energy,
      item('-indoor noise', 'background noise;sound insulation', {
        f: 'Background noise',
        g: 'Background noise;Sound insulation',
        m: 'Noise exposure',
        measure: 'sound level indoors',
      }),
    ],
    leads: ['Wood and weight', 'A school in twelve weeks', 'After the scaffolding', 'New panes, old walls'],
    background: [
      'Tight façades make a room quieter outside and louder inside.',
      'Light walls need care where heavy ones forgive.',
    ],
    methods: ['The same rooms were measured before and after the work.'],
    findings: ['With traffic shut out, the sound of the ventilation was noticed.'],
  },
  {
    id: 'urban-planning',
    weight: 1,
    who: ['residents', 'parents'],
    sites: ['streets', 'districts'],
    covered: { fernhollow: 0.08, girder: 0.85, mindmere: 0.15 },
    stages: { none: 9 },
    designs: { modelling: 3, survey: 4, interviews: 2, observation: 2 },
    exposures: [
      item('urban green space', 'urban green;planning', {
        f: 'School grounds',
        g: 'Urban green space;Urban planning',
        m: 'Nature',
        classes: 'D2.1',
      }),
      item('+speed limits', 'traffic planning;noise control', {
        f: 'School travel',
        g: 'Traffic planning;Noise control',
        classes: 'D2.2',
      }),
    ],
    outcomes: [satisfaction, disturbance],
    leads: ['Streets for waiting', 'The school run', 'Thirty is enough', 'A square to sit in'],
    background: ['What is planned for cars is lived in by children.'],
    methods: ['Residents were asked before and a year after the change.'],
    findings: ['Complaints fell more than levels did.'],
  },
  {
    id: 'speech-technology',
    weight: 1.1,
    covered: { fernhollow: 0.12, girder: 0.7, mindmere: 0.35 },
    stages: { primary: 3, adults: 4, none: 3 },
    designs: { experiment: 6, modelling: 3, 'field trial': 1 },
    exposures: [
      item('synthetic speech', 'synthetic speech;speech technology', {
        f: 'Digital learning materials',
        g: 'Speech technology',
        m: 'Speech perception',
        classes: 'B6.1',
      }),
      background,
      item('microphone distance', 'microphones;speech technology', {
        f: 'Digital learning materials',
        g: 'Microphones;Speech technology',
        classes: 'B6.1',
      }),
    ],
    outcomes: [recognition, intelligibility],
    leads: ['Machines that listen', 'Words in, words out', 'Synthetic teachers', 'Half a metre'],
    background: ['Recognisers trained on adults fail with children.'],
    methods: ['Recordings of [children|adults] reading word lists were mixed with noise at five ratios.'],
    findings: ['Errors doubled between quiet and a ratio of 5 dB.'],
  },
]
