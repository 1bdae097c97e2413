/** `config.json`: where feeds and services are at the place where the page runs. A page that is opened from disk has none. */
import { configFile, type PageConfig } from '@hovrin/core/runtime';
import { tellProblem, trial } from './trial.ts';

/** What is said of one of them; empty where nothing is. */
type Configured<Said extends object> = (name: string) => Partial<Said>;

/**
 * Asks for what is configured.
 *
 * @param known names of what the page has of that: variables that have feeds, sources.
 */
export async function configured<Said extends object>(
  part: keyof PageConfig,
  known: readonly string[],
): Promise<Configured<Said>> {
  const nothing: Configured<Said> = () => ({});
  if (known.length === 0 || trial || !location.protocol.startsWith('http')) return nothing;
  try {
    const answer = await fetch(configFile, { credentials: 'omit' });
    if (!answer.ok) return nothing;
    const { [part]: said = {} } = (await answer.json()) as Partial<
      Record<string, Record<string, Partial<Said>>>
    >;
    for (const name of Object.keys(said))
      if (!known.includes(name)) tellProblem(`${configFile}: the page has no \`${name}\` among its ${part}.`);
    return (name) => (Object.hasOwn(said, name) ? said[name]! : {});
  } catch {
    tellProblem(`${configFile} cannot be read; ${part} are where the project says.`);
    return nothing;
  }
}
