/** Which screens lead to which: by events, links and navigations, also those of components and surrounds. */
import { readAttribute } from '../cascade/attributes.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { actionNamed } from '../expression/actions/catalogue.ts';
import { actionsOf } from '../expression/names.ts';
import { parseStatements } from '../expression/parse.ts';
import { hasExpression } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { expandedOn } from '../reuse/expand.ts';

/** The ways that lead from a screen. */
export interface Ways {
  /** Names of the screens that it leads to. */
  readonly to: ReadonlySet<string>;
  /** It leads somewhere that is only known as it runs. */
  readonly elsewhere: boolean;
  /** It has a way back. */
  readonly back: boolean;
}

class Found {
  readonly to = new Set<string>();
  elsewhere = false;
  back = false;

  event(text: string): void {
    const read = parseStatements(text);
    if (!read.ok) return;
    for (const { name, arguments: given } of actionsOf(read.value)) {
      const action = actionNamed(name);
      if (action?.leaves) this.back = true;
      if (action?.pointsTo !== 'screen') continue;
      const [first] = given;
      if (first?.type === 'literal') this.to.add(String(first.value));
      else this.elsewhere = true;
    }
    // Code of one's own may go anywhere.
    if (text.includes('handlers.')) this.elsewhere = true;
  }

  control(control: Control, bands: Project['bands']): void {
    for (const [attribute, value] of Object.entries(control.props)) {
      const text = inForce(value);
      const meaning = readAttribute(kindOf(control), attribute, bands);
      if (text === undefined || typeof meaning === 'string') continue;
      if (meaning.role === 'event') this.event(text);
      const type = meaning.role === 'value' ? meaning.property.type : undefined;
      if (type?.refers?.to !== 'screen') continue;
      if (hasExpression(text)) {
        this.elsewhere = true;
        continue;
      }
      const read = type.read(text);
      if (read.ok) for (const name of type.refers.in(read.value)) this.to.add(name);
    }
  }
}

/** The ways from each screen of a project, by the screens' names. */
export function waysOf(project: Project): ReadonlyMap<string, Ways> {
  return new Map(
    project.screens.map((source) => {
      const { screen } = expandedOn(project, source);
      const found = new Found();
      for (const control of walk(screen)) found.control(control, project.bands);
      return [source.name ?? '', found] as const;
    }),
  );
}
