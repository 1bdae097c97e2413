/**
 * Services from what they say of themselves (OpenAPI 3.0 and 3.1): a source, and a request for each operation. What has no
 * place here is left out and named.
 */
import {
  type AnswerShape,
  deepestShape,
  mostShapes,
  type ShapeType,
  shapeTypes,
} from '../document/answer-shape.ts';
import { forbiddenKeys } from '../document/forbidden-keys.ts';
import { nameProblem } from '../document/names.ts';
import { isRecord } from '../document/record.ts';
import {
  type Authentication,
  type DataSource,
  type Method,
  methods,
  type ParameterType,
  pathNames,
  type Request,
  type RequestParameter,
} from '../document/source.ts';
import { isBase, requestProblem } from '../document/source-problem.ts';
import { isOneOf } from '../sure.ts';

/** A request that an operation becomes, with the name that it goes by. */
export interface ReadRequest {
  readonly name: string;
  readonly request: Request;
  /** What it does, in the service's own words. */
  readonly summary?: string;
}

export interface OpenApiReading {
  readonly title: string;
  readonly source: DataSource;
  readonly requests: readonly ReadRequest[];
  /** What could not be taken, as sentences. */
  readonly leftOut: readonly string[];
}

/** A file that is no description of a service; its message is a sentence. */
export class NotOpenApi extends Error {}

type Json = Readonly<Record<string, unknown>>;
const recordOf = (value: unknown): Json => (isRecord(value) ? value : {});
const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);
const textOf = (value: unknown): string | undefined => (typeof value === 'string' ? value : undefined);

const mostOperations = 200;
/** So many references lead from one to the next at most. */
const mostReferences = 20;

/** An identifier of some words. */
function identifier(text: string): string {
  const words = text.split(/[^A-Za-z0-9]+/).filter(Boolean);
  const camel = words
    .map(
      (word, at) => (at === 0 ? word.charAt(0).toLowerCase() : word.charAt(0).toUpperCase()) + word.slice(1),
    )
    .join('');
  return nameProblem(camel) === undefined ? camel : `x${camel}`;
}

class OpenApiReader {
  readonly leftOut: string[] = [];
  /** So many parts of a shape are still read. */
  #left = 0;

  constructor(private readonly root: Json) {}

  /** What a reference inside the file leads to (RFC 6901). */
  resolved(value: unknown): Json {
    let found = value;
    for (let turn = 0; isRecord(found) && typeof found.$ref === 'string'; turn++) {
      const { $ref } = found;
      if (!$ref.startsWith('#/') || turn > mostReferences) {
        this.leftOut.push(`\`${$ref}\` is not in this file.`);
        return {};
      }
      found = $ref
        .slice(2)
        .split('/')
        .map((part) => decodeURIComponent(part).replaceAll('~1', '/').replaceAll('~0', '~'))
        .reduce<unknown>(
          (inner, key) => (isRecord(inner) && Object.hasOwn(inner, key) ? inner[key] : undefined),
          this.root,
        );
    }
    return recordOf(found);
  }

