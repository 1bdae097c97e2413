/** What the office's service says of itself (OpenAPI 3.1). */
import { reservationStates } from './reservations.ts';

const reference = (name: string) => ({ $ref: `#/components/schemas/${name}` });
const json = (schema: object) => ({ content: { 'application/json': { schema } } });
const answer = (description: string, schema: object) => ({ description, ...json(schema) });
const refusal = (description: string) => ({
  description,
  content: { 'application/problem+json': { schema: reference('Problem') } },
});
const secured = [{ warden: [] }];

const id = { name: 'id', in: 'path', required: true, schema: { type: 'integer' } };
const version = {
  name: 'If-Match',
  in: 'header',
  description: 'The version that was changed.',
  schema: { type: 'integer' },
};

const fields = {
  guest: { type: 'string' },
  day: { type: 'string', format: 'date' },
  people: { type: 'integer' },
  state: { type: 'string', enum: reservationStates },
  note: { type: ['string', 'null'] },
};

/** @param base where the service is. */
export const reservationsOpenApi = (base: string) => ({
  openapi: '3.1.0',
  info: { title: 'Valley office', version: '1' },
  servers: [{ url: base }],
  paths: {
    '/sign-in': {
      post: {
        operationId: 'signIn',
        summary: 'Sign in with a name and a PIN',
        requestBody: {
          required: true,
          ...json({
            type: 'object',
            required: ['name', 'pin'],
            properties: { name: { type: 'string' }, pin: { type: 'string' } },
          }),
        },
        responses: {
          200: answer('Signed in', {
            type: 'object',
            required: ['token', 'name'],
            properties: { token: { type: 'string' }, name: { type: 'string' } },
          }),
          401: refusal('Name or PIN are wrong'),
        },
      },
    },
    '/reservations': {
      get: {
        operationId: 'reservations',
        summary: 'Reservations, page by page',
        parameters: [
          { name: 'day', in: 'query', schema: { type: 'string', format: 'date' } },
          { name: 'state', in: 'query', schema: { type: 'string', enum: reservationStates } },
          { name: 'page', in: 'query', schema: { type: 'integer', default: 1 } },
          { name: 'size', in: 'query', schema: { type: 'integer', default: 50 } },
        ],
        responses: {
          200: answer('A page', {
            type: 'object',
            required: ['items', 'total'],
            properties: {
              items: { type: 'array', items: reference('Reservation') },
              total: { type: 'integer' },
            },
          }),
        },
      },
      post: {
        operationId: 'addReservation',
        summary: 'A new reservation',
        security: secured,
        requestBody: { required: true, ...json(reference('NewReservation')) },
        responses: { 201: answer('Added', reference('Reservation')), 422: refusal('It does not fit') },
      },
    },
    '/reservations/{id}': {
      patch: {
        operationId: 'changeReservation',
        summary: 'Some values of a reservation',
        security: secured,
        parameters: [id, version],
        requestBody: { required: true, ...json({ type: 'object', properties: fields }) },
        responses: { 200: answer('Changed', reference('Reservation')), 412: refusal('Somebody was quicker') },
      },
      delete: {
        operationId: 'removeReservation',
        summary: 'A reservation goes',
        security: secured,
        parameters: [id],
        responses: { 204: { description: 'Gone' } },
      },
    },
  },
  components: {
    schemas: {
      NewReservation: { type: 'object', required: ['guest', 'day', 'people'], properties: fields },
      Reservation: {
        type: 'object',
        required: ['id', 'guest', 'day', 'people', 'state', 'version'],
        properties: { id: { type: 'integer' }, ...fields, version: { type: 'integer' } },
      },
      Problem: { type: 'object', properties: { title: { type: 'string' }, detail: { type: 'string' } } },
    },
    securitySchemes: { warden: { type: 'http', scheme: 'bearer' } },
  },
});
