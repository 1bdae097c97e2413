/** SVG files from outside: whatever stands in them, only drawings come through. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cleanSvg } from '../src/index.ts';

const svg = (inside: string, more = '') =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 9 9"${more}>${inside}</svg>`;
const cleaned = (source: string) => {
  const result = cleanSvg(source);
  if (!result.ok) throw new Error(result.message);
  return result;
};

/** Anything that could act, load or lead elsewhere. */
const acting =
  /script|\bon\w+\s*=|javascript|foreignObject|animate|<set\b|<a\b|iframe|meta|@import|http(?!:\/\/www\.w3\.org\/2000\/svg")|data:(?!image\/(png|jpeg|gif|webp);base64)|<\?|<!|&(?!amp;|lt;|gt;|quot;|#\d+;)|xlink|xhtml/i;

const hostile = [
  '<script>top.acted=1</script>',
  '<script href="https://elsewhere.example/x.js"/>',
  '<rect onclick="top.acted=1" width="4" height="4"/>',
  '<animate href="#p" attributeName="href" to="javascript:top.acted=1"/>',
  '<set attributeName="onmouseover" to="top.acted=1"/>',
  '<animateTransform onbegin="top.acted=1"/>',
  '<a href="java\tscript:top.acted=1"><rect width="2" height="2"/></a>',
  '<a xlink:href="java&#9;script:top.acted=1"><text>go</text></a>',
  '<foreignObject><body xmlns="http://www.w3.org/1999/xhtml"><script>1</script></body></foreignObject>',
  '<h:script xmlns:h="http://www.w3.org/1999/xhtml">top.acted=1</h:script>',
  '<h:meta xmlns:h="http://www.w3.org/1999/xhtml" http-equiv="refresh" content="0;url=https://elsewhere.example"/>',
  '<style>@import url(https://elsewhere.example/x.css);</style>',
  '<style>rect { fill: url(https://elsewhere.example/x) }</style>',
  '<style>rect { fill: u\\72l(https://elsewhere.example/x) }</style>',
  '<style>/* */ @im/**/port "x"; rect { background: image-set("https://elsewhere.example/x" 1x) }</style>',
  '<style><![CDATA[</style><script>top.acted=1</script>]]></style>',
  '<rect style="fill: url(&quot;https://elsewhere.example/x&quot;)" width="1" height="1"/>',
  '<rect fill="url(https://elsewhere.example/x#a)" width="1" height="1"/>',
  '<rect fill="url(javascript:1)" width="1" height="1"/>',
  '<use href="https://elsewhere.example/x.svg#a"/>',
  '<use xlink:href="data:image/svg+xml;base64,PHN2Zy8+"/>',
  '<image href="https://elsewhere.example/x.png"/>',
  '<image href="data:image/svg+xml,%3Csvg onload=1%3E"/>',
  '<image xlink:href="data:text/html,x"/>',
  '<feImage href="https://elsewhere.example/x"/>',
  '<handler xmlns:ev="http://www.w3.org/2001/xml-events" ev:event="load">top.acted=1</handler>',
  '<iframe src="https://elsewhere.example"/>',
  '<?xml-stylesheet href="https://elsewhere.example/x.css"?><rect/>',
  '<desc xmlns="http://www.w3.org/1999/xhtml"><img src="x" onerror="1"/></desc>',
  '<x:script xmlns:x="http://www.w3.org/2000/svg">top.acted=1</x:script>',
  '<x:g xmlns:x="http://www.w3.org/2000/svg" x:onload="1"><x:rect/></x:g>',
  '<text>&lt;script&gt;top.acted=1&lt;/script&gt;</text>',
  '<discard href="#p"/><mpath href="https://elsewhere.example"/>',
  '<rect xml:base="https://elsewhere.example/" width="1" height="1"/>',
  '<video src="x"/><audio/><canvas/><embed/><object/>',
];

describe('a picture from outside', () => {
  it.each(hostile)('%s neither acts nor leads anywhere', (inside) => {
    const { text, leftOut } = cleaned(svg(inside));
    const words = text.replaceAll(/>[^<]*</g, '><');
    expect(words).not.toMatch(acting);
    expect(leftOut.length > 0 || inside.startsWith('<text>')).toBe(true);
    // It is what it was made of, and nothing is left to take away.
    const again = cleaned(text);
    expect([again.text, again.leftOut]).toEqual([text, []]);
  });

  it('keeps all that draws', () => {
    const drawing = svg(
      `<title>A hut</title><defs><linearGradient id="g" x1="0"><stop offset="0" stop-color="#fff"/></linearGradient><filter id="f"><feGaussianBlur stdDeviation="2"/></filter><clipPath id="c"><circle r="3"/></clipPath></defs><style>.roof { fill: url(#g); stroke: #123 }</style><g class="roof" transform="rotate(4)" clip-path="url(#c)" style="opacity: .5; filter: url('#f')"><path d="M0 0h9v9z"/><use href="#g"/></g><image width="1" height="1" href="data:image/png;base64,iVBORw0KGgo="/><text x="1" xml:space="preserve">4 &lt; 5 &amp; more<tspan dx="1">!</tspan></text>`,
      ' width="9" height="9"',
    );
    const { text, leftOut } = cleaned(drawing);
    expect(leftOut).toEqual([]);
    const tags = (of: string) => [...of.matchAll(/<(\w+)/g)].map(([, name]) => name);
    expect(tags(text)).toEqual(tags(drawing));
    for (const part of [
      'url(#g)',
      "url('#f')",
      'd="M0 0h9v9z"',
      '4 &lt; 5 &amp; more',
      'xml:space="preserve"',
    ])
      expect(text).toContain(part);
  });

  it('keeps a drawing inside a link, and a prefix goes', () => {
    expect(cleaned(svg('<a href="https://elsewhere.example"><rect width="2"/></a>')).text).toContain(
      '><rect width="2"></rect><',
    );
    const prefixed = '<s:svg xmlns:s="http://www.w3.org/2000/svg"><s:rect s:width="4" width="2"/></s:svg>';
    expect(cleaned(prefixed).text).toBe(
      '<svg xmlns="http://www.w3.org/2000/svg"><rect width="2"></rect></svg>\n',
    );
  });

  it.each([
    ['<html/>', 'It is no SVG picture.'],
    ['<svg/>', 'It is no SVG picture.'],
    ['', 'document must contain a root element.'],
    [svg('<rect>'), 'unexpected close tag.'],
    [
      '<!DOCTYPE svg [<!ENTITY a "b">]><svg xmlns="http://www.w3.org/2000/svg"><text>&a;</text></svg>',
      'undefined entity.',
    ],
    [`${svg('<g>'.repeat(300) + '</g>'.repeat(300))}`, 'Its elements are more than 200 deep.'],
    [' '.repeat(10_000_001), 'It is larger than 10 MB.'],
  ])('that is none is refused: %.40s', (source, message) => {
    expect(cleanSvg(source)).toEqual({ ok: false, message });
  });

  it('stays quiet, whatever pieces it is put together from', () => {
    const piece = fc.constantFrom(
      ...hostile,
      '<g>',
      '</g>',
      '<style>',
      '</style>',
      '<![CDATA[',
      ']]>',
      '<!--',
      '-->',
      '&#x3c;script&#x3e;',
      '"',
      "'",
      '<rect ',
      '/>',
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 8 }), (pieces) => {
        const result = cleanSvg(svg(pieces.join('')));
        if (!result.ok) return;
        expect(result.text.replaceAll(/>[^<]*</g, '><')).not.toMatch(acting);
        expect(cleaned(result.text).text).toBe(result.text);
      }),
      { numRuns: 2000 },
    );
  });
});
