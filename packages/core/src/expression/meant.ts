/** Names that people write for something that is called otherwise here: a word more about what is meant. */
import { distance } from '../document/nearest.ts';
import { viewNames } from './view-names.ts';

/** So many slips of a finger still say which of View's names was meant. */
const slips = 2;

/** Words of other languages, and parts of ECMAScript that are left out, each with its equivalent here. */
const instead: Readonly<Record<string, string>> = {
  'Math.random': 'Chance is had by `Random.next()`, which a test can repeat.',
  'Date.now': 'The day and time now are read as `View.now`.',
  Date: 'The day and time now are read as `View.now`, the day as `View.today`.',
  now: 'The day and time now are read as `View.now`.',
  today: 'The day is read as `View.today`.',
  repeat: 'A list is gone through by `for (const item of list) { … }`; on a screen by a Repeat.',
  forEach: 'A list is gone through by `for (const item of list) { … }`.',
  setTimeout: 'What comes later stands behind `wait(seconds)`.',
  alert: 'Words are shown by `message("…")`.',
  fetch: 'A service is asked by `ask(request)`; requests stand in Data.',
  navigate: 'Another screen is gone to by `go("…")`.',
};

/** A sentence about what is meant by a name; empty where nothing is known. */
export function meantBy(name: string): string {
  if (Object.hasOwn(instead, name)) return ` ${instead[name]}`;
  const [first] = name.split('.');
  if (first?.toLowerCase() === 'view') {
    const slipped = viewNames.find((each) => distance(name, each) <= slips);
    if (slipped) return ` Did you mean \`${slipped}\`?`;
    return ` ${viewNames.map((each) => `\`${each}\``).join(', ')} can be read.`;
  }
  return '';
}
