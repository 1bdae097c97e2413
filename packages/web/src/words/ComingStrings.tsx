/** What a file of strings would change, and what of it is not right: taken as a whole, in part, or not at all. */
import { Dialog } from '../parts/Dialog.tsx';
import type { Coming } from './Languages.tsx';

interface ComingStringsProps {
  readonly coming: Coming;
  readonly onTake: () => void;
  readonly onClose: () => void;
}

/** Most sentences about what is wrong that are shown. */
const mostTold = 50;

export function ComingStrings({ coming, onTake, onClose }: ComingStringsProps) {
  const { file, locale, arrival, wrong } = coming;
  const count = Object.keys(arrival.changed).length;
  return (
    <Dialog title={`Strings in ${locale.tag}`} onClose={onClose}>
      <div className="flex flex-col gap-3">
        <p>
          {file} changes {count === 1 ? 'one text' : `${count} texts`}.
        </p>
        {wrong.length > 0 && (
          <div>
            <p className="font-medium text-brick">
              {wrong.length === 1 ? 'One thing is' : `${wrong.length} things are`} not right and would be left
              out:
            </p>
            <ul className="mt-1 max-h-56 list-disc overflow-y-auto pl-5">
              {wrong.slice(0, mostTold).map((sentence) => (
                <li key={sentence}>{sentence}</li>
              ))}
            </ul>
          </div>
        )}
        <div className="flex justify-end gap-2">
          <button type="button" className="btn" onClick={onClose}>
            Cancel
          </button>
          <button type="button" className="btn btn-main" disabled={count === 0} onClick={onTake}>
            {wrong.length > 0 ? 'Take what is right' : 'Take it in'}
          </button>
        </div>
      </div>
    </Dialog>
  );
}
