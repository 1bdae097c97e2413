/**
 * A link or button that says only “here” or “more”: people who go from one to the next by keys, or listen to a list of them, are
 * not told where it leads (WCAG 2.2, 2.4.4 and 2.4.9).
 */
import { inForce } from '../../document/types.ts';
import { kindOf } from '../../kinds/catalogue.ts';
import { adviceAlways } from '../measures.ts';
import type { CheckKind } from './check-kind.ts';

/** Words that say nothing of what follows, in some languages; each as people write it, without its signs. */
const vague: ReadonlySet<string> = new Set([
  ...['here', 'click here', 'click', 'tap here', 'press here', 'read more', 'learn more', 'see more'],
  ...['this', 'this link', 'link', 'go', 'details', 'continue reading'],
  ...['hier', 'hier klicken', 'klicken sie hier', 'klick hier', 'weiterlesen', 'mehr lesen', 'mehr erfahren'],
  ...['ici', 'cliquez ici', 'cliquer ici', 'lire la suite', 'en savoir plus'],
  ...['هنا', 'اضغط هنا', 'انقر هنا', 'المزيد', 'اقرأ المزيد'],
  ...['こちら', 'ここ', 'ここをクリック', 'もっと見る', '詳細', '続きを読む'],
]);

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{M}\p{N}\s]/gu, '')
    .replaceAll(/\s+/g, ' ')
    .trim();

export const vagueLink: CheckKind = {
  name: 'vague-link',
  title: 'Says nothing of where it leads',
  sentence: ({ self }) =>
    `The words of ${self} do not say what it does; read out alone, it could be anything.`,
  measure(add, _, control) {
    const kind = kindOf(control);
    if (kind.group !== 'act' && kind.name !== 'link') return;
    const text = inForce(control.props.text);
    if (text === undefined || text.includes('{') || !vague.has(plain(text))) return;
    add(adviceAlways('vague-link', control.id));
  },
};
