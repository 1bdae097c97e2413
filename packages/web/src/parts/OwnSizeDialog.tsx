/** A size of one's own: how large the screen is, what it keeps free, how it is pressed. Kept in this browser. */
import { type FormEvent, useState } from 'react';
import { allSizes, keepOwnSizes, ownSizes, type ScreenSize } from '../sizes.ts';
import { Dialog } from './Dialog.tsx';
import { ownSizeOf } from './ownSize.ts';

const fields = [
  ['width', 'Width', 412],
  ['height', 'Height', 892],
  ['ratio', 'Device px for each px', 2],
  ['top', 'Kept free at the top', 0],
  ['right', 'at the right', 0],
  ['bottom', 'at the bottom', 0],
  ['left', 'at the left', 0],
  ['hinge', 'Folds at, from the left', ''],
  ['hingeWidth', 'Width of the fold', ''],
] as const;

/** @param onAdd is given the new size, which is kept by then. */
export function OwnSizeDialog({
  onAdd,
  onClose,
}: {
  onAdd: (size: ScreenSize) => void;
  onClose: () => void;
}) {
  const [problem, setProblem] = useState<string>();
  const [own, setOwn] = useState(ownSizes);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const size = ownSizeOf(new FormData(event.currentTarget), allSizes());
    if (typeof size === 'string') return setProblem(size);
    keepOwnSizes([...own, size]);
    onAdd(size);
    onClose();
  };
  return (
    <Dialog title="A size of your own" onClose={onClose} width={420}>
      <form onSubmit={submit} className="grid grid-cols-[1fr_110px] items-center gap-x-3 gap-y-2">
        <label htmlFor="own-label">Name</label>
        <input id="own-label" name="label" className="field" maxLength={24} />
        {fields.map(([name, words, preset]) => (
          <div key={name} className="contents">
            <label htmlFor={`own-${name}`}>{words}</label>
            <input
              id={`own-${name}`}
              name={name}
              inputMode="decimal"
              className="field text-right font-mono"
              defaultValue={preset}
            />
          </div>
        ))}
        <label htmlFor="own-touch">Pressed by fingers</label>
        <input
          id="own-touch"
          name="touch"
          type="checkbox"
          className="justify-self-end accent-spruce"
          defaultChecked
        />
        {problem && (
          <p role="alert" className="col-span-2 text-brick">
            {problem}
          </p>
        )}
        <div className="col-span-2 mt-2 flex justify-end gap-2">
          <button type="button" className="btn" onClick={onClose}>
            Cancel
          </button>
          <button type="submit" className="btn btn-main">
            Add the size
          </button>
        </div>
      </form>
      {own.length > 0 && (
        <OwnSizes
          sizes={own}
          onSizes={(left) => {
            keepOwnSizes(left);
            setOwn(left);
          }}
        />
      )}
    </Dialog>
  );
}

function OwnSizes({
  sizes,
  onSizes,
}: {
  sizes: readonly ScreenSize[];
  onSizes: (sizes: readonly ScreenSize[]) => void;
}) {
  return (
    <ul className="mt-3 border-t border-rule pt-2">
      {sizes.map((size) => (
        <li key={size.label} className="flex items-center gap-2 py-0.5">
          {size.label}
          <span className="text-quiet">
            {size.width} × {size.height}
          </span>
          <button
            type="button"
            className="btn-bare ml-auto !h-6 text-[12px]"
            onClick={() => onSizes(sizes.filter(({ label }) => label !== size.label))}
          >
            Remove {size.label}
          </button>
        </li>
      ))}
    </ul>
  );
}
