/** The simulated devices and services that ship: something to build against before the real ones are there. */

import { PassThrough } from 'node:stream';
import { setTimeout as wait } from 'node:timers/promises';
import type Router from '@koa/router';
import Joi from 'joi';
import { RequestError } from '../request.ts';
import { mastFaults, readMast } from '../stand-ins/mast.ts';
import { mostOfPage, suppersOf } from '../stand-ins/suppers.ts';

const mastQuery = Joi.object({
  seed: Joi.number().integer().min(0).max(1_000_000).default(1),
  every: Joi.number().min(0.2).max(3600).default(1),
  fault: Joi.string().valid(...mastFaults),
});

const suppersQuery = Joi.object({
  page: Joi.number().integer().min(1).max(1000).default(1),
  size: Joi.number().integer().min(1).max(mostOfPage).default(20),
  /** Milliseconds. */
  delay: Joi.number().integer().min(0).max(20_000).default(0),
  /** Which part of the questions fails. */
  errors: Joi.number().min(0).max(1).default(0),
});

function queryOf<T>(schema: Joi.ObjectSchema<T>, query: unknown): T {
  const { value, error } = schema.validate(query);
  if (error) throw new RequestError(400, `${error.message}.`);
  return value;
}

export function standInRoutes(router: Router): void {
  router.get('/stand-ins/mast', (context) => {
    const { seed, every, fault } = queryOf(mastQuery, context.query);
    const stream = new PassThrough();
    const say = () => {
      const reading = readMast(seed, Math.floor(Date.now() / 1000), fault);
      if (reading) stream.write(`data: ${JSON.stringify(reading)}\n\n`);
    };
    // Who loses the connection comes back after a second.
    stream.write('retry: 1000\n\n');
    say();
    const timer = setInterval(say, every * 1000);
    stream.on('close', () => clearInterval(timer));
    context.req.on('close', () => stream.destroy());
    context.set('Access-Control-Allow-Origin', '*');
    context.set('Cache-Control', 'no-store');
    context.type = 'text/event-stream';
    context.body = stream;
  });

  router.get('/stand-ins/suppers', async (context) => {
    const { page, size, delay, errors } = queryOf(suppersQuery, context.query);
    context.set('Access-Control-Allow-Origin', '*');
    context.set('Cache-Control', 'no-store');
    if (delay > 0) await wait(delay);
    if (Math.random() < errors) throw new RequestError(503, 'The kitchen does not answer.');
    context.body = suppersOf(page, size);
  });
}
