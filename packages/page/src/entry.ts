/** What the page's script gives to the page: the program at its end starts it, the scripts of tables give their rows. */
import { rows, start } from './index.ts';

Object.assign(globalThis, { hovrinPage: { rows, start } });
