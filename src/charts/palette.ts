/** Colours and fonts of a chart; the theme's in the browser, the daylight ones on paper. */
export interface Palette {
  readonly ink: string;
  readonly soft: string;
  readonly faint: string;
  readonly line: string;
  readonly river: string;
  readonly riverSoft: string;
  readonly plum: string;
  readonly moss: string;
  readonly ochre: string;
  readonly stone: string;
  readonly sans: string;
  readonly serif: string;
}

/** Daylight, for print. */
export const paperPalette: Palette = {
  ink: '#2b2233',
  soft: '#564c5c',
  faint: '#6f6472',
  line: '#d9cdbe',
  river: '#37607e',
  riverSoft: '#d5e2ea',
  plum: '#5a3a63',
  moss: '#4f6b3a',
  ochre: '#a87a1f',
  stone: '#e5ddd6',
  sans: 'Sans',
  serif: 'Sans',
};
