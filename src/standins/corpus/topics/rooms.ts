import { item, levels, type Topic } from '../topic'
import { attention, arithmetic, wellbeing, motivation } from './outcomes'
import { reading } from './sound'

/** What rooms and buildings do to those who learn in them. */
export const ROOM_TOPICS: Topic[] = [
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
]
