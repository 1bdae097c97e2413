/** A form from a JSON Schema: pasted or taken from a file, with a preview of its fields. */
import { messageOf, questionsOfSchema, type SchemaReading } from '@hovrin/core';
import { useState } from 'react';
import { Dialog } from '../parts/Dialog.tsx';
import { PastedText } from '../parts/PastedText.tsx';

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
        <PastedText
          label="Schema"
          fileLabel="A file with a schema"
          accept=".json,application/json,application/schema+json"
          longest={500_000}
          placeholder={example}
          text={text}
          isWrong={problem !== undefined}
          onText={setText}
          said={
            <>
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
            </>
          }
        >
          <span className="flex-1" />
          <button type="submit" className="btn btn-main" disabled={!read}>
            Make the form
          </button>
        </PastedText>
      </form>
    </Dialog>
  );
}
