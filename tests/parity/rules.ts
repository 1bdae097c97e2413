/** Small documents, one a rule, named by the rule and the section of the specification that has it. */
export interface Rule {
  readonly name: string;
  readonly source: string;
}

const screen = (inside: string, attributes = '') => `<screen name="trial"${attributes}>${inside}</screen>`;

export const rules: readonly Rule[] = [
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
  {
    name: 'scrolls along each axis (Overflow 3)',
    source: screen(
      '<scroll height="90" padding="6" gap="4"><text text="one" /><spacer height="200" /></scroll><scroll axis="horizontal" gap="5" height="50"><spacer width="300" height="20" /><spacer width="200" height="share" /></scroll><row height="80"><scroll axis="both" width="share"><spacer width="700" height="300" /></scroll></row><row><scroll><text text="unforeseeablyuninterruptedwords" /></scroll><text text="unforeseeablyuninterruptedwords and more" /></row>',
    ),
  },
  {
    name: 'a split decides by the room of its panes (Conditional 5 §5)',
    source: screen(
      '<split ratio="1/2" gap="16" padding="4"><column min-width="150"><text text="list" /></column><column min-width="220"><text text="detail of it" /></column></split><split show="second" ratio="3/1" lap.gap="40"><text text="one" min-width="300" lap.min-width="500" /><text text="two" min-width="20%" /></split>',
    ),
  },
  {
    name: 'a form arranges as a column, a row or a grid (Flexbox 1 §9, Grid 2 §12)',
    source: screen(
      '<form gap="8" padding="12" border-width="1"><textField label="Name" width="100%" /><form like="row" gap="8"><button text="Save" submits="true" width="share" /><button text="Back" /></form></form><form like="grid" columns="1fr 2fr" gap="4"><textField label="Bunk" /><text text="as it stands in the book of the hut" /></form>',
    ),
  },
  {
    name: 'words in place of the items of a list, however they are arranged (Flexbox 1 §9.2)',
    source: screen(
      '<repeat each="{[]}" like="row" gap="8" padding="12" justify="end" empty="Nobody has come yet, and nobody is on the way"><text text="x" /></repeat><repeat each="{[1]}" like="grid" columns="repeat(auto-fill, minmax(100, 1fr))" status="waiting" loading="Waiting"><text text="x" /></repeat>',
    ),
  },
  {
    name: 'a fieldset with its caption',
    source: screen(
      '<fieldset caption="Guests of tonight" padding="12" gap="8" border-width="1" align="start"><textField label="Name" /><checkbox label="Late" /></fieldset><fieldset gap="4"><text text="no caption" /></fieldset>',
    ),
  },
  {
    name: 'bars stay while the rest scrolls',
    source: screen(
      '<bar padding="8"><text text="top" /></bar><bar edge="bottom" height="40"><text text="bottom" /></bar><bar edge="start" width="70"><text text="start of it" /></bar><bar edge="end"><text text="end" /></bar><text text="words" /><spacer height="1200" /><row height="share" />',
      ' padding="10" gap="6" align="center"',
    ),
  },
  {
    name: 'repeats like a column, a row and a grid, one in the other',
    source: screen(
      `<repeat each="{['hut', 'a longer one', 'x']}" as="word" gap="4"><text text="{word}" /><repeat each="{[1, 2]}" as="n" like="row"><text text="{word} {n}" width="{n * 60}" /></repeat></repeat><repeat each="{[1, 2, 3]}" like="grid" columns="1fr 2fr"><text text="{item}" /></repeat>`,
    ),
  },
  {
    name: 'aspect ratios (Sizing 4 §6)',
    source: screen(
      '<pinboard aspect="16/9" /><row><spacer width="120" aspect="3/2" /><spacer width="share" aspect="4" /><image src="wide.svg" width="90" aspect="1" /></row><row height="60"><spacer aspect="2" /></row><grid columns="1fr 1fr"><column aspect="2" /></grid><column aspect="4" align-self="start" width="50%" />',
    ),
  },
  {
    name: 'columns wrap (Flexbox 1 §9.3)',
    source: screen(
      '<column wrap="true" height="100" gap="6"><spacer width="40" height="60" /><text text="stretched" /><spacer width="30" height="50" /><text text="more words" align-self="end" /></column>',
    ),
  },
  {
    name: 'between two pins a ratio gives the height of what is as wide as its content (Sizing 4 §6.1)',
    source: screen(
      '<pinboard height="107"><text text="Soup" width="fit" aspect="0.5" top="42" bottom="5" /></pinboard><pinboard height="40"><nav options="trial: Soup" width="fit" aspect="0.5" top="42" bottom="-5%" /></pinboard><pinboard height="207"><column width="fit" padding="8" aspect="0.5" max-width="20" top="42" bottom="5" /></pinboard><pinboard height="107"><text text="Soup soup soup soup" width="fit" aspect="2" max-width="40" max-height="90%" top="42" bottom="5" /></pinboard><pinboard height="107"><image width="fit" aspect="2" max-width="40" top="42" bottom="5" /></pinboard><pinboard height="47"><button text="Soup" width="fit" aspect="0.5" top="42" bottom="5" /></pinboard><pinboard height="107"><iconButton icon="bed" width="fit" aspect="0.5" min-width="90" top="42" bottom="5" /></pinboard>',
    ),
  },
  {
    name: 'a column wraps where a part of a known height ends, and is as wide as its lines (Flexbox 1 §9.3.5, §9.9.1)',
    source: screen(
      '<layers align="center"><column wrap="true" width="fit" max-height="80%"><spacer width="50" height="30" /><spacer width="94" height="40" /></column></layers><layers align="center" height="100"><column wrap="true" width="fit" height="50%"><spacer width="50" height="30" /><spacer width="94" height="40" /></column></layers><grid align="center" rows="100"><column wrap="true" justify-self="start" max-height="50%"><spacer width="50" height="30" /><spacer width="94" height="40" /></column></grid><row align="start" height="100"><column wrap="true" max-height="50%" min-height="45"><spacer width="50" height="30" /><spacer width="94" height="40" /></column></row><column align="start" height="100"><column wrap="true" max-height="50%"><spacer width="50" height="30" /><spacer width="94" height="40" /></column></column><pinboard height="100"><column wrap="true" max-height="50%"><spacer width="50" height="30" /><spacer width="94" height="40" /></column></pinboard>',
    ),
  },
  {
    name: 'what follows from its height fits the line of a column that wraps (Flexbox 1 §9.4.7)',
    source: screen(
      '<row><column width="36" wrap="true"><spacer width="450" height="20" /><row align-self="start"><heading text="See the wardens" /><spacer width="100" aspect="16/9" /></row></column></row><grid><column width="10%" wrap="true"><spacer width="450" height="20" /><grid align-self="baseline" gap="0.5"><heading text="See the wardens" /><spacer width="405" aspect="16/9" col-span="3" /></grid></column></grid>',
    ),
  },
  {
    name: 'parts of a greatest height count no rows, parts of a least one do (Grid 1 §7.2.3.2)',
    source: screen(
      '<grid max-height="174" rows="repeat(auto-fill, minmax(20%, 1fr))" row-gap="39" /><grid max-height="174" min-height="50" rows="repeat(auto-fill, 20%)" row-gap="39" /><grid max-height="174" rows="10 repeat(auto-fit, 20%)" row-gap="9"><spacer width="9" height="40" /><spacer width="9" height="40" /></grid>',
    ),
  },
  {
    name: 'columns follow rows that are known: implicit ones too, flexible ones without a least height (Grid 1 §12.1)',
    source: screen(
      '<grid columns="fit-content(120)" rows="repeat(auto-fit, minmax(110, 1fr))" auto-rows="20 60"><choiceList aspect="16/9" /><image src="wide.svg" /></grid><grid width="150" min-height="259" rows="minmax(60, 1fr) 80"><image src="wide.svg" /></grid><grid width="150" min-height="259" rows="auto 80"><image src="wide.svg" /></grid><row><grid min-height="300" rows="1fr 2fr"><image src="wide.svg" /><image src="wide.svg" /></grid></row>',
    ),
  },
  {
    name: 'a row that wraps asks for no height, so rows of its grid are not filled again (Grid 1 §12.1)',
    source: screen(
      '<grid max-height="190" rows="fit-content(120) minmax(40, 200)"><row wrap="true"><text max-height="101" aspect="0.5" text="" /></row><spacer row="3" height="8" /></grid>',
    ),
  },
  {
    name: 'what is in a column that wraps is as wide as the height of its container says (Flexbox 1 §9.9.1)',
    source: screen(
      `<table rows="{[{a: 1, b: 'hut'}]}"><cell wrap="true"><image height="100%" /><heading text="yes?no 18:40" /></cell></table><row><grid><column wrap="true"><image height="100%" /><heading text="yes?no 18:40" /></column></grid></row><column align="start"><grid><column wrap="true"><image height="40%" /><spacer width="60" height="30" /></column></grid><grid><column wrap="true"><spacer aspect="4/3" height="100%" /><spacer width="60" height="30" /></column></grid></column>`,
    ),
  },
  {
    name: 'limits that a ratio carries over count repetitions (Grid 1 §7.2.3.2, Sizing 4 §6.3)',
    source: screen(
      '<column align="start"><grid aspect="3/2" min-height="174" columns="repeat(auto-fill, 120)"><spacer width="10" height="10" /></grid></column><column align="start"><grid aspect="3/2" max-height="174" columns="repeat(auto-fill, 120)"><spacer width="10" height="10" /></grid></column><column align="start"><grid aspect="3/2" min-height="174" max-width="200" columns="repeat(auto-fill, 50)" gap="7"><spacer width="10" height="10" /></grid></column><row align="start"><grid aspect="3/2" min-height="100" padding="10" columns="repeat(auto-fit, 50)" gap="7"><spacer width="10" height="10" /></grid></row><column align="start"><grid aspect="3/2" min-width="200" rows="repeat(auto-fill, 40)" gap="7"><spacer width="10" height="10" /></grid></column>',
    ),
  },
  {
    name: 'rows are repeated as often as fits, and limits that are parts of a height count (Grid 1 §7.2.3.2)',
    source: screen(
      '<row height="400" align="start"><grid max-height="50%" rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid><grid min-height="50%" rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid><grid min-height="50%" rows="repeat(auto-fill, 20%)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row><grid rows="400" align="start"><grid max-height="50%" rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></grid><pinboard height="200"><grid min-height="50%" rows="repeat(auto-fill, 30)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></pinboard><grid align="center"><grid lap.min-height="90%" rows="repeat(auto-fill, minmax(20%, 1fr))"><icon /></grid></grid>',
    ),
  },
  {
    name: 'a grid that repeats rows is as wide as the height that is known makes it (Grid 1 §7.2.3.2)',
    source: screen(
      '<row height="200"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid><icon /></row><row><row height="200"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid><icon /></row></row><row height="200"><row><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid><icon /></row></row><row height="200" align="start"><grid height="50%" rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid><icon /></row><row height="300"><grid rows="repeat(auto-fill, minmax(60, 1fr))" flow="column"><icon /><icon /><icon /><icon /><icon /></grid><grid rows="repeat(auto-fill, 40%)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid><icon /></row><grid rows="200" columns="auto 1fr"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid><icon /></grid><grid height="200" columns="auto 1fr"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid><icon /></grid><layers height="200" justify="start"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></layers>',
    ),
  },
  {
    name: 'only what follows from a height has columns sized again, and rows filled (Grid 1 §12.1)',
    source: screen(
      '<grid max-height="42"><row><image height="fit" /></row><lamp min-height="20%" /></grid><grid max-height="42"><row><image /></row><lamp min-height="20%" /></grid><grid max-height="42"><column><image /></column><lamp min-height="20%" /></grid><grid max-height="42"><column><image height="50%" /></column><lamp min-height="20%" /></grid><grid max-height="42"><grid columns="repeat(auto-fill, 50)"><image /></grid><lamp min-height="20%" /></grid><grid max-height="42"><row><row aspect="2" width="100" /></row><lamp min-height="20%" /></grid>',
    ),
  },
  {
    name: 'parts of a height refer to the ratio of a split, as of others (Sizing 4 §6.2)',
    source: screen(
      '<pinboard height="100"><split aspect="0.5" width="20"><row height="100%" margin="30" /></split></pinboard>',
    ),
  },
  {
    name: 'what a height by ratio repeats is counted before content holds it up (Grid 1 §7.2.3.2, Sizing 4 §6.2)',
    source: screen(
      '<row><grid width="200" aspect="2" rows="repeat(auto-fill, 40)"><spacer width="10" height="70" /><spacer height="70"/><spacer height="70"/><spacer height="70"/></grid></row><row><grid width="200" height="fit" aspect="2" rows="repeat(auto-fill, 40)"><spacer width="10" height="70" /><spacer height="70"/><spacer height="70"/><spacer height="70"/></grid></row><row><grid aspect="2" rows="repeat(auto-fill, 40)"><spacer width="200" height="70" /><spacer height="70"/><spacer height="70"/><spacer height="70"/></grid></row><row align="start"><grid aspect="2" rows="repeat(auto-fill, 40)"><spacer width="200" height="70" /><spacer height="70"/><spacer height="70"/><spacer height="70"/></grid></row><row align="start"><grid aspect="2" width="200" rows="repeat(auto-fill, 40)"><spacer width="200" height="70" /><spacer height="70"/><spacer height="70"/><spacer height="70"/></grid></row><column align="start"><grid aspect="2" width="200" rows="repeat(auto-fill, 40)"><spacer width="200" height="70" /><spacer height="70"/><spacer height="70"/><spacer height="70"/></grid></column><grid align="start"><grid aspect="2" width="200" rows="repeat(auto-fill, 40)"><spacer width="200" height="70" /><spacer height="70"/><spacer height="70"/><spacer height="70"/></grid></grid><grid><grid aspect="2" width="200" rows="repeat(auto-fill, 40)"><spacer width="200" height="70" /><spacer height="70"/><spacer height="70"/><spacer height="70"/></grid></grid><pinboard height="200"><grid aspect="2" width="200" rows="repeat(auto-fill, 40)"><spacer width="200" height="70" /><spacer height="70"/><spacer height="70"/><spacer height="70"/></grid></pinboard><row><grid width="200" aspect="2" rows="repeat(auto-fill, 40%)"><spacer width="10" height="70" /><spacer height="70"/><spacer height="70"/><spacer height="70"/></grid></row><row><grid width="200" aspect="2" rows="repeat(auto-fill, minmax(40, 1fr))"><spacer width="10" height="70" /><spacer height="70"/><spacer height="70"/><spacer height="70"/></grid></row><grid align="start"><grid aspect="2" width="200" rows="repeat(auto-fill, minmax(40, 1fr))"><spacer width="200" height="70" /><spacer height="70"/><spacer height="70"/><spacer height="70"/></grid></grid>',
    ),
  },
  {
    name: 'beside a part of an unknown height content holds up the width at the height of the ratio (Sizing 4 §6.2)',
    source: screen(
      '<row height="50%" aspect="1"><image /></row><layers height="50%" aspect="0.5"><image /></layers><row height="50%" aspect="1"><image /><text text="some words"/></row><row height="50%" aspect="1"><image height="fit"/></row><column height="50%" aspect="0.5"><image /></column><column height="50%" aspect="0.5"><image height="100%"/></column><column height="50%" aspect="0.5" align="start"><image height="100%"/></column><row height="50%" aspect="0.5" max-width="200"><image /></row><row height="50%" aspect="0.5" min-width="20"><image /></row><row height="50%" aspect="0.5" width="fit"><image /></row><row height="50%" aspect="0.5" max-height="100"><image /></row><row height="50%" aspect="0.5"><column wrap="true"><image /><image/></column></row><row height="50%" aspect="1"><image /><text text="some words and many more of them, so that it is seen at no one line"/></row><row align="start"><row height="50%" aspect="0.5"><image /></row></row><grid align="start"><row height="50%" aspect="0.5" ><image /></row></grid><grid align="start" justify="start"><row height="50%" aspect="0.5" ><image /></row></grid><grid align="start" justify="start" columns="20"><row height="50%" aspect="0.5" ><image /></row></grid>',
    ),
  },
  {
    name: 'beside a part of a known height it does so at that height (Sizing 4 §6.2)',
    source: screen(
      '<column height="320"><row height="50%" aspect="0.5"><image /></row></column><column height="320"><row height="160" aspect="0.5"><image /></row></column><column height="320"><row height="share" aspect="0.5"><image /></row></column><grid height="320"><row height="160" aspect="0.5"><image /></row></grid><grid rows="320"><row height="50%" aspect="0.5"><image /></row></grid><grid rows="160" justify="start"><row aspect="0.5" align-self="stretch"><image /></row></grid><grid height="160" justify="start"><row aspect="0.5" height="share"><image /></row></grid><pinboard height="320"><row height="160" aspect="0.5"><image /></row></pinboard><pinboard height="320"><row height="50%" aspect="0.5"><image /></row></pinboard><pinboard height="160"><row top="0" bottom="0" aspect="0.5"><image /></row></pinboard><row height="320"><row height="50%" aspect="0.5"><image /></row></row><row height="320"><row height="160" aspect="0.5"><image /></row></row><row height="160"><row aspect="0.5"><image /></row></row><column wrap="true" height="320"><row height="50%" aspect="0.5"><image /></row></column>',
    ),
  },
  {
    name: 'a column that wraps breaks again once its height is definite: with margins below 0 it was higher on the way (Flexbox 1 §9.3)',
    source: screen(
      '<row><column wrap="true"><heading /><heading text="hut" /><textField height="share 3" margin="-4 8 0" /></column></row><row><column wrap="true"><spacer width="20" height="0"/><spacer width="30" height="40" /><row width="50" height="share" margin="-4 0 0" /></column></row><row><column wrap="true"><spacer width="20" height="0"/><spacer width="30" height="40" /><row width="50" height="0" margin="-4 0 0" /></column></row><row><column wrap="true"><spacer width="20" height="10"/><spacer width="30" height="40" /><row width="50" height="10" margin="-4 0 0" /></column></row><row><column wrap="true"><spacer width="20" height="10"/><spacer width="30" height="40" /><row width="50" height="10" margin="-14 0 0" /></column></row><row><column wrap="true"><spacer width="20" height="10"/><spacer width="30" height="40" /><row width="50" height="10" margin="-24 0 0" /></column></row><row><column wrap="true"><spacer width="20" height="10"/><spacer width="30" height="40" /><row width="50" height="10" margin="0 0 -24" /></column></row><row><column wrap="true"><spacer width="30" height="40" /><row width="50" height="10" margin="0 0 -24" /><spacer width="20" height="10"/></column></row><column height="40"><column height="share" align-self="start" wrap="true"><spacer width="30" height="5" margin="-7" /><spacer width="40" height="20" /></column></column>',
    ),
  },
  {
    name: 'a picture whose width is a part may be compressed, whatever its rows say (Sizing 3 §5.2.2)',
    source: screen(
      '<column height="640"><grid height="share" align="start"><image width="33%" min-height="90%" /></grid><grid height="share" align="start"><image max-width="80%" min-height="90%" /></grid></column>',
    ),
  },
  {
    name: 'a grid that repeats rows keeps the width that it had before its height was known (Grid 1 §7.2.3.2, as browsers do it)',
    source: screen(
      '<column height="400" align="start"><grid rows="repeat(auto-fill, 60)" flow="column" ><icon /><icon /><icon /><icon /><icon /></grid><grid rows="repeat(auto-fill, 60)" flow="column" height="share"><icon /><icon /><icon /><icon /><icon /></grid><grid rows="repeat(auto-fill, 60)" flow="column" height="50%"><icon /><icon /><icon /><icon /><icon /></grid><grid rows="repeat(auto-fill, 60)" flow="column" min-height="50%"><icon /><icon /><icon /><icon /><icon /></grid><grid rows="repeat(auto-fill, 60)" flow="column" max-height="50%"><icon /><icon /><icon /><icon /><icon /></grid></column><row height="400" align="start"><grid rows="repeat(auto-fill, 60)" flow="column" min-height="50%"><icon /><icon /><icon /><icon /><icon /></grid><grid rows="repeat(auto-fill, 60)" flow="column" max-height="50%"><icon /><icon /><icon /><icon /><icon /></grid></row><pinboard height="400"><grid rows="repeat(auto-fill, 60)" flow="column" min-height="50%"><icon /><icon /><icon /><icon /><icon /></grid><grid rows="repeat(auto-fill, 60)" flow="column" max-height="50%"><icon /><icon /><icon /><icon /><icon /></grid></pinboard><grid rows="400 400" align="start" justify="start"><grid rows="repeat(auto-fill, 60)" flow="column" min-height="50%"><icon /><icon /><icon /><icon /><icon /></grid><grid rows="repeat(auto-fill, 60)" flow="column" max-height="50%"><icon /><icon /><icon /><icon /><icon /></grid></grid><column wrap="true" height="400" align="start"><grid rows="repeat(auto-fill, 60)" flow="column" min-height="50%"><icon /><icon /><icon /><icon /><icon /></grid><grid rows="repeat(auto-fill, 60)" flow="column" max-height="50%"><icon /><icon /><icon /><icon /><icon /></grid></column><grid height="400" align="start" justify="start"><grid rows="repeat(auto-fill, 60)" flow="column" min-height="50%"><icon /><icon /><icon /><icon /><icon /></grid><grid rows="repeat(auto-fill, 60)" flow="column" max-height="50%"><icon /><icon /><icon /><icon /><icon /></grid></grid>',
    ),
  },
  {
    name: 'a grid is as wide as limits that are parts say only where what they refer to was known first (Grid 1 §12.1)',
    source: screen(
      '<column align="end"><grid align="center"><grid min-height="120%" columns="20"><image src="wide.svg" height="share" col-span="2" /></grid></grid><grid align="center"><grid min-height="120%"><image src="wide.svg" height="share" /></grid></grid><grid align="center"><image min-height="120%" src="wide.svg" /></grid></column><row height="200" align="start"><grid min-height="60%"><image src="wide.svg" height="share" /></grid><grid max-height="30%" rows="1fr"><image src="wide.svg" height="share" /></grid></row><column height="100%" aspect="16/9"><text text="fi unforeseeablyuninterruptedwords" size="40" weight="600" italic="true" /></column>',
    ),
  },
  {
    name: 'whether a height is known early or late decides how wide a grid that repeats rows is (as browsers do it)',
    source: screen(
      '<column height="400"><row min-height="200"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></column><column height="400"><row min-height="50%"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></column><column height="400"><row height="share"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></column><column><row min-height="200"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></column><row><row min-height="200"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></row><row><row><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row><icon height="400" /></row><row><column><row><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></column><icon height="400" /></row><row><column><row height="share"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></column><icon height="400" /></row><row><column><row height="50%"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></column><icon height="400" /></row><row><row align="start"><row height="50%"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></row><icon height="400" /></row><row><row height="400"><row><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></row><icon height="400" /></row><layers height="300"><row><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></layers><layers><row><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row><icon height="300" /></layers><layers><row height="100%"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row><icon height="300" /></layers><layers><row height="300"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></layers><grid rows="300"><row><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></grid><grid rows="300"><row height="50%"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></grid><grid columns="100 1fr" rows="300"><row><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></grid><grid columns="100 1fr"><row><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row><icon height="300" /></grid><row aspect="1" width="300"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row><row><row aspect="1" width="300"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></row><column height="300"><row aspect="1" width="200"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></column><row wrap="true"><row><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row><icon height="400" /></row><row wrap="true" height="400"><row><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></row><row height="400"><scroll axis="horizontal"><row><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></scroll></row><row><scroll axis="horizontal"><row><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></scroll><icon height="400" /></row><row><split><row><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></split><icon height="400" /></row><split height="400"><row min-width="20"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></split><split height="400"><row min-width="20"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row><icon /></split><column wrap="true" height="400"><row min-height="200"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></column><row><pinboard width="200"><row height="100%"><grid rows="repeat(auto-fill, 60)" flow="column"><icon /><icon /><icon /><icon /><icon /></grid></row></pinboard><icon height="400" /></row>',
    ),
  },
  {
    name: 'such a grid is asked anew where limits of its width are parts (as browsers do it)',
    source: screen(
      '<row><row><grid rows="repeat(auto-fill, 60)" flow="column" min-width="10%"><icon /><icon /><icon /><icon /><icon /></grid></row><icon height="300" /></row><layers justify="start"><row><grid rows="repeat(auto-fill, 60)" flow="column" min-width="10%"><icon /><icon /><icon /><icon /><icon /></grid></row><icon height="200" /></layers><layers justify="start"><grid rows="repeat(auto-fill, 60)" flow="column" min-width="10%"><icon /><icon /><icon /><icon /><icon /></grid><icon height="200" /></layers><row><pinboard width="200"><row height="100%"><grid rows="repeat(auto-fill, 60)" flow="column" min-width="10%"><icon /><icon /><icon /><icon /><icon /></grid></row></pinboard><icon height="200" /></row><row><scroll axis="horizontal"><row><grid rows="repeat(auto-fill, 60)" flow="column" min-width="10%"><icon /><icon /><icon /><icon /><icon /></grid></row></scroll><icon height="200" /></row><layers height="300" justify="start"><grid rows="repeat(auto-fill, 60)" flow="column" min-width="10%"><icon /><icon /><icon /><icon /><icon /></grid></layers><row><row><grid rows="repeat(auto-fill, 60)" flow="column" max-width="90%"><icon /><icon /><icon /><icon /><icon /></grid></row><icon height="300" /></row><layers justify="start"><row><grid rows="repeat(auto-fill, 60)" flow="column" max-width="90%"><icon /><icon /><icon /><icon /><icon /></grid></row><icon height="200" /></layers><layers justify="start"><grid rows="repeat(auto-fill, 60)" flow="column" max-width="90%"><icon /><icon /><icon /><icon /><icon /></grid><icon height="200" /></layers><row><pinboard width="200"><row height="100%"><grid rows="repeat(auto-fill, 60)" flow="column" max-width="90%"><icon /><icon /><icon /><icon /><icon /></grid></row></pinboard><icon height="200" /></row><row><scroll axis="horizontal"><row><grid rows="repeat(auto-fill, 60)" flow="column" max-width="90%"><icon /><icon /><icon /><icon /><icon /></grid></row></scroll><icon height="200" /></row><layers height="300" justify="start"><grid rows="repeat(auto-fill, 60)" flow="column" max-width="90%"><icon /><icon /><icon /><icon /><icon /></grid></layers><layers height="300" justify="start"><grid rows="repeat(auto-fill, 60)" flow="column" min-width="10%" align-self="start" max-height="50%"><icon /><icon /><icon /><icon /><icon /></grid></layers><layers height="300" justify="start"><grid rows="repeat(auto-fill, 60)" flow="column" min-width="10%" min-height="50%"><icon /><icon /><icon /><icon /><icon /></grid></layers><layers height="300" justify="start"><grid rows="repeat(auto-fill, 60)" flow="column" max-width="90%" align-self="start" max-height="50%"><icon /><icon /><icon /><icon /><icon /></grid></layers><layers height="300" justify="start"><grid rows="repeat(auto-fill, 60)" flow="column" max-width="90%" min-height="50%"><icon /><icon /><icon /><icon /><icon /></grid></layers>',
    ),
  },
  {
    name: 'a column that wraps breaks where the greater of its limits is: the least one wins (Sizing 3 §5.2)',
    source: screen(
      '<row height="300" align="start"><column min-height="60%" max-height="100" wrap="true"><spacer width="30" height="80"/><spacer width="40" height="80"/></column></row><row align="start"><column min-height="160" max-height="100" wrap="true"><spacer width="30" height="80"/><spacer width="40" height="80"/></column></row><column align="start"><column min-height="160" max-height="100" wrap="true"><spacer width="30" height="80"/><spacer width="40" height="80"/></column></column><pinboard height="300"><column min-height="60%" max-height="100" wrap="true"><spacer width="30" height="80"/><spacer width="40" height="80"/></column></pinboard><grid min-height="160" max-height="100" rows="repeat(auto-fill, 50)" flow="column" width="fit" align-self="start"><icon/><icon/><icon/><icon/></grid>',
    ),
  },
  {
    name: 'limits that are parts hold a ratio before content holds it up (Sizing 4 §6.2)',
    source: screen(
      '<layers><column max-height="90%" aspect="1"><text height="62.5%" text="hut" /><icon /><image src="wide.svg" width="share" height="200" margin="-4 8 0" /></column></layers><layers height="300"><row aspect="2" min-height="90%" align-self="start"><row height="50%" width="20" /></row></layers>',
    ),
  },
  {
    name: 'columns do not look at what limits of a height make of flexible rows (Grid 1 §12.1)',
    source: screen(
      '<grid max-height="60" columns="1fr 1fr" rows="repeat(auto-fill, minmax(50, 1fr))"><text height="share" aspect="16/9" text="hut" /><spacer height="333" /></grid>',
    ),
  },
  {
    name: 'a line keeps the directions that it has in the whole text (UAX #9 §3.4)',
    source: screen(
      '<checkbox label="snow (wet) A–Z Łąka kitchen." max-width="15" font="Zilla Slab" weight="600" /><text text="snow (wet) A–Z Łąka kitchen." width="57" font="Zilla Slab" weight="600" size="16" />',
    ),
  },
  {
    name: 'a grid that a column presses together has the rows that this leaves (Grid 1 §12.1, as browsers do it)',
    source: screen(
      '<column max-height="100"><grid min-height="0"><scroll><spacer height="200" width="20" /></scroll></grid><spacer height="60" /></column><column max-height="100"><grid min-height="0" max-height="90"><scroll><spacer height="200" width="20" /></scroll><spacer height="20" /></grid><spacer height="60" /></column><column max-height="100"><grid min-height="0" max-height="30"><scroll><spacer height="200" width="20" /></scroll></grid><spacer height="20" /></column><column max-height="100"><layers min-height="20"><scroll><spacer height="200" width="20" /></scroll><spacer height="20" /></layers><spacer height="50" /></column><column max-height="100"><grid min-height="10" rows="60 auto"><text text="a" /><scroll><spacer height="200" width="20" /></scroll></grid><spacer height="20" /></column>',
    ),
  },
  {
    name: 'what a ratio carries over: not for a button between pins, words that are cut, a part of a width (Sizing 4 §6)',
    source: screen(
      '<pinboard align-self="start"><button aspect="16/9" left="50%" right="25%" border-width="1 2 3 4" /></pinboard><pinboard align-self="start"><button aspect="16/9" left="50%" right="25%" min-height="60" /></pinboard><pinboard align-self="start"><row aspect="16/9" left="50%" right="25%" padding="10 3" /></pinboard><pinboard><text text="Velmora" height="50" aspect="1" size="33" lines="3" /></pinboard><pinboard><text text="Velmora" left="10" right="300" height="50" aspect="1" size="33" lines="3" /></pinboard><row><grid width="100%" max-height="260" aspect="16/9" columns="repeat(auto-fill, minmax(90, 1fr))" /></row><column align="center"><column><grid width="100%" max-height="260" aspect="16/9" columns="repeat(auto-fill, minmax(90, 1fr))" /></column></column>',
    ),
  },
  {
    name: 'what spans tracks raises all of them alike, fit-content() too (Grid 1 §12.5.1)',
    source: screen(
      '<grid columns="min-content fit-content(120) 1fr"><spacer width="640" height="20" col-span="2" row="2" /><spacer height="5" width="100" /><spacer height="5" width="200" /></grid><grid columns="auto fit-content(120) 1fr"><spacer width="640" height="20" col-span="2" row="2" /><spacer height="5" width="100" /><spacer height="5" width="200" /></grid><grid columns="max-content fit-content(120)"><spacer width="640" height="20" col-span="2" row="2" /><spacer height="5" width="100" /><spacer height="5" width="200" /></grid><grid columns="fit-content(50) fit-content(120) 1fr"><spacer width="640" height="20" col-span="2" row="2" /><spacer height="5" width="100" /><spacer height="5" width="200" /></grid><grid columns="min-content fit-content(120) auto"><spacer width="640" height="20" col-span="3" row="2" /><spacer height="5" width="100" /><spacer height="5" width="200" /><spacer height="5" width="30" /></grid><grid columns="fit-content(300) fit-content(120) 100"><spacer width="640" height="20" col-span="3" row="2" /><spacer height="5" width="100" /><spacer height="5" width="200" /><spacer height="5" width="30" /></grid><grid columns="fit-content(300) fit-content(120) minmax(auto, 200)"><spacer width="640" height="20" col-span="3" row="2" /><spacer height="5" width="100" /><spacer height="5" width="200" /><spacer height="5" width="30" /></grid><grid columns="min-content fit-content(120) 1fr"><spacer width="640" height="20" col-span="2" row="2" /><spacer height="5" width="397" /><spacer height="5" /></grid><grid columns="auto fit-content(120)"><spacer width="640" height="20" col-span="2" row="2" /><spacer height="5" width="397" /><spacer height="5" /></grid><grid columns="fit-content(500) fit-content(120) 1fr"><spacer width="640" height="20" col-span="2" row="2" /><spacer height="5" width="397" /><spacer height="5" /></grid>',
    ),
  },
  {
    name: 'what content needs of a ratio is asked anew where its height is not definite (Sizing 4 §6.2)',
    source: screen(
      '<grid columns="auto" justify="start"><column wrap="true"><nav options="trial" icons="trial: bed" aspect="1" /></column></grid><grid columns="auto" justify="start"><column wrap="true"><row aspect="1"><layers><text text="abc def" height="100" /></layers></row></column></grid>',
    ),
  },
  {
    name: 'a column that wraps is as wide as its lines, with what content holds up in them (Flexbox 1 §4.5, §9.9.1)',
    source: screen(
      '<row height="150" align="start"><column height="100%" wrap="true"><row aspect="2"><layers><text text="abc def" height="100" /></layers></row><icon height="60" /></column></row><row height="150" align="start"><column height="100%" wrap="true"><row aspect="2" max-width="90"><layers><text text="abc def" height="100" /></layers></row><row aspect="2" min-height="20"><text text="abc def" height="100" /></row><icon height="60" /></column></row>',
    ),
  },
  {
    name: 'auto columns fill a least width before rows are asked, flexible ones do not (Grid 1 §12.7, §12.8)',
    source: screen(
      '<grid min-width="300" align-self="start"><image width="100%" margin="17" /></grid><grid min-width="60%" align-self="start"><image width="60%" margin="17" col="1" /><image width="100%" margin="17" col="2" /></grid><grid min-width="300" align-self="start" columns="1fr"><image width="100%" margin="17" /></grid><grid min-width="300" align-self="start" columns="1fr 2fr"><image width="50%" margin="17" /><image width="100%" margin="17" /></grid><grid min-width="300" align-self="start" columns="1fr auto"><image width="50%" margin="17" /><image width="100%" margin="17" /></grid><grid height="62.5%" min-width="90%" aspect="16/9"><image min-width="100%" margin="17" /></grid>',
    ),
  },
  {
    name: 'content that repeats rows holds up a width by ratio as it was asked first, beside a part of a height (Sizing 4 §6.2)',
    source: screen(
      '<column max-width="50%"><grid height="62.5%" max-height="150" aspect="16/9" columns="120 1fr" rows="repeat(auto-fill, 60)" flow="column" gap="14" align="start"><text text="abc" margin="5" col-span="2" /><button text="soup" /></grid></column><grid height="62.5%" max-height="150" aspect="16/9" rows="repeat(auto-fill, 60)" flow="column" gap="14"><text text="abc" /><text text="soup soup" /><text text="soup soup" /><text text="soup soup" /></grid><grid height="62.5%" max-height="50" aspect="16/9" rows="repeat(auto-fill, 60)" flow="column" gap="14"><text text="abc" /><text text="soup soup" /><text text="soup soup" /></grid>',
    ),
  },
  {
    name: 'words that do not stand at the start of their lines are measured without the space behind them (Text 3 §4.1.2)',
    source: screen(
      '<column width="204"><button text="(wet) 3/4 12 -5° the snow (wet) 18:40 snow (wet)" icon="arrow-right" font="Zilla Slab" size="27" /></column><column width="138"><text text="12 the snow (wet)" text-align="center" weight="600" font="Zilla Slab" size="27" /></column><column width="138"><text text="12 the snow (wet)" weight="600" font="Zilla Slab" size="27" /></column><column width="100.5"><text text="yes?no wardens bunk AVAT A–Z board" size="15" font="Source Serif 4" /></column>',
    ),
  },
  {
    name: 'advances and kerning are scaled each by a size of its own (Fonts 4 §4.1)',
    source: screen(
      '<grid><repeat each="{[1, 2, 3]}"><text text="ridge A–Z Velmora" height="62.5%" aspect="0.5" size="13.5" /></repeat></grid>',
    ),
  },
  {
    name: 'rows that are parts of a known height are known before columns are sized, implicit ones count where there are any (Grid 1 §12.1)',
    source: screen(
      '<grid columns="auto auto" rows="50% 1fr" height="150"><text text="abc def ghi jkl" /><image height="50%" /><image /></grid><grid max-height="52" rows="minmax(40, 200) 80" auto-rows="1fr"><button text="x" /></grid><column height="340"><grid rows="200"><row><grid height="50%" rows="repeat(auto-fill, 40)" flow="column"><text text="abc" /><text text="def" /><text text="ghi" /></grid></row></grid></column>',
    ),
  },
  {
    name: 'what spans a flexible column asks nothing of the others, so rows are not sized once more for it (Grid 1 §12.5)',
    source: screen(
      '<grid max-height="106" columns="auto 1fr"><image col-span="2" /><scroll width="66" row="2" col="1"><spacer height="20" /></scroll></grid><grid max-height="106" columns="auto auto"><image col-span="2" /><scroll width="66" row="2" col="1"><spacer height="20" /></scroll></grid><grid max-height="106" columns="auto minmax(min-content, 1fr)"><image col-span="2" /><scroll width="66" row="2" col="1"><spacer height="20" /></scroll></grid>',
    ),
  },
  {
    name: 'a grid that repeats rows keeps the width that it said first, also where its container asked it (as browsers do it)',
    source: screen(
      '<row height="333" align="start"><column height="100%" align="start"><grid max-height="50%" rows="repeat(auto-fill, 40)" flow="column"><spacer width="20" height="10" /><spacer width="20" height="10" /><spacer width="20" height="10" /></grid></column></row><column height="333" align="start"><grid max-height="50%" rows="repeat(auto-fill, 40)" flow="column"><spacer width="20" height="10" /><spacer width="20" height="10" /><spacer width="20" height="10" /></grid></column><row height="333" align="start"><column height="100%" align="start"><grid height="share" rows="repeat(auto-fill, 40)" flow="column"><spacer width="20" height="10" /><spacer width="20" height="10" /><spacer width="20" height="10" /></grid></column></row><column height="333" align="start"><grid height="share" rows="repeat(auto-fill, 40)" flow="column"><spacer width="20" height="10" /><spacer width="20" height="10" /><spacer width="20" height="10" /></grid></column><column min-height="250" align="start"><grid height="share" rows="repeat(auto-fill, 40)" flow="column"><spacer width="20" height="10" /><spacer width="20" height="10" /><spacer width="20" height="10" /></grid></column><row align="start"><row aspect="2"><grid min-height="70" aspect="0.2" rows="repeat(auto-fill, 40)" flow="column"><spacer width="20" height="10" /><spacer width="20" height="10" /><spacer width="20" height="10" /></grid></row></row><row height="300"><column align="start" aspect="2"><grid max-height="50%" rows="repeat(auto-fill, 40)" flow="column"><spacer width="20" height="10" /><spacer width="20" height="10" /><spacer width="20" height="10" /></grid></column></row><row height="300" wrap="true"><column width="50%" align="start"><grid height="share" rows="repeat(auto-fill, 40)" flow="column"><spacer width="20" height="10" /><spacer width="20" height="10" /><spacer width="20" height="10" /></grid></column></row>',
    ),
  },
  {
    name: 'nor does it change in what is asked once more when rows are known (Grid 1 §12.1, as browsers do it)',
    source: screen(
      '<layers height="333"><grid columns="auto" rows="100%" align="start" justify="start"><grid max-height="50%" rows="repeat(auto-fill, 40)" flow="column"><spacer width="20" height="10" /><spacer width="20" height="10" /><spacer width="20" height="10" /></grid></grid></layers><grid columns="auto" justify="start"><column wrap="true" max-height="150"><grid max-height="50%" rows="repeat(auto-fill, 40)" flow="column"><spacer width="20" height="10" /><spacer width="20" height="10" /><spacer width="20" height="10" /></grid><spacer height="100" /></column></grid><grid rows="200 auto"><row><grid max-height="50%" rows="repeat(auto-fill, 40)" flow="column"><spacer width="20" height="10" /><spacer width="20" height="10" /><spacer width="20" height="10" /></grid></row></grid>',
    ),
  },
  {
    name: 'least heights of a grid that come to be known late do not make it wider (Sizing 3 §5.1, as browsers do it)',
    source: screen(
      '<layers align-self="start"><column><spacer height="100" /><layers min-height="90%"><spacer width="20" height="20" /><column height="share" aspect="1"><spacer width="20" height="20" /></column></layers></column></layers><row height="300" align="start"><grid min-height="90%" rows="1fr auto" columns="auto"><spacer width="20" height="20" /><column height="share" aspect="1"><spacer width="20" height="20" /></column></grid></row><row><column><spacer height="100" /><layers min-height="90%"><spacer width="20" height="20" /><column height="share" aspect="1"><spacer width="20" height="20" /></column></layers></column></row>',
    ),
  },
  {
    name: 'a width by content goes through the height of its ratio, beside a part of a height that counts for nothing (as browsers do it)',
    source: screen(
      '<scroll height="33%" aspect="16/9"><text text="half&#10;line office To hut b" /></scroll><column align="start"><row height="33%" aspect="1.37" min-width="20"><text text="line office To hut b" /></row></column>',
    ),
  },
  {
    name: 'rows that are parts of nothing are sized by content, so what is high by them has no part in their baselines then (Grid 1 §10.6)',
    source: screen(
      '<grid columns="auto auto" rows="20%" align="baseline"><spacer height="90" width="30" max-height="20%" /><numberField /></grid><grid columns="auto auto" rows="minmax(0, 20%)" align="baseline"><image max-height="20%" /><numberField /></grid><grid columns="auto auto" rows="20%" align="baseline" height="200"><spacer height="90" width="30" max-height="20%" /><numberField /></grid>',
    ),
  },
  {
    name: 'a baseline above the edge of a scroll counts as that edge (Align 3 §9.1)',
    source: screen(
      '<grid columns="auto auto" align="baseline"><scroll><spacer margin="-4 8 0" /></scroll><text text="hut" /></grid><row align="baseline"><scroll height="30"><text text="hut" margin="-40 0 0" /></scroll><text text="hut" /></row>',
    ),
  },
  {
    name: 'a least width that is a part of what there is counts for columns that are repeated, whatever height comes out (Grid 1 §7.2.3.2)',
    source: screen(
      '<column height="300" align="start"><grid height="share" min-width="20%" columns="repeat(auto-fill, 70)" flow="column"><image /></grid></column><column height="300" align="start"><grid min-width="20%" columns="repeat(auto-fill, 70)"><image height="share" /></grid></column>',
    ),
  },
  {
    name: 'a least size asks for one track more only where a 64th of it is missing (Grid 1 §7.2.3.2, as browsers do it)',
    source: screen(
      '<column align="start"><grid min-width="33.5" columns="repeat(auto-fill, 33)"><spacer height="20" /></grid><grid min-width="33.52" columns="repeat(auto-fill, 33)"><spacer height="20" /></grid><grid min-width="100" columns="repeat(auto-fill, 33.3%)"><spacer height="20" /></grid></column><row align="start"><grid min-height="66.9" rows="repeat(auto-fill, 33)" flow="column"><spacer width="20" /><spacer width="20" /><spacer width="20" /></grid><grid min-height="66.2" rows="20 repeat(auto-fill, 40) 3" row-gap="1.5" flow="column"><spacer width="20" /><spacer width="20" /><spacer width="20" /></grid></row>',
    ),
  },
  {
    name: 'small factors that content holds up say nothing about the others by content (Grid 1 §12.7.1, as browsers do it)',
    source: screen(
      '<row align="start"><grid columns="0.11fr 3fr"><text text="a few words that break" /></grid></row><row align="start"><grid columns="0.11fr 0.2fr 3fr"><text text="a few words that break" col-span="2" /></grid></row><scroll axis="horizontal" width="143"><grid columns="min-content 0.3fr 2fr"><text text="hut" /><text text="a few words that break" /></grid></scroll>',
    ),
  },
  {
    name: 'a factor of 0 is flexible, and what is in its track says how large an fr is (Grid 1 §12.7)',
    source: screen(
      '<column width="61"><grid rows="0fr 2fr"><image /></grid></column><row align="start"><grid columns="0fr 2fr"><spacer width="30" height="9" /><text text="abc" /></grid></row><row align="start"><grid columns="0fr"><text text="abc def" /></grid></row>',
    ),
  },
  {
    name: 'pictures have rows filled again, also of a width of their own (Grid 1 §12.1, as browsers do it)',
    source: screen(
      '<grid max-height="42"><column min-height="34"><spacer height="59" /></column><image width="67" /></grid><grid max-height="42"><column min-height="34"><spacer height="59" /></column><row><image width="20" /></row></grid><grid max-height="42"><column min-height="34"><spacer height="59" /></column><row width="67"><image width="20" /></row></grid>',
    ),
  },
  {
    name: 'heights of lines that come out as whole 64ths but for the last bit (Inline 3 §4.2, percentages in single precision)',
    source: screen(
      '<text size="11.1" width="20" text="one two three four five six seven eight" /><text size="21.8" width="20" text="one two three four five six seven eight" /><text size="33.9" width="20" text="one two three four five six seven eight" /><button size="43.2" text="hut" />',
    ),
  },
  {
    name: 'order among siblings (Display 3 §3)',
    source: screen(
      '<row><text text="a" order="2" /><text text="b" lap.order="-1" /><text text="c" order="1" lap.order="3" /></row><grid columns="1fr 1fr"><text text="d" order="1" /><text text="e" /></grid>',
    ),
  },
  {
    name: 'lines at most, spaced and slanted letters (Text 3 §8, Overflow 4 §5)',
    source: screen(
      '<text lines="2" text="one two three four five six seven eight nine ten eleven twelve thirteen" width="150" /><row><text lines="1" text="this is cut behind the first line of it" width="share" /><text letter-spacing="1.5" text="fine office AVAT" /></row><text italic="true" letter-spacing="-0.4" font="Source Serif 4" text="slanted words that break somewhere" width="130" /><row width="90"><text nowrap="true" lines="1" text="kept on one line" min-width="0" /></row>',
    ),
  },
  {
    name: 'mixed directions and other scripts (UAX #9)',
    source: screen(
      '<text text="Bunk שלום עולם 12 (late) مرحبا بكم 3" /><text text="שלום (hut) 14:30, Velmora" width="120" /><row><text text="Αφίξεις και Прибытие" /><text text="AVAT, (hut)." font="Zilla Slab" /></row>',
    ),
  },
  {
    name: 'cells of a table are made of controls, a row for each record (Grid 1 §8.5)',
    source: screen(
      `<table name="stays" rows="{[{guest: 'Ilka Sorrel', nights: 12}, {guest: 'Teo', nights: 1}]}" sort="-nights" width="300">
        <cell name="who" head="Guest and how they come" field="guest"><text name="whoText" text="{row.guest}" weight="600" /><text name="note" text="Half board, one without meat" size="13" /></cell>
        <cell name="count" head="" field="nights" lap.padding="20" like="row" justify="end" align="center" border-width="0 2 1"><text name="nights" text="{row.nights}" /></cell>
        <cell name="acts" padding="4" align="end"><button name="ring" text="Ring {row.guest}" /></cell>
      </table>`,
    ),
  },
  {
    name: 'which pane a split shows may change from a band (container queries, CSS Conditional 5 §5)',
    source: screen(
      '<split name="panes" show="first" lap.show="second" desk.show="first" gap="8"><column name="one" min-width="700"><text text="All arrivals" /></column><column name="other" min-width="700"><text text="One of them, and more of it" width="200" /></column></split>',
    ),
  },
  {
    name: 'or with the orientation of the screen (Media Queries 4 §4.3)',
    source: screen(
      '<split show="second" portrait.show="first" ratio="1/1"><icon min-width="1000" /><row min-width="1000"><spacer height="70" /></row></split><split show="second" landscape.show="first"><icon min-width="1000" /><row min-width="1000"><spacer height="70" /></row></split>',
    ),
  },
  {
    name: 'a length of a track comes to the same 64th of a px in the page (Grid 1 §7.2, CSS Values 4 §5.2)',
    source: screen(
      '<row align="start"><grid max-width="666.67" columns="repeat(auto-fill, 25.9)"><icon /></grid></row><row><grid columns="repeat(auto-fit, minmax(9.72, 13.9))" auto-columns="7.42" rows="3.29 fit-content(8.6)" width="300"><spacer row="2" height="30" /></grid></row>',
    ),
  },
  {
    name: 'a split as wide as both panes need, to the 64th, shows both (CSS Conditional 5 §5)',
    source: screen(
      '<column width="300.05"><split ratio="1/2" gap="0.05"><column min-width="100"><spacer height="9" /></column><column min-width="200"><spacer height="9" /></column></split></column><column width="300.04"><split ratio="1/2" gap="0.05"><column min-width="100"><spacer height="9" /></column><column min-width="200"><spacer height="9" /></column></split></column><column width="300.05"><split ratio="1/2"><column min-width="100.02"><spacer height="9" /></column><column><spacer height="9" /></column></split></column>',
    ),
  },
  {
    name: 'a grid that fills the width of its column repeats as many columns as its height limits say by the ratio (Sizing 4 §6.3)',
    source: screen(
      '<column align="center"><column><grid width="share" height="share" max-height="250" aspect="16/9" columns="repeat(auto-fill, 70)" /></column></column><column align="center"><column><grid width="share" height="200" min-height="250" aspect="16/9" columns="repeat(auto-fill, 70)" /></column></column><column align="center"><column><grid width="share" height="50%" max-height="250" aspect="16/9" columns="repeat(auto-fill, 70)" /></column></column><column height="300" wrap="true"><grid width="share" height="50%" max-height="60%" aspect="16/9" columns="repeat(auto-fill, 70)" /><spacer height="200" /></column><row align="start"><layers><grid width="share" height="200" max-height="250" aspect="16/9" columns="repeat(auto-fill, 70)" /></layers></row>',
    ),
  },
  {
    name: 'limits of a height bound a width by content, also beside a part of a height that counts for nothing (Sizing 4 §6.3)',
    source: screen(
      '<column align="start"><column><row height="50%" max-height="100" aspect="1"><image height="50%" /><text text="abc def" /></row></column><column><row width="share" height="50%" max-height="100" min-height="130" aspect="1"><image height="50%" /><text text="abc def" /></row></column></column>',
    ),
  },
  {
    name: 'a gap of two lengths: between rows, and between columns (Align 3 §8.2)',
    source: screen(
      '<row wrap="true" gap="7.3 13" width="200"><spacer width="90" height="20" /><spacer width="90" height="20" /><spacer width="90" height="20" /></row><grid columns="1fr 1fr" gap="4 9.99"><text text="a" /><text text="b" /><text text="c" /></grid><column gap="3 50"><text text="a" /><text text="b" /></column><row gap="3 50" column-gap="8" lap.gap="20"><text text="a" /><text text="b" /></row><split gap="0 31" ratio="1/2"><column min-width="90"><text text="a" /></column><column><text text="b" /></column></split><tabs gap="7.3 2"><text text="a" /></tabs><nav options="Tonight | Arrivals" gap="1 3.33" />',
    ),
  },
  {
    name: 'flexible tracks that their content fills exactly take their parts, however their factors add up (Grid 1 §12.7.1)',
    source: screen(
      '<column align="start"><grid columns="repeat(3, minmax(min-content, 0.8fr)) fit-content(40.2%)" rows="fit-content(30) 0.78fr"><image col-span="2" row-span="2" /><text /></grid></column>',
    ),
  },
  {
    name: 'content that repeats rows holds up a width by ratio at a part of a height that is known first (Sizing 4 §6.2)',
    source: screen(
      '<pinboard height="336.9"><column top="10" bottom="10"><grid height="33.3%" aspect="0.5" rows="repeat(auto-fill, 40)" flow="column"><text text="abc" /><text text="def" /><text text="ghi" /></grid></column></pinboard><row height="316.9" align="start"><column height="100%"><grid height="33.3%" aspect="0.5" rows="repeat(auto-fill, 40)" flow="column"><text text="abc" /><text text="def" /><text text="ghi" /></grid></column></row>',
    ),
  },
];
