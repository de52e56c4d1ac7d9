/** What the build puts together for us (`astro.config.mjs`). */
declare module 'virtual:licences' {
  export const licences: readonly {
    readonly name: string;
    readonly version: string;
    readonly licence: string;
    readonly isFont: boolean;
    readonly text: string;
  }[];
}