  /** The shape that a schema says. What refers to itself again and again is of any shape from some depth on. */
  shape(value: unknown, depth = 0): AnswerShape {
    if (depth === 0) this.#left = mostShapes;
    if (depth >= deepestShape || --this.#left < 0) return {};
    const schema = this.resolved(value);
    const whole = listOf(schema.allOf);
    if (whole.length > 0)
      return [...whole.map((part) => this.shape(part, depth + 1)), this.own(schema, depth)].reduce(withAll);
    return this.own(schema, depth);
  }

  private own(schema: Json, depth: number): AnswerShape {
    const said = listOf(schema.type).length > 0 ? listOf(schema.type) : [schema.type];
    const types = said.filter((each): each is ShapeType => isOneOf(shapeTypes, each));
    const all = schema.nullable === true && types.length > 0 ? [...types, 'null' as const] : types;
    const [first, ...more] = all;
    const properties = Object.entries(recordOf(schema.properties)).filter(
      ([name]) => !forbiddenKeys.has(name),
    );
    const values = listOf(schema.enum).filter((each) => typeof each !== 'object' || each === null);
    const required = listOf(schema.required).filter((each) => typeof each === 'string');
    return {
      ...(first === undefined ? {} : { type: more.length === 0 ? first : all }),
      ...(schema.format === 'date' ? { format: 'date' } : {}),
      ...(values.length > 0 ? { enum: values as (string | number | boolean | null)[] } : {}),
      ...(properties.length > 0
        ? {
            properties: Object.fromEntries(
              properties.map(([name, each]) => [name, this.shape(each, depth + 1)]),
            ),
          }
        : {}),
      ...(required.length > 0 ? { required } : {}),
      ...(schema.items === undefined ? {} : { items: this.shape(schema.items, depth + 1) }),
    };
  }

  /** The schema of a body, where it is JSON. */
  content(value: unknown): unknown {
    const content = recordOf(this.resolved(value).content);
    const type = Object.keys(content).find((each) => /^application\/([\w.-]+\+)?json\b/.test(each));
    return type === undefined ? undefined : recordOf(content[type]).schema;
  }

  parameterType(schema: unknown): ParameterType {
    const { type, format } = this.shape(schema);
    const [first] = typeof type === 'string' ? [type] : (type ?? []).filter((each) => each !== 'null');
    if (first === 'number' || first === 'integer') return 'number';
    if (first === 'boolean') return 'boolean';
    if (first === 'array') return 'list';
    if (first === 'object') return 'record';
    return format === 'date' ? 'date' : 'text';
  }

  parameters(operation: string, given: readonly unknown[]): RequestParameter[] {
    return given.flatMap((each): RequestParameter[] => {
      const { name, in: place, required, schema } = this.resolved(each);
      if (typeof name !== 'string') return [];
      if (place !== 'path' && place !== 'query' && place !== 'header') {
        this.leftOut.push(`\`${name}\` of \`${operation}\` stands in a ${String(place)}.`);
        return [];
      }
      const own = identifier(name);
      if (place === 'query' && own !== name) {
        this.leftOut.push(`\`${name}\` of \`${operation}\` has a name that no expression can use.`);
        return [];
      }
      return [
        {
          name: own,
          in: place,
          type: this.parameterType(schema),
          ...(required === true || place === 'path' ? { required: true } : {}),
          ...(place === 'header' && own !== name ? { header: name } : {}),
        },
      ];
    });
  }

  /** A body's values one by one, where it is a record whose names can be used; else as one. */
  body(operation: string, value: unknown, taken: readonly RequestParameter[]): RequestParameter[] {
    const schema = this.content(value);
    if (schema === undefined) {
      if (isRecord(value)) this.leftOut.push(`The body of \`${operation}\` is no JSON.`);
      return [];
    }
    const { properties, required = [], type } = this.shape(schema);
    const names = Object.keys(properties ?? {});
    const isUsable = (name: string) => identifier(name) === name && !taken.some((each) => each.name === name);
    if (!properties || !names.every(isUsable))
      return [{ name: 'body', in: 'body', type: type === 'array' ? 'list' : 'record', required: true }];
    return names.map((name) => ({
      name,
      in: 'field',
      type: this.parameterType(properties[name]),
      ...(required.includes(name) ? { required: true } : {}),
    }));
  }

  auth(): Authentication | undefined {
    const schemes = Object.entries(recordOf(recordOf(this.root.components).securitySchemes));
    for (const [name, value] of schemes) {
      const { type, scheme, in: place, name: header } = this.resolved(value);
      const secret = identifier(name);
      const kind = String(scheme).toLowerCase();
      if (type === 'oauth2' || type === 'openIdConnect' || (type === 'http' && kind === 'bearer'))
        return { as: 'bearer', secret };
      if (type === 'http' && kind === 'basic') return { as: 'basic', user: '', secret };
      if (type === 'apiKey' && place === 'header' && typeof header === 'string')
        return { as: 'header', header, secret };
      this.leftOut.push(`Who asks cannot be told as \`${name}\` has it.`);
    }
    return undefined;
  }
}

/** What is of one shape and of another at once (JSON Schema, `allOf`). */
function withAll(one: AnswerShape, other: AnswerShape): AnswerShape {
  const properties = { ...one.properties, ...other.properties };
  const required = [...new Set([...(one.required ?? []), ...(other.required ?? [])])];
  return {
    ...one,
    ...other,
    ...(Object.keys(properties).length > 0 ? { properties } : {}),
    ...(required.length > 0 ? { required } : {}),
  };
}

/** Where the list lies in an answer that is a record with one list of records in it: `items`. */
function listPlace({ properties = {}, type }: AnswerShape): string | undefined {
  const lists = Object.entries(properties).filter(([, each]) => each.type === 'array');
  const [only, more] = lists;
  return type === 'object' && only && !more ? only[0] : undefined;
}

/** The query that says which page it is, where an operation has one that is called so. */
const pageParameter = (
  parameters: readonly RequestParameter[],
  { properties = {} }: AnswerShape,
): Request['pages'] | undefined => {
  const named = (...names: readonly string[]) =>
    parameters.find(
      ({ name, in: place, type }) => place === 'query' && type === 'number' && names.includes(name),
    )?.name;
  const page = named('page', 'pageNumber');
  const offset = named('offset', 'skip', 'start');
  const total = ['total', 'totalCount', 'count'].find((name) => properties[name]);
  const said = total === undefined ? {} : { total };
  if (page) return { by: 'page', parameter: page, ...said };
  return offset ? { by: 'offset', parameter: offset, ...said } : undefined;
};

function readOperation(
  reader: OpenApiReader,
  path: string,
  method: Method,
  operation: Json,
  around: readonly unknown[],
): Omit<ReadRequest, 'name'> & { readonly wanted: string } {
  const wanted = identifier(
    textOf(operation.operationId) ?? `${method.toLowerCase()} ${path.replaceAll(/[{}]/g, '')}`,
  );
  const own = reader.parameters(wanted, [...around, ...listOf(operation.parameters)]);
  const all = [...own, ...reader.body(wanted, operation.requestBody, own)];
  const distinct = [...new Map(all.map((each) => [each.name, each])).values()];
  // A name in the path that nothing is said of is a text; one that no expression can use is called otherwise in both.
  const inPath = pathNames(path).filter((name) => !distinct.some((each) => each.name === identifier(name)));
  const parameters: RequestParameter[] = [
    ...distinct,
    ...inPath.map(
      (name): RequestParameter => ({ name: identifier(name), in: 'path', type: 'text', required: true }),
    ),
  ];
  const [, success] =
    Object.entries(recordOf(operation.responses)).find(([status]) => /^2/.test(status)) ?? [];
  const schema = reader.content(success);
  const shape = schema === undefined ? undefined : reader.shape(schema);
  const at = shape && method === 'GET' ? listPlace(shape) : undefined;
  const isList = at !== undefined || shape?.type === 'array';
  const pages = isList ? pageParameter(parameters, shape ?? {}) : undefined;
  const sent = pages ? parameters.filter(({ name }) => name !== pages.parameter) : parameters;
  const summary = textOf(operation.summary);
  return {
    wanted,
    ...(summary === undefined ? {} : { summary }),
    request: {
      source: '',
      method,
      path: path.replace(/^\//, '').replaceAll(/\{([^{}]*)\}/g, (_, name: string) => `{${identifier(name)}}`),
      ...(sent.length > 0 ? { parameters: sent } : {}),
      ...(at === undefined ? {} : { at }),
      ...(shape && Object.keys(shape).length > 0 ? { shape } : {}),
      ...(pages ? { pages } : {}),
    },
  };
}

/**
 * @param api the file's content as plain data.
 * @param isTaken whether a name is that of a variable or a source already.
 * @throws NotOpenApi
 */
export function readOpenApi(api: unknown, isTaken: (name: string) => boolean): OpenApiReading {
  if (!isRecord(api) || !/^3\.[01]/.test(String(api.openapi)))
    throw new NotOpenApi(
      'This is no description of a service: OpenAPI 3.0 or 3.1 begins with `openapi: "3.…"`.',
    );
  const reader = new OpenApiReader(api);
  const names = new Set<string>();
  const free = (wanted: string): string => {
    let name = wanted;
    for (let number = 2; names.has(name) || isTaken(name); number++) name = `${wanted}${number}`;
    names.add(name);
    return name;
  };
  const title = textOf(recordOf(api.info).title) ?? 'service';
  const [server] = listOf(api.servers);
  const url = textOf(recordOf(server).url) ?? '';
  if (!isBase(url)) reader.leftOut.push(`Its address \`${url}\` is none that can be asked: enter it.`);
  const source = free(identifier(title));
  const requests: ReadRequest[] = [];
  for (const [path, value] of Object.entries(recordOf(api.paths))) {
    const item = reader.resolved(value);
    for (const method of methods) {
      const operation = item[method.toLowerCase()];
      if (!isRecord(operation) || requests.length >= mostOperations) continue;
      const { wanted, request, ...said } = readOperation(
        reader,
        path,
        method,
        operation,
        listOf(item.parameters),
      );
      const own = { ...request, source };
      const problem = requestProblem(own);
      if (problem) reader.leftOut.push(`\`${wanted}\`: ${problem}`);
      else requests.push({ name: free(wanted), request: own, ...said });
    }
  }
  if (requests.length === 0) throw new NotOpenApi('This service has no operation that can be asked.');
  const auth = reader.auth();
  return {
    title,
    source: { name: source, base: isBase(url) ? url : 'https://hut.example/', ...(auth ? { auth } : {}) },
    requests,
    leftOut: [...new Set(reader.leftOut)],
  };
}
