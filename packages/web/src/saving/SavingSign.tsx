/** Whether the server has everything, and what was set aside. */
import { useEditorState, useWorkplace } from '../editor/context.tsx';

const words = {
  saved: 'Saved',
  saving: 'Saving …',
  offline: 'Not connected: changes are kept here',
  failing: 'Not stored yet: changes are kept here',
} as const;

export function SavingSign() {
  const { editor } = useWorkplace();
  const { saving, failure, asides, isUnkept } = useEditorState('saving', 'failure', 'asides', 'isUnkept');
  const isTrouble = saving === 'offline' || saving === 'failing';
  return (
    <span className="flex items-center gap-2 text-[12px] whitespace-nowrap">
      <span
        role="status"
        aria-live="polite"
        data-saving={saving}
        title={
          failure ?? (isUnkept ? 'The storage of the browser is full: leave this window open.' : undefined)
        }
        className={isTrouble || isUnkept ? 'font-medium text-brick' : 'text-quiet'}
      >
        {isUnkept ? 'Browser storage is full: keep this window open' : words[saving]}
      </span>
      {asides.length > 0 && (
        <button
          type="button"
          className="h-6 rounded-md border border-brick px-2 font-medium text-brick hover:bg-brick/10"
          title="Changes that could not be stored, with the reasons"
          onClick={() => editor.ask('asides')}
        >
          {asides.length} set aside
        </button>
      )}
    </span>
  );
}
