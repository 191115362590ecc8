/**
 * Colour belongs to concepts alone (A to H, with a ground of each); everything else is ink on paper, with one dark red for
 * what wants attention. The only place where a colour is written: the page's variables and the controls both come from it.
 */
export const LIGHT = {
  paper: '#fbfaf6',
  sheet: '#fffefb',
  ink: '#1d2230',
  ink2: '#4f5665',
  ink3: '#606676',
  hair: '#e3dfd5',
  hair2: '#cfc9bb',
  tint: '#f3f0e8',
  lit: '#f4ecd3',
  mark: '#7a1f2b',
  markbg: '#f7e6e6',
  A: '#0071b0',
  B: '#b24b00',
  C: '#007c56',
  D: '#a54a7d',
  E: '#8f632d',
  F: '#005a89',
  G: '#504b00',
  H: '#45484f',
  Abg: '#e4f0f8',
  Bbg: '#fbe9dc',
  Cbg: '#e0f3ec',
  Dbg: '#f6e6ef',
  Ebg: '#f7eed4',
  Fbg: '#e3f1f6',
  Gbg: '#f3f1cf',
  Hbg: '#ebebed',
} as const

export type Palette = Record<keyof typeof LIGHT, string>

export const DARK: Palette = {
  paper: '#16181d',
  sheet: '#1c1f26',
  ink: '#e9e5da',
  ink2: '#b4b6bb',
  ink3: '#989ba3',
  hair: '#2c3038',
  hair2: '#41454f',
  tint: '#242830',
  lit: '#423a20',
  mark: '#f0949f',
  markbg: '#3d2227',
  A: '#56b4e9',
  B: '#f0913f',
  C: '#37c999',
  D: '#dd92bb',
  E: '#e7be62',
  F: '#8fd0ee',
  G: '#d6cf4a',
  H: '#c8cacf',
  Abg: '#1b3242',
  Bbg: '#412a18',
  Cbg: '#17392f',
  Dbg: '#3d2734',
  Ebg: '#3b311a',
  Fbg: '#1f3641',
  Gbg: '#35331a',
  Hbg: '#33363c',
}

const variables = (palette: Palette): string =>
  Object.entries(palette)
    .map(([name, colour]) => `--${name}:${colour};`)
    .join('')

/** The variables of both themes, to stand in the head of the page. */
export const PALETTE_CSS = `:root{${variables(LIGHT)}}:root[data-theme='dark']{${variables(DARK)}}`
