/** What a page keeps, shows for a while, takes over from other frames, fetches, and knows of where it is shown. */
import type { ProgramKept } from '@hovrin/core/runtime';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { parseExpression } from '../../core/src/index.ts';
import { Coming } from '../src/coming.ts';
import { Kept } from '../src/kept.ts';
import { keepMessage, showMessage } from '../src/messages.ts';
import type { Around, Hold } from '../src/pieces/piece.ts';
import { piece as view } from '../src/pieces/view.ts';
import { fetchRows, takeRows } from '../src/stored-rows.ts';
import { one, shown } from './page.ts';

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
  vi.restoreAllMocks();
});

describe('kept values', () => {
  const plain = { id: 'hut', version: 1 };
  const told: string[] = [];
  beforeEach(() => {
    localStorage.clear();
    told.length = 0;
  });
  const begun = (kept: ProgramKept | undefined, names = ['guests', 'other']) =>
    new Kept(kept, names, (text) => told.push(text));
  const migration = (text: string) => {
    const read = parseExpression(text);
    if (!read.ok) throw new Error(read.problem.message);
    return read.value;
  };

  it('are there again, by the id of the project and the variable', () => {
    begun(plain).keep('guests', { beds: [1, 2] });
    expect(begun(plain).value('guests')).toEqual({ beds: [1, 2] });
    expect(begun(plain).value('other')).toBeUndefined();
    expect(begun({ id: 'other', version: 1 }).value('guests')).toBeUndefined();
    expect(begun(undefined).value('guests')).toBeUndefined();
  });

  it('that cannot be read are as if nothing had been kept', () => {
    localStorage.setItem('hovrin hut guests', '{');
    expect(begun(plain).value('guests')).toBeUndefined();
  });

  it('are missed once, and not in silence, where the storage is full', () => {
    const kept = begun(plain);
    vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    kept.keep('guests', 'x');
    kept.keep('guests', 'y');
    expect(told).toEqual(['The storage of this browser is full: changes are not kept any more.']);
  });

  it('begin anew, without a word, where there is no storage', () => {
    const forbidden = () => {
      throw new DOMException('no', 'SecurityError');
    };
    const kept = new Kept(plain, ['guests'], (text) => told.push(text), {
      getItem: forbidden,
      setItem: forbidden,
    });
    kept.keep('guests', 'x');
    expect(kept.value('guests')).toBeUndefined();
    expect(told).toEqual([]);
  });

  it('of an older version are taken over once, as the project says', () => {
    begun(plain).keep('guests', ['Ilka']);
    const migrate = migration('{ guests: kept.guests.map(who => ({ who, since: version })) }');
    const second = { id: 'hut', version: 2, migrate };
    expect(begun(second).value('guests')).toEqual([{ who: 'Ilka', since: 1 }]);
    expect(begun(second).value('guests')).toEqual([{ who: 'Ilka', since: 1 }]);
    // Without a migration what still fits stays.
    expect(begun({ id: 'hut', version: 3 }).value('guests')).toEqual([{ who: 'Ilka', since: 1 }]);
    const broken = migration('kept.guests.map(who => who.x.y)');
    expect(begun({ id: 'hut', version: 4, migrate: broken }).value('guests')).toBeUndefined();
    expect(told[0]).toContain('could not be taken over');
  });
});

describe('a message', () => {
  it('stays the longer the more there is to read, and only the last one is there', () => {
    shown('<main></main>');
    showMessage('soup');
    vi.advanceTimersByTime(2000);
    showMessage('A much longer line of words');
    vi.advanceTimersByTime(3100);
    expect(one('.page-message').textContent).toBe('A much longer line of words');
    vi.advanceTimersByTime(2000);
    expect(one('.page-message').textContent).toBe('');
    expect(document.querySelectorAll('[role="status"], .page-message')).toHaveLength(1);
  });

  it('is shown in the dialog on top, and stays when that goes', () => {
    shown('<dialog open id="a"></dialog>');
    showMessage('soup');
    expect(one('.page-message').parentElement?.id).toBe('a');
    keepMessage();
    one('#a').remove();
    expect(one('.page-message').textContent).toBe('soup');
  });
});

