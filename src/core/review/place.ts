export type StageName = 'question' | 'terms' | 'searches' | 'records' | 'selection' | 'methods'

/** Where on the screen the thing stands that a deed was done to. */
export interface Place {
  stage: StageName
  /** What to light up there: `line:…`, `source:…`, `concept:…`, `work:…`. */
  anchor?: string
  /** The sheet that has to be open for it. */
  sourceId?: string
}
