/** Values of feeds while building: what the simulated devices and services say now, as often as one wants to see it. */
import { addressAtStart, fitting, type Project, type StateVariable, standInFolder } from '@hovrin/core';
import { useEffect, useState } from 'react';
import { follow } from '../standIns.ts';

/** Values by variable. */
export type LiveValues = ReadonlyMap<string, StateVariable['initial']>;
const nothing: LiveValues = new Map();

/**
 * @param seconds between two values that are shown; 0: none is, all stays as it is at the start.
 * @returns values of feeds that this server can be asked for; addresses elsewhere are only asked by the running page.
 */
export function useLiveValues(project: Project, seconds: number): LiveValues {
  const [values, setValues] = useState(nothing);
  const listened = JSON.stringify(
    seconds === 0
      ? []
      : project.state.flatMap(({ name, type, feed }) =>
          feed ? [{ name, type, feed: { ...feed, address: addressAtStart(project, feed) } }] : [],
        ),
  );
  useEffect(() => {
    const feeds = JSON.parse(listened) as readonly Required<Pick<StateVariable, 'name' | 'type' | 'feed'>>[];
    setValues(nothing);
    if (feeds.length === 0) return;
    const latest = new Map<string, StateVariable['initial']>();
    let isNew = false;
    const ends = feeds
      .filter(({ feed }) => feed.address.startsWith(standInFolder))
      .map(({ name, type, feed }) =>
        follow(
          feed,
          (value) => {
            const fits = fitting(type, value);
            if (fits === undefined) return;
            latest.set(name, fits);
            if (feed.status !== undefined) latest.set(feed.status, 'live');
            isNew = true;
          },
          // What does not come stays as it was.
          () => undefined,
        ),
      );
    const timer = setInterval(() => {
      if (isNew) setValues(new Map(latest));
      isNew = false;
    }, seconds * 1000);
    return () => {
      clearInterval(timer);
      for (const end of ends) end();
    };
  }, [listened, seconds]);
  return values;
}

/** State variables that begin with what is there now. */
export const withLive = (state: readonly StateVariable[], values: LiveValues): readonly StateVariable[] =>
  values.size === 0
    ? state
    : state.map((variable) => {
        const value = values.get(variable.name);
        return value === undefined ? variable : { ...variable, initial: value };
      });
