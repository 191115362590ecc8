import { item } from '../topic'

// Outcomes that several topics share.
export const attention = item('sustained attention', 'sustained attention;concentration;on-task behaviour', {
  f: 'Attention in class',
  g: 'Occupant performance',
  m: 'Attention',
  measure: 'a letter-cancellation test',
  test: 'Cross-the-Letters Task',
})
export const memory = item('working memory', 'working memory;short-term memory', {
  f: 'Working memory',
  m: 'Working memory',
  measure: 'a backward digit span',
  test: 'Backward Digits',
})
export const arithmetic = item('mental arithmetic', 'arithmetic;numeracy;mathematics', {
  f: 'Mental arithmetic;Numeracy',
  g: 'School performance',
  m: 'Number ability',
  measure: 'three-minute sum sheets',
  test: 'Three-Minute Sums',
})
export const wellbeing = item('wellbeing at school', 'wellbeing;school climate', {
  f: 'Learner wellbeing',
  g: 'Occupant satisfaction',
  m: 'Well-being',
  measure: 'a wellbeing questionnaire',
  test: 'Days at School Questionnaire',
})
export const wordLearning = item('vocabulary growth', 'vocabulary;word learning', {
  f: 'Vocabulary growth',
  m: 'Vocabulary development',
  measure: 'a picture-choice vocabulary test',
  test: 'Point-to-It Vocabulary',
})
export const rhyme = item('phonological awareness', 'phonological awareness;rhyme;phonemes', {
  f: 'Phonological awareness',
  m: 'Phonological awareness',
  measure: 'rhyme and segmentation tasks',
  test: 'Sounds-in-Words Battery',
})
export const marks = item('+school marks', 'school marks;achievement', {
  f: 'School marks;Learning results',
  m: 'Academic achievement',
  measure: 'end-of-year marks',
})
export const spelling = item('spelling', 'spelling;writing', {
  f: 'Spelling',
  m: 'Spelling ability',
  measure: 'a forty-word dictation',
  test: 'Forty Word Dictation',
})
export const motivation = item('motivation', 'motivation;engagement', {
  f: 'Motivation',
  m: 'Motivation',
  measure: 'pupil ratings',
})
export const interest = item('reading interest', 'reading for pleasure;motivation', {
  f: 'Reading interest',
  m: 'Motivation;Reading development',
  measure: 'a reading diary',
})
