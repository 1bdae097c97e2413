/** All ways at a glance: how many there are, what is wrong with them, and what the arrows mean. */
import type { Way } from '@hovrin/core';
import { CircleCheck } from 'lucide-react';
import type { MapModel } from './mapModel.ts';
import { goingWords, wayKey } from './words.ts';

interface OverviewProps {
  readonly model: MapModel;
  readonly onScreen: (name: string) => void;
  readonly onWay: (key: string) => void;
}

const many = (count: number, one: string, several = `${one}s`): string =>
  `${count} ${count === 1 ? one : several}`;

/** Something that is wrong: where it is shown, and its sentence. */
interface Fault {
  readonly key: string;
  readonly words: string;
  readonly show: () => void;
}

export function Overview({ model, onScreen, onWay }: OverviewProps) {
  const { cards, ways, reach } = model;
  const own = ways.filter(({ by, isAround }: Way) => !isAround && by !== 'place');
  const faults: Fault[] = [
    ...reach.nowhere.map((way) => ({
      key: wayKey(way),
      words: `A way on ${way.from} ${goingWords[way.by]} ${way.to}, which is not there.`,
      show: () => onWay(wayKey(way)),
    })),
    ...[...reach.unreached].map((name) => ({
      key: `unreached ${name}`,
      words: `Nobody gets to ${name}.`,
      show: () => onScreen(name),
    })),
    ...[...reach.noWayOut].map((name) => ({
      key: `no way out ${name}`,
      words: `${name} has no way to another screen.`,
      show: () => onScreen(name),
    })),
  ];
  return (
    <section aria-label="All ways" className="flex flex-col gap-4">
      <p>
        {many(cards.length, 'screen')}, {many(own.length, 'way')} of their own,{' '}
        {many(ways.length - own.length, 'place')} in navigations and surrounds.
      </p>
      <div>
        <h2 className="mb-1 font-semibold">To be looked at</h2>
        {faults.length === 0 ? (
          <p className="flex items-center gap-1.5 text-quiet">
            <CircleCheck size={14} aria-hidden className="text-spruce" /> Every screen is reached and left.
          </p>
        ) : (
          <ul>
            {faults.map(({ key, words, show }) => (
              <li key={key}>
                <button
                  type="button"
                  className="w-full rounded-sm px-1.5 py-1 text-left hover:bg-sunk"
                  onClick={show}
                >
                  {words}
                </button>
              </li>
            ))}
          </ul>
        )}
      </div>
      <div>
        <h2 className="mb-1 font-semibold">On the map</h2>
        <dl className="grid grid-cols-[52px_1fr] items-center gap-x-2 gap-y-1.5 text-quiet">
          <Line words="full" dash={undefined} /> <dd>leads on</dd>
          <Line words="dashed" dash="7 5" /> <dd>opens a dialog</dd>
          <Line words="dotted" dash="1.5 4" /> <dd>stands in a navigation or surround</dd>
        </dl>
        <p className="mt-2 text-quiet">
          Draw from a control in a picture to another screen: pressing the control leads there. Cards are
          moved by their heads, or with Alt and the arrow keys.
        </p>
      </div>
    </section>
  );
}

const Line = ({ words, dash }: { readonly words: string; readonly dash: string | undefined }) => (
  <dt>
    <svg width="48" height="8" role="img" aria-label={`A ${words} line`} className="text-spruce">
      <path d="M0 4H46" stroke="currentColor" strokeWidth="2" strokeDasharray={dash} />
    </svg>
  </dt>
);
