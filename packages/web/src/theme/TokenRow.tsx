/** One token: its name, its values in each mode, how often it is used, what is done with it. */
import { modes, type Token, tokenName, tokenPathProblem, usesOfToken } from '@hovrin/core';
import { RotateCcw, Trash2 } from 'lucide-react';
import { useMemo } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { Menu } from '../parts/Menu.tsx';
import { TypedField } from '../parts/TypedField.tsx';
import { TokenField } from './TokenField.tsx';
import { allTokens, deleting } from './tokenSteps.ts';
import { UsesButton } from './UsesButton.tsx';

const trash = <Trash2 size={15} />;
const back = <RotateCcw size={14} />;

interface TokenRowProps {
  readonly token: Token;
  readonly isOwn: boolean;
  /** It ships: the project's own value can be given up, the token itself cannot. */
  readonly isShipped: boolean;
}

export function TokenRow({ token, isOwn, isShipped }: TokenRowProps) {
  const { project } = useEditorState('project');
  const uses = useMemo(() => usesOfToken(project, token.path), [project, token.path]);
  return (
    <li className="flex items-start gap-2 py-1" data-entity={`tokens ${token.path}`}>
      <TokenName token={token} isFixed={isShipped} />
      {modes.map((mode) => (
        <TokenField key={mode} token={token} mode={mode} />
      ))}
      <span className="flex w-16 shrink-0 justify-end">
        <UsesButton token={token} isShipped={isShipped} />
      </span>
      <span className="w-7 shrink-0">{isOwn && <DeleteButton {...{ token, uses, isShipped }} />}</span>
    </li>
  );
}

function TokenName({ token, isFixed }: { readonly token: Token; readonly isFixed: boolean }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const name = tokenName(token.path);
  if (isFixed)
    return (
      <span className="w-40 shrink-0 truncate pt-1 font-mono text-[12px]" title={token.path}>
        {name}
      </span>
    );
  // Its group stays: what another program wrote lies where it did.
  const pathOf = (text: string) => `${token.path.slice(0, -name.length)}${text}`;
  const isTaken = (text: string) =>
    allTokens(project).some((each) => each.token.path !== token.path && tokenName(each.token.path) === text);
  return (
    <span className="flex w-40 shrink-0">
      <TypedField
        label={`Name of ${name}`}
        kept={name}
        token={token.path}
        problemOf={(text) =>
          tokenPathProblem(pathOf(text)) ?? (isTaken(text) ? 'This name is taken.' : undefined)
        }
        onText={(text) =>
          editor.dispatch({
            label: `Rename ${name} to ${text}`,
            steps: [{ type: 'rename', of: 'tokens', key: token.path, to: pathOf(text) }],
          })
        }
      />
    </span>
  );
}

/** Takes a token away; one that is used asks what takes its place. */
function DeleteButton({
  token,
  uses,
  isShipped,
}: {
  readonly token: Token;
  readonly uses: number;
  readonly isShipped: boolean;
}) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const name = tokenName(token.path);
  const drop = (instead?: Token) =>
    editor.dispatch({
      label: isShipped ? `Send ${name} back to what ships` : `Delete ${name}`,
      steps: deleting(project, token, instead),
      exact: true,
    });
  const button = (onClick?: () => void) => (
    <button
      type="button"
      className="btn-bare text-quiet hover:text-brick"
      aria-label={isShipped ? `Send ${name} back to what ships` : `Delete ${name}`}
      title={
        isShipped ? 'Send back to what ships' : uses > 0 ? 'Delete: something takes its place' : 'Delete'
      }
      onClick={onClick}
    >
      {isShipped ? back : trash}
    </button>
  );
  if (isShipped || uses === 0) return button(() => drop());
  const others = allTokens(project).filter(
    (each) => each.token.type === token.type && each.token.path !== token.path,
  );
  return (
    <Menu
      label={`What takes the place of ${name}`}
      button={button()}
      entries={others.map((each) => ({
        label: `${tokenName(each.token.path)} in its place`,
        onSelect: () => drop(each.token),
      }))}
    />
  );
}
