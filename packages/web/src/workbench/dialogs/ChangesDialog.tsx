/** All changes of the screen from bands and orientations, by control: to read, and to clean up. */
import { changesOf, effectiveNames, everywhere, inForce, withoutChange } from '@hovrin/core';
import { MoveHorizontal, Trash2 } from 'lucide-react';
import { currentScreen, useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Dialog } from '../../parts/Dialog.tsx';
import { scopeWords } from '../scope.ts';

export function ChangesDialog() {
  const { editor } = useWorkplace();
  const state = useEditorState();
  const screen = currentScreen(state);
  if (state.asking !== 'changes' || !screen) return null;
  const { project } = state;
  const names = effectiveNames(screen);
  const changes = changesOf(project, screen);
  return (
    <Dialog title={`Changes of ${screen.name}`} onClose={() => editor.ask(undefined)} width={720}>
      {changes.length === 0 ? (
        <p className="text-quiet">
          Nothing on this screen changes from a band. Choose a band above the bench, then change a value.
        </p>
      ) : (
        <table className="w-full border-collapse">
          <thead>
            <tr className="text-left text-quiet">
              {['Control', 'Property', 'From', 'Is', 'Without it'].map((words) => (
                <th key={words} className="pr-3 pb-1 font-normal">
                  {words}
                </th>
              ))}
              <th>
                <span className="sr-only">Clean up</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {changes.map((change, index) => {
              const { control, attribute, prefix, property } = change;
              const first = changes[index - 1]?.control !== control;
              const value = inForce(control.props[attribute]);
              const without = withoutChange(project, change);
              const label = `${attribute} of ${names.get(control.id)}`;
              return (
                <tr key={`${control.id} ${attribute}`} className={first ? 'border-t border-rule' : ''}>
                  <td className="py-0.5 pr-3">
                    {first && (
                      <button
                        type="button"
                        className="rounded-sm font-mono text-[12px] text-spruce hover:bg-sunk"
                        onClick={() => {
                          editor.ask(undefined);
                          editor.select([control.id]);
                        }}
                      >
                        {names.get(control.id)}
                      </button>
                    )}
                  </td>
                  <td className="pr-3">{property}</td>
                  <td className="pr-3 text-copper">{scopeWords(project, prefix)}</td>
                  <td className="max-w-40 truncate pr-3 font-mono text-[12px]" title={value}>
                    {value}
                  </td>
                  <td
                    className={`max-w-40 truncate pr-3 font-mono text-[12px] ${value === without ? 'text-brick' : 'text-quiet'}`}
                    title={value === without ? 'The same: this change does nothing' : without}
                  >
                    {without ?? '–'}
                  </td>
                  <td className="text-right whitespace-nowrap">
                    <button
                      type="button"
                      className="btn-bare !h-6"
                      aria-label={`Make ${label} the value for all widths`}
                      title="Make it the value for all widths"
                      onClick={() =>
                        editor.dispatch({
                          label: `${label} for all widths`,
                          steps: everywhere(control, attribute),
                          exact: true,
                        })
                      }
                    >
                      <MoveHorizontal size={13} />
                    </button>
                    <button
                      type="button"
                      className="btn-bare !h-6"
                      aria-label={`Take away ${label}`}
                      title="Take this change away"
                      onClick={() =>
                        editor.dispatch({
                          label: `Take away ${label}`,
                          steps: [{ type: 'set', control: control.id, property: attribute, value: null }],
                          exact: true,
                        })
                      }
                    >
                      <Trash2 size={13} />
                    </button>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </Dialog>
  );
}
