/** Values of feeds while building: what the simulated devices and services say now, as often as one wants to see it. */
import {
  addressAtStart,
  type Feed,
  type FeedStatus,
  fitting,
  type Project,
  type StateVariable,
  silentAfter,
  standInFolder,
} from '@hovrin/core';
import { useEffect, useState } from 'react';
import { follow } from '../../standIns.ts';

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
    const feeds: readonly Required<Pick<StateVariable, 'name' | 'type' | 'feed'>>[] = JSON.parse(listened);
    setValues(nothing);
    if (feeds.length === 0) return;
    const latest = new Map<string, StateVariable['initial']>();
    let isNew = false;
    const tell = (name: string | undefined, value: StateVariable['initial']) => {
      if (name === undefined || latest.get(name) === value) return;
      latest.set(name, value);
      isNew = true;
    };
    /** When each stream was last heard, ms; one that is asked for answers or fails. */
    const heard = new Map<Feed, number>();
    const ends = feeds
      .filter(({ feed }) => feed.address.startsWith(standInFolder))
      .map(({ name, type, feed }) => {
        const say = (status: FeedStatus) => tell(feed.status, status);
        if (feed.as === 'events') heard.set(feed, Date.now());
        return follow(
          feed,
          (value) => {
            if (feed.as === 'events') heard.set(feed, Date.now());
            const fits = fitting(type, value);
            if (fits !== undefined) tell(name, fits);
            say(fits === undefined ? 'failed' : 'live');
          },
          () => say('failed'),
        );
      });
    const timer = setInterval(() => {
      for (const [feed, at] of heard)
        if (Date.now() - at > feed.every * silentAfter * 1000) tell(feed.status, 'silent');
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

/** State variables that begin with the values of now. */
export const withLive = (state: readonly StateVariable[], values: LiveValues): readonly StateVariable[] =>
  values.size === 0
    ? state
    : state.map((variable) => {
        const value = values.get(variable.name);
        return value === undefined ? variable : { ...variable, initial: value };
      });
