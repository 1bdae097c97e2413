/** A variable holds again what it began with. */
import type { Altering } from './action.ts';

export const reset: Altering = {
  name: 'reset',
  takes: 'the name of a state variable',
  count: 1,
  card: ['Put back'],
  written: ({ name }) => `reset(${name})`,
  several: true,
  alter: (_, __, { initial }) => initial,
};
