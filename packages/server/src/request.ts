/** Reading requests: bodies within limits, checked by Joi; errors as one JSON shape. */
import type { IncomingMessage } from 'node:http';
import type Joi from 'joi';
import type { Context, Middleware } from 'koa';
import { UnreadableProject } from './store/reading.ts';
import { JobFailed } from './work/workshop.ts';

/** An error with a status and a sentence for the person; sent as `{ error }`. */
export class RequestError extends Error {
  constructor(
    readonly status: number,
    message: string,
  ) {
    super(message);
  }
}

/** Whether the database could not be written for want of room. */
const isDiskFull = (error: unknown): boolean =>
  error instanceof Error &&
  /SQLITE_FULL|ENOSPC|database or disk is full/.test(`${'code' in error ? error.code : ''} ${error.message}`);

/** Turns errors into answers. Unexpected ones are printed and answered without details. */
export const answerErrors: Middleware = async (context, next) => {
  try {
    await next();
    if (context.status === 404 && context.body === undefined)
      throw new RequestError(404, 'There is nothing here.');
  } catch (thrown) {
    let error: unknown = thrown;
    if (error instanceof UnreadableProject || error instanceof JobFailed) {
      context.status = error instanceof JobFailed ? 503 : 422;
      context.body = { error: error.message };
      return;
    }
    // An address that is no address (`/%`), and a disk that has no room left.
    if (error instanceof URIError) error = new RequestError(400, 'This address cannot be read.');
    if (isDiskFull(error))
      error = new RequestError(507, 'The disk is full: nothing can be stored until there is room again.');
    if (!(error instanceof RequestError)) console.error(error);
    context.status = error instanceof RequestError ? error.status : 500;
    context.body = {
      error:
        error instanceof RequestError
          ? error.message
          : 'Something went wrong in the server; it says more where it was started.',
    };
  }
};

/** Reads a whole body. @throws RequestError 413 past the limit. */
export async function readBody(request: IncomingMessage, limit: number): Promise<Buffer> {
  const chunks: Buffer[] = [];
  let size = 0;
  for await (const chunk of request as AsyncIterable<Buffer>) {
    size += chunk.length;
    if (size > limit) throw new RequestError(413, `This is larger than ${Math.round(limit / 1_000_000)} MB.`);
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}

/** Reads a JSON body of a shape. @throws RequestError 400 where it has another. */
export async function readJson<T>(context: Context, shape: Joi.Schema<T>, limit = 20_000_000): Promise<T> {
  const text = (await readBody(context.req, limit)).toString('utf8');
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    throw new RequestError(400, 'The request is not JSON.');
  }
  return check(data, shape);
}

/** Holds data against a shape. @throws RequestError 400. */
export function check<T>(data: unknown, shape: Joi.Schema<T>): T {
  const { value, error } = shape.validate(data, { convert: true, abortEarly: true });
  if (error) throw new RequestError(400, `${error.message}.`);
  return value;
}
