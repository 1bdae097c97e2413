/** A form from a JSON Schema: pasted or taken from a file, with a preview of its fields. */
import { messageOf, questionsOfSchema, type SchemaReading } from '@hovrin/core';
import { Upload } from 'lucide-react';
import { useRef, useState } from 'react';
import { Dialog } from '../parts/Dialog.tsx';

const example = `{
  "title": "Gear for hire",
  "properties": {
    "item": { "enum": ["rope", "axe"] },
    "count": { "type": "integer" }
  }
}`;

/** What a schema asks; or why it cannot be read. */
function reading(text: string): { read?: SchemaReading; problem?: string } {
  if (text.trim() === '') return {};
  try {
    return { read: questionsOfSchema(JSON.parse(text)) };
  } catch (error) {
    const message = messageOf(error);
    return { problem: error instanceof SyntaxError ? `This is not JSON yet: ${message}` : message };
  }
}

export function SchemaDialog({
  onMake,
  onClose,
}: {
  onMake: (schema: SchemaReading) => void;
  onClose: () => void;
}) {
  const [text, setText] = useState('');
  const file = useRef<HTMLInputElement>(null);
  const { read, problem } = reading(text);
  return (
    <Dialog title="Form from a JSON Schema" onClose={onClose} width={620}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (read) onMake(read);
        }}
      >
        <p className="text-quiet">
          Each property of the schema becomes a question; what is answered is kept as a record of a list.
        </p>
        <textarea
          className="field h-56 w-full resize-y py-1.5 font-mono text-[12px]"
          aria-label="Schema"
          aria-invalid={problem !== undefined}
          spellCheck={false}
          placeholder={example}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        {problem && (
          <p role="alert" className="text-brick">
            {problem}
          </p>
        )}
        {read && (
          <div className="rounded-md border border-rule p-2 text-[12.5px]">
            <p>
              <span className="text-quiet">It asks </span>
              {read.questions
                .map(({ label, required }) => `${label}${required ? ' (required)' : ''}`)
                .join(', ')}
              .
            </p>
            {read.leftOut.map((said) => (
              <p key={said} className="text-copper">
                Left out: {said}
              </p>
            ))}
          </div>
        )}
        <div className="flex gap-2">
          <input
            ref={file}
            type="file"
            accept=".json,application/json,application/schema+json"
            className="sr-only"
            tabIndex={-1}
            aria-label="A file with a schema"
            onChange={(event) => {
              const [chosen] = event.target.files ?? [];
              event.target.value = '';
              void chosen?.slice(0, 500_000).text().then(setText);
            }}
          />
          <button type="button" className="btn" onClick={() => file.current?.click()}>
            <Upload size={14} aria-hidden /> From a file
          </button>
          <span className="flex-1" />
          <button type="submit" className="btn btn-main" disabled={!read}>
            Make the form
          </button>
        </div>
      </form>
    </Dialog>
  );
}
