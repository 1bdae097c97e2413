/** The core on disk: reading project folders and single screens, loading the fonts that ship, writing pages. */
export * from './fonts.ts';
export * from './page.ts';
export * from './project.ts';
