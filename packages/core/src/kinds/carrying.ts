/** Dragging as a behaviour of the application: what a control carries, and what a container takes. */
import { anyType, textType } from '../property-types/index.ts';
import type { EventEntry, Property } from './kind.ts';

/** Something was let go over it: `dropped.value` is what was carried, `dropped.at` the place before which it fell. */
const drop: EventEntry = { name: 'drop', label: 'On drop', dom: 'hovrin-drop', gives: 'dropped' };

/** What is carried when it is dragged. */
const carries: Property = {
  name: 'carries',
  label: 'Carries',
  group: 'data',
  type: anyType,
  effect: 'behaviour',
  perBand: false,
  page: { as: 'carries' },
};

/** A word that what is carried and who takes it have in common. */
const cargo: Property = {
  name: 'cargo',
  label: 'Cargo',
  group: 'data',
  type: textType,
  effect: 'behaviour',
  perBand: false,
};

/** Of what can be dragged. */
export const carried: readonly Property[] = [carries, cargo];
/** Properties of a container that takes values which are let go over it. */
export const taking: readonly Property[] = [cargo];
export const takingEvents: readonly EventEntry[] = [drop];
