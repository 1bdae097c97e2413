/** How large a control is and what room it has: width and height on one line, margin and padding as a drawing. */
import { type Control, kindIn, locate, type Property } from '@hovrin/core';
import { useEffect, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { PropertyField } from '../fields/PropertyField.tsx';
import { RoomDrawing } from './RoomDrawing.tsx';

export function RoomFacts({ control, name }: { control: Control; name: string }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { properties } = kindIn(project, control);
  const sized = ['width', 'height'].flatMap((each): Property[] =>
    properties.filter((property) => property.name === each),
  );
  // The bench lays out after Facts has asked: it is looked at once more then.
  const [layout, setLayout] = useState(editor.bench?.layout);
  useEffect(() => setLayout(editor.bench?.layout));
  return (
    <>
      {sized.length > 0 && locate(project, control.id)?.parent && (
        <div className="grid grid-cols-2 gap-2">
          {sized.map((property) => (
            <div key={property.name} data-property={property.name} className="min-w-0">
              <PropertyField controls={[control]} property={property} name={name} stacked />
            </div>
          ))}
        </div>
      )}
      <RoomDrawing
        control={control}
        name={name}
        box={layout?.byControl.get(control.id)}
        rightToLeft={layout?.rightToLeft ?? false}
      />
    </>
  );
}
