/** Where the value of a property stands on an exported page. */

/** How a property with content reaches the element of an exported page. */
export interface PageTarget {
  /** Class of the part inside the control's element; absent: the element itself. */
  readonly part?: string;
  /**
   * `text`: its words; `attribute`: an attribute; `property`: a live property of the element; `inside`: what the part
   * holds is made anew; `choice`: which of the inputs in the part are checked, by their values; `pane`: which of the
   * tabs in the part is open, counted from 1; `file`: the address of the chosen file; `upload`: the chosen file as a record, or several in a list; `inputs`: a property of all inputs of
   * a field; `validity`: whether what was
   * entered is valid; `form`: what a form or a field tells of itself; `carries`: what is dragged with it;
   * `sort`: the column that a
   * table is sorted by, from which it is made anew.
   */
  readonly as:
    | 'text'
    | 'attribute'
    | 'property'
    | 'inside'
    | 'choice'
    | 'pane'
    | 'file'
    | 'upload'
    | 'inputs'
    | 'validity'
    | 'form'
    | 'sort'
    | 'carries';
  /** The attribute's or property's name. */
  readonly name?: string;
  /** Its part takes no room where it has no words: then it need not be there. */
  readonly optional?: true;
}
