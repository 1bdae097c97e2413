/** Prints a picture on one page, or saves it as PDF: by the browser's own dialog. */

/** @param svg a whole SVG file. @param title what the page, and a PDF of it, is called. */
export async function printPicture(svg: string, title: string): Promise<void> {
  const frame = document.createElement('iframe');
  frame.title = title;
  frame.style.cssText = 'position: fixed; inset: 100vh auto auto 0; width: 1px; height: 1px; border: 0';
  document.body.append(frame);
  const page = frame.contentDocument;
  const view = frame.contentWindow;
  if (!page || !view) throw new Error('The browser does not print.');
  page.title = title;
  const style = page.createElement('style');
  style.textContent =
    '@page { size: A3 landscape; margin: 10mm } body { margin: 0 } img { display: block; width: 100%; height: calc(100vh - 1px); object-fit: contain }';
  const image = page.createElement('img');
  image.alt = title;
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  page.head.append(style);
  page.body.append(image);
  await image.decode();
  view.addEventListener('afterprint', () => frame.remove());
  view.print();
}
