/** Who names a token: how many, and on request where each of them is. */
import { effectiveNames, type Token, tokenName, usersOfToken } from '@hovrin/core';
import { useMemo } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { Menu, type MenuEntry } from '../parts/Menu.tsx';
import { useGoTo } from '../parts/useGoTo.ts';

/** Most places that are listed. */
const mostListed = 200;

const kinds: Readonly<Record<string, string>> = { styles: 'Style', tokens: 'Token' };

export function UsesButton({ token, isShipped }: { readonly token: Token; readonly isShipped: boolean }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const goTo = useGoTo();
  const users = useMemo(() => usersOfToken(project, token.path), [project, token.path]);
  const count = users.controls.length + users.entities.length;
  if (count === 0) return <span className="pt-1 text-[12px] text-quiet">{isShipped ? '' : 'unused'}</span>;
  const entries = (): MenuEntry[] => [
    ...users.entities.map(
      ({ of, key }): MenuEntry => ({
        label: `${kinds[of] ?? of} ${of === 'tokens' ? tokenName(key) : key}`,
        onSelect: () =>
          document
            .querySelector<HTMLElement>(`[data-entity="${CSS.escape(`${of} ${key}`)}"]`)
            ?.scrollIntoView({ block: 'center' }),
      }),
    ),
    ...users.controls.slice(0, mostListed).map(
      ({ screen, control, attribute }): MenuEntry => ({
        label: `${screen.name}.${effectiveNames(screen).get(control.id) ?? ''}, ${attribute}`,
        onSelect: () => {
          editor.select([control.id]);
          goTo('');
        },
      }),
    ),
  ];
  const name = tokenName(token.path);
  return (
    <Menu
      label={`Who uses ${name}`}
      button={
        <button
          type="button"
          className="pt-1 text-right text-[12px] text-quiet underline decoration-dotted underline-offset-2 hover:text-ink"
          aria-label={`${count} ${count === 1 ? 'use' : 'uses'} of ${name}`}
        >
          {count} {count === 1 ? 'use' : 'uses'}
        </button>
      }
      entries={entries}
    />
  );
}
