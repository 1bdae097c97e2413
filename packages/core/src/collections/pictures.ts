/** The project's pictures: what is known of them. Their bytes are kept beside the document. */
import { readAttribute } from '../cascade/attributes.ts';
import { isRecord } from '../document/record.ts';
import { walk } from '../document/tree.ts';
import { type Asset, type Control, inForce, treesOf } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { type Collection, type Fault, onlyFields } from './collection.ts';

const fields = ['name', 'type', 'width', 'height'];

/** Greatest width and height, in CSS px. */
const largest = 20_000;

const nameProblem = (name: string): string | undefined =>
  /^\w[\w .-]*$/.test(name) && !name.includes('..') && name.length <= 100
    ? undefined
    : 'A picture has no file name.';

const isSize = (value: unknown): boolean =>
  typeof value === 'number' && Number.isFinite(value) && value > 0 && value <= largest;

function fault(asset: unknown): Fault | undefined {
  if (!isRecord(asset) || typeof asset.name !== 'string')
    return { path: 'name', message: 'A picture has no file name.' };
  const named = nameProblem(asset.name);
  if (named) return { path: 'name', message: named };
  if (typeof asset.type !== 'string' || !/^image\/[\w.+-]{1,50}$/.test(asset.type))
    return { path: 'type', message: `\`${asset.name}\` is not a picture.` };
  if (!isSize(asset.width) || !isSize(asset.height))
    return { path: 'width', message: `Picture \`${asset.name}\` has no size.` };
  return undefined;
}

const names = (control: Control, attribute: string, text: string, picture: string): boolean => {
  const meaning = readAttribute(kindOf(control), attribute, []);
  return (
    typeof meaning !== 'string' &&
    meaning.role === 'value' &&
    meaning.property.type.refers?.to === 'picture' &&
    text === picture
  );
};

export const pictures: Collection<Asset> = {
  id: 'assets',
  word: 'picture',
  least: 0,
  most: 5000,
  fields,
  keyOf: ({ name }) => name,
  keyProblem: nameProblem,
  fault,
  empty: (name) => ({ name, type: 'image/png', width: 1, height: 1 }),
  rekeyed: (asset, name) => ({ ...asset, name }),
  inAttribute: (control, [attribute, text], from, to) => [
    attribute,
    names(control, attribute, text, from) ? to : text,
  ],
  uses: (project, name) =>
    treesOf(project).flatMap((screen) =>
      [...walk(screen)].flatMap((control) =>
        Object.entries(control.props).flatMap(([attribute, value]) =>
          names(control, attribute, inForce(value) ?? '', name) ? [{ screen, control, attribute }] : [],
        ),
      ),
    ),
  migrations: { 1: onlyFields(fields) },
};
