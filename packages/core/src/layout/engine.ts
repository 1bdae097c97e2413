/** Chooses the layout of a box by its content: which rules of CSS lay out which content. */
import type { Box, GridContent } from './box.ts';
import { layOutFlex } from './flex/flex.ts';
import { layOutGrid } from './grid/grid.ts';
import { gridWidths } from './grid/widths.ts';
import type { Given, Laid, Question, Widths } from './laid.ts';
import { layOutBlank, layOutPicture, layOutText } from './leaf.ts';
import { layOutPinboard } from './pinboard.ts';
import { Pass } from './record.ts';
import { layOutScroll } from './scroll.ts';
import { layOutSplit } from './split.ts';

/** What a pass asks to lay out a box; boxes that lay out others ask through it, so that none knows all the others. */
export interface Engine {
  layOut(pass: Pass, box: Box, asked: Question): Laid;
  /** How narrow and how wide a grid would like to be by its content. */
  gridWidths(pass: Pass, box: Box, content: GridContent, given: Given): Widths;
}

const engine: Engine = {
  gridWidths,
  layOut(pass, box, asked) {
    const { content } = box;
    switch (content.type) {
      case 'flex':
        return layOutFlex(pass, box, content, asked);
      case 'grid':
        return layOutGrid(pass, box, content, asked);
      case 'pinboard':
        return layOutPinboard(pass, box, content, asked);
      case 'scroll':
        return layOutScroll(pass, box, content, asked);
      case 'split':
        return layOutSplit(pass, box, content, asked);
      case 'text':
        return layOutText(pass, box, content, asked);
      case 'picture':
        return layOutPicture(pass, box, content, asked);
      case 'blank':
        return layOutBlank(pass, box, content, asked);
    }
  },
};

/** A pass over a screen. @param writes what it writes down on the way; see `Pass`. */
export const passOf = (writes: Pass['writes']): Pass => new Pass(engine, writes);
