/** A long text that is pasted, or taken from a file. */
import { Upload } from 'lucide-react';
import { type ReactNode, useRef } from 'react';

interface PastedTextProps {
  readonly label: string;
  readonly fileLabel: string;
  /** Kinds of files, as HTML's `accept` has them. */
  readonly accept: string;
  /** Longest file that is read, bytes; what is behind that is left out. */
  readonly longest: number;
  readonly placeholder: string;
  readonly text: string;
  readonly isWrong: boolean;
  readonly onText: (text: string) => void;
  /** What stands between the text and the file. */
  readonly said?: ReactNode;
  /** What stands beside the way to a file. */
  readonly children?: ReactNode;
}

export function PastedText(props: PastedTextProps) {
  const { label, fileLabel, accept, longest, placeholder, text, isWrong, onText, said, children } = props;
  const file = useRef<HTMLInputElement>(null);
  return (
    <>
      <textarea
        className="field h-44 w-full resize-y py-1.5 font-mono text-[12px]"
        aria-label={label}
        aria-invalid={isWrong}
        spellCheck={false}
        placeholder={placeholder}
        value={text}
        onChange={({ target }) => onText(target.value)}
      />
      {said}
      <div className="flex gap-2">
        <input
          ref={file}
          type="file"
          accept={accept}
          className="sr-only"
          tabIndex={-1}
          aria-label={fileLabel}
          onChange={({ target }) => {
            const [chosen] = target.files ?? [];
            target.value = '';
            void chosen?.slice(0, longest).text().then(onText);
          }}
        />
        <button type="button" className="btn" onClick={() => file.current?.click()}>
          <Upload size={14} aria-hidden /> From a file
        </button>
        {children}
      </div>
    </>
  );
}
