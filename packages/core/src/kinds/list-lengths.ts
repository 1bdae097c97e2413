/** How long lists may be that are shown item by item. */

/** Most items that one repeat shows. */
export const mostItems = 10_000;
/** A list with more items than this is long: a page makes copies only of those that are near what is seen. */
export const longList = 300;
/** How many of a long list's items a page is written with. */
export const writtenOfLong = 100;
