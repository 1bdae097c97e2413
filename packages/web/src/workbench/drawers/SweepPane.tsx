/** The layout for every width: how wide the selection and its siblings are, and where something changes. */
import { type Control, toldChanges } from '@hovrin/core';
import { type KeyboardEvent, type PointerEvent, useMemo } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import { useRoom } from '../../parts/useRoom.ts';
import { useBenchView } from '../bench/benchView.ts';
import { sweptFrom, sweptTo } from '../every-width/request.ts';
import { useSwept } from '../every-width/useEveryWidth.ts';
import { useNames } from '../useNames.ts';
import { ChangeList } from './ChangeList.tsx';
import { SweepChart, widthScale } from './SweepChart.tsx';
import { concerns, drawn, type Stripe, steppedWidth, stripesOf } from './sweepStripes.ts';

export function SweepPane({ screen, control }: { screen: Control; control: Control }) {
  const { project } = useEditorState('project');
  const { sizes, resize } = useBenchView();
  const width = sizes[0]?.width ?? sweptFrom;
  const swept = useSwept();
  const { element, room } = useRoom({ width: 640, height: 230 });
  const names = useNames(screen);
  const controls = useMemo(() => drawn(project, control), [project, control]);
  const stripes = useMemo(() => stripesOf(swept.parts, controls, names), [swept.parts, controls, names]);
  const x = widthScale(room);
  const ids = useMemo(() => new Set(controls.map(({ id }) => id)), [controls]);
  const changes = useMemo(
    () => toldChanges(swept.parts.flatMap(({ change }) => (change ? [change] : []))),
    [swept.parts],
  );
  const concerning = changes.filter((change) => concerns(change, ids, project));
  const within = (value: number) => Math.round(Math.min(sweptTo, Math.max(sweptFrom, value)));
  const move = (event: PointerEvent<HTMLDivElement>) => {
    const { left } = event.currentTarget.getBoundingClientRect();
    resize({ width: within(x.invert(event.clientX - left)) });
  };
  const step = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const how = { toChange: event.ctrlKey || event.metaKey, fast: event.shiftKey };
    resize({ width: within(steppedWidth(width, by, how, concerning)) });
  };
  const own = stripes.find((stripe) => stripe.control === control.id);
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_minmax(230px,290px)]">
      <div ref={element} className="relative min-h-0 overflow-hidden">
        <div
          className="absolute inset-0 cursor-ew-resize touch-none focus-visible:outline-2 focus-visible:-outline-offset-2 focus-visible:outline-spruce"
          role="slider"
          aria-label={`Width of the working bay; ${names.get(control.id)} over all widths`}
          aria-valuemin={sweptFrom}
          aria-valuemax={sweptTo}
          aria-valuenow={Math.round(width)}
          tabIndex={0}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            move(event);
          }}
          onPointerMove={(event) => event.buttons === 1 && move(event)}
          onKeyDown={step}
        >
          <SweepChart
            room={room}
            title={`How wide ${names.get(control.id)} is at every width`}
            stripes={stripes}
            selected={control.id}
            changes={concerning}
            width={within(width)}
          />
        </div>
        <SweepState name={names.get(control.id) ?? ''} own={own} />
      </div>
      <ChangeList
        screen={screen}
        changes={concerning}
        all={changes.length}
        width={width}
        onWidth={(value) => resize({ width: within(Math.ceil(value)) })}
      />
    </div>
  );
}

/** How far the sweep is, and what it says where nothing is drawn. */
function SweepState({ name, own }: { name: string; own: Stripe | undefined }) {
  const swept = useSwept();
  return (
    <>
      {!swept.done && (
        <p
          role="status"
          className="absolute right-4 bottom-7 rounded-sm bg-sheet px-2 text-[12px] text-quiet"
        >
          {swept.problem ??
            `Sweeping … ${Math.round(swept.parts.at(-1)?.stretch.to ?? sweptFrom)} of ${sweptTo}`}
        </p>
      )}
      {swept.done && own?.points.every(({ gap }) => gap) && (
        <p className="absolute inset-x-0 top-1/2 text-center text-quiet">{name} is hidden at every width.</p>
      )}
    </>
  );
}
