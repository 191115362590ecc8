/** CSL's other types: kept under their own names. */
export const OTHER_TYPES: ReadonlySet<string> = new Set(
  `article bill broadcast classic collection entry entry-dictionary entry-encyclopedia event figure graphic hearing
  interview legal_case legislation map motion_picture musical_score pamphlet performance periodical personal_communication
  post post-weblog regulation review review-book software song speech treaty`.split(/\s+/),
)
/** A type that CSL does not have is written as the nearest that it has. */
export const NEAREST: readonly (readonly [RegExp, string])[] = [
  [/edited book|handbook/i, 'book'],
  [/book section|entry/i, 'chapter'],
  [/book/i, 'book'],
  [/conference|proceeding/i, 'paper-conference'],
  [/thesis|dissertation/i, 'thesis'],
  [/report/i, 'report'],
  [/journal|article|review|paper/i, 'article-journal'],
]

/** Of these, those that hold names or dates: what another format has there as a text cannot stand there. */
export const CSL_STRUCTURED: ReadonlySet<string> = new Set(
  `chair collection-editor compiler composer container-author contributor curator director editorial-director
  executive-producer guest host illustrator interviewer narrator organizer original-author performer producer recipient
  reviewed-author script-writer series-creator author editor translator issued accessed original-date available-date
  submitted`.split(/\s+/),
)

/** Ordinary CSL variables that records have no field for (CSL 1.0.2, appendix IV): written back where they stood. */
export const CSL_VARIABLES: ReadonlySet<string> = new Set(
  `annote archive archive_collection archive_location archive-place authority call-number citation-key citation-label
  dimensions division jurisdiction keyword locator medium note original-publisher original-publisher-place PMCID
  part-title references reviewed-genre reviewed-title scale section source status volume-title year-suffix chapter-number
  citation-number collection-number first-reference-note-number number-of-pages number-of-volumes page-first part-number
  printing-number supplement-number version event-date original-date available-date submitted chair collection-editor
  compiler composer container-author contributor curator director editorial-director executive-producer guest host
  illustrator interviewer narrator organizer original-author performer producer recipient reviewed-author script-writer
  series-creator author editor translator issued accessed categories title-short journalAbbreviation shortTitle`
    .split(/\s+/)
    .filter(Boolean),
)
