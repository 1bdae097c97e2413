/**
 * What a module of TypeScript exports, read without a compiler: functions by name, with what they take and give as far as
 * that is written there. Whether the code is right is for the compiler to say.
 */

/** A function that a module exports. */
export interface CodeExport {
  readonly name: string;
  /** UTF-16 index of its name in the text. */
  readonly at: number;
  readonly isAsync: boolean;
  /** What it takes, as it is written between the brackets. */
  readonly parameters: string;
  readonly least: number;
  readonly most: number;
  /** The type of what it gives, as it is written; undefined where it is not. */
  readonly gives?: string;
  /** What its comment says, without the marks of the comment. */
  readonly doc?: string;
  /** Behind `@sample` in its comment: what it gives where the code does not run. */
  readonly sample?: string;
}

/** What a text has at its outermost level, comments and texts apart. */
export interface CodeExports {
  readonly functions: readonly CodeExport[];
  /** Exports that are no functions by name, with the place of each: `default`, `{ … }`, a class. */
  readonly others: readonly { readonly what: string; readonly at: number }[];
}

/** What is no code: comments, texts in quotes, and regular expressions where one can stand. */
const notCode =
  /\/\*[\s\S]*?(?:\*\/|$)|\/\/[^\n]*|'(?:\\.|[^'\\\n])*'|"(?:\\.|[^"\\\n])*"|(?<=(?:^|[=(,:;!&|?{}[]|=>|\breturn)\s*)\/(?:\\.|\[(?:\\.|[^\]\\\n])*\]|[^/\\\n[*])(?:\\.|\[(?:\\.|[^\]\\\n])*\]|[^/\\\n[])*\/\w*/y;

const blank = (part: string) => part.replaceAll(/[^\n]/g, ' ');

/** The end of a template literal that begins at an index, what is worked out in it included. */
function templateEnd(text: string, from: number): number {
  let at = from + 1;
  while (at < text.length && text.charAt(at) !== '`') {
    if (text.charAt(at) === '\\') at += 2;
    else if (text.startsWith('${', at)) at = insertEnd(text, at + 2);
    else at++;
  }
  return at + 1;
}

/** The end of what is worked out in a template literal, behind its brace. */
function insertEnd(text: string, from: number): number {
  let depth = 1;
  let at = from;
  while (at < text.length && depth > 0) {
    const char = text.charAt(at);
    if (char === '`') {
      at = templateEnd(text, at);
      continue;
    }
    if (char === '{') depth++;
    else if (char === '}') depth--;
    at++;
  }
  return at;
}

/** A text with all blanked out that is no code, as long as before; and its comments for readers by their ends. */
function blanked(text: string): { code: string; docs: ReadonlyMap<number, string> } {
  const docs = new Map<number, string>();
  const parts: string[] = [];
  for (let at = 0; at < text.length; ) {
    notCode.lastIndex = at;
    const end = text.charAt(at) === '`' ? templateEnd(text, at) : at + (notCode.exec(text)?.[0].length ?? 0);
    const part = text.slice(at, Math.max(end, at + 1));
    if (part.startsWith('/**') && part.length > 3) docs.set(at + part.length, part);
    parts.push(end > at ? blank(part) : part);
    at += part.length;
  }
  return { code: parts.join(''), docs };
}

const closing: Readonly<Record<string, string>> = { '(': ')', '[': ']', '{': '}', '<': '>' };

/** The index of the bracket that ends what begins at one; -1 where it never ends. `=>` ends nothing. */
function endOf(code: string, from: number): number {
  const open: string[] = [];
  for (let at = from; at < code.length; at++) {
    const char = code.charAt(at);
    const close = closing[char];
    if (close !== undefined && (char !== '<' || code.charAt(from) === '<')) open.push(close);
    else if (char === open.at(-1) && !(char === '>' && code.charAt(at - 1) === '=')) open.pop();
    if (open.length === 0) return at;
  }
  return -1;
}

/** Parts of a text between commas that stand in no brackets. */
function parted(code: string): string[] {
  const parts: string[] = [];
  let from = 0;
  for (let at = 0; at < code.length; at++) {
    const char = code.charAt(at);
    if (closing[char] !== undefined) {
      const end = endOf(code, at);
      if (end > 0) at = end;
    } else if (char === ',') {
      parts.push(code.slice(from, at));
      from = at + 1;
    }
  }
  return [...parts, code.slice(from)].filter((part) => part.trim() !== '');
}

/** How many values some parameters take. */
function counted(parameters: string): Pick<CodeExport, 'least' | 'most'> {
  const parts = parted(parameters).filter((part) => !/^\s*this\s*:/.test(part));
  const isRest = parts.at(-1)?.trim().startsWith('...') ?? false;
  const plain = parts.filter((part) => !part.trim().startsWith('...'));
  const needed = plain.findLastIndex((part) => !/^\s*\w+\s*\?/.test(part) && !/[^=!<>]=(?![=>])/.test(part));
  return { least: needed + 1, most: isRest ? Number.POSITIVE_INFINITY : plain.length };
}

