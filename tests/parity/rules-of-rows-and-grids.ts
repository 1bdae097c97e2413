/** Rules of rows, columns, grids, layers and pins, one a document. */
import { type Rule, screen } from './rule.ts';

export const rowsAndGrids: readonly Rule[] = [
  {
    name: 'shares split what is left (Flexbox 1 §9.7)',
    source: screen(
      '<row gap="7"><text text="fixed" width="90" /><text text="one" width="share" /><text text="two and more words" width="share 2" /></row>',
    ),
  },
  {
    name: 'shares that add up to less than one leave room (Flexbox 1 §9.7.4 b)',
    source: screen(
      '<row><column width="share 0.25" height="10" /><column width="share 0.25" height="10" /></row>',
    ),
  },
  {
    name: 'minimum and maximum freeze items (Flexbox 1 §9.7.4 d)',
    source: screen(
      '<row><column width="share" min-width="200" height="9" /><column width="share" max-width="40" height="9" /><column width="share" height="9" /></row>',
    ),
  },
  {
    name: 'fit gives way to its smallest content (Flexbox 1 §4.5)',
    source: screen(
      '<row><text text="unforeseeablyuninterruptedwords and some more of them" /><text text="short words that wrap" /></row>',
    ),
  },
  {
    name: 'thirds keep to 64ths (rounding)',
    source: screen(
      '<row><column width="share" height="5" /><column width="share" height="5" /><column width="share" height="5" /><column width="share" height="5" /><column width="share" height="5" /><column width="share" height="5" /><column width="share" height="5" /></row>',
    ),
  },
  {
    name: 'stretch and fit across (Flexbox 1 §9.4)',
    source: screen(
      '<row height="120"><text text="stretched" /><text text="fit" height="fit" /><text text="share" height="share" align-self="center" /><text text="half" height="50%" /></row>',
    ),
  },
  {
    name: 'percentages of an unknown height (CSS Sizing 3 §5.2.1)',
    source: screen(
      '<column><text text="words" height="50%" /><row height="40%"><text text="more" /></row></column>',
    ),
  },
  {
    name: 'a percentage inside a share is known (Flexbox 1 §9.8)',
    source: screen('<column height="share"><row height="50%"><text text="half" /></row></column>'),
  },
  {
    name: 'baselines of a row (Flexbox 1 §8.3)',
    source: screen(
      '<row align="baseline" gap="8"><text text="Large" size="40" /><text text="small" size="12" font="JetBrains Mono" /><button text="Press" /><checkbox label="Tick" /><textField label="Field" width="120" /><textField width="100" /></row>',
    ),
  },
  {
    name: 'justify with room and without (Align 3 §5.1)',
    source: screen(
      ['center', 'end', 'between', 'around', 'evenly']
        .map(
          (word) =>
            `<row justify="${word}"><text text="one" width="60" /><text text="two" width="80" /></row><row justify="${word}"><text text="one" width="300" /><text text="two" width="1200" /></row>`,
        )
        .join(''),
    ),
  },
  {
    name: 'rows wrap and lines stretch (Flexbox 1 §9.3, §9.6)',
    source: screen(
      '<row wrap="true" gap="6" row-gap="11" height="300">' +
        '<text text="some words" padding="9" />'.repeat(9) +
        '</row>',
    ),
  },
  {
    name: 'negative margins (Flexbox 1 §9)',
    source: screen(
      '<row padding="20"><text text="pulled" margin="-8 -4" /><text text="next" margin="0 0 -6 12" /></row><text text="after" />',
    ),
  },
  {
    name: 'sides start and end (Logical Properties 1)',
    source: screen(
      '<column padding="1 20 3 4"><row margin="0 5 0 30" border-width="1 2 3 4"><text text="inside" /></row></column>',
    ),
  },
  {
    name: 'border widths snap to whole px (Backgrounds 3 §3.3)',
    source: screen('<row border-width="0.4"><text text="a" border-width="1.7" /></row>'),
  },
  {
    name: 'lines end at UAX #14 opportunities',
    source: screen(
      '<column width="90"><text text="weather-proof yes?no ABC-123 a/b snow(wet) 1,250.50 “late” A–Z 12 € (18:40)" /></column>',
    ),
  },
  {
    name: 'white space collapses, line feeds stay (CSS Text 4 §3)',
    source: screen(
      '<text text="  a   b &#10; c&#10;&#10;d  " /><row><text text="one&#10;longer two" nowrap="true" /><text text="" /></row>',
    ),
  },
  {
    name: 'fractional sizes of text',
    source: screen(
      [12.6, 13.5, 17.3, 18.2, 22.1]
        .map(
          (size) =>
            `<row><text text="Velmora hut, forty-six bunks" size="${size}" font="Zilla Slab" /></row>`,
        )
        .join(''),
    ),
  },
  {
    name: 'kerning at the end of a line',
    source: screen(
      '<column width="70" font="Zilla Slab"><text text="To AVAT. Te Vo LY &quot;Wa&quot; r. y, f)" font="Source Serif 4" size="21" /></column>'.replace(
        ' font="Zilla Slab"',
        '',
      ),
    ),
  },
  {
    name: 'characters from two files of a family (Fonts 4 §4.5)',
    source: screen(
      '<row><text text="Łąka Dvořák Überhang ţ" weight="600" /><text text="žluťoučký kůň" font="JetBrains Mono" /></row>',
    ),
  },
  {
    name: 'pictures keep their ratio (CSS Images 3 §4.3)',
    source: screen(
      '<row align="start"><image src="wide.svg" /><image src="wide.svg" width="90" /><image src="wide.svg" height="33" /></row><image src="wide.svg" align-self="center" height="50" /><column><image src="wide.svg" max-width="50%" align-self="start" /></column><row height="60"><image src="wide.svg" /></row>',
    ),
  },
  {
    name: 'controls as themselves',
    source: screen(
      '<row gap="9" align="start"><button text="Press here" /><button text="Narrow words wrap" width="80" /><checkbox label="A long label that wraps in the end" width="140" /><textField label="Name of the guest" /><divider /><spacer /></row><divider /><button text="" />',
    ),
  },
  {
    name: 'controls stretched, fit and at an edge',
    source: screen(
      '<column align="end" gap="5"><button text="One" /><button text="Two" width="share" /><textField label="Three" /><textField label="Four" width="share" /><checkbox label="Five" /><divider /></column>',
    ),
  },
  {
    name: 'changes from bands and for orientations (Media Queries 4)',
    source: screen(
      '<row gap="4" lap.gap="20" desk.gap="40" padding="12.7" landscape.padding="4 8 12 16" portrait.padding="2"><text text="a" width="share" lap.width="fit" desk.width="200" /><text text="b" hidden="true" lap.hidden="false" /><text text="c" lap.hidden="true" desk.hidden="false" width="fit" landscape.width="share" /></row>',
    ),
  },
  {
    name: 'grid tracks: fixed, percentages, fr, content (Grid 1 §7.2, §12)',
    source: screen(
      '<grid columns="60 20% auto min-content max-content 1fr" gap="4 "><text text="a b" /><text text="c d" /><text text="some words" /><text text="two words" /><text text="more words" /><text text="the rest of it" /></grid>'.replace(
        '4 ',
        '4',
      ),
    ),
  },
  {
    name: 'minmax and fit-content (Grid 1 §7.2.3, §7.2.4)',
    source: screen(
      '<grid columns="minmax(40, 120) minmax(auto, 1fr) fit-content(90) minmax(min-content, 200)"><text text="unforeseeable words" /><text text="words" /><text text="a longer text that is cut off at ninety" /><text text="end of line" /></grid>',
    ),
  },
  {
    name: 'auto-fill and auto-fit (Grid 1 §7.2.3.2)',
    source: screen(
      '<grid columns="repeat(auto-fill, minmax(110, 1fr))" gap="8"><spacer height="20" /><spacer height="30" /></grid><grid columns="repeat(auto-fit, minmax(110, 1fr))" gap="8"><spacer height="20" /><spacer height="30" /></grid><grid columns="50 repeat(auto-fill, 70) 30" gap="3"><text text="a" /><text text="b" /><text text="c" col="-1" /></grid>',
    ),
  },
  {
    name: 'placement by line, span and flow (Grid 1 §8.5)',
    source: screen(
      '<grid columns="1fr 1fr 1fr" auto-rows="24" flow="row dense" gap="4"><spacer col="2" row="2" row-span="2" /><spacer col-span="2" /><spacer col="-2" /><spacer /><spacer col-span="3" /><spacer col="5" /></grid><grid rows="20 30" flow="column" auto-columns="40 60"><spacer /><spacer /><spacer row-span="2" /><spacer /></grid>',
    ),
  },
  {
    name: 'fr rows in a known and an unknown height (Grid 1 §12.7)',
    source: screen(
      '<grid rows="1fr 2fr auto" height="200"><text text="a" /><text text="b" /><text text="c" /></grid><grid rows="1fr 2fr"><text text="one" /><text text="two lines\nof words" /></grid>',
    ),
  },
  {
    name: 'items in their cells: stretch, centre, end, baseline (Grid 1 §10)',
    source: screen(
      '<grid columns="1fr 1fr 1fr 1fr" align="baseline" justify="center"><text text="Large" size="32" /><text text="small" size="12" /><button text="Press" justify-self="stretch" /><text text="end" align-self="end" justify-self="end" /></grid>',
    ),
  },
  {
    name: 'from the first line of the explicit grid to its last, whatever else is said (Grid 1 §8.3)',
    source: screen(
      '<grid columns="1fr 60 1fr" gap="8"><spacer height="20" /><text text="over all columns" col-span="all" col="2" /><spacer height="20" /><spacer height="20" col="5" /></grid><grid columns="repeat(auto-fill, minmax(90, 1fr))" gap="4"><text text="as many as there are" col-span="all" /><spacer height="10" /></grid><grid rows="20 auto 30" flow="column" gap="4"><spacer width="30" /><text text="soup" row-span="all" /><spacer width="20" /></grid><grid><text text="none said: one" col-span="all" row-span="all" /><text text="soup" /></grid>',
    ),
  },
  {
    name: 'spanning items share what they need (Grid 1 §12.5)',
    source: screen(
      '<grid columns="auto auto 40"><text text="unforeseeablyuninterruptedwords" col-span="2" /><text text="x" /><text text="a" /><text text="bbb" col-span="2" /></grid>',
    ),
  },
  {
    name: 'a percentage of rows in an unknown height (Grid 1 §7.2.1)',
    source: screen('<grid rows="40% auto"><text text="one" /><text text="two\nlines" /></grid>'),
  },
  {
    name: 'layers in one cell (Grid 1 §6.1)',
    source: screen(
      '<layers height="120" align="center"><text text="middle" justify-self="start" /><spacer width="40" height="40" justify-self="end" align-self="end" /><text text="all over" align-self="stretch" /></layers>',
    ),
  },
  {
    name: 'pins in px and per cent, opposite pins, centre pins (Position 3 §4, Align 3 §6.3)',
    source: screen(
      '<pinboard height="180" padding="8" border-width="2"><text text="a longer text at the left" left="10" top="10%" /><button text="right" right="5%" bottom="12" /><text text="between" left="20" right="40" top="40" /><text text="middle" center-x="-20" center-y="8" /><spacer width="share" height="20" bottom="0" /><image src="wide.svg" left="30" right="30" top="70" height="40" /><text text="free" /></pinboard>',
    ),
  },
];
