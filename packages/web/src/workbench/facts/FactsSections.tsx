/** The sections of Facts: drawings where a drawing says more than a field, then the fields that are at hand. */
import {
  type Control,
  effectiveNames,
  entryOf,
  inForce,
  kindIn,
  kindOf,
  locate,
  type Property,
  type PropertyGroup,
} from '@hovrin/core';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { memo, type ReactNode, useState } from 'react';
import { commandNamed, runCommand } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { EventFields } from '../fields/EventField.tsx';
import { PropertyField } from '../fields/PropertyField.tsx';
import { shownValue } from '../fields/shownValue.ts';
import type { Controls } from '../fields/useSetProperty.ts';
import { wholeFields } from '../fields/wholeFields.ts';
import { LikeChoice, likeOf } from './LikeChoice.tsx';
import { PadFact } from './PadFact.tsx';
import { ParameterButton } from './ParameterButton.tsx';
import { RoomFacts } from './RoomFacts.tsx';
import { StyleButtons } from './StyleButtons.tsx';
import { SurroundField } from './SurroundField.tsx';
import { TwoWayField } from './TwoWayField.tsx';
import { UnitsAndSteps } from './UnitsAndSteps.tsx';
import { type FactsSection, factsOf, sharedFacts } from './whichFacts.ts';

const openIcon = <ChevronDown size={13} />;
const closedIcon = <ChevronRight size={13} />;

const allKept = 'hovrin.facts.all';

/** Whether all properties are shown, or those at hand; kept in this browser. */
function useAllShown() {
  const [isAll, setAll] = useState(localStorage.getItem(allKept) === 'shown');
  return {
    isAll,
    toggle: () => {
      setAll(!isAll);
      localStorage.setItem(allKept, isAll ? 'hidden' : 'shown');
    },
  };
}

/** What the drawings of a section set; their fields are shown where a drawing cannot say what holds. */
const drawn: ReadonlySet<string> = new Set([
  'width',
  'height',
  'padding',
  'margin',
  'align',
  'justify',
  'align-self',
  'justify-self',
]);

/** All properties and events of a control. @param asked the property that somebody looks for. */
export const ControlSections = memo(function ControlSections({
  control,
  asked,
}: {
  control: Control;
  asked: string | undefined;
}) {
  const { project, scope } = useEditorState('project', 'scope');
  const { isAll, toggle } = useAllShown();
  const found = locate(project, control.id);
  if (!found) return null;
  const kind = kindIn(project, control);
  const name = entryOf(effectiveNames(found.screen), control.id);
  const sections = factsOf(project, control, found.parent);
  const like = likeOf(kind.properties);
  const isRow = (property: Property, atHand: boolean): boolean => {
    if (isAll || property.name === asked) return property.name !== 'width' && property.name !== 'height';
    if (!atHand) return false;
    if (!drawn.has(property.name) && property !== like) return true;
    if (property.name === 'width' || property.name === 'height') return false;
    const { bound, problem, changes, forScope, own } = shownValue(project, [control], property, scope);
    return bound || problem !== undefined || changes.length > 0 || (forScope && own);
  };
  return (
    <>
      {sections.map(({ group, title, facts }) => {
        const rows = facts.filter(({ property, atHand }) => isRow(property, atHand));
        const drawing = drawingOf(group, control, name);
        if (rows.length === 0 && !drawing && group !== 'look') return null;
        return (
          <Section
            key={group}
            title={title}
            isAsked={facts.some(({ property }) => property.name === asked)}
            tools={toolsOf(group, control, name)}
          >
            {drawing}
            {rows.map(({ property }) => (
              <PropertyRow key={property.name} control={control} property={property} name={name} />
            ))}
            {group === 'look' && <StyleButtons controls={[control]} />}
          </Section>
        );
      })}
      {kind.events.length > 0 && (
        <Section title="Events">
          <EventFields key={control.id} control={control} name={name} events={kind.events} />
        </Section>
      )}
      <MoreLine count={hiddenIn(sections, isRow)} isAll={isAll} onPress={toggle} />
    </>
  );
});

/** How many properties are not shown. */
const hiddenIn = (
  sections: readonly FactsSection[],
  isShown: (property: Property, atHand: boolean) => boolean,
): number =>
  sections
    .flatMap(({ facts }) => facts)
    .filter(({ property, atHand }) => !drawn.has(property.name) && !isShown(property, atHand)).length;

/** What a section draws of a control. */
function drawingOf(group: PropertyGroup, control: Control, name: string): ReactNode {
  if (kindOf(control).declares) return undefined;
  if (group === 'inside') return <PadFact key="pad" control={control} name={name} of="inside" />;
  if (group === 'size') return <RoomFacts key="room" control={control} name={name} />;
  if (group === 'place') return <PadFact key="pad" control={control} name={name} of="in parent" />;
  return undefined;
}

