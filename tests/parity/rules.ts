/** Small documents, one a rule, named by the rule and the section of the specification that has it. */
import type { Rule } from './rule.ts';
import { containers } from './rules-of-containers.ts';
import { meetings } from './rules-of-meetings.ts';
import { rowsAndGrids } from './rules-of-rows-and-grids.ts';

export const rules: readonly Rule[] = [...rowsAndGrids, ...containers, ...meetings];
