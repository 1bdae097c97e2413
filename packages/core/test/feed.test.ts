import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { feedProblem, originsOf } from '../src/document/feed.ts';
import { configuredAddress, readPageConfig } from '../src/document/feed-config.ts';
import { addressNow } from '../src/expression/address.ts';
import {
  addressAtStart,
  applySteps,
  calledOrigins,
  isFeedAddress,
  type Project,
  parseTemplate,
  renameState,
} from '../src/index.ts';
import { projectOf } from './documents.ts';

const feed = (address: string) => ({ address, as: 'json', every: 5 }) as const;

describe('the address of a feed', () => {
  it.each([
    ['stand-ins/mast', true],
    ['stand-ins/suppers?page={page}', true],
    ['stand-ins/../api/projects', false],
    ['https://hut.example/list?find={name}', true],
    ['https://{name}/list', false],
    ['https://{name}.hut.example/', false],
    ['http://hut.example', true],
    ['{name}', false],
    ['javascript:alert(1)', false],
    ['file:///etc/passwd', false],
    ['//elsewhere.example/', false],
    ['', false],
    ['api/wind', true],
    ['/api/wind?of={name}', true],
    ['./wind.json', true],
    ['wind/{name}', true],
    ['wind{name}', false],
    ['/{name}/x', false],
    ['./{name}', false],
    ['../api', false],
    ['a/../b', false],
    ['/\\\\elsewhere.example', false],
    ['data:text/plain,x', false],
    ['a b', false],
  ])('%s is one: %s', (address, isOne) => {
    expect(isFeedAddress(address)).toBe(isOne);
    expect(feedProblem(feed(address)) === undefined).toBe(isOne);
  });

  it('takes what expressions give as a part of it, whatever that is', () => {
    const read = parseTemplate('https://hut.example/list?find={name}&page={page}');
    if (!read.ok) throw new Error(read.problem.message);
    const address = addressNow(read.value, (name) => (name === 'page' ? 3 : 'Ilka & Co/../?x=1#'));
    expect(address).toBe('https://hut.example/list?find=Ilka%20%26%20Co%2F..%2F%3Fx%3D1%23&page=3');
    expect(new URL(address).origin).toBe('https://hut.example');
    const led = (written: string, value: string) => {
      const template = parseTemplate(written);
      if (!template.ok) throw new Error(template.problem.message);
      return addressNow(template.value, () => value);
    };
    expect(() => led('stand-ins/{name}/api/projects', '..')).toThrow('leads out');
    expect(() => led('stand-ins/.{name}/api', '.')).toThrow('leads out');
    expect(led('stand-ins/{name}', '../api')).toBe('stand-ins/..%2Fapi');
    expect(led('stand-ins/suppers?find={name}', '..')).toBe('stand-ins/suppers?find=..');
  });

  it('follows a new name, and says where it leads', () => {
    const base = projectOf('<screen name="s" />');
    const project: Project = {
      ...base,
      state: [
        ...base.state,
        {
          name: 'list',
          type: 'list',
          initial: [],
          feed: { ...feed('https://hut.example/{guests}?n={name}'), status: 'name' },
        },
      ],
    };
    const renamed = applySteps(project, renameState('name', 'who'));
    if (!renamed.ok) throw new Error(renamed.reason);
    expect(renamed.project.state.at(-1)!.feed).toMatchObject({
      address: 'https://hut.example/{guests}?n={who}',
      status: 'who',
    });
    expect(calledOrigins(renamed.project, false)).toEqual(['https://hut.example']);
    expect(addressAtStart(project, project.state.at(-1)!.feed!)).toBe('https://hut.example/3?n=Ilka');
  });
});

it.each([
  [{ address: 'stand-ins/mast', as: 'events', every: 0 }, 'every'],
  [{ address: 'stand-ins/mast', as: 'csv', every: 1 }, 'events'],
  [{ address: 5, as: 'json', every: 1 }, 'address'],
  ['stand-ins/mast', 'no record'],
  [{ address: 'stand-ins/mast', as: 'json', every: 1, status: 4 }, 'no name'],
])('%j is no feed', (value, words) => {
  expect(feedProblem(value)).toContain(words);
});

it('addresses on the page’s own server lead to no other origin, whatever their expressions give', () => {
  const starts = ['api/', '/api/', './api?of=', 'a/b/', 'a?'];
  fc.assert(
    fc.property(fc.constantFrom(...starts), fc.string(), (start, given) => {
      const read = parseTemplate(`${start}{name}`);
      if (!read.ok || !isFeedAddress(`${start}{name}`)) throw new Error(start);
      let address: string;
      try {
        address = addressNow(read.value, () => given);
      } catch {
        return;
      }
      expect(new URL(address, 'https://hut.example/app/index.html').origin).toBe('https://hut.example');
    }),
  );
  expect(
    originsOf(['api/wind', '/api', 'stand-ins/mast', 'https://a.example/x', 'http://a.example:81/{b}']),
  ).toEqual(['https://a.example', 'http://a.example:81']);
});

describe('`config.json`', () => {
  it.each([
    ['{}', 'no record `feeds`'],
    ['[', 'config.json'],
    ['{"feeds": {"wind": 5}}', '`wind` is no record'],
    ['{"feeds": {"wind": {"adress": "api"}}}', 'has `adress`'],
    ['{"feeds": {"wind": {"address": "api/{x}"}}}', 'has expressions'],
    ['{"feeds": {"wind": {"address": "ftp://x"}}}', 'is none'],
    ['{"feeds": {"wind": {"every": 0}}}', '0.2 to 3600'],
    ['{"feeds": {"wind": {"credentials": 1}}}', 'neither true nor false'],
  ])('%s is refused', (text, words) => {
    const read = readPageConfig(text);
    expect('problem' in read && read.problem).toContain(words);
  });

  it('says some of a feed; its address takes the place of what stands in front of the expressions', () => {
    const text = '{"feeds": {"wind": {"address": "https://a.example/w?of=", "every": 5}, "beds": {}}}';
    const read = readPageConfig(text);
    if ('problem' in read) throw new Error(read.problem);
    const { wind = {}, beds = {} } = read.config.feeds;
    const now = (own: string, given: string) => configuredAddress(own, own.replace('{who}', given), wind);
    expect(now('stand-ins/mast?of={who}', 'Ilka')).toBe('https://a.example/w?of=Ilka');
    expect(now('stand-ins/mast', '')).toBe('https://a.example/w?of=');
    expect(configuredAddress('a/{who}', 'a/Ilka', beds)).toBe('a/Ilka');
  });
});
