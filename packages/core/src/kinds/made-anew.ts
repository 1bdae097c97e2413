/**
 * What of a control is made anew when something bound in it changes, and has no property of its element for that: the
 * drawing of a chart, the options of a select. The part is said by the properties (`page.part`); without one it is all
 * that is inside the element.
 */
import type { Values } from '../document/values.ts';
import { buttonElement } from './button.ts';
import { chartElement } from './chart.ts';
import { iconElement } from './icon.ts';
import { iconButtonElement } from './icon-button.ts';
import type { PageElement } from './kind.ts';
import { lightElement } from './lamp.ts';
import { entryElements } from './menu-button.ts';
import { meterElement } from './meter.ts';
import { navElement } from './nav.ts';
import { optionElements } from './options.ts';
import { choiceElements } from './select.ts';
import { tableElement } from './table.ts';
import { tabElements } from './tabs.ts';

export interface MadeAnew {
  readonly children: readonly PageElement[];
  /** What it is called for those who do not see it, where that follows from what is inside. */
  readonly label?: string;
}

/** All that is inside an element without controls in it. */
function inside({ children = [], attributes }: PageElement): MadeAnew {
  const label = attributes?.['aria-label'];
  return {
    children: children.filter((child) => typeof child !== 'number'),
    ...(typeof label === 'string' ? { label } : {}),
  };
}

/**
 * By kind.
 *
 * @param name the control's name, with the items of repeats that it stands in.
 * @param count how many children the control has.
 */
export const madeAnew: Readonly<Record<string, (values: Values, name: string, count: number) => MadeAnew>> = {
  button: (values) => inside(buttonElement(values)),
  chart: (values) => inside(chartElement(values)),
  choiceList: (values, name) => ({ children: optionElements(values, name, !values.flag('many')) }),
  icon: (values) => inside(iconElement(values)),
  iconButton: (values) => inside(iconButtonElement(values)),
  lamp: (values) => ({ children: [lightElement(values)] }),
  menuButton: (values) => ({ children: entryElements(values) }),
  meter: (values, name) => inside(meterElement(values, name)),
  nav: (values) => inside(navElement(values)),
  radioGroup: (values, name) => ({ children: optionElements(values, name, true) }),
  select: (values) => ({ children: choiceElements(values) }),
  table: (values) => inside(tableElement(values)),
  tabs: (values, name, count) => ({ children: tabElements(values, name, count) }),
};
