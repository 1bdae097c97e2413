/** Cases of components: sample values that they are shown with while they are edited alone. */
import { describe, expect, it } from 'vitest';
import {
  applySteps,
  definitionOf,
  expandedOn,
  expandedProject,
  inCase,
  type Project,
  printFolder,
  renameDeclared,
} from '../src/index.ts';
import { problems, read } from './component-files.ts';

describe('cases', () => {
  const figure = (cases: string) => `<component name="Figure">
  <parameter name="label" />
  <parameter name="count" type="number" initial="1" />
  <parameter name="tone" values="plain | strong" initial="plain" />
${cases}  <row name="card">
    <text name="words" text="{label}: {count} {tone}" />
  </row>
</component>
`;
  const two = `  <case name="usual" with.label="In the hut" with.count="29" />
  <case name="none" with.count="{3 - 3}" with.tone="strong" />
`;
  /** What the text of the component alone says. */
  const words = (project: Project) =>
    expandedOn(project, project.components![0]!).screen.children[0]!.children[0]!.props.text;

  it('are read, printed in canonical form, and change nothing of what is handed over', () => {
    const project = read({ Figure: figure(two), A: '<screen name="A"><Figure name="it" /></screen>' });
    expect(printFolder(project).get('components/Figure.component.xml')).toBe(figure(two));
    const without = read({ Figure: figure(''), A: '<screen name="A"><Figure name="it" /></screen>' });
    const props = (of: Project) => expandedProject(of).screens[0]!.children[0]!.children[0]!.props;
    expect(props(project)).toEqual(props(without));
  });

  it('are what the component alone begins with, while it is looked at in one', () => {
    const project = read({ Figure: figure(two), A: '<screen name="A" />' });
    const { id } = project.components![0]!;
    expect(words(project)).toBe(': 1 plain');
    expect(words(inCase(project, id, 'usual'))).toBe('In the hut: 29 plain');
    expect(words(inCase(project, id, 'none'))).toContain('strong');
    expect(inCase(project, id, 'gone')).toBe(project);
  });

  it('are refused where they give what is no parameter, or what it cannot be, or share a name', () => {
    const said = (cases: string) => problems({ Figure: figure(cases), A: '<screen name="A" />' });
    expect(said('  <case name="x" with.lable="a" />\n')).toEqual([
      'components/Figure.component.xml:5: A case has no attribute `with.lable`. Did you mean `with.label`?',
    ]);
    expect(said('  <case name="x" with.count="many" />\n').join()).toContain('with.count');
    expect(said('  <case name="x" with.tone="loud" />\n').join()).toContain('is not one of');
    expect(said('  <case name="x" />\n  <case name="x" />\n').join()).toContain('two of the name `x`');
  });

  it('follow a parameter that is renamed', () => {
    const project = read({ Figure: figure(two), A: '<screen name="A"><Figure count="{1 + 1}" /></screen>' });
    const line = definitionOf(project.components![0]!).parameters.get('count')!.control;
    const applied = applySteps(project, renameDeclared(project, line, 'many'));
    if (!applied.ok) throw new Error(applied.reason);
    const printed = printFolder(applied.project).get('components/Figure.component.xml')!;
    expect(printed).toContain('with.many="29"');
    expect(printed).not.toContain('count');
  });
});
