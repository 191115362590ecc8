/** The thesaurus of the Fernhollow Education Index, as an outline (see core/vocabulary/outline.ts). */
export const FERNHOLLOW_OUTLINE = `
Schools and buildings
  : Places where teaching happens, seen as places. For schools as institutions use School organisation.
  Educational facilities
    = school facilities; education buildings
    : The rooms, buildings and grounds used for teaching, whatever the stage.
    School buildings
      = schoolhouses
      ~ School maintenance
      Open-plan schools since 1994
        = open-plan classrooms; open classroom design; shared teaching areas
        : Schools whose teaching spaces are not fully divided by walls. For the teaching style of the 1970s use Informal education.
        ~ Classroom sound
      School renovation since 1999
        = school retrofit; school refurbishment; modernisation of schools
      Timber school buildings since 2011
        = wooden schools
      Temporary classrooms
        = portable classrooms; relocatable classrooms
    Classrooms
      = teaching rooms; schoolrooms
      : Rooms in which a class is taught. For what happens in them use Classroom environment.
      Elementary school classrooms since 1991
        = primary classrooms; primary-school classrooms
        : Classrooms for pupils of about five to twelve. Before 1991 use Classrooms.
      Secondary school classrooms
      Preschool rooms
        = nursery rooms; kindergarten rooms
      Music rooms
        = practice rooms
      Lecture theatres
        = lecture halls; auditoria in education
    School grounds
      Playgrounds
        = school yards; play areas
        ~ Outdoor learning
      School gardens
    School libraries
    Gymnasiums
      = sports halls
    Dining halls
      = school canteens; refectories
    Classroom furniture
      = school furniture; desks and chairs
      ~ Sitting posture
  Classroom environment
    = physical learning environment; indoor conditions in schools
    : The measurable conditions of a room in which pupils learn. For relations between people use Classroom climate.
    ~ Classroom climate
    ~ Learner wellbeing
    Classroom sound
      = classroom acoustics; acoustics of classrooms; sound conditions in classrooms; echo in rooms; acoustical environment of schools
      : Sound in teaching rooms and how it is shaped by the room. Two ideas under one heading: the sound field itself and its treatment. For unwanted sound from any place use Noise (sound).
      ~ Noise (sound)
      ~ Hearing in school
      ~ Voice care of teachers
      Sound amplification in class since 1997
        = sound-field amplification; classroom amplification; soundfield systems; assistive listening systems
        : Microphones and loudspeakers that raise the teacher's voice for a whole class.
        ~ Hearing in school
      Acoustic treatment of classrooms since 2004
        = absorbent ceilings; acoustic ceilings; sound absorption in classrooms
        : Work done on a room so that it reflects less sound. Older records: Classroom sound.
      Quiet areas in schools since 2013
        = quiet rooms; withdrawal rooms
    Classroom lighting
      = lighting in schools
      Daylight in classrooms since 2002
        = daylighting of schools; natural light in classrooms
      ~ Visual comfort
    Visual comfort
      = glare
    Classroom air quality since 1998
      = indoor air in schools; air quality in classrooms; stuffy classrooms
      ~ Pupil health
      School ventilation since 1998
        = ventilation of classrooms; airing of classrooms
    Classroom temperature
      = thermal comfort in schools; overheating of classrooms
    Classroom seating
      = seating arrangement
      ~ Classroom furniture
  School maintenance
  School location
    = school sites
    ~ Noise (sound)
    School travel
      = journey to school
  Noise (sound)
    = noise; noise pollution; environmental noise; unwanted sound
    : Unwanted sound wherever it comes from. It is not above Classroom sound: take both where rooms matter.
    ~ School location
    Traffic noise
      = road noise; aircraft noise; railway noise
      : Also sound of aircraft and trains as heard at school.
    Speech noise since 2006
      = babble; classroom chatter; competing talkers; irrelevant speech
    Background noise
      = ambient noise; noise levels

Learners
  : People who learn, by stage, age or condition.
  Pupils
    = schoolchildren; school children
    Elementary school pupils
      = primary-school pupils; primary pupils; elementary students
      : Pupils of about five to twelve years.
      Grade 1 pupils
        = first graders; year 1 pupils
      Grade 2 pupils
        = second graders
      Grade 3 pupils
        = third graders
      Grade 4 pupils
        = fourth graders
    Secondary school pupils
      = secondary students; adolescents at school
    Preschool children
      = kindergarten children; nursery children
  University students
    = undergraduates; college students
  Adult learners
  Second-language learners
    = learners of English as an additional language; bilingual pupils; multilingual pupils
    ~ Second-language listening
  Learners with hearing loss
    = hearing-impaired pupils; deaf and hard-of-hearing pupils; children with hearing loss
    : Pupils whose hearing is impaired, aided or not.
    ~ Sound amplification in class
    Pupils with cochlear implants since 2003
    Pupils with mild hearing loss since 2009
      = minimal hearing loss; unilateral hearing loss
  Learners with attention difficulties
    = pupils with attention disorders
    ~ Attention in class
  Learners with reading difficulties
    = poor readers; dyslexic pupils; dyslexia
    ~ Reading support
  Gifted pupils
  Learner characteristics
    Learner age
    Learner gender
      = sex differences
    Socio-economic background
      = family income; disadvantaged pupils
  Learner wellbeing
    = wellbeing at school; pupil wellbeing
    Pupil health
    School stress
      = pupil stress
    Fatigue of learners
      = tiredness at school; mental fatigue
    Annoyance
      = noise annoyance
      ~ Noise (sound)

Learning and its outcomes
  : What learners come to know and do, and how it is seen.
  Language learning
    Listening skills
      = listening; auditory skills at school
      : Taking in what is said. For hearing as a sense use Hearing in school.
      ~ Hearing in school
      Listening comprehension
        = understanding of spoken language; oral comprehension; story comprehension; listening test results
        : Understanding of what was heard, shown in answers, retelling or action. It is above no heading on effort: see Listening effort.
        ~ Reading comprehension
        Following instructions
          = comprehension of oral instructions; understanding directions
        Second-language listening since 2001
          = listening in a foreign language
      Listening effort since 2012
        = effortful listening; ease of listening
        : The mental work that understanding takes. Older records: Listening skills, Fatigue of learners.
        ~ Fatigue of learners
        ~ Attention in class
      Speech perception in class
        = speech intelligibility; word recognition; sentence recognition; speech understanding
        : Recognition of spoken words and sentences.
        ~ Hearing in school
      Auditory discrimination
        = sound discrimination
    Vocabulary growth
      = word learning; vocabulary acquisition
    Phonological awareness
      = phoneme awareness; rhyme awareness
      ~ Beginning reading
    Oral language
      = spoken language; speaking skills
      Classroom talk
        = classroom discourse
    Second-language learning
      = foreign-language learning
  Reading
    = reading skills
    Beginning reading
      = early reading; learning to read; reading acquisition; emergent reading
      : The first stage of learning to read, to about the end of the third school year.
      Letter knowledge
        = alphabet knowledge
      Decoding of words
        = word reading; word decoding; pseudoword reading
      Reading readiness
    Reading fluency
      = reading speed; reading rate; oral reading fluency
    Reading comprehension
      = understanding of texts; text comprehension
    Reading interest
      = reading for pleasure
    Reading support since 1996
      = reading intervention; remedial reading
    Digital reading since 2007
      = reading on screens
  Writing
    Handwriting
      = letter formation
    Spelling
      = orthography
    Composition
  Numeracy
    = mathematics learning; arithmetic skills
    Mental arithmetic
    Number sense
  Learning processes
    Attention in class
      = sustained attention; on-task behaviour; concentration
      ~ Listening effort
      Distraction
        = distractibility; auditory distraction
        ~ Speech noise
    Memory
      Working memory
        = short-term memory
      Long-term memory
        = recall of lessons
    Motivation
      = engagement
    Metacognition
  Learning results
    = attainment; achievement; school performance
    Test scores
      = standardised test results
    School marks
      = grades (marks)
    Learning gains
      = progress of pupils; growth in learning

Teaching and teachers
  Teaching methods
    Group work
      = cooperative learning; collaborative work
      ~ Speech noise
    Whole-class teaching
      = direct instruction; frontal teaching
    Reading aloud
      = storytelling; shared reading
      ~ Listening comprehension
    Music lessons
      = music teaching; music education
      ~ Phonological awareness
    Phonics teaching
      = phonics
      ~ Decoding of words
    Homework
      = home assignments
    Outdoor learning since 2000
      = forest school; learning outside
    Play-based learning
    Digital learning materials
      = digital textbooks; e-textbooks; educational software
      Tablet computers in class since 2012
    Informal education
      = open education (style)
  Classroom management
    = discipline in class
    Quiet signals since 2008
      = noise-level feedback; noise meters in class; sound-level traffic lights
      : Signs that show a class how loud it is.
    Class size
      = pupil-teacher ratio
  Classroom climate
    = social climate; teacher-pupil relations
  Teachers
    = school staff
    Elementary school teachers
      = primary-school teachers
    Teacher education
      = teacher training
    Teacher turnover
      = teacher retention; staff turnover
    Teacher workload
      = teacher stress
    Voice care of teachers since 2001
      = teachers' voice; voice disorders of teachers; vocal load; voice strain
      ~ Classroom sound
    Teacher attitudes
      = teachers' beliefs; teacher perceptions
  Hearing in school
    = school hearing screening; hearing
    : Hearing as a sense and its care at school.
  Sitting posture

Research and assessment
  : How studies in education are made; given to records in which the method is a subject, or as a form of study.
  Research methods
    Experiments
      = experimental studies; randomised trials
    Field studies
      = classroom observation; observation in schools
    Surveys
      = questionnaires; rating scales
    Interviews
      = focus groups
    Longitudinal studies
      = panel studies; follow-up studies
    Literature reviews
      = systematic reviews; research syntheses; meta-analyses
    Case studies
    Action research
  Tests and measures
    = assessment instruments
    Reading tests
    Listening tests
    Vocabulary tests
    Attention tests
    Speech tests
  School organisation
    = school administration
    School policy
      = education policy; guidelines for schools
      Building standards for schools since 2003
        = school building codes; acoustic standards for schools
        ~ School buildings
    School stages
      Primary education
        = elementary education; primary schools
      Secondary education
      Early childhood education
        = preschool education
      Higher education
      Special education
        = special needs education; inclusion
`
