/** Services from what they say of themselves: what is taken, what is left out, and files that mean harm. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NotOpenApi, projectProblem, readOpenApi } from '../src/index.ts';
import { projectWith } from './documents.ts';

const free = () => false;
const json = (schema: object) => ({ content: { 'application/json': { schema } } });

/** A mountain railway, as a service of somebody else says it. */
const railway = {
  openapi: '3.0.3',
  info: { title: 'Kirran railway' },
  servers: [{ url: 'https://railway.example/v2' }],
  paths: {
    '/trains': {
      parameters: [{ $ref: '#/components/parameters/Day' }],
      get: {
        operationId: 'list-trains',
        summary: 'Trains of a day',
        parameters: [
          { name: 'offset', in: 'query', schema: { type: 'integer' } },
          { name: 'x-trace', in: 'header', schema: { type: 'string' } },
          { name: 'session', in: 'cookie', schema: { type: 'string' } },
        ],
        responses: { '200': json({ type: 'array', items: { $ref: '#/components/schemas/Train' } }) },
      },
      post: {
        requestBody: json({
          allOf: [
            { $ref: '#/components/schemas/Train' },
            { type: 'object', required: ['seats'], properties: { seats: { type: 'integer' } } },
          ],
        }),
        responses: { default: json({}) },
      },
    },
    '/trains/{train-id}/seats': {
      put: {
        operationId: 'setSeats',
        requestBody: json({ type: 'array', items: { type: 'integer' } }),
        responses: { '204': { description: 'done' } },
      },
      trace: {},
    },
    '/pictures': {
      post: { operationId: 'sendPicture', requestBody: { content: { 'image/png': {} } }, responses: {} },
    },
  },
  components: {
    parameters: {
      Day: { name: 'day', in: 'query', required: true, schema: { type: 'string', format: 'date' } },
    },
    schemas: {
      Train: {
        type: 'object',
        required: ['number'],
        properties: {
          number: { type: 'string' },
          late: { type: 'boolean', nullable: true },
          next: { $ref: '#/components/schemas/Train' },
        },
      },
    },
    securitySchemes: { pass: { type: 'apiKey', in: 'header', name: 'X-Pass' } },
  },
};

describe('a description', () => {
  const read = readOpenApi(railway, (name) => name === 'setSeats');
  const request = (name: string) => read.requests.find((each) => each.name === name)!.request;

  it('gives a source that is told who asks', () => {
    expect(read.source).toEqual({
      name: 'kirranRailway',
      base: 'https://railway.example/v2',
      auth: { as: 'header', header: 'X-Pass', secret: 'pass' },
    });
  });

  it('gives a request for each operation, by names that are free', () => {
    expect(read.requests.map(({ name }) => name)).toEqual([
      'listTrains',
      'postTrains',
      'setSeats2',
      'sendPicture',
    ]);
  });

  it('knows its parameters, its pages and the shape of its answer', () => {
    const { parameters, pages, shape, at } = request('listTrains');
    expect(parameters).toEqual([
      { name: 'day', in: 'query', type: 'date', required: true },
      { name: 'xTrace', in: 'header', type: 'text', header: 'x-trace' },
    ]);
    expect([pages, at]).toEqual([{ by: 'offset', parameter: 'offset' }, undefined]);
    expect(shape!.items!.properties!.late).toEqual({ type: ['boolean', 'null'] });
    expect(shape!.items!.properties!.next!.properties!.number).toEqual({ type: 'string' });
  });

  it('takes bodies apart where it can, and whole where not', () => {
    expect(request('postTrains').parameters).toContainEqual({
      name: 'number',
      in: 'field',
      type: 'text',
      required: true,
    });
    expect(request('postTrains').parameters).toContainEqual({
      name: 'seats',
      in: 'field',
      type: 'number',
      required: true,
    });
    expect(request('setSeats2')).toMatchObject({
      path: 'trains/{trainId}/seats',
      parameters: [
        { name: 'body', in: 'body', type: 'list', required: true },
        { name: 'trainId', in: 'path', type: 'text', required: true },
      ],
    });
  });

  it('says what it leaves out', () => {
    expect(read.leftOut).toEqual([
      '`session` of `listTrains` stands in a cookie.',
      'The body of `sendPicture` is no JSON.',
    ]);
  });

  it('is no description where it is something else', () => {
    for (const wrong of [null, [], {}, { swagger: '2.0' }, { openapi: '3.1.0', paths: {} }])
      expect(() => readOpenApi(wrong, free)).toThrow(NotOpenApi);
  });

  it('gives only what a project may hold, whatever stands in it', () => {
    const plain = {
      type: fc.constantFrom('object', 'array', 'string', 'file', 7),
      required: fc.array(fc.oneof(fc.string(), fc.integer()), { maxLength: 2 }),
      enum: fc.array(fc.jsonValue({ maxDepth: 1 }), { maxLength: 2 }),
      $ref: fc.constantFrom('#/components/schemas/A', '#/nowhere', 'https://elsewhere.example/x', '#/paths'),
    };
    const { schema } = fc.letrec<{ schema: object }>((tie) => ({
      schema: fc.oneof(
        { maxDepth: 3 },
        fc.record(plain, { requiredKeys: [] }),
        fc.record(
          {
            ...plain,
            properties: fc.dictionary(fc.string({ maxLength: 12 }), tie('schema'), { maxKeys: 4 }),
            items: tie('schema'),
          },
          { requiredKeys: [] },
        ),
      ),
    }));
    const file = fc.record({
      openapi: fc.constant('3.1.0'),
      info: fc.record({ title: fc.string() }),
      servers: fc.array(fc.record({ url: fc.oneof(fc.webUrl(), fc.string()) }), { maxLength: 1 }),
      paths: fc.dictionary(
        fc.string().map((text) => `/${text}`),
        fc.dictionary(
          fc.constantFrom('get', 'post', 'put', 'delete', 'parameters'),
          fc.record(
            {
              operationId: fc.string(),
              parameters: fc.array(
                fc.record({ name: fc.string(), in: fc.constantFrom('path', 'query', 'header'), schema }),
              ),
              requestBody: schema.map(json),
              responses: schema.map((each) => ({ 200: json(each) })),
            },
            { requiredKeys: [] },
          ),
        ),
        { minKeys: 1, maxKeys: 4 },
      ),
      components: fc.record({ schemas: fc.record({ A: schema }) }),
    });
    fc.assert(
      fc.property(file, (api) => {
        let read: ReturnType<typeof readOpenApi>;
        try {
          read = readOpenApi(api, free);
        } catch (error) {
          expect(error).toBeInstanceOf(NotOpenApi);
          return;
        }
        const initial = { state: 'idle', result: null, error: '', status: 0, next: '' };
        const project = {
          ...projectWith(
            read.requests.map(({ name, request }) => ({ name, type: 'record', initial, request })),
            '<screen name="A" />',
          ),
          sources: [read.source],
        };
        expect(projectProblem(project)).toBeUndefined();
      }),
      { numRuns: 300 },
    );
  });
});
