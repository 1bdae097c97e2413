/** A small project: the screen `s` with the text `t`. */
import { type Project, projectFormat } from '@hovrin/core';

export const trialProject: Project = {
  format: projectFormat,
  name: 'Trial',
  bands: [{ name: 'hand', label: 'Hand', from: 0 }],
  state: [],
  assets: [],
  screens: [
    {
      id: 's',
      kind: 'screen',
      name: 'Tonight',
      props: {},
      children: [{ id: 't', kind: 'text', name: 'title', props: {}, children: [] }],
    },
  ],
};
