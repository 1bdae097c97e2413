/** What a new file of code begins with. */
import { handlersOf, type Project, pageModule } from '@hovrin/core';

export const firstFunctions = `/**
 * What a stay costs.
 * The bench, where code does not run, shows what stands behind @sample.
 *
 * @sample 126
 */
export function cost(nights: number, price: number): number {
  return nights * price;
}
`;

/** Handlers for all that events call already. */
export function firstHandlers(project: Project): string {
  const called = handlersOf(project).map(({ name, parameters, gives }) => {
    const given = parameters.map((each) => `${each.name}: ${each.type}`).join(', ');
    return `export async function ${name}(${given}): Promise<${gives}> {\n  ${
      gives === 'void' ? `message('${name}');` : `throw new Error('${name} is not written yet.');`
    }\n}\n`;
  });
  const functions =
    called.length > 0
      ? called
      : [
          "export async function greet(guest: string): Promise<void> {\n  message('Welcome, ' + guest + '.');\n}\n",
        ];
  const isUsed = functions.some((text) => text.includes('message('));
  return [...(isUsed ? [`import { message } from '${pageModule}';\n`] : []), ...functions].join('\n');
}
