/** Types of a grid's tracks, and of how it is filled. */

import type { TrackList } from '../values/css.ts';
import { readTracks, tracksText } from '../values/track-list.ts';
import { bad, good, type PropertyType } from './property-type.ts';

/** @param read the tracks of a text, or a sentence that says what is wrong with it. */
const trackType = <T extends TrackList>(
  name: string,
  expects: string,
  tracksIn: (text: string) => T | string,
): PropertyType<T> => ({
  name,
  expects,
  words: ['auto', 'min-content', 'max-content', '1fr'],
  read(text) {
    const tracks = tracksIn(text);
    return typeof tracks === 'string' ? { ok: false, message: tracks } : good(tracks, tracksText(text));
  },
});

/** The tracks of a grid's template. */
export const trackListType = trackType('tracks', 'tracks such as `120 1fr auto`', (text) =>
  readTracks(text, true),
);

/** The tracks that no template has. */
export const trackPatternType = trackType(
  'track pattern',
  'tracks such as `120 auto`, without `repeat`',
  (text) => readTracks(text, false),
);

const flowWords = ['row', 'column', 'dense', 'row dense', 'column dense'];

/** How items without a place fill a grid (Grid 1 §7.7). */
export const flowType: PropertyType<{ readonly axis: 'row' | 'column'; readonly dense: boolean }> = {
  name: 'flow',
  expects: 'one of `row`, `column`, `row dense`, `column dense`',
  words: flowWords,
  read(text) {
    const parts = text.trim().split(/\s+/);
    const plain = parts.toSorted((a, b) => Number(a === 'dense') - Number(b === 'dense')).join(' ');
    if (!flowWords.includes(plain)) return bad(text, this.expects, flowWords);
    const dense = parts.includes('dense');
    const axis = parts.includes('column') ? 'column' : 'row';
    return good({ axis, dense }, dense ? `${axis} dense` : axis);
  },
};

export const tracks = [flowType, trackListType, trackPatternType];
