/** Versions of a project: those that have a name, the changes between them, and the project as it was. */
import type Router from '@koa/router';
import Joi from 'joi';
import type { Parts } from '../parts.ts';
import { check, RequestError, readJson } from '../request.ts';

const words = {
  name: Joi.string().trim().min(1).max(120).required(),
  note: Joi.string().trim().max(2000).allow('').default(''),
};
const changedShape = Joi.object<{ name: string; note: string }>(words);
const newShape = Joi.object<{ name: string; note: string; revision: number }>({
  ...words,
  revision: Joi.number().integer().min(0).required(),
});
const toldShape = Joi.object<{ upTo?: number }>({ upTo: Joi.number().integer().min(0) });

export function versionRoutes(router: Router, { store }: Parts): void {
  const known = (id = '') => {
    const open = store.has(id) ? store.read(id) : undefined;
    if (!open) throw new RequestError(404, 'There is no such project; it may have been deleted.');
    return { id, open };
  };
  const there = (isThere: boolean) => {
    if (!isThere) throw new RequestError(404, 'There is no such version; it may have been deleted.');
  };
  const at = '/api/projects/:id';

  router.get(`${at}/checkpoints`, (context) => {
    context.body = { checkpoints: store.versions.checkpoints(known(context.params.id).id) };
  });
  router.post(`${at}/checkpoints`, async (context) => {
    const { id, open } = known(context.params.id);
    const made = await readJson(context, newShape);
    if (made.revision > open.revision) throw new RequestError(409, 'The project is not that far yet.');
    context.body = store.versions.add(id, made);
  });
  router.patch(`${at}/checkpoints/:checkpoint`, async (context) => {
    const to = await readJson(context, changedShape);
    there(store.versions.change(known(context.params.id).id, context.params.checkpoint ?? '', to));
    context.body = {};
  });
  router.delete(`${at}/checkpoints/:checkpoint`, (context) => {
    there(store.versions.remove(known(context.params.id).id, context.params.checkpoint ?? ''));
    context.body = {};
  });
  router.get(`${at}/log`, (context) => {
    const { id, open } = known(context.params.id);
    const { upTo = open.revision } = check(context.query, toldShape);
    context.body = { changes: store.versions.told(id, upTo) };
  });
  router.get(`${at}/at/:revision`, (context) => {
    const { id, open } = known(context.params.id);
    const revision = Number(context.params.revision);
    const project =
      Number.isInteger(revision) && revision >= 0 && revision <= open.revision
        ? store.versions.at(id, open, revision)
        : undefined;
    if (!project) throw new RequestError(404, 'The log does not reach back to that version.');
    context.body = { project, revision };
  });
}
