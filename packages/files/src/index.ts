/** The core on disk: reading project folders and single screens, loading the fonts that ship, writing pages. */
export * from './code-check.ts';
export * from './cut-fonts.ts';
export * from './database-file.ts';
export * from './drawing.ts';
export * from './fonts.ts';
export * from './handing-over.ts';
export * from './page.ts';
export * from './project.ts';
export * from './project-zip.ts';
export * from './zip.ts';
