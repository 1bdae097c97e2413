/** A plain value as it stands in an address, a header or a query. */
export const wireText = (value: unknown): string =>
  value === undefined || value === null
    ? ''
    : typeof value === 'object'
      ? JSON.stringify(value)
      : String(value);
