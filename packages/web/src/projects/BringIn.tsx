import { FolderInput } from 'lucide-react';
import { useRef } from 'react';

/** Chooses a project's file to bring in. */
export function BringIn({ isBusy, onFile }: { isBusy: boolean; onFile: (file: File) => void }) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={field}
        type="file"
        accept=".zip,application/zip"
        className="hidden"
        aria-label="A project’s file"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) onFile(file);
          // The same file can be chosen again, once it is mended.
          event.target.value = '';
        }}
      />
      <button
        type="button"
        className="btn"
        disabled={isBusy}
        title="A project that was taken out as a file (.hovrin.zip); it can be dropped here, too"
        onClick={() => field.current?.click()}
      >
        <FolderInput size={15} aria-hidden /> Bring in
      </button>
    </>
  );
}

/** All that keeps a file out, a line each. */
export function NotBroughtIn({
  name,
  message,
  onClose,
}: {
  name: string;
  message: string;
  onClose: () => void;
}) {
  const lines = message.split('\n');
  return (
    <div role="alert" className="flex flex-col gap-2 rounded-md border border-brick bg-sheet p-4">
      <div className="flex items-center justify-between gap-4">
        <p className="font-medium">“{name}” was not brought in; nothing was changed.</p>
        <button type="button" className="btn" onClick={onClose}>
          Close
        </button>
      </div>
      <ul className="max-h-60 overflow-auto font-mono text-[12px]">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </div>
  );
}
