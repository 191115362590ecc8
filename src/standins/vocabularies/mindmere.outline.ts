/** The thesaurus of the Mindmere Psychology File: American spelling, deep, with phenomena before places. */
export const MINDMERE_OUTLINE = `
Cognition
  Attention
    = concentration; attentiveness
    Sustained attention
      = vigilance
    Selective attention
      = cocktail-party listening
      ~ Informational masking
    Divided attention
      = dual-task performance
      ~ Listening effort
    Distraction
      = distractibility
      Irrelevant speech
        = irrelevant sound effect; background speech; auditory distraction
        ~ Serial recall
      Visual distraction
  Memory
    Short-term memory
      Working memory
        = working memory capacity; mental span
      Serial recall
        = digit span; immediate recall
    Long-term retention
    Verbal memory
      = memory for words
    Forgetting
  Mental effort
    = cognitive load; effortfulness
    Listening effort since 2010
      = effortful listening; effort of hearing; ease of listening
      : Effort spent to understand speech. Older records: Mental effort, Speech perception.
      ~ Mental fatigue
    Mental fatigue
      = tiredness; cognitive fatigue
  Thinking
    Reasoning
    Problem solving
    Number ability
      = numeracy; arithmetic ability; number sense
      Calculation skill
      Number comparison
  Executive function
    Inhibition
    Task switching
    Planning ability
  Metacognition
    Judgments of learning
Perception
  Auditory perception
    = hearing (perception); sound perception
    Auditory discrimination
      Pitch discrimination
      Gap detection
    Auditory masking
      = masking; energetic masking; hearing in noise
      : Raising of the threshold for one sound by another. Where the masker is speech that draws attention take Informational masking too.
      ~ Noise exposure
      Informational masking since 2002
        = babble masking; speech-on-speech masking
      Release from masking
    Auditory localization
      = spatial hearing
    Speech perception
      = speech recognition by listeners; speech intelligibility; word identification in noise
      ~ Auditory masking
      Phoneme perception
      Talker variability
        = accent perception
      Audiovisual speech
        = lip reading
    Music perception
      Rhythm
        = beat perception
      Melody
  Visual perception
    Word recognition
      = word decoding; visual word identification
      Letter identification
      Nonword reading
        = pseudoword reading
    Eye movements in reading
  Sensory disorders
    Hearing loss
      = hearing impairment; hard of hearing; deafness
      Mild hearing loss
        = minimal hearing loss
      Unilateral hearing loss
      ~ Hearing assistance
    Visual impairment
Language
  Language comprehension
    Listening comprehension
      = oral comprehension; spoken language comprehension; story comprehension
      : Understanding of connected speech. For single words or sentences in noise use Speech perception.
      ~ Speech perception
      Discourse understanding
        = text comprehension by ear
      Following directions
        = comprehension of instructions
    Reading comprehension
      = text comprehension
    Sentence comprehension
  Language production
    Speech production
      Voice
        = vocal function; voice quality
        Voice disorders
          = hoarseness; dysphonia
      Speech rate
    Written communication
      = writing; composition
      Handwriting
        = penmanship
      Spelling ability
        = orthography
  Language development
    = language acquisition
    Vocabulary development
      = word learning; lexical growth
      Fast mapping
    Phonological development
      Phonological awareness
        = phoneme awareness; rhyme awareness
    Language input
      = caregiver talk; classroom talk
    Second language
      = foreign language; bilingual listeners; nonnative listeners
      Bilingualism
  Reading
    Reading development
      = learning to read; early reading; beginning reading; literacy acquisition
      Emergent literacy
        = letter knowledge
    Reading rate
      = reading fluency; reading speed
    Reading aloud
      = shared reading; story reading
    Reading disability
      = dyslexia
    Reading interest and habit
Development and age
  Child development
    Infancy
    Early childhood
      = preschool age
    School age
      = middle childhood; elementary school students; primary pupils
    Adolescence
  Adulthood
    Young adults
      = college students
    Older adults
  Individual differences
    Sex differences
      = gender differences
    Temperament
    Noise sensitivity
      ~ Annoyance
    Intelligence
  Family
    Home environment
      = home literacy
    Parent involvement
      = parental help
    Socioeconomic status
      = family income; poverty
Learning and education
  Academic achievement
    = school performance; grades; scholastic attainment
    Test performance
    Grade retention
  Learning processes
    Learning strategies
      = study methods; worked examples
    Transfer of training
    Practice effects
    Feedback
      = knowledge of results
    Imitation learning
  Instruction
    Reading education
      = phonics; reading instruction; remedial reading
    Music training
      = music lessons; musical practice
    Computer-based learning
      = educational technology; digital textbooks
    Peer tutoring
      = paired learning; paired reading
    Mentoring
      = coaching
    Training
      = cognitive training
    Study habits
      = homework
  School environment
    = classroom environment; school climate; classrooms; learning environment
    : The school as surroundings of learning: rooms, order, people. There is no heading for the acoustics of rooms; take Noise exposure or Auditory masking.
    Classroom behavior
      = on-task behavior; classroom discipline
    Class size effects
    Teacher characteristics
      Teacher expectations
      Teacher-student relations
  Special education
    = inclusion; mainstreaming
  Motivation
    = engagement; interest
    Achievement motivation
    Intrinsic motivation
Health and emotion
  Health
    Health behavior
      Physical activity
        = exercise; movement
      Sleep
    Hearing health
      Hearing assistance
        = hearing aids; cochlear implants; remote microphones; classroom amplification
    Occupational health
      = health at work; sick leave
    Posture
  Emotion
    Annoyance
      = irritation; noise annoyance
      ~ Noise exposure
    Anxiety
    Enjoyment
    Anger
  Well-being
    = wellbeing; life satisfaction; comfort
    School well-being
  Stress
    Occupational stress
      = teacher stress; burnout; workload
    Physiological stress
      = cortisol
  Restoration
    = recovery; relaxation
    Nature
      = green space; natural environments; outdoor experience
Social and environmental psychology
  Environmental psychology
    Environmental conditions
      Noise exposure
        = noise; environmental noise; aircraft noise; traffic noise; chronic noise
        : Being exposed to noise, for a moment or for years.
      Illumination
        = lighting; daylight
      Temperature effects
        = heat; thermal comfort
      Air quality
    Crowding
    Personal space
    Built environment
      = room design; open-plan rooms
  Social behavior
    Play
      = play behavior; recess
    Cooperation
      = group work
    Communication
      Conversation
      Turn taking
  Work
    Job satisfaction
    Employee turnover
      = staff turnover; teacher turnover; retention
    Work performance
  Media
    Media use
      = screen time; television viewing
Methods and measurement
  Experimental design
    Randomized trials
      = controlled trials; cluster randomized trials
    Repeated measures
      = within-subject design
    Simulation methods
  Observation methods
    = behavioral observation; field observation
    Time sampling
  Self-report
    Questionnaires
      = surveys; rating scales
    Interviews
      = qualitative interviews; focus groups
    Diaries
  Longitudinal studies
    = follow-up studies; cohort studies
  Evidence synthesis
    = literature review; meta-analysis; systematic review
  Measurement
    Psychometrics
      Reliability
      Validity
    Reaction time
      = response time
    Pupillometry since 2008
    Neural measures
      Evoked potentials
        = event-related potentials
`
