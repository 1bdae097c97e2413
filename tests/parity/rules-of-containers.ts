/** Rules of scrolls, splits, tables, words and whatever holds others, one a document. */
import { type Rule, screen } from './rule.ts';

export const containers: readonly Rule[] = [
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
    name: 'lines of text that are something, and what is suggested in them (HTML §4.10.5.1, §4.10.8)',
    source: screen(
      '<row align="baseline" gap="8" wrap="true"><textField label="PIN" type="password" value="4621" /><textField type="email" value="ilka@hut.example" width="120" /><textField label="Call" type="tel" autocomplete="tel" value="07 11" width="20%" /><textField type="url" value="https://hut.example" options="https://hut.example" min-width="60" width="share" /><textField label="Guest" options="Ilka Sorrel | Bram Oakley" width="fit" /></row>',
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
];
