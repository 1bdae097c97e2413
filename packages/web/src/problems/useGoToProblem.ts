/** Goes where a problem is: to the control on the bench, to the variable in Data, to Theme. */
import type { ProblemPlace } from '@hovrin/core';
import { useCallback } from 'react';
import { useWorkplace } from '../editor/context.tsx';
import { useGoTo } from '../parts/useGoTo.ts';

export function useGoToProblem(): (place: ProblemPlace) => void {
  const { editor } = useWorkplace();
  const goTo = useGoTo();
  return useCallback(
    (place) => {
      if (place.in === 'control') {
        editor.select([place.control.id]);
        goTo('');
      } else if (place.in === 'theme') goTo('theme');
      else if (place.in === 'code') goTo('code', `?file=${encodeURIComponent(place.module)}&at=${place.at}`);
      else if (place.in === 'task') goTo('try', `?task=${encodeURIComponent(place.task)}`);
      else if (place.in === 'source') goTo('data', `?source=${encodeURIComponent(place.source)}`);
      else goTo('data', `?variable=${encodeURIComponent(place.variable)}`);
    },
    [editor, goTo],
  );
}
