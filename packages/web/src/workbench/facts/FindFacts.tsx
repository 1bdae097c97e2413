/** `/`: finds any property of the selected control by any word, and goes there; also those that are not said. */
import { type Control, kindIn, locate, type Property, whatItDoes } from '@hovrin/core';
import { useCallback, useEffect, useMemo, useRef } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import { FindList } from '../../parts/FindList.tsx';
import { shownValue } from '../fields/shownValue.ts';
import { PropertyDrawing } from './PropertyDrawing.tsx';
import { factsOf, findFacts } from './whichFacts.ts';

export function FindFacts({
  control,
  onTake,
  onClose,
}: {
  control: Control;
  onTake: (property: Property) => void;
  onClose: () => void;
}) {
  const { project, scope } = useEditorState('project', 'scope');
  const frame = useRef<HTMLDivElement>(null);
  useEffect(() => frame.current?.querySelector('input')?.focus(), []);
  const all = useMemo(
    () => factsOf(project, control, locate(project, control.id)?.parent),
    [project, control],
  );
  const find = useCallback((typed: string) => findFacts(all, typed), [all]);
  const now = (property: Property) => {
    const { own, inForce, elsewhere } = shownValue(project, [control], property, scope);
    return own ? inForce : (elsewhere ?? '');
  };
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: Escape closes what is inside.
    <div
      ref={frame}
      className="border-b border-rule px-3 py-2"
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        onClose();
      }}
    >
      <FindList
        label="Find a property"
        listLabel="Properties"
        placeholder={`A property of ${kindIn(project, control).label.toLowerCase()}s: padding, center, radius …`}
        find={find}
        keyOf={(property) => property.name.replace(/[^\w-]/g, '-')}
        onTake={onTake}
        tall
        row={(property) => (
          <>
            <PropertyDrawing property={property} />
            <span className="min-w-0 flex-1">
              <span className="flex items-baseline gap-2">
                <span className="font-medium">{property.label}</span>
                <span className="ml-auto max-w-24 truncate font-mono text-[12px] text-quiet">
                  {now(property)}
                </span>
              </span>
              <span className="line-clamp-2 text-[12px] leading-4 text-quiet">{whatItDoes(property)}</span>
            </span>
          </>
        )}
        none={(typed) => `No property answers “${typed}”.`}
      />
    </div>
  );
}
