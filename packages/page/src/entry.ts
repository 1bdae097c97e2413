/**
 * What the page's script gives to the page: the program at its end starts it, the scripts of tables give their rows, pieces
 * that only this page has stand in a list, and the application's own code reads, sets and goes.
 */
import { offered, pieces, rows, start } from './index.ts';

Object.assign(globalThis, { hovrinPage: { rows, start, pieces, ...offered } });
