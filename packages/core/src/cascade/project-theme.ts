/** The theme that a project has. */
import type { Project } from '../document/types.ts';
import { shippedTheme, type Theme } from '../values/theme.ts';

/** Projects have the theme that ships as long as they say nothing about it. */
export const themeOf = (_: Pick<Project, 'assets'>): Theme => shippedTheme;