/** The type behind the brackets of a function, up to its body. */
function typeBehind(text: string, code: string, from: number): string | undefined {
  const colon = /^\s*:/.exec(code.slice(from));
  if (!colon) return undefined;
  let at = from + colon[0].length;
  const begin = at;
  for (; at < code.length; at++) {
    const char = code.charAt(at);
    const before = code.slice(begin, at).trim();
    if (char === '{' && before !== '' && !/[|&<,:(]$/.test(before)) break;
    if (code.startsWith('=>', at) || char === ';') break;
    if (closing[char] !== undefined) {
      const end = endOf(code, at);
      if (end < 0) break;
      at = end;
    }
  }
  return text.slice(begin, at).trim() || undefined;
}

const wordsOf = (comment: string): string =>
  comment
    .replace(/^\/\*\*/, '')
    .replace(/\*\/$/, '')
    .split('\n')
    .map((line) => line.replace(/^\s*\*? ?/, '').trimEnd())
    .join('\n')
    .trim();

/** What the comment in front of an export says. */
function docBefore(
  code: string,
  docs: ReadonlyMap<number, string>,
  at: number,
): Pick<CodeExport, 'doc' | 'sample'> {
  const end = code.slice(0, at).trimEnd();
  // Blanked comments leave spaces: the one that ends behind everything else, and in front of this, is meant.
  const found = [...docs].filter(([until]) => until <= at && until > end.length).at(-1);
  if (!found) return {};
  const words = wordsOf(found[1]);
  const sample = /^@sample\s+(.+)$/m.exec(words)?.[1]?.trim();
  const doc = words.replaceAll(/^@sample\s.*$/gm, '').trim();
  return { ...(doc ? { doc } : {}), ...(sample ? { sample } : {}) };
}

const functionStart = /^export\s+(async\s+)?function\s*(\*?)\s*([\p{ID_Start}$_][\p{ID_Continue}$]*)\s*/u;
const arrowStart =
  /^export\s+const\s+([\p{ID_Start}$_][\p{ID_Continue}$]*)\s*(?::(?:[^=]|=>)*)?=(?!>)\s*(async\s+)?(?=[(<\p{ID_Start}$_])/u;

/** The function that an export at a place is; undefined where it is none. */
function functionAt(text: string, code: string, docs: ReadonlyMap<number, string>, at: number) {
  const here = code.slice(at);
  const declared = functionStart.exec(here);
  const assigned = declared ? undefined : arrowStart.exec(here);
  const match = declared ?? assigned;
  const name = declared ? declared[3] : assigned?.[1];
  if (!match || name === undefined || declared?.[2]) return undefined;
  let open = at + match[0].length;
  if (code.charAt(open) === '<') open = endOf(code, open) + 1;
  if (code.charAt(open) !== '(') {
    // `export const twice = n => …`
    const alone = /^([\p{ID_Start}$_][\p{ID_Continue}$]*)\s*=>/u.exec(code.slice(open));
    if (!assigned || !alone) return undefined;
    return made(name, alone[1]!, undefined, Boolean(assigned[2]));
  }
  const end = endOf(code, open);
  if (end < 0) return undefined;
  const gives = typeBehind(text, code, end + 1);
  if (assigned && !/^\s*(?::[\s\S]*?)?=>/.test(code.slice(end + 1))) return undefined;
  return made(
    name,
    text.slice(open + 1, end).trim(),
    gives,
    Boolean(declared ? declared[1] : assigned?.[2]),
    code.slice(open + 1, end),
  );

  function made(
    called: string,
    parameters: string,
    type: string | undefined,
    isAsync: boolean,
    plain = parameters,
  ): CodeExport {
    return {
      name: called,
      at: at + code.slice(at).indexOf(called),
      isAsync,
      parameters,
      ...counted(plain),
      ...(type === undefined ? {} : { gives: type }),
      ...docBefore(code, docs, at),
    };
  }
}

const known = new Map<string, CodeExports>();
const mostKnown = 200;

/** Reads what a module exports. */
export function codeExports(text: string): CodeExports {
  const before = known.get(text);
  if (before) return before;
  if (known.size >= mostKnown) known.clear();
  const { code, docs } = blanked(text);
  const functions: CodeExport[] = [];
  const others: CodeExports['others'][number][] = [];
  let depth = 0;
  for (let at = 0; at < code.length; at++) {
    const char = code.charAt(at);
    if ('{(['.includes(char)) depth++;
    else if ('})]'.includes(char)) depth--;
    if (depth !== 0 || char !== 'e' || !/^export\b/.test(code.slice(at, at + 7))) continue;
    if (/[\w$.]/.test(code.charAt(at - 1))) continue;
    const found = functionAt(text, code, docs, at);
    const what = /^export\s+(?:declare\s+)?(\S+)/.exec(code.slice(at))?.[1] ?? '';
    if (found) functions.push(found);
    else if (!/^(?:type|interface)\b/.test(what)) others.push({ what, at });
  }
  const made = { functions, others };
  known.set(text, made);
  return made;
}