/** At the end of a section's heading. */
function toolsOf(group: PropertyGroup, control: Control, name: string): ReactNode {
  if (group === 'size') return <UnitsAndSteps />;
  return group === 'inside' ? <LikeChoice control={control} name={name} /> : undefined;
}

/** What several controls can be given at once. */
export function SharedSections({ controls }: { controls: readonly [Control, ...Control[]] }) {
  const { project } = useEditorState('project');
  const { isAll, toggle } = useAllShown();
  const parents = controls.map(({ id }) => locate(project, id)?.parent);
  const sections = sharedFacts(project, controls, parents);
  const all = sections.flatMap(({ facts }) => facts);
  return (
    <>
      {sections.map(({ group, title, facts }) => {
        const rows = facts.filter(({ atHand }) => isAll || atHand);
        if (rows.length === 0) return null;
        return (
          <Section key={group} title={title}>
            {rows.map(({ property }) => (
              <SharedRow key={property.name} controls={controls} property={property} />
            ))}
            {group === 'look' && <StyleButtons controls={controls} />}
          </Section>
        );
      })}
      <MoreLine
        count={isAll ? 0 : all.filter(({ atHand }) => !atHand).length}
        isAll={isAll}
        onPress={toggle}
      />
    </>
  );
}

const SharedRow = ({ controls, property }: { controls: Controls; property: Property }) => (
  <PropertyField controls={controls} property={property} name={`${controls.length} controls`} />
);

/** The line that shows the rest, or puts it away. */
function MoreLine({ count, isAll, onPress }: { count: number; isAll: boolean; onPress: () => void }) {
  if (count === 0 && !isAll) return null;
  return (
    <button
      type="button"
      className="flex h-9 shrink-0 items-center gap-1 border-t border-rule px-2 text-left text-quiet hover:bg-sunk hover:text-ink"
      aria-expanded={isAll}
      onClick={onPress}
    >
      {isAll ? openIcon : closedIcon}
      {isAll ? 'Only what is set and what matters' : `${count} more properties`}
    </button>
  );
}

/** What is seldom looked for. */
const closedAtFirst: ReadonlySet<string> = new Set(['Parts']);

function Section({
  title,
  isAsked = false,
  tools,
  children,
}: {
  title: string;
  /** It holds what somebody looks for: it is open. */
  isAsked?: boolean;
  /** At the end of its heading. */
  tools?: ReactNode;
  children: ReactNode;
}) {
  const [open, setOpen] = useState(() => {
    const kept = localStorage.getItem(`hovrin.facts.${title}`);
    return kept === null ? !closedAtFirst.has(title) : kept !== 'closed';
  });
  const isOpen = open || isAsked;
  return (
    <section className="border-t border-rule px-3 py-1" aria-label={title}>
      <div className="flex items-center">
        <h3 className="min-w-0 flex-1">
          <button
            type="button"
            className="-ml-1 flex h-7 w-full items-center gap-1 font-semibold"
            aria-expanded={isOpen}
            onClick={() => {
              setOpen(!isOpen);
              localStorage.setItem(`hovrin.facts.${title}`, isOpen ? 'closed' : 'open');
            }}
          >
            {isOpen ? openIcon : closedIcon} {title}
          </button>
        </h3>
        {isOpen && tools}
      </div>
      {isOpen && <div className="flex flex-col gap-1 pb-1.5">{children}</div>}
    </section>
  );
}

function PropertyRow({ control, property, name }: { control: Control; property: Property; name: string }) {
  const { editor } = useWorkplace();
  if (property.onlyEmpty && control.children.length > 0) return null;
  if (property.name === 'surround' && kindOf(control).root === 'screens')
    return (
      <div data-property={property.name} className="contents">
        <SurroundField screen={control} />
      </div>
    );
  const { offers } = property;
  const Whole = property.type.field && wholeFields[property.type.field];
  return (
    <div data-property={property.name} className="contents">
      {Whole ? (
        <Whole key={control.id} control={control} property={property} name={name} />
      ) : (
        // What a form knows of itself nobody sets.
        property.page?.as !== 'form' &&
        inForce(control.props[`${property.name}.bind`]) === undefined && (
          <PropertyField controls={[control]} property={property} name={name} />
        )
      )}
      {property.twoWay && <TwoWayField control={control} property={property} name={name} />}
      <ParameterButton control={control} property={property} />
      {offers && (
        <button
          type="button"
          className="btn ml-[92px] !h-6 self-start text-[12px]"
          title={offers.hint}
          onClick={() => runCommand(editor, commandNamed(offers.command))}
        >
          {offers.label}
        </button>
      )}
    </div>
  );
}
