/** The thesaurus of Girder & Sound Abstracts, with its classification codes. */
export const GIRDER_OUTLINE = `
Acoustics [B]
  Physical acoustics [B1]
    Sound propagation
      Outdoor propagation
        = outdoor echo
      Indoor propagation
    Sound waves
      Standing waves
      Diffraction
    Vibration
      Structure-borne sound
        ~ Impact sound
      Vibration damping
  Acoustic quantities [B2]
    : Measurable quantities of sound and of rooms.
    Sound pressure level
      = sound level; noise level; decibels
      Equivalent level
      Peak level
    Speech level
      = vocal effort (level); voice level
    Reverberation time since 1998
      ^ Room acoustics
      = echo time; decay time; RT
      : Time for sound in a closed space to fall by 60 dB; for outdoor echo use Outdoor propagation.
      ~ Sound absorption
      Early decay time
      Reverberation chambers
    Signal-to-noise ratio
      = speech-to-noise ratio
      ~ Speech intelligibility
    Clarity of rooms
      = early-to-late ratio; definition of rooms
    Speech transmission since 1996
      = transmission of speech; modulation transfer
      ~ Speech intelligibility
    Loudness
    Absorption coefficient
      ~ Sound absorption
  Room acoustics [B4]
    = acoustics of rooms; interior acoustics; auditorium acoustics
    : Sound in closed spaces. Take Reverberation time as well: it is below Acoustic quantities and below this.
    ~ Sound absorption
    Room modes
    Room impulse responses
      = impulse response measurement
    Classroom acoustics since 2001
      = acoustics of teaching rooms; school acoustics
      : Older records: Room acoustics with Educational buildings.
      ~ Educational buildings
    Auditoria
      Concert halls
        = music halls
      Theatres
      Lecture rooms
        = lecture halls
    Open-plan spaces [B4.5]
      = open-plan rooms; open-plan offices (acoustics)
      ~ Offices
    Listening conditions since 2008
      = effort in listening; ease of hearing
    Speech intelligibility
      = understanding of speech; word recognition score; articulation score
      : How much of what is spoken is rightly recognised. For the measure by machine use Speech transmission.
    Speech privacy
  Noise [B5]
    = unwanted sound; noise pollution
    Background noise [B4.1]
      = ambient noise; room noise; babble; occupant noise
    Services noise
      = ventilation noise; noise of building services; HVAC noise
      ~ Mechanical ventilation
    Transport noise
      Road traffic noise [B5.1]
        = traffic noise; tyre noise
      Aircraft noise [B5.2]
        = airport noise
      Railway noise
        = train noise
    Occupational noise
      = workplace noise
    Neighbour noise
    Playground sound [B5.3]
      = noise of children; school-yard noise
    Alarm sounds since 2006
      = auditory alarms; ward alarms
      ~ Hospitals
    Noise exposure
      = noise dose; exposure to noise
    Noise annoyance
      = annoyance
      ~ Community response
    Community response
    Noise maps since 2003
      = noise mapping; strategic noise maps
      ~ Urban planning
    Noise control
      = noise abatement; noise reduction
      Noise barriers
      Quiet zones since 2010
      Noise feedback since 2012
        = noise meters for rooms
    Masking of sound
      = sound masking
  Sound absorption [B4.3]
    = acoustic absorption; absorbers; acoustic treatment
    ~ Ceilings
    ~ Wall linings
    Porous absorbers
    Resonant absorbers
      = panel absorbers; perforated panels
    Diffusers
      = scattering surfaces
  Sound insulation [B3]
    = airborne insulation; acoustic separation
    ~ Partitions
    Airborne sound [B3.1]
    Impact sound [B3.2]
      = footfall noise; impact insulation
      ~ Floors
    Flanking transmission
    Facade insulation
      ~ Glazing
  Electroacoustics
    Loudspeakers
    Microphones
    Sound reinforcement [B4.4]
      = amplification systems; sound-field systems; public address
      ~ Speech intelligibility
    Hearing loops
    Speech technology since 2000
      = speech recognition; speech synthesis
  Psychoacoustics
    Auditory perception
    Noise sensitivity
    Binaural hearing
      = spatial hearing
    Soundscapes since 2004
      = acoustic environment
Indoor climate [C]
  = indoor environment; indoor environmental quality
  Thermal conditions [C1]
    Thermal comfort [C1.1]
      = thermal sensation; comfort temperature
    Overheating
      = summer overheating
    Solar shading [C1.2]
      = blinds; shading devices
    Heating
    Cooling
  Indoor air [C2]
    Indoor air quality
      = carbon dioxide indoors; air quality of rooms
    Ventilation
      Ventilation rate [C2.1]
        = air change
      Natural ventilation [C2.2]
        = window airing; opening windows
      Mechanical ventilation
        ~ Services noise
    Particles in air
    Humidity
  Light [C3]
    Daylighting [C3.1]
      = daylight; natural light
      Daylight factor
    Electric lighting [C3.2]
      = artificial light; lamps
    Glare
    Visual comfort of rooms
  Occupants
    = building users
    Occupant satisfaction
      = user satisfaction; wellbeing of occupants
    Occupant performance
      = productivity; mental performance indoors
      School performance
        = learning performance; pupil performance
    Occupant health
      = sick building symptoms; health of occupants
    Occupant behaviour
      = user behaviour
Buildings [D]
  Building types
    Educational buildings
      = schools; school buildings; education buildings
      Primary schools
        = elementary schools; primary classrooms
      Secondary schools
      Nurseries
        = kindergartens; preschool buildings
      Universities
        = campus buildings
      Teaching spaces
        = classrooms; teaching rooms
        ~ Classroom acoustics
    Offices
      = office buildings
    Hospitals
      = wards; health buildings
    Dwellings
      = housing; homes
    Halls
    Sports buildings
  Building elements
    Ceilings
      = suspended ceilings; acoustic ceilings
    Floors
      Floor coverings
        = carpets
      Floating floors
    Walls
      Partitions
        = partition walls; movable walls
      Wall linings
        = wall panels; wall absorbers
    Windows
      Glazing
        = double glazing
    Doors
    Furniture
      = desks; seating
    Facades
  Materials
    Timber
      Cross-laminated timber since 2007
        = CLT
    Concrete
    Mineral wool
    Textiles
    Glass
  Construction
    Timber construction since 1995
      = wooden buildings; lightweight buildings
      ~ Impact sound
    Retrofit
      = refurbishment; renovation; modernisation
    Prefabrication
    Acoustic design
      ~ Room acoustics
  Building regulations
    = codes of practice
    Acoustic standards
      = acoustic requirements; acoustic limits
    Energy standards
  Surroundings of buildings [D2]
    Urban planning
      = town planning; city planning
    Urban green space [D2.1]
      = green yards; parks
    Outdoor spaces
      = playgrounds; yards
    Traffic planning
Methods of investigation [E]
  Measurement
    Field measurement
      = in situ measurement
    Laboratory measurement
    Long-term monitoring
      = loggers; sensor networks
  Calculation
    Simulation
      = computer models; ray tracing
    Statistical models
    Prediction methods
  Surveys of users
    = questionnaires to occupants; post-occupancy evaluation
  Listening tests
  Reviews of literature
    = state of the art
  Case studies of buildings
  Experiments in buildings
    = intervention studies
`
