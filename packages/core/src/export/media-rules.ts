/** Rules of all pages for paper and for forced colours, in the layer of the kinds; a kind adds those of its own. */

/**
 * Colours that are forced (CSS Color Adjustment 1 §3) take backgrounds and shadows away: what only they show gets an edge.
 */
export const forcedColourRules = `  @media (forced-colors: active) {
    :is(button, [role="button"]):not(:focus-visible) {
      outline: 1px solid;
      outline-offset: -1px;
    }

    :is([aria-current="page"], [aria-selected="true"]):not(:focus-visible) {
      outline: 2px solid Highlight;
      outline-offset: -2px;
    }
  }
`;

/**
 * On paper a heading stays with what it heads (CSS Fragmentation 3 §3.1), what is ticked or filled is printed with its colour
 * (CSS Color Adjustment 1 §4), and nothing is said for a while.
 */
export const printRules = `  @media print {
    :is(h1, h2, h3, h4, h5, h6) {
      break-after: avoid;
    }

    :is(button, input, progress, [role="meter"], [role="img"]) {
      print-color-adjust: exact;
    }

    .page-message {
      display: none;
    }
  }
`;
