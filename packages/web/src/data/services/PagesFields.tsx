/** How a long list comes piece by piece. */
import { type Pages, pageWays } from '@hovrin/core';
import { Labelled } from './Labelled.tsx';

const words: Readonly<Record<Pages['by'], string>> = {
  page: 'by page',
  offset: 'by offset',
  cursor: 'by cursor',
  link: 'by Link',
};

export function PagesFields({
  pages,
  onChange,
}: {
  readonly pages: Pages | undefined;
  readonly onChange: (pages: Pages | undefined) => void;
}) {
  const choose = (by: string) => {
    const way = pageWays.find((each) => each === by);
    if (!way) onChange(undefined);
    else if (way === 'link') onChange({ by: way });
    else
      onChange({
        by: way,
        parameter: pages?.parameter ?? way,
        ...(way === 'cursor' ? { next: 'next' } : {}),
      });
  };
  return (
    <Labelled words="Pages" hint="The next one comes by more(…)">
      <select
        className="field flex-1"
        value={pages?.by ?? ''}
        onChange={({ target }) => choose(target.value)}
      >
        <option value="">all at once</option>
        {pageWays.map((way) => (
          <option key={way} value={way}>
            {words[way]}
          </option>
        ))}
      </select>
      {pages?.parameter !== undefined && (
        <input
          className="field !w-24 font-mono"
          aria-label="Part of the query that says which page"
          spellCheck={false}
          value={pages.parameter}
          onChange={({ target }) => onChange({ ...pages, parameter: target.value.trim() })}
        />
      )}
      {(pages?.by === 'page' || pages?.by === 'offset') && (
        <input
          className="field !w-20 font-mono"
          aria-label="Where the answer says how many there are"
          title="Where the answer says how many there are in all, such as total; empty: a page that is shorter than the first is the last"
          placeholder="total"
          spellCheck={false}
          value={pages.total ?? ''}
          onChange={({ target }) => {
            const { total: _, ...rest } = pages;
            const total = target.value.trim();
            onChange(total === '' ? rest : { ...rest, total });
          }}
        />
      )}
      {pages?.next !== undefined && (
        <input
          className="field !w-24 font-mono"
          aria-label="Where the answer holds the next cursor"
          spellCheck={false}
          value={pages.next}
          onChange={({ target }) => onChange({ ...pages, next: target.value.trim() })}
        />
      )}
    </Labelled>
  );
}
