/** `config.json`: where feeds come from at the place where the page runs. A page that is opened from disk has none. */
import { type ConfiguredFeed, configFile } from '@hovrin/core/runtime';
import { tellProblem, trial } from './trial.ts';

type Configured = (name: string) => ConfiguredFeed;

/**
 * Asks for what is configured.
 *
 * @param known names of the variables that have feeds. @returns what is said of a feed, empty where nothing is.
 */
export async function configured(known: readonly string[]): Promise<Configured> {
  const nothing: Configured = () => ({});
  if (known.length === 0 || trial || !location.protocol.startsWith('http')) return nothing;
  try {
    const answer = await fetch(configFile, { credentials: 'omit' });
    if (!answer.ok) return nothing;
    const { feeds } = (await answer.json()) as { feeds: Readonly<Record<string, ConfiguredFeed>> };
    for (const name of Object.keys(feeds))
      if (!known.includes(name)) tellProblem(`${configFile}: no variable \`${name}\` has a feed.`);
    return (name) => (Object.hasOwn(feeds, name) ? feeds[name]! : {});
  } catch {
    tellProblem(`${configFile} cannot be read; feeds come from where the project says.`);
    return nothing;
  }
}
