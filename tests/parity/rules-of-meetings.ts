/** Rules that decide where others meet, one a document. */
import { type Rule, screen } from './rule.ts';

export const meetings: readonly Rule[] = [
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
    name: 'columns of a table are as wide as they are said to be, the others as what is in them (Grid 1 §7.2)',
    source: screen(
      `<table widths="120 1fr" width="400" rows="{[{guest: 'Ilka Sorrel', nights: 12, room: 'the dormitory'}]}" columns="guest: Guest | nights: Nights | room: Room" /><row><table widths="minmax(40, max-content) 60.3" rows="{[{a: 'Ilka Sorrel', b: 'unforeseeablyuninterruptedwords'}]}" width="90" /></row><table widths="2fr 1fr 3fr 9" width="share" rows="{[{a: 1, b: 2}]}" />`,
    ),
  },
  {
    name: 'a dial is as high as its arc, and grows with its place (Flexbox 1 §9.7)',
    source: screen(
      '<row gap="8" height="300" align="stretch"><dial label="Wind" value="46" max="120" unit="km/h" /><dial value="-4" min="-10" max="10" width="80" /><dial label="A very long name of what is measured here" value="{null}" width="share" padding="8" border-width="2" /></row><dial label="Pressure" value="1013" min="950" max="1050" unit="hPa" height="180" /><column align="start"><dial label="Least" /></column>',
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
