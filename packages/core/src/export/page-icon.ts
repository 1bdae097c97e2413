/** What stands for the page in tabs and on home screens: a picture of the project, or the first letter of its name. */
import { themeOf } from '../cascade/project-theme.ts';
import type { Project } from '../document/types.ts';
import { escapeText } from './html.ts';

/** The picture that was chosen and is there. */
const chosen = ({ icon, assets }: Project) => assets.find(({ name }) => name === icon);

/** Where the icon lies beside the page, and its media type. */
export function iconAddress(project: Project): { readonly href: string; readonly type: string } {
  const picture = chosen(project);
  return picture
    ? { href: `assets/${encodeURIComponent(picture.name)}`, type: picture.type }
    : { href: 'icon.svg', type: 'image/svg+xml' };
}

/** The file of the drawn icon, by its path; none where a picture was chosen. */
export function iconFile(project: Project): [string, string][] {
  if (chosen(project)) return [];
  const [{ colours }, { colours: darkColours }] = [themeOf(project), themeOf(project, 'dark')];
  // What a person takes for one letter (UAX #29, grapheme clusters).
  const [letter] = new Intl.Segmenter(project.language, { granularity: 'grapheme' }).segment(
    project.name.trim(),
  );
  const words = letter?.segment.toLocaleUpperCase(project.language) ?? '';
  return [
    [
      'icon.svg',
      `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 64 64">
  <style>
    rect { fill: ${colours.accent} }
    text { fill: ${colours['on-accent']}; font: 600 40px sans-serif; text-anchor: middle }
    @media (prefers-color-scheme: dark) {
      rect { fill: ${darkColours.accent} }
      text { fill: ${darkColours['on-accent']} }
    }
  </style>
  <rect width="64" height="64" rx="12"/>
  <text x="32" y="46">${escapeText(words)}</text>
</svg>
`,
    ],
  ];
}
