/** A choice among sizes that pictures of screens are seen at. */
import { type ScreenSize, sizeWords } from '../sizes.ts';

interface SizeFieldProps {
  readonly sizes: readonly ScreenSize[];
  readonly size: ScreenSize | undefined;
  /** What stands in front of it, and what it is called for those who do not see that. */
  readonly words: string;
  readonly label: string;
  readonly className?: string;
  /** Label of the size that is taken. */
  readonly onSize: (label: string) => void;
}

export const SizeField = ({ sizes, size, words, label, className = '', onSize }: SizeFieldProps) => (
  <label className="flex items-center gap-1.5">
    <span className="text-quiet">{words}</span>
    <select
      className={`field !w-auto ${className}`}
      aria-label={label}
      value={size?.label}
      onChange={({ target }) => onSize(target.value)}
    >
      {sizes.map((each) => (
        <option key={each.label} value={each.label}>
          {each.label}, {sizeWords(each)}
        </option>
      ))}
    </select>
  </label>
);
