/** What a running page needs to ask services. */
export { type Answer, type DataSource, idleAnswer, type RemoteTable } from '../document/source.ts';
export { type Asks, askedBy } from './ask-statement.ts';
export { type Asked, Asker, type AskerHost } from './asker.ts';
export { baseHere } from './base-here.ts';
export { browserWire } from './browser-wire.ts';
export { type Exchanged, exchange, type Wire } from './exchange.ts';
export { CannotAsk, type Outgoing, outgoing } from './outgoing.ts';
export { RemoteRows, type RowAction } from './remote-rows.ts';
