import { describe, expect, it } from 'vitest';
import { feedProblem } from '../src/document/feed.ts';
import { addressNow } from '../src/expression/address.ts';
import {
  addressAtStart,
  applySteps,
  feedOrigins,
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
    expect(feedOrigins(renamed.project.state)).toEqual(['https://hut.example']);
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
