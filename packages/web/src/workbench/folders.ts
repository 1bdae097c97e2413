/** The folders that a project's components are in. */
import { definitionsOf, inForce, type Project } from '@hovrin/core';

/**
 * Components, or their kinds, by folder: those in none first, then folders by name.
 *
 * @param kinds what is to be put into folders; their names are those of components.
 */
export function inFolders<T extends { readonly name?: string | undefined }>(
  project: Project,
  kinds: readonly T[],
): readonly { readonly folder: string; readonly kinds: readonly T[] }[] {
  const definitions = definitionsOf(project);
  const folderOf = ({ name = '' }: T) => inForce(definitions.get(name)?.control.props.folder)?.trim() ?? '';
  const folders = [...new Set(kinds.map(folderOf))].toSorted((a, b) => a.localeCompare(b));
  return folders.map((folder) => ({ folder, kinds: kinds.filter((kind) => folderOf(kind) === folder) }));
}
