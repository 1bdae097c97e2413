/** One way: what leads where, where else it could lead, how the screen comes; shown on the bench, taken away. */
import {
  inForce,
  leadWay,
  namesOn,
  type Project,
  placeOfWay,
  removeWay,
  type ScreenLayout,
  type TransitionName,
  transitionOfWay,
  transitions,
  type Way,
  type WayChange,
} from '@hovrin/core';
import { ArrowRight, Crosshair, Trash2 } from 'lucide-react';
import { useWorkplace } from '../editor/context.tsx';
import { TypedField } from '../parts/TypedField.tsx';
import { useGoTo } from '../parts/useGoTo.ts';
import type { ScreenSize } from '../sizes.ts';
import { TransitionPreview } from './TransitionPreview.tsx';
import { goingWords } from './words.ts';

/** How long a transition takes where nothing says it, s; as the page's stylesheet has it. */
const usualSeconds = 0.3;

interface WayDetailsProps {
  readonly project: Project;
  readonly way: Way;
  readonly layouts: ReadonlyMap<string, ScreenLayout>;
  readonly size: ScreenSize;
  /** Goes the way: its target is chosen. */
  readonly onGo: (screen: string) => void;
  readonly onGone: () => void;
}

/** The name of a way's control. */
export function controlName(project: Project, way: Way): string {
  const screen = project.screens.find(({ name }) => name === way.from);
  return (screen && namesOn(project, screen).get(way.control)) ?? way.from;
}

export function WayDetails({ project, way, layouts, size, onGo, onGone }: WayDetailsProps) {
  const { editor } = useWorkplace();
  const goTo = useGoTo();
  const name = controlName(project, way);
  const place = placeOfWay(project, way);
  const screens = project.screens.filter((screen) => 'steps' in leadWay(project, way, screen));
  const isThere = project.screens.some((screen) => screen.name === way.to);
  const change = (label: string, made: WayChange) => {
    if ('reason' in made) editor.tell(made.reason);
    else editor.dispatch({ label, steps: made.steps });
    return 'steps' in made;
  };
  const showControl = () => {
    const tree = place?.tree ?? project.screens.find((screen) => screen.name === way.from);
    if (!tree) return;
    editor.showScreen(tree.id);
    if (place) editor.select([place.control.id]);
    goTo('');
  };
  return (
    <section aria-label="Way" className="flex flex-col gap-3">
      <h2 className="flex min-w-0 items-center gap-1.5 text-[15px] font-semibold">
        <span className="truncate">{way.from}</span>
        <ArrowRight size={14} aria-label="to" className="shrink-0" />
        <span className={`truncate ${isThere ? '' : 'text-brick'}`}>{way.to}</span>
      </h2>
      <Told way={way} name={name} place={place} isThere={isThere} />
      <div className="flex flex-wrap gap-2">
        {isThere && way.to !== undefined && (
          <button type="button" className="btn btn-main" onClick={() => onGo(way.to ?? '')}>
            <ArrowRight size={14} aria-hidden /> Go this way
          </button>
        )}
        <button type="button" className="btn" onClick={showControl}>
          <Crosshair size={14} aria-hidden /> Show it on the bench
        </button>
      </div>
      {place && screens.length > 0 && (
        <label className="flex items-center gap-2">
          <span className="w-20 shrink-0 font-medium">Leads to</span>
          <select
            className="field"
            value={isThere ? way.to : ''}
            onChange={({ target }) => {
              const to = project.screens.find((screen) => screen.name === target.value);
              if (to && change(`Lead ${name} to ${to.name}`, leadWay(project, way, to))) onGone();
            }}
          >
            {!isThere && <option value="">Choose a screen</option>}
            {screens.map((screen) => (
              <option key={screen.id}>{screen.name}</option>
            ))}
          </select>
        </label>
      )}
      {way.by === 'go' && place && (
        <Comes
          project={project}
          way={way}
          layouts={layouts}
          size={size}
          onChange={(made) => change(`How ${way.to} comes from ${way.from}`, made)}
        />
      )}
      {place && (
        <button
          type="button"
          className="btn self-start text-brick"
          onClick={() => change(`Take the way to ${way.to} away`, removeWay(project, way)) && onGone()}
        >
          <Trash2 size={14} aria-hidden /> Take the way away
        </button>
      )}
    </section>
  );
}

interface ToldProps {
  readonly way: Way;
  /** Of the control that leads there. */
  readonly name: string;
  readonly place: ReturnType<typeof placeOfWay>;
  readonly isThere: boolean;
}

/** A way in a sentence or two. */
const Told = ({ way, name, place, isThere }: ToldProps) => (
  <p>
    <code className="font-mono text-[12px]">{name}</code> {goingWords[way.by]} {way.to}
    {way.attribute !== '' && (
      <span className="text-quiet">
        {' '}
        (<code className="font-mono text-[12px]">{way.attribute}</code>)
      </span>
    )}
    .{' '}
    {place && place.tree.name !== way.from && (
      <span className="text-quiet">It stands in the component {place.tree.name}, wherever that is.</span>
    )}
    {!place && way.by === 'place' && (
      <span className="text-quiet">
        The navigation shows the menu: each screen says whether it stands there.
      </span>
    )}
    {!isThere && <span className="text-brick"> There is no such screen.</span>}
  </p>
);

interface ComesProps extends Pick<WayDetailsProps, 'project' | 'way' | 'layouts' | 'size'> {
  readonly onChange: (made: WayChange) => void;
}

/** How the screen comes by this way, with a preview. */
function Comes({ project, way, layouts, size, onChange }: ComesProps) {
  const target = project.screens.find(({ name }) => name === way.to);
  const ofScreen = (target && inForce(target.props.comes)) ?? project.transition ?? 'none';
  const { transition } = way;
  const name = (transition?.name ?? ofScreen) as TransitionName;
  const seconds =
    transition?.seconds ?? (Number(target && inForce(target.props['comes-seconds'])) || usualSeconds);
  return (
    <div className="flex flex-col gap-2 border-t border-rule pt-3">
      <label className="flex items-center gap-2">
        <span className="w-20 shrink-0 font-medium">Comes by</span>
        <select
          className="field"
          value={transition?.name ?? ''}
          onChange={({ target: { value } }) =>
            onChange(
              transitionOfWay(
                project,
                way,
                value === '' ? undefined : { ...transition, name: value as TransitionName },
              ),
            )
          }
        >
          <option value="">
            as {way.to} says: {ofScreen}
          </option>
          {transitions.map((each) => (
            <option key={each}>{each}</option>
          ))}
        </select>
      </label>
      {transition && (
        <div className="flex items-center gap-2">
          <span className="w-20 shrink-0 font-medium">Takes, s</span>
          <TypedField
            label="Takes, s"
            kept={transition.seconds === undefined ? '' : String(transition.seconds)}
            placeholder={String(usualSeconds)}
            problemOf={(text) =>
              text === '' || (Number(text) > 0 && Number(text) <= 5) ? undefined : 'Seconds up to 5.'
            }
            onText={(text) => {
              const { seconds: _, ...rest } = transition;
              onChange(
                transitionOfWay(project, way, text === '' ? rest : { ...rest, seconds: Number(text) }),
              );
            }}
          />
        </div>
      )}
      <TransitionPreview
        name={name}
        seconds={seconds}
        from={layouts.get(way.from)}
        to={layouts.get(way.to ?? '')}
        size={size}
      />
    </div>
  );
}
