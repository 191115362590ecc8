/** A published way to break a question into concepts. */
export interface Framework {
  id: string
  name: string
  /** For which questions it is meant, in one line. */
  help: string
  roles: readonly { name: string; help: string }[]
}

/** What is commonly used; `free` has no roles. Their wording is common knowledge of the trade, quoted from memory. */
export const FRAMEWORKS: readonly Framework[] = [
  { id: 'free', name: 'No framework', help: 'Concepts as the question has them.', roles: [] },
  {
    id: 'PEO',
    name: 'PEO',
    help: 'What follows from living under certain conditions.',
    roles: [
      { name: 'Population', help: 'Who is studied?' },
      { name: 'Exposure', help: 'What are they exposed to?' },
      { name: 'Outcome', help: 'What is seen or measured in them?' },
    ],
  },
  {
    id: 'PICO',
    name: 'PICO',
    help: 'Whether something done works, and better than what.',
    roles: [
      { name: 'Population', help: 'Who is it done for?' },
      { name: 'Intervention', help: 'What is done?' },
      { name: 'Comparison', help: 'What is it compared with?' },
      { name: 'Outcome', help: 'What should change?' },
    ],
  },
  {
    id: 'PCC',
    name: 'PCC',
    help: 'What is known of a matter; for scoping reviews.',
    roles: [
      { name: 'Population', help: 'Whom does it concern?' },
      { name: 'Concept', help: 'What is it about?' },
      { name: 'Context', help: 'Where, and under what circumstances?' },
    ],
  },
  {
    id: 'SPIDER',
    name: 'SPIDER',
    help: 'How people see or live something; for qualitative and mixed studies.',
    roles: [
      { name: 'Sample', help: 'Whose experience?' },
      { name: 'Phenomenon of interest', help: 'Of what?' },
      { name: 'Design', help: 'Interviews, observation, a questionnaire?' },
      { name: 'Evaluation', help: 'What is told of it?' },
      { name: 'Research type', help: 'Qualitative, quantitative or mixed?' },
    ],
  },
  {
    id: 'SPICE',
    name: 'SPICE',
    help: 'How a service or a measure does, seen by those concerned.',
    roles: [
      { name: 'Setting', help: 'Where?' },
      { name: 'Perspective', help: 'For whom?' },
      { name: 'Intervention', help: 'What is done?' },
      { name: 'Comparison', help: 'Instead of what?' },
      { name: 'Evaluation', help: 'How is success told?' },
    ],
  },
  {
    id: 'CIMO',
    name: 'CIMO',
    help: 'Why something works where it does; for organisations and engineering.',
    roles: [
      { name: 'Context', help: 'Under which circumstances?' },
      { name: 'Intervention', help: 'What is done?' },
      { name: 'Mechanism', help: 'By what does it work?' },
      { name: 'Outcome', help: 'What comes of it?' },
    ],
  },
]

/** The framework of this id; one that is not known has no roles, and none of its concepts is touched. */
export const frameworkOf = (id: string): Framework =>
  FRAMEWORKS.find((f) => f.id === id) ?? { id, name: id, help: '', roles: [] }

/** The roles of a framework that no concept has yet. */
export const rolesLeft = (framework: Framework, taken: readonly (string | undefined)[]): string[] =>
  framework.roles.map((r) => r.name).filter((name) => !taken.includes(name))
