/**
 * SVG files without what could act in them. A page shows them as pictures, where nothing acts; but the file lies beside
 * the page, and somebody may open it by itself.
 */

const namespace = 'http://www.w3.org/2000/svg';
/** Elements that act, or hold what may. */
const acting = new Set(['script', 'foreignobject', 'iframe', 'object', 'embed', 'handler', 'set']);

/** What was taken out, as the cleaning package tells it. */
type Removed = { readonly element?: Node; readonly attribute?: Attr | null };

function couldAct({ element, attribute }: Removed): boolean {
  if (attribute)
    return /^on/i.test(attribute.name) || /^\s*(javascript|data:(?!image\/)|vbscript)/i.test(attribute.value);
  const name = element?.nodeName.toLowerCase().replace(/^.*:/, '') ?? '';
  return acting.has(name) || (element instanceof Element && element.querySelector('script') !== null);
}

/**
 * @returns the file as it is, where nothing in it acts or it is no SVG; else one without that.
 */
export async function withoutScripts(
  file: File,
): Promise<{ readonly file: File; readonly isCleaned: boolean }> {
  if (file.type !== 'image/svg+xml') return { file, isCleaned: false };
  const { default: purify } = await import('dompurify');
  // In a document of its own, in which nothing runs.
  const svg = new DOMParser().parseFromString(await file.text(), file.type).documentElement;
  purify.sanitize(svg, {
    IN_PLACE: true,
    NAMESPACE: namespace,
    USE_PROFILES: { svg: true, svgFilters: true },
    ADD_TAGS: ['use'],
  });
  const isCleaned = (purify.removed as readonly Removed[]).some(couldAct);
  if (!isCleaned) return { file, isCleaned };
  const text = new XMLSerializer().serializeToString(svg);
  return { file: new File([text], file.name, { type: file.type }), isCleaned };
}
