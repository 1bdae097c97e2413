/** Finds a control in an explained layout, with the boxes around it. */

import { inCascade, prefixesInForce, propertiesOf } from '../cascade/cascade.ts';
import { themeOf } from '../cascade/project-theme.ts';
import { effectiveNames } from '../document/names.ts';
import { locationsIn } from '../document/tree.ts';
import type { Control, Project } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { layOut } from '../layout/ask.ts';
import type { Box } from '../layout/box.ts';
import { passOf } from '../layout/engine.ts';
import { free, type Laid } from '../layout/laid.ts';
import type { ContentReason, Reasons } from '../layout/reason.ts';
import { layOutRoot, type View } from '../layout/screen-layout.ts';
import { boxesFor } from '../layout/view-boxes.ts';
import { entryOf, itemAt } from '../sure.ts';
import type { Shaper } from '../text/shaper.ts';
import type { Source } from './explanation.ts';

/** A box of the layout, at its place, under its parent. */
export interface Found {
  readonly laid: Laid;
  /** From the screen's start and top. */
  readonly x: number;
  readonly y: number;
  readonly parent: Found | undefined;
  /** Why its parent gave it its size and place; undefined for the screen and for parts that parents do not explain. */
  readonly reasons: Reasons | undefined;
}

/** A screen laid out with its reasons written down. */
export class ExplainedScreen {
  private readonly pass = passOf('reasons');
  private readonly root: Laid;
  private readonly byId = new Map<string, Found>();
  readonly names: ReadonlyMap<string, string>;
  private readonly prefixes: readonly string[];

  /** @throws Error where the screen is hidden. */
  constructor(
    shaper: Shaper,
    readonly project: Project,
    readonly screen: Control,
    readonly view: View,
  ) {
    const box = boxesFor(shaper, project, view).box(screen);
    if (!box) throw new Error('A screen cannot be hidden');
    this.root = layOutRoot(this.pass, box, view);
    this.names = effectiveNames(screen);
    this.prefixes = prefixesInForce({ bands: project.bands, ...view });
    this.collect({ laid: this.root, x: 0, y: 0, parent: undefined, reasons: undefined });
  }

  private collect(found: Found): void {
    const { laid, x, y } = found;
    const id = laid.box.control;
    if (id !== undefined && !this.byId.has(id)) {
      this.byId.set(id, found);
      // An instance is where its component's root is, which comes first of its parts.
      for (let end = id.lastIndexOf('/'); end > 0; end = id.lastIndexOf('/', end - 1))
        if (!this.byId.has(id.slice(0, end))) this.byId.set(id.slice(0, end), found);
    }
    laid.children.forEach((child, index) => {
      this.collect({
        laid: child,
        x: x + itemAt(laid.places, 2 * index),
        y: y + itemAt(laid.places, 2 * index + 1),
        parent: found,
        reasons: laid.record?.reasons[index],
      });
    });
  }

  /** The first box of a control; undefined where it is hidden. */
  find(control: string): Found | undefined {
    return this.byId.get(control);
  }

  /** The control that a box stands for or is a part of. */
  controlOf(found: Found): string {
    for (let at: Found | undefined = found; at; at = at.parent)
      if (at.laid.box.control !== undefined) return at.laid.box.control;
    return this.screen.id;
  }

  /** The name of a control in backticks. */
  name(control: string | undefined): string {
    return `\`${(control !== undefined && this.names.get(control)) || this.names.get(this.screen.id)}\``;
  }

  control(id: string): Control {
    return entryOf(locationsIn(this.screen), id).control;
  }

  /** Why a box would be as high as it is by its content alone. */
  contentOf({ laid }: Found): { reason: ContentReason; height: number } | undefined {
    const natural = layOut(this.pass, laid.box, free(laid.width, laid.measured));
    const reason = natural.record?.content;
    return reason && { reason, height: natural.height };
  }

  /** Where the value of a property comes from; undefined for a property that the kind does not have. */
  source(id: string, name: string): Source | undefined {
    const control = this.control(id);
    const property = propertiesOf(kindOf(control)).get(name);
    if (!property) return undefined;
    const { text, from, condition } = inCascade(control, property, {
      prefixes: this.prefixes,
      theme: themeOf(this.project),
    }) ?? {
      text: '',
      from: 'default',
      condition: '',
    };
    return { control: id, property: name, text, from: condition || from };
  }

  /** The attribute that would have to be set to change what holds now: from the same band as the value in force. */
  attribute(id: string, name: string): string {
    const from = this.source(id, name)?.from ?? 'own';
    return from === 'own' || from === 'default' ? name : `${from}.${name}`;
  }

  /** The main axis of a box's children; undefined where they do not follow each other. */
  axisOf(box: Box): 'row' | 'column' | undefined {
    const { content } = box;
    return content.type === 'flex' ? content.direction : content.type === 'split' ? 'row' : undefined;
  }
}
