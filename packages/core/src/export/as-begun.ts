/**
 * A project as its application begins: what comes from outside has not come yet. On the bench a variable with a feed holds
 * a sample, and its status says that it is live, so that one sees what one builds; neither is true when a page opens.
 */
import type { FeedStatus } from '../document/feed.ts';
import { idleAnswer } from '../document/source.ts';
import { initialRows } from '../document/stored-table.ts';
import type { Project, StateVariable } from '../document/types.ts';

const waiting: FeedStatus = 'waiting';

/** Names of the variables that tell how something goes that has not come yet when a page opens. */
function waitingStatuses(state: readonly StateVariable[]): ReadonlySet<string> {
  return new Set(
    state.flatMap((variable) => {
      const { feed, table } = variable;
      const comesLater = table !== undefined && initialRows(variable).length < table.rows;
      return [feed?.status, comesLater ? table.status : undefined].filter((name) => name !== undefined);
    }),
  );
}

/** @returns the project with what its variables hold before anything has come. */
export function asBegun(project: Project): Project {
  const statuses = waitingStatuses(project.state);
  return {
    ...project,
    state: project.state.map((variable): StateVariable => {
      const { name, type, computed, feed, request, remote } = variable;
      if (statuses.has(name) && type === 'text' && computed === undefined)
        return { ...variable, initial: waiting };
      if (request) return { ...variable, initial: { ...idleAnswer } };
      if (remote) return { ...variable, initial: [] };
      return feed?.start === undefined ? variable : { ...variable, initial: feed.start };
    }),
  };
}