describe('values from other frames', () => {
  it('are taken over at once while that is quick, the last of each once it is not', () => {
    const taken: unknown[] = [];
    let takes = 0;
    vi.spyOn(performance, 'now').mockImplementation(() => takes);
    const coming = new Coming((name, value) => {
      taken.push([name, value]);
      takes += 500;
    });
    coming.add('find', 'a');
    expect(taken).toEqual([['find', 'a']]);
    coming.add('find', 'b');
    coming.add('late', true);
    coming.add('find', 'c');
    expect(taken).toHaveLength(1);
    coming.forget('late');
    vi.advanceTimersByTime(1000);
    expect(taken).toEqual([
      ['find', 'a'],
      ['find', 'c'],
    ]);
  });
});

describe('rows that lie beside the page', () => {
  const target = () => {
    const told: unknown[] = [];
    return {
      told,
      receive: (rows: unknown) => told.push(rows),
      status: (status: string) => told.push(status),
      problem: (text: string) => told.push(text),
    };
  };

  it('are all there where there is no file', () => {
    const heard = target();
    fetchRows('guests', {}, heard);
    expect(heard.told).toEqual(['live']);
  });

  it('are fetched after a wait, taken once, and told where they do not come', () => {
    const heard = target();
    fetchRows('guests', { file: 'tables/guests.js', wait: 2 }, heard);
    expect(heard.told).toEqual(['waiting']);
    expect(document.querySelector('script')).toBeNull();
    vi.advanceTimersByTime(2000);
    takeRows('guests', [{ guest: 'Ilka' }]);
    one('script').dispatchEvent(new Event('load'));
    expect(heard.told).toEqual(['waiting', [{ guest: 'Ilka' }], 'live']);
    expect(document.querySelector('script')).toBeNull();
    const missing = target();
    fetchRows('rooms', { file: 'tables/rooms.js' }, missing);
    vi.advanceTimersByTime(0);
    one('script').dispatchEvent(new Event('error'));
    expect(missing.told).toEqual(['waiting', '`tables/rooms.js` does not come.', 'failed']);
  });
});

describe('where the page is shown', () => {
  const program = {
    bands: [
      { name: 'hand', from: 0 },
      { name: 'lap', from: 600 },
    ],
  } as never;
  const heard = (name: string) => {
    const told: unknown[] = [];
    const views: Around['views'] = new Map();
    view(document, { program, views } as unknown as Around);
    views.get(name)?.(((value) => told.push(value)) as Hold);
    return told;
  };

  it('is told by the band of its width, as that changes', () => {
    window.innerWidth = 500;
    const told = heard('View.band');
    window.innerWidth = 600;
    window.dispatchEvent(new Event('resize'));
    expect(told).toEqual(['hand', 'lap']);
  });

  it('is told by the clock at the beginning of each second', () => {
    vi.setSystemTime(new Date(2026, 6, 14, 8, 5, 59, 700));
    const time = heard('View.time');
    const today = heard('View.today');
    vi.advanceTimersByTime(300);
    expect(time).toEqual(['08:05', '08:06']);
    expect(today[0]).toBe('2026-07-14');
  });

  it('is told whether it is dark, as it is asked for, else as the device is', async () => {
    vi.useRealTimers();
    let change = () => {};
    const device = { matches: true, addEventListener: (_: string, hear: () => void) => (change = hear) };
    window.matchMedia = () => device as never;
    const told = heard('View.dark');
    document.documentElement.dataset.mode = 'light';
    await vi.waitFor(() => expect(told).toEqual([true, false]));
    delete document.documentElement.dataset.mode;
    await vi.waitFor(() => expect(told).toEqual([true, false, true]));
    device.matches = false;
    change();
    expect(told.at(-1)).toBe(false);
  });

  it('is told whether there is a network, and what its address asks', () => {
    const told = heard('View.online');
    window.dispatchEvent(new Event('offline'));
    expect(told).toEqual([true, true]);
    window.history.replaceState(null, '', '?hut=velmora&bunk=7');
    expect(heard('View.query')).toEqual([{ hut: 'velmora', bunk: '7' }]);
  });
});
