/** The simulated service of the valley's office: JSON with pages, sign-in, conflicts, delays and errors. */
import { setTimeout as wait } from 'node:timers/promises';
import type Router from '@koa/router';
import Joi from 'joi';
import type { Context, Middleware } from 'koa';
import { check, RequestError, readJson } from '../request.ts';
import {
  emptyRoom,
  Refused,
  type ReservationFields,
  reservationStates,
  roomOf,
  token,
  warden,
} from '../stand-ins/reservations.ts';
import { reservationsOpenApi } from '../stand-ins/reservations-openapi.ts';

const trouble = {
  /** Milliseconds. */
  delay: Joi.number().integer().min(0).max(20_000).default(0),
  /** Which part of the questions fails. */
  errors: Joi.number().min(0).max(1).default(0),
};
const day = Joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/, 'a day');
const state = Joi.string().valid(...reservationStates);
const listQuery = Joi.object({
  ...trouble,
  day,
  state,
  page: Joi.number().integer().min(1).max(1000).default(1),
  size: Joi.number().integer().min(1).max(100).default(50),
});
const fields = {
  guest: Joi.string().trim().min(1).max(80),
  day,
  people: Joi.number().integer().min(1).max(46),
  state,
  note: Joi.string().allow(null, '').max(500),
};
const whole = Joi.object<ReservationFields>({
  ...fields,
  guest: fields.guest.required(),
  day: fields.day.required(),
  people: fields.people.required(),
  state: state.default('asked'),
  note: fields.note.default(null),
});
const some = Joi.object<Partial<ReservationFields>>(fields).min(1);
const signIn = Joi.object<{ name: string; pin: string }>({
  name: Joi.string().required(),
  pin: Joi.string().required(),
});
const numbered = Joi.number().integer().min(1).required();
const named = Joi.string()
  .pattern(/^[\w-]{1,40}$/)
  .required();

/** Pages in frames have no origin of their own (Fetch §3.3, CORS protocol). */
function letIn(context: Context): void {
  context.set('Access-Control-Allow-Origin', '*');
  context.set('Access-Control-Allow-Methods', 'GET, POST, PATCH, DELETE');
  context.set('Access-Control-Allow-Headers', 'Authorization, Content-Type, If-Match');
  context.set('Access-Control-Expose-Headers', 'Link, Retry-After');
  context.set('Access-Control-Max-Age', '600');
  context.set('Cache-Control', 'no-store');
}

/** What is refused is said as a service says it (RFC 9457). */
const saysProblems: Middleware = async (context, next) => {
  try {
    await next();
  } catch (error) {
    if (!(error instanceof Refused) && !(error instanceof RequestError)) throw error;
    context.status = error.status;
    context.body = { status: error.status, detail: error.message };
    context.type = 'application/problem+json';
  }
};

/** Waits, and fails, as often as it is asked to. */
const hasTroubles: Middleware = async (context, next) => {
  const { delay, errors } = check(
    { delay: context.query.delay, errors: context.query.errors },
    Joi.object<{ delay: number; errors: number }>(trouble),
  );
  if (delay > 0) await wait(delay);
  if (Math.random() < errors) {
    context.set('Retry-After', '1');
    throw new Refused(503, 'The office does not answer now.');
  }
  await next();
};

const signedIn: Middleware = async (context, next) => {
  if (context.get('Authorization') !== `Bearer ${token}`)
    throw new Refused(401, 'Only the warden changes reservations: please sign in.');
  await next();
};

const room = (context: Context) => roomOf(check(context.params.room, named));

/** A page of a list, with the address of the next one (RFC 8288). */
function list(context: Context): void {
  const { page, size, ...wanted } = check(context.query, listQuery);
  const all = room(context).find(wanted);
  if (page * size < all.length) {
    const next = new URL(context.href);
    next.searchParams.set('page', String(page + 1));
    context.set('Link', `<${next.href}>; rel="next"`);
  }
  context.body = { items: all.slice((page - 1) * size, page * size), total: all.length };
}

export function reservationRoutes(router: Router): void {
  const at = '/stand-ins/office/:room';
  router.use(at, (context, next) => {
    letIn(context);
    return saysProblems(context, next);
  });
  router.options(`${at}/{*path}`, (context) => {
    context.status = 204;
  });
  router.get(`${at}/openapi.json`, (context) => {
    context.body = reservationsOpenApi(context.href.replace(/\/openapi\.json.*$/, '/'));
  });
  router.post(`${at}/reset`, (context) => {
    emptyRoom(check(context.params.room, named));
    context.status = 204;
  });
  router.use(at, hasTroubles);
  router.post(`${at}/sign-in`, async (context) => {
    const { name, pin } = await readJson(context, signIn, 10_000);
    if (name.trim().toLowerCase() !== warden.name || pin !== warden.pin)
      throw new Refused(401, 'The name or the PIN is wrong.');
    context.body = { token, name: warden.name };
  });
  router.get(`${at}/reservations`, (context) => list(context));
  router.get(`${at}/reservations/:id`, (context) => {
    context.body = room(context).get(check(context.params.id, numbered));
  });
  router.post(`${at}/reservations`, signedIn, async (context) => {
    const made = room(context).add(await readJson(context, whole, 10_000));
    context.status = 201;
    context.set('Location', `${context.path}/${made.id}`);
    context.body = made;
  });
  router.patch(`${at}/reservations/:id`, signedIn, async (context) => {
    const version = context.get('If-Match').replaceAll('"', '');
    context.body = room(context).change(
      check(context.params.id, numbered),
      await readJson(context, some, 10_000),
      version === '' || version === '*' ? undefined : Number(version),
    );
  });
  router.delete(`${at}/reservations/:id`, signedIn, (context) => {
    room(context).remove(check(context.params.id, numbered));
    context.status = 204;
  });
}
