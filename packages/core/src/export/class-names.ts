/** Class names of a page: a control's is its name, a kind's begins with `k-`. */

/** A control's name as a class in a selector (CSSOM §2.1, "serialize an identifier"). */
export function classOf(name: string): string {
  return name.replace(/[^\w\u0080-\uffff]/g, (character) => `\\${character}`);
}
