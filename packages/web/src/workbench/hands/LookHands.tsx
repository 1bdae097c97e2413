/**
 * Hands of the selected control's look: the line and the stops of its gradient, or its centre, and where it is turned, scaled
 * and shifted. They are there for what the control says.
 */
import {
  type Control,
  effectiveNames,
  fillLayers,
  fillText,
  inForce,
  locate,
  type ScreenBox,
} from '@hovrin/core';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { angleOf, firstGradient, stopPlaces, withFirstGradient, withStopAt } from '../fields/gradients.ts';
import type { Point } from './drop.ts';
import { Knob } from './Knob.tsx';
import {
  angleTo,
  centreOf,
  gradientLine,
  middleOf,
  partAlong,
  placesIn,
  pointAlong,
  pointSeenAt,
  scaleTo,
  seenAt,
  type Turned,
} from './lookLines.ts';

interface LookHandsProps {
  readonly id: string;
  readonly box: ScreenBox;
  readonly scale: number;
}

export function LookHands({ id, box, scale }: LookHandsProps) {
  const { project, scope } = useEditorState('project', 'scope');
  const found = locate(project, id);
  if (!found) return null;
  const { control } = found;
  const said = (name: string) =>
    inForce(scope === '' ? undefined : control.props[`${scope}.${name}`]) ?? inForce(control.props[name]);
  const numbers = ['rotate', 'scale', 'shift'].map((each) => said(each));
  const isTurned = numbers.some((text) => text !== undefined && !text.includes('{'));
  const [x = 0, y = 0] = (numbers[2] ?? '').split(' ').map((word) => Number.parseFloat(word) || 0);
  const turned: Turned = {
    degrees: Number(numbers[0] ?? 0) || 0,
    scale: Number(numbers[1] ?? 1) || 1,
    shift: { x, y },
  };
  const hands = { control, box, scale, name: effectiveNames(found.screen).get(id) ?? '' };
  return (
    <>
      <GradientHands {...hands} turned={turned} text={said('background') ?? ''} />
      <TurnHands {...hands} turned={turned} isTurned={isTurned} />
    </>
  );
}

interface HandsProps extends Omit<LookHandsProps, 'id'> {
  readonly control: Control;
  readonly name: string;
  readonly turned: Turned;
}

const stopLook = 'rounded-[2px] bg-[#fffdf8]';
const endLook = 'rounded-full bg-[#e0a11b]';

function GradientHands({ control, box, scale, name, turned, text }: HandsProps & { readonly text: string }) {
  const { editor } = useWorkplace();
  const layers = text.includes('{') ? [] : (fillLayers(text) ?? []);
  const gradient = firstGradient(layers);
  if (!gradient) return null;
  const set = (next: typeof gradient, run: string) =>
    editor.dispatch({
      label: `Gradient of ${name}`,
      steps: [
        {
          type: 'set',
          control: control.id,
          property: 'background',
          value: fillText(withFirstGradient(layers, next)),
        },
      ],
      group: `gradient ${run}`,
    });
  const seen = (point: Point) => seenAt(box, turned, point);
  const back = (point: Point) => pointSeenAt(box, turned, point);
  if (gradient.form !== 'linear')
    return (
      <Knob
        at={seen(centreOf(box, gradient))}
        scale={scale}
        title="Drag the centre of the gradient"
        look={endLook}
        onDrag={(point, _, run) => {
          const at = placesIn(box, back(point));
          set({ ...gradient, at }, run);
          return at.map(({ fraction }) => `${Math.round(fraction * 100)}%`).join(' ');
        }}
      />
    );
  const line = gradientLine(box, angleOf(gradient));
  const [from, to] = [seen(line[0]), seen(line[1])];
  const length = Math.hypot(line[1].x - line[0].x, line[1].y - line[0].y);
  const places = stopPlaces(gradient, length);
  return (
    <>
      <svg className="absolute inset-0 size-full overflow-visible" aria-hidden="true">
        <line
          x1={from.x * scale}
          y1={from.y * scale}
          x2={to.x * scale}
          y2={to.y * scale}
          stroke="#1f2a24"
          strokeWidth="3"
        />
        <line
          x1={from.x * scale}
          y1={from.y * scale}
          x2={to.x * scale}
          y2={to.y * scale}
          stroke="#fffdf8"
          strokeWidth="1.5"
        />
      </svg>
      <Knob
        at={seen(pointAlong(line, 1 + 14 / Math.max(1, length)))}
        scale={scale}
        title="Drag the gradient’s angle; Alt frees it from steps of 15 degrees"
        look={endLook}
        onDrag={(point, free, run) => {
          const degrees = angleTo(box, back(point), !free);
          set({ ...gradient, towards: { degrees } }, run);
          return `${degrees}°`;
        }}
      />
      {places.map((place, index) => (
        <Knob
          // biome-ignore lint/suspicious/noArrayIndexKey: a stop is nothing but its place among the others.
          key={index}
          at={seen(pointAlong(line, place))}
          scale={scale}
          title={`Drag stop ${index + 1}`}
          look={stopLook}
          onDrag={(point, _, run) => {
            const part = Math.min(1, Math.max(0, partAlong(line, back(point))));
            set(withStopAt(gradient, index, part), run);
            return `${Math.round(part * 100)}%`;
          }}
        />
      ))}
    </>
  );
}

/** How far above the box the knob that turns it stands, px of the window. */
const above = 26;

function TurnHands({
  control,
  box,
  scale,
  name,
  turned,
  isTurned,
}: HandsProps & { readonly isTurned: boolean }) {
  const { editor } = useWorkplace();
  if (!isTurned) return null;
  const set = (property: string, value: string | null, run: string) =>
    editor.dispatch({
      label: `${property} of ${name}`,
      steps: [{ type: 'set', control: control.id, property, value }],
      group: `${property} ${run}`,
    });
  const { degrees, scale: factor, shift } = turned;
  const middle = middleOf(box);
  const moved = { x: middle.x + shift.x, y: middle.y + shift.y };
  const radius = (box.height / 2) * factor + above / scale;
  const angle = (degrees * Math.PI) / 180;
  const { width, height } = box;
  const around = { x: box.x + shift.x, y: box.y + shift.y, width, height };
  return (
    <>
      <Knob
        at={{ x: moved.x + Math.sin(angle) * radius, y: moved.y - Math.cos(angle) * radius }}
        scale={scale}
        title="Drag to turn it; Alt frees it from steps of 15 degrees"
        look={endLook}
        onDrag={(point, free, run) => {
          const next = angleTo(around, point, !free);
          set('rotate', next === 0 ? null : String(next), run);
          return `${next}°`;
        }}
      />
      <Knob
        at={moved}
        scale={scale}
        title="Drag to shift it: the layout stays"
        look={stopLook}
        onDrag={(point, _, run) => {
          const by = [Math.round(point.x - middle.x), Math.round(point.y - middle.y)];
          set('shift', by.every((each) => each === 0) ? null : by.join(' '), run);
          return by.join(' ');
        }}
      />
      <Knob
        at={seenAt(box, turned, { x: box.x, y: box.y })}
        scale={scale}
        title="Drag to scale it: the layout stays"
        look="rounded-full bg-[#fffdf8]"
        onDrag={(point, _, run) => {
          const times = scaleTo(around, point);
          set('scale', times === 1 ? null : String(times), run);
          return `× ${times}`;
        }}
      />
    </>
  );
}
