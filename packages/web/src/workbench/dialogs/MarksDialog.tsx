/** What the marks mean: in the tree, on the bench, on the ruler. */
import type { ReactNode } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Dialog } from '../../parts/Dialog.tsx';
import { MarkSign, markKinds } from '../markKinds.tsx';

const bar = (look: string) => <span className={`inline-block border ${look}`} />;

/** Signs on the bench, as they look there. */
const onBench: readonly (readonly [ReactNode, string])[] = [
  [
    <svg key="brackets" viewBox="0 0 20 14" width="20" height="14" aria-hidden>
      <path d="M1 5V1H5M15 1H19V5M19 9V13H15M5 13H1V9" fill="none" stroke="currentColor" strokeWidth="2" />
    </svg>,
    'What is selected. Beside its name stands how wide and high it is said to be: press that for other ways.',
  ],
  [bar('h-4 w-[5px] border-sheet bg-ink'), 'A grip: drag it wider or higher; the unit stays.'],
  [bar('h-4 w-[5px] border-sheet bg-spruce'), 'Padding: Shift takes both sides, Ctrl all four.'],
  [bar('h-4 w-[5px] border-spruce bg-sheet'), 'The gap between two children.'],
  [
    bar('h-4 w-[5px] border-ink bg-saffron'),
    'A divider: two that share their room, or the panes of a split.',
  ],
  [
    bar('size-3 rotate-45 border-2 border-spruce bg-spruce'),
    'A pin that holds; an empty one would, if it were pressed.',
  ],
  [bar('h-3 w-5 bg-brick border-brick'), 'On the ruler: widths at which a check fails.'],
];

export function MarksDialog() {
  const { editor } = useWorkplace();
  const { asking } = useEditorState('asking');
  if (asking !== 'marks') return null;
  return (
    <Dialog title="What the marks mean" onClose={() => editor.ask(undefined)} width={520}>
      <Signs title="In the tree">
        {Object.values(markKinds).map((kind) => (
          <Sign key={kind.words} sign={<MarkSign {...kind} />}>
            <b className="font-medium">{kind.words}.</b> {kind.means}
          </Sign>
        ))}
      </Signs>
      <Signs title="On the bench">
        {onBench.map(([sign, words]) => (
          <Sign key={words} sign={sign}>
            {words}
          </Sign>
        ))}
      </Signs>
      <p className="mt-2 text-quiet">
        All hands can be had by keys, too: Ctrl+Enter takes hold, Tab goes from hand to hand, arrows move.
      </p>
    </Dialog>
  );
}

const Signs = ({ title, children }: { title: string; children: ReactNode }) => (
  <section className="mb-3">
    <h3 className="mb-1 font-semibold">{title}</h3>
    <ul className="flex flex-col gap-1.5">{children}</ul>
  </section>
);

const Sign = ({ sign, children }: { sign: ReactNode; children: ReactNode }) => (
  <li className="flex items-start gap-3">
    <span className="grid h-5 w-6 shrink-0 place-items-center">{sign}</span>
    <span>{children}</span>
  </li>
);
