/**
 * Values that stand in the address of a screen: behind its name, as a form would send them (URL standard §5.2,
 * `application/x-www-form-urlencoded`): `#Bunk?bunk=12`. They are taken from there as the screen is shown, and follow the
 * variables while it is.
 */
import type { Dispose, ScreenProgram, StateValue } from '@hovrin/core/runtime';
import { nameIn } from '../address.ts';
import { trial } from '../trial.ts';
import type { Around, Piece } from './piece.ts';

/** Browsers let a page change its address some three times a second. */
const pause = 350;

export const piece: Piece = (page, { asItShows, runtime, program }) => {
  asItShows((screen) => {
    const { addressed } = screen;
    if (!addressed) return () => {};
    const take = () => takeFrom(location.hash, addressed, { runtime, program });
    if (location.hash.includes('?')) take();
    const later = () => {
      if (nameIn(location.hash) === screen.name) take();
    };
    page.defaultView!.addEventListener('hashchange', later);
    const stop = trial ? () => {} : follow(screen, addressed, { runtime, program });
    return () => {
      page.defaultView!.removeEventListener('hashchange', later);
      stop();
    };
  });
};

type Addressed = NonNullable<ScreenProgram['addressed']>;
type Known = Pick<Around, 'runtime' | 'program'>;

const variableOf = ({ program }: Known, name: string) => program.state.find((each) => each.name === name);

/** Sets the variables as an address has them; what it does not name holds what it held at the beginning. */
function takeFrom(hash: string, addressed: Addressed, known: Known): void {
  const given = new URLSearchParams(hash.slice(hash.indexOf('?') + 1));
  for (const { key, variable } of addressed) {
    const text = hash.includes('?') ? given.get(key) : null;
    const held = variableOf(known, variable);
    if (held) known.runtime.assign(variable, text === null ? held.initial : fromText(text, held));
  }
}

/** A value of an address as its variable holds it; what is no such value is left to the variable to refuse. */
function fromText(text: string, { type, nullable }: { readonly type: string; readonly nullable?: boolean }) {
  if (type === 'boolean' && /^(?:true|false)$/.test(text)) return text === 'true';
  return text === '' && nullable ? null : text;
}

/** The address of a screen with what its variables hold now; those that hold what they held at the beginning are left out. */
function addressWith(
  screen: ScreenProgram,
  addressed: Addressed,
  values: ReadonlyMap<string, unknown>,
  known: Known,
) {
  const said = new URLSearchParams();
  for (const { key, variable } of addressed) {
    const value = values.get(variable) as StateValue;
    if (value !== variableOf(known, variable)?.initial) said.set(key, String(value ?? ''));
  }
  const text = said.toString();
  return `#${encodeURIComponent(screen.name)}${text && `?${text}`}`;
}

/** Has the address follow the variables; it stays the same entry of the history. */
function follow(screen: ScreenProgram, addressed: Addressed, known: Known): Dispose {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let wanted = '';
  const write = () => {
    timer = undefined;
    if (location.hash !== wanted) history.replaceState(history.state, '', wanted);
  };
  const templates = Object.fromEntries(
    addressed.map(({ variable, read }) => [variable, { whole: true, parts: [read] }]),
  );
  const stop = known.runtime.bindAll(templates, (values) => {
    const isFirst = wanted === '';
    wanted = addressWith(screen, addressed, values, known);
    if (isFirst) write();
    else timer ??= setTimeout(write, pause);
  });
  return () => {
    clearTimeout(timer);
    stop();
  };
}
