/** The head of a page (HTML §4.2): what browsers, search engines and those who share its address are told. */
import { themeOf } from '../cascade/project-theme.ts';
import type { PageConfig } from '../document/feed-config.ts';
import { type Project, startScreen } from '../document/types.ts';
import type { PageLanguages } from '../runtime/program.ts';
import { escapeAttribute, escapeText } from './html.ts';
import { iconAddress } from './page-icon.ts';
import { policyOf } from './policy.ts';
import { titleOf } from './program.ts';

/** Parts of a head that the project does not hold. */
interface HeadParts {
  /** Addresses of feeds at the place where the page runs. */
  readonly config?: PageConfig | undefined;
  /** The languages of the page; undefined: it has one. */
  readonly languages?: PageLanguages | undefined;
}

/** @param scripts addresses of the scripts, in the order in which they run. */
export function headText(
  project: Project,
  scripts: readonly string[],
  { config, languages }: HeadParts = {},
): string {
  const start = startScreen(project);
  const [{ colours }, { colours: darkColours }] = [themeOf(project), themeOf(project, 'dark')];
  const icon = iconAddress(project);
  const lines = [
    '<meta charset="utf-8">',
    `<meta http-equiv="Content-Security-Policy" content="${policyOf(project, config)}">`,
    '<meta name="viewport" content="width=device-width, initial-scale=1, viewport-fit=cover">',
    `<title>${escapeText(start ? titleOf(start) : project.name)}</title>`,
    ...(project.description
      ? [`<meta name="description" content="${escapeAttribute(project.description)}">`]
      : []),
    // The colour of what browsers draw around the page (HTML §4.2.5.1, `theme-color`).
    `<meta name="theme-color" content="${colours.page}" media="(prefers-color-scheme: light)">`,
    `<meta name="theme-color" content="${darkColours.page}" media="(prefers-color-scheme: dark)">`,
    `<link rel="icon" href="${icon.href}" type="${escapeAttribute(icon.type)}">`,
    // The same page in each of its languages (HTML §4.6.7.1, `alternate` with `hreflang`).
    ...Object.keys(languages?.tags ?? {}).map(
      (tag) => `<link rel="alternate" hreflang="${tag}" href="?locale=${tag}">`,
    ),
    '<link rel="stylesheet" href="fonts.css">',
    '<link rel="stylesheet" href="style.css">',
    ...scripts.map((script) => `<script src="${script}" defer></script>`),
  ];
  return `  <head>\n${lines.map((line) => `    ${line}\n`).join('')}  </head>`;
}
