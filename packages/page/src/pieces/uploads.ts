/**
 * Files that a person chooses: read before they are entered, so that what is in them is there at once (File API §4). A file
 * is a record: `name`, `size` in bytes, `type`, `text` where it is text, and `content` as a `data:` address.
 */
import type { Piece } from './piece.ts';

/** Of larger files only the name, size and type are there. */
const most = 10_000_000;

/** Types whose content is text; files of no known type are taken for text where they are by their name. */
const isText = ({ type, name }: File): boolean =>
  /^text\/|[/+](?:json|xml|csv|yaml)$/.test(type) ||
  (type === '' && /\.(?:csv|json|md|txt|xml|ya?ml)$/i.test(name));

const asDataAddress = (file: File): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(reader.error);
    reader.readAsDataURL(file);
  });

async function read(file: File) {
  const { name, size, type } = file;
  const isSmall = size <= most;
  return {
    name,
    size,
    type,
    text: isSmall && isText(file) ? await file.text() : '',
    content: isSmall ? await asDataAddress(file) : '',
  };
}

export const piece: Piece = (page, { say }) => {
  page.addEventListener('change', async ({ target }) => {
    const input = target as HTMLInputElement;
    if (input.type !== 'file' || !input.closest('.k-fileField')) return;
    const files = [...(input.files ?? [])];
    const large = files.find(({ size }) => size > most);
    if (large) say(`“${large.name}” is larger than ${most / 1_000_000} MB.`);
    try {
      const chosen = await Promise.all(files.map(read));
      const value = input.multiple ? chosen : (chosen[0] ?? {});
      input.dataset.chosen = JSON.stringify(value);
      input.dispatchEvent(new CustomEvent('hovrin-file', { bubbles: true, detail: value }));
    } catch {
      say('The file could not be read.');
    }
  });
};
