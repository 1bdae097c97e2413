/** Asks a request once, with values that are typed here, and shows what comes. */
import {
  type Answer,
  type AnswerShape,
  answered,
  answerSeconds,
  type DataSource,
  followedAtStart,
  idleAnswer,
  learnedShape,
  messageOf,
  type Request,
  type RequestParameter,
} from '@hovrin/core';
import { Send } from 'lucide-react';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { secretHere, setSecretHere } from '../../secretsHere.ts';
import { type AskedNow, askNow, outgoingNow } from './askFrame.ts';

interface AskNowProps {
  readonly source: DataSource;
  readonly request: Request;
  /** Keeps what came as the sample, and its shape as what is expected. */
  readonly onSample: (answer: Answer, shape: AnswerShape) => void;
}

/** Longest piece of an answer that is shown, in UTF-16 units. */
const longestShown = 6000;

/** A typed value as its parameter takes it. @throws Error where it is no JSON of that type. */
function typedValue({ name, type }: RequestParameter, text: string): unknown {
  if (type !== 'list' && type !== 'record') return text;
  try {
    return JSON.parse(text);
  } catch {
    throw new Error(`${name} is JSON here: ${type === 'list' ? '[ … ]' : '{ … }'}.`);
  }
}

/** A value that a parameter follows, in short. */
const followedWords = (value: unknown): string => (typeof value === 'object' ? '' : String(value ?? ''));

export function AskNow({ source, request, onSample }: AskNowProps) {
  const { projectId } = useWorkplace().editor;
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [secret, setSecret] = useState(() => (source.auth ? secretHere(projectId, source.auth.secret) : ''));
  const [isAsking, setAsking] = useState(false);
  const [problem, setProblem] = useState<string>();
  const [asked, setAsked] = useState<AskedNow>();
  const { project } = useEditorState('project');
  const parameters = request.parameters ?? [];
  /** What is asked with where nothing is typed. */
  const followed = followedAtStart(project, request);
  const ask = async () => {
    setAsking(true);
    setProblem(undefined);
    setAsked(undefined);
    try {
      const entered = parameters.flatMap((each) => {
        const text = typed[each.name] ?? '';
        return text === '' ? [] : [[each.name, typedValue(each, text)] as const];
      });
      const values = { ...followed, ...Object.fromEntries(entered) };
      setAsked(
        await askNow(outgoingNow(source, request, values, secret), source.timeout ?? answerSeconds.usual),
      );
    } catch (error) {
      setProblem(messageOf(error));
    }
    setAsking(false);
  };
  return (
    <section aria-labelledby="ask-now" className="flex flex-col gap-2 rounded-md border border-rule p-3">
      <div className="flex flex-wrap items-center gap-2">
        <h3 id="ask-now" className="mr-2 font-semibold">
          Ask it now
        </h3>
        {parameters.map(({ name, required }) => (
          <label key={name} className="flex items-center gap-1 text-[12px]">
            <span className="text-quiet">{name}</span>
            <input
              className="field !h-6 !w-28 font-mono text-[12px]"
              aria-label={`Value of ${name}`}
              placeholder={followedWords(followed[name]) || (required ? 'needed' : '')}
              value={typed[name] ?? ''}
              onChange={({ target }) => setTyped({ ...typed, [name]: target.value })}
            />
          </label>
        ))}
        {source.auth && (
          <label className="flex items-center gap-1 text-[12px]">
            <span className="text-quiet">{source.auth.secret}</span>
            <input
              className="field !h-6 !w-32 text-[12px]"
              type="password"
              autoComplete="off"
              aria-label={`Secret ${source.auth.secret}`}
              title="It stays in this window, and is never saved"
              value={secret}
              onChange={({ target }) => {
                setSecret(target.value);
                setSecretHere(projectId, source.auth!.secret, target.value);
              }}
            />
          </label>
        )}
        <button type="button" className="btn ml-auto" disabled={isAsking} onClick={() => void ask()}>
          <Send size={14} aria-hidden /> {isAsking ? 'Asking …' : 'Ask'}
        </button>
      </div>
      {problem && (
        <p role="alert" className="text-brick">
          {problem}
        </p>
      )}
      {asked && <Came request={request} asked={asked} onSample={onSample} />}
    </section>
  );
}

function Came({
  request,
  asked: { came, took },
  onSample,
}: { asked: AskedNow } & Pick<AskNowProps, 'request' | 'onSample'>) {
  const { answer } = answered(request, came, idleAnswer);
  const text = came.ok ? JSON.stringify(came.body, null, 1) : '';
  const time = `${Math.round(took)} ms`;
  const isFailed = answer.state === 'failed';
  return (
    <div className="flex flex-col gap-2" role="status">
      <p className={isFailed ? 'text-brick' : ''}>
        {answer.status > 0 && <span className="font-mono text-[12px]">{answer.status} </span>}
        {isFailed ? answer.error : resultWords(answer)} <span className="text-quiet">after {time}</span>
      </p>
      {text !== '' && (
        <textarea
          readOnly
          aria-label="Answer"
          className="field h-56 w-full resize-y py-1.5 font-mono text-[12px]"
          spellCheck={false}
          value={`${text.slice(0, longestShown)}${
            text.length > longestShown
              ? `\n… and ${(text.length - longestShown).toLocaleString('en')} characters more`
              : ''
          }`}
        />
      )}
      {came.ok && (
        <button
          type="button"
          className="btn self-start"
          onClick={() => {
            const { answer: plain } = answered({ ...withoutShape(request) }, came, idleAnswer);
            onSample({ ...plain, result: shortened(plain.result) }, learnedShape(came.body));
          }}
        >
          Expect answers like this, and show it on the bench
        </button>
      )}
    </div>
  );
}

const withoutShape = ({ shape: _, ...request }: Request): Omit<Request, 'shape'> => request;

/** So many items of a list are enough to see what one builds. */
const mostOfSample = 50;
const shortened = (result: unknown): unknown =>
  Array.isArray(result) ? result.slice(0, mostOfSample) : result;

function resultWords({ result }: Answer): string {
  if (Array.isArray(result)) return `A list of ${result.length}`;
  if (result === null) return 'Nothing';
  return typeof result === 'object' ? 'A record' : `A ${typeof result}`;
}
