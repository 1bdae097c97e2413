/** Services that ship to build against, and what can go wrong with them. */
import { type DataSource, standInFolder } from '@hovrin/core';

/** The simulated office of the valley; a room of its own for each project keeps them apart. */
export const officeBase = `${standInFolder}office/hut/`;

export const officeSource: Omit<DataSource, 'name'> = { base: officeBase };

/** Where the office's service says what it can be asked. */
export const officeDescription = `/${officeBase}openapi.json`;
