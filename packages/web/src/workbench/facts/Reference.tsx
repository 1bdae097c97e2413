/** How code that is written against a page names a control. */
import { useWorkplace } from '../../editor/context.tsx';

export function Reference({ text }: { text: string }) {
  const { editor } = useWorkplace();
  return (
    <button
      type="button"
      className="btn-bare -mt-1.5 mb-1.5 ml-[104px] !h-5 !justify-start self-start truncate !px-1 font-mono text-[11px] text-quiet"
      aria-label="Copy the reference"
      title={`${text}: copy it for code`}
      onClick={() =>
        void navigator.clipboard.writeText(text).then(
          () => editor.tell('Copied.'),
          () => editor.tell('The browser does not allow copying.'),
        )
      }
    >
      {text}
    </button>
  );
}
