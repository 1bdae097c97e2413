/** Rows of stored tables: found, sorted and turned page by page; taken from files, and saved as such. */
import {
  type Column,
  cellKey,
  columnsOf,
  columnTypes,
  type ImportPlan,
  importModes,
  type Project,
  type Rewriting,
  rowsOf,
  type StateVariable,
} from '@hovrin/core';
import type Router from '@koa/router';
import Joi from 'joi';
import type { Context } from 'koa';
import type { Parts } from '../parts.ts';
import { check, RequestError, readBody, readJson } from '../request.ts';

/** Largest file of rows, bytes. */
const largestFile = 100_000_000;
/** Most rows of one page. */
const longestPage = 20_000;

const pageShape = Joi.object<{
  from: number;
  count: number;
  find: string;
  sort?: string;
  descending: boolean;
}>({
  from: Joi.number().integer().min(0).required(),
  count: Joi.number().integer().min(0).max(longestPage).required(),
  find: Joi.string().allow('').max(200).default(''),
  sort: Joi.string().max(200),
  descending: Joi.boolean().default(false),
});

const columnName = Joi.string().min(1).max(200).required();
const rewritingShape = Joi.alternatives<Rewriting>(
  Joi.object({ what: Joi.valid('rename').required(), column: columnName, to: columnName }),
  Joi.object({
    what: Joi.valid('retype').required(),
    column: columnName,
    type: Joi.string()
      .valid(...columnTypes)
      .required(),
  }),
  Joi.object({ what: Joi.valid('remove').required(), column: columnName }),
);

interface Found {
  readonly id: string;
  readonly project: Project;
  readonly variable: StateVariable;
  readonly columns: readonly Column[];
}

/** Longest plan of how a file comes to a table, UTF-16 units: it is a part of the address. */
const longestPlan = 8000;

const planShape = Joi.object<ImportPlan>({
  mode: Joi.string()
    .valid(...importModes)
    .required(),
  columns: Joi.object().pattern(Joi.string().allow(''), Joi.string().allow(null)).required(),
  onlyGood: Joi.boolean().required(),
});

function parsedPlan(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new RequestError(400, 'The plan of the file is no JSON.');
  }
}

export function tableRoutes(router: Router, { store, workshop }: Parts): void {
  /** The list of records that a request is about. */
  function listOf(context: Context & { params: Record<string, string> }): Found {
    const { id = '', list } = context.params;
    const project = store.has(id) ? store.read(id)?.project : undefined;
    const variable = project?.state.find(({ name }) => name === list);
    if (!project || !variable || !rowsOf(variable))
      throw new RequestError(404, `There is no list of records \`${list}\`; it may have been renamed.`);
    return { id, project, variable, columns: columnsOf(variable) };
  }

  function tableOf(context: Context & { params: Record<string, string> }): Found & { table: string } {
    const found = listOf(context);
    if (!found.variable.table)
      throw new RequestError(404, `The rows of \`${found.variable.name}\` stand in the document.`);
    return { ...found, table: found.variable.table.id };
  }

  router.get('/api/projects/:id/tables/:list/rows', (context) => {
    const { id, project, table, columns } = tableOf(context);
    const { from, count, ...question } = check(context.query, pageShape);
    const rows = store.rows.rows(id, table);
    const places = store.rows.answer(id, table, question);
    const problems = store.rows.problems(id, table, columns, project.state);
    context.body = {
      total: rows.length,
      found: places.length,
      wrong: problems.size,
      rows: places.slice(from, from + count).map((place) => {
        const wrong = columns.flatMap(({ name }, at) => {
          const message = problems.get(cellKey(place, at));
          return message === undefined ? [] : [[name, message] as const];
        });
        return { place, row: rows[place], ...(wrong.length > 0 ? { wrong: Object.fromEntries(wrong) } : {}) };
      }),
    };
  });

  // The new rows are kept as a batch; a step puts them in the place of the old ones.
  router.post('/api/projects/:id/tables/:list/file', async (context) => {
    const { id, project, variable } = listOf(context);
    const { name, plan: said } = check(
      context.query,
      Joi.object<{ name: string; plan: string }>({
        name: Joi.string().max(300).required(),
        plan: Joi.string().max(longestPlan).required(),
      }),
    );
    const plan = check(parsedPlan(said), planShape);
    const bytes = await readBody(context.req, largestFile);
    const state = project.state.filter((each) => each.name !== variable.name);
    const outcome = await workshop.do('file', { id, name, bytes, variable, plan, state });
    context.body = outcome.ok ? { ...outcome, rows: store.rows.keepPacked(id, outcome.rows) } : outcome;
  });

  router.post('/api/projects/:id/tables/:list/rewritten', async (context) => {
    const { id, table } = tableOf(context);
    const change = await readJson(context, rewritingShape);
    context.body = store.rows.keepPacked(id, await workshop.do('rewritten', { id, table, change }));
  });

  router.get('/api/projects/:id/tables/:list/file', async (context) => {
    const { id, table, variable, columns } = tableOf(context);
    const { as } = check(
      context.query,
      Joi.object<{ as: 'csv' | 'json' }>({ as: Joi.string().valid('csv', 'json').required() }),
    );
    context.body = await workshop.do('rowsAs', { id, table, as, columns });
    context.attachment(`${variable.name}.${as}`);
    context.type = as === 'csv' ? 'text/csv' : 'application/json';
  });
}
